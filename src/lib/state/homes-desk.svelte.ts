import type { BackedUp, BackupResult } from '../core/interchange/backup';
import type { FileIssue } from '../core/interchange';
import { applyEdit, HomeId, makeHome } from '../core/model';
import type { Incoming, Read } from './incoming';
import { leaveBegun } from './just-stored';
import { leaveCopy } from './pending-copy';
import {
	addHome,
	beginHome,
	bringBackHome,
	listHomes,
	listPhotos,
	loadHome,
	putCommon,
	purgeHomes,
	putAwayHome,
	tellReplaced,
	troubleOf,
	type Db,
	type HomeRow,
	type NewHome,
	type Trouble
} from '../data';

export interface HomesDeps {
	readonly db: () => Promise<Db>;
	/** ISO instant. */
	readonly now: () => string;
	readonly newId: () => string;
	/** Opens a home on screen. */
	readonly open: (homeId: string, part?: string) => Promise<unknown>;
}

/** Homes that were put away are deleted for good after this long, ms. */
const KEPT_MS = 30 * 24 * 60 * 60 * 1000;

/** All homes of this browser: made, brought in, put away, brought back. Every failure is told; nothing is replaced unasked. */
export class HomesDesk {
	#rows = $state.raw<readonly HomeRow[] | null>(null);
	#trouble = $state.raw<Trouble | null>(null);
	#isMaking = $state(false);
	#refused = $state.raw<{
		file: string;
		issues: readonly FileIssue[];
		mended: Incoming | null;
	} | null>(null);
	#clash = $state.raw<{ incoming: Incoming; there: HomeRow } | null>(null);
	#restored = $state.raw<{
		readonly added: readonly string[];
		readonly here: readonly BackedUp[];
		readonly bad: readonly string[];
	} | null>(null);
	readonly #deps: HomesDeps;

	constructor(deps: HomesDeps) {
		this.#deps = deps;
	}

	/** Homes to choose from, last changed first; null: not read yet. */
	get homes(): readonly HomeRow[] | null {
		return this.#rows && this.#rows.filter(({ deletedAt }) => !deletedAt);
	}
	/** Homes that were deleted and can be brought back. */
	get deleted(): readonly HomeRow[] {
		return this.#rows?.filter(({ deletedAt }) => deletedAt) ?? [];
	}
	/** What the browser's storage did last; null: nothing went wrong. */
	get trouble(): Trouble | null {
		return this.#trouble;
	}
	/** The file that was not taken, and why. */
	get refused() {
		return this.#refused;
	}
	/** A home that was read and has the id of one that is here. */
	get clash() {
		return this.#clash;
	}

	/** Reads which homes there are; those deleted long ago go for good. */
	refresh(): Promise<void> {
		return this.#try(async (db) => {
			const rows = await listHomes(db);
			const now = Date.parse(this.#deps.now());
			const old = rows.filter(
				({ deletedAt }) => deletedAt && now - Date.parse(deletedAt) > KEPT_MS
			);
			if (old.length)
				await purgeHomes(
					db,
					old.map(({ id }) => id)
				);
			this.#rows = rows.filter((row) => !old.includes(row));
		});
	}

	/** Makes a new home and opens it. */
	async make(name: string): Promise<void> {
		const words = name.trim();
		// A second press of the button makes no second home.
		if (!words || this.#isMaking) return;
		this.#isMaking = true;
		await this.#try(async (db) => {
			const { now, newId } = this.#deps;
			const bare = makeHome({ id: newId(), name: words.slice(0, 200), now: now() });
			// Loaded only now: the first screen does without it.
			const { addUsualKinds } = await import('../core/fitting');
			const { home } = applyEdit(bare, addUsualKinds());
			await addHome(db, { home, now: now(), ifThere: { do: 'say' } });
			await this.#deps.open(home.id);
		});
		this.#isMaking = false;
	}
	/** A new home is being made. */
	get isMaking(): boolean {
		return this.#isMaking;
	}

	/** Takes what was read from a file: a home of an id that is here is never touched unasked. */
	async take(file: string, read: Read): Promise<void> {
		this.#refused = this.#clash = null;
		if (!read.ok) {
			this.#refused = { file, issues: read.issues, mended: read.mended };
			return;
		}
		await this.#add(read);
	}
	/** Takes the refused file with its faults mended. */
	async takeMended(): Promise<void> {
		const mended = this.#refused?.mended;
		this.#refused = null;
		if (mended) await this.#add(mended);
	}

	/** Settles a clash: both homes, the file's in place of the one here (which can be brought back), or neither. */
	settle(choice: 'both' | 'replace' | 'merge' | 'neither'): Promise<void> {
		const clash = this.#clash;
		this.#clash = null;
		if (!clash || choice === 'neither') return Promise.resolve();
		if (choice === 'merge') {
			leaveCopy(clash.incoming);
			return this.#try(
				async () => void (await this.#deps.open(clash.incoming.home.id, 'keep/handover'))
			);
		}
		const { home, photos } = clash.incoming;
		if (choice === 'both') {
			const id = HomeId.parse(this.#deps.newId());
			const name = `${home.name} (imported)`.slice(0, 200);
			return this.#add({ ...clash.incoming, home: { ...home, id, name } });
		}
		return this.#try(async (db) => {
			const now = this.#deps.now();
			const ifThere = { do: 'put-away', asideId: this.#deps.newId() } as const;
			await addHome(db, { home, photos, now, ifThere });
			tellReplaced(home.id);
			await this.#deps.open(home.id);
		});
	}

	/** Deletes a home: it can be brought back with its history and its pictures. */
	putAway(homeId: string): Promise<void> {
		return this.#try(async (db) => {
			await putAwayHome(db, homeId, this.#deps.now());
			tellReplaced(homeId);
			await this.refresh();
		});
	}
	bringBack(homeId: string): Promise<void> {
		return this.#try(async (db) => {
			await bringBackHome(db, homeId);
			tellReplaced(homeId);
			await this.refresh();
		});
	}
	/** Packs all homes, with their pictures, into one archive. Homes that were deleted are not in it. null: it was not made. */
	async backup(): Promise<Uint8Array | null> {
		let bytes: Uint8Array | null = null;
		await this.#try(async (db) => {
			const { writeBackup } = await import('../core/interchange/backup');
			const rows = (await listHomes(db)).filter(({ deletedAt }) => !deletedAt);
			const homes = [];
			for (const { id } of rows) {
				const loaded = await loadHome(db, id, this.#deps.now());
				if (loaded.ok) homes.push({ home: loaded.home, photos: await listPhotos(db, id) });
			}
			bytes = writeBackup(homes);
		});
		return bytes;
	}
	/** What a backup held: which homes came back, which are here already, which could not be read. */
	get restored() {
		return this.#restored;
	}
	/** Brings back the homes of a backup that are not here. Those that are here stay as they are, until one is chosen. */
	restore(file: string, backup: BackupResult): Promise<void> {
		this.#refused = this.#clash = this.#restored = null;
		if (!backup.ok) {
			this.#refused = { file, issues: backup.issues, mended: null };
			return Promise.resolve();
		}
		return this.#try(async (db) => {
			const added: string[] = [];
			const here: BackedUp[] = [];
			for (const one of backup.homes) {
				const { home, photos } = one;
				const what = { home, photos, now: this.#deps.now() };
				let found = await addHome(db, { ...what, ifThere: { do: 'say' } });
				// One that was deleted gives way; it can still be brought back.
				if (!found.ok && found.there.deletedAt) {
					const ifThere = { do: 'put-away', asideId: this.#deps.newId() } as const;
					found = await addHome(db, { ...what, ifThere });
					tellReplaced(home.id);
				}
				if (found.ok) added.push(home.name);
				else here.push(one);
			}
			this.#restored = { added, here, bad: backup.bad.map(({ entry }) => entry) };
			await this.refresh();
		});
	}
	/** Takes a home of the backup in place of the one here, which can be brought back. */
	takeBackedUp({ home, photos, lostPhotos }: BackedUp): Promise<void> {
		this.#clash = {
			incoming: { home, photos, lostPhotos, mends: [] },
			there: this.#rows!.find(({ id }) => id === home.id)!
		};
		return this.settle('replace');
	}
	/** Deletes all that this browser has, for good. */
	forgetAll(): Promise<void> {
		return this.purge((this.#rows ?? []).map(({ id }) => id));
	}
	/** Deletes for good what was put away. */
	purge(homeIds: readonly string[]): Promise<void> {
		return this.#try(async (db) => {
			await purgeHomes(db, homeIds);
			homeIds.forEach(tellReplaced);
			await this.refresh();
		});
	}

	#add(incoming: Incoming): Promise<void> {
		return this.#try(async (db) => {
			const { home, photos } = incoming;
			const what = { home, photos, now: this.#deps.now() };
			let adding: NewHome = { ...what, ifThere: { do: 'say' } };
			let begun = await beginHome(db, adding);
			// One that was deleted gives way; it can still be brought back.
			const isBack = !begun.ok && !!begun.there.deletedAt;
			if (isBack) {
				adding = { ...what, ifThere: { do: 'put-away', asideId: this.#deps.newId() } };
				begun = await beginHome(db, adding);
			}
			if (!begun.ok) {
				this.#clash = { incoming, there: begun.there };
				return;
			}
			const kept = async () => {
				if (isBack) tellReplaced(home.id);
				if (incoming.exchange) await putCommon(db, incoming.exchange.id, home, this.#deps.now());
			};
			// It is shown while the browser writes it.
			leaveBegun(home, begun, async () => {
				await addHome(await this.#deps.db(), adding);
				await kept();
			});
			await Promise.all([this.#deps.open(home.id), begun.done]);
			await kept();
		});
	}

	async #try(task: (db: Db) => Promise<void>): Promise<void> {
		this.#trouble = null;
		try {
			await task(await this.#deps.db());
		} catch (error) {
			this.#trouble = troubleOf(error);
		}
	}
}

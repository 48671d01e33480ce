import { applyEdit, replay, type Edit, type Home } from '../core/model';
import {
	loadHome,
	openTabs,
	writeChange,
	type Db,
	type HistoryRow,
	type LoadResult,
	type TabMessage,
	type Tabs
} from '../data';

export type SaveState = 'saved' | 'saving' | 'failed';
export type OpenFailure = Extract<LoadResult, { ok: false }>;

export interface HomeStoreDeps {
	readonly db: Db;
	/** ISO instant. */
	readonly now: () => string;
	readonly tabs?: (onMessage: (message: TabMessage) => void) => Tabs;
	/** Told when a change could not be stored, or was made anew on top of another tab's. */
	readonly onNotice?: (notice: StoreNotice) => void;
}
export type StoreNotice =
	| { readonly code: 'not-stored'; readonly reason: string }
	| { readonly code: 'merged-with-other-tab' }
	| { readonly code: 'undo-lost' };

/**
 * The home at hand: what the screens show, the only place that changes it, and its history.
 * A change shows at once; it is stored behind, one transaction a change and in order.
 */
export class HomeStore {
	#home = $state.raw<Home>() as Home;
	#history = $state.raw<readonly HistoryRow[]>([]);
	#cursor = $state(0);
	#saving = $state(0);
	#failed = $state(false);
	#revision = 0;
	#queue: Promise<void> = Promise.resolve();
	readonly #deps: HomeStoreDeps;
	readonly #tabs: Tabs;

	private constructor(deps: HomeStoreDeps, loaded: Extract<LoadResult, { ok: true }>) {
		this.#deps = deps;
		this.#take(loaded);
		this.#tabs = (deps.tabs ?? openTabs)((message) => this.#hear(message));
	}

	/** Opens a stored home; a failure says what is wrong and touches nothing. */
	static async open(homeId: string, deps: HomeStoreDeps): Promise<HomeStore | OpenFailure> {
		const loaded = await loadHome(deps.db, homeId);
		return loaded.ok ? new HomeStore(deps, loaded) : loaded;
	}

	get home(): Home {
		return this.#home;
	}
	get saveState(): SaveState {
		return this.#failed ? 'failed' : this.#saving ? 'saving' : 'saved';
	}
	get undoLabel(): string | null {
		return this.#history.find((row) => row.seq === this.#cursor)?.label ?? null;
	}
	get redoLabel(): string | null {
		return this.#history.find((row) => row.seq === this.#cursor + 1)?.label ?? null;
	}

	/** Changes the home. `label` says in words what was done; it stands on the undo button. */
	edit(label: string, edit: Edit): void {
		const { home, patches, inverse } = applyEdit(this.#home, edit);
		if (!patches.length) return;
		const { now } = this.#deps;
		const seq = this.#cursor + 1;
		const row: HistoryRow = { homeId: home.id, seq, label, at: now(), patches, inverse };
		this.#home = home;
		this.#history = [...this.#history.filter((old) => old.seq < seq), row];
		this.#cursor = seq;
		this.#enqueue(async () => {
			const write = () =>
				writeChange(this.#deps.db, {
					homeId: home.id,
					home,
					patches,
					baseRevision: this.#revision,
					now: row.at,
					step: { kind: 'new', label, inverse }
				});
			const result = await write();
			if (result.ok) this.#wrote(result.revision, result.cursor, patches);
			else await this.#onto(label, edit);
		});
	}

	/** Takes back the last change; also one made before a reload. */
	undo(): void {
		const row = this.#history.find((step) => step.seq === this.#cursor);
		if (row) this.#move(row.inverse, row.seq - 1);
	}

	/** Does again what was taken back. */
	redo(): void {
		const row = this.#history.find((step) => step.seq === this.#cursor + 1);
		if (row) this.#move(row.patches, row.seq);
	}

	/** Waits until everything is stored. */
	settled(): Promise<void> {
		return this.#queue;
	}

	close(): void {
		this.#tabs.close();
	}

	#move(patches: HistoryRow['patches'], cursor: number): void {
		const home = replay(this.#home, patches);
		this.#home = home;
		this.#cursor = cursor;
		this.#enqueue(async () => {
			const result = await writeChange(this.#deps.db, {
				homeId: home.id,
				home,
				patches,
				baseRevision: this.#revision,
				now: this.#deps.now(),
				step: { kind: 'cursor', cursor }
			});
			if (result.ok) this.#wrote(result.revision, result.cursor, patches);
			else {
				await this.#reload();
				this.#deps.onNotice?.({ code: 'undo-lost' });
			}
		});
	}

	/** Another tab was first: take its home and make the same edit on top, so that neither is lost. */
	async #onto(label: string, edit: Edit): Promise<void> {
		if (!(await this.#reload())) throw new Error('The home is no longer in the store.');
		const { home, patches, inverse } = applyEdit(this.#home, edit);
		if (!patches.length) return;
		const result = await writeChange(this.#deps.db, {
			homeId: home.id,
			home,
			patches,
			baseRevision: this.#revision,
			now: this.#deps.now(),
			step: { kind: 'new', label, inverse }
		});
		if (!result.ok)
			throw new Error('Another tab keeps changing this home. Close it and try again.');
		this.#wrote(result.revision, result.cursor, patches);
		await this.#reload();
		this.#deps.onNotice?.({ code: 'merged-with-other-tab' });
	}

	#wrote(revision: number, cursor: number, patches: HistoryRow['patches']): void {
		this.#revision = revision;
		this.#failed = false;
		this.#tabs.send({ homeId: this.#home.id, revision, cursor, patches });
	}

	#enqueue(task: () => Promise<void>): void {
		this.#saving++;
		this.#queue = this.#queue.then(task).then(
			() => void this.#saving--,
			(error: unknown) => {
				this.#saving--;
				this.#failed = true;
				this.#deps.onNotice?.({
					code: 'not-stored',
					reason: error instanceof Error ? error.message : String(error)
				});
			}
		);
	}

	#hear(message: TabMessage): void {
		if (message.homeId !== this.#home.id || message.revision <= this.#revision) return;
		// Behind own writes, so that the order of revisions holds.
		this.#queue = this.#queue.then(async () => {
			if (message.revision > this.#revision) await this.#reload();
		});
	}

	async #reload(): Promise<boolean> {
		const loaded = await loadHome(this.#deps.db, this.#home.id);
		if (loaded.ok) this.#take(loaded);
		return loaded.ok;
	}

	#take(loaded: Extract<LoadResult, { ok: true }>): void {
		this.#home = loaded.home;
		this.#history = loaded.history;
		this.#cursor = loaded.cursor;
		this.#revision = loaded.revision;
	}
}

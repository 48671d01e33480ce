import { command, type ArgsOf, type Command, type CommandName } from '../core/commands';
import type { StoreNotice, Trouble } from '../core/commands/notices';
import { touchedBy } from '../core/commands/touched-by';
import { advance, withChange, type Entry, type Timeline } from '../core/commands/timeline';
import { replay, type Home } from '../core/model';
import type { Mend } from '../core/interchange';
import {
	addHome,
	bringBackHome,
	changesSince,
	commit,
	loadHome,
	openStored,
	openTabs,
	tellReplaced,
	troubleOf,
	type ChangeRow,
	type CommitResult,
	type Db,
	type LoadFailure,
	type LoadResult,
	type TabMessage,
	type Tabs
} from '../data';
import { takeStored } from './just-stored';
import type { Outbox } from './outbox';
import { labelOf, rebase, type Pending } from './pending';

export type SaveState = 'saved' | 'saving' | 'failed' | 'gone';
export type OpenFailure = LoadFailure;

export interface HomeStoreDeps {
	/** The database, opened again after its connection was ended. */
	readonly db: () => Promise<Db>;
	/** ISO instant. */
	readonly now: () => string;
	/** An id that no other tab makes. */
	readonly newId: () => string;
	readonly tabs?: (onMessage: (message: TabMessage) => void) => Tabs;
	/** Calls back after a while, ms; gives a way to call it off. */
	readonly later?: (ms: number, call: () => void) => () => void;
	readonly onNotice?: (notice: StoreNotice) => void;
	/** Told after each write. */
	readonly onStored?: () => void;
	/** Keeps what is not stored when the page goes. */
	readonly outbox?: Outbox;
}
export type { StoreNotice };

/** Changes written in one transaction. */
const MOST_TOGETHER = 50;
const RETRY_MS = [500, 2000, 5000, 15_000] as const;

const laterByTimer = (ms: number, call: () => void) => {
	const timer = setTimeout(call, ms);
	return () => clearTimeout(timer);
};

/**
 * The home at hand: what the screens show, the only place that changes it, and its history.
 *
 * What is stored is the *confirmed* home; what was done since is *pending*, in order. What is shown is the confirmed home
 * with all pending done on top. When another tab writes first, the confirmed home moves on and every pending change is
 * made again on it. A write that fails is tried again in its place; nothing behind it goes first.
 */
export class HomeStore {
	#confirmed: Timeline;
	#revision: number;
	#pending = $state.raw<readonly Pending[]>([]);
	#shown = $state.raw<Timeline>() as Timeline;
	#trouble = $state.raw<Trouble | null>(null);
	#gone = $state.raw<'deleted' | 'not-found' | null>(null);
	#mends = $state.raw<readonly Mend[]>([]);
	/** The newest revision that was heard of. */
	#heard = 0;
	/** The store has to be looked into, whatever was heard. */
	#mustLook = false;
	/** What has to end before anything is written: the home itself is on its way into the store. */
	#finish = $state.raw<(() => Promise<void>) | null>(null);
	#work: Promise<void> | null = null;
	#tries = 0;
	#callOff: (() => void) | null = null;
	#isClosed = false;
	readonly #deps: HomeStoreDeps;
	readonly #tabs: Tabs;

	private constructor(
		deps: HomeStoreDeps,
		loaded: Extract<LoadResult, { ok: true }>,
		finish: (() => Promise<void>) | undefined
	) {
		this.#deps = deps;
		this.#confirmed = this.#shown = timelineOf(loaded);
		this.#revision = loaded.revision;
		this.#mends = loaded.mends;
		this.#tabs = (deps.tabs ?? openTabs)((message) => this.#hear(message));
		if (finish) {
			this.#finish = finish;
			this.#write();
		}
		this.#takeUp(loaded);
	}

	/** Opens a stored home, or one that is being stored; a failure says what is wrong and touches nothing. */
	static async open(homeId: string, deps: HomeStoreDeps): Promise<HomeStore | OpenFailure> {
		const db = await deps.db();
		const stored = takeStored(homeId);
		const loaded =
			(stored && (await openStored(db, stored))) ?? (await loadHome(db, homeId, deps.now()));
		return loaded.ok ? new HomeStore(deps, loaded, stored?.finish) : loaded;
	}

	get home(): Home {
		return this.#shown.home;
	}
	get saveState(): SaveState {
		if (this.#gone) return 'gone';
		if (!this.unsaved) return 'saved';
		return this.#trouble ? 'failed' : 'saving';
	}
	/** Why the last write failed; null: it did not. */
	get trouble(): Trouble | null {
		return this.#trouble;
	}
	/** Why there is nothing to store into; null: there is. */
	get gone(): 'deleted' | 'not-found' | null {
		return this.#gone;
	}
	/** How many changes are not stored yet; the home itself counts as one. */
	get unsaved(): number {
		return this.#pending.length + (this.#finish ? 1 : 0);
	}
	/** What was mended when the home was opened. */
	get mends(): readonly Mend[] {
		return this.#mends;
	}
	get undoLabel(): string | null {
		return this.#stepAt(this.#shown.cursor)?.label ?? null;
	}
	/** Id of the step that undo would take back; null: there is none. */
	get lastStepId(): string | null {
		return this.#stepAt(this.#shown.cursor)?.id ?? null;
	}
	get redoLabel(): string | null {
		return this.#stepAt(this.#shown.cursor + 1)?.label ?? null;
	}

	/** Changes the home. `label` says in words what is done; it stands on the undo button. */
	run<Name extends CommandName>(label: string, name: Name, ...args: ArgsOf<Name>): void {
		this.runAll(label, [command(name, ...args)]);
	}

	/** Makes several changes as one step. */
	runAll(label: string, commands: readonly Command[]): void {
		// What is shown may be a proxy of the screen; what is kept is plain.
		const plain = $state.snapshot(commands) as readonly Command[];
		this.#add({ kind: 'do', id: this.#deps.newId(), label, at: this.#deps.now(), commands: plain });
	}

	/** Takes back the last change; also one made before a reload. */
	undo(): void {
		this.#step('undo', this.#shown.cursor);
	}

	/**
	 * Takes back one step whatever was done since; true: it did. What was worked on since cannot be taken back by itself.
	 */
	takeBack(stepId: string): boolean {
		const before = this.#shown;
		const step = before.history.find(({ id }) => id === stepId);
		if (this.lastStepId === stepId) this.undo();
		else {
			const touched = touchedBy(before, stepId);
			if (touched) this.runAll(`take back ${step?.label ?? ''}`, [command('takeBack', touched)]);
		}
		return this.#shown !== before;
	}

	/** Does again what was taken back. */
	redo(): void {
		this.#step('redo', this.#shown.cursor + 1);
	}

	/** Waits until nothing more is being written: all is stored, or it failed and waits for its next try. */
	async settled(): Promise<void> {
		while (this.#work) await this.#work;
	}

	/** Tries again at once to store what is pending. */
	async retry(): Promise<void> {
		await this.settled();
		this.#callOff?.();
		this.#callOff = null;
		this.#write();
		await this.settled();
	}

	/** Looks whether the stored home is newer than the one shown, and is there at all. */
	async refresh(): Promise<void> {
		await this.settled();
		this.#mustLook = true;
		// One that failed waits for its own next try, and looks then.
		if (!this.#callOff) this.#write();
		await this.settled();
	}

	/** Puts a home that is gone from the store back: brought back as it was, or written anew as it is shown. */
	async restore(): Promise<void> {
		await this.settled();
		const { home } = this.#confirmed;
		const db = await this.#deps.db();
		if (this.#gone === 'deleted') await bringBackHome(db, home.id);
		else await addHome(db, { home, now: this.#deps.now(), ifThere: { do: 'say' } });
		this.#gone = null;
		tellReplaced(home.id);
		await this.refresh();
	}

	/** The page goes, and may not come back: what is not stored is put where the next finds it. Tells whether all is safe. */
	leave(): boolean {
		if (!this.unsaved) return true;
		const kept = !!this.#deps.outbox?.put(this.#pending.map(({ entry }) => entry));
		return kept && this.saveState === 'saving' && !this.#finish;
	}

	/** The mends have been read. */
	dismissMends(): void {
		this.#mends = [];
	}

	/** Ends the store: it hears no other tab and tries no write again. */
	close(): void {
		this.#isClosed = true;
		this.#callOff?.();
		this.#tabs.close();
	}

	#stepAt(seq: number) {
		return this.#shown.history.find((step) => step.seq === seq);
	}

	#step(kind: 'undo' | 'redo', seq: number): void {
		const step = this.#stepAt(seq);
		if (!step) return;
		this.#add({ kind, id: this.#deps.newId(), at: this.#deps.now(), stepId: step.id });
	}

	/** Does what pages before had not stored when they went. */
	#takeUp({ written, history }: Extract<LoadResult, { ok: true }>): void {
		const left = this.#deps.outbox?.left() ?? [];
		const steps = new Set(history.map(({ id }) => id));
		for (const entry of left)
			if (!written.has(entry.id) && !steps.has(entry.id)) this.#add(entry, true);
		if (!this.unsaved) this.#deps.outbox?.clear();
	}

	#add(entry: Entry, again = false): void {
		const made = advance(this.#shown, entry, again);
		if (!made.ok) {
			// Done on a page before it did something: here what it is about is gone.
			if (again || made.lost.code !== 'no-effect')
				this.#deps.onNotice?.({
					code: 'lost',
					label: labelOf(entry, this.#shown),
					lost: made.lost
				});
			return;
		}
		this.#pending = [...this.#pending, { entry, made }];
		this.#shown = made.after;
		// One that failed waits for its own next try; what is behind it waits with it.
		if (!this.#callOff) this.#write();
	}

	/** Writes what is pending, one after the other, until all is stored or one fails. */
	#write(): void {
		if (this.#work || this.#isClosed) return;
		if (!this.unsaved && !this.#mustLook && this.#heard <= this.#revision) return;
		this.#work = this.#writeAll().finally(() => {
			this.#work = null;
			// Something may have come in between the last look and now.
			if (!this.#callOff && !this.#gone) this.#write();
		});
	}

	async #writeAll(): Promise<void> {
		try {
			if (this.#finish) await this.#finish();
			this.#finish = null;
			const db = await this.#deps.db();
			if (this.#mustLook || !this.#pending.length) await this.#catchUp(db);
			while (this.#pending.length && !this.#isClosed) {
				const result = await this.#writeNext(db);
				if (result.kind === 'behind') await this.#reload(db);
				if (result.kind === 'gone') this.#lose(result.code);
				if (this.#gone) return;
			}
			this.#trouble = null;
			this.#tries = 0;
			if (!this.#pending.length) this.#deps.outbox?.clear();
		} catch (error) {
			this.#fail(troubleOf(error));
		}
	}

	/** Writes the oldest of what is pending: quick changes go together, so that they are there sooner. */
	async #writeNext(db: Db): Promise<CommitResult> {
		let writing: readonly Pending[] = [];
		const { id } = this.#confirmed.home;
		const result = await commit(db, id, this.#revision, (news) => {
			this.#take(news);
			writing = this.#pending.slice(0, MOST_TOGETHER);
			return writing.map(({ entry, made: { after, patches, change } }) => ({
				entryId: entry.id,
				home: after.home,
				patches,
				change,
				now: entry.at
			}));
		});
		if (result.kind === 'stored') {
			const { changes } = result;
			this.#confirmed = writing.at(-1)!.made.after;
			this.#revision = changes.at(-1)!.revision;
			this.#pending = this.#pending.slice(writing.length);
			this.#trouble = null;
			this.#tries = 0;
			this.#tabs.send({ kind: 'changed', homeId: id, changes });
			this.#deps.onStored?.();
		}
		return result;
	}

	#fail(trouble: Trouble): void {
		if (this.#isClosed) return;
		const isNews = this.#trouble?.code !== trouble.code;
		this.#trouble = trouble;
		this.#callOff?.();
		const wait = RETRY_MS[Math.min(this.#tries++, RETRY_MS.length - 1)]!;
		this.#callOff = (this.#deps.later ?? laterByTimer)(wait, () => {
			this.#callOff = null;
			this.#write();
		});
		if (isNews) this.#deps.onNotice?.({ code: 'not-stored', trouble });
	}

	#lose(why: 'deleted' | 'not-found'): void {
		if (this.#gone === why) return;
		this.#gone = why;
		this.#deps.onNotice?.({ code: 'gone', why });
	}

	#hear(message: TabMessage): void {
		if (message.homeId !== this.#confirmed.home.id) return;
		if (message.kind === 'replaced') {
			this.#gone = null;
			this.#mustLook = true;
		} else {
			// While a write is on its way, what it stands on may not move: it hears in its own transaction.
			const news = message.changes.filter(({ revision }) => revision > this.#revision);
			if (!this.#work && news[0]?.revision === this.#revision + 1) this.#take(news);
			else if (news.length) this.#heard = Math.max(this.#heard, news.at(-1)!.revision);
		}
		if (!this.#callOff) this.#write();
	}

	/** Takes in what other tabs wrote, and makes what is pending again on top of it. */
	#take(news: readonly ChangeRow[]): void {
		if (!news.length) return;
		for (const { revision, patches, change } of news) {
			const home = replay(this.#confirmed.home, patches);
			this.#confirmed = withChange(this.#confirmed, home, change);
			this.#revision = revision;
		}
		this.#rebase(new Set(news.map(({ entryId }) => entryId)));
	}

	/** Makes all that is pending again on the confirmed home; what was `written` already is pending no more. */
	#rebase(written: ReadonlySet<string>): void {
		const { kept, shown, notices } = rebase(this.#confirmed, this.#pending, written);
		this.#pending = kept;
		this.#shown = shown;
		for (const notice of notices) this.#deps.onNotice?.(notice);
	}

	async #catchUp(db: Db): Promise<void> {
		if (!this.#mustLook && this.#heard <= this.#revision) return;
		this.#mustLook = false;
		const heard = this.#heard;
		const news = await changesSince(db, this.#confirmed.home.id, this.#revision);
		if (news) this.#take(news);
		else await this.#reload(db);
		// All that was said before the look is known now; the store may even count from 1 again.
		if (this.#heard === heard) this.#heard = this.#revision;
	}

	async #reload(db: Db): Promise<void> {
		const loaded = await loadHome(db, this.#confirmed.home.id, this.#deps.now());
		if (!loaded.ok) {
			if (loaded.code !== 'newer') return this.#lose(loaded.code);
			throw new DOMException('The home has a newer layout.', 'VersionError');
		}
		this.#confirmed = timelineOf(loaded);
		this.#revision = loaded.revision;
		this.#rebase(loaded.written);
	}
}

const timelineOf = ({ home, history, cursor }: Timeline): Timeline => ({ home, history, cursor });

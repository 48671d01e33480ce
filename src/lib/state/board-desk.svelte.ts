import {
	allGroupFigures,
	groupMeant,
	looseThings,
	strangerIn,
	thingsAbout
} from '../core/grouping';
import { categoryOf, type Home, type Thing } from '../core/model';
import { strangerText } from '../messages/sorting';
import type { HomeStore } from './home-store.svelte';
import { Selection } from './selection.svelte';

export interface BoardDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** The group shown at first; null: everything. */
	readonly groupAsked?: string | null;
}
/** What is shown instead of one group: everything, or what has none. */
export type Shown = string | null;
export const LOOSE = '';

/** The board of things: which are shown, which are chosen, and into which group they go. */
export class BoardDesk {
	readonly #deps: BoardDeskDeps;
	readonly selection = new Selection();
	#shown = $state.raw<Shown>(null);
	sought = $state('');
	/** Why the last move was refused; empty: it was not. */
	#refused = $state('');

	constructor(deps: BoardDeskDeps) {
		this.#deps = deps;
		this.#shown = deps.groupAsked ?? null;
	}

	get home(): Home {
		return this.#deps.store().home;
	}
	#figures = $derived.by(() => allGroupFigures(this.home));
	figures = $derived.by(() => new Map(this.#figures.map((own) => [own.groupId, own])));
	groups = $derived.by(() =>
		Object.values(this.home.groups).sort((a, b) => a.name.localeCompare(b.name))
	);
	/** Groups that things can be moved to: spares follow what they are spares of. */
	targets = $derived.by(() => this.groups.filter(({ stockOf }) => !stockOf));
	#things = $derived.by(() => Object.values(this.home.things));
	things = $derived.by((): readonly Thing[] =>
		[...this.#things].sort((a, b) => COLLATOR.compare(a.name, b.name) || (a.id < b.id ? -1 : 1))
	);
	loose = $derived.by(() => looseThings(this.home));
	/** A group that was joined or undone is no longer there to be shown. */
	get shown(): Shown {
		const isThere = this.#shown === LOOSE || (this.#shown && this.home.groups[this.#shown]);
		return isThere ? this.#shown : null;
	}
	set shown(shown: Shown) {
		this.#shown = shown;
		this.#refused = '';
	}
	rows = $derived.by((): readonly Thing[] => {
		const { shown } = this;
		if (shown === null) return thingsAbout(this.home, this.things, this.sought);
		const own = new Set<string>(
			shown === LOOSE
				? this.loose.map(({ id }) => id)
				: (this.figures.get(shown)?.things ?? []).map(({ id }) => id)
		);
		const inGroup = this.things.filter(
			({ id, groupId }) => own.has(id) || (shown !== LOOSE && groupId === shown)
		);
		return thingsAbout(this.home, inGroup, this.sought);
	});
	ids = $derived.by((): readonly string[] => this.rows.map(({ id }) => id));
	chosen = $derived.by(() => [...this.selection.ids].filter((id) => this.home.things[id]));
	get areAllChosen(): boolean {
		return this.ids.length > 0 && this.ids.every((id) => this.selection.has(id));
	}
	get refused(): string {
		return this.#refused;
	}

	/** Takes hold of a thing to drag it: with the others that are chosen, or alone. */
	hold(thingId: string): void {
		if (this.selection.has(thingId)) return;
		this.selection.clear();
		this.selection.toggle(thingId);
	}
	/** Moves what is chosen into a group; what must keep apart is refused, and said. */
	move(groupId: string): boolean {
		const list = this.chosen;
		const group = this.home.groups[groupId];
		if (!list.length || !group) return false;
		const stranger = strangerIn(this.home, list, groupId);
		if (stranger) {
			this.#refused = strangerText(stranger, group.name);
			return false;
		}
		this.#refused = '';
		this.#deps
			.store()
			.run(`move ${this.#many(list)} to ${group.name}`, 'moveThings', list, groupId);
		this.selection.clear();
		return true;
	}
	/** Moves what is chosen to the group that is meant by its two letters or its name. */
	moveTo(typed: string): boolean {
		const words = typed.trim();
		const group = groupMeant(this.targets, words);
		if (group) return this.move(group.id);
		this.#refused = words
			? `No group is “${words}”. Type its two letters or its name, or make a new group.`
			: 'Type the two letters or the name of a group.';
		return false;
	}
	/** Makes a group of what is chosen, by this name or that of its kind. A name that is taken is refused. */
	make(typed: string): boolean {
		const list = this.chosen;
		const first = this.home.things[list[0] ?? ''];
		if (!first) return false;
		const name = typed.trim() || categoryOf(first.category).name;
		const same = this.groups.find((group) => group.name.toLowerCase() === name.toLowerCase());
		if (same) {
			this.#refused = `There is a group called ${same.name} already. Move them there, or type another name.`;
			return false;
		}
		const stranger = strangerIn(this.home, list, null);
		if (stranger) {
			this.#refused = strangerText(stranger, name);
			return false;
		}
		const id = this.#deps.newId();
		this.#deps.store().run(`make ${name} of ${this.#many(list)}`, 'splitOff', list, id, name);
		this.selection.clear();
		this.shown = id;
		return true;
	}
	clear(): void {
		this.selection.clear();
		this.#refused = '';
	}

	#many(list: readonly string[]): string {
		return list.length === 1 ? (this.home.things[list[0]!]?.name ?? '') : `${list.length} things`;
	}
}
const COLLATOR = new Intl.Collator('en');

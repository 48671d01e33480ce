import {
	allGroupFigures,
	fewMostUsed,
	frequencyRows,
	groupChanges,
	looseChanges,
	looseThings,
	type GroupFigures
} from '../core/grouping';
import type { Home } from '../core/model';
import type { HomeStore } from './home-store.svelte';

export interface SortDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** The group that is asked for; null: none. */
	readonly groupAsked: () => string | null;
}
export type GroupOrder = 'uses' | 'litres' | 'name';
export type GroupSize = 'litres' | 'pieces';

/** The share of all fetches that the prime space is kept for. */
const MOST = 0.8;

/** All groups with how much they take and how often they are fetched. */
export class SortDesk {
	readonly #deps: SortDeps;
	by = $state<GroupOrder>('uses');
	size = $state<GroupSize>('litres');
	/** What was picked, and what was asked for then. */
	#picked = $state.raw<{ readonly asked: string | null; readonly id: string | null } | null>(null);

	constructor(deps: SortDeps) {
		this.#deps = deps;
	}
	/** The group that is open: the one picked, else the one asked for; a new question counts more than an old pick. */
	get chosen(): string | null {
		const asked = this.#deps.groupAsked();
		return this.#picked?.asked === asked ? this.#picked.id : asked;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	nameOf({ groupId }: Pick<GroupFigures, 'groupId'>): string {
		return this.home.groups[groupId]?.name ?? '';
	}
	figures = $derived.by(() => allGroupFigures(this.home));
	/** In the order chosen, most first; by name, A first. */
	sorted = $derived.by((): readonly GroupFigures[] => {
		const { by } = this;
		const order: Record<GroupOrder, (a: GroupFigures, b: GroupFigures) => number> = {
			uses: (a, b) => b.usesPerWeek - a.usesPerWeek,
			litres: (a, b) => b.volumeMl - a.volumeMl,
			name: (a, b) => this.nameOf(a).localeCompare(this.nameOf(b))
		};
		return [...this.figures].sort(order[by]);
	});
	/** For bars: the longest is the whole width. */
	mostUses = $derived.by(() => Math.max(1, ...this.figures.map((f) => f.usesPerWeek)));
	mostMl = $derived.by(() => Math.max(1, ...this.figures.map((f) => f.volumeMl)));
	loose = $derived.by(() => looseThings(this.home));
	get group() {
		return this.chosen ? this.home.groups[this.chosen] : undefined;
	}
	rows = $derived.by(() => frequencyRows(this.figures, this.size));
	total = $derived.by(() => this.figures.reduce((sum, f) => sum + f.usesPerWeek, 0));
	/** How many groups make four fifths of all fetches. */
	few = $derived.by(() => fewMostUsed(this.rows, MOST));
	/** Hundredths of all litres, or pieces, that those few take. */
	get fewTakePercent(): number {
		return Math.round(100 * (this.rows[this.few - 1]?.sizeSoFar ?? 0));
	}

	choose(id: string | null): void {
		this.#picked = { asked: this.#deps.groupAsked(), id };
	}
	/** Groups what is in no group yet, by what it is, what it is for and whose it is. */
	groupLoose(): void {
		const { store, newId } = this.#deps;
		const changes = looseChanges(groupChanges(this.home));
		store().run(`group ${this.loose.length} things`, 'takeChanges', changes, newId());
	}
}

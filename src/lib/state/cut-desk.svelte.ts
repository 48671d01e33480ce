import { SvelteSet } from 'svelte/reactivity';
import { cutPlace, piecesOut, type Wanting } from '../core/clearing';
import type { Home } from '../core/model';
import { nooksInOrder } from '../core/survey';
import type { HomeStore } from './home-store.svelte';

export interface CutDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** The place to begin at; null: the first that is too full. */
	readonly placeAsked: string | null;
}
const NONE = { stay: new Set<string>(), go: new Set<string>() };
const byValue = (a: Wanting, b: Wanting) => b.value - a.value || a.name.localeCompare(b.name);

/** What a place holds, and where the line lies beyond which things have to go elsewhere. */
export class CutDesk {
	readonly #deps: CutDeps;
	#chosen = $state<string | null>(null);
	/** What stays and what goes because somebody said so, by key. */
	readonly #stay = new SvelteSet<string>();
	readonly #go = new SvelteSet<string>();

	constructor(deps: CutDeps) {
		this.#deps = deps;
		this.#chosen = deps.placeAsked;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	places = $derived.by(() => nooksInOrder(this.home));
	#heldIn = $derived.by(
		() =>
			new Set(
				Object.values(this.home.lots).flatMap((lot) =>
					lot.count > 0 && lot.nookId ? [lot.nookId] : []
				)
			)
	);
	/** Places with more in them than they hold. */
	full = $derived.by(
		(): ReadonlySet<string> =>
			new Set(
				this.places
					.map(({ nook }) => nook.id)
					.filter((id) => {
						const found = this.#heldIn.has(id) ? cutPlace(this.home, id, NONE) : null;
						return !!found && found.cut.keep.length < found.wanting.length;
					})
			)
	);
	nookId = $derived.by((): string | null =>
		this.#chosen && this.home.nooks[this.#chosen]
			? this.#chosen
			: ([...this.full][0] ?? this.places[0]?.nook.id ?? null)
	);
	get name(): string {
		return this.home.nooks[this.nookId ?? '']?.name ?? '';
	}
	#best = $derived.by(() => (this.nookId ? cutPlace(this.home, this.nookId, NONE) : null));
	/** The cut with what was said by hand; null: nothing is measured here. */
	mine = $derived.by(() =>
		this.nookId
			? cutPlace(this.home, this.nookId, { stay: new Set(this.#stay), go: new Set(this.#go) })
			: null
	);
	#keep = $derived.by(() => new Set(this.mine?.cut.keep));
	kept = $derived.by(() => this.#side(true));
	out = $derived.by(() => this.#side(false));
	#side(stays: boolean): readonly Wanting[] {
		const { mine } = this;
		return mine
			? mine.wanting.filter(({ key }) => this.#keep.has(key) === stays).sort(byValue)
			: [];
	}
	/** Uses a week that the choice by hand costs against the best one. */
	costs = $derived.by(() =>
		this.#best && this.mine ? this.#best.cut.value - this.mine.cut.value : 0
	);
	/** What was kept by hand is more than the place holds. */
	isOver = $derived.by(() => {
		const { mine } = this;
		if (!mine) return false;
		const { cut, limits } = mine;
		return cut.volumeMl > limits.volumeMl + 1 || cut.runMm > limits.runMm + 1;
	});
	get isByHand(): boolean {
		return this.#stay.size + this.#go.size > 0;
	}
	saidByHand({ key }: Wanting): boolean {
		return this.#stay.has(key) || this.#go.has(key);
	}

	choose(id: string): void {
		this.#chosen = id;
		this.backToBest();
	}
	/** What stays goes, what goes stays. */
	swap({ key }: Wanting): void {
		const stays = this.#keep.has(key);
		this.#stay.delete(key);
		this.#go.delete(key);
		(stays ? this.#go : this.#stay).add(key);
	}
	backToBest(): void {
		this.#stay.clear();
		this.#go.clear();
	}
	/** Takes what is beyond the line to the table. */
	carryOut(): void {
		const { mine } = this;
		if (!mine || !this.nookId) return;
		const { store, newId } = this.#deps;
		store().run(`boundary of ${this.name}`, 'applyCut', [...piecesOut(mine)], newId());
		this.backToBest();
	}
}

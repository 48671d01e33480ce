import { editOf } from '../core/commands';
import { applyEdit, type Home, type Point } from '../core/model';
import { dragPlanItem, nudgePlanItem, planItemKey, type PlanItem } from '../core/survey';
import type { HomeStore } from './home-store.svelte';

/** What is taken hold of on the plan, and the home as it would be if it were let go now. */
export class PlanDrag {
	readonly #store: () => HomeStore;
	#item = $state.raw<PlanItem | null>(null);
	#preview = $state.raw<Home | null>(null);
	#taken: PlanItem | null = null;
	#from: Point | null = null;
	#by: Point = { x: 0, y: 0 };

	constructor(store: () => HomeStore) {
		this.#store = store;
	}

	/** The item that is chosen; null: nothing. */
	get item(): PlanItem | null {
		return this.#item;
	}
	/** The home as it is drawn while something is dragged. */
	get home(): Home {
		return this.#preview ?? this.#store().home;
	}
	get isDragging(): boolean {
		return this.#preview !== null;
	}
	isChosen(item: PlanItem): boolean {
		return this.#item !== null && planItemKey(this.#item) === planItemKey(item);
	}

	choose(item: PlanItem | null): void {
		this.#item = item;
	}

	/**
	 * Takes hold of an item at a point of the plan, mm. It is chosen only once it moves or is let go: what opens on the
	 * press would lie under the finger that comes up.
	 */
	take(item: PlanItem, at: Point): void {
		this.#taken = item;
		this.#from = at;
		this.#by = { x: 0, y: 0 };
	}
	/** Draws it to a point; nothing is stored yet. */
	draw(at: Point): void {
		if (!this.#from || !this.#taken) return;
		this.#item = this.#taken;
		this.#by = { x: at.x - this.#from.x, y: at.y - this.#from.y };
		const { home } = this.#store();
		const move = dragPlanItem(home, this.#item, this.#by);
		if (move) this.#preview = applyEdit(home, editOf(move)).home;
	}
	/** Lets it go: the move is one step of history. */
	drop(label: string): void {
		const store = this.#store();
		const move =
			this.#preview && this.#item ? dragPlanItem(store.home, this.#item, this.#by) : null;
		this.cancel();
		if (move) store.runAll(label, [move]);
	}
	/** Lets it go without a move. */
	cancel(): void {
		this.#from = null;
		this.#taken = null;
		this.#preview = null;
	}
	/** Moves the chosen item by an exact vector, mm. */
	nudge(by: Point, label: string): void {
		const store = this.#store();
		const move = this.#item ? nudgePlanItem(store.home, this.#item, by) : null;
		if (move) store.runAll(label, [move]);
	}
}

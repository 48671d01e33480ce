import { movedByHand, partBoxes, placeByHand, type HandMove, type Stood } from '../core/fitting';
import type { Home } from '../core/model';
import { handHitText } from '../messages/fitting';

export interface HandDeskDeps {
	readonly home: () => Home;
	readonly nookId: () => string | null;
	/** What stands in the place at hand. */
	readonly stood: () => Stood | null;
	/** Keeps what stands there now. */
	readonly keep: (stood: Stood) => void;
	/** Says something in passing. */
	readonly say: (words: string) => void;
}
interface Point {
	readonly x: number;
	readonly y: number;
}

/** Moves what stands in a place by hand: dragged, by keys, or to exact millimetres. What hits something is not kept. */
export class HandDesk {
	readonly #deps: HandDeskDeps;
	#held = $state.raw<{ readonly partId: string; readonly move: HandMove } | null>(null);

	constructor(deps: HandDeskDeps) {
		this.#deps = deps;
	}

	/** What is drawn: with what is in hand where it would stand. */
	drawn = $derived.by((): Stood | null => {
		const stood = this.#deps.stood();
		return this.#held && stood
			? movedByHand(this.#deps.home(), stood, this.#held.partId, this.#held.move)
			: stood;
	});
	/** Containers, rows and obstructions that what is in hand would stand in. */
	hits = $derived.by((): ReadonlySet<string> => new Set(this.#held?.move.hits ?? []));
	get isHolding(): boolean {
		return this.#held !== null;
	}
	/** Where a part stands, mm from the left and from the front; null: there is no such part. */
	placeOf(partId: string): (Point & { readonly mayTurn: boolean }) | null {
		const stood = this.#deps.stood();
		const part = stood && partBoxes(this.#deps.home(), stood).find(({ id }) => id === partId);
		return part ? { x: part.x, y: part.y, mayTurn: part.mayTurn } : null;
	}

	/** Draws a part to a point; nothing is kept yet. */
	drag(partId: string, to: Point): void {
		const move = this.#look(partId, to, { snap: true });
		if (move) this.#held = { partId, move };
	}
	/** Lets go of it: it stands there, unless something else does. */
	drop(): void {
		const held = this.#held;
		this.#held = null;
		if (held) this.#settle(held.partId, held.move);
	}
	/** Lets go of it where it was. */
	cancel(): void {
		this.#held = null;
	}
	/** Moves a part by so many mm. */
	nudge(partId: string, by: Point): void {
		const at = this.placeOf(partId);
		if (at) this.setAt(partId, { x: at.x + by.x, y: at.y + by.y });
	}
	/** Puts a part to so many mm from the left and from the front. */
	setAt(partId: string, to: Partial<Point>): void {
		const at = this.placeOf(partId);
		const move = at && this.#look(partId, { ...at, ...to }, {});
		if (move) this.#settle(partId, move);
	}
	/** Turns a part by 90° about its corner. */
	turn(partId: string): void {
		const at = this.placeOf(partId);
		const move = at && this.#look(partId, at, { turn: true });
		if (move?.turned) this.#settle(partId, move);
	}

	#look(partId: string, to: Point, how: { snap?: boolean; turn?: boolean }): HandMove | null {
		const nookId = this.#deps.nookId();
		const stood = this.#deps.stood();
		return nookId && stood
			? placeByHand(this.#deps.home(), nookId, stood, partId, { to, ...how })
			: null;
	}
	#settle(partId: string, move: HandMove): void {
		const at = this.placeOf(partId);
		const stood = this.#deps.stood();
		if (!at || !stood || (at.x === move.x && at.y === move.y && !move.turned)) return;
		const home = this.#deps.home();
		if (move.hits.length) return this.#deps.say(handHitText(home, stood, move.hits));
		this.#deps.keep(movedByHand(home, stood, partId, move));
	}
}

/**
 * What pays most in one nook at given prices: what is left of the whole problem once "each part once" is relaxed.
 * An answer says what no choice pays more than (`most`) and one choice that pays it, or nearly. Belongs to one caller;
 * scratch arrays are kept between calls.
 */
export interface Subproblem {
	/** What the last choice pays, and no choice pays more. */
	readonly most: number;
	/** Takes over which parts are fixed: the nook of each, N for overflow, −1 where it is free. */
	begin(fixed: Int32Array): void;
	/** Chooses among the items; `withBoth` when `withPart` and `without` are asked next. Gives the work, in cells. */
	choose(nook: number, items: Items, room: number, withBoth: boolean): number;
	/**
	 * With the items of the last `choose`: the most that a choice with part `g` pays, which is item `at`, or none of
	 * them (−1), and pays `profit`. What lies below `floor` need not be told apart from it.
	 */
	withPart(g: number, at: number, profit: number, floor: number): number;
	/** The most that a choice without item `at` pays; what lies below `floor` need not be told apart from it. */
	without(at: number, floor: number): number;
}

/** The parts that pay something in a nook; a subproblem may change their order. */
export interface Items {
	count: number;
	/** The first `count` of each: part, what it pays, 1 for what the last choice took. */
	readonly part: Int32Array;
	readonly pays: Float64Array;
	readonly taken: Uint8Array;
}

/**
 * Makes room for so many items.
 * @example itemsFor(92).count // 0
 */
export const itemsFor = (most: number): Items => ({
	count: 0,
	part: new Int32Array(most),
	pays: new Float64Array(most),
	taken: new Uint8Array(most)
});

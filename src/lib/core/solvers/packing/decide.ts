import { overlaps, type Rect } from './problem';

/** A rectangle that has to stand somewhere on a floor, mm. */
export interface StandingPiece {
	readonly w: number;
	readonly d: number;
	readonly turn: boolean;
	/** No other piece may stand between it and the front edge. */
	readonly front: boolean;
	/** Where it may not be. */
	readonly blocked: readonly Rect[];
}

export interface StandingProblem {
	readonly width: number;
	readonly depth: number;
	readonly pieces: readonly StandingPiece[];
}

export interface StandingPlace {
	readonly x: number;
	readonly y: number;
	readonly turned: boolean;
}

/** Whether all pieces can stand at once: `stands` with a place for each, `cannot` when that is proven, else `open`. */
export type Decision =
	| { readonly status: 'stands'; readonly places: readonly StandingPlace[] }
	| { readonly status: 'cannot' }
	| { readonly status: 'open' };

/** How one rectangle lies to another: wholly left of it, right of it, before it or behind it. */
const SIDES = ['left', 'right', 'before', 'behind'] as const;
type Side = (typeof SIDES)[number];

const EPS = 1e-6;

/** `to` begins where `from` ends, or after it. */
interface Edge {
	readonly from: number;
	readonly to: number;
}

/**
 * Rectangles of which it is settled, pair by pair, how they lie to each other; the earliest and the latest place of each
 * that this leaves. Obstructions are rectangles that stay where they are.
 */
class Settled {
	readonly low: [Float64Array, Float64Array];
	readonly high: [Float64Array, Float64Array];
	readonly size: [Float64Array, Float64Array];
	readonly edges: [Edge[], Edge[]] = [[], []];
	readonly turned: boolean[];
	/** What was there before, change by change. */
	readonly #changed: { readonly row: Float64Array; readonly at: number; readonly was: number }[] =
		[];

	constructor(
		count: number,
		private readonly sides: readonly [number, number]
	) {
		const make = (): [Float64Array, Float64Array] => [
			new Float64Array(count),
			new Float64Array(count)
		];
		this.low = make();
		this.high = make();
		this.size = make();
		this.turned = new Array<boolean>(count).fill(false);
	}

	/** Sets a rectangle down anywhere on the floor, or at one place; false: it is too large. */
	begin(at: number, sizes: readonly [number, number], fixed?: readonly [number, number]): boolean {
		for (const axis of [0, 1] as const) {
			this.size[axis][at] = sizes[axis];
			this.#change(this.low[axis], at, fixed ? fixed[axis] : 0);
			this.#change(this.high[axis], at, fixed ? fixed[axis] : this.sides[axis] - sizes[axis]);
			if (this.high[axis][at]! < this.low[axis][at]! - EPS) return false;
		}
		return true;
	}

	/** Whether it is clear already, whatever the rest does, that two are apart on an axis. */
	isApart(one: number, other: number, axis: 0 | 1): boolean {
		const [low, high, size] = [this.low[axis], this.high[axis], this.size[axis]];
		return (
			high[one]! + size[one]! <= low[other]! + EPS || high[other]! + size[other]! <= low[one]! + EPS
		);
	}

	/** Settles that one ends before the other begins on an axis; false: there is no room for that. */
	settle(from: number, to: number, axis: 0 | 1): boolean {
		this.edges[axis].push({ from, to });
		const [low, high, size, edges] = [
			this.low[axis],
			this.high[axis],
			this.size[axis],
			this.edges[axis]
		];
		for (let moved = true; moved;) {
			moved = false;
			for (const { from, to } of edges) {
				const early = low[from]! + size[from]!;
				if (early > low[to]! + EPS) {
					this.#change(low, to, early);
					moved = true;
				}
				const late = high[to]! - size[from]!;
				if (late < high[from]! - EPS) {
					this.#change(high, from, late);
					moved = true;
				}
				if (low[to]! > high[to]! + EPS || low[from]! > high[from]! + EPS) return false;
			}
		}
		return true;
	}

	#change(row: Float64Array, at: number, value: number): void {
		this.#changed.push({ row, at, was: row[at]! });
		row[at] = value;
	}

	/** How far it is settled by now. */
	mark(): Mark {
		return [this.#changed.length, this.edges[0].length, this.edges[1].length];
	}
	/** Takes back what was settled since. */
	undo([changes, across, back]: Mark): void {
		while (this.#changed.length > changes) {
			const { row, at, was } = this.#changed.pop()!;
			row[at] = was;
		}
		this.edges[0].length = across;
		this.edges[1].length = back;
	}
}
type Mark = readonly [changes: number, across: number, back: number];

/** Whether two pieces are the same but for their number. */
const isLike = (a: StandingPiece, b: StandingPiece): boolean =>
	a.w === b.w &&
	a.d === b.d &&
	a.turn === b.turn &&
	a.front === b.front &&
	(a.blocked === b.blocked || JSON.stringify(a.blocked) === JSON.stringify(b.blocked));

/** Floor that something blocked for all of them covers, counted once at most. */
function blockedForAll({ width, depth, pieces }: StandingProblem): number {
	const [first, ...others] = pieces;
	if (!first) return 0;
	const shared: Rect[] = [];
	for (const rect of first.blocked) {
		const isForAll = others.every(({ blocked }) =>
			blocked.some((o) => o.x === rect.x && o.y === rect.y && o.w === rect.w && o.d === rect.d)
		);
		if (isForAll && !shared.some((other) => overlaps(other, rect))) shared.push(rect);
	}
	const span = (at: number, size: number, whole: number) =>
		Math.max(0, Math.min(whole, at + size) - Math.max(0, at));
	return shared.reduce((sum, { x, y, w, d }) => sum + span(x, w, width) * span(y, d, depth), 0);
}

/**
 * Decides whether all pieces can stand on a floor at once: nothing overlaps or is where it may not be, and nothing stands
 * before what is to be in front. Piece by piece, the largest first, each is settled to lie left of, right of, before or behind
 * each other one; every way is tried, so that a `cannot` is a proof. At most `steps` settlings; then it is open.
 * Deterministic.
 * @example decideStanding({ width: 10, depth: 5, pieces: [{ w: 6, … }, { w: 6, … }] }, 1000) // { status: 'cannot' }
 */
export function decideStanding(problem: StandingProblem, steps: number): Decision {
	const { width, depth, pieces } = problem;
	const needs = pieces.reduce((sum, { w, d }) => sum + w * d, 0);
	if (needs > width * depth - blockedForAll(problem) + EPS) return { status: 'cannot' };
	const order = pieces
		.map((piece, at) => ({ piece, at }))
		.sort((a, b) => b.piece.w * b.piece.d - a.piece.w * a.piece.d || a.at - b.at);
	const walls = [...new Map(order.flatMap(({ piece }) => piece.blocked).map((r) => [keyOf(r), r]))];
	const wallAt = new Map(walls.map(([key], i) => [key, order.length + i]));
	const settled = new Settled(order.length + walls.length, [width, depth]);
	walls.forEach(([, { x, y, w, d }], i) => settled.begin(order.length + i, [w, d], [x, y]));
	let left = steps;
	let isOpen = false;

	/** Goes on with the next pair of a piece; true: all of it stands. */
	const pair = (k: number, against: readonly number[], i: number): boolean => {
		const other = against[i];
		if (other === undefined) return piece(k + 1);
		if (mayRest(k, other)) return pair(k, against, i + 1);
		for (const side of SIDES) {
			if (!mayLie(k, other, side)) continue;
			if (left-- <= 0) {
				isOpen = true;
				return false;
			}
			const before = settled.mark();
			const axis = side === 'left' || side === 'right' ? 0 : 1;
			const [from, to] = side === 'left' || side === 'before' ? [other, k] : [k, other];
			if (settled.settle(from, to, axis) && pair(k, against, i + 1)) return true;
			settled.undo(before);
			if (isOpen) return false;
		}
		return false;
	};
	/** Two that are apart already need nothing settled, but for what stands before which. */
	const mayRest = (k: number, other: number): boolean => {
		if (settled.isApart(k, other, 0)) return true;
		const isFree = other >= order.length || !(order[k]!.piece.front || order[other]!.piece.front);
		return isFree && settled.isApart(k, other, 1);
	};
	/** Whether the other one may lie on that side of piece `k`. */
	const mayLie = (k: number, other: number, side: Side): boolean => {
		if (other >= order.length) return true;
		const [own, its] = [order[k]!.piece, order[other]!.piece];
		// Of like ones the first is never the one farther right.
		if (side === 'right' && isLike(own, its)) return false;
		return !(side === 'before' && own.front) && !(side === 'behind' && its.front);
	};
	const piece = (k: number): boolean => {
		const own = order[k]?.piece;
		if (!own) return true;
		const against = [
			...own.blocked.map((rect) => wallAt.get(keyOf(rect))!),
			...Array.from({ length: k }, (_, i) => i)
		];
		for (const turned of own.turn && own.w !== own.d ? [false, true] : [false]) {
			const before = settled.mark();
			settled.turned[k] = turned;
			if (settled.begin(k, turned ? [own.d, own.w] : [own.w, own.d]) && pair(k, against, 0))
				return true;
			settled.undo(before);
			if (isOpen) return false;
		}
		return false;
	};
	if (!piece(0)) return { status: isOpen ? 'open' : 'cannot' };
	const places = new Array<StandingPlace>(pieces.length);
	order.forEach(({ at }, k) => {
		places[at] = {
			x: settled.low[0][k]!,
			y: settled.low[1][k]!,
			turned: settled.turned[k]!
		};
	});
	return { status: 'stands', places };
}

const keyOf = ({ x, y, w, d }: Rect): string => `${x}/${y}/${w}/${d}`;

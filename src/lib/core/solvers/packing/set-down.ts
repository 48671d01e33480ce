import type { StandingPlace } from './decide';
import { rectOf, type ShelfPiece, type ShelfProblem } from './disorder';
import type { Rect } from './problem';

/** An order in which pieces are set down from the left, and how each of them is. */
export interface Sequence {
	/** Indices of the pieces, each once. */
	readonly order: readonly number[];
	readonly turned: readonly boolean[];
	/** At the front edge, whatever room is left behind what stands there already. */
	readonly atFront: readonly boolean[];
}

const EPS = 1e-6;

/** A stretch of the depth with how far it is taken from the left. */
interface Stretch {
	readonly from: number;
	readonly to: number;
	readonly x: number;
}
interface Placed {
	readonly rect: Rect;
	readonly front: boolean;
}

const overlapAcross = (a: Rect, x: number, w: number) => a.x < x + w - EPS && a.x + a.w > x + EPS;

/** The first place from `x` on that is off the obstructions, with nothing before a daily one. */
function freeFrom(
	x: number,
	{ y, w, d }: Omit<Rect, 'x'>,
	{ blocked, front }: ShelfPiece,
	placed: readonly Placed[]
): number {
	let at = x;
	if (!blocked.length && !placed.some(({ front: isDaily }) => front || isDaily)) return at;
	for (let isMoved = true; isMoved;) {
		isMoved = false;
		for (const rect of blocked)
			if (rect.y < y + d - EPS && rect.y + rect.d > y + EPS && overlapAcross(rect, at, w)) {
				at = rect.x + rect.w;
				isMoved = true;
			}
		for (const { rect, front: isDaily } of placed)
			if (
				((front && rect.y < y - EPS) || (isDaily && y < rect.y - EPS)) &&
				overlapAcross(rect, at, w)
			) {
				at = rect.x + rect.w;
				isMoved = true;
			}
	}
	return at;
}

/** The front of what is taken, with a stretch of the depth taken as far as `x`. */
function taken(line: readonly Stretch[], from: number, to: number, x: number): Stretch[] {
	const next: Stretch[] = [];
	let isIn = false;
	const add = () => {
		if (!isIn) next.push({ from, to, x });
		isIn = true;
	};
	for (const each of line) {
		if (each.to <= from + EPS) next.push(each);
		else if (each.from >= to - EPS) {
			add();
			next.push(each);
		} else {
			if (each.from < from - EPS) next.push({ ...each, to: from });
			if (each.to > to + EPS) {
				add();
				next.push({ ...each, from: to });
			}
		}
	}
	add();
	return next;
}

/**
 * Sets pieces down in an order, each as far left as it goes, of equal places the foremost. Places may reach beyond the floor
 * on the right. Null: something is deeper than the floor.
 */
export function setDown(
	{ depth, pieces }: Pick<ShelfProblem, 'depth' | 'pieces'>,
	{ order, turned, atFront }: Sequence
): StandingPlace[] | null {
	const places = new Array<StandingPlace>(pieces.length);
	const placed: Placed[] = [];
	let line: readonly Stretch[] = [{ from: 0, to: depth, x: 0 }];
	for (const index of order) {
		const piece = pieces[index]!;
		const isTurned = turned[index]!;
		const { w, d } = rectOf(piece, { x: 0, y: 0, turned: isTurned });
		const stops = atFront[index]
			? [0]
			: [...line.map(({ from }) => from), ...piece.blocked.map((rect) => rect.y + rect.d)];
		let best: Rect | null = null;
		for (const y of stops) {
			if (y + d > depth + EPS || y < 0) continue;
			let x = 0;
			for (const each of line)
				if (each.from < y + d - EPS && each.to > y + EPS && each.x > x) x = each.x;
			x = freeFrom(x, { y, w, d }, piece, placed);
			if (!best || x < best.x - EPS || (x < best.x + EPS && y < best.y)) best = { x, y, w, d };
		}
		if (!best) return null;
		places[index] = { x: best.x, y: best.y, turned: isTurned };
		placed.push({ rect: best, front: piece.front });
		line = taken(line, best.y, best.y + d, best.x + w);
	}
	return places;
}

/** Draws everything forward, as far as what is before it and the obstructions leave. */
export function drawnForward(
	{ pieces }: Pick<ShelfProblem, 'pieces'>,
	places: readonly StandingPlace[]
): StandingPlace[] {
	const moved = [...places];
	const settled: Rect[] = [];
	const fromFront = places.map((_, i) => i).sort((a, b) => places[a]!.y - places[b]!.y);
	for (const i of fromFront) {
		const place = places[i]!;
		const rect = rectOf(pieces[i]!, place);
		const stopAt = (sum: number, other: Rect) =>
			overlapAcross(other, rect.x, rect.w) && other.y + other.d <= rect.y + EPS
				? Math.max(sum, other.y + other.d)
				: sum;
		const y = Math.min(rect.y, pieces[i]!.blocked.reduce(stopAt, settled.reduce(stopAt, 0)));
		moved[i] = { ...place, y };
		settled.push({ ...rect, y });
	}
	return moved;
}

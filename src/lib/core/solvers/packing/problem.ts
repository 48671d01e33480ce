/** A rectangle on a board: x from the left, y from the front, whole or broken mm. */
export interface Rect {
	readonly x: number;
	readonly y: number;
	readonly w: number;
	readonly d: number;
}

/** A rectangle that wants a place; `turn` says whether it may be turned by 90°. */
export interface Piece {
	readonly w: number;
	readonly d: number;
	readonly turn: boolean;
}

/** A board with parts of it blocked. Sides are in whole mm; what is not is rounded to the safe side by the caller. */
export interface PackingProblem {
	readonly width: number;
	readonly depth: number;
	readonly obstructions: readonly Rect[];
	readonly pieces: readonly Piece[];
}

/** Where a piece lies: its corner nearest the left and the front. */
export interface PlacedPiece {
	readonly piece: number;
	readonly x: number;
	readonly y: number;
	readonly turned: boolean;
}

export interface PackingResult {
	/** `proven`: no packing covers more. `open`: the search ended with a gap. */
	readonly status: 'proven' | 'open';
	readonly placed: readonly PlacedPiece[];
	/** Area covered, mm². */
	readonly area: number;
	/** No packing covers more than this, mm². */
	readonly bound: number;
	/** Positions looked at. */
	readonly steps: number;
}

/** Whether two rectangles share any area; touching is not overlapping. */
export const overlaps = (a: Rect, b: Rect): boolean =>
	a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.d && b.y < a.y + a.d;

/** Board that no obstruction covers, mm². Obstructions may overlap each other and the edges. */
export function freeArea({ width, depth, obstructions }: PackingProblem): number {
	const inside = obstructions
		.map((o) => ({
			x0: Math.max(0, o.x),
			y0: Math.max(0, o.y),
			x1: Math.min(width, o.x + o.w),
			y1: Math.min(depth, o.y + o.d)
		}))
		.filter((o) => o.x1 > o.x0 && o.y1 > o.y0);
	const xs = [...new Set(inside.flatMap((o) => [o.x0, o.x1]))].sort((a, b) => a - b);
	let blocked = 0;
	for (let i = 1; i < xs.length; i++) {
		const spans = inside
			.filter((o) => o.x0 < xs[i]! && o.x1 > xs[i - 1]!)
			.map((o) => [o.y0, o.y1] as const)
			.sort((a, b) => a[0] - b[0]);
		let reached = -Infinity;
		for (const [from, to] of spans) {
			blocked += Math.max(0, to - Math.max(from, reached)) * (xs[i]! - xs[i - 1]!);
			reached = Math.max(reached, to);
		}
	}
	return width * depth - blocked;
}

/** Area sums are searched whole only for so many pieces: the sums double with each. */
const SUMS_UP_TO = 18;

/** The most that pieces can cover of a free area, each once, whatever their shapes: a subset sum. */
function mostOf(areas: readonly number[], free: number): number {
	const all = areas.reduce((sum, area) => sum + area, 0);
	if (all <= free) return all;
	if (areas.length > SUMS_UP_TO) return free;
	let sums = new Set([0]);
	for (const area of areas) {
		const more = new Set(sums);
		for (const sum of sums) if (sum + area <= free) more.add(sum + area);
		sums = more;
	}
	// There may be more sums than a call takes arguments.
	let most = 0;
	for (const sum of sums) most = Math.max(most, sum);
	return most;
}

/** The most that any packing can cover, mm². Pieces that go in nowhere by their sides do not count. */
export function boundOf(problem: PackingProblem): number {
	const { width, depth, pieces } = problem;
	const areas = pieces
		.filter(({ w, d, turn }) => (w <= width && d <= depth) || (turn && d <= width && w <= depth))
		.map(({ w, d }) => w * d);
	return mostOf(areas, freeArea(problem));
}

/**
 * Lists what is wrong with a packing: written apart from the search.
 * @example faultsOf(problem, [{ piece: 0, x: -1, y: 0, turned: false }]) // ['piece 0 leaves the board']
 */
export function faultsOf(problem: PackingProblem, placed: readonly PlacedPiece[]): string[] {
	const faults: string[] = [];
	const rects = placed.map(({ piece, x, y, turned }): Rect => {
		const { w, d } = problem.pieces[piece]!;
		return turned ? { x, y, w: d, d: w } : { x, y, w, d };
	});
	placed.forEach(({ piece, turned }, i) => {
		const rect = rects[i]!;
		if (turned && !problem.pieces[piece]!.turn) faults.push(`piece ${piece} may not be turned`);
		if (
			rect.x < 0 ||
			rect.y < 0 ||
			rect.x + rect.w > problem.width ||
			rect.y + rect.d > problem.depth
		)
			faults.push(`piece ${piece} leaves the board`);
		if (problem.obstructions.some((o) => overlaps(o, rect)))
			faults.push(`piece ${piece} is on an obstruction`);
		for (let j = 0; j < i; j++) {
			if (placed[j]!.piece === piece) faults.push(`piece ${piece} is placed twice`);
			if (overlaps(rects[j]!, rect))
				faults.push(`piece ${piece} overlaps piece ${placed[j]!.piece}`);
		}
	});
	return faults;
}

/**
 * How a box may be set down: as it stands, turned about its upright, or on any side.
 */
export type Turning = 'none' | 'flat' | 'any';

/** A box that wants a place, sides in whole mm: across, to the back, up. */
export interface Box {
	readonly w: number;
	readonly d: number;
	readonly h: number;
	readonly turning: Turning;
}

/** A box with boxes to go into it: a deep drawer, the basket of a freezer. Sides are inside, in whole mm. */
export interface BoxesProblem {
	readonly width: number;
	readonly depth: number;
	readonly height: number;
	readonly boxes: readonly Box[];
	/** Least share of the bottom of a box that stands on something, 0 to 1. */
	readonly support: number;
	/** What is lower by up to so many mm carries all the same. */
	readonly levelMm: number;
}

/** Where a box stands, with its sides as it is turned: x from the left, y from the front, z from the floor. */
export interface PlacedBox {
	readonly box: number;
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly w: number;
	readonly d: number;
	readonly h: number;
}

export interface BoxesResult {
	/** `proven`: no packing holds more. `open`: the search ended with a gap. */
	readonly status: 'proven' | 'open';
	/** From the bottom up: no box before one that it stands on. */
	readonly placed: readonly PlacedBox[];
	/** Volume of what is in, mm³. */
	readonly volume: number;
	/** No packing holds more than this, mm³. */
	readonly bound: number;
	/** Positions looked at. */
	readonly steps: number;
}

export const volumeOf = ({ w, d, h }: Pick<Box, 'w' | 'd' | 'h'>): number => w * d * h;

/**
 * Lists the ways to set a box down that differ, each as [across, to the back, up]; the way it comes first.
 * @example waysOf({ w: 2, d: 2, h: 3, turning: 'any' }) // [[2, 2, 3], [2, 3, 2], [3, 2, 2]]
 */
export function waysOf({ w, d, h, turning }: Box): (readonly [number, number, number])[] {
	const all: (readonly [number, number, number])[] = [[w, d, h]];
	if (turning !== 'none') all.push([d, w, h]);
	if (turning === 'any') all.push([w, h, d], [h, w, d], [d, h, w], [h, d, w]);
	const known = new Set<string>();
	return all.filter((way) => {
		const key = way.join(' ');
		return known.has(key) ? false : known.add(key);
	});
}

/** Whether a box goes in by itself. */
export const goesIn = ({ width, depth, height }: BoxesProblem, box: Box): boolean =>
	waysOf(box).some(([w, d, h]) => w <= width && d <= depth && h <= height);

/** The most that any packing can hold, mm³: the room, or all boxes that go in by themselves. */
export function boundOf(problem: BoxesProblem): number {
	const room = problem.width * problem.depth * problem.height;
	const all = problem.boxes
		.filter((box) => goesIn(problem, box))
		.reduce((sum, box) => sum + volumeOf(box), 0);
	return Math.min(room, all);
}

const shared = (from: number, to: number, otherFrom: number, otherTo: number) =>
	Math.max(0, Math.min(to, otherTo) - Math.max(from, otherFrom));

/**
 * Lists what is wrong with a packing: written apart from the search.
 * @example faultsOf(problem, [{ box: 0, x: -1, y: 0, z: 0, w: 5, d: 5, h: 5 }]) // ['box 0 leaves the room']
 */
export function faultsOf(problem: BoxesProblem, placed: readonly PlacedBox[]): string[] {
	const faults: string[] = [];
	placed.forEach((one, i) => {
		const { box, x, y, z, w, d, h } = one;
		const ways = waysOf(problem.boxes[box]!);
		if (!ways.some((way) => way[0] === w && way[1] === d && way[2] === h))
			faults.push(`box ${box} may not be set down like that`);
		if (
			Math.min(x, y, z) < 0 ||
			x + w > problem.width ||
			y + d > problem.depth ||
			z + h > problem.height
		)
			faults.push(`box ${box} leaves the room`);
		let carried = z === 0 ? w * d : 0;
		placed.forEach((other, j) => {
			if (j === i) return;
			const floor =
				shared(x, x + w, other.x, other.x + other.w) * shared(y, y + d, other.y, other.y + other.d);
			if (j < i && other.box === box) faults.push(`box ${box} is placed twice`);
			if (j < i && floor * shared(z, z + h, other.z, other.z + other.h) > 0)
				faults.push(`box ${box} overlaps box ${other.box}`);
			const under = z - (other.z + other.h);
			if (z > 0 && under >= 0 && under <= problem.levelMm) {
				carried += floor;
				if (floor && j > i) faults.push(`box ${box} is set down before box ${other.box} under it`);
			}
		});
		if (carried < problem.support * w * d - 1e-6) faults.push(`box ${box} stands on too little`);
	});
	return faults;
}

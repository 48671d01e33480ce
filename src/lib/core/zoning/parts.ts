import type { GroupFigures } from '../grouping';
import { costOf, type Cell } from './cell';
import { SPLIT_NEAR } from './pairs';

const MAX_PARTS = 3;
/** Effort a week of each place more in which a group has to be looked for. */
const SPLIT_EFFORT = 20;

export interface PartsInput {
	readonly figures: GroupFigures;
	/** The group in each nook. */
	readonly row: readonly Cell[];
	/** What each nook takes of litres, ml, front run, mm, and load, g. */
	readonly capacities: readonly (readonly [ml: number, runMm: number, loadG: number])[];
	/** Nooks × nooks, mm. */
	readonly nookToNookMm: Float64Array;
}

/** The nooks that may take a share of a group, were nothing else there. */
export function fitting({ figures, row, capacities }: PartsInput, share: number): number[] {
	return row.flatMap(({ hard }, n) => {
		const [ml, run, load] = capacities[n]!;
		const fits =
			figures.volumeMl * share <= ml &&
			figures.runMm * share <= run &&
			figures.massG * share <= load;
		return !hard && fits ? [n] : [];
	});
}

/** The most parts that a group may go into: no more than it has pieces. */
export const mostParts = ({ pieces }: Pick<GroupFigures, 'pieces'>): number =>
	Math.min(MAX_PARTS, Math.max(1, Math.floor(pieces)));

/** Effort of so many parts in the places that suit them best, were nothing else there; Infinity: there are too few. */
function effortOf(input: PartsInput, count: number): number {
	const { row, nookToNookMm } = input;
	const N = row.length;
	const left = new Set(fitting(input, 1 / count));
	const taken: number[] = [];
	let sum = (count - 1) * SPLIT_EFFORT;
	for (let part = 0; part < count; part++) {
		let best = -1;
		let least = Infinity;
		for (const n of left) {
			const apart = taken.reduce((total, m) => total + nookToNookMm[n * N + m]!, 0) / 1000;
			const cost = costOf(row[n]!, 1 / count) + SPLIT_NEAR * apart;
			if (cost < least) [best, least] = [n, cost];
		}
		if (best < 0) return Infinity;
		sum += least;
		taken.push(best);
		left.delete(best);
	}
	return sum;
}

/**
 * Says into how many equal parts a group goes, one to three: as many as cost least where nothing else stood, with a
 * price on every place more. A group that would fit whole somewhere far off is kept in parts near its use; one of so
 * many pieces is never in more parts. What fits nowhere so goes into the fewest parts that fit at all. Ties: fewer.
 */
export function partsFor(input: PartsInput): number {
	const most = mostParts(input.figures);
	const counts = Array.from({ length: most }, (_, i) => i + 1);
	const whole = effortOf(input, 1);
	// No parts together cost less than all of it in the cheapest place there is, were that large enough.
	const floor = input.row.reduce((least, cell) => Math.min(least, costOf(cell, 1)), Infinity);
	if (whole <= floor + SPLIT_EFFORT) return 1;
	const efforts = counts.map((count) => (count === 1 ? whole : effortOf(input, count)));
	const least = Math.min(...efforts);
	if (least < Infinity) return efforts.indexOf(least) + 1;
	return counts.find((count) => fitting(input, 1 / count).length) ?? most;
}

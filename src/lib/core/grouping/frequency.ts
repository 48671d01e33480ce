import type { GroupFigures } from './aggregate';

/** One bar of the frequency chart. */
export interface FrequencyRow {
	readonly groupId: string;
	readonly usesPerWeek: number;
	/** What it takes up: pieces, or litres. */
	readonly size: number;
	/** Share of all fetches that this group and those before it make, 0 to 1. */
	readonly usesSoFar: number;
	/** Share of all that is stored that these take, 0 to 1. */
	readonly sizeSoFar: number;
}

/**
 * Sorts groups by their fetches, the most first (ties by id), with the running shares of fetches and of what is
 * stored: the few that make most of the fetches get the best nooks.
 * @example frequencyRows(figures, 'litres').find((row) => row.usesSoFar >= 0.8) // where four fifths are reached
 */
export function frequencyRows(
	figures: readonly GroupFigures[],
	of: 'pieces' | 'litres'
): FrequencyRow[] {
	const sizeOf = (f: GroupFigures) => (of === 'pieces' ? f.pieces : f.volumeMl / 1000);
	const uses = figures.reduce((sum, f) => sum + f.usesPerWeek, 0);
	const size = figures.reduce((sum, f) => sum + sizeOf(f), 0);
	let [usesSum, sizeSum] = [0, 0];
	return [...figures]
		.sort((a, b) => b.usesPerWeek - a.usesPerWeek || (a.groupId < b.groupId ? -1 : 1))
		.map((f) => {
			usesSum += f.usesPerWeek;
			sizeSum += sizeOf(f);
			return {
				groupId: f.groupId,
				usesPerWeek: f.usesPerWeek,
				size: sizeOf(f),
				usesSoFar: uses ? usesSum / uses : 0,
				sizeSoFar: size ? sizeSum / size : 0
			};
		});
}

/** Counts how many of the most used groups make at least `share` of all fetches. */
export function fewMostUsed(rows: readonly FrequencyRow[], share: number): number {
	const at = rows.findIndex((row) => row.usesSoFar >= share - 1e-12);
	return at < 0 ? rows.length : at + 1;
}

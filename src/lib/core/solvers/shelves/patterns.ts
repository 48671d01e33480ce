import { gapsOf, holesIn, type ShelvesProblem } from './problem';

/** A way to set the shelves, by what it can hold: heights of its levels in classes, the tallest first. */
export interface Pattern {
	readonly holes: readonly number[];
	/** For each level from the tallest down, how many groups (in order of height, the tallest first) are too tall for it. */
	readonly tooTall: readonly number[];
}

/**
 * Lists the ways to set the shelves of which none can hold all that another one of as many or fewer shelves can.
 * Levels in another order hold the same, so that heights decide, not positions. `clears` are the groups' clear heights, the
 * tallest first. Of equal ones the first by holes stays.
 */
export function patternsOf(problem: ShelvesProblem, clears: readonly number[]): Pattern[] {
	const count = holesIn(problem);
	const { pitchMm, firstHoleMm, thicknessMm, heightMm, maxShelves, allWithMm } = problem;
	// A level that is too low for anything is no level.
	const lowest = allWithMm ?? clears.at(-1) ?? Infinity;
	const tooTallFor = (gap: number): number => {
		let k = 0;
		while (k < clears.length && clears[k]! > gap) k++;
		return k;
	};
	const found = new Map<string, Pattern>();
	const add = (holes: readonly number[]) => {
		const gaps = gapsOf(problem, holes);
		if (
			allWithMm !== undefined &&
			(holes.length < maxShelves || gaps.some((gap) => gap < allWithMm))
		)
			return;
		const tooTall = gaps.map(tooTallFor).sort((a, b) => a - b);
		const key = tooTall.join(',');
		if (!found.has(key)) found.set(key, { holes, tooTall });
	};
	// The middle levels are set from the tallest down: in another order they hold the same.
	const least = Math.max(1, Math.ceil((lowest + thicknessMm) / pitchMm));
	const rest = (holes: number[], left: number, most: number) => {
		add(holes);
		if (left === 0) return;
		const last = holes.at(-1)!;
		for (let up = Math.min(most, count - 1 - last); up >= least; up--)
			rest([...holes, last + up], left - 1, up);
	};
	add([]);
	for (let hole = 0; hole < count && maxShelves > 0; hole++)
		if (firstHoleMm + hole * pitchMm - thicknessMm >= Math.min(lowest, heightMm))
			rest([hole], maxShelves - 1, count);
	return undominated([...found.values()]);
}

/** Those of which no other, of as many shelves or fewer, has levels at least as tall one by one. */
function undominated(patterns: readonly Pattern[]): Pattern[] {
	const byShelves = [...patterns].sort(
		(a, b) => a.holes.length - b.holes.length || sum(a.tooTall) - sum(b.tooTall)
	);
	const kept: Pattern[] = [];
	for (const pattern of byShelves)
		if (!kept.some((other) => holdsAll(other, pattern))) kept.push(pattern);
	return kept;
}
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
const holdsAll = (a: Pattern, b: Pattern): boolean =>
	a.tooTall.length >= b.tooTall.length &&
	b.tooTall.every((tooTall, level) => a.tooTall[level]! <= tooTall);

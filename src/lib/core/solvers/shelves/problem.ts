/** A cabinet whose shelves move, and groups that stand whole on one level each. */
export interface ShelvesProblem {
	/** Inside height and front width, mm. */
	readonly heightMm: number;
	readonly widthMm: number;
	/** A shelf at hole `i` has its top at `firstHoleMm + i × pitchMm`, and is so thick below it. */
	readonly pitchMm: number;
	readonly firstHoleMm: number;
	readonly thicknessMm: number;
	/** At most so many shelves. */
	readonly maxShelves: number;
	/** All of them are used, and no level is lower than this, mm; left out: as few as hold most, at any height. */
	readonly allWithMm?: number;
	readonly groups: readonly ShelfGroup[];
}
export interface ShelfGroup {
	/** Clear height that it wants, mm. */
	readonly clearMm: number;
	/** Front that it takes, mm. */
	readonly runMm: number;
	/** What it is worth to have it in; not negative. */
	readonly value: number;
}

export interface ShelvesResult {
	/** `proven`: no shelves hold more. `open`: the search ended with a gap. */
	readonly status: 'proven' | 'open';
	readonly value: number;
	/** No shelves hold more value than this. */
	readonly bound: number;
	/** Holes of the shelves, from below. */
	readonly holes: readonly number[];
	/** Groups on each level: the cabinet's floor, then each shelf. */
	readonly levels: readonly (readonly number[])[];
	readonly steps: number;
}

/** Clear heights of the levels that shelves at some holes make, from the floor up, mm. */
export function gapsOf(problem: ShelvesProblem, holes: readonly number[]): number[] {
	const { heightMm, firstHoleMm, pitchMm, thicknessMm } = problem;
	const tops = holes.map((hole) => firstHoleMm + hole * pitchMm);
	const floors = [0, ...tops];
	const ceilings = [...tops.map((top) => top - thicknessMm), heightMm];
	return floors.map((floor, i) => ceilings[i]! - floor);
}

/** Holes that a cabinet has, counted from the lowest. */
export const holesIn = ({ heightMm, firstHoleMm, pitchMm }: ShelvesProblem): number =>
	Math.max(0, Math.floor((heightMm - 1 - firstHoleMm) / pitchMm) + 1);

/** Lists what is wrong with shelves and what stands on them: written apart from the search. */
export function shelfFaultsOf(
	problem: ShelvesProblem,
	holes: readonly number[],
	levels: readonly (readonly number[])[]
): string[] {
	const faults: string[] = [];
	if (holes.length > problem.maxShelves) faults.push('too many shelves');
	if (levels.length !== holes.length + 1) faults.push('a level for the floor and each shelf');
	holes.forEach((hole, i) => {
		if (hole < 0 || hole >= holesIn(problem)) faults.push(`no hole ${hole}`);
		if (i && hole <= holes[i - 1]!) faults.push(`hole ${hole} is not above the one before`);
	});
	const gaps = gapsOf(problem, holes);
	gaps.forEach((gap, i) => gap < 0 && faults.push(`level ${i} has no height`));
	if (problem.allWithMm !== undefined) {
		if (holes.length < problem.maxShelves) faults.push('a shelf is left out');
		if (gaps.some((gap) => gap < problem.allWithMm!)) faults.push('a level is too low');
	}
	const seen = new Set<number>();
	levels.forEach((groups, level) => {
		let run = 0;
		for (const g of groups) {
			const group = problem.groups[g]!;
			if (seen.has(g)) faults.push(`group ${g} stands twice`);
			seen.add(g);
			if (group.clearMm > gaps[level]!) faults.push(`group ${g} is too tall for level ${level}`);
			run += group.runMm;
		}
		if (run > problem.widthMm) faults.push(`level ${level} is too full`);
	});
	return faults;
}

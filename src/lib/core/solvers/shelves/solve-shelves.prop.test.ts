import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gapsOf, holesIn, shelfFaultsOf, solveShelves, type ShelvesProblem } from '.';

const cabinets = (groups: number, all = false): fc.Arbitrary<ShelvesProblem> =>
	fc.record({
		heightMm: fc.integer({ min: 200, max: 460 }),
		widthMm: fc.integer({ min: 200, max: 500 }),
		pitchMm: fc.constantFrom(32, 50),
		firstHoleMm: fc.integer({ min: 20, max: 130 }),
		thicknessMm: fc.constantFrom(16, 18),
		maxShelves: fc.integer({ min: 0, max: 2 }),
		...(all ? { allWithMm: fc.integer({ min: 20, max: 120 }) } : {}),
		groups: fc.array(
			fc.record({
				clearMm: fc.integer({ min: 30, max: 300 }),
				runMm: fc.integer({ min: 40, max: 320 }),
				value: fc.integer({ min: 0, max: 9 })
			}),
			{ maxLength: groups }
		)
	});

/** Every set of holes and every way to put the groups on levels. */
function byHand(problem: ShelvesProblem): { value: number; shelves: number } | null {
	let best = { value: 0, shelves: problem.allWithMm === undefined ? 0 : problem.maxShelves };
	let isPossible = false;
	const tryHoles = (holes: number[]) => {
		const gaps = gapsOf(problem, holes);
		const { allWithMm, maxShelves } = problem;
		const isWhole =
			allWithMm === undefined ||
			(holes.length === maxShelves && gaps.every((gap) => gap >= allWithMm));
		if (gaps.every((gap) => gap >= 0) && isWhole) {
			isPossible = true;
			const left = gaps.map(() => problem.widthMm);
			const put = (g: number, value: number) => {
				const group = problem.groups[g];
				if (!group) {
					if (value > best.value || (value === best.value && holes.length < best.shelves))
						best = { value, shelves: holes.length };
					return;
				}
				put(g + 1, value);
				gaps.forEach((gap, level) => {
					if (gap < group.clearMm || left[level]! < group.runMm) return;
					left[level]! -= group.runMm;
					put(g + 1, value + group.value);
					left[level]! += group.runMm;
				});
			};
			put(0, 0);
		}
		if (holes.length === problem.maxShelves) return;
		for (let hole = (holes.at(-1) ?? -1) + 1; hole < holesIn(problem); hole++)
			tryHoles([...holes, hole]);
	};
	tryHoles([]);
	return isPossible ? best : null;
}

describe('solveShelves', () => {
	it('holds as much as every way tried by hand, with as few shelves', () => {
		fc.assert(
			fc.property(cabinets(5), (problem) => {
				const { status, value, bound, holes } = solveShelves(problem);
				expect({ status, value, bound, shelves: holes.length }).toEqual({
					...byHand(problem),
					status: 'proven',
					bound: value
				});
			}),
			{ numRuns: 150 }
		);
	});

	it('uses every board, none too low for a hand, where that is asked', () => {
		let possible = 0;
		fc.assert(
			fc.property(cabinets(4, true), (problem) => {
				const { value, holes, levels } = solveShelves(problem);
				const best = byHand(problem);
				if (!best) {
					expect(value).toBe(0);
					return;
				}
				possible++;
				expect({ value, shelves: holes.length }).toEqual(best);
				expect(shelfFaultsOf(problem, holes, levels)).toEqual([]);
			}),
			{ numRuns: 150, seed: 8 }
		);
		expect(possible).toBeGreaterThan(50);
	});

	it('never breaks a rule, and is worth what its levels hold, however short the search', () => {
		fc.assert(
			fc.property(cabinets(14), fc.integer({ min: 0, max: 400 }), (problem, steps) => {
				const { value, bound, holes, levels } = solveShelves(problem, { steps });
				expect(shelfFaultsOf(problem, holes, levels)).toEqual([]);
				expect(levels.flat().reduce((sum, g) => sum + problem.groups[g]!.value, 0)).toBe(value);
				expect(bound).toBeGreaterThanOrEqual(value);
			}),
			{ numRuns: 200 }
		);
	});

	it('is not worth less with a higher cabinet', () => {
		fc.assert(
			fc.property(cabinets(6), (problem) => {
				const { pitchMm, heightMm } = problem;
				const higher = { ...problem, heightMm: heightMm + pitchMm };
				expect(solveShelves(higher).value).toBeGreaterThanOrEqual(solveShelves(problem).value);
			}),
			{ numRuns: 100 }
		);
	});

	it('sets a shelf where a second tall row goes in', () => {
		const tall = { clearMm: 300, runMm: 500, value: 1 };
		const { value, holes } = solveShelves({
			heightMm: 720,
			widthMm: 560,
			pitchMm: 32,
			firstHoleMm: 64,
			thicknessMm: 18,
			maxShelves: 1,
			groups: [tall, tall]
		});
		expect(value).toBe(2);
		expect(holes).toHaveLength(1);
	});
});

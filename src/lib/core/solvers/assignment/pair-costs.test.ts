import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { problemArb } from './assignment.arb';
import { PairSplit } from './pair-costs';
import { objectiveOf, violations } from './problem';

const scenes = problemArb(5, 4).chain((problem) => {
	const { G, N } = problem;
	const cells = fc.array(fc.boolean(), { minLength: G * N, maxLength: G * N });
	return fc.record({
		problem: fc.constant(problem),
		/** Which places are still open; those that cost Infinity never are. */
		open: cells.map((list) =>
			Uint8Array.from(list, (one, cell) => Number(one && problem.cost[cell] !== Infinity))
		),
		fixedAt: fc.array(fc.integer({ min: -1, max: N }), { minLength: G, maxLength: G }),
		ways: fc.array(
			fc.array(fc.integer({ min: 0, max: 60 }), {
				minLength: G * (N + 1),
				maxLength: G * (N + 1)
			}),
			{ maxLength: 3 }
		)
	});
});

describe('the split of what pairs cost', () => {
	it('never charges a plan more than its pairs cost, however often it was levelled', () => {
		fc.assert(
			fc.property(scenes, ({ problem, open, fixedAt, ways }) => {
				const { G, N } = problem;
				const split = new PairSplit(problem);
				// A part is fixed only where it may still go, or to overflow.
				const fixed = Int32Array.from(fixedAt, (n, g) => (n === N || open[g * N + n] ? n : -1));
				let costs = split.charge(open, fixed);
				for (const list of ways) {
					split.level(Float64Array.from(list), 5, open, fixed);
					costs = split.charge(open, fixed);
				}
				const assignment = new Int32Array(G).fill(-1);
				const step = (g: number): void => {
					if (g === G) {
						if (violations(problem, assignment).length) return;
						const charged = [...assignment].reduce(
							(sum, n, part) => sum + (n < 0 ? costs.spill[part]! : costs.linear[part * N + n]!),
							0
						);
						expect(charged).toBeLessThanOrEqual(objectiveOf(problem, assignment) + 1e-6);
						return;
					}
					for (let n = -1; n < N; n++) {
						if (n >= 0 && !open[g * N + n]) continue;
						if (fixed[g]! >= 0 && fixed[g] !== (n < 0 ? N : n)) continue;
						assignment[g] = n;
						step(g + 1);
					}
				};
				step(0);
			}),
			{ seed: 73, numRuns: 150 }
		);
	});
	it('comes back to a split that was saved', () => {
		fc.assert(
			fc.property(scenes, ({ problem, open, ways }) => {
				const fixed = new Int32Array(problem.G).fill(-1);
				const split = new PairSplit(problem);
				const before = split.charge(open, fixed);
				const saved = split.save();
				for (const list of ways) split.level(Float64Array.from(list), 5, open, fixed);
				split.restore(saved);
				expect(split.charge(open, fixed)).toEqual(before);
			}),
			{ seed: 74, numRuns: 50 }
		);
	});
});

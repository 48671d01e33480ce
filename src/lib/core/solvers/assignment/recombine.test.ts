import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { problemArb } from './assignment.arb';
import { Layout } from './layout';
import { objectiveOf, violations, type Assignment, type AssignmentProblem } from './problem';
import { recombine } from './recombine';

/** A plan that keeps the rules and is no good: each part in the first nook with room, counted from a different one. */
function anyPlan(problem: AssignmentProblem, from: number): Assignment {
	const layout = new Layout(problem);
	for (let g = 0; g < problem.G; g++) {
		const nooks = Array.from({ length: problem.N }, (_, i) => (i + from * (g + 1)) % problem.N);
		layout.place(g, nooks.find((n) => layout.fits(g, n)) ?? -1);
	}
	return layout.assignment;
}

/** The least that a plan costs which has each part where one of the two has it, and keeps the rules. */
function leastMixture(problem: AssignmentProblem, first: Assignment, second: Assignment): number {
	const moved = [...first.keys()].filter((g) => first[g] !== second[g]);
	let least = Infinity;
	for (let set = 0; set < 1 << moved.length; set++) {
		const plan = first.slice();
		moved.forEach((g, i) => (set & (1 << i) ? (plan[g] = second[g]!) : undefined));
		if (!violations(problem, plan).length) least = Math.min(least, objectiveOf(problem, plan));
	}
	return least;
}

describe('the better side of each difference between two plans', () => {
	it('keeps every rule, is no worse than either alone would be, and mixes nothing else in', () => {
		let better = 0;
		fc.assert(
			fc.property(problemArb(5, 10, false), fc.nat(4), (problem, from) => {
				const first = anyPlan(problem, from);
				const second = anyPlan(problem, from + 1);
				const plan = recombine(problem, first, second);
				expect(violations(problem, plan)).toEqual([]);
				plan.forEach((n, g) => expect([first[g], second[g]]).toContain(n));
				const value = objectiveOf(problem, plan);
				expect(value).toBeLessThanOrEqual(objectiveOf(problem, first) + 1e-9);
				expect(value).toBeGreaterThanOrEqual(leastMixture(problem, first, second) - 1e-9);
				if (value < Math.min(objectiveOf(problem, first), objectiveOf(problem, second)) - 1e-9)
					better++;
			}),
			{ seed: 31, numRuns: 300 }
		);
		expect(better).toBeGreaterThan(20);
	});
	it('takes one chain from the first plan and another from the second', () => {
		// Two rooms of two nooks, two parts in each that may change places; either plan has one pair right.
		const problem: AssignmentProblem = {
			G: 4,
			N: 4,
			K: 1,
			demand: new Float64Array(16).fill(1),
			capacity: new Float64Array(4).fill(1),
			cost: Float64Array.from([0, 5, 9, 9, 5, 0, 9, 9, 9, 9, 0, 5, 9, 9, 5, 0]),
			overflow: new Float64Array(4).fill(100),
			pairs: [],
			distance: new Float64Array(16),
			kinds: new Uint8Array(4),
			conflicts: new Uint8Array(4),
			apart: null,
			mixing: null
		};
		const first = Int32Array.from([0, 1, 3, 2]);
		const second = Int32Array.from([1, 0, 2, 3]);
		expect([...recombine(problem, first, second)]).toEqual([0, 1, 2, 3]);
		expect([...recombine(problem, second, first)]).toEqual([0, 1, 2, 3]);
	});
});

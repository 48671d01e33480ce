import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { choiceCost, solveChoice, type ChoiceProblem, type Stands } from '.';

const KINDS = 3;
const problems: fc.Arbitrary<ChoiceProblem> = fc.record({
	wants: fc.array(
		fc.array(
			fc.record({
				cost: fc.integer({ min: 0, max: 900 }),
				floor: fc.integer({ min: 0, max: 9 }),
				mass: fc.integer({ min: 0, max: 9 }),
				uses: fc.uniqueArray(
					fc.tuple(fc.integer({ min: 0, max: KINDS - 1 }), fc.integer({ min: 1, max: 4 })),
					{ maxLength: 2, selector: ([kind]) => kind }
				)
			}),
			{ minLength: 1, maxLength: 4 }
		),
		{ maxLength: 5 }
	),
	owned: fc.array(fc.integer({ min: 0, max: 5 }), { minLength: KINDS, maxLength: KINDS }),
	price: fc.array(fc.integer({ min: 50, max: 400 }), { minLength: KINDS, maxLength: KINDS }),
	perKind: fc.constantFrom(0, 60),
	floor: fc.integer({ min: 1, max: 40 }),
	load: fc.integer({ min: 1, max: 40 })
});
/** Of two wants some pairs of ways never stand together. */
const pairs = fc.uniqueArray(
	fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 3 })),
	{ maxLength: 6, selector: (pair) => pair.join() }
);
const standsBeside =
	(never: readonly (readonly [number, number])[]) =>
	(chosen: readonly number[]): boolean =>
		!never.some(([a, b]) => chosen.some((at, i) => at === a && chosen[i + 1] === b));

function byHand(
	problem: ChoiceProblem,
	goes: (chosen: readonly number[]) => boolean,
	together: (chosen: readonly number[]) => number = () => 0
): number {
	const { wants, floor, load } = problem;
	let best = Infinity;
	const choose = (chosen: number[], taken: number, mass: number) => {
		if (taken > floor || mass > load) return;
		const ways = wants[chosen.length];
		if (!ways) {
			if (goes(chosen)) best = Math.min(best, choiceCost(problem, chosen) + together(chosen));
			return;
		}
		ways.forEach((way, at) => choose([...chosen, at], taken + way.floor, mass + way.mass));
	};
	choose([], 0, 0);
	return best;
}

describe('solveChoice', () => {
	it('finds the cheapest choice that stands, and proves it', () => {
		fc.assert(
			fc.property(problems, pairs, (problem, never) => {
				const goes = standsBeside(never);
				const { status, objective, bound, chosen } = solveChoice(problem, (some) =>
					goes(some) ? 'stands' : 'cannot'
				);
				const best = byHand(problem, goes);
				expect(objective).toBeCloseTo(best, 6);
				expect(status).toBe(best === Infinity ? 'none' : 'proven');
				expect(bound).toBeCloseTo(best, 6);
				if (chosen) expect(choiceCost(problem, chosen)).toBeCloseTo(best, 6);
			}),
			{ numRuns: 500 }
		);
	});
	it('counts what a choice costs as it stands', () => {
		fc.assert(
			fc.property(
				problems,
				pairs,
				fc.array(fc.integer({ min: 0, max: 300 }), { minLength: 8, maxLength: 8 }),
				fc.boolean(),
				(problem, never, costs, hasStart) => {
					const goes = standsBeside(never);
					const together = (chosen: readonly number[]) =>
						costs[chosen.reduce((sum, at, i) => sum + at * (i + 1), 0) % costs.length]!;
					const ask = (some: readonly number[]) => (goes(some) ? 'stands' : 'cannot');
					const start = hasStart ? solveChoice(problem, ask).chosen : null;
					const options = { nodes: 4000, asks: 2000, together, start };
					const { objective, chosen } = solveChoice(problem, ask, options);
					expect(objective).toBeCloseTo(byHand(problem, goes, together), 6);
					if (chosen) expect(choiceCost(problem, chosen) + together(chosen)).toBe(objective);
				}
			),
			{ numRuns: 300 }
		);
	});
	it('has a bound that holds however short the search, and whatever stays in doubt', () => {
		fc.assert(
			fc.property(
				problems,
				pairs,
				fc.integer({ min: 0, max: 20 }),
				fc.integer({ min: 0, max: 20 }),
				(problem, never, nodes, asks) => {
					const goes = standsBeside(never);
					let asked = 0;
					const answer = (some: readonly number[]): Stands =>
						asked++ % 3 === 2 ? 'open' : goes(some) ? 'stands' : 'cannot';
					const { status, chosen, objective, bound } = solveChoice(problem, answer, {
						nodes,
						asks
					});
					const best = byHand(problem, goes);
					expect(bound).toBeLessThanOrEqual(best + 1e-6);
					expect(objective).toBeGreaterThanOrEqual(best - 1e-6);
					expect(asked).toBeLessThanOrEqual(asks);
					if (chosen) expect(goes(chosen)).toBe(true);
					if (status === 'proven') expect(objective).toBeCloseTo(best, 6);
					if (status === 'none') expect(best).toBe(Infinity);
				}
			),
			{ numRuns: 500 }
		);
	});
	it('keeps a start that nothing beats', () => {
		const way = (cost: number) => ({ cost, floor: 1, mass: 1, uses: [] });
		const problem: ChoiceProblem = {
			wants: [[way(5), way(3)], [way(2)]],
			owned: [],
			price: [],
			perKind: 0,
			floor: 9,
			load: 9
		};
		const result = solveChoice(problem, (some) => (some[0] === 1 ? 'cannot' : 'stands'), {
			start: [0, 0],
			nodes: 100,
			asks: 100
		});
		expect(result).toEqual({ status: 'proven', chosen: [0, 0], objective: 7, bound: 7 });
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KnapsackSubproblem } from './knapsack';
import { Relaxation, type Relaxable } from './relaxation';

const MOST = 8;
const gameArb = fc
	.record({
		N: fc.integer({ min: 1, max: 4 }),
		parts: fc.array(
			fc.record({
				weight: fc.integer({ min: 1, max: 40 }),
				price: fc.integer({ min: 0, max: 60 }),
				costs: fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 5, maxLength: 5 })
			}),
			{ minLength: 1, maxLength: MOST }
		),
		rooms: fc.array(fc.integer({ min: 0, max: 120 }), { minLength: 4, maxLength: 4 })
	})
	.map(({ N, parts, rooms }) => {
		const G = parts.length;
		const M = N + 1;
		const own = Int32Array.from(parts, ({ weight }) => weight);
		const knapsacks = {
			weights: Array.from({ length: N }, () => own),
			rooms: Int32Array.from(rooms.slice(0, N))
		};
		const model: Relaxable = {
			G,
			M,
			cost: Float64Array.from(parts.flatMap(({ costs }) => costs.slice(0, M))),
			...knapsacks,
			nook: new KnapsackSubproblem(knapsacks)
		};
		return { model, prices: parts.map(({ price }) => price) };
	});

/** The least of the relaxed problem at given prices, every filling of every nook tried. */
function leastByHand({ G, M, cost, weights, rooms }: Relaxable, prices: readonly number[]): number {
	let value = prices.reduce((sum, price) => sum + price, 0);
	for (let m = 0; m < M; m++) {
		let best = 0;
		for (let filling = 0; filling < 1 << G; filling++) {
			let room = rooms[m] ?? Infinity;
			let profit = 0;
			for (let g = 0; g < G; g++)
				if (filling & (1 << g)) {
					room -= weights[m]?.[g] ?? 0;
					profit += prices[g]! - cost[g * M + m]!;
				}
			if (room >= 0) best = Math.max(best, profit);
		}
		value -= best;
	}
	return value;
}

describe('the relaxed problem', () => {
	it('is solved at any prices, wide rooms with few things and narrow ones with many', () => {
		let wide = 0;
		fc.assert(
			fc.property(gameArb, ({ model, prices }) => {
				const relaxation = new Relaxation(model);
				relaxation.price.set(prices);
				const free = new Int32Array(model.G).fill(-1);
				const value = relaxation.climb(model.cost, model.rooms, free, {
					rounds: 1,
					known: 1000,
					enough: Infinity
				});
				expect(value).toBeCloseTo(leastByHand(model, prices), 6);
				if (model.rooms.some((room) => room > 4 * model.G)) wide++;
			}),
			{ seed: 98, numRuns: 300 }
		);
		expect(wide).toBeGreaterThan(100);
	});
	it('takes each part of the best filling where it says', () => {
		fc.assert(
			fc.property(gameArb, ({ model, prices }) => {
				const { G, M, cost, weights, rooms } = model;
				const relaxation = new Relaxation(model);
				relaxation.price.set(prices);
				const free = new Int32Array(G).fill(-1);
				const value = relaxation.climb(cost, rooms, free, {
					rounds: 1,
					known: 1000,
					enough: Infinity
				});
				// Where every part was taken just once, its fillings are a plan, and the bound is what that costs.
				if (!relaxation.taken.every((times) => times === 1)) return;
				const at = [...relaxation.takenAt];
				const sum = at.reduce((total, m, g) => total + cost[g * M + m]!, 0);
				expect(value).toBeCloseTo(sum, 6);
				for (let m = 0; m < M - 1; m++) {
					const used = at.reduce((total, to, g) => total + (to === m ? weights[m]![g]! : 0), 0);
					expect(used).toBeLessThanOrEqual(rooms[m]!);
				}
			}),
			{ seed: 99, numRuns: 300 }
		);
	});
});

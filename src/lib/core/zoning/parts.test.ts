import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Cell } from './cell';
import { partsFor } from './parts';

const cell = (effort: number, hard: Cell['hard'] = null): Cell => ({
	hard,
	reach: { band: 'easy', factor: 1 } as Cell['reach'],
	walkM: 0,
	parts: { walk: effort, reach: 0, soft: [], habit: 0 }
});
/** Nooks in a row a metre apart: the effort of the whole group in each, and what each takes, ml. */
const parts = (ml: number, pieces: number, nooks: readonly (readonly [number, number])[]) =>
	partsFor({
		figures: { volumeMl: ml, runMm: 0, massG: 0, pieces } as never,
		row: nooks.map(([effort]) => cell(effort, effort === Infinity ? 'too-tall' : null)),
		capacities: nooks.map(([, room]) => [room, 1e6, 1e6]),
		nookToNookMm: Float64Array.from(
			{ length: nooks.length ** 2 },
			(_, i) => 1000 * Math.abs(Math.floor(i / nooks.length) - (i % nooks.length))
		)
	});

describe('into how many parts a group goes', () => {
	it('is one where a near place takes all of it', () =>
		expect(
			parts(30, 9, [
				[10, 40],
				[12, 20],
				[11, 20]
			])
		).toBe(1));
	it('is more where only a far place does: towels stay in the bathroom', () =>
		expect(
			parts(60, 9, [
				[400, 90],
				[50, 25],
				[60, 25],
				[55, 25]
			])
		).toBe(3));
	it('is not more for a little: every place more has to be looked into', () =>
		expect(
			parts(30, 9, [
				[60, 40],
				[45, 20],
				[45, 20]
			])
		).toBe(1));
	it('is never more than it has pieces', () => {
		const nooks = [
			[400, 90],
			[50, 25],
			[60, 25],
			[55, 35]
		] as const;
		expect([9, 2, 1].map((pieces) => parts(60, pieces, nooks))).toEqual([3, 2, 1]);
	});
	it('is the fewest that fit at all where there are not enough places', () => {
		expect(parts(60, 9, [[50, 25]])).toBe(3);
		expect(
			parts(40, 9, [
				[50, 25],
				[Infinity, 90]
			])
		).toBe(2);
		expect(parts(600, 9, [[50, 25]])).toBe(3);
	});
	it('never asks for more or other places than there are', () => {
		const nook = fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 1, max: 60 }));
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 120 }),
				fc.integer({ min: 1, max: 5 }),
				fc.array(nook, { minLength: 1, maxLength: 6 }),
				(ml, pieces, nooks) => {
					const count = parts(ml, pieces, nooks);
					const places = (k: number) => nooks.filter(([, room]) => room >= ml / k).length;
					expect(count).toBeLessThanOrEqual(Math.min(3, pieces));
					const some = [1, 2, 3].some((k) => k <= pieces && places(k) >= k);
					if (some) expect(places(count)).toBeGreaterThanOrEqual(count);
				}
			),
			{ seed: 181 }
		);
	});
});

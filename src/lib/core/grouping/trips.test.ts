import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tripsOf } from './trips';

const hob = new Map([['hob' as const, 1]]);
const uses = fc.array(fc.double({ min: 0, max: 20, noNaN: true }), { maxLength: 25 });

describe('trips to a group', () => {
	it('of one thing are its uses', () => {
		expect(tripsOf([3], hob)).toBeCloseTo(3);
		expect(tripsOf([20], hob)).toBeCloseTo(20);
	});
	it('of twenty spices are hardly more than the occasions of cooking', () => {
		const trips = tripsOf(Array<number>(20).fill(2.3), hob);
		expect(trips).toBeGreaterThan(8);
		expect(trips).toBeLessThanOrEqual(9);
	});
	it('are none without uses, and count as usual without a station', () => {
		expect(tripsOf([], hob)).toBe(0);
		expect(tripsOf([0, 0], hob)).toBe(0);
		expect(tripsOf([1, 1], new Map())).toBeGreaterThan(1);
	});
	it('are at least those of the most used thing, at most all uses, and grow with each thing', () =>
		fc.assert(
			fc.property(uses, fc.double({ min: 0, max: 20, noNaN: true }), (list, more) => {
				const trips = tripsOf(list, hob);
				expect(trips).toBeGreaterThanOrEqual(Math.max(0, ...list) - 1e-9);
				expect(trips).toBeLessThanOrEqual(list.reduce((sum, u) => sum + u, 0) + 1e-9);
				expect(tripsOf([...list, more], hob)).toBeGreaterThanOrEqual(trips - 1e-9);
			}),
			{ seed: 61 }
		));
});

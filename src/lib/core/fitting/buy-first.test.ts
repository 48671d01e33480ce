import { describe, expect, it } from 'vitest';
import { buyFirst } from './buy-first';
import type { Arrangement, FitResult } from './fit';

const way = (costMinor: number, discomfort: number, litresOver = 0) =>
	({
		name: 'calm',
		costMinor,
		discomfort,
		leftOver: litresOver ? [{ volumeMl: litresOver * 1000 }] : [],
		toBuy: costMinor ? [{ kindId: 'bin', count: 1 }] : []
	}) as unknown as Arrangement;
const place = (nookId: string, ...arrangements: Arrangement[]) =>
	({ status: 'fitted', nookId, arrangements, tooBig: [], fingerprint: '' }) as FitResult;

describe('what to buy first', () => {
	const results = [
		place('calm-shelf', way(400, 100), way(0, 500)),
		place('full-shelf', way(1000, 100), way(0, 100, 2)),
		place('no-other', way(200, 50)),
		place('free', way(0, 10)),
		{ status: 'nothing-to-fit', nookId: 'empty' } as FitResult
	];
	const order = buyFirst(results);
	it('is where a sum brings most for what is spent: litres before comfort', () => {
		expect(order.map(({ nookId }) => nookId)).toEqual(['full-shelf', 'calm-shelf', 'no-other']);
		expect(order.map(({ gain }) => gain)).toEqual([10_000, 400, 0]);
	});
	it('adds up, and leaves out what costs nothing', () => {
		expect(order.map(({ sumMinor }) => sumMinor)).toEqual([1000, 1400, 1600]);
		expect(buyFirst([])).toEqual([]);
	});
	it('is the same whatever the order of the places', () => {
		expect(buyFirst([...results].reverse())).toEqual(order);
	});
});

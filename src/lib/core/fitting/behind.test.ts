import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { NOW } from '../fixtures/tiny-home';
import type { Standing } from '../model';
import { standsBehind } from './behind';

const home = demoHome(NOW);
const SHELF = 'larder-4';
const DRAWER = Object.values(home.nooks).find(({ kind }) => kind === 'drawer')!.id;
const row = (id: string, xMm: number, yMm: number, heightMm = 200) =>
	({
		id,
		groupId: 'g',
		names: [],
		holds: [],
		xMm,
		yMm,
		widthMm: 100,
		depthMm: 80,
		heightMm
	}) as unknown as Standing;
const behind = (nookId: string, ...standing: Standing[]) => [
	...standsBehind(home, nookId, { placements: [], standing })
];

describe('what stands behind something', () => {
	it('is hidden by more than half by what is about as high', () => {
		expect(behind(SHELF, row('front', 0, 0), row('back', 0, 100))).toEqual(['back']);
		expect(behind(SHELF, row('front', 0, 0), row('back', 40, 100))).toEqual(['back']);
		expect(behind(SHELF, row('front', 0, 0), row('back', 60, 100))).toEqual([]);
		expect(behind(SHELF, row('front', 0, 0, 100), row('back', 0, 100))).toEqual([]);
	});
	it('may be hidden by several together, and each is counted once', () => {
		const front = [row('left', 0, 0), row('right', 130, 0)];
		expect(behind(SHELF, ...front, row('back', 60, 100))).toEqual(['back']);
		expect(behind(SHELF, row('a', 0, 0), row('b', 20, 90), row('back', 60, 200))).toEqual([
			'b',
			'back'
		]);
	});
	it('is nothing in a drawer, or in no place at all', () => {
		expect(behind(DRAWER, row('front', 0, 0), row('back', 0, 100))).toEqual([]);
		expect(behind('gone', row('front', 0, 0), row('back', 0, 100))).toEqual([]);
	});
});

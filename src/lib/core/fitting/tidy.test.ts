import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { planFor } from '../fixtures/plan-for';
import { NOW } from '../fixtures/tiny-home';
import type { Standing } from '../model';
import { standsBehind } from './behind';
import { fitNook, type Arrangement } from './fit';

const demo = demoHome(NOW);
/** The first arrangement of a place with some groups in it, where nothing holds anything. */
function looseIn(nookId: string, ...groupIds: string[]): Arrangement {
	const home = planFor(demo, Object.fromEntries(groupIds.map((id) => [id, nookId])));
	const found = fitNook(home, nookId, { kinds: [], owned: new Map() });
	if (!('arrangements' in found)) throw new Error(found.status);
	return found.arrangements[0]!;
}
/** How often the group changes from left to right, by the middles of the rows that are seen. */
function changes(standing: readonly Standing[]): number {
	const front = standing
		.filter(({ yMm }) => yMm < 60)
		.sort((a, b) => a.xMm + a.widthMm / 2 - (b.xMm + b.widthMm / 2));
	return front.filter(({ groupId }, i) => i > 0 && groupId !== front[i - 1]!.groupId).length;
}

describe('a tidy shelf', () => {
	it.each([
		['larder-3', 'sauces', 'spreads'],
		['larder-3', 'cans-fish', 'snacks'],
		['larder-5', 'sauces', 'spreads', 'cans-fish']
	])('%s has each group side by side: %s, %s', (nookId, ...groupIds) => {
		const { standing, leftOver } = looseIn(nookId, ...groupIds);
		expect(leftOver).toEqual([]);
		expect(new Set(standing.map(({ groupId }) => groupId)).size).toBe(groupIds.length);
		expect(changes(standing)).toBe(groupIds.length - 1);
	});
	it('hides nothing where there is room for all in front', () => {
		const arrangement = looseIn('larder-3', 'sauces');
		expect(arrangement.standing.length).toBeGreaterThan(2);
		expect([...standsBehind(demo, 'larder-3', arrangement)]).toEqual([]);
	});
	it('stands at the front edge', () => {
		const { standing } = looseIn('larder-3', 'spreads', 'sauces');
		const front = Math.min(...standing.map(({ yMm }) => yMm));
		for (const one of standing) {
			const before = standing.filter(
				({ xMm, widthMm, yMm }) =>
					yMm < one.yMm && xMm < one.xMm + one.widthMm && one.xMm < xMm + widthMm
			);
			const reach = Math.max(front, ...before.map(({ yMm, depthMm }) => yMm + depthMm));
			expect(one.yMm).toBeCloseTo(reach, 6);
		}
	});
});

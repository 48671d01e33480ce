import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { NOW } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import { heightLeft } from './height-left';

const demo = demoHome(NOW);
const planned = (nookId: string, groupId: string) => planFor(demo, { [groupId]: nookId });
const whyOf = (nookId: string, groupId: string, placements: readonly { kindId: string }[] = []) =>
	heightLeft(planned(nookId, groupId), nookId, { overMm: 200, placements: placements as never })
		?.why;
const nookOf = (kind: string) => Object.values(demo.nooks).find((nook) => nook.kind === kind)!.id;

describe('height that stays free', () => {
	it('is not spoken of where there is little of it', () => {
		const home = planned('s2-up', 'dishes');
		expect(heightLeft(home, 's2-up', { overMm: 60, placements: [] })).toBeNull();
		expect(heightLeft(home, 'gone', { overMm: 600, placements: [] })).toBeNull();
		expect(heightLeft(home, 's2-up', { overMm: 180, placements: [] })?.overMm).toBe(180);
	});
	it('has its reason', () => {
		expect(whyOf(nookOf('drawer'), 'dishes')).toBe('from-above');
		expect(whyOf('s2-up', 'dishes', [{ kindId: 'level-300-200' }])).toBe('second-level');
		const reasons = Object.values(demo.nooks)
			.filter(({ kind }) => kind === 'shelf')
			.map(({ id }) => [whyOf(id, 'dishes'), whyOf(id, 'cans-veg')]);
		expect(reasons).toContainEqual(['shelf-moves', 'shelf-moves']);
		expect(reasons).toContainEqual(['no-level-pays', 'nothing-for-it']);
	});
});

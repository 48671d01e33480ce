import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { zoneModelOf } from './build';
import { adoptPlan } from './edits';
import { layoutOf } from './explain';
import { keepingCosts } from './keeping';
import { toZonePlan } from './solve';

const bare = demoHome(NOW);
const plan = solvedOnce('demo', () => bare).result;
const home = apply(bare, adoptPlan(toZonePlan(plan, 'p', 'Plan', NOW)));
const model = zoneModelOf(home);
const layout = layoutOf(model, plan.assignments);
const costs = keepingCosts(model, layout);

describe('what keeping a thing costs', () => {
	it('is named for some things of a full home, and at least three metres a week', () => {
		expect(costs.size).toBeGreaterThan(3);
		for (const { savedM } of costs.values()) expect(savedM).toBeGreaterThanOrEqual(3);
	});
	it('is what the other group saves in its room once the thing is gone', () => {
		let seen = 0;
		for (const { thingId, nookId, groupId, savedM } of [...costs.values()].slice(0, 12)) {
			const gone = apply(home, (draft) => {
				for (const lot of Object.values(draft.lots))
					if (lot.thingId === thingId) delete draft.lots[lot.id];
			});
			const without = zoneModelOf(gone);
			const after = layoutOf(without, plan.assignments);
			const n = without.places.findIndex(({ nook }) => nook.id === nookId);
			// A part that was all of the thing is gone, or its group is parted otherwise: then there is nothing to compare.
			const isSame =
				without.parts.length === model.parts.length &&
				after.assignment.every((at, g) => at === layout.assignment[g]);
			if (!isSame) continue;
			const moved = without.parts.findIndex(({ figures }, g) => {
				const at = after.assignment[g]!;
				if (figures.groupId !== groupId || at === n || at < 0 || !after.fits(g, n)) return false;
				return Math.abs(after.costAt(g, at) - after.costAt(g, n) - savedM) < 1;
			});
			expect([thingId, moved >= 0]).toEqual([thingId, true]);
			seen++;
		}
		expect(seen).toBeGreaterThan(2);
	}, 30_000);
	it('is nothing where nothing is placed', () =>
		expect(keepingCosts(model, layoutOf(model, []))).toEqual(new Map()));
});

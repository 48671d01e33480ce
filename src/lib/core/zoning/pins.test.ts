import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILY } from '../fixtures/sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { generateHome } from '../fixtures/generate-home';
import { apply, NOW } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { buildZoneModel } from './build';
import { adoptPlan, togglePin } from './edits';
import { brokenRules, layoutOf } from './explain';
import { placeHome, readAssignment, toZonePlan } from './solve';

const OPTIONS = { seed: 3, moves: 6000 };
const demo = sketchHome(FAMILY);
const plan = toZonePlan(placeHome(demo, OPTIONS), 'p', 'Plan', NOW);
const split = plan.assignments.filter(({ share }) => share < 0.9);
const pinned = (home: Home, pins: readonly { groupId: string; nookId: string }[]) =>
	pins.reduce((h, { groupId, nookId }) => apply(h, togglePin(groupId, nookId, 'pin')), home);
const placesOf = (home: Home, groupId: string) => {
	const { assignments, overflow } = placeHome(home, OPTIONS);
	return {
		nooks: assignments.filter((a) => a.groupId === groupId).map(({ nookId }) => nookId as string),
		left: overflow.includes(groupId as never)
	};
};

describe('a pin', () => {
	it('of one part of a group keeps that part, and the rest finds a place of its own', () => {
		for (const groupId of new Set(split.map((each) => each.groupId))) {
			const [first] = split.filter((each) => each.groupId === groupId);
			const { nooks, left } = placesOf(pinned(demo, [first!]), groupId);
			expect(left).toBe(false);
			expect(nooks).toContain(first!.nookId);
		}
	});
	it('of every part keeps the plan as it is', () => {
		const home = pinned(apply(demo, adoptPlan(plan)), split);
		const kept = placeHome(home, OPTIONS).assignments;
		for (const { groupId, nookId } of split)
			expect(kept.some((a) => a.groupId === groupId && a.nookId === nookId)).toBe(true);
	});
	it('leaves a plan whose parts stand in another order as good as it was', () => {
		const [, second] = split.filter((each) => each.groupId === split[0]!.groupId);
		const home = pinned(apply(demo, adoptPlan(plan)), [second!]);
		const model = buildZoneModel(home);
		const layout = layoutOf(model, plan.assignments);
		expect(brokenRules(model, layout.assignment)).toEqual([]);
		expect(layout.objective).toBeCloseTo(plan.objective, 6);
	});
	it('on a place too small for any of it leaves that part out, and names the rule', () => {
		const { groupId } = split[0]!;
		const nookId = Object.values(demo.nooks).find(({ kind }) => kind === 'drawer')!.id;
		const tiny = apply(demo, (draft) => void (draft.nooks[nookId]!.loadG = 1));
		const home = pinned(tiny, [{ groupId, nookId }]);
		expect(placesOf(home, groupId).left).toBe(true);
		const model = buildZoneModel(home);
		const g = model.parts.findIndex(({ figures }) => figures.groupId === groupId);
		const row = model.cells.slice(g * model.places.length, (g + 1) * model.places.length);
		expect(row.every(({ hard }) => hard)).toBe(true);
	});
	it('on a place that is gone is no pin', () => {
		const { groupId, nookId } = plan.assignments[0]!;
		const gone = pinned(demo, [{ groupId, nookId: 'gone' }]);
		expect(placesOf(gone, groupId).nooks).toContain(nookId);
	});
	it('is kept by every plan that places its group, and a plan survives being written down', () => {
		fc.assert(
			fc.property(
				fc.nat(300),
				fc.array(fc.tuple(fc.nat(), fc.nat()), { minLength: 1, maxLength: 5 }),
				(seed, wishes) => {
					const bare = generateHome({
						seed,
						rooms: 1,
						cabinets: 5,
						groups: 9,
						things: 40,
						lots: 50
					});
					const [groups, nooks] = [Object.keys(bare.groups), Object.keys(bare.nooks)];
					const home = pinned(
						bare,
						wishes.map(([g, n]) => ({
							groupId: groups[g % groups.length]!,
							nookId: nooks[n % nooks.length]!
						}))
					);
					const model = buildZoneModel(home);
					const { assignments, overflow, objective } = placeHome(home, OPTIONS, model);
					for (const groupId of new Set(home.pins.map((pin) => pin.groupId))) {
						if (overflow.includes(groupId)) continue;
						const held = assignments.filter((a) => a.groupId === groupId).map((a) => a.nookId);
						const wanted = home.pins
							.filter((pin) => pin.groupId === groupId)
							.map(({ nookId }) => nookId);
						const count = model.parts.filter(({ figures }) => figures.groupId === groupId).length;
						if (!held.length) continue;
						if (count >= wanted.length) expect(held).toEqual(expect.arrayContaining(wanted));
						else for (const nookId of held) expect(wanted).toContain(nookId);
					}
					const layout = layoutOf(model, assignments);
					expect(layout.objective).toBeCloseTo(objective, 4);
					expect(brokenRules(model, layout.assignment)).toEqual([]);
					expect(readAssignment(model, layout.assignment).assignments).toEqual(assignments);
				}
			),
			{ seed: 94, numRuns: 25 }
		);
	});
});

import { objectiveOf, violations } from '../solvers/assignment';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { generateHome } from '../fixtures/generate-home';
import { apply, NOW } from '../fixtures/tiny-home';
import { addUsualKinds, checkFit, fitNook } from '../fitting';
import type { Home } from '../model';
import {
	adoptPlan,
	buildZoneModel,
	byHandAssignment,
	placeHome,
	toZonePlan,
	writeAssignment
} from '.';

const OPTIONS = { seed: 1, moves: 6000 };

/** Homes of all sizes from a two-cabinet flat to a house of four rooms. */
const homeArb = fc
	.record({
		seed: fc.nat(10_000),
		rooms: fc.integer({ min: 1, max: 4 }),
		perRoom: fc.integer({ min: 2, max: 5 }),
		groups: fc.integer({ min: 1, max: 20 }),
		perGroup: fc.integer({ min: 1, max: 4 })
	})
	.map(({ seed, rooms, perRoom, groups, perGroup }) =>
		apply(
			generateHome({
				seed,
				rooms,
				cabinets: rooms * perRoom,
				groups,
				things: groups * perGroup,
				lots: groups * perGroup * 2
			}),
			addUsualKinds()
		)
	);

describe('plans of generated homes', () => {
	it('break no hard rule, place or name every group once, and keep their bound below them', () => {
		fc.assert(
			fc.property(homeArb, (home) => {
				const model = buildZoneModel(home);
				const result = placeHome(home, OPTIONS, model);
				const assignment = writeAssignment(model, result.assignments);
				expect(violations(model.problem, assignment)).toEqual([]);
				expect(result.bound).toBeLessThanOrEqual(result.objective + 1e-6);
				const named = new Set([...result.assignments.map((a) => a.groupId), ...result.overflow]);
				const held = new Set(model.parts.map((part) => part.figures.groupId));
				expect([...named].sort()).toEqual([...held].sort());
				for (const id of held) {
					if ((result.overflow as readonly string[]).includes(id)) continue;
					const share = result.assignments
						.filter((a) => a.groupId === id)
						.reduce((sum, a) => sum + a.share, 0);
					expect(share).toBeCloseTo(1, 4);
				}
			}),
			{ seed: 121, numRuns: 25 }
		);
	});
	it('are never worse than the by-hand rule', () => {
		fc.assert(
			fc.property(homeArb, (home) => {
				const model = buildZoneModel(home);
				const byHand = objectiveOf(model.problem, byHandAssignment(model.problem));
				expect(placeHome(home, OPTIONS, model).objective).toBeLessThanOrEqual(byHand + 1e-6);
			}),
			{ seed: 122, numRuns: 15 }
		);
	});
	it('cost no less once a place is taken away from every group', () => {
		fc.assert(
			fc.property(homeArb, (home) => {
				const model = buildZoneModel(home);
				if (!model.parts.length) return;
				const { bound } = placeHome(home, OPTIONS, model);
				const closed = apply(
					home,
					(draft) => void (Object.values(draft.nooks)[0]!.inside.widthMm = null)
				);
				expect(placeHome(closed, OPTIONS).objective).toBeGreaterThanOrEqual(bound - 1e-6);
			}),
			{ seed: 123, numRuns: 12 }
		);
	});
});

describe('fits of generated homes', () => {
	it('keep every rule in every arrangement', () => {
		const planned = (home: Home) =>
			apply(home, adoptPlan(toZonePlan(placeHome(home, OPTIONS), 'p', 'Plan', NOW)));
		fc.assert(
			fc.property(homeArb, (bare) => {
				const home = planned(bare);
				const nookIds = [
					...new Set(home.zonePlans['p']!.assignments.map((a) => a.nookId as string))
				];
				for (const nookId of nookIds) {
					const result = fitNook(home, nookId);
					if (!('arrangements' in result)) continue;
					for (const { placements, freeShare } of result.arrangements) {
						expect(checkFit(home, nookId, placements)).toEqual([]);
						expect(freeShare).toBeGreaterThanOrEqual(0);
						expect(freeShare).toBeLessThanOrEqual(1);
					}
				}
			}),
			{ seed: 124, numRuns: 10 }
		);
	});
});

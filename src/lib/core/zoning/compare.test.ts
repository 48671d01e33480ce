import { worseThanToday } from './explain';
import { describe, expect, it } from 'vitest';
import { demoHome } from '$lib/data/demo';
import { NOW } from '../fixtures/tiny-home';
import { applyEdit } from '../model';
import { zoneModelOf } from './build';
import { groupsElsewhere, schoolVariants, scorePlan, takeGroup } from './compare';
import { adoptPlan } from './edits';
import { totalsOf } from './explain';
import { DEFAULT_PLACE, placeHome, toZonePlan } from './solve';

const demo = demoHome(NOW);
const plans = schoolVariants(demo.schools).map((variant) => {
	const home = { ...demo, schools: variant.schools };
	return { variant, home, result: placeHome(home, { ...DEFAULT_PLACE, moves: 80_000 }) };
});
const [asNow, , little] = plans;
const moving = (plan: (typeof plans)[number]) =>
	scorePlan(demo, plan.variant, plan.result).groupsToMove;

describe('schools side by side', () => {
	it('are four, each of the others unlike today in exactly one thing', () => {
		expect(plans).toHaveLength(4);
		for (const { variant } of plans.slice(1)) {
			const unlike = Object.entries(variant.schools).filter(
				([key, value]) => demo.schools[key as keyof typeof demo.schools] !== value
			);
			expect(unlike).toHaveLength(1);
		}
	});
	it('are scored as their plan is shown once it is in force; changing little carries less', () => {
		for (const { variant, home, result } of plans) {
			const inForce = applyEdit(home, adoptPlan(toZonePlan(result, 'p', 'Plan', NOW))).home;
			const score = scorePlan(demo, variant, result);
			const { metresPerWeek } = totalsOf(zoneModelOf(inForce), result.assignments);
			expect(score.metresPerWeek).toBe(metresPerWeek);
			expect(score.broken).toBe(0);
			expect(score.overflow).toBe(result.overflow.length);
		}
		// Changing little asks for less carrying.
		expect(moving(little!)).toBeLessThan(moving(asNow!));
	});
	it('one group can be taken from another plan, and nothing else changes', () => {
		const elsewhere = groupsElsewhere(asNow!.result.assignments, little!.result.assignments);
		expect(elsewhere.length).toBeGreaterThan(0);
		const planned = applyEdit(demo, adoptPlan(toZonePlan(asNow!.result, 'p', 'Plan', NOW))).home;
		const from = { assignments: [...little!.result.assignments] };
		const after = applyEdit(planned, takeGroup(elsewhere[0]!, from)).home.zonePlans['p']!;
		expect(groupsElsewhere(planned.zonePlans['p']!.assignments, after.assignments)).toEqual([
			elsewhere[0]
		]);
		expect(groupsElsewhere(after.assignments, from.assignments)).not.toContain(elsewhere[0]);
	});
});

describe('what a plan is worse in than today', () => {
	const totals = (metresPerWeek: number, easy: number) => ({
		metresPerWeek,
		reachesPerWeek: { easy, good: 10, bend: 0, stretch: 0, stool: 0 }
	});
	it('is told by its kind, and not where it is as good', () => {
		expect(worseThanToday(totals(234, 100), totals(248, 50))).toEqual([
			'longer-walk',
			'fewer-easy'
		]);
		expect(worseThanToday(totals(234, 100), totals(235, 100))).toEqual([]);
		expect(worseThanToday(totals(234, 100), totals(120, 130))).toEqual([]);
	});
});

import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { makeHome } from '../model';
import { adoptPlan, placeHome, toZonePlan } from '../zoning';
import { apply, bareKitchen, counter, NOW, TODAY, tinyHome } from '../fixtures/tiny-home';
import {
	adaptedDays,
	doneReset,
	nextSteps,
	proposeResets,
	resetsDue,
	stageProgress,
	STAGES
} from '.';

describe('resets', () => {
	const home = apply(bareKitchen(), proposeResets(counter('r')));
	it('are proposed once for the cabinets that want them', () => {
		expect(
			Object.values(home.resets)
				.map((reset) => reset.kind)
				.sort()
		).toEqual(['fridge', 'under-sink']);
		expect(apply(home, proposeResets(counter('s')))).toEqual(home);
	});
	it('are due today when never done, and again after their interval', () => {
		const [first] = resetsDue(home, TODAY);
		expect(first).toMatchObject({ daysLeft: 0, dueOn: TODAY });
		const done = apply(home, doneReset(first!.reset.id, TODAY, null));
		expect(resetsDue(done, TODAY).find((due) => due.reset.id === first!.reset.id)!.daysLeft).toBe(
			first!.reset.everyDays
		);
	});
	it('come more often when much was found and less often when nothing was', () => {
		expect(adaptedDays({ everyDays: 100, foundShare: 0.5 })).toEqual({
			days: 70,
			basis: 'more-often'
		});
		expect(adaptedDays({ everyDays: 100, foundShare: 0 })).toEqual({
			days: 125,
			basis: 'less-often'
		});
		expect(adaptedDays({ everyDays: 100, foundShare: 0.1 })).toEqual({
			days: 100,
			basis: 'as-set'
		});
		expect(adaptedDays({ everyDays: 1, foundShare: 1 }).days).toBe(1);
	});
});

describe('what to do next', () => {
	const codes = (home: ReturnType<typeof tinyHome>) =>
		nextSteps(home, TODAY).map((step) => step.code);
	it('begins with the first room of an empty home', () => {
		expect(codes(makeHome({ id: 'e', name: 'Empty', now: NOW }))).toEqual([
			'add-cabinets',
			'enter-stock'
		]);
	});
	it('asks for a plan, then for its fits', () => {
		const home = tinyHome();
		expect(codes(home)).toContain('make-plan');
		const planned = apply(
			home,
			adoptPlan(toZonePlan(placeHome(home, { seed: 1, moves: 5000 }), 'p', 'Plan', NOW))
		);
		expect(codes(planned)).not.toContain('make-plan');
		expect(codes(planned)).toContain('fit-nooks');
		const changed = apply(
			planned,
			(draft) => void (Object.values(draft.nooks)[0]!.inside.widthMm! -= 10)
		);
		expect(codes(changed)).toContain('plan-stale');
	});
	it('finds the troubles of the demo home', () => {
		expect(codes(demoHome(NOW))).toEqual(
			expect.arrayContaining(['measure', 'decide-past', 'make-plan', 'use-first', 'shop', 'resets'])
		);
	});
	it('measures every stage from 0 to 1', () => {
		const progress = stageProgress(demoHome(NOW), TODAY);
		for (const stage of STAGES) {
			const value = progress[stage];
			if (value !== null) expect(value >= 0 && value <= 1, stage).toBe(true);
		}
		expect(progress).toMatchObject({ sort: 1, place: 0, fit: null });
	});
});

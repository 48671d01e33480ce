import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { makeHome, STAGES } from '../model';
import { adoptPlan, placeHome, toZonePlan } from '../zoning';
import { apply, NOW, TODAY, tinyHome } from '../fixtures/tiny-home';
import { nextSteps, stageProgress } from '.';

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

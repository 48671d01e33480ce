import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply, tinyHome } from '../fixtures/tiny-home';
import { placeOfNook } from '../survey';
import { bruteForce, problemArb } from '../solvers/assignment/assignment.arb';
import { buildZoneModel } from './build';
import { keepOneEmpty, roomToGrow } from './keep-empty';
import { violations, type NookIndices as Assignment, solveAssignment } from '../solvers/assignment';
import { placeHome } from './solve';

const OPTIONS = { seed: 1, moves: 4000 };
const leftOut = (plan: Assignment) => [...plan].filter((n) => n < 0).length;

describe('keeping one of some nooks empty', () => {
	it('costs the least that it can, breaks nothing, and leaves no more out', () => {
		fc.assert(
			fc.property(problemArb(5, 3), fc.integer({ min: 1, max: 7 }), (problem, mask) => {
				const nooks = [0, 1, 2].filter((n) => n < problem.N && (mask >> n) & 1);
				const solved = solveAssignment(problem, OPTIONS);
				const most = leftOut(solved.assignment);
				const found = keepOneEmpty(problem, nooks, solved, OPTIONS);
				const least = bruteForce(
					problem,
					(plan) => leftOut(plan) <= most && nooks.some((n) => !plan.includes(n))
				);
				expect(violations(problem, found.assignment)).toEqual([]);
				expect(found.kept >= 0).toBe(Number.isFinite(least));
				if (found.kept < 0) return void expect(found.objective).toBe(solved.objective);
				expect(found.assignment.includes(found.kept)).toBe(false);
				expect(found.objective).toBeCloseTo(least, 6);
				expect(found.bound).toBeLessThanOrEqual(least + 1e-6);
			}),
			{ seed: 151, numRuns: 120 }
		);
	});
});

describe('room to grow in a home', () => {
	const home = tinyHome();
	it('is dry, inside a cabinet and needs no stool', () => {
		const model = buildZoneModel(home);
		const kinds = roomToGrow(model).map((n) => model.places[n]!.nook.kind);
		expect(kinds.length).toBeGreaterThan(1);
		for (const kind of ['worktop', 'fridge-shelf', 'freezer-drawer', 'top'])
			expect(kinds).not.toContain(kind);
	});
	it('is kept by a plan with slack, with its price, and by none that uses every inch', () => {
		const { keptEmpty, assignments } = placeHome(home, OPTIONS);
		expect(placeOfNook(home, keptEmpty!.nookId)).not.toBeNull();
		expect(assignments.some(({ nookId }) => nookId === keptEmpty!.nookId)).toBe(false);
		const every = apply(home, (draft) => void (draft.schools.room = 'every-inch'));
		expect(placeHome(every, OPTIONS).keptEmpty).toBeNull();
	});
	it('has a price where every place was in use, and the bound stays below the plan', () => {
		// Only as many places as the plan uses are left measured.
		const used = new Set<string>(placeHome(home, OPTIONS).assignments.map(({ nookId }) => nookId));
		const full = apply(home, (draft) => {
			draft.settings.slackShare = 0;
			draft.schools.room = 'every-inch';
			for (const nook of Object.values(draft.nooks))
				if (!used.has(nook.id)) nook.inside.heightMm = null;
		});
		const without = placeHome(full, OPTIONS);
		const plan = placeHome(
			apply(full, (draft) => void (draft.schools.room = 'slack')),
			OPTIONS
		);
		expect(without.overflow).toEqual([]);
		expect(plan.overflow).toEqual([]);
		expect(plan.keptEmpty!.extra).toBeGreaterThan(0);
		expect(plan.objective).toBeCloseTo(without.objective + plan.keptEmpty!.extra, 6);
		expect(plan.bound).toBeLessThanOrEqual(plan.objective + 1e-9);
	});
});

import { beforeAll, describe, expect, it } from 'vitest';
import { loadIntegerSolver } from '../../workers/integer-solver';
import { apply, NOW, tinyHome } from '../fixtures/tiny-home';
import type { IntegerSolver } from '../solvers/integer';
import { adoptPlan, movePart } from './edits';
import { noteProof, provePlan } from './prove-plan';
import { placeHome, toZonePlan } from './solve';

let solver: IntegerSolver;
beforeAll(async () => void (solver = await loadIntegerSolver()));

describe('the proof of a home’s plan', () => {
	const home = tinyHome();
	const plan = toZonePlan(placeHome(home, { seed: 1, moves: 4000 }), 'p', 'Plan', NOW);
	const planned = apply(home, adoptPlan(plan));
	const prove = (of: typeof planned) => provePlan(of, of.zonePlans['p']!, { solver, seconds: 10 });
	it('says that the best plan is the best, and writes that down', () => {
		const proof = prove(planned);
		expect(proof).toMatchObject({ status: 'proven', saved: 0 });
		const noted = apply(planned, noteProof('p', proof)).zonePlans['p']!;
		expect(noted.bound).toBeCloseTo(noted.objective, 2);
		expect(noted.assignments).toEqual(plan.assignments);
	});
	it('finds the way back from a move by hand', () => {
		const { groupId, nookId } = plan.assignments[0]!;
		const worse = Object.keys(home.nooks)
			.map((other) => apply(planned, movePart(groupId, nookId, other)))
			.find((moved) => {
				const proof = prove(moved);
				return 'saved' in proof && proof.saved > 1;
			})!;
		const proof = prove(worse);
		const back = apply(worse, noteProof('p', proof)).zonePlans['p']!;
		expect(back.objective).toBeCloseTo(plan.objective, 6);
		expect(back.assignments.some((each) => each.groupId === groupId)).toBe(true);
	});
	it('proves nothing of a stale plan or of one that breaks a rule', () => {
		const stale = apply(planned, (draft) => void (draft.settings.effort.walkPerM += 1));
		expect(prove(stale)).toEqual({ status: 'stale' });
		expect(apply(stale, noteProof('p', { status: 'stale' }))).toEqual(stale);
		const broken = plan.assignments.flatMap(({ groupId, nookId: fromId }) =>
			Object.keys(home.nooks)
				.map((nookId) => prove(apply(planned, movePart(groupId, fromId, nookId))).status)
				.filter((status) => status === 'broken')
		);
		expect(broken.length).toBeGreaterThan(0);
	});
});

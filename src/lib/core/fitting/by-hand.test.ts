import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { apply, counter, NOW } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { adoptPlan } from '../zoning';
import { movedByHand, partBoxes, placeByHand, type Stood } from './by-hand';
import { checkFit } from './check-fit';
import { fitNook } from './fit';
import { keepArrangement, keptOf } from './save';

const demo = demoHome(NOW);
const planned = apply(demo, adoptPlan(solvedOnce('demo', () => demo).plan));
const NOOKS = ['larder-1', 'larder-5', 'pan-1', 's3-up', 'fridge-2'];
const fits = NOOKS.flatMap((nookId) => {
	const result = fitNook(planned, nookId);
	return 'arrangements' in result
		? result.arrangements.map((stood) => ({ nookId, stood, fingerprint: result.fingerprint }))
		: [];
}).filter(({ stood }) => stood.placements.length + stood.standing.length > 1);
const withBoxes = fits.find(({ stood }) => stood.placements.length > 1)!;

describe('moving by hand what stands in a place', () => {
	it('ends inside, and where it hits nothing it breaks no rule that was kept before', () => {
		let free = 0;
		fc.assert(
			fc.property(
				fc.constantFrom(...fits),
				fc.nat(),
				fc.integer({ min: -300, max: 300 }),
				fc.integer({ min: -80, max: 80 }),
				fc.boolean(),
				fc.boolean(),
				({ nookId, stood }, which, dx, dy, snap, turn) => {
					const boxes = partBoxes(planned, stood);
					const part = boxes[which % boxes.length]!;
					const to = { x: part.x + dx, y: part.y + dy };
					const move = placeByHand(planned, nookId, stood, part.id, { to, snap, turn })!;
					const after = movedByHand(planned, stood, part.id, move);
					const { inside } = planned.nooks[nookId]!;
					const moved = partBoxes(planned, after).find(({ id }) => id === part.id)!;
					expect([moved.x, moved.y]).toEqual([move.x, move.y]);
					expect(Number.isInteger(move.x) && Number.isInteger(move.y)).toBe(true);
					if (move.hits.length) return;
					free++;
					expect(moved.x).toBeGreaterThanOrEqual(0);
					expect(moved.x + moved.w).toBeLessThanOrEqual(inside.widthMm!);
					expect(moved.y + moved.d).toBeLessThanOrEqual(inside.depthMm!);
					expect(checkFit(planned, nookId, after.placements)).toEqual([]);
					const rects = partBoxes(planned, after);
					for (const [i, one] of rects.entries())
						for (const two of rects.slice(i + 1)) {
							const isApart =
								one.x + one.w <= two.x ||
								two.x + two.w <= one.x ||
								one.y + one.d <= two.y ||
								two.y + two.d <= one.y;
							expect(isApart || (one.x === two.x && one.y === two.y && one.z !== two.z)).toBe(true);
						}
				}
			),
			{ seed: 1410, numRuns: 400 }
		);
		expect(free).toBeGreaterThan(40);
	});
	it('names what it would hit, and draws near to walls and neighbours', () => {
		const { nookId, stood } = withBoxes;
		const [one, two] = partBoxes(planned, stood).filter(({ z }) => z === 0);
		const onto = placeByHand(planned, nookId, stood, one!.id, { to: { x: two!.x, y: two!.y } })!;
		expect(onto.hits).toContain(two!.id);
		const near = placeByHand(planned, nookId, stood, one!.id, { to: { x: 1, y: 1 }, snap: true })!;
		expect([near.x, near.y]).toEqual([0, 0]);
		const exact = placeByHand(planned, nookId, stood, one!.id, { to: { x: 7, y: 9 } })!;
		expect([exact.x, exact.y]).toEqual([7, 9]);
	});
	it('moves a stack as one', () => {
		const { nookId, stood } = withBoxes;
		const base = stood.placements[0]!;
		const upper = { ...base, id: 'upper' as never, zMm: 90 };
		const stack: Stood = { ...stood, placements: [...stood.placements, upper] };
		const move = placeByHand(planned, nookId, stack, 'upper', { to: { x: 11, y: 13 } })!;
		const after = movedByHand(planned, stack, 'upper', move);
		const at = (id: string) => after.placements.find((one) => one.id === id)!;
		for (const id of [base.id, 'upper']) expect([at(id).xMm, at(id).yMm]).toEqual([11, 13]);
		expect(move.hits).not.toContain(base.id);
	});
	it('says nothing of a part that is not there, or a place that is not measured', () => {
		const { nookId, stood } = withBoxes;
		expect(placeByHand(planned, nookId, stood, 'no', { to: { x: 0, y: 0 } })).toBeNull();
		expect(movedByHand(planned, stood, 'no', { x: 0, y: 0, turned: false })).toBe(stood);
		const unmeasured = apply(planned, (draft) => void (draft.nooks[nookId]!.inside.widthMm = null));
		const id = stood.placements[0]!.id;
		expect(placeByHand(unmeasured, nookId, stood, id, { to: { x: 0, y: 0 } })).toBeNull();
	});
	it('lets like containers keep their ids, and so their labels, when one is moved', () => {
		const { nookId, stood, fingerprint } = withBoxes;
		const twins = { ...stood.placements[0]!, id: 'twin' as never, yMm: 1 };
		const kept = { ...keptOf(stood as never), placements: [stood.placements[0]!, twins] };
		const keep = (home: Home, what: typeof kept) =>
			apply(home, keepArrangement(nookId, what, fingerprint, NOW, counter('k')()));
		const first = keep(planned, kept);
		const before = Object.values(first.fitPlans)[0]!.placements;
		const second = keep(first, {
			...kept,
			placements: [before[1]!, { ...before[0]!, xMm: 5 }]
		});
		expect(Object.values(second.fitPlans)[0]!.placements.map(({ id }) => id)).toEqual([
			before[1]!.id,
			before[0]!.id
		]);
	});
});

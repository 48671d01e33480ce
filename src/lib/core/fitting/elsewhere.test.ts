import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { adoptPlan, brokenRules, layoutOf, moveThing, placesOfLots, zoneModelOf } from '../zoning';
import { elsewhereFor, fitNook, fitTogether, keepArrangements, keptFits, wantsOf } from '.';

const demo = demoHome(NOW);
const CROWDED = new Set(['oils', 'snacks', 'kid-snacks', 'breakfast', 'vases', 'dog-things']);
/** A plan, and by hand more on one shelf than it holds. */
const planned = apply(apply(demo, adoptPlan(solvedOnce('demo', () => demo).plan)), (draft) => {
	const plan = draft.zonePlans['p']!;
	const rest = plan.assignments.filter(
		({ groupId, nookId }) => !CROWDED.has(groupId) && nookId !== 'larder-5'
	);
	const crowd = [...CROWDED].map((groupId) => ({
		groupId: groupId as never,
		nookId: 'larder-5' as never,
		share: 1
	}));
	plan.assignments = [...rest, ...crowd];
});
const nookIds = [...new Set(planned.zonePlans['p']!.assignments.map((a) => a.nookId as string))];
const fits = keptFits(fitTogether(planned, nookIds).results);
const kept = apply(planned, keepArrangements(fits, NOW, 'k'));
const overs = Object.values(kept.fitPlans).flatMap((fit) =>
	fit.leftOver.map(({ thingId }) => ({ nookId: fit.nookId as string, thingId: thingId as string }))
);
const found = overs.map((over) => ({ over, places: elsewhereFor(kept, over) }));

describe('where else a thing could go', () => {
	it('is found for some of what did not go in, the least effort first', () => {
		expect(found.some(({ places }) => places.length > 0)).toBe(true);
		for (const { over, places } of found) {
			const efforts = places.map(({ effort }) => effort);
			expect(efforts).toEqual([...efforts].sort((a, b) => a - b));
			expect(places.map(({ nookId }) => nookId)).not.toContain(over.nookId);
		}
	});
	it('breaks no rule there, neither of the place nor of what stands beside it', () => {
		const broken = (home: typeof kept) =>
			brokenRules(
				zoneModelOf(home),
				layoutOf(zoneModelOf(home), home.zonePlans['p']!.assignments).assignment
			).filter(({ code }) => code !== 'over-capacity').length;
		const before = broken(kept);
		for (const { over, places } of found.filter(({ places }) => places.length).slice(0, 6))
			for (const { nookId } of places)
				expect(broken(apply(kept, moveThing(over.thingId, over.nookId, nookId)))).toBe(before);
	});
	it('is nowhere beside food for a cleaner, though the place alone would do', () => {
		const at = kept.zonePlans['p']!.assignments.find(({ groupId }) => groupId === 'cleaning')!;
		const spray = Object.values(kept.things).find(({ groupId }) => groupId === 'cleaning')!;
		const from = { nookId: at.nookId, thingId: spray.id };
		/** A plan of the cleaning alone, and of what else is said. */
		const planOf = (...more: readonly (typeof at)[]) => {
			const home = apply(kept, (draft) => {
				for (const id of Object.keys(draft.fitPlans)) delete draft.fitPlans[id];
				draft.zonePlans['p']!.assignments = [
					{ groupId: at.groupId, nookId: at.nookId, share: 1 },
					...more
				];
			});
			const ids = [...new Set(more.map(({ nookId }) => nookId as string))];
			const result = ids.map((id) => fitNook(home, id));
			return apply(home, keepArrangements(keptFits(result), NOW, 'k'));
		};
		const empty = elsewhereFor(planOf(), from, 100);
		expect(empty.length).toBeGreaterThan(0);
		const oil = Object.values(kept.things).find(({ groupId }) => groupId === 'oils')!;
		const { nookId } = empty.find((one) => one.nookId === 'larder-5')!;
		const row = { ...at, groupId: oil.groupId!, nookId: nookId as never, thingIds: [oil.id] };
		const beside = elsewhereFor(planOf({ ...row, share: 1 }), from, 100);
		expect(beside.map((one) => one.nookId)).not.toContain(nookId);
	});
	it('takes the thing whole, and no more of anything else stays over there', () => {
		const tried = found.filter(({ places }) => places.length).slice(0, 5);
		for (const { over, places } of tried) {
			const to = places[0]!.nookId;
			const moved = apply(kept, moveThing(over.thingId, over.nookId, to));
			const result = fitNook(moved, to);
			if (!('arrangements' in result)) throw new Error(result.status);
			const before = Object.values(kept.fitPlans).find((fit) => fit.nookId === to);
			const litres = (rows: readonly { volumeMl: number }[] = []) =>
				rows.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
			// Another fit may leave something else over, but never more than the thing itself.
			const pieces = wantsOf(kept, over.nookId)
				.flatMap(({ goods }) => goods)
				.find(({ thing }) => thing.id === over.thingId)!;
			expect(litres(result.arrangements[0]!.leftOver)).toBeLessThanOrEqual(
				litres(before?.leftOver) + pieces.volumeMl + 1e-6
			);
		}
	});
});

describe('moving one thing in the plan', () => {
	it('moves it and leaves the rest of its group where it was', () => {
		const { over, places } = found.find(({ places }) => places.length)!;
		const to = places[0]!.nookId;
		const { groupId } = kept.things[over.thingId]!;
		const where = (home: typeof kept) =>
			new Map(
				placesOfLots(home, groupId!, home.zonePlans['p']!.assignments).map(
					({ lot, nookId }) => [lot.id as string, nookId] as const
				)
			);
		const moved = apply(kept, moveThing(over.thingId, over.nookId, to));
		const [before, after] = [where(kept), where(moved)];
		for (const [lotId, nookId] of after) {
			const isIt = kept.lots[lotId]!.thingId === over.thingId;
			if (isIt) expect(nookId).toBe(to);
			else if (before.get(lotId) !== over.nookId) expect(nookId).toBe(before.get(lotId));
		}
		const shares = moved.zonePlans['p']!.assignments.filter((a) => a.groupId === groupId);
		expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 3);
	});
	it('does nothing for a thing that is not there, or a place that is not', () => {
		const { over } = found[0]!;
		expect(apply(kept, moveThing('no-such-thing', over.nookId, 'd-1'))).toEqual(kept);
		expect(apply(kept, moveThing(over.thingId, over.nookId, 'no-such-place'))).toEqual(kept);
	});
});

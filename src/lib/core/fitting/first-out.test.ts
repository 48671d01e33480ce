import { describe, expect, it } from 'vitest';
import { planFor } from '../fixtures/plan-for';
import { apply, bareKitchen, TODAY, tinyHome, withLines } from '../fixtures/tiny-home';
import { decide } from '../clearing';
import { activePlan, type Home } from '../model';
import { standFree, goodsOf, type Clear } from '../standing';
import { disorderOf, packInOrder, type ShelfProblem } from '../solvers/packing';
import { fitFingerprint, fitNook, fittable, pastIn, pastLots } from '.';

const kitchen = bareKitchen();
const [shelfId] = Object.values(kitchen.nooks)
	.filter(({ kind }) => kind === 'shelf')
	.map(({ id }) => id as string);
/** A home with lines on one shelf, all in one group that lives there. */
const with_ = (lines: readonly string[]): Home => {
	const home = apply(withLines(kitchen, lines, shelfId!), (draft) => {
		draft.groups['g' as never] = {
			...Object.values(tinyHome().groups)[0]!,
			id: 'g',
			name: 'All'
		} as never;
		for (const thing of Object.values(draft.things)) thing.groupId = 'g' as never;
	});
	return planFor(home, { g: shelfId! });
};

describe('first expired, first out, on the shelf', () => {
	const problem = (dues: readonly number[]): ShelfProblem => ({
		width: 100,
		depth: 100 * dues.length,
		fromAbove: false,
		prices: { behindOwn: 40, behindOther: 90, behindLater: 200, apart: 60 },
		pieces: dues.map((due) => ({
			w: 100,
			d: 100,
			turn: false,
			front: false,
			blocked: [],
			heightMm: 100,
			group: 0,
			weight: 1,
			due
		}))
	});
	it('what is due first stands in front of what keeps longer, however they came', () => {
		for (const dues of [
			[3, 1, 2],
			[1, 2, 3],
			[3, 2, 1],
			[2, 3, 1]
		]) {
			const found = packInOrder(problem(dues))!;
			const fromFront = dues
				.map((due, i) => ({ due, y: found.places[i]!.y }))
				.sort((a, b) => a.y - b.y);
			expect(fromFront.map(({ due }) => due)).toEqual([1, 2, 3]);
		}
	});
	it('costs by how much of it what keeps longer stands before', () => {
		const two = problem([1, 2]);
		const places = (first: number) => [
			{ x: 0, y: first, turned: false },
			{ x: 0, y: 100 - first, turned: false }
		];
		expect(disorderOf(two, places(100)) - disorderOf(two, places(0))).toBe(200);
	});
	it('within one row the nearest date comes to the front, the open pack before all', () => {
		const home = with_([
			'1 cream bb 01/06/26',
			'1 long-life cream bb 01/12/26',
			'1 double cream open'
		]);
		const goods = goodsOf(
			Object.values(home.lots).map((lot) => ({ lot, thing: home.things[lot.thingId]!, pieces: 1 }))
		);
		const clear = {
			widthMm: 500,
			depthMm: 500,
			heightMm: 400,
			passWidthMm: 500,
			isSeenFromAbove: false
		} as Clear;
		for (const { holds } of standFree(goods, clear).lanes)
			expect(holds.map(({ due }) => due)).toEqual([...holds.map(({ due }) => due)].sort());
	});
	it('what is past its date gets neither container nor row, and is named', () => {
		const home = with_(['2 pasta bb 01/02/20', '3 rice bb 01/02/28']);
		const past = pastLots(home, TODAY);
		expect(past.map(({ thingId }) => home.things[thingId]!.name)).toEqual(['pasta']);
		expect(pastIn(home, shelfId!, TODAY)).toHaveLength(1);
		const left = fittable(home, TODAY);
		const found = fitNook(left, shelfId!);
		expect('arrangements' in found && found.arrangements.length).toBeTruthy();
		if (!('arrangements' in found)) return;
		const held = found.arrangements.flatMap(({ placements, standing }) =>
			[...placements, ...standing].flatMap(({ holds }) => holds.map(({ thingId }) => thingId))
		);
		expect(held).not.toContain(past[0]!.thingId);
		expect(fitFingerprint(left, shelfId!)).not.toBe(fitFingerprint(home, shelfId!));
	});
	it('what somebody kept after its date has its place again', () => {
		const home = with_(['2 pasta bb 01/02/20']);
		const [lot] = pastLots(home, TODAY);
		const kept = apply(
			home,
			decide({
				lotId: lot!.id,
				verdict: 'keep',
				advice: null,
				wantAgain: false,
				toNookId: null,
				ids: { decision: 'd', event: 'e' },
				now: `${TODAY}T08:00:00.000Z`
			})
		);
		expect(pastLots(kept, TODAY)).toEqual([]);
		expect(fittable(kept, TODAY)).toBe(kept);
		expect(activePlan(kept)).toBeDefined();
	});
});

describe('what may not meet', () => {
	it('is never in one container', () => {
		const home = with_(['1 drain cleaner', '1 limescale remover', '1 citric acid', '2 sponges']);
		const found = fitNook(home, shelfId!);
		if (!('arrangements' in found)) throw new Error(found.status);
		for (const { placements } of found.arrangements)
			for (const { holds } of placements) {
				const all = holds.flatMap(({ thingId }) => home.things[thingId]!.hazards);
				expect(all.includes('acid') && all.includes('bleach')).toBe(false);
			}
	});
});

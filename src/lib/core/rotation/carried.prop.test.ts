import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { NOW, TODAY } from '../fixtures/tiny-home';
import { applyEdit, lotsIn, lotsOf, stock, type Edit, type Home } from '../model';
import { openPacks, picksOf, useFirst } from './picks';
import { rateOf } from './rate';
import { countIn, freeze, moveStock, openPack, putIn } from './stock-moves';
import { takeDown } from './take-down';

const demo = demoHome(NOW);
const lotIds = Object.keys(demo.lots);
const nookIds = Object.keys(demo.nooks);

/** A home with the same records in collections of their own: nothing is known of where they came from. */
const afresh = (home: Home): Home =>
	Object.fromEntries(
		Object.entries(home).map(([key, part]) => [
			key,
			part !== null && typeof part === 'object' && !Array.isArray(part)
				? Object.assign(Object.create(null) as object, part)
				: part
		])
	) as Home;

/** What screens ask of a home after each edit. */
const asked = (home: Home) => ({
	stock: stock(home).map(({ id, count }) => `${id} ${count}`),
	byNook: nookIds.map((id) => lotsIn(home, id).map((lot) => lot.id)),
	onTable: lotsIn(home, null).map((lot) => lot.id),
	byThing: Object.keys(home.things).map((id) => lotsOf(home, id).map((lot) => lot.id)),
	picks: picksOf(home, TODAY),
	due: useFirst(home, TODAY, 14),
	open: openPacks(home, TODAY, 14).map(({ lot }) => lot.id),
	rates: Object.values(home.things).map((thing) => rateOf(home, thing, TODAY).perWeek)
});

const lot = fc.constantFrom(...lotIds);
const count = fc.integer({ min: 1, max: 9 });
const step = fc.oneof(
	{ weight: 4, arbitrary: fc.record({ do: fc.constant('take' as const), lot, count }) },
	fc.record({ do: fc.constant('waste' as const), lot, count }),
	fc.record({ do: fc.constant('open' as const), lot, count }),
	fc.record({ do: fc.constant('freeze' as const), lot, count }),
	fc.record({ do: fc.constant('move' as const), lot, count }),
	fc.record({ do: fc.constant('count' as const), lot, count }),
	fc.record({ do: fc.constant('put' as const), lot, count })
);
type Step = typeof step extends fc.Arbitrary<infer Value> ? Value : never;

function editOf({ do: what, lot: lotId, count: many }: Step, i: number): Edit {
	const id = `step-${i}`;
	const of = { lotId, count: many, partId: id, now: NOW };
	const nookId = nookIds[many]!;
	const { thingId } = demo.lots[lotId]!;
	switch (what) {
		case 'take':
			return takeDown({ lotId, count: many, eventId: id, now: NOW });
		case 'waste':
			return takeDown({
				lotId,
				count: many,
				eventId: id,
				now: NOW,
				kind: 'discard',
				why: 'past-date'
			});
		case 'open':
			return openPack(of);
		case 'freeze':
			return freeze(of, nookId, `${id}-frozen`);
		case 'move':
			return moveStock(of, nookId, `${id}-moved`);
		case 'count':
			return countIn(lotId, many % 2 ? 'piece' : 'pack');
		case 'put':
			return putIn({ thingId, nookId, count: many, lotId: `${id}-new`, eventId: id, now: NOW });
	}
}

describe('figures that are carried over an edit', () => {
	it('are just what they would be computed anew, whatever is done to the stock', () => {
		fc.assert(
			fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
				let home = demo;
				asked(home);
				steps.forEach((each, i) => {
					home = applyEdit(home, editOf(each, i)).home;
					expect(asked(home)).toEqual(asked(afresh(home)));
				});
			}),
			{ numRuns: 12 }
		);
	});
	it('are carried, not computed: an edit of one lot leaves the others’ lists as they are', () => {
		const [first] = stock(demo).filter(({ count: many, nookId }) => many > 1 && nookId);
		picksOf(demo, TODAY);
		lotsIn(demo, first!.nookId);
		const next = applyEdit(
			demo,
			takeDown({ lotId: first!.id, count: 1, eventId: 'e', now: NOW })
		).home;
		const other = nookIds.find((id) => id !== first!.nookId && lotsIn(demo, id).length > 1)!;
		expect(lotsIn(next, other)).toBe(lotsIn(demo, other));
		const kept = picksOf(demo, TODAY).find(({ lot: { id } }) => id !== first!.id)!;
		expect(picksOf(next, TODAY)).toContain(kept);
	});
});

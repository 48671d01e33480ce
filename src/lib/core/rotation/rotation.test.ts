import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, CATEGORIES, USES_PER_WEEK, type Lot, type Thing } from '../model';
import { decide } from '../clearing';
import { apply, bareKitchen, NOW, TODAY, tinyHome, withLines } from '../fixtures/tiny-home';
import {
	byFirstExpired,
	effectiveDate,
	LIFE_TABLE,
	lifeCeiling,
	lifeOf,
	nextLot,
	packUsesOf,
	picksOf,
	shoppingList,
	takeDown,
	useFirst
} from '.';

const stocked = (line: string, dates: Partial<Lot['dates']> = {}, change: Partial<Lot> = {}) => {
	const home = withLines(bareKitchen(), [line]);
	const lot = Object.values(home.lots)[0]!;
	return {
		home,
		thing: home.things[lot.thingId]!,
		lot: { ...lot, ...change, dates: { ...lot.dates, ...dates } }
	};
};
const dateOf = ({ lot, thing }: { lot: Lot; thing: Thing }) => effectiveDate(lot, thing);

describe('the life table', () => {
	it('is complete and sane', () => {
		const keys = new Set(LIFE_TABLE.map((row) => row.key));
		expect(keys.size).toBe(LIFE_TABLE.length);
		for (const row of LIFE_TABLE) {
			expect(row.source.length).toBeGreaterThan(5);
			for (const days of [row.fridgeDays, row.freezerDays, row.cupboardDays, row.openedDays])
				if (days !== null) expect(days).toBeGreaterThan(0);
			if (row.openedDays !== null && row.cupboardDays !== null)
				expect(row.openedDays, row.key).toBeLessThanOrEqual(row.cupboardDays);
		}
		for (const category of CATEGORIES)
			if (category.lifeKey) expect(keys.has(category.lifeKey), category.code).toBe(true);
	});
});

describe('the effective date', () => {
	it('is the earliest of what is known', () => {
		expect(dateOf(stocked('pesto bb 12/26'))).toMatchObject({ on: '2026-12-31', basis: 'printed' });
		expect(dateOf(stocked('yoghurt bb 20/03/26', { openedOn: TODAY }))).toMatchObject({
			on: addDays(TODAY, 10),
			basis: 'opened',
			lifeDays: 10
		});
		expect(dateOf(stocked('yoghurt bb 05/03/26', { openedOn: TODAY }))).toMatchObject({
			basis: 'printed'
		});
	});
	it('goes by the cold while frozen, and by two days once thawed', () => {
		const frozen = { frozenOn: '2026-02-01' };
		expect(dateOf(stocked('chicken ub 05/02/26', frozen))).toMatchObject({
			on: addDays('2026-02-01', 120),
			basis: 'frozen'
		});
		expect(dateOf(stocked('chicken', { ...frozen, thawedOn: TODAY }))).toMatchObject({
			on: addDays(TODAY, 2),
			basis: 'thawed'
		});
	});
	it('is unknown when nothing is', () => expect(dateOf(stocked('forks'))).toBeNull());
	it('never lies after the printed date of what is not frozen', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: -400, max: 400 }),
				fc.option(fc.integer({ min: -400, max: 0 })),
				(printed, opened) => {
					const on = addDays(TODAY, printed);
					const date = dateOf(
						stocked('pesto', {
							printed: { on, kind: 'best-before' },
							openedOn: opened === null ? null : addDays(TODAY, opened)
						})
					);
					return date!.on <= on;
				}
			),
			{ seed: 91 }
		);
	});
});

describe('first expired, first out', () => {
	const home = withLines(bareKitchen(), [
		'1 penne bb 12/26',
		'1 penne bb 04/26',
		'1 rice',
		'1 milk ub 04/03/26'
	]);
	it('puts the nearest date in front and what has none last', () => {
		expect(picksOf(home, TODAY).map((pick) => pick.date?.on ?? null)).toEqual([
			'2026-03-04',
			'2026-04-30',
			'2026-12-31',
			null
		]);
	});
	it('puts open before unopened of one date', () => {
		const twins = withLines(bareKitchen(), ['1 penne bb 12/26', '1 penne bb 12/26']);
		const second = Object.keys(twins.lots)[1]!;
		const open = apply(twins, (draft) => void draft.lots[second]!.states.push('open'));
		expect(picksOf(open, TODAY)[0]!.lot.id).toBe(second);
	});
	it('picks the lot to take next, and lists what is due', () => {
		const penne = Object.values(home.things).find((t) => t.name === 'penne')!;
		expect(nextLot(home, penne.id, TODAY)!.dates.printed!.on).toBe('2026-04-30');
		expect(useFirst(home, TODAY, 3).map((pick) => pick.thing.name)).toEqual(['milk']);
	});
	it('is an order: whatever it is given, the same comes out', () => {
		const picks = picksOf(home, TODAY);
		fc.assert(
			fc.property(fc.shuffledSubarray([...picks], { minLength: picks.length }), (shuffled) => {
				expect([...shuffled].sort(byFirstExpired)).toEqual(picks);
			}),
			{ seed: 92, numRuns: 20 }
		);
	});
});

describe('taking down', () => {
	it('conserves: what is left and what is logged is what was there', () => {
		const home = withLines(bareKitchen(), ['5 penne']);
		const lotId = Object.keys(home.lots)[0]!;
		fc.assert(
			fc.property(fc.array(fc.integer({ min: -1, max: 4 }), { maxLength: 6 }), (counts) => {
				const after = counts.reduce(
					(now, count, i) => apply(now, takeDown({ lotId, count, eventId: `e${i}`, now: NOW })),
					home
				);
				const logged = Object.values(after.useEvents).reduce((sum, event) => sum + event.count, 0);
				expect(after.lots[lotId]!.count + logged).toBe(5);
				expect(after.lots[lotId]!.count).toBeGreaterThanOrEqual(0);
			}),
			{ seed: 93 }
		);
	});
	it('starts the next pack closed', () => {
		const { home, lot } = stocked('2 yoghurt', {}, {});
		const open = apply(home, (draft) => {
			draft.lots[lot.id]!.states = ['open'];
			draft.lots[lot.id]!.dates.openedOn = TODAY;
		});
		const after = apply(open, takeDown({ lotId: lot.id, count: 1, eventId: 'e', now: NOW }));
		expect(after.lots[lot.id]).toMatchObject({
			count: 1,
			states: [],
			dates: { openedOn: null, lastUsedOn: TODAY }
		});
	});
	it('does nothing to a lot that is gone or empty', () => {
		const home = tinyHome();
		expect(apply(home, takeDown({ lotId: 'none', count: 1, eventId: 'e', now: NOW }))).toEqual(
			home
		);
	});
});

describe('the shopping list', () => {
	const withPar = (line: string, par: number | null) =>
		apply(
			withLines(bareKitchen(), [line]),
			(draft) =>
				void (Object.values(draft.things)[0]!.hold =
					par === null ? null : { rule: 'packs', amount: par })
		);
	it('asks for what is below par or run out', () => {
		expect(shoppingList(withPar('2 penne', 3), TODAY)).toMatchObject([
			{ name: 'penne', buy: 1, have: 2, reason: 'below-par' }
		]);
		const home = withPar('1 penne', 1);
		const gone = apply(
			home,
			takeDown({ lotId: Object.keys(home.lots)[0]!, count: 1, eventId: 'e', now: NOW })
		);
		expect(shoppingList(gone, TODAY)).toMatchObject([{ buy: 1, have: 0, reason: 'run-out' }]);
		expect(shoppingList(withPar('3 penne', 3), TODAY)).toEqual([]);
		expect(shoppingList(withPar('0.5 penne', null), TODAY)).toEqual([]);
	});
	it('never asks for more than is used within its life', () => {
		const milk = withPar('1 milk', 30);
		const thing = Object.values(milk.things)[0]!;
		const [line] = shoppingList(
			apply(milk, (draft) => void (Object.values(draft.things)[0]!.use.class = 'several-daily')),
			TODAY
		);
		expect(lifeOf(thing)).not.toBeNull();
		expect(line!.ceiling).toBe(
			lifeCeiling(thing, USES_PER_WEEK['several-daily'] / packUsesOf(thing))
		);
		expect(line!.buy).toBe(line!.ceiling! - 1);
	});
	it('brings back what was thrown out but is wanted, not what is disliked', () => {
		const home = withLines(bareKitchen(), ['1 penne']);
		const lotId = Object.keys(home.lots)[0]!;
		const gone = apply(
			home,
			decide({
				lotId,
				verdict: 'discard',
				advice: null,
				wantAgain: true,
				toNookId: null,
				ids: { decision: 'd', event: 'e' },
				now: NOW
			})
		);
		expect(shoppingList(gone, TODAY)).toMatchObject([
			{ name: 'penne', buy: 1, reason: 'wanted-again' }
		]);
		expect(
			shoppingList(
				apply(gone, (draft) => void (Object.values(draft.things)[0]!.avoid = true)),
				TODAY
			)
		).toEqual([]);
	});
});

describe('what Clear said', () => {
	const said = (verdict: 'use-first' | 'keep' | 'give', wantAgain = false, at = NOW) =>
		decide({
			lotId: 'l0-2',
			verdict,
			advice: null,
			wantAgain,
			toNookId: null,
			ids: { decision: `d-${verdict}`, event: 'e' },
			now: at
		});
	const home = withLines(bareKitchen(), ['1 honey']);
	it('puts a lot on the use-first list whatever its date, until it is decided otherwise', () => {
		expect(useFirst(home, TODAY, 14)).toEqual([]);
		const first = apply(home, said('use-first'));
		expect(useFirst(first, TODAY, 14)).toMatchObject([
			{ thing: { name: 'honey' }, daysLeft: null }
		]);
		const kept = apply(first, said('keep', false, '2026-03-03T09:00:00.000Z'));
		expect(useFirst(kept, TODAY, 14)).toEqual([]);
	});
	it.each(['give', 'keep'] as const)('puts what is wanted again on the list: %s', (verdict) => {
		const again = apply(home, said(verdict, true), (draft) => {
			Object.values(draft.lots)[0]!.count = 0;
		});
		expect(shoppingList(again, TODAY)).toMatchObject([{ name: 'honey', buy: 1 }]);
	});
	it('does not cap what is kept frozen by its days in the fridge', () => {
		const frozen = stocked('2 mince frozen 01/02/26').thing;
		expect(frozen.needs).toContain('frozen');
		expect(lifeCeiling(frozen, 2)!).toBeGreaterThan(10);
		const chilled = { ...frozen, category: 'food.raw-meat', needs: ['chilled' as const] };
		expect(lifeCeiling(chilled, 2)!).toBeLessThan(3);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, NOW, TODAY, withLines } from '../fixtures/tiny-home';
import { simulateUse } from '../fixtures/simulate-use';
import { CATEGORIES, HOLD_RULES, type Home, type HoldRule, type Thing } from '../model';
import {
	addLine,
	adviseLevel,
	believeRate,
	closedLifeDays,
	FORECAST,
	forgetSaid,
	holdTarget,
	listCost,
	openPack,
	rateBounds,
	rateOf,
	sayOfLine,
	shoppingList,
	takeDown
} from '.';
import { gammaQuantile, gammaShare, logGamma } from './gamma';

const home = withLines(bareKitchen(), ['2 penne', '1 milk', '2 peas frozen']);
const thingOf = (now: Home, name: string): Thing =>
	Object.values(now.things).find((thing) => thing.name.startsWith(name))!;
const holding = (name: string, hold: HoldRule, from = home): Home =>
	apply(from, (draft) => void (draft.things[thingOf(from, name).id]!.hold = hold));
const listed = (now: Home, name: string) =>
	shoppingList(now, TODAY).find((line) => line.name.startsWith(name));

describe('how much to hold', () => {
	it('is never more than is used within the life of a fresh pack', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...HOLD_RULES),
				fc.integer({ min: 0, max: 60 }),
				fc.double({ min: 0.01, max: 30, noNaN: true }),
				fc.constantFrom(...CATEGORIES.map(({ code }) => code)),
				(rule, amount, perWeek, category) => {
					const thing = { ...thingOf(home, 'penne'), category, needs: [], lifeKey: null };
					const { packs, asked } = holdTarget(thing, { rule, amount }, perWeek, { everyDays: 7 });
					const days = closedLifeDays(thing);
					expect(packs).toBeLessThanOrEqual(asked);
					if (days !== null && packs > 1)
						expect(packs / (perWeek / 7)).toBeLessThanOrEqual(days + 1e-6);
				}
			)
		);
	});
	it('holds frozen goods by the freezer, not by the fridge', () => {
		const peas = thingOf(home, 'peas');
		expect(closedLifeDays(peas)!).toBeGreaterThan(90);
		expect(holdTarget(peas, { rule: 'packs', amount: 6 }, 1, { everyDays: 7 })).toMatchObject({
			packs: 6,
			ceiling: null
		});
	});
	it('counts meals by portions and weeks by the rate', () => {
		const penne = { ...thingOf(home, 'penne'), packUses: 4 };
		const target = (hold: HoldRule) => holdTarget(penne, hold, 2, { everyDays: 7 }).packs;
		expect(target({ rule: 'meals', amount: 10 })).toBe(3);
		expect(target({ rule: 'weeks', amount: 3 })).toBe(6);
		expect(target({ rule: 'par', amount: 0.5 })).toBe(3);
		expect(target({ rule: 'spare', amount: 1 })).toBe(2);
	});
	it('puts the spare on the list when it becomes the open one', () => {
		const spare = holding('penne', { rule: 'spare', amount: 1 });
		expect(listed(spare, 'penne')).toBeUndefined();
		const lot = Object.values(spare.lots)[0]!;
		const open = apply(spare, openPack({ lotId: lot.id, count: 1, partId: 'open', now: NOW }));
		expect(listed(open, 'penne')).toBeUndefined();
		const gone = apply(open, takeDown({ lotId: 'open', count: 1, eventId: 'e', now: NOW }));
		const next = apply(gone, openPack({ lotId: lot.id, count: 1, partId: 'x', now: NOW }));
		expect(listed(next, 'penne')).toMatchObject({ buy: 1, have: 1, reason: 'below-par' });
	});
});

describe('what is said of the list', () => {
	const wanted = holding('penne', { rule: 'packs', amount: 4 });
	const penne = thingOf(wanted, 'penne');
	const line = { lineId: null, thingId: penne.id, name: penne.name, count: 2 };
	it('goes with the line: in the trolley, in the house, forgotten before the next shop', () => {
		expect(listed(wanted, 'penne')).toMatchObject({ buy: 2, said: null });
		const got = apply(wanted, sayOfLine(line, { state: 'in-trolley', paidMinor: 120 }, 'l', TODAY));
		expect(listed(got, 'penne')!.said).toMatchObject({ state: 'in-trolley', count: 2 });
		expect(listCost(shoppingList(got, TODAY))).toBe(240);
		const have = apply(got, sayOfLine(line, { state: 'have' }, 'other', TODAY));
		expect(Object.keys(have.listLines)).toEqual(['l']);
		expect(listed(have, 'penne')).toBeUndefined();
		expect(listed(apply(have, forgetSaid(TODAY)), 'penne')).toBeUndefined();
		expect(listed(apply(have, forgetSaid('2026-03-03')), 'penne')).toBeDefined();
	});
	it('counts the same line by hand up, and stands once for a thing that is wanted anyway', () => {
		const twice = apply(
			wanted,
			addLine(null, 'birthday candles', 1, 'a', TODAY),
			addLine(null, 'Birthday candles ', 2, 'b', TODAY),
			addLine(penne.id, penne.name, 5, 'c', TODAY)
		);
		expect(shoppingList(twice, TODAY).map(({ name, buy }) => [name, buy])).toEqual([
			['penne', 5],
			['birthday candles', 3]
		]);
		expect(apply(wanted, addLine(null, '  ', 1, 'd', TODAY))).toEqual(wanted);
	});
	it('stands in the order in which the shop is walked', () => {
		const more = apply(wanted, addLine(null, 'string', 1, 'a', TODAY));
		const areas = () => shoppingList(more, TODAY).map(({ area }) => area);
		const first = areas();
		const turned = apply(more, (draft) => void (draft.settings.shop.areas = ['Other']));
		expect(shoppingList(turned, TODAY)[0]!.area).toBe('Other');
		expect(first).toHaveLength(2);
	});
});

describe('how fast things go', () => {
	it('is the class where nothing was logged, and what was logged where much was', () => {
		const penne = thingOf(home, 'penne');
		const guess = rateOf(home, penne, TODAY);
		expect(guess.basis).toBe('class');
		const [low, high] = [rateBounds(guess).low, rateBounds(guess).high];
		expect(low).toBeLessThan(guess.perWeek);
		expect(high).toBeGreaterThan(guess.perWeek);
		const lotId = Object.values(home.lots)[0]!.id;
		const many = apply(home, (draft) => {
			for (let week = 0; week < 20; week++)
				for (let i = 0; i < 3; i++)
					draft.useEvents[`u${week}-${i}` as never] = {
						id: `u${week}-${i}` as never,
						lotId: lotId as never,
						thingId: penne.id,
						at: `${new Date(Date.UTC(2026, 2, 2) - week * 6048e5).toISOString()}`,
						count: 1,
						unit: 'pack',
						kind: 'use',
						why: null
					};
		});
		const known = rateOf(many, penne, TODAY);
		expect(known.basis).toBe('logged');
		expect(known.perWeek).toBeGreaterThan(2.5);
		expect(known.perWeek).toBeLessThan(3.8);
		const bounds = rateBounds(known);
		expect(bounds.high / bounds.low).toBeLessThan(high / low / 2);
	});
	it('errs less than the class alone on made-up households, and less the longer it looks', () => {
		const error = (
			weeks: number,
			estimate: (thing: ReturnType<typeof simulateUse>[number]) => number
		) => {
			const things = [11, 12, 13].flatMap((seed) => simulateUse(seed, 150, weeks));
			return (
				things.reduce(
					(sum, thing) => sum + Math.abs(Math.log(estimate(thing) / thing.trueRate)),
					0
				) / things.length
			);
		};
		const believed = (weeks: number) =>
			error(weeks, ({ days, classRate }) => {
				const uses = days.map((day) => ({ weeksAgo: weeks - day / 7, packs: 1 }));
				const { shape, weeks: watched } = believeRate(uses, weeks, classRate);
				return shape / watched;
			});
		const [four, half] = [believed(4), believed(26)];
		expect(four).toBeLessThan(0.8 * error(4, ({ classRate }) => classRate));
		expect(half).toBeLessThan(0.8 * four);
	});
	it('lets a log speak only for the cabinet it is kept of', () => {
		const stocked = apply(withLines(bareKitchen(), ['9 penne', '9 rice', '9 flour']), (draft) => {
			const cabinets = Object.values(draft.cabinets).map(({ id }) => id);
			const inCabinet = (i: number) =>
				Object.values(draft.nooks).find(({ cabinetId }) => cabinetId === cabinets[i])!.id;
			Object.values(draft.lots).forEach((lot, i) => (lot.nookId = inCabinet(i < 2 ? 1 : 3)));
			const [lot] = Object.values(draft.lots);
			draft.useEvents['old' as never] = {
				id: 'old',
				lotId: lot!.id,
				thingId: lot!.thingId,
				at: '2025-09-01T09:00:00.000Z',
				count: 1,
				unit: 'pack',
				kind: 'use',
				why: null
			} as never;
		});
		const [penne, rice, flour] = Object.values(stocked.things);
		const of = (thing: typeof penne) => rateOf(stocked, thing!, TODAY);
		// Beside what was logged, nothing taken means something; in another cabinet it means nothing.
		expect(of(rice).perWeek).toBeLessThan(0.5 * of(flour).perWeek);
		expect(of(flour)).toMatchObject({ basis: 'class', counted: 0 });
		expect(of(penne).counted).toBe(1);
	});
	it('advises a number of packs that costs about as little as any', () => {
		const input = {
			lots: [],
			shape: 12,
			weeks: 6,
			portion: 1,
			lifeDays: 14,
			level: null,
			price: 200,
			runOutPrice: 150
		};
		const options = { ...FORECAST, firstShop: 0, everyDays: 7 };
		const { tried, best } = adviseLevel(input, 4, options);
		expect(tried.map(({ level }) => level).sort()).toEqual([1, 2, 3, 4]);
		const least = Math.min(...tried.map(({ costMinor }) => costMinor));
		expect(best!.costMinor - least).toBeLessThanOrEqual(50);
		for (const one of tried)
			if (one.costMinor <= least + 50) expect(one.level).toBeGreaterThanOrEqual(best!.level);
		expect(adviseLevel(input, 0, options).best).toBeNull();
	});
	it('bounds a rate by a true gamma distribution', () => {
		expect(logGamma(5)).toBeCloseTo(Math.log(24), 10);
		expect(gammaQuantile(0.5, 1)).toBeCloseTo(Math.LN2, 8);
		fc.assert(
			fc.property(
				fc.double({ min: 0.01, max: 0.99, noNaN: true }),
				fc.double({ min: 0.3, max: 200, noNaN: true }),
				(share, shape) => {
					const value = gammaQuantile(share, shape);
					expect(gammaShare(value, shape)).toBeCloseTo(share, 6);
				}
			)
		);
	});
});

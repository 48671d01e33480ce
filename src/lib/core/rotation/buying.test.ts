import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, NOW, TODAY, withLines } from '../fixtures/tiny-home';
import { usesPerWeek, type Home, type UseEvent, type WasteReason } from '../model';
import { buyingAdvice, countedUses } from '.';
import { takeCounted } from './counted';

const kitchen = withLines(bareKitchen(), ['12 penne', '1 milk', '2 yeast']);
const idOf = (home: Home, name: string) =>
	Object.values(home.things).find((thing) => thing.name === name)!.id;
const lotOf = (home: Home, name: string) =>
	Object.values(home.lots).find(({ thingId }) => thingId === idOf(home, name))!;
/** Logs that so many were used or thrown out, a day apart, back from today. */
const logged = (
	name: string,
	kind: UseEvent['kind'],
	times: number,
	why: WasteReason | null = null
) =>
	apply(kitchen, (draft) => {
		for (let i = 0; i < times; i++) {
			const id = `${name}-${kind}-${i}` as UseEvent['id'];
			draft.useEvents[id] = {
				id,
				lotId: lotOf(kitchen, name).id,
				thingId: idOf(kitchen, name),
				at: new Date(Date.parse(NOW) - i * 864e5).toISOString(),
				count: 1,
				unit: 'pack',
				kind,
				why
			};
		}
	});
const codes = (home: Home) =>
	buyingAdvice(home, TODAY).map(({ code, thing }) => `${code} ${thing.name}`);

describe('advice on buying', () => {
	it('says what nobody liked and is still held, until it is not bought again', () => {
		const home = apply(logged('milk', 'discard', 1, 'disliked'), (draft) => {
			draft.things[idOf(kitchen, 'milk')]!.hold = { rule: 'packs', amount: 2 };
		});
		expect(codes(home)).toContain('disliked milk');
		const off = apply(home, (draft) => void (draft.things[idOf(kitchen, 'milk')]!.avoid = true));
		expect(codes(off)).not.toContain('disliked milk');
	});
	it('says what is mostly thrown out, and what is open twice', () => {
		expect(codes(logged('milk', 'discard', 3, 'spoiled'))).toContain('wasted milk');
		expect(codes(logged('milk', 'discard', 2, 'spoiled'))).not.toContain('wasted milk');
		const open = apply(kitchen, (draft) => {
			const lot = draft.lots[lotOf(kitchen, 'penne').id]!;
			lot.states = ['open'];
			draft.lots['again' as never] = { ...JSON.parse(JSON.stringify(lot)), id: 'again' };
		});
		expect(codes(open)).toContain('opened-twice penne');
	});
	it('says what a use of a wasted pack truly costs', () => {
		const priced = apply(logged('milk', 'discard', 3, 'spoiled'), (draft) => {
			const milk = draft.things[idOf(kitchen, 'milk')]!;
			[milk.priceMinor, milk.packUses] = [120, 4];
			for (let i = 0; i < 3; i++) {
				const id = `used-${i}` as UseEvent['id'];
				const [thrown] = Object.values(draft.useEvents);
				draft.useEvents[id] = { ...JSON.parse(JSON.stringify(thrown)), id, kind: 'use', why: null };
			}
		});
		const [advice] = buyingAdvice(priced, TODAY);
		expect(advice).toMatchObject({
			code: 'wasted',
			share: 0.5,
			perUse: { promised: 30, paid: 60 }
		});
	});
	it('calls a pack too large only where some of it went to waste', () => {
		const cream = apply(kitchen, (draft) => {
			const milk = draft.things[idOf(kitchen, 'milk')]!;
			milk.use.class = 'weekly';
			for (let i = 0; i < 4; i++) {
				const id = `slow-${i}` as UseEvent['id'];
				draft.useEvents[id] = {
					id,
					lotId: lotOf(kitchen, 'milk').id,
					thingId: idOf(kitchen, 'milk'),
					at: new Date(Date.parse(NOW) - i * 28 * 864e5).toISOString(),
					count: 1,
					unit: 'pack',
					kind: 'use',
					why: null
				};
			}
		});
		expect(codes(cream)).not.toContain('too-large milk');
		const stale = apply(cream, (draft) => {
			const lot = draft.lots[lotOf(kitchen, 'milk').id]!;
			[lot.dates.openedOn, lot.states] = ['2026-01-02', ['open']];
		});
		expect(codes(stale)).toContain('too-large milk');
	});
	it('says nothing of what is made at home', () => {
		const jam = withLines(bareKitchen(), ['12 jam home-made']);
		expect(buyingAdvice(jam, TODAY)).toEqual([]);
	});
	it('says what there is enough of for years', () => {
		const rarely = apply(kitchen, (draft) => {
			draft.things[idOf(kitchen, 'penne')]!.use.class = 'weekly';
		});
		expect(codes(rarely)).toContain('bought-twice penne');
		expect(codes(kitchen).filter((code) => code.endsWith('milk'))).toEqual([]);
	});
});

describe('counted uses', () => {
	it('are offered where they say something else than the class, and hold once they are taken', () => {
		const home = apply(logged('penne', 'use', 9), (draft) => {
			draft.things[idOf(kitchen, 'penne')]!.use.class = 'monthly';
		});
		const [first] = countedUses(home, TODAY);
		expect(first!.thing.name).toBe('penne');
		expect(first!.counted).toBeGreaterThan(first!.said);
		const taken = apply(home, takeCounted([[first!.thing.id, first!.counted]]));
		expect(usesPerWeek(taken.things[first!.thing.id]!)).toBe(first!.counted);
		expect(countedUses(taken, TODAY)).toEqual([]);
	});
	it('need a few takings', () => {
		const home = apply(logged('penne', 'use', 2), (draft) => {
			draft.things[idOf(kitchen, 'penne')]!.use.class = 'rarely';
		});
		expect(countedUses(home, TODAY)).toEqual([]);
	});
});

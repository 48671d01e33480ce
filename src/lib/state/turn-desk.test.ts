import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, counter, NOW, TODAY, withLines } from '../core/fixtures/tiny-home';
import { freezerPlaces, openPacks, usualPacks } from '../core/rotation';
import { blankGroup, type Home } from '../core/model';
import { DeskStore } from './desk-store';
import { KioskDesk } from './kiosk-desk.svelte';
import { StockDesk } from './stock-desk.svelte';
import { TakeDesk } from './take-desk.svelte';
import { TurnDesk } from './turn-desk.svelte';

const kitchen = withLines(bareKitchen(), ['3 penne bb 03/28', '1 milk use by 03/03/26']);
function desk(home: Home = kitchen) {
	const store = new DeskStore(home);
	const said: string[] = [];
	const turn = new TurnDesk({
		store: store.get,
		newId: counter('t'),
		now: () => NOW,
		today: () => TODAY,
		said: (words) => said.push(words)
	});
	const lotOf = (name: string) => turn.picks.find(({ thing }) => thing.name.startsWith(name))!.lot;
	return { store, turn, said, lotOf };
}

describe('stock as it turns', () => {
	it('asks about the next ones when the last was taken, and puts them on the list', () => {
		const { turn, said, lotOf, store } = desk();
		turn.take(lotOf('milk'));
		expect(turn.last).toMatchObject({ name: 'milk' });
		turn.answer('list');
		expect(Object.values(store.home.listLines)).toMatchObject([{ name: 'milk', byHand: true }]);
		expect(turn.last).toBeNull();
		expect(said).toEqual(['1 milk taken down.', 'Milk put on the list.']);
	});
	it('puts a thing on the list once, however often its button is tapped', () => {
		const { turn, said, lotOf, store } = desk();
		const milk = store.home.things[lotOf('milk').thingId]!;
		turn.list(milk);
		turn.list(milk);
		expect(Object.values(store.home.listLines)).toMatchObject([{ name: 'milk', count: 1 }]);
		expect(said).toEqual(['Milk put on the list.']);
	});
	it('remembers what is not bought again, and asks nothing of what has a rule', () => {
		const { turn, lotOf, store } = desk();
		const milk = lotOf('milk');
		turn.take(milk);
		turn.answer('not-again');
		expect(store.home.things[milk.thingId]!.avoid).toBe(true);
		const ruled = desk(
			apply(kitchen, (draft) => {
				for (const thing of Object.values(draft.things)) thing.hold = { rule: 'packs', amount: 1 };
			})
		);
		ruled.turn.take(ruled.lotOf('milk'));
		expect(ruled.turn.last).toBeNull();
	});
	it('opens one of several, and closes its sheet when the lot is gone', () => {
		const { turn, lotOf, store } = desk();
		turn.choose(lotOf('penne').id);
		turn.open(turn.chosen!.lot);
		expect(
			Object.values(store.home.lots)
				.map(({ count }) => count)
				.sort()
		).toEqual([1, 1, 2]);
		turn.choose(lotOf('milk').id);
		turn.setCount(99);
		expect(turn.count).toBe(1);
		turn.throwOut(turn.chosen!.lot, turn.count, 'disliked');
		expect(turn.chosen).toBeNull();
		const milk = Object.values(store.home.things).find(({ name }) => name === 'milk')!;
		expect(milk.avoid).toBe(true);
	});
	it('freezes, thaws and says why it may not freeze again', () => {
		const { turn, lotOf, said } = desk();
		turn.choose(lotOf('milk').id);
		expect(turn.noFreezing).toBe('');
		turn.freeze(turn.chosen!.lot, 1);
		expect(said.at(-1)).toMatch(/^1 milk.* frozen, into /);
		turn.choose(lotOf('milk').id);
		expect(turn.isFrozen).toBe(true);
		turn.thaw(turn.chosen!.lot, 1);
		turn.choose(lotOf('milk').id);
		expect(turn.isFrozen).toBe(false);
		expect(turn.noFreezing).toMatch(/frozen before/);
	});
	it('puts more in with a date as it is typed, and refuses what is no date and no count', () => {
		const { turn, lotOf, store } = desk();
		const penne = store.home.things[lotOf('penne').thingId]!;
		expect(turn.putIn(penne, 2, 'smarch')).toBe(false);
		expect(turn.wrong).toMatch(/“smarch” is not a date/);
		expect(turn.putIn(penne, -1, '')).toBe(false);
		expect(turn.wrong).toMatch(/“-1” is not a count/);
		expect(turn.putIn(penne, 2, '06/28')).toBe(true);
		expect(turn.wrong).toBe('');
		const put = Object.values(store.home.lots).find(({ count }) => count === 2)!;
		expect(put.dates.printed).toEqual({ on: '2028-06-30', kind: 'best-before' });
	});
});

describe('the page of a door', () => {
	const freezer = freezerPlaces(kitchen)[0]!;
	const full = apply(kitchen, (draft) => {
		for (const lot of Object.values(draft.lots)) lot.nookId = freezer.id;
	});
	it('shows what is behind it, the first to use on top, and takes one by a tap', () => {
		const { store, turn } = desk(full);
		const kiosk = new KioskDesk({
			store: store.get,
			today: () => TODAY,
			place: () => freezer.id,
			turn
		});
		expect(kiosk.name).toBe(freezer.name);
		expect(kiosk.tiles.map(({ thing, count }) => [thing.name, count])).toEqual([
			['milk', 1],
			['penne', 3]
		]);
		kiosk.take(kiosk.tiles[1]!);
		expect(kiosk.tiles[1]!.count).toBe(2);
		const whole = new KioskDesk({
			store: store.get,
			today: () => TODAY,
			place: () => freezer.cabinetId,
			turn
		});
		expect(whole.tiles).toHaveLength(2);
		const gone = new KioskDesk({ store: store.get, today: () => TODAY, place: () => 'none', turn });
		expect([gone.name, gone.tiles]).toEqual([null, []]);
	});
});

describe('portions in one pack', () => {
	const freezer = freezerPlaces(kitchen)[0]!;
	const boxed = apply(kitchen, (draft) => {
		for (const lot of Object.values(draft.lots)) {
			lot.nookId = freezer.id;
			lot.dates.frozenOn = '2025-06-01' as never;
			draft.things[lot.thingId]!.packUses = 7;
		}
	});
	it('are taken one by one at the door, to the last, and leave no crumb', () => {
		const { store, turn } = desk(boxed);
		const kiosk = new KioskDesk({
			store: store.get,
			today: () => TODAY,
			place: () => freezer.id,
			turn
		});
		const milk = () => kiosk.tiles.find(({ thing }) => thing.name === 'milk');
		for (let left = 7; left > 0; left--) {
			expect(milk()!.portions).toBeCloseTo(left, 1);
			kiosk.take(milk()!);
		}
		expect(milk()).toBeUndefined();
	});
	it('past a date of quality say so, and are not called unsafe', () => {
		const { store, turn } = desk(boxed);
		const kiosk = new KioskDesk({
			store: store.get,
			today: () => TODAY,
			place: () => freezer.id,
			turn
		});
		for (const { daysLeft, isUnsafe } of kiosk.tiles)
			if (daysLeft !== null && daysLeft < 0) expect(isUnsafe).toBe(false);
	});
	it('say what a meal takes of a pack', () => {
		expect(usualPacks({ packUses: 4 }, 2)).toBe(0.5);
		expect(usualPacks({ packUses: null }, 2)).toBe(1);
		expect(usualPacks({ packUses: 7 }, 2)).toBe(0.29);
	});
});

describe('all stock', () => {
	it('is looked through by place and by thing, by words and by what is open', () => {
		const { store, turn, lotOf } = desk();
		const stock = new StockDesk({ store: store.get, today: () => TODAY });
		expect(stock.picks).toHaveLength(2);
		stock.words = 'PEN';
		expect(stock.things.map(({ thing }) => thing.name)).toEqual(['penne']);
		stock.words = '';
		stock.onlyOpen = true;
		expect(stock.picks).toEqual([]);
		turn.open(lotOf('penne'));
		expect(stock.picks).toHaveLength(1);
		stock.onlyOpen = false;
		const place = freezerPlaces(kitchen)[0]!.id;
		stock.by = 'thing';
		stock.goTo(place);
		expect([stock.by, stock.nookId, stock.picks.length]).toEqual(['place', place, 0]);
		stock.goTo('nowhere');
		expect(stock.nookId).toBeNull();
	});
	it('says how much to hold, by each rule, and what that takes', () => {
		const { store, lotOf } = desk();
		const stock = new StockDesk({ store: store.get, today: () => TODAY });
		const penne = lotOf('penne').thingId;
		stock.choose(penne);
		expect(stock.held!.target).toBeNull();
		expect(stock.litres).toBeNull();
		stock.setRule('spare');
		expect(stock.held!.target).toMatchObject({ packs: 2 });
		expect(stock.litres!.now).toBeGreaterThan(stock.litres!.asked);
		stock.setAmount(3);
		expect(store.home.things[penne]!.hold).toEqual({ rule: 'spare', amount: 3 });
		stock.setAmount(-1);
		stock.setAmount(NaN);
		expect(store.home.things[penne]!.hold!.amount).toBe(3);
		stock.setPackUses(5);
		stock.setPackUses(0);
		expect(store.home.things[penne]!.packUses).toBe(5);
		stock.setRule(null);
		expect(store.home.things[penne]!.hold).toBeNull();
	});
});

describe('a label that is scanned', () => {
	const two = withLines(bareKitchen(), ['3 penne bb 03/28', '2 penne bb 03/27']);
	const scan = (home: Home, lotId: string) => {
		const { turn, store, lotOf } = desk(home);
		const take = new TakeDesk({ store: store.get, today: () => TODAY, lotId: () => lotId, turn });
		return { take, store, lotOf };
	};
	it('takes one, then all, and says when it is empty', () => {
		const [lot] = Object.values(kitchen.lots).filter(({ count }) => count === 3);
		const { take, store } = scan(kitchen, lot!.id);
		expect(take.isLeft).toBe(true);
		take.takeOne();
		expect(store.home.lots[lot!.id]!.count).toBe(2);
		take.takeAll();
		expect(take.isLeft).toBe(false);
		take.takeOne();
		expect(Object.values(store.home.useEvents).map(({ count }) => count)).toEqual([1, 2]);
	});
	it('says when another pack should go first', () => {
		const [late] = Object.values(two.lots).filter(({ count }) => count === 3);
		const { take } = scan(two, late!.id);
		expect(take.before?.count).toBe(2);
		const { take: first } = scan(two, take.before!.id);
		expect(first.before).toBeNull();
	});
	it('is out of date when its lot is gone', () => {
		const { take } = scan(kitchen, 'nowhere');
		expect([take.lot, take.thing, take.isLeft, take.before]).toEqual([null, null, false, null]);
		expect(() => take.takeOne()).not.toThrow();
	});
});

describe('dates by section', () => {
	it('part the stock of a place, once that is how dates are kept', () => {
		const [nook] = Object.values(kitchen.nooks);
		const there = apply(kitchen, (draft) => {
			for (const lot of Object.values(draft.lots)) lot.nookId = nook!.id;
		});
		const { store } = desk(there);
		const stock = new StockDesk({ store: store.get, today: () => TODAY });
		stock.goTo(nook!.id);
		expect(stock.sections).toBeNull();
		stock.keepDates('quarter');
		expect(stock.sections!.map(({ section }) => section?.key)).toEqual(['2026-Q1', '2028-Q1']);
		stock.goTo(null);
		expect(stock.sections).toBeNull();
	});
});

describe('how much to hold', () => {
	const [nook] = Object.values(kitchen.nooks);
	const groupId = 'g' as NonNullable<Home['things'][string]['groupId']>;
	const held = apply(kitchen, (draft) => {
		draft.groups[groupId] = {
			...blankGroup(),
			id: groupId,
			name: 'Dry food',
			tag: { code: 'DF', hue: 1 }
		} as never;
		for (const thing of Object.values(draft.things)) thing.groupId = groupId;
		for (const lot of Object.values(draft.lots)) lot.nookId = nook!.id;
		Object.assign(draft.nooks[nook!.id]!.inside, { widthMm: 500, depthMm: 300, heightMm: 300 });
	});
	it('says what room there is, less what else stands there', () => {
		const { store } = desk(held);
		const stock = new StockDesk({ store: store.get, today: () => TODAY });
		const penne = Object.values(held.things).find(({ name }) => name === 'penne')!;
		stock.choose(penne.id);
		expect(stock.room!.place).toBe(nook!.name);
		const empty = apply(held, (draft) => {
			for (const lot of Object.values(draft.lots)) if (lot.thingId !== penne.id) lot.count = 0;
		});
		const { store: alone } = desk(empty);
		const other = new StockDesk({ store: alone.get, today: () => TODAY });
		other.choose(penne.id);
		expect(other.room!.litres).toBeGreaterThan(stock.room!.litres);
	});
	it('goes by one rule for a whole group, as one step', () => {
		const { store } = desk(held);
		const stock = new StockDesk({ store: store.get, today: () => TODAY });
		stock.choose(Object.keys(held.things)[0]!);
		expect(stock.alike).toBe(0);
		stock.setRule('spare');
		expect(stock.alike).toBe(Object.keys(held.things).length - 1);
		stock.ruleForGroup();
		const rules = Object.values(store.home.things).map(({ hold }) => hold?.rule);
		expect(rules.every((rule) => rule === 'spare')).toBe(true);
		expect(store.labels.at(-1)).toBe('how much of Dry food to hold');
	});
	it('lists open packs that are not due yet', () => {
		const opened = apply(kitchen, (draft) => {
			for (const lot of Object.values(draft.lots)) lot.states = ['open'];
		});
		const names = (home: Home) => openPacks(home, TODAY, 14).map(({ thing }) => thing.name);
		expect(names(kitchen)).toEqual([]);
		// The milk is due tomorrow and stands in that list.
		expect(names(opened)).toEqual(['penne']);
	});
});

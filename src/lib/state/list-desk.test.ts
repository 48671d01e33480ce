import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, counter, NOW, TODAY, withLines } from '../core/fixtures/tiny-home';
import { freezerPlaces } from '../core/rotation';
import type { Home } from '../core/model';
import { DeskStore } from './desk-store';
import { ListDesk } from './list-desk.svelte';

const kitchen = apply(withLines(bareKitchen(), ['1 penne', '1 peas frozen']), (draft) => {
	for (const thing of Object.values(draft.things)) {
		thing.hold = { rule: 'packs', amount: 3 };
		thing.priceMinor = 100;
	}
	for (const lot of Object.values(draft.lots)) {
		const isPeas = draft.things[lot.thingId]!.name.startsWith('peas');
		lot.nookId = isPeas ? freezerPlaces(draft as Home)[0]!.id : null;
	}
});
function desk(home: Home = kitchen) {
	const store = new DeskStore(home);
	const list = new ListDesk({
		store: store.get,
		newId: counter('i'),
		now: () => NOW,
		today: () => TODAY,
		said: () => {}
	});
	const line = (name: string) => list.lines.find((one) => one.name.startsWith(name))!;
	return { store, list, line };
}
const countOf = (home: Home, name: string) =>
	Object.values(home.lots)
		.filter(({ thingId }) => home.things[thingId]!.name.startsWith(name))
		.reduce((sum, { count }) => sum + count, 0);

describe('how a household shops', () => {
	it('is taken as typed, where it can be', () => {
		const { list, store } = desk();
		list.setEveryDays('10');
		list.setBudget('85.5');
		list.setRunOut('2');
		expect(store.home.settings.shop).toMatchObject({
			everyDays: 10,
			budgetMinor: 8550,
			runOutMinor: 200
		});
		for (const wrong of ['0', '366', 'often', '']) list.setEveryDays(wrong);
		for (const wrong of ['-1', 'much', '99999999']) list.setBudget(wrong);
		for (const wrong of ['-1', 'much', '99999']) list.setRunOut(wrong);
		expect(store.home.settings.shop).toMatchObject({
			everyDays: 10,
			budgetMinor: 8550,
			runOutMinor: 200
		});
		list.setBudget(' ');
		expect(store.home.settings.shop.budgetMinor).toBeNull();
	});
});

describe('the shopping list', () => {
	it('says by how much it is over the budget, and lets wait what lasts', () => {
		const stocked = apply(kitchen, (draft) => {
			for (const thing of Object.values(draft.things)) thing.use.class = 'fortnightly';
		});
		const { list, store } = desk(stocked);
		expect(list.overMinor).toBe(0);
		list.change({ budgetMinor: 250 });
		expect(list.overMinor).toBe(list.costMinor - 250);
		expect(list.waiting).toHaveLength(1);
		list.letWait();
		expect(list.overMinor).toBe(0);
		expect(Object.values(store.home.listLines).map(({ state }) => state)).toEqual(['have']);
	});
	it('is ticked, dated and put away in one go; what comes into the freezer is frozen', () => {
		const { store, list, line } = desk();
		list.tick(line('penne'));
		list.tick(line('peas'));
		list.setBought(line('penne'), { count: 4, paidMinor: 90 });
		expect(list.wanted).toEqual([]);
		expect(list.costMinor).toBe(4 * 90 + 2 * 100);
		list.write(line('penne'), { date: '13/13/28' });
		expect(list.putAway()).toBe(false);
		expect(list.putWrong).toMatch(/^penne: There is no day|is not a date/);
		expect(countOf(store.home, 'penne')).toBe(1);
		list.write(line('penne'), { date: '06/28' });
		expect(list.putAway()).toBe(true);
		expect([countOf(store.home, 'penne'), countOf(store.home, 'peas')]).toEqual([5, 3]);
		const penne = Object.values(store.home.things).find(({ name }) => name === 'penne')!;
		expect(penne.priceMinor).toBe(90);
		const peas = Object.values(store.home.lots).filter(({ states }) => states.includes('frozen'));
		expect(peas.every(({ dates }) => dates.frozenOn)).toBe(true);
		expect(store.home.listLines).toEqual({});
		expect(list.inTrolley).toEqual([]);
	});
	it('takes lines by hand, things of the home among them, and makes new things when they are put away', () => {
		const { store, list, line } = desk();
		list.typed = '2 birthday candles';
		list.add();
		list.typed = '6 penne';
		list.add();
		list.typed = '   ';
		list.add();
		expect(line('birthday candles')).toMatchObject({ buy: 2, reason: 'by-hand' });
		expect(line('penne')).toMatchObject({ buy: 6 });
		list.tick(line('birthday candles'));
		list.putAway();
		expect(countOf(store.home, 'birthday candles')).toBe(2);
		list.remove(line('penne'));
		expect(line('penne')).toMatchObject({ buy: 2, reason: 'below-par' });
	});
	it('leaves out what is in the house after all, and what is not bought again', () => {
		const { list, line, store } = desk();
		list.have(line('penne'));
		expect(line('penne')).toBeUndefined();
		list.notAgain(line('peas'));
		expect(list.lines).toEqual([]);
		expect(Object.values(store.home.things).some(({ avoid }) => avoid)).toBe(true);
	});
	it('puts something else away than was wanted', () => {
		const { list, line, store } = desk();
		list.setInstead(line('penne'), 'fusilli');
		list.tick(line('penne'));
		list.putAway();
		expect([countOf(store.home, 'penne'), countOf(store.home, 'fusilli')]).toEqual([1, 2]);
	});
	it('goes out as a file, and comes back ticked', () => {
		const { list, line } = desk();
		const ticked = list
			.csv()
			.split('\r\n')
			.map((row) =>
				row.startsWith('penne') ? row.replace(/,$/, ',x').replace('1.00', '0.80') : row
			)
			.join('\n');
		list.bring(`${ticked}\nstring,2,Other,0,1.50,x`);
		expect(list.wrong).toBe('');
		expect(line('penne').said).toMatchObject({ state: 'in-trolley', count: 2, paidMinor: 80 });
		expect(line('string').said).toMatchObject({ state: 'in-trolley', count: 2, paidMinor: 150 });
		expect(line('peas').said).toBeNull();
	});
	it('says what is wrong with a file, and changes nothing', () => {
		const { list, store } = desk();
		const before = store.home;
		list.bring('name;price\npenne;1');
		expect(list.wrong).toMatch(/no column “got”/);
		list.bring('item,got\npenne,\n');
		expect(list.wrong).toMatch(/Nothing in the file is marked/);
		list.bring('');
		expect(list.wrong).not.toBe('');
		list.setBought(list.lines[0]!, { count: NaN });
		expect(list.putWrong).toMatch(/not a number/);
		expect(store.home).toBe(before);
	});
	it('keeps the order in which the household walks the shop', () => {
		const { list, store } = desk();
		const [first, second] = list.areas;
		list.moveArea(second!, -1);
		expect(list.areas).toEqual([second, first]);
		list.moveArea(second!, -1);
		expect(store.home.settings.shop.areas).toEqual([second, first]);
	});
});

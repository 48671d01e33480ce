import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, bareKitchen, counter, NOW, TODAY, tinyHome } from '../fixtures/tiny-home';
import { toCsv } from '../interchange/reports';
import { stock, type Home } from '../model';
import { readTable } from '../tables';
import { bringStock, mayTake, readStock, stockColumns, stockRows } from './stock-table';

const context = { order: 'dmy', today: TODAY } as const;
const read = (home: Home, text: string, order: 'dmy' | 'mdy' | 'ymd' = 'dmy') => {
	const result = readTable(text);
	if (!result.ok) throw new Error(result.code);
	return readStock(home, result.table, stockColumns(result.table), { ...context, order });
};
const take = (home: Home, rows: ReturnType<typeof read>): Home => {
	const ids = counter('t');
	const taken = rows.filter(mayTake).map((row) => ({ ...row, thingId: ids(), lotId: ids() }));
	return apply(home, bringStock(taken, TODAY));
};

describe('stock as a table', () => {
	it('goes out and comes in again without a change, formulas and all', () => {
		const odd = apply(tinyHome(), (draft) => {
			const [thing] = Object.values(draft.things);
			thing!.name = '=HYPERLINK("x"), "quoted"; and\nmore';
		});
		for (const home of [tinyHome(), odd, demoHome(NOW)]) {
			const rows = read(home, toCsv(stockRows(home)), 'ymd');
			expect(rows).toHaveLength(stock(home).length);
			expect(rows.filter(mayTake)).toEqual([]);
			expect(rows.every(({ isHere }) => isHere)).toBe(true);
		}
	});
	it('fills an empty home as the other was filled', () => {
		const home = demoHome(NOW);
		const bare = { ...home, things: {}, lots: {}, useEvents: {}, meals: {} } as Home;
		const filled = take(bare, read(bare, toCsv(stockRows(home)), 'ymd'));
		const sum = (of: Home) =>
			stock(of)
				.map(
					(lot) =>
						`${of.things[lot.thingId]!.name}|${lot.count}|${lot.nookId}|${lot.dates.printed?.on}`
				)
				.sort();
		const [want, got] = [sum(home), sum(filled)];
		// Names that say they are frozen come back with the word where the kind alone did not say so.
		const differ = got.filter((row) => !want.includes(row)).length;
		expect(got).toHaveLength(want.length);
		expect(differ / want.length).toBeLessThan(0.05);
	});
	it('takes each lot that is here once: a second one like it is new', () => {
		const home = tinyHome();
		const [head, first] = stockRows(home);
		const rows = read(home, toCsv([head!, first!, first!]), 'ymd');
		expect(rows.map(({ isHere }) => isHere)).toEqual([true, false]);
		expect(stock(take(home, rows))).toHaveLength(stock(home).length + 1);
	});
	it('reads semicolons, a byte-order mark, dates in the order of the home, and commas in figures', () => {
		const text = '\uFEFFItem;Qty;Expires;Price\nbeans;1,5;03/04/2027;€ 0,89\n';
		const [row] = read(bareKitchen(), text);
		expect(row!.line).toMatchObject({
			name: 'beans',
			count: 1.5,
			printed: { on: '2027-04-03', kind: 'best-before' },
			priceMinor: 89
		});
		expect(read(bareKitchen(), text, 'mdy')[0]!.line.printed!.on).toBe('2027-03-04');
	});
	it('names each row that cannot be, and takes the others', () => {
		const text = [
			'name,count,unit,place,best before,price',
			',1,,,,',
			'rice,many,,,,',
			'flour,1,bushel,,,',
			'sugar,1,,,31/02/27,',
			'salt,1,,,,dear',
			'oats,2,,Nowhere,,',
			'pepper,1,packs,,12/27,1.20'
		].join('\n');
		const home = bareKitchen();
		const rows = read(home, text);
		expect(rows.map(({ row, issues }) => [row, issues.map(({ code }) => code)])).toEqual([
			[1, ['no-name']],
			[2, ['bad-count']],
			[3, ['bad-unit']],
			[4, ['bad-date']],
			[5, ['bad-price']],
			[6, ['unknown-place']],
			[7, []]
		]);
		const filled = take(home, rows);
		expect(Object.values(filled.things).map(({ name }) => name)).toEqual(['oats', 'pepper']);
		expect(Object.values(filled.lots)[0]!.nookId).toBeNull();
	});
	it('keeps the unit, and never throws, whatever stands in a cell', () => {
		const [row] = read(bareKitchen(), 'name,count,unit\nflour,750,g\n');
		expect(Object.values(take(bareKitchen(), [row!]).lots)[0]).toMatchObject({
			count: 750,
			unit: 'g'
		});
		const cell = fc.string({ maxLength: 30 });
		fc.assert(
			fc.property(
				fc.array(fc.array(cell, { minLength: 16, maxLength: 16 }), { minLength: 1, maxLength: 4 }),
				(cells) => {
					const home = tinyHome();
					const [head] = stockRows(home);
					const table = readTable(toCsv([head!, ...cells]));
					if (!table.ok) return;
					const rows = readStock(home, table.table, stockColumns(table.table), context);
					expect(() => take(home, rows)).not.toThrow();
				}
			),
			{ seed: 221, numRuns: 60 }
		);
	});
});

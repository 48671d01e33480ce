import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { counter } from '../fixtures/tiny-home';
import { readTable } from '../tables';
import { checkKind } from './kind-checks';
import { kindColumns, readKinds } from './kinds-table';
import { USUAL_KINDS } from './usual-kinds';

const read = (text: string, units: 'mm' | 'cm' | 'in' = 'mm') => {
	const result = readTable(text);
	if (!result.ok) throw new Error(result.code);
	return readKinds(result.table, kindColumns(result.table), units, counter('k'));
};
const sound = {
	role: 'bin' as const,
	outerTop: { widthMm: 200, depthMm: 300 },
	outerBase: { widthMm: 180, depthMm: 280 },
	inner: { widthMm: 194, depthMm: 294, heightMm: 126 },
	heightMm: 130,
	lid: true,
	stack: true,
	cells: 1,
	cutTo: null
};

describe('the sizes of a container', () => {
	it('of every usual kind are sound', () => {
		for (const kind of USUAL_KINDS) expect([kind.id, checkKind(kind)]).toEqual([kind.id, []]);
	});
	it.each([
		[{ heightMm: 0 }, 'missing'],
		[{ inner: { ...sound.inner, widthMm: 210 } }, 'inner-larger'],
		[{ outerBase: { widthMm: 220, depthMm: 280 }, inner: { ...sound.inner } }, 'taper'],
		[{ heightMm: 5000 }, 'too-large'],
		[{ lid: false }, 'stack-without-lid'],
		[{ cutTo: { widthMm: 190, depthMm: 300 } }, 'cut'],
		[{ cutTo: { widthMm: 200, depthMm: 301 } }, 'cut'],
		[{ cells: 24 }, 'narrow-cells']
	] as const)('%o: %s', (change, code) => {
		expect(checkKind(sound)).toEqual([]);
		expect(checkKind({ ...sound, ...change }).map((issue) => issue.code)).toContain(code);
	});
	it('are sound as soon as nothing inside is larger than outside, whatever they are', () => {
		const side = fc.integer({ min: 10, max: 2000 });
		fc.assert(
			fc.property(side, side, side, fc.integer({ min: 0, max: 9 }), (w, d, h, wall) => {
				const issues = checkKind({
					role: 'bin',
					outerTop: { widthMm: w, depthMm: d },
					outerBase: { widthMm: Math.max(1, w - wall), depthMm: Math.max(1, d - wall) },
					inner: { widthMm: w - wall, depthMm: d - wall, heightMm: h - wall },
					heightMm: h,
					lid: false,
					stack: false,
					cells: 1,
					cutTo: null
				});
				expect(issues).toEqual([]);
			}),
			{ seed: 1412 }
		);
	});
});

describe('a table of containers', () => {
	it('is read with its columns in any order and its units', () => {
		const [bin, jar] = read(
			'\uFEFFPrice;Depth (outside);Name;Width;Height;How many;Lid\r\n4,50;30 cm;Shoe box, deep;200;12 1/2";3;no\r\n€2;10cm;Flour jar;100;20 cm;;yes'
		);
		expect(bin).toMatchObject({ row: 1, issues: [] });
		expect(bin!.kind).toMatchObject({
			name: 'Shoe box, deep',
			outerTop: { widthMm: 200, depthMm: 300 },
			heightMm: 318,
			inner: { widthMm: 194, depthMm: 294, heightMm: 315 },
			priceMinor: 450,
			lid: false,
			role: 'bin'
		});
		expect(jar!.kind).toMatchObject({ role: 'jar', priceMinor: 200, lid: true, airtight: true });
	});
	it('takes bare numbers in the units of the home', () => {
		const [bin] = read('name,width,depth,height\nBin,20,30,13', 'cm');
		expect(bin!.kind).toMatchObject({ outerTop: { widthMm: 200, depthMm: 300 }, heightMm: 130 });
	});
	it('says of each row what is wrong, and leaves the others as they are', () => {
		const rows = read(
			'name,width,depth,height,inner width\nGood,200,300,130,\n,200,300,130,\nFlat,200,300,,\nWide,wide,300,130,\nInside out,200,300,130,260'
		);
		expect(rows.map(({ kind }) => kind !== null)).toEqual([true, false, false, false, false]);
		expect(rows.map(({ issues }) => issues[0]?.code)).toEqual([
			undefined,
			'no-name',
			'missing',
			'unreadable',
			'inner-larger'
		]);
	});
	it('changes a kind of that name by what it says, and leaves the rest as it was', () => {
		const own = { ...USUAL_KINDS.find(({ id }) => id === 'bin-m')!, owned: 3 };
		const table = readTable(`name,price,width\n${own.name},9,210`);
		if (!table.ok) throw new Error(table.code);
		const [row] = readKinds(
			table.table,
			kindColumns(table.table),
			'mm',
			counter('k'),
			new Map([[own.name, own]])
		);
		expect(row).toMatchObject({ isKnown: true, issues: [] });
		expect(row!.kind).toEqual({
			...own,
			priceMinor: 900,
			outerTop: { ...own.outerTop, widthMm: 210 },
			outerBase: { ...own.outerBase, widthMm: 210 },
			inner: { ...own.inner, widthMm: 204 }
		});
	});
	it('says that only what has a lid can be stacked', () => {
		const [row] = read('name,width,depth,height,lid,stacks\nBin,200,300,130,no,yes');
		expect(row!.issues).toEqual([{ code: 'stack-without-lid' }]);
	});
	it('refuses what is no table', () => {
		expect(readTable('')).toEqual({ ok: false, code: 'empty' });
		expect(readTable('name,width')).toEqual({ ok: false, code: 'empty' });
		expect(readTable('name\nBin')).toEqual({ ok: false, code: 'one-column' });
	});
	it('keeps a formula as words', () => {
		const [row] = read('name,width,depth,height\n=1+1,200,300,130');
		expect(row!.kind!.name).toBe('=1+1');
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Holding } from '../grouping';
import { Row, type Cell } from './cell';
import { cutInto, withoutAwkward } from './cut-group';
import { partsFor } from './parts';

const cell = (effort: number, hard: Cell['hard'] = null): Cell => ({
	hard,
	reach: { band: 'easy', factor: 1 } as Cell['reach'],
	walkM: 0,
	metresPerWeek: 0,
	parts: { walk: effort, reach: 0, soft: [], habit: 0 }
});
const rowOf = (cells: readonly Cell[]) => new Row(cells.length, (n) => cells[n]!);
/** Nooks in a row a metre apart: the effort of the whole group in each, and what each takes, ml. */
const parts = (
	ml: number,
	pieces: number,
	nooks: readonly (readonly [number, number])[],
	isTight = false,
	wished: number | null = null
) =>
	partsFor({
		figures: { volumeMl: ml, runMm: 0, massG: 0, pieces, tripsPerWeek: 0 } as never,
		holdings: [],
		figuresOf: null,
		rowOf: () =>
			rowOf(nooks.map(([effort]) => (effort === Infinity ? cell(0, 'over-load') : cell(effort)))),
		goesIn: () => true,
		frontAt: () => ({ frontMm: 0, deepMm: 0, sideMm: 0 }),
		capacities: nooks.map(([, room]) => [room, 1e6, 1e6, 1e6]),
		nookToNookMm: Float64Array.from(
			{ length: nooks.length ** 2 },
			(_, i) => 1000 * Math.abs(Math.floor(i / nooks.length) - (i % nooks.length))
		),
		staysWhole: false,
		isTight,
		wished
	}).length;

describe('into how many parts a group goes', () => {
	it('is one where a near place takes all of it', () =>
		expect(
			parts(30, 9, [
				[10, 40],
				[12, 20],
				[11, 20]
			])
		).toBe(1));
	it('is more where only a far place does: towels stay in the bathroom', () =>
		expect(
			parts(60, 9, [
				[600, 90],
				[50, 25],
				[60, 25],
				[55, 25]
			])
		).toBe(3));
	it('is not more for a little: every place more has to be looked into', () =>
		expect(
			parts(30, 9, [
				[60, 40],
				[62, 40],
				[64, 40],
				[64, 40],
				[45, 20],
				[45, 20]
			])
		).toBe(1));
	it('is more where places are short and one alone takes it whole', () => {
		const nooks = [[50, 90], ...Array.from({ length: 8 }, () => [50, 35] as const)] as const;
		expect(parts(60, 9, nooks)).toBe(1);
		expect(parts(60, 9, nooks, true)).toBe(2);
	});
	it('is never more than it has pieces', () => {
		const nooks = [
			[600, 90],
			[50, 25],
			[60, 25],
			[55, 35]
		] as const;
		expect([9, 2, 1].map((pieces) => parts(60, pieces, nooks))).toEqual([3, 2, 1]);
	});
	it('is so many as is asked for, more or fewer than cost least, as long as it has pieces', () => {
		const nooks = [
			[10, 40],
			[12, 20],
			[11, 20]
		] as const;
		expect([1, 2, 3].map((count) => parts(30, 9, nooks, false, count))).toEqual([1, 2, 3]);
		expect(parts(60, 9, nooks)).toBe(3);
		expect(parts(60, 9, nooks, false, 1)).toBe(1);
		expect(parts(30, 2, nooks, false, 4)).toBe(2);
		expect(parts(30, 1, nooks, false, 4)).toBe(1);
	});
	it('never asks for more or other places than there are', () => {
		const nook = fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 1, max: 60 }));
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 120 }),
				fc.integer({ min: 1, max: 5 }),
				fc.array(nook, { minLength: 1, maxLength: 6 }),
				(ml, pieces, nooks) => {
					const count = parts(ml, pieces, nooks);
					const places = (k: number) => nooks.filter(([, room]) => room >= ml / k).length;
					expect(count).toBeLessThanOrEqual(Math.min(4, pieces));
					const some = [1, 2, 3, 4].some((k) => k <= pieces && places(k) >= k);
					if (some) expect(places(count)).toBeGreaterThanOrEqual(count);
				}
			),
			{ seed: 181 }
		);
	});
});

const holding = (
	name: string,
	category: string,
	pieces: number,
	[widthMm, depthMm, heightMm]: readonly [number, number, number],
	userIds: string[] = []
): Holding =>
	({
		thing: { id: name, name, category, piece: { widthMm, depthMm, heightMm }, userIds },
		lots: [],
		pieces,
		spare: false
	}) as unknown as Holding;
const namesOf = (cuts: readonly (readonly Holding[])[]) =>
	cuts.map((cut) => cut.map(({ thing }) => thing.name).sort());

describe('cutting a group along what it is made of', () => {
	it('leaves boxes and the lids that fit them in one place', () => {
		const rim = (one: Holding, part: 'vessel' | 'lid', side: number): Holding => ({
			...one,
			thing: { ...one.thing, rim: { part, shape: 'rect', widthMm: side, depthMm: side } }
		});
		const sizes = [120, 150, 180, 210, 240];
		const held = sizes.flatMap((side) => [
			rim(holding(`box ${side}`, 'kitchen.food-boxes', 4, [side, side, 80]), 'vessel', side),
			rim(holding(`lid ${side}`, 'kitchen.food-boxes', 4, [side, side, 12]), 'lid', side + 2)
		]);
		for (const count of [2, 3]) {
			const cuts = cutInto(held, count);
			expect(cuts).toHaveLength(count);
			const at = (name: string) =>
				cuts.findIndex((cut) => cut.some((one) => one.thing.name === name));
			for (const side of sizes)
				expect([side, at(`lid ${side}`)]).toEqual([side, at(`box ${side}`)]);
		}
	});
	it('keeps kinds together: plates and bowls here, mugs and glasses there', () => {
		const cups = [100, 100, 100] as const;
		const cuts = cutInto(
			[
				holding('mugs', 'kitchen.glasses', 6, cups),
				holding('plates', 'kitchen.dishes', 6, cups),
				holding('glasses', 'kitchen.glasses', 6, cups),
				holding('bowls', 'kitchen.dishes', 6, cups)
			],
			2
		);
		expect(namesOf(cuts)).toEqual([
			['bowls', 'plates'],
			['glasses', 'mugs']
		]);
	});
	it('keeps what is one person’s own together', () => {
		const box = [100, 100, 100] as const;
		const cuts = cutInto(
			[
				holding('a-brush', 'bathroom.face', 5, box, ['ann']),
				holding('b-brush', 'bathroom.face', 5, box, ['bob']),
				holding('a-cream', 'bathroom.bath', 5, box, ['ann']),
				holding('b-cream', 'bathroom.bath', 5, box, ['bob'])
			],
			2
		);
		expect(namesOf(cuts)).toEqual([
			['a-brush', 'a-cream'],
			['b-brush', 'b-cream']
		]);
	});
	it('tears a thing apart only where it alone is more than a part, into the open and the spare', () => {
		const cuts = cutInto(
			[
				holding('water', 'food.drinks', 12, [90, 90, 300]),
				holding('juice', 'food.drinks', 1, [70, 70, 200])
			],
			2
		);
		const water = cuts.flat().filter(({ thing }) => thing.name === 'water');
		expect(water.map(({ spare }) => spare)).toEqual([false, true]);
		expect(water.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(12);
	});
	it('loses and doubles no piece', () => {
		const size = fc.tuple(
			fc.integer({ min: 20, max: 300 }),
			fc.integer({ min: 20, max: 300 }),
			fc.integer({ min: 20, max: 300 })
		);
		const one = fc.tuple(
			fc.constantFrom('kitchen.dishes', 'kitchen.glasses', 'food.drinks'),
			fc.integer({ min: 1, max: 20 }),
			size
		);
		fc.assert(
			fc.property(
				fc.array(one, { minLength: 1, maxLength: 9 }),
				fc.integer({ min: 1, max: 3 }),
				(rows, count) => {
					const all = rows.map(([category, pieces, mm], i) =>
						holding(`t${i}`, category, pieces, mm)
					);
					const cuts = cutInto(all, count);
					expect(cuts.length).toBeLessThanOrEqual(count);
					const sum = (list: readonly Holding[], id: string) =>
						list.filter(({ thing }) => thing.id === id).reduce((so, { pieces }) => so + pieces, 0);
					for (const { thing, pieces } of all) expect(sum(cuts.flat(), thing.id)).toBe(pieces);
				}
			),
			{ seed: 182 }
		);
	});
	it('parts off what keeps the rest out of a good place, and says nothing where all goes in', () => {
		const holdings = [
			holding('spoons', 'kitchen.tools', 40, [30, 200, 30]),
			holding('giant whisk', 'kitchen.tools', 1, [60, 700, 60])
		];
		const goesIn = ({ thing }: Holding) => thing.name === 'spoons';
		const odd = withoutAwkward({ holdings, goesIn }, rowOf([cell(10, 'too-wide'), cell(90)]))!;
		expect(namesOf([odd.rest, odd.awkward])).toEqual([['spoons'], ['giant whisk']]);
		expect(withoutAwkward({ holdings, goesIn: () => true }, rowOf([cell(10)]))).toBeNull();
	});
});

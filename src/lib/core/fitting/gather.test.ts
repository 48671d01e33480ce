import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { NOW } from '../fixtures/tiny-home';
import type { ContainerKind, Thing } from '../model';
import type { Good } from '../standing';
import { fillContainers } from './contents';
import type { FillOptions } from './filling';
import { gathered } from './gather';
import { containersOf, type HoldOption } from './hold-option';
import type { Want } from './wants';

const demo = demoHome(NOW);
const kindOf = (key: string) => demo.containerKinds[key] as ContainerKind;
const pen = Object.values(demo.things).find(({ name }) => name === 'pens')!;
const limits: FillOptions = {
	clearMm: 320,
	mostG: 8000,
	mostContainers: 24,
	fillShare: 0.8
};
type Sides = readonly [w: number, d: number, h: number];
const good = (name: string, [w, d, h]: Sides, pieces: number, more: Partial<Good> = {}): Good => {
	const piece = { widthMm: w, depthMm: d, heightMm: h };
	const thing: Thing = { ...pen, id: name as never, name, piece, massG: 40 };
	const volumeMl = (w * d * h * pieces) / 1000;
	return { thing, pieces, volumeMl, massG: 40 * pieces, usesPerWeek: 0.2, due: '9999', ...more };
};
const of = (category: string, own: Good): Good => ({ ...own, thing: { ...own.thing, category } });

/** What a filled kind is as a way to hold a want; a second kind takes the rest. */
const wayOf = (goods: readonly Good[], ...kinds: readonly ContainerKind[]): HoldOption => {
	let rest = goods;
	const holders = kinds.map((kind, i) => {
		const most = i === kinds.length - 1 ? 24 : 1;
		const fill = fillContainers(kind, rest, { ...limits, mostContainers: most });
		rest = fill.rest;
		return { kind, containers: fill.containers, layers: 1, limits };
	});
	const want = { groupId: 'g', goods, roles: [] } as unknown as Want;
	const none = {
		costMinor: 0,
		lanes: [],
		tooLarge: [],
		hidden: 0,
		parted: 0,
		massG: 0,
		sliding: 0,
		floorMm2: 0
	};
	return { ...none, want, holders, loose: rest };
};
const namesIn = (way: HoldOption) =>
	containersOf(way).map(({ holds }) => holds.map(({ thing, pieces }) => `${pieces} ${thing.name}`));
const brokenIn = (way: HoldOption) => {
	const names = containersOf(way).flatMap(({ holds }) => holds.map(({ thing }) => thing.name));
	return names.length - new Set(names).size;
};

describe('what is in the containers of one group', () => {
	const bin = kindOf('bin-m');

	it('stays together, thing by thing, in as many containers', () => {
		const counts = { cloths: 8, mops: 8, pegs: 4, sponges: 4 };
		const way = wayOf(
			Object.entries(counts).map(([name, pieces]) => good(name, [90, 90, 75], pieces)),
			bin
		);
		expect(containersOf(way)).toHaveLength(2);
		expect(brokenIn(way)).toBe(1);
		const now = gathered(way);
		expect(containersOf(now)).toHaveLength(2);
		expect(namesIn(now).flat().sort()).toEqual(['4 pegs', '4 sponges', '8 cloths', '8 mops']);
	});

	it('is with its like', () => {
		const sides: Sides = [90, 90, 90];
		const way = wayOf(
			[
				of('kitchen.baking', good('a moulds', sides, 6)),
				of('home.party', good('b garlands', sides, 6)),
				of('kitchen.baking', good('c cutters', sides, 6)),
				of('home.party', good('d candles', sides, 6))
			],
			bin
		);
		const sorts = containersOf(gathered(way)).map(
			({ holds }) => new Set(holds.map(({ thing }) => thing.category)).size
		);
		expect(sorts.length).toBe(containersOf(way).length);
		expect(Math.max(...sorts)).toBe(1);
	});

	it('is in one container where it is in use every day, so that the others may stand behind', () => {
		const sides: Sides = [90, 90, 90];
		const way = wayOf(
			['a', 'b', 'c', 'd'].map((name, i) => good(name, sides, 6, i % 2 ? { usesPerWeek: 7 } : {})),
			bin
		);
		const daily = (of: HoldOption) =>
			containersOf(of).filter(({ holds }) => holds.some(({ usesPerWeek }) => usesPerWeek >= 7));
		expect(daily(way).length).toBeGreaterThan(daily(gathered(way)).length);
	});

	it('is shared out over two kinds of container as over one', () => {
		const way = wayOf(
			[good('cloths', [170, 120, 60], 9), good('sponges', [120, 90, 60], 9)],
			kindOf('bin-l'),
			bin
		);
		expect(way.holders).toHaveLength(2);
		expect(brokenIn(gathered(way))).toBe(0);
	});

	it('has a compartment for each thing where there are enough', () => {
		const insert: ContainerKind = { ...bin, role: 'divider', cells: 3, turn: false };
		const way = wayOf(
			['keys', 'pens', 'tape'].map((name) => good(name, [60, 30, 12], 4)),
			insert
		);
		const cells = gathered(way);
		expect(namesIn(cells)).toEqual([['4 keys', '4 pens', '4 tape']]);
	});

	it('stays in jars, and in baskets that lie by date', () => {
		const goods = [good('cloths', [170, 120, 60], 8), good('sponges', [120, 90, 60], 6)];
		const way = wayOf(goods, bin);
		const byDue = {
			...way,
			holders: way.holders.map((each) => ({
				...each,
				limits: { ...each.limits, isByDue: true }
			}))
		};
		expect(gathered(byDue)).toBe(byDue);
		const jars = {
			...way,
			holders: way.holders.map((each) => ({ ...each, kind: { ...bin, role: 'jar' as const } }))
		};
		expect(gathered(jars)).toBe(jars);
	});

	it('loses no piece, weighs and reaches no more than it may, and is never more broken up', () => {
		const one = fc.record({
			size: fc.tuple(
				fc.integer({ min: 15, max: 180 }),
				fc.integer({ min: 15, max: 280 }),
				fc.integer({ min: 10, max: 300 })
			),
			pieces: fc.integer({ min: 1, max: 12 }),
			category: fc.constantFrom('kitchen.odds', 'home.office', 'kitchen.baking'),
			usesPerWeek: fc.constantFrom(0.2, 9)
		});
		fc.assert(
			fc.property(
				fc.array(one, { minLength: 2, maxLength: 7 }),
				fc.constantFrom('bin-m', 'bin-narrow', 'bin-taper', 'turn-s', 'riser-3', 'div-m'),
				(made, key) => {
					const goods = made.map(({ size, pieces, category, usesPerWeek }, i) =>
						of(category, good(`t${i}`, size, pieces, { usesPerWeek }))
					);
					const way = wayOf(goods, kindOf('bin-l'), kindOf(key));
					const now = gathered(way);
					const count = (of: HoldOption, name: string) =>
						containersOf(of)
							.flatMap(({ holds }) => holds)
							.filter(({ thing }) => thing.name === name)
							.reduce((sum, { pieces }) => sum + pieces, 0);
					for (const { thing } of goods)
						expect(count(now, thing.name)).toBe(count(way, thing.name));
					expect(now.holders.map(({ containers }) => containers.length)).toEqual(
						way.holders.map(({ containers }) => containers.length)
					);
					for (const { kind, containers } of now.holders)
						for (const { massG, heightMm, holds } of containers) {
							expect(holds.length).toBeGreaterThan(0);
							expect(massG).toBe(
								kind.massG + holds.reduce((sum, { thing, pieces }) => sum + thing.massG * pieces, 0)
							);
							expect(massG).toBeLessThanOrEqual(limits.mostG);
							expect(heightMm).toBeLessThanOrEqual(Math.max(kind.heightMm, limits.clearMm));
						}
					if (now === way) return;
					const daily = (of: HoldOption) =>
						containersOf(of).filter(({ holds }) => holds.some(({ usesPerWeek }) => usesPerWeek > 1))
							.length;
					const sorts = (of: HoldOption) =>
						containersOf(of).reduce(
							(sum, { holds }) => sum + new Set(holds.map(({ thing }) => thing.category)).size,
							0
						);
					expect(3 * brokenIn(now) + 2 * Math.max(1, daily(now)) + sorts(now)).toBeLessThan(
						3 * brokenIn(way) + 2 * Math.max(1, daily(way)) + sorts(way)
					);
				}
			),
			{ numRuns: 150, seed: 5 }
		);
	});
});

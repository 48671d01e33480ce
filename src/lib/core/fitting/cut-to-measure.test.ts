import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Thing } from '../model';
import type { Good, NookRoom, Packing } from '../standing';
import { demoHome } from '../../data/demo';
import { NOW } from '../fixtures/tiny-home';
import { DEFAULT_SETTINGS } from '../model';
import { fillContainers } from './contents';
import { containersOf } from './hold-option';
import { cutOf, outerOf } from './kind-sizes';
import { holdOptions } from './options';
import { packWhole } from './pack-mix';
import { USUAL_KINDS } from './usual-kinds';
import type { Want } from './wants';

const { play } = DEFAULT_SETTINGS;
const demo = demoHome(NOW);
const sample = Object.values(demo.things).find(({ category }) => category === 'kitchen.cutlery')!;
const made = (name: string, category: string, pieces: number, piece: Thing['piece']): Good => {
	const thing = { ...sample, id: name as never, name, category, piece, massG: 40, rim: null };
	const volumeMl = (piece.widthMm * piece.depthMm * piece.heightMm * pieces) / 1000;
	return { thing, pieces, volumeMl, massG: 40 * pieces, usesPerWeek: 14, due: '9999' } as Good;
};
const spoons = (name: string, pieces: number) =>
	made(name, 'kitchen.cutlery', pieces, { widthMm: 25, depthMm: 210, heightMm: 20 });
const wantOf = (roles: Want['roles'], goods: readonly Good[]): Want => ({
	groupId: 'g',
	usesPerWeek: 14,
	roles,
	goods,
	isChosen: false,
	asksJars: false
});
const drawer = (widthMm: number, depthMm: number): Packing => {
	const room: NookRoom = {
		widthMm,
		depthMm,
		heightMm: 120,
		passWidthMm: widthMm,
		passHeightMm: 120,
		aboveMm: 5,
		loadG: Infinity,
		liftG: 12_000
	};
	return {
		room,
		boxes: [],
		inLayers: false,
		seenFromAbove: true,
		frontMm: play.frontMm,
		sideMm: play.sideMm
	};
};
const none = new Map<string, number>();
const cutlery = wantOf(
	['divider'],
	['forks', 'knives', 'spoons', 'teaspoons'].map((name) => spoons(name, 8))
);

describe('what is cut to measure', () => {
	it('reaches from side to side of any drawer that it is made for, and stands in it', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 230, max: 960 }),
				fc.integer({ min: 440, max: 560 }),
				(widthMm, depthMm) => {
					const packing = drawer(widthMm, depthMm);
					const ways = holdOptions(cutlery, USUAL_KINDS, packing, play, none);
					for (const way of ways) {
						for (const { kind } of way.holders) {
							const cut = cutOf(kind);
							if (!cut) continue;
							const sold = USUAL_KINDS.find(({ id }) => id === kind.id)!;
							expect(outerOf(kind)).toEqual(cut);
							expect(cut.widthMm).toBeGreaterThanOrEqual(sold.cutTo!.widthMm);
							expect(cut.widthMm).toBeLessThanOrEqual(sold.outerTop.widthMm);
							expect(cut.depthMm).toBeGreaterThanOrEqual(sold.cutTo!.depthMm);
							expect(kind.inner).toEqual(sold.inner);
						}
						const packed = packWhole([way], packing);
						for (const { cut, kindId } of packed?.placements ?? [])
							expect(cut !== null).toBe(kindId.startsWith('insert'));
					}
					const fitting = USUAL_KINDS.filter(
						({ cutTo, outerTop }) =>
							cutTo && cutTo.widthMm <= widthMm - 6 && outerTop.widthMm >= widthMm - 6
					);
					const snug = ways.filter(
						({ holders }) =>
							holders[0]?.kind.cutTo &&
							outerOf(holders[0].kind).widthMm === widthMm - 2 * play.sideMm
					);
					expect(snug.length > 0).toBe(fitting.length > 0);
					for (const { sliding } of snug) expect(sliding).toBe(0);
				}
			),
			{ numRuns: 60 }
		);
	});
	it('is told from loose trays, which slide', () => {
		const ways = holdOptions(cutlery, USUAL_KINDS, drawer(510, 490), play, none);
		const trays = ways.filter(({ holders }) => holders.length === 1 && !holders[0]!.kind.cutTo);
		expect(trays.length).toBeGreaterThan(0);
		for (const way of trays) expect(way.sliding).toBe(containersOf(way).length);
		for (const way of holdOptions(
			cutlery,
			USUAL_KINDS,
			{ ...drawer(510, 490), seenFromAbove: false },
			play,
			none
		))
			expect(way.sliding).toBe(0);
	});
});

describe('compartments', () => {
	const insert = USUAL_KINDS.find(({ id }) => id === 'insert-510')!;
	const options = { clearMm: 110, mostG: Infinity, mostContainers: 4, fillShare: play.fillShare };
	it('hold one kind of cutlery each, and a tray more is begun when all are taken', () => {
		const goods = Array.from({ length: 8 }, (_, i) => spoons(`kind ${i}`, 6));
		const { containers, rest } = fillContainers(insert, goods, options);
		expect(rest).toEqual([]);
		expect(containers.map(({ holds }) => holds.length)).toEqual([6, 2]);
		for (const { massG, holds } of containers)
			expect(massG).toBe(insert.massG + holds.reduce((sum, good) => sum + good.pieces * 40, 0));
	});
	it('lose nothing: every piece is in one of them, or over', () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 80, max: 500 })), {
					minLength: 1,
					maxLength: 9
				}),
				fc.integer({ min: 1, max: 3 }),
				(kinds, mostContainers) => {
					const goods = kinds.map(([pieces, depthMm], i) =>
						made(`k${i}`, 'kitchen.cutlery', pieces, { widthMm: 25, depthMm, heightMm: 20 })
					);
					const { containers, rest } = fillContainers(insert, goods, {
						...options,
						mostContainers
					});
					expect(containers.length).toBeLessThanOrEqual(mostContainers);
					for (const good of goods) {
						const held = [...containers.flatMap(({ holds }) => holds), ...rest]
							.filter(({ thing }) => thing.id === good.thing.id)
							.reduce((sum, { pieces }) => sum + pieces, 0);
						expect(held).toBe(good.pieces);
					}
					// A compartment has one kind, so that a tray has no more kinds than compartments.
					for (const { holds } of containers) expect(holds.length).toBeLessThanOrEqual(6);
				}
			),
			{ numRuns: 200 }
		);
	});
});

describe('a second level', () => {
	const plates = made('plates', 'kitchen.dishes', 4, { widthMm: 240, depthMm: 240, heightMm: 25 });
	const bowls = made('bowls', 'kitchen.dishes', 4, { widthMm: 160, depthMm: 160, heightMm: 60 });
	const levels = USUAL_KINDS.filter(({ role }) => role === 'level');
	it('holds under it and on it, each as high as it may be', () => {
		const level = levels.find(({ id }) => id === 'level-500-260')!;
		const { containers, rest } = fillContainers(level, [plates, bowls], {
			clearMm: 300,
			mostG: Infinity,
			mostContainers: 1,
			fillShare: 0.8
		});
		expect(rest).toEqual([]);
		expect(containers[0]!.heightMm).toBeGreaterThan(level.heightMm);
		const low = fillContainers(level, [plates, bowls], {
			clearMm: level.heightMm + 10,
			mostG: Infinity,
			mostContainers: 1,
			fillShare: 0.8
		});
		expect(low.rest.length).toBeGreaterThan(0);
	});
	it('is never put where things are taken from above', () => {
		const want = wantOf(['level'], [plates, bowls]);
		const packing = drawer(800, 500);
		const high = { ...packing, room: { ...packing.room, heightMm: 400, passHeightMm: 400 } };
		const roles = (seenFromAbove: boolean) =>
			holdOptions(want, levels, { ...high, seenFromAbove }, play, none).flatMap(({ holders }) =>
				holders.map(({ kind }) => kind.role)
			);
		expect(roles(true)).toEqual([]);
		expect(new Set(roles(false))).toEqual(new Set(['level']));
	});
});

describe('two kinds for one want', () => {
	const tins = made('tins', 'food.cans-veg', 26, { widthMm: 75, depthMm: 75, heightMm: 110 });
	const shelf = { ...drawer(800, 400), seenFromAbove: false };
	const room = { ...shelf.room, heightMm: 250, passHeightMm: 250, aboveMm: 30 };
	const ways = holdOptions(wantOf(['riser', 'bin'], [tins]), USUAL_KINDS, { ...shelf, room }, play, none); // prettier-ignore
	const pairs = ways.filter(({ holders }) => holders.length === 2);
	it('hold together what they are said to, each kind once, at the price of both', () => {
		expect(pairs.length).toBeGreaterThan(0);
		for (const { holders, loose, costMinor } of pairs) {
			expect(holders[0]!.kind.id).not.toBe(holders[1]!.kind.id);
			const held = containersOf({ holders }).flatMap(({ holds }) => holds);
			const count = [...held, ...loose].reduce((sum, { pieces }) => sum + pieces, 0);
			expect(count).toBe(26);
			expect(costMinor).toBe(
				holders.reduce((sum, { kind, containers }) => sum + kind.priceMinor * containers.length, 0)
			);
		}
	});
});

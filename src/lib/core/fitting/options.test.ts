import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { DEFAULT_SETTINGS } from '../model';
import { apply, NOW } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import { containersOf, holdOptions, wantsOf, type NookRoom, type Packing } from '.';

const room: NookRoom = {
	widthMm: 1260,
	depthMm: 400,
	heightMm: 350,
	passWidthMm: 1260,
	passHeightMm: 350,
	aboveMm: 30,
	loadG: Infinity,
	liftG: 12_000
};
const packing: Packing = {
	room,
	boxes: [],
	seenFromAbove: false,
	inLayers: false,
	frontMm: 10,
	sideMm: 3
};
const { play } = DEFAULT_SETTINGS;
const demo = demoHome(NOW);
const kinds = Object.values(demo.containerKinds);
const owned = new Map(kinds.map((kind) => [kind.id as string, kind.owned]));

/** What a group wants when all of it goes to one larder shelf. */
function wantOf(groupId: string, boxes: 'decant' | 'packs' = 'packs') {
	const home = apply(
		planFor(demo, { [groupId]: 'larder-3' }),
		(draft) => void (draft.schools.boxes = boxes)
	);
	return wantsOf(home, 'larder-3')[0]!;
}

describe('the ways to hold a group', () => {
	it.each(['baking', 'cans-veg', 'spices', 'oils', 'snacks', 'food-boxes', 'medicines'])(
		'%s: nothing is lost between containers and shelf, and no container is over full',
		(groupId) => {
			const want = wantOf(groupId);
			const options = holdOptions(want, kinds, packing, play, owned);
			expect(options.at(-1)).toMatchObject({ holders: [], costMinor: 0 });
			const pieces = (goods: readonly { pieces: number }[]) =>
				goods.reduce((sum, good) => sum + good.pieces, 0);
			for (const { holders, loose, lanes, tooLarge, costMinor } of options) {
				const held = containersOf({ holders }).flatMap(({ holds }) => holds);
				expect(pieces(held) + pieces(loose)).toBe(pieces(want.goods));
				expect(
					pieces(lanes.flatMap(({ holds }) => holds)) + pieces(tooLarge.map((t) => t.good))
				).toBe(pieces(loose));
				for (const { kind, containers } of holders) {
					for (const { heightMm, massG } of containers) {
						expect(heightMm).toBeLessThanOrEqual(room.heightMm - room.aboveMm);
						if (kind.role === 'bin') expect(massG).toBeLessThanOrEqual(room.liftG);
					}
					expect(want.roles).toContain(kind.role);
				}
				const kindIds = holders.map(({ kind }) => kind.id);
				expect(new Set(kindIds).size).toBe(kindIds.length);
				expect(costMinor).toBe(
					holders.reduce(
						(sum, { kind, containers }) =>
							sum + Math.max(0, containers.length - kind.owned) * kind.priceMinor,
						0
					)
				);
			}
		}
	);
	it('offer jars only where one decants, one jar a kind of goods', () => {
		expect(
			holdOptions(wantOf('grains'), kinds, packing, play, owned).some((o) =>
				o.holders.some(({ kind }) => kind.role === 'jar')
			)
		).toBe(false);
		const jars = holdOptions(wantOf('grains', 'decant'), kinds, packing, play, owned).filter(
			(o) => o.holders[0]?.kind.role === 'jar'
		);
		expect(jars.length).toBeGreaterThan(0);
		for (const { holders } of jars)
			for (const { holds } of holders[0]!.containers)
				expect(holds.map(({ pieces }) => pieces)).toEqual([1]);
	});
	it('leave out what is too high or does not pass the way in', () => {
		const low = { ...room, heightMm: 100, passHeightMm: 100 };
		expect(
			holdOptions(wantOf('oils'), kinds, { ...packing, room: low }, play, owned).map(
				(o) => o.holders
			)
		).toEqual([[]]);
		const narrow = { ...room, passWidthMm: 90 };
		for (const { holders } of holdOptions(
			wantOf('baking'),
			kinds,
			{ ...packing, room: narrow },
			play,
			owned
		))
			for (const { kind } of holders)
				expect(Math.min(kind.outerTop.widthMm, kind.outerTop.depthMm)).toBeLessThanOrEqual(84);
	});
	it('cost nothing more for what the house has', () => {
		const want = wantOf('baking');
		const price = (have: number) =>
			holdOptions(want, kinds, packing, play, new Map([['bin-l', have]])).find(
				(o) => o.holders.length === 1 && o.holders[0]!.kind.id === 'bin-l' && !o.loose.length
			)!;
		expect(price(0).costMinor - price(1).costMinor).toBe(demo.containerKinds['bin-l']!.priceMinor);
		expect(price(99).costMinor).toBe(0);
	});
});

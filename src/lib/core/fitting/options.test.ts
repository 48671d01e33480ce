import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { DEFAULT_SETTINGS } from '../model';
import { apply, NOW } from '../fixtures/tiny-home';
import { holdOptions, wantsOf, type NookRoom } from '.';

const room: NookRoom = {
	widthMm: 1260,
	depthMm: 400,
	heightMm: 350,
	passWidthMm: 1260,
	passHeightMm: 350,
	aboveMm: 30,
	loadG: Infinity
};
const { play } = DEFAULT_SETTINGS;
const demo = demoHome(NOW);
const kinds = Object.values(demo.containerKinds);
const owned = new Map(kinds.map((kind) => [kind.id as string, kind.owned]));

/** What a group wants when all of it goes to one larder shelf. */
function wantOf(groupId: string, boxes: 'decant' | 'packs' = 'packs') {
	const home = apply(demo, (draft) => {
		draft.schools.boxes = boxes;
		draft.activePlanId = 'p' as never;
		draft.zonePlans['p'] = {
			id: 'p',
			name: 'P',
			assignments: [{ groupId, nookId: 'larder-3', share: 1 }],
			overflow: [],
			objective: 0,
			bound: 0,
			seed: 1,
			fingerprint: '',
			madeAt: NOW,
			wishPrices: [],
			keptEmpty: null,
			learnUntil: null
		} as never;
	});
	return wantsOf(home, 'larder-3')[0]!;
}

describe('the ways to hold a group', () => {
	it.each(['baking', 'cans-veg', 'spices', 'oils', 'snacks', 'food-boxes', 'medicines'])(
		'%s: nothing is lost between containers and shelf, and no container is over full',
		(groupId) => {
			const want = wantOf(groupId);
			const options = holdOptions(want, kinds, room, play, owned);
			expect(options.at(-1)).toMatchObject({ kind: null, count: 0, costMinor: 0 });
			for (const { kind, count, loose, costMinor, heightMm } of options) {
				expect(want.goods).toEqual(expect.arrayContaining([...loose]));
				if (!kind) continue;
				const held = want.goods.filter((good) => !loose.includes(good));
				const innerMl =
					(kind.inner.widthMm * kind.inner.depthMm * Math.min(kind.inner.heightMm, 320)) / 1000;
				const heldMl = held.reduce((sum, good) => sum + good.volumeMl, 0);
				expect(heldMl).toBeLessThanOrEqual(count * innerMl * play.fillShare + 1e-6);
				expect(heightMm).toBeLessThanOrEqual(room.heightMm - room.aboveMm);
				expect(want.roles).toContain(kind.role);
				expect(costMinor).toBe(Math.max(0, count - kind.owned) * kind.priceMinor);
			}
		}
	);
	it('offer jars only where one decants, one jar a kind of goods', () => {
		expect(
			holdOptions(wantOf('grains'), kinds, room, play, owned).some((o) => o.kind?.role === 'jar')
		).toBe(false);
		const jars = holdOptions(wantOf('grains', 'decant'), kinds, room, play, owned).filter(
			(o) => o.kind?.role === 'jar'
		);
		expect(jars.length).toBeGreaterThan(0);
		for (const { count, loose } of jars)
			expect(count).toBeGreaterThanOrEqual(wantOf('grains', 'decant').goods.length - loose.length);
	});
	it('leave out what is too high or does not pass the way in', () => {
		const low = { ...room, heightMm: 100, passHeightMm: 100 };
		expect(holdOptions(wantOf('oils'), kinds, low, play, owned).map((o) => o.kind)).toEqual([null]);
		const narrow = { ...room, passWidthMm: 90 };
		for (const { kind } of holdOptions(wantOf('baking'), kinds, narrow, play, owned))
			if (kind)
				expect(Math.min(kind.outerTop.widthMm, kind.outerTop.depthMm)).toBeLessThanOrEqual(84);
	});
	it('cost nothing more for what the house has', () => {
		const want = wantOf('baking');
		const price = (have: number) =>
			holdOptions(want, kinds, room, play, new Map([['bin-l', have]])).find(
				(o) => o.kind?.id === 'bin-l' && !o.loose.length
			)!;
		expect(price(0).costMinor - price(1).costMinor).toBe(demo.containerKinds['bin-l']!.priceMinor);
		expect(price(99).costMinor).toBe(0);
	});
});

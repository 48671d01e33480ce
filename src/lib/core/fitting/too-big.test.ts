import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import type { ContainerKind, Home } from '../model';
import { roomOf } from '../standing';
import { enters } from './options';
import { nearestHolder, tooBigKinds } from './too-big';
import { holdersOf } from './wants';
import { USUAL_KINDS } from './usual-kinds';

const demo = demoHome(NOW);
const SHELF = 'larder-3';
const { room } = roomOf(demo, SHELF)!;
const oils = planFor(demo, { oils: SHELF });
const with_ = (home: Home, role: 'turntable' | 'caddy', kinds: readonly ContainerKind[]) =>
	apply(home, (draft) => {
		draft.groups['oils']!.holder = role;
		for (const [id, kind] of Object.entries(draft.containerKinds))
			if (kind.role === role) delete draft.containerKinds[id];
		for (const kind of kinds) draft.containerKinds[kind.id] = { ...kind };
	});
const turntable = USUAL_KINDS.find(({ id }) => id === 'turn-m')!;
const sized = (id: string, across: number, heightMm = 60): ContainerKind => ({
	...turntable,
	id: id as never,
	outerTop: { widthMm: across, depthMm: across },
	outerBase: { widthMm: across, depthMm: across },
	inner: { widthMm: across - 10, depthMm: across - 10, heightMm: heightMm - 10 },
	heightMm
});

describe('what is too big for a place', () => {
	it('is said with the first side that is, and only of what does not go in', () => {
		const side = fc.integer({ min: 20, max: 1900 });
		fc.assert(
			fc.property(side, side, side, fc.boolean(), (w, d, h, turn) => {
				const kind: ContainerKind = {
					...turntable,
					owned: 1,
					turn,
					heightMm: h,
					outerTop: { widthMm: w, depthMm: d },
					outerBase: { widthMm: w, depthMm: d }
				};
				const [found] = tooBigKinds([kind], room, new Set(['turntable']), 3);
				const goesIn = enters(kind, room, 3);
				if (goesIn) expect(found).toBeUndefined();
				// Turned it may be too large on each side in its turn: then neither is named.
				if (found) expect(found.shortMm).toBeGreaterThan(0);
			})
		);
		expect(tooBigKinds([sized('big', 900)], room, new Set(['turntable']), 3)).toEqual([]);
	});
});

describe('the holder that comes nearest', () => {
	it('is the one that is too large by least', () => {
		const home = with_(oils, 'turntable', [sized('huge', 900), sized('large', 450)]);
		expect(nearestHolder(home, SHELF, 'oils')).toEqual({
			kindId: 'large',
			why: 'container',
			over: { side: 'depth', shortMm: 450 + 3 - room.depthMm }
		});
	});
	it('goes in, and one thing does not go into it, by so much', () => {
		const tiny = sized('tiny', 50);
		const nearest = nearestHolder(with_(oils, 'turntable', [tiny]), SHELF, 'oils')!;
		expect(nearest).toMatchObject({ kindId: 'tiny', why: 'thing' });
		if (nearest.why !== 'thing') return;
		expect(nearest.over.shortMm).toBeGreaterThan(0);
		expect(oils.things[nearest.thingId]!.groupId).toBe('oils');
	});
	it('is none where one looks in from above, for what stands on things', () => {
		const drawer = Object.values(demo.nooks).find(({ kind }) => kind === 'drawer')!.id;
		const dishes = apply(
			planFor(demo, { dishes: drawer }),
			(draft) => void (draft.groups['dishes']!.holder = 'level')
		);
		expect(nearestHolder(dishes, drawer, 'dishes')).toEqual({ kindId: null, why: 'from-above' });
		expect(holdersOf(dishes, 'dishes', drawer)).toEqual([]);
		expect(holdersOf(planFor(demo, { dishes: SHELF }), 'dishes', SHELF)).toEqual(['level']);
	});
	it('would take it, where only the floor is short; and there is none where none is known', () => {
		expect(nearestHolder(with_(oils, 'turntable', [turntable]), SHELF, 'oils')).toEqual({
			kindId: turntable.id,
			why: 'no-room'
		});
		expect(nearestHolder(with_(oils, 'turntable', []), SHELF, 'oils')).toBeNull();
		expect(nearestHolder(oils, SHELF, 'oils')).toBeNull();
		expect(nearestHolder(oils, 'gone', 'oils')).toBeNull();
	});
});

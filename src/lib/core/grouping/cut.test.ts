import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { ThingId } from '../model';
import { sketchHome } from '../fixtures/sketch-home';
import { apply, counter, NOW } from '../fixtures/tiny-home';
import { cardOf, filled, type Bucket, type Card } from './buckets';
import { cutToFit, measuredRooms, partOutsize, type Room } from './cut';
import { groupChanges, proposeGroups, takeChanges } from '.';

const demo = demoHome(NOW);
const toaster = Object.values(demo.things).find(({ name }) => name === 'toaster')!;
const mm = fc.integer({ min: 1, max: 6 }).map((size) => size * 80);
const pieceArb = fc.record({ widthMm: mm, depthMm: mm, heightMm: mm });
const roomArb = fc
	.record({
		sides: fc.tuple(mm, mm),
		widthMm: mm,
		heightMm: mm,
		litres: fc.integer({ min: 1, max: 90 })
	})
	.map(({ sides, widthMm, heightMm, litres }): Room => ({
		cold: 'room',
		isBath: false,
		volumeMl: litres * 1000,
		shortMm: Math.min(...sides),
		longMm: Math.max(...sides),
		passes: { widthMm, heightMm }
	}));
const bucketOf = (cards: readonly Card[]): Bucket => ({
	key: 'appliances',
	name: 'Small appliances',
	...filled(cards),
	why: [{ code: 'category', words: ['Small appliances'] }],
	closed: false,
	groupId: null
});
const bucketArb = fc.array(pieceArb, { minLength: 1, maxLength: 7 }).map((pieces) =>
	bucketOf(
		pieces.map((piece, i) => {
			const thing = { ...toaster, id: ThingId.parse(`t${i}`), piece };
			return cardOf(thing, 1, { person: '', free: '', pet: '' });
		})
	)
);
const roomsArb = fc.array(roomArb, { maxLength: 14 });

/** Places that every one of the cards enters, each card tried on its own. */
function placesOf(cards: readonly Card[], rooms: readonly Room[]): number {
	return rooms.filter(({ longMm, passes }) =>
		cards.every(({ thing: { piece } }) => {
			const [narrow, long] = [piece.widthMm, piece.depthMm].sort((a, b) => a - b);
			const passesIn = piece.heightMm <= passes.heightMm && narrow! <= passes.widthMm;
			return passesIn && long! <= longMm;
		})
	).length;
}

/** The fewest things of a bucket without which the rest has four times the places; null: no half of it does that. */
function fewest({ cards }: Bucket, rooms: readonly Room[]): number | null {
	const need = 4 * Math.max(1, placesOf(cards, rooms));
	let best: number | null = null;
	for (let chosen = 1; chosen < 1 << cards.length; chosen++) {
		const rest = cards.filter((_, i) => !(chosen & (1 << i)));
		const few = cards.length - rest.length;
		if (few > cards.length / 2 || placesOf(rest, rooms) < need) continue;
		best = Math.min(best ?? few, few);
	}
	return best;
}

describe('outsize things', () => {
	it('go apart only where the rest then has four times the places, and nothing is lost', () => {
		fc.assert(
			fc.property(bucketArb, roomsArb, (bucket, rooms) => {
				const parts = partOutsize(bucket, rooms);
				const ids = parts.flatMap(({ cards }) => cards.map(({ thing }) => thing.id));
				expect([...ids].sort()).toEqual(bucket.cards.map(({ thing }) => thing.id));
				if (parts.length === 1) return;
				const [rest, large] = parts as [Bucket, Bucket];
				expect(placesOf(rest.cards, rooms)).toBeGreaterThanOrEqual(
					4 * Math.max(1, placesOf(bucket.cards, rooms))
				);
				expect(large.cards.length).toBeLessThanOrEqual(rest.cards.length);
				expect(large.closed).toBe(true);
			}),
			{ seed: 91, numRuns: 300 }
		);
	});
	it('are as few as trying every choice finds, where height alone counts', () => {
		const tall = roomsArb.map((rooms) =>
			rooms.map((room): Room => ({
				...room,
				longMm: 900,
				passes: { ...room.passes, widthMm: 900 }
			}))
		);
		let parted = 0;
		fc.assert(
			fc.property(bucketArb, tall, (bucket, rooms) => {
				const [, large] = partOutsize(bucket, rooms);
				parted += large ? 1 : 0;
				expect(large?.cards.length ?? null).toBe(fewest(bucket, rooms));
			}),
			{ seed: 92, numRuns: 300 }
		);
		expect(parted).toBeGreaterThan(20);
	});
	it('of the demo home are proposed apart, by name, and once taken stay so', () => {
		const outsize = proposeGroups(demo).filter(({ why }) =>
			why.some(({ code }) => code === 'outsize')
		);
		expect(outsize.map(({ name }) => name)).toEqual(['Small appliances, outsize']);
		const names = outsize[0]!.thingIds.map((id) => demo.things[id]!.name);
		expect(names.sort()).toEqual(['food processor', 'slow cooker']);
		const taken = apply(demo, takeChanges(groupChanges(demo), counter('new')));
		expect(groupChanges(taken)).toEqual([]);
	});
});

describe('what no place holds', () => {
	it('is cut so that each part but a single large thing goes into one place, the most used first', () => {
		fc.assert(
			fc.property(bucketArb, roomsArb, (bucket, rooms) => {
				const parts = cutToFit(bucket, rooms);
				const limit = Math.max(0, ...rooms.map(({ volumeMl }) => volumeMl));
				expect(parts.flatMap(({ cards }) => cards).length).toBe(bucket.cards.length);
				if (!rooms.length) expect(parts).toEqual([bucket]);
				else
					for (const { cards, volumeMl } of parts)
						expect(cards.length === 1 || volumeMl <= limit).toBe(true);
			}),
			{ seed: 93, numRuns: 200 }
		);
	});
	it('looks at measured places only, and at none that is kept for what is used first', () => {
		const rooms = measuredRooms(demo);
		const unmeasured = Object.values(demo.nooks).filter(
			({ inside }) => !inside.widthMm || !inside.depthMm || !inside.heightMm
		);
		const first = Object.values(demo.nooks).filter(({ tags }) => tags.includes('use-first'));
		expect(unmeasured.length).toBeGreaterThan(0);
		expect(first.length).toBeGreaterThan(0);
		expect(rooms.length).toBe(
			Object.keys(demo.nooks).length - new Set([...unmeasured, ...first]).size
		);
	});
});

describe('what would bar a group from the bathroom', () => {
	const bath = (name: string, places: readonly [string, string][]) =>
		sketchHome({
			id: 'bath',
			name,
			people: [{ name: 'Ada', statureMm: 1700, ageBand: 'adult' }],
			rooms: [
				{
					name: 'Bathroom',
					widthMm: 2000,
					depthMm: 1800,
					back: places.map(([form, goods]) => ({ form, goods: [goods] }))
				}
			]
		});
	const groupOf = (home: ReturnType<typeof bath>, name: string) =>
		home.groups[Object.values(home.things).find((thing) => thing.name === name)!.groupId!]!.id;
	const FACE = '1 toothpaste; 2 toothbrush; 1 face cream; 1 hair spray; 1 nail scissors';

	it('stays apart: a hair dryer takes nobody’s toothpaste out of the mirror cabinet', () => {
		const home = bath('Mirror and basin', [
			['basin', '1 hair dryer'],
			['mirror', FACE]
		]);
		expect(groupOf(home, 'hair dryer')).not.toBe(groupOf(home, 'nail scissors'));
		expect(groupOf(home, 'hair dryer')).not.toBe(groupOf(home, 'toothpaste'));
		// Too tall for the mirror cabinet, both of them.
		expect(groupOf(home, 'hair dryer')).toBe(groupOf(home, 'hair spray'));
	});
	it('joins where the bathroom has a cabinet for all of it', () => {
		const home = bath('Tall cabinet', [['tall', `${FACE}; 1 hair dryer`]]);
		const alone = proposeGroups(home).filter(({ thingIds }) => thingIds.length === 1);
		expect(alone.map(({ name }) => name)).not.toContain('Electricals');
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW, TODAY, tinyHome, withLines } from '../fixtures/tiny-home';
import { generateHome } from '../fixtures/generate-home';
import { takeDown } from '../rotation';
import { applyEdit, Home, linkFaults, replay, type Edit } from '../model';
import { conflictKey, mergeHomes, mergeIn, mergeValue } from '.';

const base = tinyHome();
const ours = 'ours' as const;
const keep = () => ours;
const merged = (from: Home, a: Home, b: Home, choices = {}) => {
	const found = mergeHomes(from, a, b, choices);
	return { ...found, home: apply(a, mergeIn(found.records, found.head)) };
};

/** A change of one field or record, with the fields it speaks of, so that what became of it can be checked. */
interface Told {
	readonly edit: Edit;
	readonly at: string;
	readonly is: (home: Home) => boolean;
}
const lotIds = Object.keys(base.lots);
const thingIds = Object.keys(base.things);
const nookIds = Object.keys(base.nooks);
const told = (side: string) =>
	fc.oneof(
		fc
			.tuple(fc.constantFrom(...thingIds), fc.integer({ min: 1, max: 999 }))
			.map(([id, price]): Told => ({
				edit: (draft) => {
					if (draft.things[id]) draft.things[id]!.priceMinor = price;
				},
				at: `things/${id}/priceMinor`,
				is: (home) => home.things[id]?.priceMinor === price
			})),
		fc.tuple(fc.constantFrom(...lotIds), fc.constantFrom(...nookIds)).map(([id, nookId]): Told => ({
			edit: (draft) => {
				if (draft.lots[id]) draft.lots[id]!.nookId = nookId as never;
			},
			at: `lots/${id}/nookId`,
			is: (home) => home.lots[id]?.nookId === nookId
		})),
		fc
			.tuple(fc.constantFrom(...nookIds), fc.string({ minLength: 1, maxLength: 8 }))
			.map(([id, name]): Told => ({
				edit: (draft) => void (draft.nooks[id]!.name = name),
				at: `nooks/${id}/name`,
				is: (home) => home.nooks[id]?.name === name
			})),
		fc.nat(30).map((n): Told => {
			const id = `${side}-line-${n}`;
			return {
				edit: (draft) => {
					draft.listLines[id as never] = {
						id,
						thingId: null,
						name: id,
						count: 1,
						state: 'wanted',
						byHand: true,
						paidMinor: null,
						instead: '',
						on: TODAY
					} as never;
				},
				at: `listLines/${id}`,
				is: (home) => home.listLines[id]?.name === id
			};
		})
	);
const run = (edits: readonly Told[]) => apply(base, ...edits.map(({ edit }) => edit));

describe('two copies of a home', () => {
	it('give a sound home that has every change of either, but for what both changed', () => {
		let clashes = 0;
		fc.assert(
			fc.property(
				fc.array(told('a'), { maxLength: 40 }),
				fc.array(told('b'), { maxLength: 40 }),
				(one, other) => {
					const [a, b] = [run(one), run(other)];
					const { home, conflicts } = merged(base, a, b);
					expect(Home.safeParse(home).success).toBe(true);
					expect(linkFaults(home)).toEqual([]);
					const disputed = new Set(conflicts.map(conflictKey));
					clashes += disputed.size;
					// The last word of each side on a field, unless the other side spoke of it too.
					for (const [mine, theirs] of [
						[one, other],
						[other, one]
					]) {
						const last = new Map(mine!.map((each) => [each.at, each]));
						const spoken = new Set(theirs!.map(({ at }) => at));
						for (const [at, { is }] of last)
							if (!spoken.has(at)) {
								expect(disputed.has(at)).toBe(false);
								expect(is(home), at).toBe(true);
							}
					}
					// Ours stands where both spoke.
					for (const [at, { is }] of new Map(one.map((each) => [each.at, each])))
						if (disputed.has(at)) expect(is(home), at).toBe(true);
				}
			),
			{ seed: 211, numRuns: 120 }
		);
		expect(clashes).toBeGreaterThan(20);
	});
	it('come to the same whichever is taken into the other', () => {
		fc.assert(
			fc.property(
				fc.array(told('a'), { maxLength: 25 }),
				fc.array(told('b'), { maxLength: 25 }),
				(one, other) => {
					const [a, b] = [run(one), run(other)];
					const [there, back] = [merged(base, a, b), mergeHomes(base, b, a)];
					expect(back.conflicts.map(conflictKey).sort()).toEqual(
						there.conflicts.map(conflictKey).sort()
					);
					const other_ = Object.fromEntries(
						back.conflicts.map((conflict) => [conflictKey(conflict), 'theirs' as const])
					);
					expect(merged(base, b, a, other_).home).toEqual(there.home);
				}
			),
			{ seed: 212, numRuns: 80 }
		);
	});
	it('change nothing when they are one, and are undone as one step', () => {
		const a = run([]);
		expect(mergeHomes(base, a, a)).toEqual({
			records: [],
			head: {},
			conflicts: [],
			broughtBack: []
		});
		fc.assert(
			fc.property(
				fc.array(told('a'), { maxLength: 12 }),
				fc.array(told('b'), { maxLength: 12 }),
				(one, other) => {
					const [mine, theirs] = [run(one), run(other)];
					expect(mergeHomes(base, mine, base)).toMatchObject({
						records: [],
						head: {},
						conflicts: []
					});
					const { records, head } = mergeHomes(base, mine, theirs);
					const step = applyEdit(mine, mergeIn(records, head));
					expect(replay(step.home, step.inverse)).toEqual(mine);
					// Taken in once, it brings nothing more.
					const again = mergeHomes(theirs, step.home, theirs);
					expect(again).toMatchObject({ records: [], head: {}, conflicts: [] });
				}
			),
			{ seed: 213, numRuns: 40 }
		);
	});
	it('both take one down: then two are gone, and both takings are told', () => {
		const [lot] = Object.values(base.lots).filter(({ count }) => count >= 3);
		const take = (eventId: string) =>
			apply(base, takeDown({ lotId: lot!.id, count: 1, eventId, now: NOW }));
		const { home, conflicts } = merged(base, take('a'), take('b'));
		expect(home.lots[lot!.id]!.count).toBe(lot!.count - 2);
		expect(Object.keys(home.useEvents).sort()).toEqual(['a', 'b']);
		expect(conflicts).toEqual([]);
	});
	it('never take more than there was', () => {
		const [lot] = Object.values(base.lots).filter(({ count }) => count === 1);
		const take = (eventId: string) =>
			apply(base, takeDown({ lotId: lot!.id, count: 1, eventId, now: NOW }));
		expect(merged(base, take('a'), take('b')).home.lots[lot!.id]!.count).toBe(0);
	});
	it('one takes a place away, the other puts something into it: the place stays', () => {
		const [gone] = nookIds;
		const [lot] = lotIds;
		const a = apply(base, (draft) => void delete draft.nooks[gone!]);
		const b = apply(base, (draft) => void (draft.lots[lot!]!.nookId = gone as never));
		const there = merged(base, a, b);
		expect(there.home.nooks[gone!]).toEqual(base.nooks[gone!]);
		expect(there.home.lots[lot!]!.nookId).toBe(gone);
		expect(there.broughtBack).toEqual([{ collection: 'nooks', id: gone }]);
		const back = merged(base, b, a);
		expect(back.home.nooks[gone!]).toBeDefined();
		expect(linkFaults(back.home)).toEqual([]);
	});
	it('one takes a thing away, the other changes it: it stays, unless that is chosen', () => {
		const [id] = thingIds;
		const a = apply(base, (draft) => void delete draft.things[id!]);
		const b = apply(base, (draft) => void (draft.things[id!]!.priceMinor = 77));
		const { home, conflicts } = merged(base, a, b);
		expect(home.things[id!]!.priceMinor).toBe(77);
		expect(conflicts).toMatchObject([{ path: ['things', id], ours: undefined }]);
		expect(merged(base, a, b, { [`things/${id}`]: 'ours' }).home.things[id!]).toBeUndefined();
	});
	it('merge settings field by field, sets as sets, parts by their id', () => {
		const a = apply(base, (draft) => {
			draft.settings.lift.aboveShoulderG = 2500;
			draft.schools.tops = true;
		});
		const b = apply(base, (draft) => {
			draft.settings.slackShare = 0.2;
			draft.name = 'Renamed';
		});
		const { home, conflicts } = merged(base, a, b);
		expect(home).toMatchObject({
			name: 'Renamed',
			schools: { tops: true },
			settings: { slackShare: 0.2, lift: { aboveShoulderG: 2500 } }
		});
		expect(conflicts).toEqual([]);
		expect(mergeValue(['a', 'b'], ['a', 'b', 'd'], ['b', 'c'], [], keep).value).toEqual([
			'b',
			'c',
			'd'
		]);
		const item = (id: string, x: number) => ({ id, x });
		expect(
			mergeValue(
				[item('p', 1), item('q', 1)],
				[item('p', 2), item('q', 1)],
				[item('q', 3), item('p', 1)],
				[],
				keep
			).value
		).toEqual([item('p', 2), item('q', 3)]);
	});
	it('keep the id of the home and its first day, whatever a copy says', () => {
		const b = { ...base, id: 'other' as never, createdAt: '2030-01-01T00:00:00.000Z' };
		expect(mergeHomes(base, base, b).head).toEqual({});
	});
	it('of a demo home that was worked on here and there stay sound', () => {
		const demo = demoHome(NOW);
		const a = withLines(demo, ['3 tins beans', '1 oat milk'], null);
		const b = apply(demo, (draft) => {
			for (const id of Object.keys(draft.groups).slice(0, 3)) delete draft.groups[id];
		});
		const { home } = merged(demo, a, b);
		expect(linkFaults(home)).toEqual([]);
		expect(Object.keys(home.groups)).toHaveLength(Object.keys(demo.groups).length - 3);
		expect(Object.keys(home.lots)).toHaveLength(Object.keys(a.lots).length);
	});
	it('of thousands of things with hundreds of changes are merged without a loss', () => {
		const large = generateHome({
			seed: 3,
			rooms: 4,
			cabinets: 20,
			groups: 40,
			things: 1500,
			lots: 3000
		});
		const ids = Object.keys(large.lots);
		const edited = (from: number) =>
			apply(large, (draft) => {
				for (let i = 0; i < 500; i++) draft.lots[ids[from + i]!]!.batch = `${from}`;
			});
		const { home, conflicts } = merged(large, edited(0), edited(400));
		expect(conflicts).toHaveLength(100);
		const batches = Object.values(home.lots).map(({ batch }) => batch);
		expect(batches.filter((batch) => batch === '0')).toHaveLength(500);
		expect(batches.filter((batch) => batch === '400')).toHaveLength(400);
	});
});

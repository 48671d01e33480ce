import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { applyEdit } from '../model';
import { apply, bareKitchen, counter, tinyHome, withLines } from '../fixtures/tiny-home';
import { allGroupFigures, frontRunMm, holdingsByGroup, moveThing, proposeGroups, tagCode } from '.';

const figuresOf = (home: ReturnType<typeof tinyHome>, name: string) =>
	allGroupFigures(home).find((f) => home.groups[f.groupId]!.name === name)!;

describe('figures of a group', () => {
	it('are sums over its things', () => {
		const f = figuresOf(tinyHome(), 'Cans: vegetables');
		expect(f).toMatchObject({ pieces: 6, tallestMm: 110, usesPerWeek: 1, isFood: true });
		expect(f.volumeMl).toBeCloseTo((6 * 75 * 75 * 110) / 1000);
		expect([...f.stations]).toEqual([['hob', 1]]);
	});
	it('give way to what was set by hand, and say so', () => {
		const home = tinyHome();
		const id = figuresOf(home, 'Cans: vegetables').groupId;
		const set = apply(
			home,
			(draft) => void (draft.groups[id]!.overrides = { usesPerWeek: 9, volumeMl: 1234 })
		);
		expect(figuresOf(set, 'Cans: vegetables')).toMatchObject({
			usesPerWeek: 9,
			volumeMl: 1234,
			overridden: { uses: true, volume: true }
		});
	});
	it('count logged uses rather than the class', () => {
		const home = tinyHome();
		const thing = Object.values(home.things).find((t) => t.name === 'penne')!;
		const counted = apply(home, (draft) => void (draft.things[thing.id]!.use.countedPerWeek = 5));
		expect(figuresOf(counted, 'Grains and pasta')).toMatchObject({ usesPerWeek: 5, counted: true });
	});
	it('are shared by everybody as soon as one of its things is', () => {
		const home = tinyHome();
		const [a] = figuresOf(home, 'Everyday dishes').things;
		const own = apply(home, (draft) => {
			draft.people['p'] = {
				id: 'p',
				name: 'P',
				statureMm: 1700,
				ageBand: 'adult',
				visits: false,
				limits: { maxLiftG: null, noClimb: false, noAboveShoulder: false },
				diets: [],
				allergies: []
			} as never;
			draft.things[a!.id]!.userIds = ['p' as never];
		});
		expect(figuresOf(own, 'Everyday dishes').userIds).toEqual(['p']);
		expect(figuresOf(own, 'Cutlery').userIds).toEqual([]);
	});
	it('spread piles over the depth of a shelf', () => {
		expect(frontRunMm({ piece: { widthMm: 75, depthMm: 75, heightMm: 110 } }, 8)).toBeCloseTo(75);
	});
	it('neither lose nor invent pieces when things move between groups', () => {
		const home = tinyHome();
		const things = Object.keys(home.things);
		const groups = Object.keys(home.groups);
		const total = (h: typeof home) => allGroupFigures(h).reduce((sum, f) => sum + f.volumeMl, 0);
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.constantFrom(...things), fc.constantFrom(...groups)), {
					maxLength: 8
				}),
				(moves) => {
					const moved = moves.reduce(
						(now, [thing, group]) => apply(now, moveThing(thing, group)),
						home
					);
					expect(total(moved)).toBeCloseTo(total(home));
				}
			),
			{ seed: 51, numRuns: 25 }
		);
	});
});

describe('proposing groups', () => {
	it('gives every loose thing the group of its category', () => {
		const home = tinyHome();
		expect(holdingsByGroup(home).get(null)).toBeUndefined();
		expect(Object.values(home.groups).map((g) => g.name)).toContain('Dairy');
		expect(new Set(Object.values(home.groups).map((g) => g.tag.code)).size).toBe(
			Object.keys(home.groups).length
		);
	});
	it('never undoes a choice made by hand', () => {
		const home = tinyHome();
		const thing = Object.values(home.things).find((t) => t.name === 'penne')!;
		const dairy = Object.values(home.groups).find((g) => g.name === 'Dairy')!;
		const moved = apply(home, moveThing(thing.id, dairy.id));
		const more = withLines(moved, ['1 rice']);
		const proposed = apply(more, proposeGroups(counter('h')));
		expect(proposed.things[thing.id]!.groupId).toBe(dairy.id);
		expect(proposed.groups[dairy.id]!.byHand).toBe(true);
	});
	it('does nothing when nothing is loose', () => {
		expect(applyEdit(tinyHome(), proposeGroups(counter('h'))).patches).toEqual([]);
	});
	it('finds a code that is free, for any number of names', () => {
		const taken = new Set<string>();
		for (let i = 0; i < 200; i++) {
			const code = tagCode('Bread and butter', taken);
			expect(taken.has(code)).toBe(false);
			expect(code).toMatch(/^[A-Z0-9]{2}$/);
			taken.add(code);
		}
		expect(tagCode('Ütz', new Set())).toMatch(/^[A-Z]{2}$/);
	});
	it('leaves a home without things without groups', () => {
		expect(allGroupFigures(apply(bareKitchen(), proposeGroups(counter('h'))))).toEqual([]);
	});
});

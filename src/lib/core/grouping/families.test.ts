import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, bareKitchen, NOW, withLines } from '../fixtures/tiny-home';
import { generateHome } from '../fixtures/generate-home';
import { groupChanges, takeChanges } from './changes';
import { familyOf, isKept, looseThings, mayShare, strangerIn, type Family } from './families';
import { proposeGroups } from './propose';

const FAMILIES: readonly Family[] = [
	'frozen',
	'chilled',
	'raw-meat',
	'pet-food',
	'medicine',
	'bleach',
	'acid',
	'cleaner',
	'food',
	'goods'
];
const typed = (line: string) => Object.values(withLines(bareKitchen(), [line]).things)[0]!;

describe('families of stock', () => {
	it.each([
		['frozen peas', 'frozen'],
		['milk', 'chilled'],
		['minced beef', 'raw-meat'],
		['minced beef frozen 01/02/26', 'frozen'],
		['cat food', 'pet-food'],
		['paracetamol', 'medicine'],
		['bleach', 'bleach'],
		['glass cleaner', 'cleaner'],
		['rice', 'food'],
		['whisk', 'goods']
	] as const)('%s: %s', (line, family) => expect(familyOf(typed(line))).toBe(family));
	it('share only with themselves, but for food of the cupboard and what is used with it', () => {
		for (const a of FAMILIES)
			for (const b of FAMILIES) {
				const mix = ['food', 'goods'];
				expect(mayShare(a, b)).toBe(a === b || (mix.includes(a) && mix.includes(b)));
			}
	});
	it('are never mixed by a proposal, in any home', () => {
		const homes = [
			demoHome(NOW),
			...[1, 2, 3, 4].map((seed) =>
				generateHome({ seed, rooms: 3, cabinets: 12, groups: 20, things: 260, lots: 400 })
			)
		];
		for (const home of homes)
			for (const { name, thingIds } of proposeGroups(home)) {
				const clash = strangerIn(home, thingIds, null);
				expect(clash && `${name}: ${clash.thing.name} with ${clash.beside.name}`).toBeNull();
			}
	});
	it('do not hang on the order in which things are looked at', () => {
		const home = withLines(bareKitchen(), ['rice', 'whisk', 'bleach', 'frozen peas', 'milk']);
		const ids = Object.keys(home.things);
		fc.assert(
			fc.property(fc.shuffledSubarray(ids), (some) => {
				const families = some.map((id) => familyOf(home.things[id]!));
				const clash = families.some((a) => families.some((b) => !mayShare(a, b)));
				expect(strangerIn(home, some, null) !== null).toBe(clash);
			}),
			{ seed: 12 }
		);
	});
});

describe('what was let go', () => {
	const home = apply(withLines(bareKitchen(), ['rice', 'old mixer', 'oats', 'flour']), (draft) => {
		const things = Object.values(draft.things);
		for (const lot of Object.values(draft.lots)) if (lot.thingId !== things[0]!.id) lot.count = 0;
		things[2]!.hold = { rule: 'packs', amount: 2 };
		things[3]!.hold = { rule: 'packs', amount: 2 };
		things[3]!.avoid = true;
	});
	const named = (name: string) => Object.values(home.things).find((thing) => thing.name === name)!;
	it('needs no group; what is to be bought again does', () => {
		expect(['rice', 'old mixer', 'oats', 'flour'].map((name) => isKept(home, named(name)))).toEqual(
			[true, false, true, false]
		);
		expect(looseThings(home).map(({ name }) => name)).toEqual(['rice', 'oats']);
	});
	it('is in no proposal, and makes no group of nothing', () => {
		const changes = groupChanges(home);
		const moved = changes.flatMap(({ moves }) => moves.map(({ thingId }) => thingId));
		expect(moved).not.toContain(named('old mixer').id);
		const after = apply(
			home,
			takeChanges(changes, () => 'g1')
		);
		for (const { id } of Object.values(after.groups))
			expect(Object.values(after.things).some((t) => t.groupId === id && isKept(after, t))).toBe(
				true
			);
	});
});

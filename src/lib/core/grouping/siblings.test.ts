import { beforeAll, describe, expect, it } from 'vitest';
import { SKETCHES } from '../fixtures/sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { bareKitchen, withLines } from '../fixtures/tiny-home';
import { categoryOf, usesPerWeek, type Home, type Thing } from '../model';
import { proposeGroups } from './propose';

interface Proposed {
	readonly name: string;
	readonly things: readonly Thing[];
}
const proposed = (home: Home): Proposed[] =>
	proposeGroups(home).map(({ name, thingIds }) => ({
		name,
		things: thingIds.map((id) => home.things[id]!)
	}));
const groupOf = (groups: readonly Proposed[], thing: string) =>
	groups.find(({ things }) => things.some(({ name }) => name === thing));

/** Families of kinds that nobody files under one name, written apart from the table of what may. */
const APART: readonly (readonly [RegExp, RegExp])[] = [
	[/^food\.(?:fruit|onions|potatoes)$/, /^food\.(?:baking|grains|pulses|spices|oils|breakfast)$/],
	[/^food\.(?:spices|oils|sauces)$/, /^food\.(?:cans|baking|grains|breakfast|snacks)/],
	[/^bathroom\.paper$/, /^bathroom\.(?:face|hair|bath|make-up|shaving|electricals)$/],
	[/^kitchen\.(?:pots|bakeware)$/, /^kitchen\.(?:appliances|tools|dishes)$/],
	[/^home\.pet-care$/, /^home\.(?:fuel|pest|garden|workshop)$/],
	[/^home\.(?:toys|baby)$/, /^home\.(?:workshop|fuel|garden|pest)$/]
];

describe('groups of homes of every kind', () => {
	const homes = new Map<string, readonly Proposed[]>();
	beforeAll(() => {
		for (const sketch of SKETCHES) homes.set(sketch.id, proposed(sketchHome(sketch)));
	}, 60_000);
	it.each(SKETCHES.map(({ id }) => id))(
		'%s: hold nothing that one would look for elsewhere',
		(id) => {
			const odd = homes
				.get(id)!
				.filter(({ name }) => !name.endsWith(' kit'))
				.flatMap(({ name, things }) =>
					APART.flatMap(([one, two]) => {
						const kinds = things.map(({ category }) => category);
						const [a, b] = [
							kinds.find((kind) => one.test(kind)),
							kinds.find((kind) => two.test(kind))
						];
						return a && b ? [`${name}: ${a} with ${b}`] : [];
					})
				);
			expect(odd).toEqual([]);
		}
	);
	it.each(SKETCHES.map(({ id }) => id))('%s: have names of their own', (id) => {
		const names = homes.get(id)!.map(({ name }) => name);
		expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([]);
	});
	it.each(SKETCHES.map(({ id }) => id))('%s: are named after what most of them is', (id) => {
		for (const { name, things } of homes.get(id)!) {
			const areas = new Set(things.map(({ category }) => categoryOf(category).area));
			if (!name.endsWith(' kit')) expect([name, areas.size]).toEqual([name, 1]);
		}
	});
});

describe('small groups', () => {
	it('join a sibling, and say both names', () => {
		const home = withLines(bareKitchen(), [
			'1 plain flour',
			'1 spaghetti',
			'1 tin tuna',
			'6 tins chickpeas'
		]);
		const groups = proposed(home);
		expect(groupOf(groups, 'plain flour')).toBe(groupOf(groups, 'chickpeas'));
		expect(groupOf(groups, 'plain flour')!.name).toBe('Dry goods and cans');
	});
	it('stay alone where nothing goes with them, however small', () => {
		const groups = proposed(withLines(bareKitchen(), ['2 apples', '1 salt', '1 plain flour']));
		expect(groups.map(({ things }) => things.length)).toEqual([1, 1, 1]);
	});
	it('of what comes out for guests do not join what is used daily', () => {
		const groups = proposed(withLines(bareKitchen(), ['8 mugs', '1 soup tureen', '1 punch bowl']));
		const seldom = groupOf(groups, 'soup tureen')!;
		expect(seldom.things.every((thing) => usesPerWeek(thing) < 0.5)).toBe(true);
		expect(groupOf(groups, 'mugs')).not.toBe(seldom);
	});
	it('of gear and of what is strong are told apart by name', () => {
		const groups = proposed(
			withLines(bareKitchen(), ['1 bleach', '3 oven cleaner', '4 dusters', '2 buckets'])
		);
		expect(groupOf(groups, 'oven cleaner')!.name).toBe('Cleaning');
		expect(groupOf(groups, 'dusters')!.name).toBe('Cleaning gear');
	});
});

import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { demoHome } from '../../data/demo';
import { categoryOf, linkFaults, type Home } from '../model';
import { generateHome } from '../fixtures/generate-home';
import { apply, bareKitchen, counter, NOW, tinyHome, withLines } from '../fixtures/tiny-home';
import {
	groupChanges,
	joinGroups,
	looseChanges,
	moveThings,
	partnerChanges,
	partnersNow,
	proposeGroups,
	proposePartners,
	releaseGroup,
	renameGroup,
	setPartner,
	splitOff,
	takeChanges,
	takePartners
} from '.';

const demo = demoHome(NOW);
const takeAll = (home: Home) => apply(home, takeChanges(groupChanges(home), counter('new')));
const thingNamed = (home: Home, name: string) =>
	Object.values(home.things).find((thing) => thing.name === name)!;
const groupNamed = (home: Home, name: string) =>
	Object.values(home.groups).find((group) => group.name === name)!;
const homes = fc
	.record({ seed: fc.nat(500), groups: fc.integer({ min: 1, max: 20 }) })
	.map(({ seed, groups }) =>
		generateHome({ seed, rooms: 1, cabinets: 6, groups, things: groups * 4, lots: groups * 5 })
	);
/** A home with some of its things put elsewhere by hand. */
const handled = fc
	.tuple(homes, fc.array(fc.tuple(fc.nat(), fc.nat()), { maxLength: 6 }))
	.map(([home, moves]) => {
		const things = Object.keys(home.things);
		const groups = Object.keys(home.groups);
		return moves.reduce((now, [t, g]) => {
			const group = groups[g % groups.length]!;
			return now.groups[group] ? apply(now, moveThings([things[t % things.length]!], group)) : now;
		}, home);
	});

describe('a proposal of groups', () => {
	it('gives every thing that was not put by hand just one group', () => {
		fc.assert(
			fc.property(handled, (home) => {
				const proposed = proposeGroups(home).flatMap(({ thingIds }) => thingIds);
				const free = Object.values(home.things).filter((thing) => !thing.groupByHand);
				expect([...proposed].sort()).toEqual(free.map(({ id }) => id as string).sort());
			}),
			{ seed: 53, numRuns: 40 }
		);
	});
	it('never undoes a choice made by hand', () => {
		fc.assert(
			fc.property(handled, (home) => {
				const after = takeAll(home);
				for (const thing of Object.values(home.things))
					if (thing.groupByHand) expect(after.things[thing.id]!.groupId).toBe(thing.groupId);
				expect(linkFaults(after)).toEqual([]);
			}),
			{ seed: 54, numRuns: 40 }
		);
	});
	it('leaves nothing to propose when all of it is taken', () => {
		fc.assert(
			fc.property(handled, (home) => {
				expect(groupChanges(takeAll(home))).toEqual([]);
			}),
			{ seed: 55, numRuns: 40 }
		);
		expect(groupChanges(takeAll(demo))).toEqual([]);
	});
	it('puts nothing together that climate, hazard or diet keeps apart', () => {
		const after = takeAll(demo);
		for (const group of proposeGroups(demo)) {
			const things = group.thingIds.map((id) => demo.things[id]!);
			const one = (of: (thing: (typeof things)[number]) => boolean) =>
				expect(new Set(things.map(of)).size, group.name).toBe(1);
			one((thing) => thing.needs.includes('frozen'));
			one((thing) => thing.needs.includes('chilled'));
			one((thing) => thing.hazards.includes('medicine'));
			one((thing) => thing.hazards.includes('bleach'));
			one((thing) => categoryOf(thing.category).area === 'food');
		}
		expect(thingNamed(after, 'sesame oil').groupId).not.toBe(
			thingNamed(after, 'sesame-free crispbread crackers').groupId
		);
	});
	it('does not hang on the order of the records', () => {
		const turned = {
			...demo,
			things: Object.fromEntries(Object.entries(demo.things).reverse()),
			groups: Object.fromEntries(Object.entries(demo.groups).reverse())
		};
		expect(groupChanges(turned)).toEqual(groupChanges(demo));
	});
	it('keeps near the number of nooks', () => {
		const small = generateHome({
			seed: 3,
			rooms: 1,
			cabinets: 2,
			groups: 40,
			things: 160,
			lots: 200
		});
		const many = generateHome({
			seed: 3,
			rooms: 1,
			cabinets: 40,
			groups: 40,
			things: 160,
			lots: 200
		});
		expect(proposeGroups(small).length).toBeLessThan(proposeGroups(many).length);
		expect(
			proposeGroups(small).some(({ why }) => why.some(({ code }) => code === 'few-nooks'))
		).toBe(true);
	});
	it('proposes nothing where there is nothing', () =>
		expect(proposeGroups(bareKitchen())).toEqual([]));
});

describe('what a proposal is made from', () => {
	const people = (draft: Home) => {
		for (const id of ['ada', 'bo'])
			draft.people[id] = { ...demo.people['daughter']!, id: id as never, name: id, allergies: [] };
	};
	const proposedWith = (home: Home, name: string) =>
		proposeGroups(home).find(({ thingIds }) => thingIds.includes(thingNamed(home, name).id))!;
	const plenty = (category: string[]) => category.map((name) => `9 ${name}`);

	it('joins a kit first: the appliance, its parts, what it uses up', () => {
		const kit = proposedWith(demo, 'stand mixer appliance');
		expect(kit.name).toBe('Mixer kit');
		expect(kit.thingIds.map((id) => demo.things[id]!.name).sort()).toEqual([
			'dough hook',
			'mixer beater',
			'stand mixer appliance'
		]);
		expect(kit.why[0]).toEqual({ code: 'kit', words: ['stand mixer appliance'] });
		const coffee = withLines(bareKitchen(), [
			'1 coffee maker',
			'2 coffee filter papers',
			'1 ground coffee',
			'9 black tea'
		]);
		expect(proposedWith(coffee, 'coffee maker').thingIds).toHaveLength(3);
		expect(proposedWith(coffee, 'coffee maker')).not.toBe(proposedWith(coffee, 'black tea'));
	});
	it('makes no kit of an appliance alone', () =>
		expect(proposedWith(demo, 'waffle iron').name).toBe('Small appliances'));
	it('keeps what is one person’s apart, when there is enough of it', () => {
		const shared = withLines(bareKitchen(), plenty(['crisps', 'crackers', 'rice cakes']));
		const own = withLines(shared, plenty(['fruit sweets', 'cereal bars', 'raisin snacks']));
		const ours = apply(own, people, (draft) => {
			for (const thing of Object.values(draft.things)) {
				thing.category = 'food.snacks';
				if (['fruit sweets', 'cereal bars', 'raisin snacks'].includes(thing.name))
					thing.userIds = ['ada' as never];
			}
		});
		const hers = proposedWith(ours, 'fruit sweets');
		expect(hers.name).toBe('Snacks (ada)');
		expect(hers.thingIds).toHaveLength(3);
		expect(hers.why.map(({ code }) => code)).toContain('person');
	});
	it('keeps what is free of an allergen apart', () => {
		const box = proposedWith(demo, 'sesame-free crispbread crackers');
		expect(box.why.map(({ code }) => code)).toContain('free-from');
		expect(box.thingIds).toContain(thingNamed(demo, 'sesame-free bread sticks crackers').id);
		expect(box.thingIds).not.toContain(thingNamed(demo, 'crackers').id);
	});
	it('joins slivers to their nearest sibling and names what they become', () => {
		const home = withLines(bareKitchen(), [
			...plenty(['chopped tomatoes', 'chickpea tins', 'sweetcorn tins']),
			'2 tinned peaches'
		]);
		const cans = proposedWith(home, 'tinned peaches');
		expect(cans.thingIds.length).toBeGreaterThan(1);
		expect(cans.why.at(-1)).toEqual({ code: 'sliver', words: ['Cans: fruit'] });
	});
	it('cuts what no nook can hold, what is used most first', () => {
		const home = withLines(bareKitchen(), ['90 mugs', '90 tumblers', '90 wine glasses']);
		const often = apply(home, (draft) => {
			thingNamed(draft as Home, 'mugs').use.class = 'several-daily';
			thingNamed(draft as Home, 'wine glasses').use.class = 'rarely';
			thingNamed(draft as Home, 'tumblers').use.class = 'weekly';
		});
		const parts = proposeGroups(often).filter(({ name }) => name.startsWith('Glasses and mugs'));
		expect(parts.length).toBeGreaterThan(1);
		expect(proposedWith(often, 'mugs').name).toBe('Glasses and mugs, often used');
		expect(proposedWith(often, 'wine glasses').name).toContain('seldom used');
	});
	it('follows the settings: what a place is filled to decides what must be cut', () => {
		const home = withLines(bareKitchen(), ['60 mugs', '60 tumblers', '60 wine glasses']);
		const parts = (one: Home) =>
			proposeGroups(one).filter(({ name }) => name.startsWith('Glasses and mugs')).length;
		const loose = apply(home, (draft) => void (draft.settings.play.fillShare = 0.2));
		expect(parts(loose)).toBeGreaterThan(parts(home));
	});
	it('lets new things follow what was joined by hand', () => {
		const home = tinyHome();
		const pasta = groupNamed(home, 'Grains and pasta');
		const cans = groupNamed(home, 'Cans: vegetables');
		const dairy = groupNamed(home, 'Dairy');
		const joined = apply(home, joinGroups(pasta.id, cans.id));
		const more = withLines(joined, ['1 butter beans']);
		const followed = apply(more, moveThings([thingNamed(more, 'chopped tomatoes').id], cans.id));
		expect(proposedWith(followed, 'butter beans').groupId).not.toBe(pasta.id);
		const two = withLines(apply(home, moveThings([thingNamed(home, 'penne').id], dairy.id)), [
			'6 fusilli',
			'6 spaghetti',
			'6 macaroni'
		]);
		// One thing moved by hand draws no others after it.
		expect(proposedWith(two, 'fusilli').groupId).not.toBe(dairy.id);
	});
});

describe('taking proposed changes', () => {
	it('can be done one by one, in any order', () => {
		fc.assert(
			fc.property(fc.infiniteStream(fc.nat()), (picks) => {
				const newId = counter('n');
				let home: Home = demo;
				for (const pick of picks) {
					const changes = groupChanges(home);
					if (!changes.length) break;
					home = apply(home, takeChanges([changes[pick % changes.length]!], newId));
				}
				expect(groupChanges(home)).toEqual([]);
				expect(linkFaults(home)).toEqual([]);
			}),
			{ seed: 56, numRuns: 6 }
		);
	});
	it('can be done for loose things alone', () => {
		const more = withLines(demo, ['2 couscous', '1 popcorn popper', '3 lentil tins']);
		const after = apply(more, takeChanges(looseChanges(groupChanges(more)), counter('n')));
		for (const thing of Object.values(after.things)) {
			expect(thing.groupId).not.toBeNull();
			const before = more.things[thing.id]!.groupId;
			if (before) expect(thing.groupId).toBe(before);
		}
		for (const group of Object.values(demo.groups))
			expect(after.groups[group.id]!.name).toBe(group.name);
	});
	it('keeps the name that was given by hand', () => {
		const renamed = apply(demo, renameGroup('snacks', 'Nibbles'));
		const after = takeAll(renamed);
		expect(after.groups['snacks']!.name).toBe('Nibbles');
		expect(apply(demo, renameGroup('snacks', '  '))).toBe(demo);
	});
	it('asks about what was put by hand again once that is let go', () => {
		const salt = thingNamed(demo, 'salt');
		const moved = apply(demo, moveThings([salt.id], 'snacks'));
		expect(
			groupChanges(moved)
				.flatMap((c) => c.moves)
				.some((m) => m.thingId === salt.id)
		).toBe(false);
		const free = apply(moved, releaseGroup('snacks'));
		expect(
			groupChanges(free)
				.flatMap((c) => c.moves)
				.some((m) => m.thingId === salt.id)
		).toBe(true);
	});
});

describe('splitting and joining by hand', () => {
	it('leads everything that pointed to a joined group to the other', () => {
		const pinned = apply(demo, (draft) => {
			draft.pins.push({ groupId: 'spices' as never, nookId: 'w1-low' as never, kind: 'pin' });
		});
		const joined = apply(pinned, joinGroups('spices', 'oils'));
		expect(joined.groups['spices']).toBeUndefined();
		expect(joined.pins).toEqual([]);
		expect(linkFaults(joined)).toEqual([]);
		expect(JSON.stringify(joined.routines)).not.toContain('spices');
		expect(partnersNow(joined).some(({ a, b }) => a === b)).toBe(false);
		expect(proposeGroups(joined).every(({ groupId }) => groupId !== 'oils')).toBe(true);
	});
	it('does nothing with a group and itself', () =>
		expect(apply(demo, joinGroups('oils', 'oils'))).toBe(demo));
	it('splits off what was chosen and drops what ran empty', () => {
		const ids = Object.values(demo.things)
			.filter((thing) => thing.groupId === 'bleach')
			.map(({ id }) => id);
		const split = apply(demo, splitOff(ids, 'strong', 'Strong stuff'));
		expect(split.groups['strong']).toMatchObject({ name: 'Strong stuff', byHand: true });
		expect(split.groups['bleach']).toBeUndefined();
		expect(linkFaults(split)).toEqual([]);
	});
});

describe('partners', () => {
	it('are proposed from categories and from routines, each pair once', () => {
		const pairs = proposePartners(demo);
		const keys = pairs.map(({ a, b }) => `${a}/${b}`);
		expect(new Set(keys).size).toBe(keys.length);
		expect(pairs.find(({ a, b }) => a === 'pan-lids' && b === 'pots')).toMatchObject({
			weight: 4,
			why: 'category'
		});
		// Six rounds of unloading a week, half of them straight from one to the other.
		expect(pairs.find(({ a, b }) => a === 'dishes' && b === 'mugs')).toMatchObject({
			weight: 3,
			why: 'routine',
			words: 'Unloading the dishwasher'
		});
	});
	it('leave a weight set by hand alone, 0 as well', () => {
		const changed = apply(demo, setPartner('dairy', 'breakfast', 0));
		expect(partnerChanges(changed).some(({ a, b }) => a === 'breakfast' && b === 'dairy')).toBe(
			false
		);
		const taken = apply(changed, takePartners(partnerChanges(changed)));
		expect(partnersNow(taken).find(({ a, b }) => a === 'breakfast' && b === 'dairy')!.weight).toBe(
			0
		);
		expect(partnerChanges(taken)).toEqual([]);
	});
	it('never point to a group that is not there', () => {
		const gone = apply(demo, joinGroups('mugs', 'hot-drinks'));
		for (const { a, b } of [...proposePartners(gone), ...partnersNow(gone)]) {
			expect(gone.groups[a]).toBeDefined();
			expect(gone.groups[b]).toBeDefined();
		}
	});
});

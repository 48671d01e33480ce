import { describe, expect, it } from 'vitest';
import type { GroupFigures } from '../grouping';
import {
	blankGroup,
	DEFAULT_SETTINGS,
	type Cabinet,
	type Home,
	type Nook,
	type Person,
	type Thing
} from '../model';
import { apply, bareKitchen } from '../fixtures/tiny-home';
import { placeOfNook, usableSpace, type NookPlace } from '../survey';
import { BelongsTable } from './belongs';
import { clearOf } from '../standing';
import {
	cabinetConflicts,
	clashOf,
	hardRuleBroken,
	kindsAndConflicts,
	type RuleInput
} from './hard-rules';

const PLAIN = new BelongsTable([]);
function clearAt({ nook }: NookPlace) {
	const space = usableSpace(nook, 200, DEFAULT_SETTINGS);
	return space.ok ? clearOf(nook, space, DEFAULT_SETTINGS.play) : null;
}
import { softPenalties } from './soft-rules';

const figures = (change: Partial<GroupFigures> = {}): GroupFigures => ({
	groupId: 'g',
	stockOf: null,
	things: [],
	held: [],
	holdings: [],
	pieces: 3,
	volumeMl: 3000,
	runMm: 100,
	massG: 900,
	heaviestG: 300,
	tallestMm: 100,
	longestMm: 120,
	widestMm: 80,
	usesPerWeek: 3,
	tripsPerWeek: 3,
	stations: new Map(),
	userIds: [],
	usesBy: new Map(),
	needs: new Set(),
	hazards: new Set(),
	traits: new Set(),
	allergens: { contains: [], freeFrom: [] },
	look: 'either',
	isFood: false,
	overridden: new Set(),
	counted: false,
	...change
});
const person = (change: Partial<Person> = {}): Person => ({
	id: 'p' as Person['id'],
	name: 'P',
	statureMm: 1700,
	ageBand: 'adult',
	visits: false,
	limits: { maxLiftG: null, noClimb: false, noAboveShoulder: false, seated: null },
	diets: [],
	allergies: [],
	...change
});

interface Case {
	readonly group?: Partial<GroupFigures>;
	readonly nook?: Partial<Nook>;
	readonly cabinet?: Partial<Cabinet>;
	readonly home?: (draft: Home) => void;
	readonly people?: readonly Person[];
	readonly input?: Partial<RuleInput>;
}

/** A plain shelf of a base cabinet with everything as it should be, then what the case changes. */
function inputOf({ group, nook, cabinet, home, people = [], input }: Case): RuleInput {
	const kitchen = apply(bareKitchen(), (draft) => home?.(draft));
	const shelf = Object.values(kitchen.nooks).find(
		(n) => kitchen.cabinets[n.cabinetId]!.form === 'base'
	)!;
	const there = placeOfNook(kitchen, shelf.id)!;
	const place: NookPlace = {
		...there,
		nook: { ...there.nook, ...nook },
		cabinet: { ...there.cabinet, ...cabinet }
	};
	return {
		home: kitchen,
		figures: figures(group),
		place,
		clear: clearAt(place),
		reach: { band: 'good', factor: 1.3, personId: null },
		people,
		walkMm: 1000,
		isLowestInFridge: false,
		isHot: false,
		...input
	};
}
const piece = ([widthMm, depthMm, heightMm]: [number, number, number], category = 'food.oils') => ({
	held: [{ name: 'a thing', category, piece: { widthMm, depthMm, heightMm } } as Thing]
});
const broken = (cas: Case) => hardRuleBroken(inputOf(cas));
const toddler = person({ id: 't' as Person['id'], ageBand: 'toddler', statureMm: 860 });
const fridge: Partial<Nook> = { kind: 'fridge-shelf' };
const withPeople = (draft: Home) => void (draft.people['t'] = toddler);

const USE = { class: 'weekly', countedPerWeek: null };
/** No kind of place: what belongs where is tried apart. */
const NONE: ReadonlySet<never> = new Set();

describe('hard rules', () => {
	it('let a plain group live on a plain shelf', () => expect(broken({})).toBeNull());

	it.each<[string, Case, string | null]>([
		['frozen goods on a shelf', { group: { needs: new Set(['frozen']) } }, 'needs-frozen'],
		[
			'frozen goods in a freezer drawer',
			{ group: { needs: new Set(['frozen']) }, nook: { kind: 'freezer-drawer' } },
			null
		],
		[
			'frozen goods in a chest',
			{ group: { needs: new Set(['frozen']) }, nook: { kind: 'chest-layer' } },
			null
		],
		['chilled goods on a shelf', { group: { needs: new Set(['chilled']) } }, 'needs-chilled'],
		[
			'chilled goods in a crisper',
			{ group: { needs: new Set(['chilled']) }, nook: { kind: 'crisper' } },
			null
		],
		['pans in a fridge', { nook: fridge }, 'cold-place'],
		[
			'raw meat above',
			{ group: { needs: new Set(['chilled']), hazards: new Set(['raw-meat']) }, nook: fridge },
			'raw-meat-low'
		],
		[
			'raw meat at the bottom',
			{
				group: { needs: new Set(['chilled']), hazards: new Set(['raw-meat']) },
				nook: fridge,
				input: { isLowestInFridge: true }
			},
			null
		],
		[
			'raw meat in a freezer',
			{
				group: { needs: new Set(['frozen']), hazards: new Set(['raw-meat']) },
				nook: { kind: 'freezer-drawer' }
			},
			null
		],
		['a bottle higher than the shelf', { group: piece([80, 80, 400]) }, 'too-tall'],
		[
			'a group higher than the shelf by a figure set by hand',
			{ group: { tallestMm: 400, overridden: new Set(['tallestMm']) } },
			'too-tall'
		],
		[
			'a bottle higher than the way in',
			{
				group: piece([80, 80, 250]),
				nook: { opening: { widthMm: 500, heightMm: 240 } }
			},
			'too-tall'
		],
		['a tray longer than the nook', { group: piece([700, 300, 20]) }, 'too-wide'],
		[
			'a pot wider than the way in',
			{
				group: piece([300, 300, 200]),
				nook: { opening: { widthMm: 280, heightMm: 300 } }
			},
			'too-wide'
		],
		[
			'a pot too heavy for the shelf',
			{ group: { heaviestG: 5000 }, nook: { loadG: 4000 } },
			'over-load'
		],
		[
			'cooking ware with cleaners’ heat: a spray over the hob',
			{ group: { hazards: new Set(['cleaner']) }, input: { isHot: true } },
			'hot-place'
		],
		[
			'plates in a bathroom',
			{ group: { things: [{ category: 'kitchen.dishes' } as never] }, cabinet: { form: 'basin' } },
			'in-bathroom'
		],
		[
			'a toaster in a bathroom',
			{
				group: { things: [{ category: 'kitchen.appliances' } as never] },
				cabinet: { form: 'mirror' }
			},
			'in-bathroom'
		],
		['flour in a bathroom', { group: { isFood: true }, cabinet: { form: 'basin' } }, 'damp-place'],
		[
			'a heavy pot before a valve',
			{
				group: { massG: 9000 },
				nook: {
					obstructions: [
						{
							id: 'v' as never,
							kind: 'valve',
							xMm: 0,
							yMm: 400,
							zMm: 0,
							widthMm: 50,
							depthMm: 50,
							heightMm: 50
						}
					]
				}
			},
			'keep-clear'
		],
		[
			'more than the weakest may lift, high up',
			{
				group: { heaviestG: 2500 },
				cabinet: { baseMm: 1200 },
				people: [
					person({
						limits: { maxLiftG: 2000, noClimb: false, noAboveShoulder: false, seated: null }
					})
				]
			},
			'over-limit'
		],
		[
			'out of reach from a chair',
			{
				home: (d) =>
					void (d.people['p'] = person({
						limits: {
							maxLiftG: null,
							noClimb: false,
							noAboveShoulder: false,
							seated: { lowMm: 400, highMm: 1200 }
						}
					})),
				input: { reach: { band: 'stool', factor: Infinity, personId: 'p' } }
			},
			'sits-reach'
		],
		['no way on foot', { input: { walkMm: Infinity } }, 'no-way'],
		[
			'a stool for who may not climb',
			{ input: { reach: { band: 'stool', factor: Infinity, personId: 'p' } } },
			'may-not-climb'
		],
		[
			'cleaners in a toddler’s reach',
			{ group: { hazards: new Set(['cleaner']) }, home: withPeople },
			'child-lock'
		],
		[
			'cleaners behind a lock',
			{ group: { hazards: new Set(['cleaner']) }, home: withPeople, cabinet: { lockable: true } },
			null
		],
		...(['medicine', 'bleach', 'acid', 'cleaner', 'flammable', 'unknown'] as const).map(
			(hazard): [string, Case, string] => [
				`${hazard} behind a catch alone`,
				{ group: { hazards: new Set([hazard]) }, home: withPeople, cabinet: { childCatch: true } },
				'child-lock'
			]
		),
		[
			'button batteries behind a catch alone',
			{
				group: { things: [{ name: 'button batteries', category: 'home.batteries' } as Thing] },
				home: withPeople,
				cabinet: { childCatch: true }
			},
			'child-lock'
		],
		[
			'knives behind a catch',
			{ group: { hazards: new Set(['sharp']) }, home: withPeople, cabinet: { childCatch: true } },
			null
		],
		[
			'medicine at 1.4 m',
			{ group: { hazards: new Set(['medicine']) }, home: withPeople, cabinet: { baseMm: 1382 } },
			'child-lock'
		],
		[
			'medicine at 1.6 m',
			{ group: { hazards: new Set(['medicine']) }, home: withPeople, cabinet: { baseMm: 1582 } },
			null
		],
		[
			'knives at 0.9 m',
			{ group: { hazards: new Set(['sharp']) }, home: withPeople, cabinet: { baseMm: 882 } },
			'child-reach'
		],
		[
			'knives at 1.1 m',
			{ group: { hazards: new Set(['sharp']) }, home: withPeople, cabinet: { baseMm: 1082 } },
			null
		],
		['knives without a small child', { group: { hazards: new Set(['sharp']) } }, null],
		[
			'poison on an open shelf by the cat',
			{
				group: { hazards: new Set(['pet-toxic']) },
				cabinet: { front: 'open' },
				home: (d) => void (d.pets['c'] = { id: 'c', name: 'C', kind: 'cat' } as never)
			},
			'pet-reach'
		],
		[
			'poison behind a door by the cat',
			{
				group: { hazards: new Set(['pet-toxic']) },
				home: (d) => void (d.pets['c'] = { id: 'c', name: 'C', kind: 'cat' } as never)
			},
			null
		],
		[
			'food on the floor',
			{ group: { isFood: true }, cabinet: { baseMm: 0 }, nook: { at: { xMm: 0, zMm: 10 } } },
			'off-floor'
		],
		[
			'food in an unheated room',
			{ group: { isFood: true }, home: (d) => void (d.rooms['kitchen']!.climate = ['unheated']) },
			'hot-place'
		],
		[
			'pans in an unheated room',
			{ home: (d) => void (d.rooms['kitchen']!.climate = ['unheated']) },
			null
		],
		[
			'4 kg above the shoulder',
			{ group: { heaviestG: 4000 }, cabinet: { baseMm: 1500 }, people: [person()] },
			'heavy-high'
		],
		[
			'2 kg above the shoulder',
			{ group: { heaviestG: 2000 }, cabinet: { baseMm: 1500 }, people: [person()] },
			null
		],
		[
			'2 kg above the shoulder of who may not',
			{
				group: { heaviestG: 2000 },
				cabinet: { baseMm: 1500 },
				people: [
					person({
						limits: { maxLiftG: null, noClimb: false, noAboveShoulder: true, seated: null }
					})
				]
			},
			'heavy-high'
		],
		[
			'8 kg at the ankle',
			{ group: { heaviestG: 8000 }, cabinet: { baseMm: 100 }, people: [person()] },
			'heavy-low'
		],
		[
			'8 kg at the hip',
			{ group: { heaviestG: 8000 }, cabinet: { baseMm: 800 }, people: [person()] },
			null
		],
		['the use-first tray', { nook: { tags: ['use-first'] } }, 'reserved'],
		['a cabinet top where tops are not used', { nook: { kind: 'top' } }, 'tops-not-used'],
		[
			'a cabinet top where they are',
			{ nook: { kind: 'top' }, home: (d) => void (d.schools.tops = true) },
			null
		],
		[
			'a place that was ruled out',
			{
				home: (d) => {
					d.groups['g'] = {
						...blankGroup(),
						id: 'g',
						name: 'G',
						tag: { code: 'GG', hue: 0 }
					} as never;
					d.pins = Object.values(d.nooks).map((n) => ({
						groupId: 'g',
						nookId: n.id,
						kind: 'ban' as const
					})) as never;
				}
			},
			'banned'
		]
	])('%s', (_, cas, code) => expect(broken(cas)).toBe(code));

	it('say what is not measured before all that needs a size', () => {
		expect(broken({ nook: { inside: { widthMm: null, depthMm: 300, heightMm: 300 } } })).toBe(
			'not-measured'
		);
	});
});

describe('what may not share a place', () => {
	const clash = (a: Partial<GroupFigures>, b: Partial<GroupFigures>) => {
		const [one, two] = [kindsAndConflicts(figures(a)), kindsAndConflicts(figures(b))];
		const code = clashOf(one.kinds, two.kinds);
		expect(clashOf(two.kinds, one.kinds)).toBe(code);
		// What is said is what the planner keeps apart, both ways round.
		expect(!!(one.kinds & two.conflicts)).toBe(code !== null);
		expect(!!(two.kinds & one.conflicts)).toBe(code !== null);
		return code;
	};
	const food = { isFood: true };
	const of = (...hazards: ('cleaner' | 'medicine' | 'bleach' | 'acid')[]) => ({
		hazards: new Set(hazards)
	});
	it('is food with cleaners or medicines, and what one eats from with cleaners, both ways round', () => {
		expect(clash(food, of('cleaner'))).toBe('food-cleaner');
		expect(clash(food, of('medicine'))).toBe('food-medicine');
		expect(clash(of('cleaner'), of('medicine'))).toBe('medicine-cleaner');
		const plates = { things: [{ category: 'kitchen.dishes' } as Thing] };
		expect(clash(plates, of('cleaner'))).toBe('ware-cleaner');
		const kibble = { isFood: true, things: [{ category: 'food.pet', name: 'kibble' } as Thing] };
		const onions = { isFood: true, things: [{ category: 'food.onions', name: 'onions' } as Thing] };
		expect(clash(kibble, onions)).toBe('pet-food');
		const cold = (...hazards: 'raw-meat'[]) => ({
			isFood: true,
			needs: new Set(['chilled' as const]),
			hazards: new Set(hazards)
		});
		expect(clash(cold('raw-meat'), cold())).toBe('raw-ready');
	});
	it('is bleach with acids in one cabinet, whatever the shelf', () => {
		const [one, two] = [of('bleach'), of('acid')].map((f) => cabinetConflicts(figures(f)));
		expect(one!.kinds & two!.conflicts).toBeTruthy();
		expect(two!.kinds & one!.conflicts).toBeTruthy();
		expect(cabinetConflicts(figures(of('cleaner')))).toEqual({ kinds: 0, conflicts: 0 });
	});
	it('is nothing else', () => {
		expect(clash(food, food)).toBeNull();
		expect(clash(food, {})).toBeNull();
		expect(clash(of('cleaner'), of('cleaner', 'bleach'))).toBeNull();
	});
});

describe('soft rules', () => {
	const penalties = (cas: Case, reachFactor = 2) => {
		const { home, figures: f, place, walkMm } = inputOf(cas);
		return softPenalties({
			home,
			figures: f,
			place,
			reachFactor,
			walkMm,
			spots: NONE,
			walkTo: () => null,
			belongs: PLAIN
		}).map(({ code }) => code);
	};
	const child = (draft: Home) =>
		void (draft.people['c'] = person({
			id: 'c' as Person['id'],
			ageBand: 'child',
			statureMm: 1300
		}));
	it('hold nothing against a plain group on a plain shelf', () =>
		expect(penalties({})).toEqual([]));
	it.each<[string, Case, string, number?]>([
		[
			'oil over the oven',
			{ group: { traits: new Set(['heat-shy']) }, cabinet: { climate: ['heat'] } },
			'heat-shy'
		],
		[
			'flour in a damp cabinet',
			{ group: { needs: new Set(['dry']) }, cabinet: { climate: ['damp'] } },
			'damp'
		],
		['onions where no air moves', { group: { needs: new Set(['ventilated']) } }, 'ventilation'],
		[
			'a heavy pot above the shoulder',
			{ group: { heaviestG: 2000 }, cabinet: { baseMm: 1500 } },
			'heavy-above-shoulder'
		],
		[
			'sweets at a child’s eye',
			{ group: { traits: new Set(['treat']) }, home: child },
			'treat-at-child-height'
		],
		[
			'cleaners in plain sight',
			{ group: { hazards: new Set(['cleaner']) }, nook: { tags: ['plain-sight'] } },
			'plain-sight'
		],
		[
			'daily things far away',
			{ group: { usesPerWeek: 9 }, nook: { tags: ['satellite'] } },
			'satellite'
		],
		['rare things on the worktop', { nook: { kind: 'worktop' } }, 'worktop-clutter'],
		['rare things in a prime place', { group: { usesPerWeek: 0.1 } }, 'rare-in-prime', 1],
		['dishes under the sink', { nook: { kind: 'undersink' } }, 'under-sink'],
		[
			'the box of a child above its shoulder',
			{
				group: { userIds: ['p'] },
				cabinet: { baseMm: 1500 },
				home: (d) => void (d.people['p'] = person({ ageBand: 'child', statureMm: 1200 }))
			},
			'child-serves-itself'
		],
		[
			'sesame-free food at the bottom of a cabinet',
			{ group: { allergens: { contains: [], freeFrom: ['sesame'] } } },
			'allergen-free-low'
		],
		[
			'bin bags on open shelves',
			{ group: { look: 'hide' }, cabinet: { front: 'open' } },
			'in-sight'
		],
		['spares in a prime place', { group: { stockOf: 'other' } }, 'spares-in-prime', 1.2],
		['weekly things in a blind corner', { nook: { kind: 'corner' } }, 'deep-corner'],
		['weekly things under a bed', { nook: { kind: 'under-bed' } }, 'two-movements'],
		[
			'towels far from the water',
			{
				group: { things: [{ category: 'bathroom.towels', use: USE } as never] },
				input: { walkMm: 4000 }
			},
			'towels-far'
		],
		[
			'a toaster away from every socket',
			{
				group: { things: [{ category: 'kitchen.appliances', use: USE } as never] },
				home: (d) =>
					Object.values(d.rooms).forEach((room) =>
						room.sockets.push({ id: 's' as never, x: 90_000, y: 0 })
					)
			},
			'socket-far'
		]
	])('%s', (_, cas, code, factor) => expect(penalties(cas, factor)).toContain(code));
	it('weigh nothing when the home gives them no weight', () => {
		const {
			home,
			figures: f,
			place
		} = inputOf({
			nook: { kind: 'worktop' },
			home: (d) => void (d.settings.effort.softWeight = 0)
		});
		expect(
			softPenalties({
				home,
				figures: f,
				place,
				reachFactor: 2,
				walkMm: 0,
				spots: NONE,
				walkTo: () => null,
				belongs: PLAIN
			})
		).toEqual([{ code: 'worktop-clutter', effort: 0 }]);
	});
});

import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { demoHome } from '../../data/demo';
import { usesPerWeek, type Home, type Person } from '../model';
import { apply, counter, NOW, tinyHome, withLines } from '../fixtures/tiny-home';
import {
	allergensOf,
	allGroupFigures,
	figureParts,
	frequencyRows,
	fewMostUsed,
	frontRunMm,
	groupOfLots,
	holdingsByGroup,
	householdAllergens,
	keepSparesApart,
	keepSparesTogether,
	moveThings,
	partStock,
	setOverride,
	SPARE_FETCHES,
	spareOf,
	SUMMED,
	tagCode,
	type SummedFigure
} from '.';

const demo = demoHome(NOW);
const figuresOf = (home: Home, name: string) =>
	allGroupFigures(home).find((f) => home.groups[f.groupId]!.name === name)!;
const person = (id: string, allergies: string[] = []) =>
	({
		id,
		name: id.toUpperCase(),
		statureMm: 1700,
		ageBand: 'adult',
		visits: false,
		limits: { maxLiftG: null, noClimb: false, noAboveShoulder: false, seated: null },
		diets: [],
		allergies
	}) as unknown as Person;

describe('figures of a group', () => {
	it('are sums over its things', () => {
		const f = figuresOf(tinyHome(), 'Cans: vegetables');
		expect(f).toMatchObject({ pieces: 6, tallestMm: 110, usesPerWeek: 1, isFood: true });
		expect(f.volumeMl).toBeCloseTo((6 * 80 * 80 * 110) / 1000);
		expect([...f.stations]).toEqual([['hob', 1]]);
	});
	it('give way to what was set by hand, and say so', () => {
		const home = tinyHome();
		const id = figuresOf(home, 'Cans: vegetables').groupId;
		const set = apply(
			home,
			setOverride(id, 'usesPerWeek', 9),
			setOverride(id, 'tallestMm', 400),
			setOverride(id, 'stations', [{ kind: 'table', share: 1 }]),
			setOverride(id, 'needs', ['dark']),
			setOverride(id, 'hazards', ['sharp']),
			setOverride(id, 'traits', ['smell']),
			setOverride(id, 'look', 'show')
		);
		const f = figuresOf(set, 'Cans: vegetables');
		expect(f).toMatchObject({ usesPerWeek: 9, tallestMm: 400, look: 'show' });
		expect([...f.stations]).toEqual([['table', 1]]);
		expect([f.needs, f.hazards, f.traits].map((one) => [...one])).toEqual([
			['dark'],
			['sharp'],
			['smell']
		]);
		expect([...f.overridden].sort()).toEqual([
			'hazards',
			'look',
			'needs',
			'stations',
			'tallestMm',
			'traits',
			'usesPerWeek'
		]);
		const back = apply(set, setOverride(id, 'tallestMm', null));
		expect(figuresOf(back, 'Cans: vegetables').tallestMm).toBe(110);
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
			draft.people['p'] = person('p');
			draft.things[a!.id]!.userIds = ['p' as never];
		});
		expect(figuresOf(own, 'Everyday dishes').userIds).toEqual(['p']);
		expect([...figuresOf(own, 'Everyday dishes').usesBy]).toEqual([['p', 7]]);
		expect(figuresOf(own, 'Cutlery').userIds).toEqual([]);
		expect([...figuresOf(own, 'Cutlery').usesBy.keys()]).toEqual(['']);
	});
	it('share the uses among the people and lose none', () => {
		for (const f of allGroupFigures(demo)) {
			const sum = [...f.usesBy.values()].reduce((total, uses) => total + uses, 0);
			expect(sum).toBeCloseTo(f.usesPerWeek);
		}
	});
	it('say how each is made: the parts of its things make it up', () => {
		const holdings = holdingsByGroup(demo);
		for (const f of allGroupFigures(demo))
			for (const key of Object.keys(SUMMED) as SummedFigure[]) {
				const { take, value, parts } = figureParts(holdings.get(f.groupId) ?? [], key);
				expect(value).toBeCloseTo(f[key]);
				const made =
					take === 'sum'
						? parts.reduce((sum, part) => sum + part.value, 0)
						: (parts[0]?.value ?? 0);
				expect(made).toBeCloseTo(f[key]);
			}
	});
	it('fetch a roll of paper once in several uses: the one in use hangs on its holder', () => {
		const paper = withLines(demo, ['6 toilet rolls'], Object.keys(demo.nooks)[0]!);
		const rolls = Object.values(paper.things).filter(
			({ category }) => category === 'bathroom.paper'
		);
		const own = apply(paper, (draft) => {
			for (const { id } of rolls) {
				draft.things[id]!.use = { class: 'daily', countedPerWeek: null };
				draft.things[id]!.groupId = 'rolls' as never;
			}
			draft.groups['rolls'] = {
				...Object.values(draft.groups)[0]!,
				id: 'rolls' as never,
				name: 'Rolls'
			};
		});
		const { tripsPerWeek, usesPerWeek: uses } = figuresOf(own, 'Rolls');
		expect(uses).toBe(7 * rolls.length);
		expect(tripsPerWeek).toBeLessThan(uses / 4);
	});
	it('take the look of most of what they hold', () => {
		expect(figuresOf(demo, 'Cleaning').look).toBe('hide');
		expect(figuresOf(demo, 'Everyday dishes').look).toBe('show');
		expect(figuresOf(demo, 'Dairy and eggs').look).toBe('either');
	});
	it('spread piles over the depth of a shelf', () => {
		expect(
			frontRunMm(
				{ category: 'food.cans-veg', piece: { widthMm: 75, depthMm: 75, heightMm: 110 } },
				8
			)
		).toBeCloseTo(75);
		// Five towels on each other in a linen shelf, three things of that size elsewhere.
		const piece = { widthMm: 300, depthMm: 200, heightMm: 60 };
		expect(frontRunMm({ category: 'bathroom.towels', piece }, 15)).toBeCloseTo(600);
		expect(frontRunMm({ category: 'kitchen.boards', piece }, 15)).toBeCloseTo(1000);
	});
	it('neither lose nor invent pieces when things move between groups', () => {
		const home = tinyHome();
		const things = Object.keys(home.things);
		const groups = Object.keys(home.groups);
		const total = (h: Home) => allGroupFigures(h).reduce((sum, f) => sum + f.volumeMl, 0);
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.constantFrom(...things), fc.constantFrom(...groups)), {
					maxLength: 8
				}),
				(moves) => {
					const moved = moves.reduce(
						(now, [thing, group]) => apply(now, moveThings([thing], group)),
						home
					);
					expect(total(moved)).toBeCloseTo(total(home));
				}
			),
			{ seed: 51, numRuns: 25 }
		);
	});
});

describe('allergens', () => {
	const of = (name: string, allergens: Parameters<typeof allergensOf>[0]['allergens'] = null) =>
		allergensOf({ name, category: 'food.snacks', allergens });
	it('are read from a name, and what is free of one does not hold it', () => {
		expect(of('sesame-free bread sticks')).toEqual({ contains: ['gluten'], freeFrom: ['sesame'] });
		expect(of('Gluten free penne').contains).toEqual([]);
		expect(of('tahini').contains).toEqual(['sesame']);
		expect(of('coconut milk').contains).toEqual([]);
		expect(of('eggs').contains).toEqual(['egg']);
	});
	it('give way to what was said by hand', () =>
		expect(of('bread sticks', { contains: [], freeFrom: ['Gluten '] })).toEqual({
			contains: [],
			freeFrom: ['gluten']
		}));
	it('are none where nothing is eaten', () =>
		expect(allergensOf({ name: 'fish slice', category: 'kitchen.tools', allergens: null })).toEqual(
			{ contains: [], freeFrom: [] }
		));
	it('matter only where somebody must avoid them', () => {
		expect(householdAllergens(demo)).toEqual(['sesame']);
		expect(figuresOf(demo, 'Oils and vinegar').allergens.contains).toEqual(['sesame']);
		expect(figuresOf(demo, 'Sesame-free box').allergens.freeFrom).toEqual(['sesame']);
		const nobody = apply(demo, (draft) => {
			for (const one of Object.values(draft.people)) one.allergies = [];
		});
		expect(figuresOf(nobody, 'Oils and vinegar').allergens.contains).toEqual([]);
	});
});

describe('back stock', () => {
	const id = 'cans-veg';
	const apart = apply(demo, keepSparesApart(id, 'spares', counter('lot')));
	it('parts what is in use from the spares, and loses no lot', () => {
		fc.assert(
			fc.property(
				fc.subarray(Object.values(demo.lots), { minLength: 1, maxLength: 12 }),
				(lots) => {
					const { inUse, spare } = partStock(lots);
					expect(inUse.length).toBeGreaterThan(0);
					expect([...inUse, ...spare].map((lot) => lot.id).sort()).toEqual(
						lots.map((lot) => lot.id).sort()
					);
					const isOpen = (lot: (typeof lots)[number]) =>
						lot.states.includes('open') || lot.dates.openedOn !== null;
					expect(spare.some(isOpen)).toBe(false);
				}
			),
			{ seed: 52, numRuns: 60 }
		);
	});
	it('keeps every pack once, in one group or the other', () => {
		const of = (home: Home, group: string) =>
			allGroupFigures(home).find((f) => f.groupId === group)!;
		expect(of(apart, id).pieces + of(apart, 'spares').pieces).toBe(of(demo, id).pieces);
		expect(of(apart, 'spares').pieces).toBeGreaterThan(0);
		expect(of(apart, 'spares').usesPerWeek).toBeCloseTo(
			of(apart, 'spares').things.reduce((sum, t) => sum + usesPerWeek(t) * SPARE_FETCHES, 0)
		);
		const lots = groupOfLots(apart);
		expect(lots.size).toBe(
			Object.values(apart.lots).filter((l) => l.count > 0 && apart.things[l.thingId]!.groupId)
				.length
		);
	});
	it('shares its stations with what it is the stock of', () => {
		const f = allGroupFigures(apart).find((one) => one.groupId === 'spares')!;
		expect(f.stockOf).toBe(id);
		expect([...f.stations.keys()].sort()).toEqual(['hob', 'worktop']);
	});
	it('takes no things of its own, and only one group keeps spares of another', () => {
		const thing = Object.values(demo.things).find((t) => t.groupId === 'snacks')!;
		expect(apply(apart, moveThings([thing.id], 'spares'))).toBe(apart);
		expect(apply(apart, keepSparesApart(id, 'more', counter('x')))).toBe(apart);
		expect(apply(apart, keepSparesApart('spares', 'more', counter('x')))).toBe(apart);
	});
	it('goes back beside what is in use', () => {
		const back = apply(apart, keepSparesTogether(id));
		expect(spareOf(back, id)).toBeUndefined();
		const pieces = (home: Home) => allGroupFigures(home).reduce((sum, f) => sum + f.pieces, 0);
		expect(pieces(back)).toBe(pieces(demo));
	});
});

describe('the frequency chart', () => {
	it('runs from the most used to the least, and ends at all of it', () => {
		const rows = frequencyRows(allGroupFigures(demo), 'litres');
		for (let i = 1; i < rows.length; i++) {
			expect(rows[i]!.usesPerWeek).toBeLessThanOrEqual(rows[i - 1]!.usesPerWeek);
			expect(rows[i]!.usesSoFar).toBeGreaterThanOrEqual(rows[i - 1]!.usesSoFar);
		}
		expect(rows.at(-1)).toMatchObject({
			usesSoFar: expect.closeTo(1),
			sizeSoFar: expect.closeTo(1)
		});
	});
	it('counts the few that make most fetches', () => {
		const rows = [0.5, 0.8, 1].map((usesSoFar) => ({ usesSoFar }) as never);
		expect(fewMostUsed(rows, 0.5)).toBe(1);
		expect(fewMostUsed(rows, 0.6)).toBe(2);
		expect(fewMostUsed(rows, 1)).toBe(3);
		expect(frequencyRows([], 'pieces')).toEqual([]);
	});
});

describe('the code of a tag', () => {
	it('is free, for any number of names', () => {
		const taken = new Set<string>();
		for (let i = 0; i < 200; i++) {
			const code = tagCode('Bread and butter', taken);
			expect(taken.has(code)).toBe(false);
			expect(code).toMatch(/^[A-Z0-9]{2}$/);
			taken.add(code);
		}
		expect(tagCode('Ütz', new Set())).toMatch(/^[A-Z]{2}$/);
	});
});

import { mixingOf, objectiveOf, violations } from '../solvers/assignment';
import { describe, expect, it } from 'vitest';
import { applyEdit, type Home } from '../model';
import {
	apply,
	bareKitchen,
	counter,
	groupByCategory,
	NOW,
	tinyHome,
	withLines
} from '../fixtures/tiny-home';
import { demoHome } from '../../data/demo';
import { climateOf, placeOfNook } from '../survey';
import {
	adoptPlan,
	assignmentNow,
	brokenAt,
	brokenRules,
	buildZoneModel,
	byHandAssignment,
	explainParts,
	HARD_CODES,
	partsAt,
	layoutOf,
	movePart,
	placeHome,
	pricesFor,
	readAssignment,
	togglePin,
	totalsOf,
	toZonePlan,
	writeAssignment,
	zoneFingerprint
} from '.';

const OPTIONS = { seed: 3, moves: 20_000 };
const groupNamed = (home: Home, name: string) =>
	Object.values(home.groups).find((g) => g.name === name)!;
const nookOf = (home: Home, result: ReturnType<typeof placeHome>, name: string) =>
	home.nooks[
		result.assignments.find((a) => a.groupId === groupNamed(home, name).id)?.nookId ?? ''
	]!;

describe('placing a home', () => {
	const home = tinyHome();
	const result = placeHome(home, OPTIONS);
	it('places every group, breaks no rule, and stays above its bound', () => {
		expect(result.overflow).toEqual([]);
		const model = buildZoneModel(home);
		expect(violations(model.problem, writeAssignment(model, result.assignments))).toEqual([]);
		expect(result.objective).toBeGreaterThanOrEqual(result.bound - 1e-6);
		expect(result.objective).toBeCloseTo(
			objectiveOf(model.problem, writeAssignment(model, result.assignments)),
			4
		);
	});
	it('puts frozen in the freezer, chilled in the fridge, raw meat at its bottom', () => {
		expect(climateOf(nookOf(home, result, 'Frozen vegetables'))).toBe('frozen');
		expect(climateOf(nookOf(home, result, 'Dairy'))).toBe('chilled');
		const meat = nookOf(home, result, 'Raw meat and fish');
		const shelves = Object.values(home.nooks).filter((n) => n.kind === 'fridge-shelf');
		expect(meat.at.zMm).toBe(Math.min(...shelves.map((n) => n.at.zMm)));
	});
	it('keeps cleaners and food apart', () => {
		const cleaner = nookOf(home, result, 'Cleaning').id;
		for (const name of ['Cans: vegetables', 'Grains and pasta', 'Oils and vinegar'])
			expect(nookOf(home, result, name).id).not.toBe(cleaner);
	});
	it('gives the same plan again, and for the same home in another order of records', () => {
		expect(placeHome(home, OPTIONS)).toEqual(result);
		const reversed = { ...home };
		for (const key of ['nooks', 'groups', 'things', 'lots', 'stations'] as const)
			reversed[key] = Object.fromEntries(Object.entries(home[key]).reverse()) as never;
		expect(placeHome(reversed, OPTIONS)).toEqual(result);
	});
	it('does not depend on names', () => {
		const renamed = apply(home, (draft) => {
			for (const thing of Object.values(draft.things)) thing.name = `x${thing.name}`;
		});
		expect(placeHome(renamed, OPTIONS).assignments).toEqual(result.assignments);
	});
	it('is at least as good as the careful by-hand rule', () => {
		const model = buildZoneModel(home);
		expect(result.objective).toBeLessThanOrEqual(
			objectiveOf(model.problem, byHandAssignment(model.problem)) + 1e-6
		);
	});
	it('obeys a pin and a ban, and a pin never makes it better', () => {
		const mugs = groupNamed(home, 'Glasses and mugs');
		const at = nookOf(home, result, 'Glasses and mugs');
		const other = Object.values(home.nooks).find((n) => n.kind === 'shelf' && n.id !== at.id)!;
		const pinned = placeHome(apply(home, togglePin(mugs.id, other.id, 'pin')), OPTIONS);
		expect(nookOf(home, pinned, 'Glasses and mugs').id).toBe(other.id);
		expect(pinned.objective).toBeGreaterThanOrEqual(result.bound - 1e-6);
		const banned = placeHome(apply(home, togglePin(mugs.id, at.id, 'ban')), OPTIONS);
		expect(nookOf(home, banned, 'Glasses and mugs').id).not.toBe(at.id);
	});
	it('names what fits nowhere instead of squeezing it in', () => {
		const huge = apply(withLines(home, ['1 stockpot']), (draft) => {
			Object.values(draft.things).find((t) => t.name === 'stockpot')!.piece.heightMm = 2500;
		});
		const grouped = apply(huge, (draft) => {
			const group = Object.values(home.groups)[0]!;
			draft.groups['huge'] = {
				...group,
				id: 'huge' as never,
				name: 'Huge',
				tag: { code: 'HU', hue: 1 }
			};
			Object.values(draft.things).find((t) => t.name === 'stockpot')!.groupId = 'huge' as never;
		});
		expect(placeHome(grouped, OPTIONS).overflow).toEqual(['huge']);
	});
	it('splits what no nook can take, and loses nothing by it', () => {
		const many = apply(withLines(bareKitchen(), ['70 mugs']), groupByCategory(counter('g')));
		const { assignments, overflow } = placeHome(many, OPTIONS);
		expect(overflow).toEqual([]);
		expect(assignments.length).toBeGreaterThan(1);
		expect(assignments.reduce((sum, a) => sum + a.share, 0)).toBeCloseTo(1);
	});
	it('says when there is nothing to place', () => {
		expect(placeHome(bareKitchen(), OPTIONS).status).toBe('nothing-to-place');
	});
});

describe('hard rules', () => {
	const child = {
		id: 'c',
		name: 'C',
		statureMm: 860,
		ageBand: 'toddler',
		visits: true,
		limits: { maxLiftG: null, noClimb: true, noAboveShoulder: false, seated: null },
		diets: [],
		allergies: []
	} as never;
	const codesFor = (home: Home, name: string) => {
		const model = buildZoneModel(home);
		const part = model.parts.findIndex((p) => p.figures.groupId === groupNamed(home, name).id);
		return new Map(
			model.places.map((place, n) => [
				place.nook.id as string,
				model.cells[part * model.places.length + n]!.hard
			])
		);
	};
	it('keep cleaners from a small child unless they are locked', () => {
		const home = apply(tinyHome(), (draft) => void (draft.people['c'] = child));
		const sink = Object.values(home.nooks).find((n) => n.kind === 'undersink')!;
		expect(codesFor(home, 'Cleaning').get(sink.id)).toBe('child-lock');
		const caught = apply(home, (draft) => void (draft.cabinets[sink.cabinetId]!.childCatch = true));
		expect(codesFor(caught, 'Cleaning').get(sink.id)).toBe('child-lock');
		const locked = apply(home, (draft) => void (draft.cabinets[sink.cabinetId]!.lockable = true));
		expect(codesFor(locked, 'Cleaning').get(sink.id)).toBeNull();
	});
	it('keep food out of an unheated room and heavy things below the shoulder', () => {
		const cold = apply(
			tinyHome(),
			(draft) => void (draft.rooms['kitchen']!.climate = ['unheated'])
		);
		const shelf = Object.values(cold.nooks).find((n) => n.kind === 'shelf')!;
		expect(codesFor(cold, 'Grains and pasta').get(shelf.id)).toBe('hot-place');
		const heavy = apply(tinyHome(), (draft) => {
			draft.people['a'] = {
				...(child as object),
				id: 'a',
				ageBand: 'adult',
				statureMm: 1700,
				visits: false
			} as never;
			Object.values(draft.things).find((t) => t.name === 'saucepan')!.massG = 4000;
		});
		const top = Object.values(heavy.nooks)
			.filter((n) => placeOfNook(heavy, n.id)!.cabinet.form === 'wall')
			.sort((a, b) => b.at.zMm - a.at.zMm)[0]!;
		expect(codesFor(heavy, 'Pots and pans').get(top.id)).toMatch(/heavy-high|may-not-climb/);
	});
	it('need a place to be measured', () => {
		const home = tinyHome();
		const { id } = Object.values(home.nooks)[0]!;
		const bare = apply(home, (draft) => void (draft.nooks[id]!.inside.heightMm = null));
		expect(codesFor(bare, 'Cutlery').get(id)).toBe('not-measured');
	});
});

describe('explaining', () => {
	const home = tinyHome();
	const result = placeHome(home, OPTIONS);
	const model = buildZoneModel(home);
	const layout = layoutOf(model, result.assignments);
	it('adds up to the objective', () => {
		const sum = model.parts.reduce((total, _, g) => {
			const reason = explainParts(model, layout, [g])!;
			// A pair is told at both of its ends but counts once.
			return total + reason.cost - reason.parts.partners / 2 - reason.parts.mixing;
		}, 0);
		expect(sum + mixingOf(model.problem, layout.assignment)).toBeCloseTo(result.objective, 4);
	});
	it('prices what a move then really costs', () => {
		for (const price of pricesFor(model, layout, [0]).filter((p) => p.fits)) {
			const moved = layoutOf(model, result.assignments);
			moved.place(
				0,
				model.places.findIndex((place) => place.nook.id === price.nookId)
			);
			expect(objectiveOf(model.problem, moved.assignment) - layout.objective).toBeCloseTo(
				price.extra,
				6
			);
		}
	});
	it('prices the parts of a split group together, and the rest stays where it is', () => {
		const split = demoHome(NOW);
		const plan = toZonePlan(placeHome(split, OPTIONS), 'p', 'Plan', NOW);
		const planned = apply(split, adoptPlan(plan));
		const whole = buildZoneModel(split);
		const at = layoutOf(whole, plan.assignments);
		// Parts of one group, the first of which may go where the second stands.
		const pairs = plan.assignments.flatMap((row) =>
			plan.assignments.flatMap((other) => {
				if (row.groupId !== other.groupId || row.nookId === other.nookId) return [];
				const asked = pricesFor(whole, at, partsAt(whole, at, row.groupId, row.nookId));
				const isFree = asked.some(({ nookId, hard }) => nookId === other.nookId && !hard);
				return isFree ? [[row, other] as const] : [];
			})
		);
		const [{ groupId, nookId, share }, second] = pairs[0]!;
		const parts = partsAt(whole, at, groupId, nookId);
		expect(parts.reduce((sum, g) => sum + whole.parts[g]!.portion, 0)).toBeCloseTo(share, 6);
		const prices = pricesFor(whole, at, parts);
		expect(prices.find((price) => price.nookId === nookId)!.extra).toBeCloseTo(0, 6);
		expect(at.objective).toBeCloseTo(plan.objective, 6);
		const others = plan.assignments.filter((each) => each.groupId !== groupId);
		for (const price of prices.filter(({ fits }) => fits)) {
			const moved = apply(planned, movePart(groupId, nookId, price.nookId)).zonePlans['p']!;
			const then = layoutOf(whole, moved.assignments);
			expect(then.objective - plan.objective).toBeCloseTo(price.extra, 6);
			expect(moved.assignments.filter((each) => each.groupId !== groupId)).toEqual(others);
			const own = moved.assignments.filter((each) => each.groupId === groupId);
			expect(own.reduce((sum, each) => sum + each.share, 0)).toBeCloseTo(1, 6);
		}
		// Moved onto another of its parts it joins that: then they are told, and go, together.
		const joined = apply(planned, movePart(groupId, nookId, second.nookId)).zonePlans['p']!;
		const then = layoutOf(whole, joined.assignments);
		const reason = explainParts(whole, then, partsAt(whole, then, groupId, second.nookId))!;
		expect(reason.share).toBeCloseTo(share + second.share, 6);
		const { walk, reach, soft, habit, partners, mixing } = reason.parts;
		const wishes = soft.reduce((sum, { effort }) => sum + effort, 0);
		expect(walk + reach + wishes + habit + partners + mixing).toBeCloseTo(reason.cost, 6);
	});
	it('prices what can be done while a rule is broken by hand, of that group and of others', () => {
		const peas = groupNamed(home, 'Frozen vegetables');
		const shelf = Object.values(home.nooks).find((n) => n.kind === 'shelf')!;
		const from = result.assignments.find(({ groupId }) => groupId === peas.id)!.nookId;
		const broken = layoutOf(
			model,
			result.assignments.map((each) =>
				each.groupId === peas.id ? { ...each, nookId: shelf.id } : each
			)
		);
		const pea = partsAt(model, broken, peas.id, shelf.id);
		expect(explainParts(model, broken, pea)).toBeNull();
		const back = pricesFor(model, broken, pea).find(({ nookId }) => nookId === from)!;
		expect(back.extra).toBeCloseTo(
			explainParts(model, layout, partsAt(model, layout, peas.id, from))!.cost,
			6
		);
		const other = model.parts.findIndex(({ figures }) => figures.groupId !== peas.id);
		const at = (l: typeof layout) =>
			pricesFor(model, l, [other]).map(({ extra, hard }) => hard ?? extra);
		for (const price of at(broken)) expect(price).not.toBeNaN();
		expect(broken.assignment[pea[0]!]).toBe(
			model.places.findIndex((place) => place.nook.id === shelf.id)
		);
	});
	it('says whether it is the place or the cabinet that holds what may not be with it', () => {
		const demo = demoHome(NOW);
		const model = buildZoneModel(demo);
		const partOf = (name: string) =>
			model.parts.findIndex(({ figures }) => figures.groupId === groupNamed(demo, name).id);
		const [basin, drawer] = ['Under the basin', 'Basin cabinet, drawer'].map((name) =>
			model.places.findIndex(({ nook }) => nook.name === name)
		) as [number, number];
		const conflictsWith = (placed: string, at: number, inHand: string) => {
			const layout = layoutOf(model, []);
			layout.place(partOf(placed), at);
			return pricesFor(model, layout, [partOf(inHand)]).map(({ conflict }) => conflict);
		};
		const acid = conflictsWith('Bleach', basin, 'Descalers');
		expect([acid[basin], acid[drawer]]).toEqual(['apart', 'apart']);
		const medicine = conflictsWith('Bathroom cleaning', basin, 'Medicines');
		expect([medicine[basin], medicine[drawer]]).toEqual(['medicine-cleaner', null]);
	});
	it('moves what has no place into a nook, and no further', () => {
		const bare = { ...toZonePlan(result, 'p', 'Plan', NOW), assignments: [] };
		const [first] = result.assignments;
		const kept = apply(home, adoptPlan({ ...bare, overflow: [first!.groupId] }));
		const { assignments, overflow } = apply(kept, movePart(first!.groupId, null, first!.nookId))
			.zonePlans['p']!;
		expect(assignments).toEqual([{ ...first, share: 1 }]);
		expect(overflow).toEqual([]);
	});
	it('leaves no better nook with room, since the search would have taken it', () => {
		model.parts.forEach((_, g) => {
			for (const next of explainParts(model, layout, [g])!.next)
				expect(next.extra).toBeGreaterThanOrEqual(-1e-6);
		});
	});
	it('counts every walk once, now and in the plan', () => {
		const placed = withLines(home, []);
		const { tripsPerWeek, reachesPerWeek } = totalsOf(model, result.assignments);
		expect(Object.values(reachesPerWeek).reduce((a, b) => a + b, 0)).toBeCloseTo(tripsPerWeek);
		expect(assignmentNow(placed)).toEqual([]);
	});
});

describe('plans kept in the home', () => {
	const home = tinyHome();
	const plan = toZonePlan(placeHome(home, OPTIONS), 'p1', 'Plan', NOW);
	const kept = apply(home, adoptPlan(plan));
	it('are fresh until something they came from changes, and only then', () => {
		expect(kept.zonePlans['p1']!.fingerprint).toBe(zoneFingerprint(kept));
		const priced = apply(kept, (draft) => void (Object.values(draft.things)[0]!.priceMinor = 5));
		expect(zoneFingerprint(priced)).toBe(plan.fingerprint);
		const sized = apply(
			kept,
			(draft) => void (Object.values(draft.nooks)[0]!.inside.widthMm = 300)
		);
		expect(zoneFingerprint(sized)).not.toBe(plan.fingerprint);
	});
	it('show a rule that was broken by hand, in its place', () => {
		const peas = groupNamed(home, 'Frozen vegetables');
		const shelf = Object.values(home.nooks).find((n) => n.kind === 'shelf')!;
		const from = plan.assignments.find(({ groupId }) => groupId === peas.id)!.nookId;
		const moved = apply(kept, movePart(peas.id, from, shelf.id));
		const model = buildZoneModel(moved);
		const broken = brokenRules(
			model,
			layoutOf(model, moved.zonePlans['p1']!.assignments).assignment
		);
		expect(broken).toContainEqual({ groupId: peas.id, nookId: shelf.id, code: 'needs-frozen' });
	});
	it('are read back part by part, where two parts are alike and a third has no place', () => {
		// Two of one thing, each a part, and a larger part that stands nowhere.
		const part = (volumeMl: number, portion: number, ...ids: string[]) => ({
			figures: {
				groupId: groupNamed(home, 'Frozen vegetables').id,
				held: ids.map((id) => ({ id, piece: { widthMm: volumeMl, depthMm: 1000, heightMm: 1 } }))
			},
			portion,
			share: 1,
			thingIds: ids
		});
		const model = buildZoneModel(home);
		const parts = [
			part(197, 0.197, 'a'),
			part(197, 0.197, 'a'),
			part(256, 0.256, 'b'),
			part(138, 0.138, 'c'),
			part(212, 0.212, 'd')
		];
		const [one, two] = [0, 1];
		const alike = { ...model, parts: parts as unknown as typeof model.parts };
		const assignment = Int32Array.from([one, two, two, one, -1]);
		const { assignments } = readAssignment(alike, assignment);
		expect([...writeAssignment(alike, assignments)]).toEqual([...assignment]);
	});
	it('name each broken rule once for a group and a place, however many ways it is broken', () => {
		const model = buildZoneModel(home);
		// Everything in one drawer: too full in litres, front and load at once.
		const all = brokenRules(model, new Int32Array(model.parts.length).fill(0));
		const keys = all.map(({ groupId, nookId, code }) => `${groupId}/${nookId}/${code}`);
		expect(new Set(keys).size).toBe(keys.length);
		expect(all.filter(({ code }) => code === 'over-capacity')).toHaveLength(1);
		// What is too full is so for each that stands there; what may not stand there is so for itself alone.
		const [first, ...others] = all.filter(({ code }) => code !== 'over-capacity');
		const here = brokenAt(all, first!.groupId, first!.nookId);
		expect(here.map(({ code }) => code)).toContain('over-capacity');
		expect(here).toContain(first);
		for (const rule of others)
			if (rule.groupId !== first!.groupId && HARD_CODES.some((own) => own === rule.code))
				expect(here).not.toContain(rule);
		expect(brokenAt(all, first!.groupId, 'elsewhere')).toEqual([]);
		expect(
			violations(model.problem, new Int32Array(model.parts.length).fill(0)).length
		).toBeGreaterThan(all.length);
	});
	it('keep the last four', () => {
		const many = [2, 3, 4, 5, 6].reduce(
			(h, i) =>
				apply(
					h,
					adoptPlan({ ...plan, id: `p${i}` as never, madeAt: `2026-03-0${i}T09:00:00.000Z` })
				),
			kept
		);
		expect(Object.keys(many.zonePlans).sort()).toEqual(['p3', 'p4', 'p5', 'p6']);
		expect(many.activePlanId).toBe('p6');
	});
	it('can be undone', () => {
		const { home: after, inverse } = applyEdit(home, adoptPlan(plan));
		expect(after.activePlanId).toBe('p1');
		expect(inverse.length).toBeGreaterThan(0);
	});
});

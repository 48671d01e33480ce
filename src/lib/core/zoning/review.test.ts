import { beforeAll, describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { DOG_AND_TODDLER, SKETCHES } from '../fixtures/sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { apply, NOW } from '../fixtures/tiny-home';
import { CATEGORIES, SPOTS, type Home, type Spot, type ZonePlan } from '../model';
import { nooksInOrder, placeOfNook } from '../survey';
import { allGroupFigures } from '../grouping';
import { BELONGS, BelongsTable, belongsIn, spotsOf } from './belongs';
import { whyAstray } from './scene';
import { REVIEW_CODES, reviewPlan } from './review';

const demo = demoHome(NOW);
const groupCalled = (name: RegExp, home: Home = demo) =>
	Object.values(home.groups).find((group) => name.test(group.name))!.id;
const planOf = (...rows: readonly (readonly [nookId: string, groupId: string])[]) =>
	({
		assignments: rows.map(([nookId, groupId]) => ({ nookId, groupId, share: 1, pinned: false }))
	}) as unknown as Pick<ZonePlan, 'assignments'>;
const codes = (home: Home, plan: Pick<ZonePlan, 'assignments'>) =>
	reviewPlan(home, plan).map(({ code }) => code);
const nookOf = (is: (place: ReturnType<typeof nooksInOrder>[number]) => boolean) =>
	nooksInOrder(demo).find(is)!.nook.id;

describe('an organizer’s review of a plan by hand', () => {
	const sink = nookOf(({ nook }) => nook.kind === 'undersink');
	const top = nookOf(({ nook, cabinet }) => nook.kind === 'top' && cabinet.form === 'wall');
	const crisper = nookOf(({ nook }) => nook.kind === 'crisper');
	it('objects to food among cleaners, and to what gets wet under a sink', () => {
		const found = codes(
			demo,
			planOf([sink, groupCalled(/^Cleaning/)], [sink, groupCalled(/^Grains/)])
		);
		expect(found).toEqual(expect.arrayContaining(['poison-with-food', 'wet-under-sink']));
		expect(codes(demo, planOf([sink, groupCalled(/^Cleaning/)]))).not.toContain('wet-under-sink');
	});
	it('objects to poison in a toddler’s reach, and not where there is no toddler, or a lock', () => {
		const plan = planOf([sink, groupCalled(/^Cleaning/)]);
		const unlocked = apply(demo, (draft) => {
			draft.nooks[sink]!.locked = false;
			draft.cabinets[draft.nooks[sink]!.cabinetId]!.lockable = false;
		});
		expect(codes(unlocked, plan)).toContain('poison-low');
		const caught = apply(
			unlocked,
			(draft) => void (draft.cabinets[draft.nooks[sink]!.cabinetId]!.childCatch = true)
		);
		expect(codes(caught, plan)).toContain('poison-low');
		const locked = apply(unlocked, (draft) => void (draft.nooks[sink]!.locked = true));
		expect(codes(locked, plan)).not.toContain('poison-low');
		const grown = apply(unlocked, (draft) => {
			for (const person of Object.values(draft.people)) person.ageBand = 'adult';
		});
		expect(codes(grown, plan)).not.toContain('poison-low');
	});
	it('objects to ready food under raw meat, and lets vegetables lie in the crisper', () => {
		const shelf = nookOf(({ nook }) => nook.kind === 'fridge-shelf');
		const raw = groupCalled(/^Raw meat/);
		const below = planOf([shelf, raw], [crisper, groupCalled(/^Leftovers|^Ready/)]);
		expect(codes(demo, below)).toContain('raw-not-lowest');
		expect(codes(demo, planOf([shelf, raw], [crisper, groupCalled(/^Salad/)]))).not.toContain(
			'raw-not-lowest'
		);
		expect(codes(demo, planOf([shelf, raw], [shelf, groupCalled(/^Dairy/)]))).toContain(
			'ready-below-raw'
		);
	});
	it('objects to three families in one place and to daily things overhead, each once', () => {
		const found = codes(
			demo,
			planOf(
				[top, groupCalled(/^Fruit/)],
				[top, groupCalled(/^Cutlery/)],
				[top, groupCalled(/^Hair|^Bath/)]
			)
		);
		expect(found.filter((code) => code === 'many-families')).toHaveLength(1);
		expect(found).toContain('daily-overhead');
	});
	it('objects to what is strong over food in one cabinet, not under it nor beside it', () => {
		const [low, high] = [/^Larder shelf 2/, /^Larder shelf 5/].map((name) =>
			nookOf(({ nook }) => name.test(nook.name))
		);
		const [cleaning, grains] = [groupCalled(/^Cleaning/), groupCalled(/^Grains/)];
		expect(codes(demo, planOf([high!, cleaning], [low!, grains]))).toContain('poison-over-food');
		expect(codes(demo, planOf([low!, cleaning], [high!, grains]))).not.toContain(
			'poison-over-food'
		);
		expect(codes(demo, planOf([sink, cleaning], [low!, grains]))).not.toContain('poison-over-food');
	});
	it('puts what can hurt first, and finds nothing in a home without a plan', () => {
		const mixed = planOf(
			[top, groupCalled(/^Cutlery/)],
			[sink, groupCalled(/^Cleaning/)],
			[sink, groupCalled(/^Grains/)]
		);
		const grades = reviewPlan(demo, mixed).map(({ grade }) => grade);
		expect(grades).toEqual([...grades].sort((a, b) => b - a));
		expect(reviewPlan(demo, planOf())).toEqual([]);
	});
});

describe('the plan of the demo home', () => {
	let plan: ZonePlan;
	beforeAll(() => {
		plan = solvedOnce('demo', () => demo).plan;
	});
	it('draws no hard objection, and at most five soft ones', () => {
		const found = reviewPlan(demo, plan);
		expect(found.filter(({ grade }) => grade === 2)).toEqual([]);
		expect(found.length).toBeLessThanOrEqual(5);
		expect(found.every(({ code }) => REVIEW_CODES.includes(code))).toBe(true);
	});
	it('leaves nothing over, and fills the larder with food', () => {
		expect(plan.overflow).toEqual([]);
		const larder = plan.assignments.filter(({ nookId }) =>
			placeOfNook(demo, nookId)!.cabinet.name.startsWith('Larder')
		);
		const food = larder.filter(({ groupId }) =>
			Object.values(demo.things).some(
				(thing) => thing.groupId === groupId && thing.category.startsWith('food.')
			)
		);
		expect(food.length).toBeGreaterThanOrEqual(6);
	});
});

describe('an organizer’s review of forks and onions', () => {
	const larderShelf = nookOf(({ nook }) => /^Larder shelf 2/.test(nook.name));
	it('objects to cutlery for which one bends down, and not to a drawer under the worktop', () => {
		const cutlery = groupCalled(/^Cutlery/);
		const drawer = (name: RegExp) => nookOf(({ nook }) => name.test(nook.name));
		expect(codes(demo, planOf([drawer(/^Top drawer/), cutlery]))).toEqual([]);
		expect(codes(demo, planOf([drawer(/^Bottom drawer/), cutlery]))).toEqual(['cutlery-low']);
	});
	it('objects to onions beside potatoes, and to neither alone', () => {
		const [onions, potatoes] = [groupCalled(/^Onions/), groupCalled(/^Potatoes/)];
		expect(codes(demo, planOf([larderShelf, onions], [larderShelf, potatoes]))).toContain(
			'produce-together'
		);
		for (const alone of [onions, potatoes])
			expect(codes(demo, planOf([larderShelf, alone]))).not.toContain('produce-together');
	});
});

describe('an organizer’s review of what stands by the work', () => {
	const byHob = nookOf(({ cabinet }) => /^Base right of the hob/.test(cabinet.name));
	const larder = nookOf(({ cabinet }) => /^Larder shelves/.test(cabinet.name));
	it('objects to pans far from the hob, and not to pans beside it', () => {
		const pots = groupCalled(/^Pots and pans/);
		expect(codes(demo, planOf([larder, pots]))).toContain('far-from-work');
		expect(codes(demo, planOf([byHob, pots]))).toEqual([]);
	});
	it('objects to bedding, pet food and remedies by the hob, and not to what one cooks with', () => {
		for (const name of [/^Guest bedding/, /^Dog food/, /^Hair, bath/])
			expect(codes(demo, planOf([byHob, groupCalled(name)])), String(name)).toContain(
				'outsider-by-hob'
			);
		expect(codes(demo, planOf([byHob, groupCalled(/^Boards/)]))).toEqual([]);
		const noHob = apply(demo, (draft) => {
			for (const [id, { kind }] of Object.entries(draft.stations))
				if (kind === 'hob') delete draft.stations[id];
		});
		expect(codes(noHob, planOf([byHob, groupCalled(/^Dog food/)]))).toEqual([]);
	});
	it('objects to what nobody would look for side by side', () => {
		const together = (one: RegExp, two: RegExp) =>
			codes(demo, planOf([larder, groupCalled(one)], [larder, groupCalled(two)]));
		expect(together(/^Tea towels/, /^Oils/)).toContain('odd-neighbours');
		expect(together(/^Boards/, /^Dog food/)).toContain('odd-neighbours');
		expect(together(/^Grains/, /^Baking/)).not.toContain('odd-neighbours');
		// One thing of another family among many makes a group no other.
		const boards = groupCalled(/^Boards/);
		const string = apply(demo, (draft) => {
			const [one] = Object.values(draft.things).filter(({ groupId }) => groupId === boards);
			const id = 'ball-of-string' as never;
			draft.things[id] = { ...one!, id, name: 'string', category: 'kitchen.odds' };
		});
		const pots = groupCalled(/^Pots and pans/);
		expect(codes(string, planOf([byHob, boards], [byHob, pots]))).toEqual([]);
	});
});

describe('where kinds belong', () => {
	it('names kinds and places that there are, each kind once', () => {
		const known = new Set(CATEGORIES.map(({ code }) => code));
		const kinds = BELONGS.flatMap((row) => row.kinds);
		expect(kinds.filter((kind) => !known.has(kind))).toEqual([]);
		expect(new Set(kinds).size).toBe(kinds.length);
		for (const row of BELONGS) {
			expect(
				row.first.filter((spot) => row.poor.includes(spot)),
				row.why
			).toEqual([]);
			expect(row.why.length).toBeGreaterThan(10);
		}
	});
	it('tells places apart as an organizer does', () => {
		const spots = (is: Parameters<typeof nookOf>[0]) =>
			spotsOf(demo, placeOfNook(demo, nookOf(is))!);
		expect([...spots(({ nook }) => nook.kind === 'undersink')]).toContain('under-sink');
		expect([...spots(({ cabinet }) => cabinet.form === 'basin')]).toContain('bathroom');
		for (const place of nooksInOrder(demo))
			for (const spot of spotsOf(demo, place))
				expect([...SPOTS, 'low-drawer', 'wall-upper']).toContain(spot);
	});
	it('takes the tall cabinet of a kitchen for its larder, where there is no other', () => {
		const home = sketchHome(DOG_AND_TODDLER);
		const tall = nooksInOrder(home).filter(({ cabinet }) => cabinet.form === 'tall');
		expect(tall.length).toBeGreaterThan(0);
		const isLarder = (of: typeof home, place: (typeof tall)[number]) =>
			spotsOf(of, { ...place, cabinet: of.cabinets[place.cabinet.id]! }).has('larder');
		for (const place of tall) expect(isLarder(home, place)).toBe(true);
		const named = (name: string) =>
			apply(home, (draft) => void (draft.cabinets[tall[0]!.cabinet.id]!.name = name));
		expect(isLarder(named('Broom cupboard'), tall[0]!)).toBe(false);
		// A room for it makes the tall cabinet one like others.
		const other = apply(home, (draft) => {
			Object.values(draft.rooms).at(-1)!.name = 'Pantry';
		});
		expect(isLarder(other, tall[0]!)).toBe(false);
	});
	it('has a room without work aside, but not in a home that says nothing of its work', () => {
		const home = sketchHome(SKETCHES.find(({ id }) => id === 'galley')!);
		const porch = nooksInOrder(home).find(({ room }) => room.name === 'Back porch')!;
		expect([...spotsOf(home, porch)]).toContain('satellite');
		expect([...spotsOf(home, porch)]).not.toContain('kitchen');
		expect([...spotsOf({ ...home, stations: {} }, porch)]).not.toContain('satellite');
		for (const place of nooksInOrder(home))
			if (/Kitchen|Bathroom/.test(place.room.name))
				expect([...spotsOf(home, place)]).not.toContain('satellite');
	});
	it('lets equipment that is seldom used out of the way, and food nowhere else', () => {
		const usual = new BelongsTable([]);
		const at = (kind: string, spot: (typeof SPOTS)[number], isRare: boolean) =>
			usual.standing(kind, new Set([spot]), () => 9, isRare);
		expect(at('kitchen.pots', 'satellite', false)).toBe('poor');
		expect(at('kitchen.pots', 'satellite', true)).toBe('first');
		expect(at('kitchen.pots', 'bathroom', true)).toBe('poor');
		expect(at('food.baking', 'top', true)).toBe('poor');
	});
	it('say in words why a group stands badly, and nothing where it stands well', () => {
		const cutlery = allGroupFigures(demo).find(
			({ groupId }) => groupId === groupCalled(/^Cutlery/)
		)!;
		const table = belongsIn(demo);
		expect(table.why(cutlery, new Set(['top']))).toBe('cutlery and knives want a shallow drawer');
		expect(table.why(cutlery, new Set(['shallow-drawer']))).toBe('');
		const pots = allGroupFigures(demo).find(({ groupId }) => groupId === groupCalled(/^Pots/))!;
		const at = (cabinetName: RegExp) =>
			placeOfNook(
				demo,
				nookOf(({ cabinet }) => cabinetName.test(cabinet.name))
			)!;
		expect(whyAstray(demo, pots, at(/^Cool bench/))).toMatch(/by the hob$/);
		const drawer = (name: RegExp) =>
			placeOfNook(
				demo,
				nookOf(({ nook }) => name.test(nook.name))
			)!;
		expect(whyAstray(demo, pots, drawer(/^Pan drawer, bottom/))).toBe('');
		expect(whyAstray(demo, pots, drawer(/^Pan drawer, top/))).toMatch(/^pots and pans want/);
		const everyFork = drawer(/^Top drawer/);
		const low = {
			...everyFork,
			cabinet: { ...everyFork.cabinet, baseMm: 0 },
			nook: { ...everyFork.nook, at: { ...everyFork.nook.at, zMm: 0 } }
		};
		expect(spotsOf(demo, low)).toContain('low-drawer');
		expect(whyAstray(demo, cutlery, everyFork)).toBe('');
		expect(whyAstray(demo, cutlery, low)).toBe('cutlery and knives want a shallow drawer');
	});
	it('the second shelf of a wall cabinet is for what is used less, not out of the way as the top', () => {
		const base = nooksInOrder(demo).find(
			({ nook, cabinet }) => cabinet.form === 'wall' && nook.kind === 'shelf'
		)!;
		const at = (mm: number) =>
			spotsOf(demo, {
				...base,
				cabinet: { ...base.cabinet, baseMm: 0 },
				nook: { ...base.nook, at: { ...base.nook.at, zMm: mm } }
			});
		expect([1500, 1700, 1950].map((mm) => at(mm).has('wall-upper'))).toEqual([false, true, false]);
		const usual = new BelongsTable([]);
		const standing = (kind: string) => [1500, 1700, 1950].map((mm) => usual.standing(kind, at(mm)));
		expect(standing('kitchen.glasses')).toEqual(['first', 'fair', 'poor']);
		expect(standing('food.grains')).toEqual(['fair', 'fair', 'poor']);
		expect(standing('food.potatoes')).toEqual(['fair', 'poor', 'poor']);
		expect(standing('bathroom.medicines')).toEqual(['fair', 'first', 'first']);
		// What a household says of high places goes for it as well.
		const own = new BelongsTable([
			{ kind: 'kitchen.glasses', spot: 'above-shoulder', standing: 'first' }
		]);
		expect(own.standing('kitchen.glasses', at(1700))).toBe('first');
	});
	it('first choice outweighs a poor one, and a kind without a row stands well anywhere', () => {
		const usual = new BelongsTable([]);
		expect(usual.standing('food.baking', new Set(['larder', 'above-shoulder']))).toBe('first');
		expect(usual.standing('food.baking', new Set(['worktop']))).toBe('poor');
		expect(usual.standing('food.baking', new Set(['wall-shelf']))).toBe('fair');
		expect(usual.standing('bathroom.refills', new Set(['larder']))).toBe('poor');
		expect(usual.standing('food.frozen-veg', new Set(['larder']))).toBeNull();
	});
	it('by the work, not across the room; and not where others work', () => {
		const usual = new BelongsTable([]);
		const at = (kind: string, spot: (typeof SPOTS)[number], m: number | null) =>
			usual.standing(kind, new Set([spot]), () => m);
		expect([1.5, 2, 2.4].map((m) => at('kitchen.pots', 'low-shelf', m))).toEqual([
			'first',
			'fair',
			'poor'
		]);
		expect(at('kitchen.pots', 'low-shelf', null)).toBe('first');
		expect([1, 2].map((m) => at('home.clothes', 'satellite', m))).toEqual(['poor', 'first']);
		expect(usual.standing('kitchen.dishes', new Set(['knee-to-shoulder']))).toBe('first');
		expect(usual.standing('kitchen.dishes', new Set(['knee-to-shoulder', 'larder']))).toBe('fair');
		for (const { near } of BELONGS) expect(near?.firstM ?? 0).toBeLessThan(near?.poorM ?? 1);
		const own = new BelongsTable([{ kind: 'kitchen.pots', spot: 'low-shelf', standing: 'first' }]);
		expect(own.standing('kitchen.pots', new Set(['low-shelf']), () => 9)).toBe('first');
	});
	it('follow what a home has, and what its household says', () => {
		// Without drawers or a rail, tools lie where they are at hand.
		const noDrawers = new BelongsTable([], ['wall-shelf', 'low-shelf', 'knee-to-shoulder']);
		const shelf = (spot: Spot) => noDrawers.standing('kitchen.tools', new Set([spot]));
		expect((['knee-to-shoulder', 'wall-shelf'] as const).map(shelf)).toEqual(['first', 'poor']);
		const noLarder = new BelongsTable([], ['wall-shelf', 'low-shelf', 'shallow-drawer']);
		expect(noLarder.standing('food.baking', new Set(['wall-shelf']))).toBe('first');
		expect(noLarder.standing('food.baking', new Set(['shallow-drawer']))).toBe('poor');
		const own = new BelongsTable([
			{ kind: 'food.baking', spot: 'shallow-drawer', standing: 'first' },
			{ kind: 'food.baking', spot: 'larder', standing: 'poor' }
		]);
		expect(own.standing('food.baking', new Set(['shallow-drawer']))).toBe('first');
		expect(own.standing('food.baking', new Set(['larder']))).toBe('poor');
		expect(own.standing('food.grains', new Set(['larder']))).toBe('first');
	});
});

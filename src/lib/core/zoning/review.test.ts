import { beforeAll, describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { CATEGORIES, SPOTS, type Home, type ZonePlan } from '../model';
import { nooksInOrder, placeOfNook } from '../survey';
import { allGroupFigures } from '../grouping';
import { BELONGS, BelongsTable, belongsIn, spotsOf } from './belongs';
import { REVIEW_CODES, reviewPlan } from './review';
import { DEFAULT_PLACE, placeHome, toZonePlan } from './solve';

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
		plan = toZonePlan(placeHome(demo, { ...DEFAULT_PLACE, moves: 300_000 }), 'p', 'plan', NOW);
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
			for (const spot of spotsOf(demo, place)) expect(SPOTS).toContain(spot);
	});
	it('say in words why a group stands badly, and nothing where it stands well', () => {
		const cutlery = allGroupFigures(demo).find(
			({ groupId }) => groupId === groupCalled(/^Cutlery/)
		)!;
		const table = belongsIn(demo);
		expect(table.why(cutlery, new Set(['top']))).toBe('cutlery and knives want a shallow drawer');
		expect(table.why(cutlery, new Set(['shallow-drawer']))).toBe('');
	});
	it('first choice outweighs a poor one, and a kind without a row stands well anywhere', () => {
		const usual = new BelongsTable([]);
		expect(usual.standing('food.baking', new Set(['larder', 'above-shoulder']))).toBe('first');
		expect(usual.standing('food.baking', new Set(['worktop']))).toBe('poor');
		expect(usual.standing('food.baking', new Set(['wall-shelf']))).toBe('fair');
		expect(usual.standing('bathroom.refills', new Set(['larder']))).toBe('poor');
		expect(usual.standing('food.frozen-veg', new Set(['larder']))).toBeNull();
	});
	it('follow what a home has, and what its household says', () => {
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

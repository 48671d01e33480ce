import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { SKETCHES, STUDIO } from '../fixtures/sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { solvedOnce } from '../fixtures/solved-once';
import { NOW } from '../fixtures/tiny-home';
import type { Holding } from '../grouping';
import { applyEdit, pieceVolumeMl, type Home } from '../model';
import { zoneModelOf } from './build';
import { adoptPlan, movePart } from './edits';
import { brokenRules, layoutOf } from './explain';
import { cutsOfPlan, partingPrint } from './parts-of-plan';

const ids = ['demo', ...SKETCHES.map(({ id }) => id)];

const homes = new Map<string, Home>();
beforeAll(() => {
	const bare = [
		['demo', demoHome(NOW)] as const,
		...SKETCHES.map((sketch) => [sketch.id, sketchHome(sketch)] as const)
	];
	for (const [id, home] of bare) {
		const { plan } = solvedOnce(id, () => home);
		homes.set(id, applyEdit(home, adoptPlan(plan)).home);
	}
}, 120_000);
const rowsOf = (home: Home) => home.zonePlans['p']!.assignments;
const broken = (home: Home): string[] => {
	const model = zoneModelOf(home);
	return brokenRules(model, layoutOf(model, rowsOf(home)).assignment).map(
		({ groupId, nookId, code }) => `${groupId} ${nookId} ${code}`
	);
};

describe('what is shown of the plan in force', () => {
	it.each(ids)(
		'%s: has no broken rule that the planner did not see, and costs what it said',
		(id) => {
			const home = homes.get(id)!;
			const plan = home.zonePlans['p']!;
			expect(broken(home)).toEqual([]);
			const { objective } = layoutOf(zoneModelOf(home), plan.assignments);
			// Parts of a group that came together in one place are one again, with trips and a hardest reach of its own.
			expect(objective / plan.objective).toBeGreaterThan(0.99);
			expect(objective / plan.objective).toBeLessThan(1.005);
		}
	);
	it.each(ids)('%s: has each of its rows in its place, and no group elsewhere', (id) => {
		const home = homes.get(id)!;
		const model = zoneModelOf(home);
		const { assignment } = layoutOf(model, rowsOf(home));
		const shown = new Set(
			model.parts.flatMap(({ figures }, g) =>
				assignment[g]! < 0 ? [] : [`${figures.groupId}/${model.places[assignment[g]!]!.nook.id}`]
			)
		);
		expect(shown).toEqual(new Set(rowsOf(home).map((row) => `${row.groupId}/${row.nookId}`)));
	});
	it.each(ids)('%s: breaks nothing more when somebody moves out, but for what was theirs', (id) => {
		const home = homes.get(id)!;
		for (const person of Object.keys(home.people)) {
			const theirs = Object.values(home.things)
				.filter(({ userIds }) => userIds.some((userId) => userId === person))
				.map(({ groupId }) => groupId);
			const without = applyEdit(home, ({ people, things }) => {
				delete people[person];
				for (const thing of Object.values(things))
					thing.userIds = thing.userIds.filter((userId) => userId !== person);
			}).home;
			// Others have to reach for that now.
			expect(
				broken(without).filter((each) => !theirs.some((g) => each.startsWith(`${g} `)))
			).toEqual([]);
		}
	});
	it('counts what it leaves out whole once, whatever parts it would go in', () => {
		const home = sketchHome({
			id: 'low',
			name: 'Low places alone',
			people: [{ name: 'Ada', statureMm: 1700, ageBand: 'adult' }],
			rooms: [
				{
					name: 'Kitchen',
					widthMm: 3000,
					depthMm: 2400,
					back: [
						{
							form: 'drawers',
							goods: ['6 forks', '2 ladles', '1 slow cooker; 1 blender; 1 hand mixer; 1 steriliser']
						},
						{
							form: 'base',
							goods: [
								'4 saucepans; 2 frying pans; 1 wok',
								'2 casseroles; 2 roasting tins; 3 baking trays'
							]
						},
						{ form: 'wall', goods: ['6 plates', '6 mugs', '2 vases'] }
					]
				}
			]
		});
		const { plan } = solvedOnce('low', () => home);
		const left = plan.overflow.filter((id) => !plan.assignments.some((row) => row.groupId === id));
		expect(left).not.toEqual([]);
		const inForce = applyEdit(home, adoptPlan(plan)).home;
		const model = zoneModelOf(inForce);
		const partsOf = (id: string) => model.parts.filter(({ figures }) => figures.groupId === id);
		expect(left.map((id) => partsOf(id).length)).toEqual(left.map(() => 1));
		expect(layoutOf(model, plan.assignments).objective).toBeCloseTo(plan.objective, 3);
	});
	it('is parted by things as rows say, also after one of them was moved by hand', () => {
		const home = homes.get('studio')!;
		const row = rowsOf(home).find(({ thingIds }) => thingIds)!;
		const free = Object.keys(home.nooks).find(
			(id) => !rowsOf(home).some(({ nookId }) => nookId === id)
		)!;
		const moved = applyEdit(home, movePart(row.groupId, row.nookId, free)).home;
		const model = zoneModelOf(moved);
		const { assignment } = layoutOf(model, rowsOf(moved));
		const there = model.parts.filter((_, g) => model.places[assignment[g]!]?.nook.id === free);
		expect(new Set(there.flatMap(({ thingIds }) => thingIds))).toEqual(new Set(row.thingIds));
	});
	it('is as it was for another place of the same part, and is not for a part more', () => {
		const home = homes.get('studio')!;
		const whole = rowsOf(home).find(({ share }) => share === 1)!;
		const other = Object.keys(home.nooks).find((id) => id !== whole.nookId)!;
		expect(partingPrint(applyEdit(home, movePart(whole.groupId, whole.nookId, other)).home)).toBe(
			partingPrint(home)
		);
		expect(partingPrint(sketchHome(STUDIO))).not.toBe(partingPrint(home));
	});
});

const unit = (id: string, pieces: number, side: number): Holding =>
	({
		thing: {
			id,
			name: id,
			category: 'food.tinned',
			userIds: [],
			piece: { widthMm: side, depthMm: side, heightMm: side, shape: 'box' }
		},
		lots: [],
		pieces,
		spare: false
	}) as never;
const arbHoldings = fc
	.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 40, max: 120 })), {
		minLength: 1,
		maxLength: 6
	})
	.map((list) => list.map(([pieces, side], i) => unit(`t${i}`, pieces, side)));
/** Any rows of a plan: some things each, shares as they come. */
const arbRows = (count: number) =>
	fc.array(
		fc.record({
			share: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
			named: fc.option(fc.subarray(Array.from({ length: count }, (_, i) => `t${i}`)))
		}),
		{ minLength: 2, maxLength: 4 }
	);

describe('what rows of a plan hold', () => {
	it('is the group whole, where one row has all of it', () => {
		expect(cutsOfPlan([unit('t0', 3, 50)], [{ share: 1 }])).toBeNull();
		expect(cutsOfPlan([unit('t0', 3, 50)], [])).toBeNull();
	});
	it('is every piece, once, whatever rows say', () =>
		fc.assert(
			fc.property(
				arbHoldings.chain((holdings) => fc.tuple(fc.constant(holdings), arbRows(holdings.length))),
				([holdings, drawn]) => {
					const rows = drawn.map(({ share, named }) => ({
						share,
						...(named && { thingIds: named as never })
					}));
					const found = new Map<string, number>();
					for (const { holdings: own, share } of cutsOfPlan(holdings, rows)!)
						for (const { thing, pieces } of own)
							found.set(thing.id, (found.get(thing.id) ?? 0) + pieces * share);
					for (const { thing, pieces } of holdings)
						expect(found.get(thing.id)).toBeCloseTo(pieces, 6);
				}
			)
		));
	it('is so much of a thing that two rows name as their shares say', () => {
		const holdings = [unit('t0', 10, 100), unit('t1', 2, 100)];
		const rows = [
			{ share: 0.5, thingIds: ['t0'] },
			{ share: 0.5, thingIds: ['t0', 't1'] }
		] as never;
		const pieces = cutsOfPlan(holdings, rows)!.map(({ holdings: own }) =>
			own.reduce((sum, each) => sum + each.pieces, 0)
		);
		expect(pieces).toEqual([6, 6]);
		expect(pieceVolumeMl(holdings[0]!.thing)).toBe(1000);
	});
});

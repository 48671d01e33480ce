import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '$lib/data/demo';
import { apply, NOW, tinyHome } from '../fixtures/tiny-home';
import { applyEdit, GroupId, NookId, type Home } from '../model';
import { doMove, moveCaution, moveOrder, type MoveOrder } from './move-order';

const demo = demoHome(NOW);
const carryOut = (home: Home, { steps }: MoveOrder): Home =>
	steps.reduce((now, step) => applyEdit(now, doMove(step)).home, home);
/** Every lot of a placed group stands in one of the group's nooks. */
const strays = (home: Home, assignments: { groupId: string; nookId: string }[]) => {
	const nooks = new Map<string, Set<string>>();
	for (const { groupId, nookId } of assignments)
		nooks.set(groupId, (nooks.get(groupId) ?? new Set()).add(nookId));
	return Object.values(home.lots).filter((lot) => {
		const own = nooks.get(home.things[lot.thingId]?.groupId ?? '');
		return lot.count > 0 && own && (!lot.nookId || !own.has(lot.nookId));
	});
};

describe('the move order', () => {
	const { assignments } = solvedOnce('demo', () => demo).result;
	const order = moveOrder(demo, { assignments: [...assignments] });

	it('leaves everything where the plan has it, and is then empty', () => {
		expect(order.steps.length).toBeGreaterThan(10);
		const after = carryOut(demo, order);
		expect(strays(after, [...assignments])).toEqual([]);
		expect(moveOrder(after, { assignments: [...assignments] }).steps).toEqual([]);
	});
	it('keeps little on the table at any time, and ends with an empty one', () => {
		expect(order.steps.at(-1)!.tableMl).toBeCloseTo(0, 3);
		expect(order.mostOnTableMl).toBeLessThan(order.volumeMl / 3);
	});
	it('can be stopped anywhere and gone on with', () => {
		for (const done of [1, 5, Math.floor(order.steps.length / 2)]) {
			const half = carryOut(demo, { ...order, steps: order.steps.slice(0, done) });
			const rest = moveOrder(half, { assignments: [...assignments] });
			expect(strays(carryOut(half, rest), [...assignments])).toEqual([]);
		}
	});
	it('ends for any plan, even one that no nook can hold, and changes no count', () => {
		const groups = Object.keys(demo.groups);
		const nooks = Object.keys(demo.nooks);
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.nat(groups.length - 1), fc.nat(nooks.length - 1)), {
					minLength: 1,
					maxLength: 30
				}),
				(pairs) => {
					const byGroup = new Map(pairs.map(([g, n]) => [groups[g]!, nooks[n]!]));
					const plan = {
						assignments: [...byGroup].map(([groupId, nookId]) => ({
							groupId: GroupId.parse(groupId),
							nookId: NookId.parse(nookId),
							share: 1
						}))
					};
					const after = carryOut(demo, moveOrder(demo, plan));
					expect(strays(after, plan.assignments)).toEqual([]);
					const count = (home: Home) =>
						Object.values(home.lots).reduce((sum, lot) => sum + lot.count, 0);
					expect(count(after)).toBe(count(demo));
				}
			),
			{ seed: 81, numRuns: 30 }
		);
	});
});

describe('what is carried where a small child lives', () => {
	const home = apply(
		tinyHome(),
		(draft) =>
			void (draft.people['t'] = {
				id: 't',
				name: 'Bo',
				statureMm: 860,
				ageBand: 'toddler',
				visits: false,
				limits: { maxLiftG: null, noClimb: false, noAboveShoulder: false, seated: null },
				diets: [],
				allergies: []
			} as never)
	);
	const sink = Object.values(home.nooks).find((n) => n.kind === 'undersink')!;
	const thing = Object.values(home.things).find(({ hazards }) => hazards.includes('cleaner'))!;
	const step = {
		groupId: thing.groupId!,
		from: null,
		to: sink.id,
		loads: [{ lotId: 'l', thingId: thing.id, count: 1, partId: null }],
		volumeMl: 1
	};
	const guarded = (how: 'childCatch' | 'lockable') =>
		apply(home, (draft) => void (draft.cabinets[sink.cabinetId]![how] = true));
	it('says that poison needs a lock first, a catch or none, and is locked up at once', () => {
		expect(moveCaution(home, step)).toBe('needs-lock');
		expect(moveCaution(guarded('childCatch'), step)).toBe('needs-lock');
		expect(moveCaution(guarded('lockable'), step)).toBe('lock-at-once');
		expect(moveCaution(tinyHome(), step)).toBeNull();
		const high = apply(home, (draft) => void (draft.cabinets[sink.cabinetId]!.baseMm = 1700));
		expect(moveCaution(high, step)).toBe('high-only');
		const caught = apply(high, (draft) => void (draft.cabinets[sink.cabinetId]!.childCatch = true));
		expect(moveCaution(caught, step)).toBeNull();
	});
});

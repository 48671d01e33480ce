import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import type { Home } from '../model';
import { adoptPlan, brokenRules, layoutOf, zoneModelOf } from '../zoning';
import { setShelves, setShelvesFor, shelfColumn } from '.';

const demo = demoHome(NOW);
const FIRST = 'larder-1';

/** The demo home with groups put on shelves of the larder by hand. */
const withOn = (places: Readonly<Record<string, string>>, change?: (draft: Home) => void): Home =>
	apply(planFor(demo, places), (draft) => change?.(draft as Home));
const column = shelfColumn(demo, FIRST)!;

describe('shelves that can be set', () => {
	it('are those of one cabinet over each other, with the holes they stand in', () => {
		expect(column.nooks.map(({ id }) => id as string)).toEqual(
			[1, 2, 3, 4, 5, 6].map((n) => `larder-${n}`)
		);
		column.holes.forEach((hole, i) => {
			const z = column.firstHoleMm + hole * column.pitchMm + column.nooks[0]!.at.zMm;
			expect(Math.abs(z - column.nooks[i + 1]!.at.zMm)).toBeLessThanOrEqual(column.pitchMm / 2);
		});
	});
	it('are none where a board is fixed, a height is missing, or nothing moves', () => {
		const change = (edit: (draft: Home) => void) => apply(demo, (draft) => edit(draft as Home));
		expect(
			shelfColumn(
				change((draft) => void (draft.nooks['larder-3']!.adjustable = false)),
				FIRST
			)
		).toBeNull();
		expect(
			shelfColumn(
				change((draft) => void (draft.nooks['larder-3']!.inside.heightMm = null)),
				FIRST
			)
		).toBeNull();
		expect(shelfColumn(demo, 'd-1')).toBeNull();
		expect(shelfColumn(demo, 'no-such-place')).toBeNull();
	});
});

describe('setting shelves for what stands on them', () => {
	const thing = Object.values(demo.things).find(({ groupId }) => groupId === 'oils')!;
	/** One thing is too tall for any shelf as they are. */
	const tall = withOn({ oils: 'larder-3', baking: 'larder-4' }, (draft) => {
		draft.things[thing.id]!.piece.heightMm = 420;
	});
	it('makes room for what is too tall, without a level too low to use', () => {
		const setting = setShelvesFor(tall, 'larder-3')!;
		expect(setting.gains).toContain('oils');
		expect(setting.out).toEqual([]);
		expect(setting.isProven).toBe(true);
		for (const { heightMm } of setting.levels) expect(heightMm).toBeGreaterThanOrEqual(100);
		const thick = column.thicknessMm * (setting.levels.length - 1);
		expect(setting.levels.reduce((sum, { heightMm }) => sum + heightMm, thick)).toBe(
			column.heightMm
		);
		const after = apply(tall, setShelves(setting));
		const where = after.zonePlans['p']!.assignments.find(({ groupId }) => groupId === 'oils')!;
		expect(after.nooks[where.nookId]!.inside.heightMm).toBeGreaterThanOrEqual(420);
		// Nothing more is to be had after it.
		expect(setShelvesFor(after, 'larder-3')).toBeNull();
		// Places stay in their order, each over the one before.
		const feet = column.nooks.map(({ id }) => after.nooks[id]!.at.zMm);
		expect([...feet].sort((a, b) => a - b)).toEqual(feet);
	});
	it('says when a hard rule is against what would stand on one shelf', () => {
		const one = (groupId: string) =>
			Object.values(demo.things).find((each) => each.groupId === groupId)!.id;
		const [oil, spray] = [one('oils'), one('cleaning')];
		// Two shelves; both are too tall for either, and only one shelf can be made high enough.
		const both = withOn({ oils: 'n2-low', cleaning: 'n2-up' }, (draft) => {
			for (const id of [oil, spray]) draft.things[id]!.piece.heightMm = 420;
			for (const row of draft.zonePlans['p']!.assignments)
				row.thingIds = [row.groupId === 'oils' ? oil : spray];
		});
		const setting = setShelvesFor(both, 'n2-low')!;
		expect(new Set(setting.assignments.map(({ nookId }) => nookId)).size).toBe(1);
		expect(setting.against.length).toBeGreaterThan(0);
	});
	it('is never offered against a rule, and takes from no group what height it has', () => {
		const plan = solvedOnce('demo', () => demo).plan;
		const home = apply(demo, adoptPlan(plan));
		const wrong = (of: Home) => {
			const model = zoneModelOf(of);
			return brokenRules(model, layoutOf(model, of.zonePlans['p']!.assignments).assignment).filter(
				({ code }) => code !== 'over-capacity'
			).length;
		};
		const cabinets = new Set<string>();
		let offered = 0;
		for (const { id, cabinetId } of Object.values(home.nooks)) {
			if (cabinets.has(cabinetId) || !shelfColumn(home, id)) continue;
			cabinets.add(cabinetId);
			const setting = setShelvesFor(home, id);
			if (!setting || setting.against.length) continue;
			offered++;
			expect(setting.gains.length, id).toBeGreaterThan(0);
			for (const { heightMm } of setting.levels) expect(heightMm, id).toBeGreaterThanOrEqual(100);
			expect(wrong(apply(home, setShelves(setting))), id).toBeLessThanOrEqual(wrong(home));
		}
		expect(offered).toBeGreaterThan(1);
	});
	it('finds nothing to do where all stands well, and where there is no plan', () => {
		expect(setShelvesFor(withOn({ baking: 'larder-3' }), 'larder-3')).toBeNull();
		expect(setShelvesFor(demo, 'larder-3')).toBeNull();
	});
});

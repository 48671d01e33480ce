import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { decide } from '../clearing';
import { apply, bareKitchen, counter, NOW, TODAY, tinyHome } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import { addDays, blankReset, lotsIn, NookId, type Home, type Reset, type Thing } from '../model';
import {
	adaptedDays,
	addReset,
	beginReset,
	finishReset,
	firstDays,
	foundOf,
	inSeason,
	looksAt,
	looksForAll,
	minutesOf,
	nextTurn,
	placesOf,
	postponeResets,
	resetsDue,
	resetsKept,
	resetWeeks,
	skipReset,
	spreadResets,
	usualResets
} from '.';

const withUsual = (home: Home): Home =>
	apply(home, ...usualResets(home).map((reset, i) => addReset(`usual-${i}`, reset)));
const kinds = (home: Home) => usualResets(home).map(({ kind }) => kind);

describe('the first days of new resets', () => {
	it('are spread, medicines first, none later than its own interval', () => {
		const drafts = usualResets(demoHome(NOW));
		const bare = { ...demoHome(NOW), decisions: {}, sessions: {} };
		const days = firstDays(bare, drafts, TODAY);
		expect(new Set(days).size).toBeGreaterThan(drafts.length / 2);
		expect(days.filter((day) => day === TODAY).length).toBeLessThan(3);
		drafts.forEach(({ everyDays, kind }, i) => {
			expect(days[i]! <= addDays(TODAY, everyDays)).toBe(true);
			if (kind === 'medicines') expect(days[i]! <= addDays(TODAY, 14)).toBe(true);
		});
	});
	it('come an interval after the place was gone through', () => {
		const home = demoHome(NOW);
		const [draft] = usualResets(home).filter(({ everyDays }) => everyDays > 30);
		const nookId = draft!.nookIds[0]!;
		const cleared = apply(home, (all) => {
			all.sessions['s' as never] = {
				id: 's',
				nookId,
				startedAt: `${TODAY}T08:00:00.000Z`,
				endedAt: `${TODAY}T09:00:00.000Z`,
				plannedMin: 30,
				workedMin: 30,
				runningSince: null,
				things: 3,
				strays: []
			} as never;
		});
		expect(firstDays(cleared, [draft!], TODAY)).toEqual([addDays(TODAY, draft!.everyDays)]);
	});
});

describe('the usual resets', () => {
	it('come from what is where, and only once', () => {
		expect(kinds(bareKitchen())).toEqual([
			'fridge',
			'freezer-list',
			'freezer-defrost',
			'under-sink'
		]);
		expect(usualResets(withUsual(bareKitchen()))).toEqual([]);
	});
	it('are for the places where medicines and food really are', () => {
		const home = demoHome(NOW);
		const bare = { ...home, resets: {} };
		const holds = (nookId: string, start: string) =>
			Object.values(home.lots).some(
				(lot) => lot.nookId === nookId && home.things[lot.thingId]!.category.startsWith(start)
			);
		const found = usualResets(bare);
		const medicines = found.filter(({ kind }) => kind === 'medicines');
		expect(medicines.length).toBeGreaterThan(0);
		for (const { nookIds } of medicines)
			for (const id of nookIds)
				expect(holds(id, 'bathroom.medicines') || holds(id, 'bathroom.first-aid')).toBe(true);
		for (const { kind, nookIds } of found)
			if (kind === 'spices') for (const id of nookIds) expect(holds(id, 'food.spices')).toBe(true);
		expect(found.some(({ kind }) => kind === 'pantry-dates')).toBe(true);
	});
	it('follow the plan once there is one', () => {
		const home = tinyHome();
		const group = Object.values(home.groups).find(({ id }) =>
			Object.values(home.things).some(
				(thing) => thing.groupId === id && thing.category.startsWith('food.cans')
			)
		)!;
		const shelf = Object.values(home.nooks).find(({ kind }) => kind === 'shelf')!;
		const planned = planFor(home, { [group.id]: shelf.id });
		expect(usualResets(planned).find(({ kind }) => kind === 'pantry-dates')).toMatchObject({
			nookIds: [shelf.id],
			cabinetId: shelf.cabinetId
		});
	});
});

describe('when a reset is due', () => {
	const home = withUsual(bareKitchen());
	const id = Object.keys(home.resets)[0]!;
	const due = (now: Home, of = id) => resetsDue(now, TODAY).find(({ reset }) => reset.id === of)!;
	it('is today when it was never done, and after its interval then', () => {
		expect(due(home)).toMatchObject({ daysLeft: 0, dueOn: TODAY });
		const done = apply(home, finishReset(id, TODAY, NOW));
		expect(due(done).daysLeft).toBe(home.resets[id]!.everyDays);
	});
	it('is sooner when much was found and later when nothing was', () => {
		expect(adaptedDays({ everyDays: 100, foundShare: 0.5 })).toEqual({
			days: 70,
			basis: 'more-often'
		});
		expect(adaptedDays({ everyDays: 100, foundShare: 0 })).toEqual({
			days: 125,
			basis: 'less-often'
		});
		expect(adaptedDays({ everyDays: 100, foundShare: 0.1 })).toEqual({
			days: 100,
			basis: 'as-set'
		});
		expect(adaptedDays({ everyDays: 1, foundShare: 1 }).days).toBe(1);
	});
	it('can be put off, and left out; neither makes it done', () => {
		const off = apply(home, postponeResets([[id, addDays(TODAY, 5)]]));
		expect(due(off).daysLeft).toBe(5);
		const skipped = apply(off, skipReset(id, TODAY));
		expect(due(skipped).daysLeft).toBe(home.resets[id]!.everyDays);
		expect(skipped.resets[id]!.lastDoneOn).toBeNull();
		expect(resetsKept(skipped, TODAY, TODAY)).toEqual({ done: 0, skipped: 1, minutes: 0 });
	});
});

describe('a reset that is done', () => {
	const home = demoHome(NOW);
	const { pantry } = { pantry: home.resets['pantry-dates' as never] as Reset };
	const lots = placesOf(home, pantry).flatMap(({ id }) =>
		Object.values(home.lots).filter((lot) => lot.nookId === id && lot.count > 0)
	);
	const verdict = (now: Home, i: number, what: 'keep' | 'discard') =>
		apply(
			now,
			decide({
				lotId: lots[i]!.id,
				verdict: what,
				advice: null,
				wantAgain: false,
				toNookId: null,
				ids: { decision: `d${i}`, event: `e${i}`, rest: `r${i}` },
				now: '2026-03-02T09:10:00.000Z'
			} as never)
		);
	it('counts what it found, and what was not touched is as listed', () => {
		const begun = apply(home, beginReset(pantry.id, NOW));
		expect(foundOf(begun, pantry, NOW)).toMatchObject({ looked: 0, leaves: 0, left: lots.length });
		const some = verdict(verdict(verdict(begun, 0, 'discard'), 1, 'discard'), 2, 'keep');
		const found = foundOf(some, pantry, NOW);
		expect(found).toMatchObject({ looked: 3, leaves: 2, left: lots.length - 3 });
		const done = apply(some, finishReset(pantry.id, TODAY, '2026-03-02T09:24:00.000Z'));
		expect(done.resets[pantry.id]).toMatchObject({
			lastDoneOn: TODAY,
			begunAt: null,
			foundShare: 2 / lots.length
		});
		expect(done.resets[pantry.id]!.log.at(-1)).toMatchObject({ minutes: 24, skipped: false });
		expect(minutesOf(done, done.resets[pantry.id]!)).toEqual({ minutes: 24, basis: 'timed' });
	});
	it('is done again sooner when it was found half full of what goes', () => {
		let now = apply(home, beginReset(pantry.id, NOW));
		for (let i = 0; i < lots.length; i += 2) now = verdict(now, i, 'discard');
		now = apply(now, finishReset(pantry.id, TODAY, NOW));
		const again = resetsDue(now, TODAY).find(({ reset }) => reset.id === pantry.id)!;
		expect(again.basis).toBe('more-often');
		expect(again.daysLeft).toBe(Math.round(pantry.everyDays * 0.7));
	});
	it('looks at what it is for: spices for their smell, and nothing of the pan that stands beside them', () => {
		const [place] = placesOf(home, pantry);
		const spice = { category: 'food.spices' } as Thing;
		const tin = { category: 'food.cans' } as Thing;
		const pan = { category: 'kitchen.cookware' } as Thing;
		expect([spice, tin, pan].map((thing) => looksAt('spices', thing))).toEqual([
			true,
			false,
			false
		]);
		expect([spice, tin, pan].map((thing) => looksAt('pantry-dates', thing))).toEqual([
			false,
			true,
			false
		]);
		expect([spice, tin, pan].every((thing) => looksAt('junk-drawer', thing))).toBe(true);
		expect([looksForAll('pantry-dates'), looksForAll('junk-drawer')]).toEqual([false, true]);
		const inPlace = lotsIn(home, place!.id);
		const other = apply(home, (draft) => {
			draft.things[inPlace[0]!.thingId]!.category = 'kitchen.cookware';
		});
		const goods = lotsIn(other, place!.id).filter(
			({ thingId }) => other.things[thingId]!.category !== 'kitchen.cookware'
		);
		expect(goods.length).toBeLessThan(inPlace.length);
		const elsewhere = lots.length - inPlace.length;
		expect(foundOf(other, pantry, NOW).left).toBeLessThanOrEqual(goods.length + elsewhere);
	});
	it('forgets what was decided before it was begun, and a night in between', () => {
		const early = verdict(home, 0, 'discard');
		expect(foundOf(early, pantry, '2026-03-02T09:30:00.000Z').looked).toBe(0);
		const begun = apply(home, beginReset(pantry.id, NOW));
		const late = apply(begun, finishReset(pantry.id, '2026-03-03', '2026-03-03T09:00:00.000Z'));
		expect(late.resets[pantry.id]!.log.at(-1)!.minutes).toBeNull();
	});
});

describe('a seasonal swap', () => {
	const swap = { groupIds: [null, null], from: ['05-01', '10-15'], awayNookId: null } as never;
	it('turns twice a year', () => {
		expect(nextTurn(swap, '2026-03-02')).toEqual({ on: '2026-05-01', comes: 0 });
		expect(nextTurn(swap, '2026-05-01')).toEqual({ on: '2026-10-15', comes: 1 });
		expect(nextTurn(swap, '2026-12-01')).toEqual({ on: '2027-05-01', comes: 0 });
		expect([inSeason(swap, '2026-03-02'), inSeason(swap, '2026-05-01')]).toEqual([1, 0]);
		const leap = { ...(swap as object), from: ['02-29', '10-15'] } as never;
		expect(nextTurn(leap, '2026-01-01').on).toBe('2026-02-28');
	});
	it('puts this season’s things in reach and the others away', () => {
		const home = tinyHome();
		const [summer, winter] = Object.keys(home.groups);
		const [reach, away] = Object.keys(home.nooks);
		const of = (now: Home, groupId: string) => [
			...new Set(
				Object.values(now.lots)
					.filter(({ thingId }) => now.things[thingId]!.groupId === groupId)
					.map(({ nookId }) => nookId as string | null)
			)
		];
		const ready = apply(
			home,
			addReset('swap', {
				kind: 'seasonal',
				cabinetId: null,
				nookIds: [NookId.parse(reach)],
				everyDays: 182,
				swap: {
					groupIds: [summer as never, winter as never],
					from: ['05-01', '10-15'],
					awayNookId: NookId.parse(away)
				}
			})
		);
		const may = apply(ready, finishReset('swap', '2026-05-03', '2026-05-03T09:00:00.000Z'));
		expect([of(may, summer!), of(may, winter!)]).toEqual([[reach], [away]]);
		expect(resetsDue(may, '2026-05-03')[0]!.dueOn).toBe('2026-10-15');
		const october = apply(may, finishReset('swap', '2026-10-20', '2026-10-20T09:00:00.000Z'));
		expect([of(october, summer!), of(october, winter!)]).toEqual([[away], [reach]]);
	});
});

describe('resets of the weeks', () => {
	it('are spread without loss: no week gets fuller than it was full, and what cannot wait stays', () => {
		const home = tinyHome();
		const reset = fc.record({
			kind: fc.constantFrom('pantry-dates' as const, 'fridge' as const, 'medicines' as const),
			everyDays: fc.constantFrom(7, 30, 90, 180, 365),
			ago: fc.option(fc.integer({ min: 0, max: 400 }), { nil: null }),
			minutes: fc.integer({ min: 5, max: 90 })
		});
		let moved = 0;
		fc.assert(
			fc.property(fc.array(reset, { minLength: 1, maxLength: 14 }), (all) => {
				const resets = Object.fromEntries(
					all.map(({ kind, everyDays, ago, minutes }, i) => {
						const lastDoneOn = ago === null ? null : addDays(TODAY, -ago);
						const log = [{ on: TODAY, foundShare: null, minutes, skipped: false }];
						const id = `r${i}`;
						return [id, { ...blankReset(), id, kind, cabinetId: null, everyDays, lastDoneOn, log }];
					})
				) as unknown as Home['resets'];
				const before = { ...home, resets };
				const moves = spreadResets(before, TODAY);
				moved += moves.length;
				const after = apply(before, postponeResets(moves));
				for (const [id, on] of moves) {
					const { kind, everyDays } = resets[id]!;
					expect(kind).not.toBe('medicines');
					expect(everyDays).toBeGreaterThan(14);
					expect(on > TODAY).toBe(true);
				}
				const most = (now: Home) =>
					Math.max(...resetWeeks(now, TODAY, 8).map((week) => week.minutes));
				const counted = (now: Home) => resetsDue(now, TODAY).length;
				expect(counted(after)).toBe(all.length);
				if (most(before) <= 60) expect(moves).toEqual([]);
			}),
			{ seed: 161, numRuns: 80 }
		);
		expect(moved).toBeGreaterThan(40);
	});
	it('eases the first week of a home that has done none yet', () => {
		const ids = counter('r');
		const home = demoHome(NOW);
		const bare = { ...home, resets: {} };
		const fresh = apply(bare, ...usualResets(bare).map((reset) => addReset(ids(), reset)));
		const first = (now: Home) => resetWeeks(now, TODAY, 1)[0]!.minutes;
		const spread = apply(fresh, postponeResets(spreadResets(fresh, TODAY)));
		expect(first(spread)).toBeLessThan(0.6 * first(fresh));
	});
});

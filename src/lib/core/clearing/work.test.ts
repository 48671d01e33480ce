import { describe, expect, it } from 'vitest';
import type { Home } from '../model';
import {
	apply,
	bareKitchen,
	counter,
	groupByCategory,
	NOW,
	TODAY,
	withLines
} from '../fixtures/tiny-home';
import { keepSparesApart } from '../grouping';
import { adoptPlan, placeHome, toZonePlan } from '../zoning';
import {
	adviseLot,
	backPlace,
	changeLeaving,
	decide,
	decisionOrder,
	doNotBuy,
	endSession,
	estimateClear,
	estimatePlace,
	findPlace,
	goingOut,
	halfDone,
	learnedRatio,
	markGone,
	onTheTable,
	openSession,
	pastByPlace,
	resumeSession,
	startSession,
	stopSession,
	straysFor,
	tallyHome,
	tickStray,
	workedMinutes,
	type Decide
} from '.';

const kitchen = bareKitchen();
const nooks = Object.values(kitchen.nooks);
const shelf = nooks.find((nook) => nook.kind === 'shelf')!;
const drawers = nooks.filter((nook) => nook.kind === 'drawer');
const at = (minutes: number) => new Date(Date.parse(NOW) + minutes * 60_000).toISOString();

const worked = (home: Home, nookId: typeof shelf.id, id: string, planned: number, real: number) =>
	apply(
		home,
		startSession({ id, nookId, plannedMin: planned, now: at(0) }),
		endSession(id, 10, at(real))
	);

describe('a session', () => {
	it('counts what was worked, without the pauses, and one place at a time', () => {
		let home = apply(
			kitchen,
			startSession({ id: 's1', nookId: shelf.id, plannedMin: 56, now: at(0) })
		);
		expect(workedMinutes(home.sessions['s1']!, at(12))).toBe(12);
		home = apply(home, stopSession('s1', at(20)));
		expect(workedMinutes(home.sessions['s1']!, at(500))).toBe(20);
		home = apply(
			home,
			resumeSession('s1', at(600)),
			startSession({ id: 's2', nookId: drawers[0]!.id, plannedMin: 30, now: at(610) })
		);
		expect(home.sessions['s1']).toMatchObject({ workedMin: 30, runningSince: null, endedAt: null });
		expect(halfDone(home).map((session) => session.id)).toEqual(['s1', 's2']);
		home = apply(home, endSession('s1', 7, at(700)));
		expect(openSession(home, shelf.id)).toBeNull();
		expect(openSession(home, drawers[0]!.id)?.id).toBe('s2');
		expect(apply(home, resumeSession('s1', at(800))).sessions['s1']!.runningSince).toBeNull();
	});
	it('keeps the strays that were looked for', () => {
		const home = apply(
			kitchen,
			startSession({ id: 's', nookId: shelf.id, plannedMin: 1, now: NOW }),
			tickStray('s', 'lent'),
			tickStray('s', 'snacks'),
			tickStray('s', 'lent')
		);
		expect(home.sessions['s']!.strays).toEqual(['snacks']);
	});
	it('teaches how long places really take', () => {
		expect(learnedRatio(kitchen, 'drawer')).toEqual({ ratio: 1, sessions: 0, basis: 'none' });
		let home = worked(kitchen, shelf.id, 'a', 50, 100);
		expect(learnedRatio(home, 'drawer')).toEqual({ ratio: 2, sessions: 1, basis: 'home' });
		home = worked(home, drawers[0]!.id, 'b', 40, 40);
		home = worked(home, drawers[1]!.id, 'c', 40, 60);
		home = worked(home, drawers[2]!.id, 'd', 40, 200);
		expect(learnedRatio(home, 'drawer')).toEqual({ ratio: 1.5, sessions: 3, basis: 'kind' });
		expect(estimatePlace(home, drawers[3]!.id).minutes).toBe(42);
		expect(estimateClear({ things: 40, decantL: 5, hands: 2 }).minutes).toBe(32);
	});
});

const base: Omit<Decide, 'lotId' | 'verdict'> = {
	advice: null,
	wantAgain: false,
	toNookId: null,
	ids: { decision: 'd', event: 'e', rest: 'rest' },
	now: NOW
};
const stocked = withLines(
	kitchen,
	['3 tins soup 400g bb 03/27 price 1.20', '2 mugs', 'ladle owner Rosa', 'bleach leaking'],
	shelf.id
);
const lotOf = (home: Home, name: string) =>
	Object.values(home.lots).find((lot) => home.things[lot.thingId]!.name === name)!;

describe('a decision', () => {
	it('on a part splits the lot and leaves the rest to decide', () => {
		const lot = lotOf(stocked, 'soup');
		const home = apply(stocked, decide({ ...base, lotId: lot.id, verdict: 'give', count: 1 }));
		expect(home.lots[lot.id]!.count).toBe(0);
		expect(home.lots['rest']).toMatchObject({ count: 2, nookId: shelf.id, dates: lot.dates });
		expect(home.decisions['d']!.count).toBe(1);
	});
	it('says until when what leaves is to be gone, and to whom what is lent goes back', () => {
		const home = apply(
			stocked,
			decide({ ...base, lotId: lotOf(stocked, 'ladle').id, verdict: 'return' }),
			decide({
				...base,
				lotId: lotOf(stocked, 'mugs').id,
				verdict: 'give',
				ids: { decision: 'd2', event: 'e2' }
			}),
			decide({
				...base,
				lotId: lotOf(stocked, 'soup').id,
				verdict: 'keep',
				ids: { decision: 'd3', event: 'e3' }
			})
		);
		const lists = goingOut(home, TODAY);
		expect(lists.map((list) => [list.verdict, list.items[0]!.decision.to])).toEqual([
			['return', 'Rosa'],
			['give', '']
		]);
		expect(goingOut(home, '2026-05-01')[0]!.items[0]!.overdue).toBe(true);
		const told = apply(home, changeLeaving('d2', { to: 'the school fair', dueOn: '2026-03-04' }));
		expect(goingOut(told, TODAY)[1]!.items[0]!.decision).toMatchObject({
			to: 'the school fair',
			dueOn: '2026-03-04'
		});
		expect(goingOut(apply(told, markGone(['d', 'd2'], TODAY)), TODAY)).toEqual([]);
	});
	it('against advice is remembered with its reason, and that advice comes last then', () => {
		const lot = lotOf(stocked, 'ladle');
		const context = { home: stocked, lot, thing: stocked.things[lot.thingId]!, today: TODAY };
		const [advice] = adviseLot(context);
		expect(advice).toMatchObject({ verdict: 'return', code: 'somebody-elses' });
		const home = apply(
			stocked,
			decide({
				...base,
				lotId: lot.id,
				verdict: 'keep',
				advice: advice!,
				reason: 'a gift after all'
			})
		);
		expect(adviseLot({ ...context, home }).at(-1)).toMatchObject({
			code: 'somebody-elses',
			overruled: { verdict: 'keep', reason: 'a gift after all', on: TODAY }
		});
	});
	it('for safety is advised again however often it was overruled', () => {
		const lot = lotOf(stocked, 'bleach');
		const context = { home: stocked, lot, thing: stocked.things[lot.thingId]!, today: TODAY };
		const first = adviseLot(context).find((advice) => advice.code === 'leaking-hazard')!;
		expect(first).toMatchObject({ verdict: 'hazardous', strength: 3 });
		const home = apply(stocked, decide({ ...base, lotId: lot.id, verdict: 'keep', advice: first }));
		const again = adviseLot({ ...context, home }).find((advice) => advice.code === first.code);
		expect(again?.overruled).toBeUndefined();
	});
	it('can put a thing on the list of what is not bought again', () => {
		const lot = lotOf(stocked, 'soup');
		const home = apply(
			stocked,
			decide({ ...base, lotId: lot.id, verdict: 'discard', avoid: true })
		);
		expect(doNotBuy(home)).toEqual(['soup']);
	});
	it('sends back stock to a back place where there is one', () => {
		const lot = lotOf(stocked, 'soup');
		expect(backPlace(stocked, lot.id)).toBeNull();
		const home = apply(
			stocked,
			(draft) => void draft.nooks[drawers[0]!.id]!.tags.push('satellite')
		);
		const moved = apply(
			home,
			decide({ ...base, lotId: lot.id, verdict: 'back-stock', toNookId: backPlace(home, lot.id) })
		);
		expect(moved.lots[lot.id]!.nookId).toBe(drawers[0]!.id);
		expect(
			adviseLot({ home, lot, thing: home.things[lot.thingId]!, today: TODAY })[0]
		).toMatchObject({ code: 'spare', facts: { here: 3, enough: 2 } });
	});
	it('sends back stock to where the plan has the spares of its group', () => {
		const lot = lotOf(stocked, 'soup');
		const home = apply(
			stocked,
			groupByCategory(counter('gr')),
			(draft) => {
				const groupId = draft.things[lot.thingId]!.groupId!;
				keepSparesApart(groupId, 'spares', counter('sp'))(draft);
				draft.nooks[drawers[0]!.id]!.tags.push('satellite');
			},
			adoptPlan({
				...toZonePlan(placeHome(stocked, { seed: 1, moves: 10 }), 'p', 'Plan', NOW),
				assignments: [{ groupId: 'spares' as never, nookId: drawers[1]!.id, share: 1 }]
			})
		);
		expect(backPlace(home, lot.id)).toBe(drawers[1]!.id);
		const without = apply(home, (draft) => void (draft.activePlanId = null));
		expect(backPlace(without, lot.id)).toBe(drawers[0]!.id);
	});
});

describe('rules of advice', () => {
	const avoiding = (home: Home, word: string) => {
		home.people['p'] = {
			id: 'p',
			name: 'Oda',
			statureMm: 1600,
			ageBand: 'adult',
			visits: false,
			limits: { maxLiftG: null, noClimb: false, noAboveShoulder: false, seated: null },
			diets: [],
			allergies: [word]
		} as never;
	};
	const first = (line: string, edit: (home: Home) => void = () => undefined) => {
		const home = apply(withLines(kitchen, [line, 'penne'], shelf.id), (draft) =>
			edit(draft as Home)
		);
		const lot = Object.values(home.lots)[0]!;
		return adviseLot({
			home,
			lot,
			thing: home.things[lot.thingId]!,
			today: TODAY,
			overFull: true
		})[0];
	};
	it.each([
		['tin of soup popped button', 'discard', 'can-unsafe'],
		['tin of soup smells bad', 'discard', 'can-unsafe'],
		['jug leaking', 'recycle', 'broken'],
		['mixer part missing', 'recycle', 'part-missing']
	])('%s: %s, %s', (line, verdict, code) => expect(first(line)).toMatchObject({ verdict, code }));
	it('keeps an allergen apart from the food of whoever must not eat it', () => {
		const advice = first('sesame paste', (home) => {
			const thing = Object.values(home.things)[0]!;
			thing.hazards.push('allergen');
			avoiding(home, 'sesame');
		});
		expect(advice).toMatchObject({ code: 'allergen-apart', facts: { person: 'Oda' } });
	});
	it.each([
		['kiwi jam', 'kiwi', 'allergen-apart'],
		['walnuts', 'nuts', 'allergen-apart'],
		['butternut squash', 'nut', undefined],
		['sesame-free crispbread', 'sesame', undefined],
		['rice', 'sesame', undefined]
	])('%s beside other food, where somebody avoids %s: %s', (line, avoided, code) => {
		const advice = first(line, (home) => {
			avoiding(home, avoided);
		});
		expect(advice?.code === 'allergen-apart' ? advice.code : undefined).toBe(code);
	});
	it('finds the orphan among boxes and lids by their size', () => {
		const advice = first('2 keeper', (home) => {
			const thing = Object.values(home.things)[0]!;
			thing.rim = { part: 'vessel', shape: 'round', widthMm: 100, depthMm: 100 };
		});
		expect(advice).toMatchObject({
			code: 'lone-lid-or-box',
			facts: { orphans: 2, state: 'no-lid' }
		});
	});
	it('lets what is hardly used go first where a place is over-full', () => {
		const advice = first('fish kettle', (home) => {
			Object.values(home.things)[0]!.use = { class: 'rarely', countedPerWeek: null };
		});
		expect(advice).toMatchObject({ code: 'place-full', verdict: 'move' });
	});
});

describe('the pile', () => {
	it('puts the open first, then the strongest advice, then the nearest date', () => {
		const home = withLines(
			kitchen,
			['soup bb 01/28', 'beans bb 06/26', 'ladle', 'milk ub 03/03/26'],
			shelf.id
		);
		const strength = new Map([[lotOf(home, 'ladle').id as string, 2]]);
		const order = decisionOrder(
			home,
			Object.values(home.lots),
			(id) => id !== lotOf(home, 'milk').id,
			(id) => strength.get(id) ?? 0
		).map((lot) => home.things[lot.thingId]!.name);
		expect(order).toEqual(['ladle', 'beans', 'soup', 'milk']);
	});
	it('counts what is past in each place', () => {
		const home = withLines(
			kitchen,
			['soup bb 01/26', 'beans bb 06/26', '2 milk ub 01/03/26'],
			shelf.id
		);
		expect([...pastByPlace(home, TODAY)]).toEqual([[shelf.id, 2]]);
	});
	it('finds the place that is meant, or says between which it cannot tell', () => {
		expect(findPlace(kitchen, shelf.name.toUpperCase())).toEqual({ ok: true, nookId: shelf.id });
		expect(findPlace(kitchen, 'crisper')).toMatchObject({ ok: true });
		expect(findPlace(kitchen, 'drawer')).toMatchObject({ issue: { code: 'place-ambiguous' } });
		expect(findPlace(kitchen, 'attic')).toMatchObject({ issue: { code: 'place-unknown' } });
	});
	it('says where strays of a place hide, by what stands in it', () => {
		expect(straysFor(withLines(kitchen, ['3 food box'], shelf.id), shelf.id)[0]!.key).toMatch(
			/^boxes/
		);
		expect(straysFor(kitchen, shelf.id).map((stray) => stray.key)).toEqual(['lent']);
	});
	it('lists what lies on the table', () => {
		const home = withLines(kitchen, ['2 mugs', 'ladle']);
		expect(onTheTable(home).map(({ name, count }) => [name, count])).toEqual([
			['ladle', 1],
			['mugs', 2]
		]);
	});
});

describe('the tally', () => {
	it('adds up things, room, money and time by place and in all, each lot once', () => {
		const newId = counter('t');
		const decideOn = (home: Home, name: string, verdict: Decide['verdict'], minute: number) =>
			apply(
				home,
				decide({
					...base,
					lotId: lotOf(home, name).id,
					verdict,
					ids: { decision: newId(), event: newId() },
					now: at(minute)
				})
			);
		let home = worked(stocked, shelf.id, 's', 50, 80);
		home = decideOn(home, 'mugs', 'keep', 1);
		home = decideOn(home, 'mugs', 'give', 2);
		home = decideOn(home, 'soup', 'discard', 3);
		const { places, whole } = tallyHome(home, '', at(100));
		expect(places).toHaveLength(1);
		expect(places[0]).toMatchObject({
			nookId: shelf.id,
			plannedMin: 50,
			takenMin: 80,
			sessions: 1
		});
		expect(whole.lines).toMatchObject([
			{ verdict: 'give', things: 2 },
			{ verdict: 'discard', things: 3, lostMinor: 360 }
		]);
		const gone = whole.lines.reduce((sum, line) => sum + line.volumeMl, 0);
		expect(whole.beforeMl - whole.afterMl).toBeCloseTo(gone);
		expect(tallyHome(home, at(200), at(300)).whole.lines).toEqual([]);
	});
});

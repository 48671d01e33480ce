import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, counter, TODAY, withLines } from '../core/fixtures/tiny-home';
import { minutesOfDay, timeOfDay, type Home } from '../core/model';
import { CutDesk } from './cut-desk.svelte';
import { DayDesk } from './day-desk.svelte';
import { DeskStore } from './desk-store';

const kitchen = bareKitchen();
const nookOf = (name: string): string =>
	Object.values(kitchen.nooks).find((nook) => nook.name.startsWith(name))!.id;
const SINK = nookOf('Sink cabinet');
const BASE = nookOf('Base cabinet');
const stocked = withLines(
	withLines(kitchen, ['1 saucepan', '2 jars honey'], BASE),
	['3 tins chopped tomatoes bb 03/25'],
	SINK
);

describe('a time of day', () => {
	it('goes into a field and comes back', () => {
		for (const minutes of [0, 9, 60, 605, 1439])
			expect(minutesOfDay(timeOfDay(minutes))).toBe(minutes);
		expect(timeOfDay(545)).toBe('09:05');
		expect([minutesOfDay(''), minutesOfDay('9'), minutesOfDay('x:10')]).toEqual([null, null, null]);
	});
});

describe('the plan of a day', () => {
	const desk = (home: Home = stocked) => {
		const store = new DeskStore(home);
		return { store, day: new DayDesk({ store: store.get, today: () => TODAY }) };
	};
	it('begins where most is past its date, and leaves out what is empty', () => {
		const { day } = desk();
		expect(day.ranked.map(({ id }) => id)).toEqual([SINK, BASE]);
		expect(day.day.nookIds).toEqual([SINK, BASE]);
		expect(day.explained?.id).toBe(BASE);
		expect(desk(kitchen).day.ranked).toEqual([]);
	});
	it('leaves out a place, and takes it in again behind the others', () => {
		const { day } = desk();
		day.togglePlace(day.ranked[0]!);
		expect(day.day.nookIds).toEqual([BASE]);
		day.togglePlace(day.ranked[0]!);
		expect(day.day.nookIds).toEqual([BASE, SINK]);
	});
	it('keeps free what is fixed, and refuses a stretch that ends before it begins', () => {
		const { day, store } = desk();
		[day.fixedFrom, day.fixedTo] = ['12:00', '11:00'];
		day.addFixed();
		expect(day.wrong).toContain('12:00 to 11:00');
		expect(store.labels).toEqual([]);
		[day.fixedFrom, day.fixedTo] = ['09:00', '12:45'];
		day.addFixed();
		expect(day.wrong).toBe('');
		expect(day.plan.blocks.every(({ fromMin }) => fromMin >= 12 * 60 + 45)).toBe(true);
		day.removeFixed(0);
		expect(day.plan.blocks[0]?.fromMin).toBe(9 * 60);
	});
	it('takes times and hands that can be, and nothing else', () => {
		const { day, store } = desk();
		day.setTime('fromMin', '08:30');
		day.setHands(2);
		expect([day.day.fromMin, day.day.hands]).toEqual([510, 2]);
		day.setTime('stopMin', '');
		day.setHands(0);
		day.setHands(13);
		day.setHands(NaN);
		expect(store.labels).toEqual(['begin of the day', 'hands']);
	});
	it('opens nothing that cannot be closed again in time', () => {
		const { day } = desk();
		day.setTime('stopMin', '09:05');
		expect(day.plan.blocks).toEqual([]);
		expect(day.plan.left.length).toBe(2);
	});
});

describe('what a place holds', () => {
	/** More pans than go into one cabinet. */
	const crowded = withLines(kitchen, ['60 saucepan', '2 jars honey'], BASE);
	const desk = (home: Home = crowded, placeAsked: string | null = null) => {
		const store = new DeskStore(home);
		return { store, cut: new CutDesk({ store: store.get, newId: counter('c'), placeAsked }) };
	};
	it('begins at the place that is too full', () => {
		const { cut } = desk();
		expect([...cut.full]).toEqual([BASE]);
		expect(cut.nookId).toBe(BASE);
		expect(desk(crowded, SINK).cut.nookId).toBe(SINK);
		expect(desk(crowded, 'gone').cut.nookId).toBe(BASE);
	});
	it('keeps the best, and says what a choice by hand costs', () => {
		const { cut } = desk();
		expect(cut.kept.length + cut.out.length).toBe(cut.mine!.wanting.length);
		expect([cut.costs, cut.isByHand, cut.isOver]).toEqual([0, false, false]);
		const honey = cut.kept.find(({ name }) => name.includes('honey'))!;
		cut.swap(honey);
		expect(cut.out.map(({ key }) => key)).toContain(honey.key);
		expect(cut.saidByHand(honey)).toBe(true);
		expect(cut.costs).toBeGreaterThan(0);
		cut.backToBest();
		expect([cut.isByHand, cut.costs]).toEqual([false, 0]);
	});
	it('says when more is kept by hand than it holds', () => {
		const { cut } = desk();
		for (const item of cut.out) cut.swap(item);
		expect(cut.isOver).toBe(true);
	});
	it('takes what is beyond the line to the table, nothing else, and forgets the choice', () => {
		const { cut, store } = desk();
		const pieces = (home: Home, there: boolean) =>
			Object.values(home.lots)
				.filter(({ nookId }) => (nookId === BASE) === there)
				.reduce((sum, { count }) => sum + count, 0);
		const out = cut.out.length;
		expect(out).toBeGreaterThan(0);
		cut.carryOut();
		expect(pieces(store.home, true) + pieces(store.home, false)).toBe(62);
		expect(pieces(store.home, false)).toBeGreaterThanOrEqual(out);
		expect(cut.full.size).toBe(0);
		expect(cut.isByHand).toBe(false);
	});
	it('knows nothing of a place that is not measured', () => {
		const bare = apply(crowded, (draft) => {
			draft.nooks[BASE as keyof typeof draft.nooks]!.inside.widthMm = null;
		});
		const { cut } = desk(bare, BASE);
		expect(cut.mine).toBeNull();
		expect([cut.kept, cut.out]).toEqual([[], []]);
	});
});

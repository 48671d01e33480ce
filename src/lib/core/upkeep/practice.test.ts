import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, counter, NOW, TODAY } from '../fixtures/tiny-home';
import { type Home, type PracticeCard } from '../model';
import {
	cardFor,
	dueFor,
	isKnown,
	keepCard,
	knowing,
	learners,
	reportElsewhere,
	toKnow,
	wrongPlaces
} from '.';
import { nextCard } from './practice-schedule';

const home = demoHome(NOW);
const [person] = learners(home);
const [first] = toKnow(home);
const on = (day: number) => new Date(Date.parse(NOW) + day * 864e5).toISOString();
const answer = (
	known: PracticeCard | null,
	isRight: boolean,
	day: number,
	nookId = first!.nookId
) =>
	nextCard(known, {
		id: 'card',
		personId: person!.id,
		groupId: first!.groupId,
		nookId,
		isRight,
		now: on(day)
	});

describe('what is to be known', () => {
	it('is where most of each group lives, what is used most first; spares are not asked', () => {
		const all = toKnow(home);
		expect(all.length).toBeGreaterThan(20);
		expect(all.map(({ uses }) => uses)).toEqual(all.map(({ uses }) => uses).sort((a, b) => b - a));
		const spares = { ...home, groups: { ...home.groups } };
		spares.groups[first!.groupId] = { ...home.groups[first!.groupId]!, stockOf: 'x' as never };
		expect(toKnow(spares).some(({ groupId }) => groupId === first!.groupId)).toBe(false);
	});
	it('concerns whoever lives here and can be asked', () => {
		expect(learners(home).every(({ ageBand, visits }) => ageBand !== 'toddler' && !visits)).toBe(
			true
		);
		expect(learners(home).some(({ ageBand }) => ageBand === 'child')).toBe(true);
	});
});

describe('a card', () => {
	it('is asked less and less often while it is right, and soon when it is wrong', () => {
		let card = answer(null, true, 0);
		const waits: number[] = [];
		for (let i = 0; i < 5; i++) {
			const day = (Date.parse(card.dueAt) - Date.parse(NOW)) / 864e5;
			const next = answer(card, true, day);
			waits.push((Date.parse(next.dueAt) - Date.parse(card.dueAt)) / 864e5);
			card = next;
		}
		expect(waits.slice(1).every((wait, i) => wait >= waits[i]!)).toBe(true);
		expect(waits.at(-1)).toBeGreaterThan(20);
		expect(isKnown(card)).toBe(true);
		const late = Math.ceil((Date.parse(card.dueAt) - Date.parse(NOW)) / 864e5);
		const wrong = answer(card, false, late);
		expect(isKnown(wrong)).toBe(false);
		expect(Date.parse(wrong.dueAt) - Date.parse(on(late))).toBeLessThan(864e5);
		expect(answer(card, true, late)).toEqual(answer(card, true, late));
		// A clock set back is no reason to fail.
		expect(answer(card, true, -9).reviewedAt).toBe(card.reviewedAt);
	});
	it('begins anew when the group lives elsewhere', () => {
		const known = answer(answer(answer(null, true, 0), true, 1), true, 5);
		const other = toKnow(home).find(({ nookId }) => nookId !== first!.nookId)!.nookId;
		expect(answer(known, true, 9, other)).toMatchObject({ streak: 1, reps: 1, nookId: other });
		const kept = apply(home, keepCard(known));
		expect(cardFor(kept, person!.id, first!)).toEqual(known);
		expect(cardFor(kept, person!.id, { ...first!, nookId: other })).toBeNull();
	});
	it('is one for a person and a group', () => {
		const twice = apply(
			home,
			keepCard(answer(null, true, 0)),
			keepCard({ ...answer(null, false, 1), id: 'b' as never })
		);
		expect(Object.keys(twice.practiceCards)).toEqual(['b']);
	});
});

describe('a household that practises', () => {
	const ids = counter('c');
	/** Everybody answers all there is to ask on a day, rightly. */
	const sitting = (now: Home, day: number): Home =>
		learners(now).reduce(
			(before, { id }) =>
				dueFor(before, id, on(day)).reduce(
					(each, know) =>
						apply(
							each,
							keepCard(
								nextCard(cardFor(each, id, know), {
									...know,
									id: ids(),
									personId: id,
									isRight: true,
									now: on(day)
								})
							)
						),
					before
				),
			now
		);
	it('is asked a few new ones at a time, and takes the notes down when all know', () => {
		expect(dueFor(home, person!.id, NOW)).toHaveLength(6);
		expect(knowing(home)).toMatchObject({ downNookIds: [], isAll: false });
		// A smaller home, so that the test is quick: five groups.
		const few = { ...home, groups: Object.fromEntries(Object.entries(home.groups).slice(0, 5)) };
		const small = {
			...few,
			things: Object.fromEntries(
				Object.entries(home.things).filter(([, { groupId }]) => groupId && groupId in few.groups)
			)
		} as Home;
		let now: Home = small;
		let day = 0;
		for (; day < 60 && !knowing(now).isAll; day++) now = sitting(now, day);
		expect(knowing(now).isAll).toBe(true);
		expect(day).toBeGreaterThan(2);
		expect(day).toBeLessThan(40);
		const [someone] = learners(now);
		const [one] = toKnow(now);
		const forgot = apply(
			now,
			keepCard(
				nextCard(cardFor(now, someone!.id, one!), {
					...one!,
					id: ids(),
					personId: someone!.id,
					isRight: false,
					now: on(day)
				})
			)
		);
		expect(knowing(forgot).isAll).toBe(false);
		expect(knowing(forgot).downNookIds).not.toContain(one!.nookId);
	});
});

describe('what is found elsewhere', () => {
	const [thing] = Object.values(home.things).filter(({ groupId }) => groupId);
	const [here, there] = Object.keys(home.nooks);
	const reports = (days: readonly number[], nookIds: readonly (string | null)[]) =>
		days.reduce(
			(now, day, i) => apply(now, reportElsewhere(`m${i}`, thing!.id, nookIds[i]!, on(day))),
			home
		);
	it('is a wrong place when it happens often, and soon enough', () => {
		expect(wrongPlaces(reports([-1, -2], [here!, here!]), TODAY)).toEqual([]);
		expect(wrongPlaces(reports([-1, -2, -3, -4], [here!, there!, there!, null]), TODAY)).toEqual([
			{ groupId: thing!.groupId, times: 4, nookId: there, timesThere: 2 }
		]);
		const old = reports([-100, -120, -3], [here!, here!, here!]);
		expect(wrongPlaces(old, TODAY)).toEqual([]);
	});
	it('is not noted of what is not there', () => {
		expect(apply(home, reportElsewhere('m', 'nothing', null, NOW)).misplacings).toEqual({});
		expect(apply(home, reportElsewhere('m', thing!.id, 'nowhere', NOW)).misplacings).toEqual({});
	});
});

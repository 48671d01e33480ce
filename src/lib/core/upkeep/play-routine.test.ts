import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW, tinyHome } from '../fixtures/tiny-home';
import type { Assignment, Home, Person, Routine } from '../model';
import { assignmentNow } from '../zoning';
import { addRoutine, crossings, placeAt, playRoutine, playWeek } from '.';

const home = tinyHome();
const step = (groupId: string) => ({ groupId, station: null }) as Routine['steps'][number];
const at = (groupId: string, nookId: string) =>
	({ groupId, nookId, share: 1 }) as unknown as Assignment;
/** Cutlery in the top drawer, dishes and pots behind one door, dairy in the fridge. */
const PLACES = [at('g-6', 'k-12'), at('g-11', 'k-6'), at('g-8', 'k-5'), at('g-2', 'k-20')];
const steps = ['g-6', 'g-11', 'g-8', 'g-2'].map(step);
const demo = demoHome(NOW);
const adults = Object.values(demo.people).filter(({ ageBand }) => ageBand === 'adult');

describe('a routine that is played', () => {
	const play = playRoutine(home, { steps }, PLACES, []);
	it('agrees with a calculation by hand, to the metre and the second', () => {
		// From the drawers at 1.70 m to the base cabinet at 1.10 m; from there to the fridge, 1.19 m on and 0.06 m back.
		const walked = 0.6 + Math.hypot(1.19, 0.06);
		expect(play.metres).toBeCloseTo(walked, 9);
		const drawer = 1.2 + 1.6;
		const dishes = 0.8 + 0.6 / 1.1 + 1.2 + 1.6;
		const pots = 3;
		const dairy = 0.8 + Math.hypot(1.19, 0.06) / 1.1 + 1.2 + 1.2;
		const shut = 0.8;
		expect(play.seconds).toBeCloseTo(drawer + dishes + pots + dairy + shut, 9);
		expect(play.seconds).toBeCloseTo(15.03, 2);
		expect(play.reaches).toEqual({ easy: 1, good: 2, bend: 1, stretch: 0, stool: 0 });
		// A drawer, one door for dishes and pots, the fridge.
		expect(play.opened).toBe(3);
		expect(play.missed).toEqual([]);
	});
	it('names what has no place, and what nobody who is asked can reach', () => {
		const none = playRoutine(home, { steps }, PLACES.slice(1), []);
		expect(none.missed).toEqual(['g-6']);
		const seated = {
			id: 'p',
			name: 'P',
			statureMm: 1600,
			ageBand: 'adult',
			visits: false,
			limits: {
				maxLiftG: null,
				noClimb: true,
				noAboveShoulder: true,
				seated: { lowMm: 500, highMm: 1000 }
			},
			diets: [],
			allergies: []
		} as unknown as Person;
		expect(playRoutine(home, { steps }, PLACES, [seated]).missed).toEqual(['g-8', 'g-2']);
	});
	it('is one movement after the other, without a gap, and its steps sum to it', () => {
		const routines = Object.values(demo.routines);
		fc.assert(
			fc.property(fc.constantFrom(...routines), fc.constantFrom(...adults), (routine, person) => {
				const { moments, seconds, stepSeconds, metres } = playRoutine(
					demo,
					routine,
					assignmentNow(demo),
					[person]
				);
				let now = 0;
				for (const { fromS, toS } of moments) {
					expect(fromS).toBeCloseTo(now, 9);
					expect(toS).toBeGreaterThan(fromS);
					now = toS;
				}
				expect(now).toBeCloseTo(seconds, 9);
				expect(stepSeconds.reduce((sum, each) => sum + each, 0)).toBeCloseTo(seconds, 6);
				const walked = moments
					.filter(({ kind }) => kind === 'walk')
					.reduce((sum, { fromS, toS }) => sum + (toS - fromS) * 1.1, 0);
				expect(walked).toBeCloseTo(metres, 6);
				const opened = moments.filter(({ kind }) => kind === 'open').length;
				expect(moments.filter(({ kind }) => kind === 'close')).toHaveLength(opened);
			}),
			{ seed: 172, numRuns: 40 }
		);
	});
	it('moves along its way as the seconds go', () => {
		expect(placeAt(play, 0)).toEqual({ x: 1700, y: 910 });
		// Drawer opened, taken, closed: 3.6 s; then half of the 0.6 m.
		expect(placeAt(play, 3.6 + 0.3 / 1.1)!.x).toBeCloseTo(1400, 6);
		expect(placeAt(play, 999)).toEqual({ x: 2290, y: 970 });
		expect(placeAt(playRoutine(home, { steps: [] }, [], []), 1)).toBeNull();
	});
	it('is in the way of another where both stand at one place at once', () => {
		expect(crossings(play, play).length).toBeGreaterThan(0);
		const [first] = crossings(play, play);
		expect(first).toMatchObject({ fromS: 0, at: { x: 1700, y: 910 } });
		const sink = playRoutine(home, { steps: [step('g-12')] }, [at('g-12', 'k-2')], []);
		const fridge = playRoutine(home, { steps: [step('g-2')] }, [at('g-2', 'k-20')], []);
		expect(crossings(sink, fridge)).toEqual([]);
	});
});

describe('a week that is played', () => {
	it('sums its routines, each as often as it is done', () => {
		const withTwo = [2, 5].reduce(
			(now, timesPerWeek, i) =>
				apply(now, addRoutine(`r${i}`, { name: `R${i}`, timesPerWeek, steps })),
			{ ...home, routines: {} } as Home
		);
		const play = playRoutine(home, { steps }, PLACES, []);
		const week = playWeek(withTwo, PLACES, []);
		expect(week.seconds).toBeCloseTo(7 * play.seconds, 6);
		expect(week.metres).toBeCloseTo(7 * play.metres, 6);
		expect(week.opened).toBe(21);
		const inGroups = week.byGroup.reduce((sum, { seconds }) => sum + seconds, 0);
		expect(inGroups).toBeCloseTo(week.seconds, 6);
		expect(week.byGroup[0]!.groupId).toBe('g-2');
	});
});

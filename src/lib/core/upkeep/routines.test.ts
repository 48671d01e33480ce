import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { partnerChanges, partnersNow, takePartners } from '../grouping';
import { apply, bareKitchen, NOW, tinyHome } from '../fixtures/tiny-home';
import { Routine, type Home } from '../model';
import { nooksInOrder, standingPoint, walkGraphOf, walkPath } from '../survey';
import { placeHome } from '../zoning';
import { walkRoutine } from './routine-walk';
import { addRoutine, changeRoutine, moveStep, proposeRoutines, removeRoutine } from './routines';

const home = tinyHome();
const groups = Object.values(home.groups);
const step = (groupId: string) => ({ groupId: groupId as (typeof groups)[0]['id'], station: null });
const at = (station: 'sink' | 'hob' | 'laundry') => ({ groupId: null, station });
const withSteps = (...steps: Routine['steps']): Home =>
	apply(home, addRoutine('r', { name: 'Round', timesPerWeek: 4, steps }));

describe('usual routines', () => {
	const demo = demoHome(NOW);
	it('are proposed with groups and stations that the home has, and not twice', () => {
		const proposed = proposeRoutines({ ...demo, routines: {} });
		expect(proposed.length).toBeGreaterThan(8);
		for (const { steps } of proposed) {
			expect(steps.filter(({ groupId }) => groupId).length).toBeGreaterThan(1);
			for (const { groupId, station } of steps) {
				expect(groupId === null || groupId in demo.groups).toBe(true);
				if (station)
					expect(Object.values(demo.stations).map(({ kind }) => kind)).toContain(station);
			}
		}
		const all = proposed.reduce((now, draft, i) => apply(now, addRoutine(`r${i}`, draft)), {
			...demo,
			routines: {}
		} as Home);
		expect(proposeRoutines(all)).toEqual([]);
		expect(proposeRoutines(demo).map(({ name }) => name)).not.toContain('Breakfast');
	});
	it('are none in a home that holds nothing', () =>
		expect(proposeRoutines(bareKitchen())).toEqual([]));
	it('bring the pairs that are walked between', () => {
		const bare = { ...demo, routines: {} };
		const draft = proposeRoutines(bare).find(({ name }) => name === 'Baking')!;
		const baking = apply(bare, addRoutine('b', { ...draft, timesPerWeek: 40 }));
		const pairs = partnerChanges(baking).filter(({ why }) => why === 'routine');
		expect(pairs.length).toBeGreaterThan(1);
		expect(pairs[0]).toMatchObject({ weight: 20, words: 'Baking' });
		const taken = partnersNow(apply(baking, takePartners(pairs)));
		expect(taken.filter(({ why }) => why === 'routine')).toHaveLength(pairs.length);
	});
});

describe('the steps of a routine', () => {
	const [a, b, c] = groups.map(({ id }) => step(id));
	const order = (edited: Home) => edited.routines['r']!.steps.map(({ groupId }) => groupId);
	it('are moved up and down, at most to the ends', () => {
		const round = withSteps(a!, b!, c!);
		expect(order(apply(round, moveStep('r', 2, -1)))).toEqual([a, c, b].map((s) => s!.groupId));
		expect(order(apply(round, moveStep('r', 0, -1)))).toEqual([a, b, c].map((s) => s!.groupId));
		expect(order(apply(round, moveStep('r', 0, 9)))).toEqual([b, c, a].map((s) => s!.groupId));
		expect(apply(round, moveStep('r', 7, 1))).toEqual(round);
		expect(apply(round, moveStep('gone', 0, 1))).toEqual(round);
	});
	it('are changed and taken away with it', () => {
		const round = apply(withSteps(a!), changeRoutine('r', { name: 'Other', steps: [b!] }));
		expect(round.routines['r']).toMatchObject({ name: 'Other', timesPerWeek: 4, steps: [b] });
		expect(apply(round, removeRoutine('r')).routines).toEqual(home.routines);
		expect(apply(round, changeRoutine('gone', { name: 'x' }))).toEqual(round);
	});
});

describe('the walk of a routine', () => {
	const now = placeHome(home, { seed: 1, moves: 4000 }).assignments;
	const placed = groups.filter(({ id }) => now.some(({ groupId }) => groupId === id));
	it('sums the shortest ways between places that follow each other', () => {
		const graph = walkGraphOf(home);
		const places = new Map(nooksInOrder(home).map((place) => [place.nook.id as string, place]));
		fc.assert(
			fc.property(fc.array(fc.nat(placed.length - 1), { maxLength: 6 }), (picks) => {
				const steps = picks.map((i) => step(placed[i]!.id));
				const points = steps.map(({ groupId }) => {
					const [most] = now
						.filter((one) => one.groupId === groupId)
						.sort((x, y) => y.share - x.share || (x.nookId < y.nookId ? -1 : 1));
					return standingPoint(places.get(most!.nookId)!);
				});
				const sum = points
					.slice(1)
					.reduce((total, to, i) => total + walkPath(graph, points[i]!, to)!.mm, 0);
				const walk = walkRoutine(home, { steps }, now);
				expect(walk.metres).toBeCloseTo(sum / 1000, 6);
				expect(walk.isWhole).toBe(true);
			}),
			{ seed: 171, numRuns: 40 }
		);
	});
	it('passes by what has no place, and says so', () => {
		const [first, second] = placed.map(({ id }) => step(id));
		const direct = walkRoutine(home, { steps: [first!, second!] }, now);
		const walk = walkRoutine(home, { steps: [first!, at('laundry'), second!] }, now);
		expect(walk.stops[1]).toMatchObject({ at: null, fromBeforeM: null });
		expect(walk.isWhole).toBe(false);
		expect(walk.metres).toBeCloseTo(direct.metres, 9);
		expect(walkRoutine(home, { steps: [] }, now)).toMatchObject({ metres: 0, paths: [] });
		expect(walkRoutine(home, { steps: [first!] }, []).stops[0]!.at).toBeNull();
	});
});

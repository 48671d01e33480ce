import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { NOW, tinyHome } from '../fixtures/tiny-home';
import { walkRoutine } from '../upkeep';
import { buildZoneModel } from './build';
import { totalsOf } from './explain';
import { routineLegs } from './routine-legs';
import { placeHome } from './solve';
import type { Home } from '../model';

const all = () => true;
const routine = (steps: readonly (string | null)[], timesPerWeek: number, home: Home): Home =>
	({
		...home,
		routines: {
			r: {
				id: 'r',
				name: 'R',
				timesPerWeek,
				steps: steps.map((step) =>
					step?.startsWith('@')
						? { groupId: null, station: step.slice(1) }
						: { groupId: step, station: null }
				)
			}
		}
	}) as unknown as Home;

describe('routines leg by leg', () => {
	const [a, b] = Object.keys(tinyHome().groups) as [string, string];
	it('joins stations to groups, groups to each other, and passes by what has no place', () => {
		const home = routine(['@sink', a, b, '@oven', b, '@sink'], 3, tinyHome());
		const legs = routineLegs(home, all);
		expect(legs.visits).toEqual(
			new Map([
				[a, 3],
				[b, 6]
			])
		);
		expect(legs.stations.get(a)).toEqual(new Map([['sink', 3]]));
		// There is no oven: the second stop at b follows the first.
		expect(legs.stations.get(b)).toEqual(new Map([['sink', 3]]));
		expect(legs.groups).toEqual([{ a: [a, b].sort()[0], b: [a, b].sort()[1], times: 3 }]);
		expect(routineLegs(home, (id) => id !== a).visits.has(a)).toBe(false);
	});
	it('counts no more walks for what a routine fetches, and walks the routine instead', () => {
		const plain = tinyHome();
		const often = routine(['@sink', a], 40, plain);
		const [without, within] = [buildZoneModel(plain), buildZoneModel(often)];
		const g = without.parts.findIndex(({ figures }) => figures.groupId === a);
		const N = without.places.length;
		const n = without.cells.slice(g * N, (g + 1) * N).findIndex(({ hard }) => !hard);
		const cell = within.cells[g * N + n]!;
		const sink = within.walking.stationIds.findIndex((id) => often.stations[id]!.kind === 'sink');
		const metres = within.walking.stationToNookMm[sink * N + n]! / 1000;
		expect(cell.metresPerWeek).toBeCloseTo(40 * metres, 6);
		expect(without.cells[g * N + n]!.metresPerWeek).not.toBeCloseTo(40 * metres, 6);
	});
	it('of whole groups sums to what the routines walk on the plan', () => {
		const home = demoHome(NOW);
		const model = buildZoneModel(home);
		const { assignments } = placeHome(home, { seed: 1, moves: 20_000 }, model);
		const whole = new Set(
			assignments.filter(({ share }) => share > 0.999).map(({ groupId }) => groupId as string)
		);
		const own = Object.values(home.routines).find(
			({ steps }) =>
				steps.every(({ groupId }) => !groupId || whole.has(groupId)) && steps.length > 2
		)!;
		const alone = { ...home, routines: { [own.id]: own } };
		const none = { ...home, routines: {} };
		const walked = walkRoutine(home, own, [...assignments]).metres * own.timesPerWeek;
		const legs = routineLegs(alone, () => true);
		const station = [...legs.stations].reduce(
			(sum, [, kinds]) => sum + [...kinds.values()].reduce((a, b) => a + b, 0),
			0
		);
		const between = legs.groups.reduce((sum, { times }) => sum + times, 0);
		const stations = own.steps.filter(({ station: s }, i) => s && own.steps[i + 1]?.station).length;
		expect(station + between + stations * own.timesPerWeek).toBeCloseTo(
			(own.steps.length - 1) * own.timesPerWeek,
			6
		);
		expect(walked).toBeGreaterThan(0);
		expect(totalsOf(buildZoneModel(alone), assignments).metresPerWeek).not.toBe(
			totalsOf(buildZoneModel(none), assignments).metresPerWeek
		);
	});
});

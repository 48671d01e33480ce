import { generateHome } from '../src/lib/core/fixtures/generate-home';
import {
	buildZoneModel,
	byHandAssignment,
	DEFAULT_PLACE,
	placeHome,
	writeAssignment
} from '../src/lib/core/zoning';
import { objectiveOf, type AssignmentProblem } from '../src/lib/core/solvers/assignment';
import { median, round } from './measure';

/** Effort of the groups that both plans place, without their pairs: what has no place cannot be compared. */
function placedEffort(
	{ G, N, cost }: AssignmentProblem,
	mine: ArrayLike<number>,
	other: ArrayLike<number>
): number {
	let sum = 0;
	for (let g = 0; g < G; g++) if (mine[g]! >= 0 && other[g]! >= 0) sum += cost[g * N + mine[g]!]!;
	return sum;
}

/** From a one-room flat to a house of some 200 nooks. */
const SIZES = [
	{ name: 'one room', rooms: 1, cabinets: 6, groups: 15, things: 90, lots: 120 },
	{ name: 'flat', rooms: 3, cabinets: 16, groups: 40, things: 300, lots: 400 },
	{ name: 'house', rooms: 6, cabinets: 36, groups: 110, things: 900, lots: 1200 },
	{ name: 'large house', rooms: 8, cabinets: 60, groups: 200, things: 1800, lots: 2400 }
];
const SEEDS = [1, 2, 3, 4, 5];

/** Plans generated homes and compares each with the careful by-hand rule, in effort a week. */
export function* benchHomes(): Generator<object> {
	for (const { name, ...size } of SIZES) {
		const runs = SEEDS.map((seed) => {
			const home = generateHome({ seed, ...size });
			const model = buildZoneModel(home);
			const { ms, value } = median(1, () => placeHome(home, DEFAULT_PLACE, model));
			const hand = byHandAssignment(model.problem);
			const planned = writeAssignment(model, value.assignments);
			const byHand = objectiveOf(model.problem, hand);
			return {
				ms,
				nooks: model.places.length,
				saved: 100 * (1 - value.objective / byHand),
				placed:
					100 *
					(1 -
						placedEffort(model.problem, planned, hand) /
							placedEffort(model.problem, hand, planned)),
				byHandLeft: [...hand].filter((n) => n < 0).length,
				gap: (100 * (value.objective - value.bound)) / value.objective,
				overflow: value.overflow.length
			};
		});
		const middle = (pick: (run: (typeof runs)[number]) => number) =>
			round(runs.map(pick).sort((a, b) => a - b)[Math.floor(runs.length / 2)]!);
		yield {
			bench: `generated homes, ${name}`,
			nooks: middle(({ nooks }) => nooks),
			groups: size.groups,
			belowByHandPercent: middle(({ saved }) => saved),
			leastBelowPercent: round(Math.min(...runs.map(({ saved }) => saved))),
			placedBelowPercent: middle(({ placed }) => placed),
			gapPercent: middle(({ gap }) => gap),
			withoutPlace: middle(({ overflow }) => overflow),
			withoutPlaceByHand: middle(({ byHandLeft }) => byHandLeft),
			ms: middle(({ ms }) => ms)
		};
	}
}

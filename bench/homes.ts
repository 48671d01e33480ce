import { generateHome } from '../src/lib/core/fixtures/generate-home';
import {
	buildZoneModel,
	byHandAssignment,
	DEFAULT_PLACE,
	objectiveOf,
	placeHome
} from '../src/lib/core/zoning';
import { median, round } from './measure';

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
			const byHand = objectiveOf(model.problem, byHandAssignment(model.problem));
			return {
				ms,
				nooks: model.places.length,
				saved: 100 * (1 - value.objective / byHand),
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
			gapPercent: middle(({ gap }) => gap),
			withoutPlace: middle(({ overflow }) => overflow),
			ms: middle(({ ms }) => ms)
		};
	}
}

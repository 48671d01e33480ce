import { applyEdit } from '../src/lib/core/model';
import { fitNook, fitTogether } from '../src/lib/core/fitting';
import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { NOW } from '../src/lib/core/fixtures/tiny-home';
import { allGroupFigures } from '../src/lib/core/grouping';
import { readHomeFile, writeHomeFile } from '../src/lib/core/interchange';
import { nextSteps } from '../src/lib/core/upkeep';
import { moveCabinet, walkingDistances } from '../src/lib/core/survey';
import {
	adoptPlan,
	buildZoneModel,
	byHandAssignment,
	DEFAULT_PLACE,
	layoutOf,
	placeHome,
	pricesFor,
	toZonePlan
} from '../src/lib/core/zoning';
import { objectiveOf } from '../src/lib/core/solvers/assignment';
import { demoHome } from '../src/lib/data/demo';
import { median, round } from './measure';

/** The size that the promises speak of. */
const LARGE = { seed: 1, rooms: 8, cabinets: 60, groups: 120, things: 5000, lots: 10_000 };

/** Measures the core on the demo home and on a large one. */
export function* benchHome(): Generator<object> {
	const demo = demoHome(NOW);
	// A cabinet stands elsewhere each time: what is remembered for the same plan would be measured instead.
	let at = 0;
	const fresh = () => applyEdit(demo, moveCabinet('n2', 600 + ++at)).home;
	const walk = median(5, () => walkingDistances(fresh()));
	const build = median(5, () => buildZoneModel(fresh()));
	const model = build.value;
	yield {
		bench: 'walking distances, demo home',
		ms: walk.ms,
		nooks: model.places.length,
		stations: Object.keys(demo.stations).length
	};
	yield { bench: 'zone model, demo home', ms: build.ms, parts: model.parts.length };
	const placed = median(5, () => placeHome(demo, DEFAULT_PLACE, model));
	const { objective, bound, status } = placed.value;
	const byHand = objectiveOf(model.problem, byHandAssignment(model.problem));
	yield {
		bench: 'place, demo home',
		status,
		objective: round(objective),
		bound: round(bound),
		gapPercent: round((100 * (objective - bound)) / objective),
		byHand: round(byHand),
		ms: placed.ms
	};
	const seeds = Array.from(
		{ length: 10 },
		(_, seed) => placeHome(demo, { ...DEFAULT_PLACE, seed }, model).objective
	);
	yield {
		bench: 'place, demo home, ten seeds',
		best: round(Math.min(...seeds)),
		worst: round(Math.max(...seeds))
	};
	const planned = applyEdit(demo, adoptPlan(toZonePlan(placed.value, 'p', 'Plan', NOW))).home;
	const layout = layoutOf(model, placed.value.assignments);
	yield {
		bench: 'prices of one tag for all nooks',
		ms: median(20, () => pricesFor(model, layout, [3])).ms
	};
	const litres = new Map<string, number>();
	const figures = new Map(allGroupFigures(demo).map((f) => [f.groupId, f.volumeMl]));
	for (const { groupId, nookId, share } of placed.value.assignments)
		litres.set(nookId, (litres.get(nookId) ?? 0) + (figures.get(groupId) ?? 0) * share);
	const fullest = [...litres].sort((a, b) => b[1] - a[1]).slice(0, 10);
	for (const [nookId, ml] of fullest) {
		const { ms, value } = median(3, () => fitNook(planned, nookId));
		const first = 'arrangements' in value ? value.arrangements[0] : undefined;
		yield {
			bench: 'fit',
			nook: nookId,
			litres: round(ml / 1000),
			status: value.status,
			containers: first?.placements.length ?? 0,
			leftOverLitres: round(
				(first?.leftOver.reduce((sum, left) => sum + left.volumeMl, 0) ?? 0) / 1000
			),
			costMinor: first?.costMinor ?? 0,
			ms
		};
	}
	const nookIds = [...new Set(placed.value.assignments.map((a) => a.nookId as string))];
	const { ms, value } = median(1, () => fitTogether(planned, nookIds));
	const arrangements = value.results.flatMap((result) =>
		'arrangements' in result ? result.arrangements.slice(0, 1) : []
	);
	const over = arrangements.map(({ leftOver }) =>
		leftOver.reduce((sum, { volumeMl }) => sum + volumeMl, 0)
	);
	yield {
		bench: 'fit, demo home together',
		places: nookIds.length,
		whole: over.filter((ml) => ml === 0).length,
		leftOverLitres: round(over.reduce((sum, ml) => sum + ml, 0) / 1000),
		containers: arrangements.reduce((sum, { placements }) => sum + placements.length, 0),
		costMinor: value.purchase.costMinor,
		gapMinor: round(value.purchase.objective - value.purchase.bound),
		ms
	};
	const large = generateHome(LARGE);
	const text = writeHomeFile(large);
	const size = { things: LARGE.things, lots: LARGE.lots, megabytes: round(text.length / 1e6) };
	yield { bench: 'project parse, large home', ...size, ms: median(5, () => readHomeFile(text)).ms };
	yield {
		bench: 'project save (to text), large home',
		...size,
		ms: median(5, () => writeHomeFile(large)).ms
	};
	const lotId = Object.keys(large.lots)[0]!;
	yield {
		bench: 'one edit, large home',
		...size,
		ms: median(20, () => applyEdit(large, (draft) => void (draft.lots[lotId]!.count += 1))).ms
	};
	yield {
		bench: 'job sheet, large home',
		...size,
		ms: median(5, () => nextSteps(large, NOW.slice(0, 10))).ms
	};
}

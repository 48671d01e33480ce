import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { NOW } from '../src/lib/core/fixtures/tiny-home';
import {
	buildZoneModel,
	DEFAULT_PLACE,
	placeHome,
	provePlan,
	toZonePlan
} from '../src/lib/core/zoning';
import { demoHome } from '../src/lib/data/demo';
import { loadIntegerSolver } from '../src/lib/workers/integer-solver';
import { round } from './measure';

const FLAT = { rooms: 3, cabinets: 16, groups: 40, things: 300, lots: 400 };
const SECONDS = 60;

/** Plans the demo home and generated flats, then proves each plan: how long that takes, and what it finds. */
export async function* benchProofs(): AsyncGenerator<object> {
	const solver = await loadIntegerSolver();
	const homes = [
		{ name: 'demo home', home: demoHome(NOW) },
		...[1, 2, 3, 4, 5, 6, 7, 8, 9, 10].map((seed) => ({
			name: `flat ${seed}`,
			home: generateHome({ seed, ...FLAT })
		}))
	];
	for (const { name, home } of homes) {
		const placed = placeHome(home, DEFAULT_PLACE);
		const gapOf = ({ objective, bound }: { objective: number; bound: number }) =>
			Math.round((1e5 * (objective - bound)) / objective) / 1e3;
		const from = performance.now();
		const proof = provePlan(home, toZonePlan(placed, 'p', 'Plan', NOW), {
			solver,
			seconds: SECONDS
		});
		if (!('bound' in proof)) throw new Error(`${name}: a plan just made is ${proof.status}`);
		yield {
			bench: `proof, ${name}`,
			parts: buildZoneModel(home).parts.length,
			gapBeforePercent: gapOf(placed),
			status: proof.status,
			gapPercent: gapOf(proof),
			savedPercent: Math.round((1e5 * proof.saved) / placed.objective) / 1e3,
			ms: round(performance.now() - from)
		};
	}
}

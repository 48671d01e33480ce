import { writeFileSync } from 'node:fs';
import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { SKETCHES } from '../src/lib/core/fixtures/sketches';
import { sketchHome } from '../src/lib/core/fixtures/sketch-home';
import { writeHomeFile } from '../src/lib/core/interchange';
import { applyEdit, type Home } from '../src/lib/core/model';
import { adoptPlan, DEFAULT_PLACE, placeHome, toZonePlan } from '../src/lib/core/zoning';
import { demoHome } from '../src/lib/data/demo';

/** A house of some 200 nooks and 250 groups, and a home of one room. */
const SIZES = {
	house: { rooms: 8, cabinets: 60, groups: 250, things: 1500, lots: 2000 },
	room: { rooms: 1, cabinets: 10, groups: 8, things: 24, lots: 30 }
};

/** The demo home of a day with the plan that it gets when it is solved. */
function plannedDemo(now: string): Home {
	const home = demoHome(now);
	const plan = toZonePlan(placeHome(home, DEFAULT_PLACE), 'plan', 'Plan', now);
	return applyEdit(home, adoptPlan(plan)).home;
}

/**
 * Writes a generated home of a size, a sketched one by its id, or the planned demo home of a day, to the file that is
 * named.
 */
const [path = '', which = '', now = ''] = process.argv.slice(2);
const sketch = SKETCHES.find(({ id }) => id === which);
if (!sketch && which !== 'planned' && !(which in SIZES))
	throw new Error(
		`No home ${which}; there are ${[...Object.keys(SIZES), ...SKETCHES.map(({ id }) => id)].join(', ')}.`
	);
const generated = () => generateHome({ seed: 1, ...SIZES[which as keyof typeof SIZES] });
const home = sketch ? sketchHome(sketch) : which === 'planned' ? plannedDemo(now) : generated();
writeFileSync(path, writeHomeFile(home));

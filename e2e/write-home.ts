import { writeFileSync } from 'node:fs';
import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { SKETCHES } from '../src/lib/core/fixtures/sketches';
import { sketchHome } from '../src/lib/core/fixtures/sketch-home';
import { writeHomeFile } from '../src/lib/core/interchange';

/** A house of some 200 nooks and 250 groups, and a home of one room. */
const SIZES = {
	house: { rooms: 8, cabinets: 60, groups: 250, things: 1500, lots: 2000 },
	room: { rooms: 1, cabinets: 10, groups: 8, things: 24, lots: 30 }
};

/** Writes a generated home of a size, or a sketched one by its id, to the file that is named. */
const [path = '', which = ''] = process.argv.slice(2);
const sketch = SKETCHES.find(({ id }) => id === which);
if (!sketch && !(which in SIZES))
	throw new Error(
		`No home ${which}; there are ${[...Object.keys(SIZES), ...SKETCHES.map(({ id }) => id)].join(', ')}.`
	);
const home = sketch
	? sketchHome(sketch)
	: generateHome({ seed: 1, ...SIZES[which as keyof typeof SIZES] });
writeFileSync(path, writeHomeFile(home));

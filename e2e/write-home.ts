import { writeFileSync } from 'node:fs';
import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { writeHomeFile } from '../src/lib/core/interchange';

/** Writes a generated house of some 200 nooks and 250 groups to the file that is named. */
const [path = ''] = process.argv.slice(2);
writeFileSync(
	path,
	writeHomeFile(
		generateHome({ seed: 1, rooms: 8, cabinets: 60, groups: 250, things: 1500, lots: 2000 })
	)
);

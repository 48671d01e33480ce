import { writeFileSync } from 'node:fs';
import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { writeHomeFile } from '../src/lib/core/interchange';

/** A house of some 200 nooks and 250 groups, and a home of one room. */
const SIZES = {
	house: { rooms: 8, cabinets: 60, groups: 250, things: 1500, lots: 2000 },
	room: { rooms: 1, cabinets: 10, groups: 8, things: 24, lots: 30 }
};

/** Writes a generated home of a size to the file that is named. */
const [path = '', size = ''] = process.argv.slice(2);
if (!(size in SIZES))
	throw new Error(`No size ${size}; there are ${Object.keys(SIZES).join(', ')}.`);
writeFileSync(path, writeHomeFile(generateHome({ seed: 1, ...SIZES[size as keyof typeof SIZES] })));

// npm run bench                     the product's own figures, one JSON line each
// npm run bench -- survey           typed lines and walking distances
// npm run bench -- categories       how many typed names fall into their category
// npm run bench -- names FILE       names, one a line: what kind each is taken for
// npm run bench -- lines FILE [--today ISO] [--order dmy|mdy|ymd]   typed lines: what each is read as
// npm run bench -- rates            rates of use on made-up households, by method
// npm run bench -- merge            two copies of a large home with 500 edits each
// npm run bench -- hold             the advised number of packs against each single rule, in money
// npm run bench -- forecast         500 things over 12 weeks, 1,000 runs
// npm run bench -- meals            weeks of 21 meals from 60 recipes, proven
// npm run bench -- homes            generated homes against the by-hand rule
// npm run bench -- proofs           plans of the demo home and of flats, proven
// npm run bench -- browser          first-screen script, and a large home in the browser (needs a build)
// npm run bench -- gestures         taps of a new user's tour on a phone (needs a build)
// npm run bench -- fuzz [COUNT]     odd requests to the built server (needs a build)
// npm run bench -- store [COUNT]    stories of three tabs on one database
// npm run bench -- kills [COUNT]    pages killed in the middle of their work (needs a build)
// npm run bench -- assignment FILE… [--budget MS]   problem files, one JSON line a file
// npm run bench -- packing FILE… [--budget MS]      pieces on a board, likewise
// npm run bench -- shelves FILE… [--budget MS]      shelf heights, likewise
// npm run bench -- boxes [FILE…] [--budget MS]      boxes in a box; without files rooms that were cut into boxes
// npm run bench -- cut-room COUNT SEED [LOOSE_MM]   such a room as a problem file
import { z } from 'zod';
import { benchAssignment, SideThread } from './assignment';
import { benchBoxes, benchCutRooms, cutRoomFile } from './boxes';
import { benchBrowser } from './browser';
import { benchCategories } from './categories';
import { benchForecast } from './forecast';
import { benchFuzz } from './fuzz';
import { benchGestures, benchOneCabinet } from './gestures';
import { benchHome } from './home';
import { benchLines } from './lines';
import { benchNames } from './names';
import { benchHold } from './hold';
import { benchKills } from './kills';
import { benchShelves } from './shelves';
import { benchStore } from './store';
import { benchHomes } from './homes';
import { benchPacking } from './packing';
import { benchMerge } from './merge';
import { benchMeals } from './meals';
import { benchProofs } from './proofs';
import { benchRates } from './rates';
import { benchSurvey } from './survey';

const args = process.argv.slice(2);
const option = (name: string): string | undefined => {
	const at = args.indexOf(`--${name}`);
	return at < 0 ? undefined : args.splice(at, 2)[1];
};
const budgetMs = Number(option('budget') ?? 2000);
const today = option('today') ?? new Date().toISOString().slice(0, 10);
const order = z.enum(['dmy', 'mdy', 'ymd']).parse(option('order') ?? 'dmy');
const print = (line: object) => console.log(JSON.stringify(line));
const [kind, ...files] = args;

if (kind === 'assignment') {
	const side = await SideThread.start();
	for (const file of files) print(await benchAssignment(file, budgetMs, side));
	await side.end();
} else if (kind === 'packing') for (const file of files) print(benchPacking(file, budgetMs));
else if (kind === 'shelves') for (const file of files) print(benchShelves(file, budgetMs));
else if (kind === 'boxes')
	for (const line of files.length
		? files.map((file) => benchBoxes(file, budgetMs))
		: benchCutRooms(budgetMs))
		print(line);
else if (kind === 'cut-room') {
	const [count = 20, seed = 1, looseMm = 0] = files.map(Number);
	print(cutRoomFile(count, seed, looseMm));
} else if (kind === 'names')
	for (const file of files) for (const line of benchNames(file)) print(line);
else if (kind === 'lines')
	for (const file of files) for (const line of benchLines(file, today, order)) print(line);
else if (kind === 'browser') for (const line of await benchBrowser()) print(line);
else if (kind === 'gestures')
	for (const tour of [benchOneCabinet, benchGestures])
		print((await tour()) ?? { bench: 'gestures', missing: 'a build' });
else if (kind === 'kills') print(await benchKills(Number(files[0] ?? 1000)));
else if (kind === 'store') print(benchStore(Number(files[0] ?? 5000)));
else if (kind === 'fuzz') print(await benchFuzz(Number(files[0] ?? 1500)));
else if (kind === 'rates') for (const line of benchRates()) print(line);
else if (kind === 'merge') print(benchMerge());
else if (kind === 'hold') for (const line of benchHold()) print(line);
else if (kind === 'forecast') print(benchForecast());
else if (kind === 'meals') for (const line of await benchMeals()) print(line);
else if (kind === 'survey') for (const line of benchSurvey()) print(line);
else if (kind === 'homes') for (const line of benchHomes()) print(line);
else if (kind === 'proofs') for await (const line of benchProofs()) print(line);
else if (kind === 'categories') for (const line of benchCategories()) print(line);
else if (kind === undefined) {
	for (const line of benchSurvey()) print(line);
	for (const line of benchHome()) print(line);
	for (const line of await benchBrowser()) print(line);
} else {
	console.error(
		`No bench called “${kind}”. Use: assignment FILE…, packing FILE…, shelves FILE…, boxes [FILE…], cut-room COUNT SEED, survey, categories, names FILE, lines FILE, homes, rates, hold, merge, forecast, meals, proofs, browser, gestures, fuzz, store, kills, or nothing.`
	);
	process.exit(2);
}

import { parseIntake } from '../src/lib/core/clearing';
import { applyEdit, type Home } from '../src/lib/core/model';
import {
	addCabinet,
	CABINET_FORMS_LIST,
	findHidden,
	moveCabinet,
	walkingDistances
} from '../src/lib/core/survey';
import { NOW } from '../src/lib/core/fixtures/tiny-home';
import { demoHome } from '../src/lib/data/demo';
import { median } from './measure';

const NAMES = ['chopped tomatoes', 'penne', 'plain flour', 'washing-up liquid', 'green lentils'];
const COUNTS = ['3 tins', '2 packs', '1', 'a dozen', '6 x 330ml', '1/2'];
const DATES = ['bb 03/27', 'ub 05.04.2026', 'best before March 2027', 'exp 2026-12-24', ''];
const ENDS = ['dent', 'open', 'no lid', '@larder-3', 'frozen 1/2/26', ''];
const LINES = 1000;

/** A thousand lines as they are typed, no two alike. */
const intakeLines = (): string[] =>
	Array.from({ length: LINES }, (_, i) =>
		[
			COUNTS[i % COUNTS.length],
			NAMES[i % NAMES.length],
			`${100 + i}g`,
			DATES[(i >> 1) % DATES.length],
			ENDS[(i >> 2) % ENDS.length]
		].join(' ')
	);

/** The demo home with as many base cabinets more as make 80 nooks. */
function eightyNooks(): Home {
	const base = CABINET_FORMS_LIST.find(({ form }) => form === 'base')!;
	let n = 0;
	let home = demoHome(NOW);
	while (Object.keys(home.nooks).length < 80)
		home = applyEdit(
			home,
			addCabinet('dresser', base, () => `more-${++n}`)
		).home;
	return home;
}

/** Measures what Walk and Clear compute while a hand waits. */
export function* benchSurvey(): Generator<object> {
	const lines = intakeLines();
	const parsed = median(9, () =>
		lines.map((line) => parseIntake(line, { order: 'dmy', today: '2026-03-02' }))
	);
	yield {
		bench: 'intake, 1,000 lines',
		ms: parsed.ms,
		linesPerSecond: Math.round((1000 * LINES) / parsed.ms),
		withIssues: parsed.value.filter(({ issues }) => issues.length).length
	};
	const home = eightyNooks();
	let at = 0;
	// A cabinet stands elsewhere each time: the same plan would be remembered.
	const walks = median(9, () =>
		walkingDistances(applyEdit(home, moveCabinet('n2', 600 + ++at)).home)
	);
	yield {
		bench: 'walking distances at any angle',
		ms: walks.ms,
		nooks: walks.value.nookIds.length,
		stations: walks.value.stationIds.length
	};
	const known = median(9, () => walkingDistances({ ...home }));
	yield { bench: 'the same plan again', ms: known.ms };
	const hidden = median(9, () => findHidden({ ...home, nooks: { ...home.nooks } }));
	yield { bench: 'hidden storage', ms: hidden.ms, places: hidden.value.length };
}

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween, LOT_STATES } from '../model';
import { formatIntake, kindFor, parseDay, parseIntake, parsePrintedDate, type IntakeLine } from '.';
import { STATE_WORDS } from './intake-words';

const TODAY = '2026-03-02';
const day = fc.integer({ min: 0, max: 20_000 }).map((n) => addDays('2001-01-01', n));
const word = fc.constantFrom(
	'chopped',
	'tomatoes',
	'plain',
	'flour',
	'whisk',
	'green',
	'lentils',
	'soup',
	'bowl',
	'thyme'
);
const printable = fc.constantFrom(...STATE_WORDS.map(({ state }) => state));

const line: fc.Arbitrary<IntakeLine> = fc
	.record({
		count: fc.oneof(
			fc.integer({ min: 1, max: 999 }),
			fc.integer({ min: 1, max: 99 }).map((n) => n / 4)
		),
		countWord: fc.constantFrom('', 'tins', 'packs', 'jar'),
		words: fc.array(word, { minLength: 1, maxLength: 4 }),
		size: fc.option(
			fc.record({
				value: fc.integer({ min: 1, max: 1_000_000 }),
				unit: fc.constantFrom('g' as const, 'ml' as const)
			})
		),
		printed: fc.option(
			fc.record({ on: day, kind: fc.constantFrom('use-by' as const, 'best-before' as const) })
		),
		openedOn: fc.option(day),
		madeOn: fc.option(day),
		frozenOn: fc.option(day),
		thawedOn: fc.option(day),
		lastUsedOn: fc.option(day),
		states: fc.uniqueArray(printable, { maxLength: 4 }),
		owner: fc.constantFrom('', 'Oda', 'the aunt next door'),
		place: fc.constantFrom('', 'larder-3', 'Shelf 2 (upper)'),
		batch: fc.constantFrom('', 'A7', '2024/11-B'),
		priceMinor: fc.option(fc.integer({ min: 0, max: 99_999 }))
	})
	.map(({ words, states, ...rest }) => {
		const name = words.join(' ');
		const implied = [
			...(rest.openedOn ? (['open'] as const) : []),
			...(rest.thawedOn ? (['thawed'] as const) : []),
			...(rest.frozenOn ? (['frozen'] as const) : [])
		];
		const own = STATE_WORDS.map(({ state }) => state).filter(
			(state) => states.includes(state) && !(implied as readonly string[]).includes(state)
		);
		const all = [...own, ...implied];
		const isFrozen = all.includes('frozen') && !all.includes('thawed');
		const kind = kindFor(isFrozen ? `frozen ${name}` : name, rest.countWord);
		return { ...rest, name, states: all, category: kind.sure ? kind.category : null };
	});

describe('the grammar of the entry line', () => {
	it('reads back what it prints, whatever the order of dates', () =>
		fc.assert(
			fc.property(
				line,
				fc.constantFrom('dmy' as const, 'mdy' as const, 'ymd' as const, null),
				(known, order) => {
					expect(parseIntake(formatIntake(known), { order, today: TODAY })).toMatchObject({
						line: known,
						issues: [],
						unread: []
					});
				}
			),
			{ seed: 302, numRuns: 400 }
		));
	it('never throws, and never makes a count or a size that is none', () =>
		fc.assert(
			fc.property(fc.string({ maxLength: 60 }), (text) => {
				const { line: read, issues } = parseIntake(text, { order: 'dmy', today: TODAY });
				if (!issues.length) {
					expect(read.name).not.toBe('');
					expect(read.count).toBeGreaterThan(0);
				}
				if (read.size) expect(read.size.value).toBeGreaterThan(0);
			}),
			{ seed: 303, numRuns: 600 }
		));
	it('has a word for every state that a lot can be in', () =>
		expect(
			LOT_STATES.filter((state) => !STATE_WORDS.some((known) => known.state === state))
		).toEqual([]));
	it.each([
		['6 x 330ml cola', { count: 6, name: 'cola', size: { value: 330, unit: 'ml' } }],
		['2x500g penne', { count: 2, name: 'penne', size: { value: 500, unit: 'g' } }],
		['a dozen eggs', { count: 12, name: 'eggs' }],
		['half a dozen eggs ub 31mar26', { count: 6, printed: { on: '2026-03-31', kind: 'use-by' } }],
		['milk best before Mar 31, 2026', { printed: { on: '2026-03-31', kind: 'best-before' } }],
		['milk bb 310326', { printed: { on: '2026-03-31', kind: 'best-before' } }],
		['milk bb 20260331', { printed: { on: '2026-03-31', kind: 'best-before' } }],
		['milk bb 2026-03', { printed: { on: '2026-03-31', kind: 'best-before' } }],
		['mince 500g frozen 1.2.26', { frozenOn: '2026-02-01', states: ['frozen'] }],
		['frozen peas 1kg', { name: 'frozen peas', states: [] }],
		['ladle owner Rosa @"drawer 2"', { name: 'ladle', owner: 'Rosa', place: 'drawer 2' }],
		['3 ladles', { count: 3, name: 'ladles', size: null }],
		['tuna 12 fl oz popped button', { size: { value: 355, unit: 'ml' }, states: ['popped'] }],
		['flour price €1,20', { priceMinor: 120 }],
		['oil batch L12/4', { batch: 'L12/4' }]
	])('reads “%s”', (text, part) => {
		const { line: read, issues } = parseIntake(text, { order: 'dmy', today: TODAY });
		expect(issues).toEqual([]);
		expect(read).toMatchObject(part);
	});
	it.each([
		['flour 400gg', 'intake-size'],
		['flour 0 g', 'intake-size'],
		['flour 9999999kg', 'intake-size'],
		['milk bb 31/02/27', 'date-does-not-exist'],
		['milk bb 2x/1', 'date-unreadable'],
		['-3 tins', 'intake-count'],
		['0 tins of soup', 'intake-count'],
		['400g', 'intake-no-name'],
		['milk price much', 'intake-price']
	])('says what is wrong with “%s”', (text, code) =>
		expect(
			parseIntake(text, { order: 'dmy', today: TODAY }).issues.map((issue) => issue.code)
		).toContain(code)
	);
});

describe('dates in all usual forms', () => {
	const forms: readonly ((y: string, m: string, d: string) => string)[] = [
		(y, m, d) => `${y}-${m}-${d}`,
		(y, m, d) => `${d}/${m}/${y}`,
		(y, m, d) => `${d}.${m}.${y.slice(2)}`,
		(y, m, d) => `${y}${m}${d}`,
		(y, m, d) => `${d}${m}${y.slice(2)}`
	];
	const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');
	const named: typeof forms = [
		(y, m, d) => `${d} ${MONTHS[Number(m) - 1]} ${y}`,
		(y, m, d) => `${MONTHS[Number(m) - 1]} ${d}, ${y}`,
		(y, m, d) => `${d}${MONTHS[Number(m) - 1]!.toUpperCase()}${y.slice(2)}`
	];
	it('mean the same day', () =>
		fc.assert(
			fc.property(day, fc.constantFrom(...forms, ...named), (on, form) => {
				const [y, m, d] = on.split('-') as [string, string, string];
				expect(parsePrintedDate(form(y, m, d), 'dmy')).toMatchObject({ ok: true, on });
			}),
			{ seed: 304, numRuns: 300 }
		));
	it('a day of two readings is ambiguous without an order, and only then', () =>
		fc.assert(
			fc.property(day, (on) => {
				const [y, m, d] = on.split('-').map(Number) as [number, number, number];
				const read = parsePrintedDate(`${d}/${m}/${y}`, null);
				expect(read.ok ? 'one' : read.code).toBe(d <= 12 && d !== m ? 'date-ambiguous' : 'one');
			}),
			{ seed: 305 }
		));
});

describe('nothing of a line is lost', () => {
	const part = fc.constantFrom(
		'3',
		'x2',
		'tins',
		'of',
		'chopped',
		'tomatoes',
		'bb',
		'11/2026',
		'28 Nov',
		'31/02/27',
		'99',
		'400g',
		'half',
		'a',
		'dented',
		'with weevils',
		'frozen',
		'opened',
		'yesterday',
		'size',
		'7',
		'no lid',
		'&',
		'#4',
		'(blue)',
		'quux',
		'6 1/8',
		'@shelf',
		'price 3',
		'12 pouches'
	);
	const tokens = (text: string) => text.toLowerCase().match(/[\p{L}\d]+/gu) ?? [];
	it('every word is in a chip, in an issue, or among what was not understood', () =>
		fc.assert(
			fc.property(fc.array(part, { minLength: 1, maxLength: 7 }), (parts) => {
				const text = parts.join(' ');
				const { readings, unread, issues } = parseIntake(text, { order: 'dmy', today: TODAY });
				if (issues.some(({ code }) => code === 'intake-no-name')) return;
				const kept = [...readings.map((reading) => reading.text), ...unread].flatMap(tokens);
				for (const token of tokens(text)) {
					const at = kept.indexOf(token);
					expect(at, `“${token}” of “${text}”`).toBeGreaterThanOrEqual(0);
					kept.splice(at, 1);
				}
			}),
			{ seed: 306, numRuns: 1500 }
		));
});

describe('days as people write them, on 2 March 2026', () => {
	it.each([
		['11/2026', 'dmy', '2026-11-30'],
		['30.11.26', 'dmy', '2026-11-30'],
		['2026-11-30', 'dmy', '2026-11-30'],
		['28 Nov', 'dmy', '2026-11-28'],
		['28/11', 'dmy', '2026-11-28'],
		['11/28', 'mdy', '2028-11-30'],
		['5/6', 'mdy', '2026-05-06'],
		['5/6', 'dmy', '2026-06-05'],
		['nov 26', 'dmy', '2026-11-30'],
		['nov 26', 'mdy', '2026-11-26'],
		['2 jan', 'dmy', '2026-01-02'],
		['20 dec', 'dmy', '2025-12-20'],
		['20 nov', 'dmy', '2026-11-20'],
		['28th of february', 'dmy', '2026-02-28'],
		['end nov', 'dmy', '2026-11-30'],
		['tomorrow', 'dmy', '2026-03-03'],
		['friday', 'dmy', '2026-03-06'],
		['in 3 days', 'dmy', '2026-03-05']
	] as const)('%s (%s) is %s', (text, order, on) =>
		expect(parseDay(text, { order, today: TODAY, past: false })).toMatchObject({ ok: true, on })
	);
	it.each([
		['28 Nov', '2025-11-28'],
		['20/02', '2026-02-20'],
		['4 weeks ago', '2026-02-02'],
		['2 months ago', '2026-01-02'],
		['last week', '2026-02-23'],
		['sunday', '2026-03-01'],
		['monday', '2026-03-02'],
		['last monday', '2026-02-23'],
		['yesterday', '2026-03-01']
	])('what lies behind: %s is %s', (text, on) =>
		expect(parseDay(text, { order: 'dmy', today: TODAY, past: true })).toMatchObject({ on })
	);
	it('without a year is always the nearest that lies at most three months back', () =>
		fc.assert(
			fc.property(
				day,
				fc.integer({ min: 1, max: 12 }),
				fc.integer({ min: 1, max: 28 }),
				(today, month, date) => {
					const read = parseDay(`${date}/${month}`, { order: 'dmy', today, past: false });
					expect(read.ok).toBe(true);
					if (!read.ok) return;
					const ahead = daysBetween(today, read.on);
					expect(ahead).toBeGreaterThanOrEqual(-92);
					expect(ahead).toBeLessThanOrEqual(366 - 89);
				}
			),
			{ seed: 307 }
		));
});

describe('lines as people type them', () => {
	it.each<[string, object]>([
		['12 pouches cat food bbe 11/2026', { count: 12, countWord: 'pouches', name: 'cat food' }],
		['half a cucumber', { count: 0.5, name: 'cucumber' }],
		[
			'1/2 jar pesto opened 4 weeks ago',
			{ count: 0.5, countWord: 'jar', name: 'pesto', openedOn: '2026-02-02' }
		],
		['two and a half bags rice', { count: 2.5, name: 'rice' }],
		[
			'ibuprofen 200mg tablets 30 exp 06/25',
			{ count: 30, countWord: 'tablets', name: 'ibuprofen 200mg' }
		],
		['4 x 400 g kidney beans', { count: 4, size: { value: 400, unit: 'g' }, name: 'kidney beans' }],
		[
			'mince 500g frozen 12 jan',
			{ frozenOn: '2026-01-12', states: ['frozen'], category: 'food.frozen-meat' }
		],
		['leftover curry from yesterday', { madeOn: '2026-03-01', category: 'food.deli' }],
		['soup made on sunday', { madeOn: '2026-03-01', name: 'soup' }],
		['chicken thighs frozen', { states: ['frozen'], name: 'chicken thighs' }],
		['frozen peas 900g', { states: [], name: 'frozen peas' }],
		['flour with weevils', { states: ['pest'], name: 'flour' }],
		['moth traps', { states: [], name: 'moth traps' }],
		['3 bottle openers', { count: 3, countWord: '', name: 'bottle openers' }],
		['tin opener', { countWord: '', name: 'tin opener', category: 'kitchen.tools' }],
		['jigsaw part missing', { states: ['no-part'], name: 'jigsaw' }],
		['butternut squash', { states: [], name: 'butternut squash' }],
		['size 4 nappies', { count: 1, name: 'size 4 nappies' }],
		[
			'jam 2 jars 2024',
			{ count: 2, name: 'jam', printed: { on: '2024-12-31', kind: 'best-before' } }
		],
		['large tub of margarine opened last week', { countWord: 'tub', name: 'margarine' }],
		['basmati rice 2kg bag, weevils', { countWord: 'bag', name: 'basmati rice', states: ['pest'] }],
		['large frying pan, handle broken', { name: 'large frying pan', states: ['broken'] }],
		['3 tea towels stained', { count: 3, name: 'tea towels', states: ['worn'] }],
		['tin of paint dried up', { name: 'paint', states: ['worn'] }],
		['crushed tomatoes', { name: 'crushed tomatoes', states: [] }],
		['2 doz eggs', { count: 24, name: 'eggs' }],
		['gherkins opened in january', { name: 'gherkins', openedOn: '2026-01-31' }],
		['blender with missing jug', { name: 'blender', states: ['no-part'] }],
		['AA batteries pack of 8', { count: 8, name: 'AA batteries' }],
		['loo rolls 9', { count: 9, name: 'loo rolls' }],
		['food processor no blade', { name: 'food processor', states: ['no-part'] }],
		['oat milk x 6 cartons bbe 08 26', { count: 6, countWord: 'cartons', name: 'oat milk' }],
		['salmon frozen since christmas', { frozenOn: '2025-12-25', name: 'salmon' }],
		['sugar 1 kg 2 packs', { count: 2, name: 'sugar', size: { value: 1000, unit: 'g' } }]
	])('“%s”', (text, part) => {
		const { line: read, issues } = parseIntake(text, { order: 'dmy', today: TODAY });
		expect(issues).toEqual([]);
		expect(read).toMatchObject(part);
	});
	it('says what cannot be a date, and keeps it out of the name', () => {
		const { line: read, issues } = parseIntake('rice 5kg bb 99/99', { order: 'dmy', today: TODAY });
		expect(issues).toMatchObject([{ code: 'date-does-not-exist', text: '99/99' }]);
		expect(read.name).toBe('rice');
	});
	it('marks a date without a word, so that its kind can be changed', () => {
		const { dates } = parseIntake('oat milk 28 nov', { order: 'dmy', today: TODAY });
		expect(dates).toEqual([{ on: '2026-11-28', kind: 'best-before', bare: true }]);
	});
});

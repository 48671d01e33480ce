import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, categoryFromName, LOT_STATES } from '../model';
import { formatIntake, parseIntake, parsePrintedDate, type IntakeLine } from '.';
import { STATE_WORDS } from './intake-words';

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
		const category = categoryFromName(rest.countWord ? `${rest.countWord} ${name}` : name);
		return { ...rest, name, states: all, category: category?.code ?? null };
	});

describe('the grammar of the entry line', () => {
	it('reads back what it prints, whatever the order of dates', () =>
		fc.assert(
			fc.property(
				line,
				fc.constantFrom('dmy' as const, 'mdy' as const, 'ymd' as const, null),
				(known, order) => {
					expect(parseIntake(formatIntake(known), order)).toEqual({ line: known, issues: [] });
				}
			),
			{ seed: 302, numRuns: 400 }
		));
	it('never throws, and never makes a count or a size that is none', () =>
		fc.assert(
			fc.property(fc.string({ maxLength: 60 }), (text) => {
				const { line: read, issues } = parseIntake(text, 'dmy');
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
		const { line: read, issues } = parseIntake(text, 'dmy');
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
		expect(parseIntake(text, 'dmy').issues.map((issue) => issue.code)).toContain(code)
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

import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { Lot, LotState } from '../model';
import { apply, bareKitchen, NOW, TODAY, tinyHome, withLines } from '../fixtures/tiny-home';
import { kindOf, readingKey } from '../kinds';
import { tellKind } from './correct';
import { traitsOf } from './traits';
import {
	adviseLot,
	decide,
	estimateClear,
	knownThing,
	parseIntake,
	parsePrintedDate,
	tally,
	undecidedLots,
	type DateOrder
} from '.';

const read = (text: string, order: DateOrder = 'dmy') => parseIntake(text, { order, today: TODAY });

describe('printed dates', () => {
	it.each([
		['03/27', '2027-03-31'],
		['31/03/27', '2027-03-31'],
		['2027-03-31', '2027-03-31'],
		['31 mar 2027', '2027-03-31'],
		['mar 27', '2027-03-31'],
		['2027/02', '2027-02-28'],
		['31.12.2026', '2026-12-31']
	])('%s is %s', (text, on) =>
		expect(parsePrintedDate(text, 'dmy')).toMatchObject({ ok: true, on })
	);
	it('follows the order of the home', () => {
		expect(parsePrintedDate('03/04/27', 'mdy')).toMatchObject({ on: '2027-03-04' });
		expect(parsePrintedDate('03/04/27', 'dmy')).toMatchObject({ on: '2027-04-03' });
	});
	it('asks when two readings are possible and the order is not known', () => {
		expect(parsePrintedDate('03/04/27', null)).toMatchObject({
			code: 'date-ambiguous',
			readings: { dmy: '2027-04-03', mdy: '2027-03-04' }
		});
		expect(parsePrintedDate('31/03/27', null)).toMatchObject({ ok: true, on: '2027-03-31' });
		expect(parsePrintedDate('04/04/27', null)).toMatchObject({ ok: true, on: '2027-04-04' });
	});
	it.each(['31/02/27', '2027-13-01', '00/27'])('%s does not exist', (text) =>
		expect(parsePrintedDate(text, 'dmy')).toMatchObject({ ok: false, code: 'date-does-not-exist' })
	);
	it.each(['soon', '1/2/3/4', ''])('“%s” is not a date', (text) =>
		expect(parsePrintedDate(text, 'dmy')).toMatchObject({ code: 'date-unreadable' })
	);
});

describe('the entry line', () => {
	it('takes a thing in one go', () => {
		expect(read('3 tins chopped tomatoes 400g bb 03/27 dent')).toMatchObject({
			line: {
				count: 3,
				countWord: 'tins',
				name: 'chopped tomatoes',
				size: { value: 400, unit: 'g' },
				printed: { on: '2027-03-31', kind: 'best-before' },
				openedOn: null,
				frozenOn: null,
				thawedOn: null,
				lastUsedOn: null,
				states: ['dented'],
				owner: '',
				place: '',
				batch: '',
				priceMinor: null,
				category: 'food.cans-veg'
			},
			issues: []
		});
	});
	it.each<[string, Partial<ReturnType<typeof read>['line']>]>([
		['milk ub 05/03/26', { count: 1, name: 'milk', printed: { on: '2026-03-05', kind: 'use-by' } }],
		['2x penne', { count: 2, name: 'penne' }],
		['2xpenne', { count: 2, name: 'penne' }],
		['2 x penne', { count: 2, name: 'penne' }],
		['2 ×penne', { count: 2, name: 'penne' }],
		['1 xanthan gum', { count: 1, name: 'xanthan gum' }],
		['flour 1.5kg', { name: 'flour', size: { value: 1500, unit: 'g' } }],
		[
			'1 oil 75cl open 01/02/26',
			{ name: 'oil', size: { value: 750, unit: 'ml' }, openedOn: '2026-02-01', states: ['open'] }
		],
		['tin of tuna bulging', { name: 'tuna', states: ['bulging'] }],
		['can beans seam dent', { name: 'beans', states: ['dented-seam'] }],
		['box no lid', { name: 'box', states: ['no-lid'] }],
		['6 forks', { count: 6, name: 'forks', category: 'kitchen.cutlery' }]
	])('reads “%s”', (text, expected) => expect(read(text).line).toMatchObject(expected));
	it('keeps what it understood beside what it did not', () => {
		const { line, issues } = read('2 soup bb 31/02/27');
		expect(line).toMatchObject({ count: 2, name: 'soup', printed: null });
		expect(issues).toMatchObject([{ code: 'date-does-not-exist', text: '31/02/27' }]);
	});
	it('says when there is no name, no line, or no count that can be', () => {
		expect(read('3 400g').issues).toMatchObject([{ code: 'intake-no-name' }]);
		expect(read('  ').issues).toMatchObject([{ code: 'intake-empty' }]);
		expect(read('99999 peas').issues).toMatchObject([{ code: 'intake-count' }]);
	});
	it('reads back what is printed from its parts', () => {
		const part = fc.record({
			count: fc.integer({ min: 1, max: 99 }),
			word: fc.constantFrom('tins', 'packs', 'jars', ''),
			name: fc.constantFrom('chopped tomatoes', 'red lentils', 'rice', 'paprika'),
			grams: fc.option(fc.integer({ min: 1, max: 5000 })),
			day: fc.option(fc.integer({ min: 1, max: 28 })),
			month: fc.integer({ min: 1, max: 12 }),
			state: fc.constantFrom<[string, LotState] | null>(
				['dented', 'dented'],
				['bulging', 'bulging'],
				['freezer burn', 'freezer-burn'],
				null
			)
		});
		const two = (n: number) => String(n).padStart(2, '0');
		fc.assert(
			fc.property(part, ({ count, word, name, grams, day, month, state }) => {
				const text = [
					count,
					word,
					name,
					grams && `${grams}g`,
					day && `bb ${two(day)}/${two(month)}/27`,
					state?.[0]
				]
					.filter(Boolean)
					.join(' ');
				const { line, issues } = read(text);
				expect(issues).toEqual([]);
				expect(line).toMatchObject({
					count,
					countWord: word,
					name,
					states: state ? [state[1]] : []
				});
				expect(line.size?.value ?? null).toBe(grams);
				expect(line.printed?.on ?? null).toBe(day ? `2027-${two(month)}-${two(day)}` : null);
			}),
			{ seed: 41 }
		);
	});
	it('never throws', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 60 }), (text) => Array.isArray(read(text, null).issues)),
			{ seed: 42 }
		);
	});
});

describe('taking in', () => {
	it('adds to a thing that is known, whatever its case', () => {
		const home = withLines(bareKitchen(), ['2 penne']);
		const more = withLines(home, ['1 Penne']);
		expect(Object.keys(more.things)).toHaveLength(1);
		expect(knownThing(more, 'PENNE')?.name).toBe('penne');
	});
});

describe('advice', () => {
	const lotWith = (line: string, change: Partial<Lot> = {}, dates: Partial<Lot['dates']> = {}) => {
		const home = withLines(bareKitchen(), [line]);
		const lot = Object.values(home.lots)[0]!;
		const full = { ...lot, ...change, dates: { ...lot.dates, ...dates } };
		return adviseLot({
			home: { ...home, lots: { [full.id]: full } },
			lot: full,
			thing: home.things[full.thingId]!,
			today: TODAY
		})[0];
	};
	const states = (line: string, ...list: LotState[]) => lotWith(line, { states: list });
	it('puts safety first', () => {
		expect(states('tin beans bb 01/25', 'bulging')).toMatchObject({
			code: 'can-unsafe',
			verdict: 'discard',
			strength: 3
		});
		expect(lotWith('milk ub 01/03/26')).toMatchObject({ code: 'use-by-past', verdict: 'discard' });
		expect(states('frozen peas', 'warm-over-2h')).toMatchObject({
			code: 'thawed-warm',
			verdict: 'discard'
		});
	});
	it('keeps what was frozen before its use-by date', () => {
		expect(lotWith('chicken ub 01/03/26', {}, { frozenOn: '2026-02-28' })).toBeUndefined();
		expect(lotWith('chicken ub 01/02/26', {}, { frozenOn: '2026-02-28' })).toMatchObject({
			code: 'use-by-past'
		});
	});
	it('tells a date of quality from one long past', () => {
		expect(lotWith('penne bb 02/26')).toMatchObject({
			code: 'best-before-past',
			verdict: 'use-first'
		});
		expect(lotWith('penne bb 02/24')).toMatchObject({
			code: 'best-before-past-long',
			verdict: 'discard'
		});
	});
	it('keeps a shallow dent, not one on the seam', () => {
		expect(states('tin beans bb 01/28', 'dented')).toMatchObject({
			code: 'can-dent',
			verdict: 'use-first'
		});
		expect(states('tin beans bb 01/28', 'dented-seam')).toMatchObject({ code: 'can-unsafe' });
	});
	it('sends an expired medicine to a pharmacy', () => {
		expect(lotWith('cough syrup bb 01/26')).toMatchObject({
			code: 'medicine-expired',
			verdict: 'hazardous'
		});
	});
	it('counts what was opened too long ago', () => {
		expect(lotWith('leftovers', { states: ['open'] }, { openedOn: '2026-02-20' })).toMatchObject({
			code: 'opened-too-long',
			verdict: 'discard',
			strength: 3
		});
	});
	it('names the surplus of a tool, not of forks', () => {
		expect(lotWith('3 ladle')).toMatchObject({ code: 'more-than-used', facts: { surplus: 2 } });
		expect(lotWith('12 forks')).toBeUndefined();
	});
	it('says what was not used for a year', () => {
		expect(lotWith('1 ladle', {}, { lastUsedOn: '2024-12-01' })).toMatchObject({
			code: 'unused-long',
			facts: { months: 14 }
		});
	});
	it('moves a cleaner away from food', () => {
		const nookId = Object.keys(bareKitchen().nooks)[0]!;
		const home = withLines(bareKitchen(), ['penne', 'bleach'], nookId);
		const bleach = Object.values(home.lots).find(
			(lot) => home.things[lot.thingId]!.name === 'bleach'
		)!;
		expect(
			adviseLot({ home, lot: bleach, thing: home.things[bleach.thingId]!, today: TODAY })[0]
		).toMatchObject({ code: 'hazard-apart', verdict: 'move' });
	});
	it('has nothing to say of what is well', () => expect(lotWith('penne bb 02/28')).toBeUndefined());
});

describe('lines as they are typed', () => {
	it.each([
		['honey half a jar', 0.5, 'honey', 'food.spreads'],
		['jam 1/2 jar', 0.5, 'jam', 'food.spreads'],
		['nearly full bottle ketchup', 1, 'ketchup', 'food.sauces'],
		['3 saucepans w lids', 3, 'saucepans w lids', 'kitchen.pots'],
		['4 baby bottles', 4, 'baby bottles', 'home.baby'],
		['1 castor sugar', 1, 'castor sugar', 'food.baking'],
		['1 caster suger', 1, 'caster suger', 'food.baking'],
		['1 toilet bleech', 1, 'toilet bleech', 'kitchen.bleach']
	])('%s', (text, count, name, category) =>
		expect(read(text).line).toMatchObject({ count, name, category })
	);
	it('an end that is a date stays one', () =>
		expect(read('milk 1/2/26').line).toMatchObject({ count: 1, printed: { on: '2026-02-01' } }));
	it('what a person chooses takes no danger away that the name warns of', () => {
		for (const [name, hazard] of [
			['toilet bleech', 'bleach'],
			['paracetmol', 'medicine'],
			['drain cleaner', 'bleach']
		] as const) {
			expect(kindOf(name, { [readingKey(name)]: 'kitchen.cleaning' }).hazards).toContain(hazard);
			const home = apply(
				withLines(bareKitchen(), [`1 ${name}`], null),
				(draft) => void tellKind(Object.keys(draft.things)[0]!, 'food.baking')(draft)
			);
			expect(Object.values(home.things)[0]!.hazards).toContain(hazard);
		}
		// A known name is only what it is: tablets of a cleaner are no medicine.
		for (const name of ['dishwasher tablets', 'bleach tablets', 'laundry tablets'])
			expect(traitsOf(name, '', kindOf(name).category).hazards, name).not.toContain('medicine');
		// A word that only hints gives way.
		expect(kindOf('acid drops', { [readingKey('acid drops')]: 'food.snacks' }).hazards).toEqual([]);
	});
});

describe('deciding', () => {
	const ids = { decision: 'd1', event: 'e1' };
	const base = { advice: null, wantAgain: false, toNookId: null, ids, now: NOW };
	it('takes out of stock what leaves, and logs it', () => {
		const home = tinyHome();
		const lot = Object.values(home.lots)[0]!;
		const after = apply(home, decide({ ...base, lotId: lot.id, verdict: 'discard' }));
		expect(after.lots[lot.id]!.count).toBe(0);
		expect(after.useEvents['e1']).toMatchObject({ count: lot.count, kind: 'discard' });
		expect(after.decisions['d1']).toMatchObject({ verdict: 'discard', count: lot.count });
	});
	it('conserves stock: what is left and what was logged is what was there', () => {
		const home = tinyHome();
		const verdicts = fc.array(
			fc.constantFrom('keep', 'discard', 'give', 'move', 'hold') as fc.Arbitrary<'keep'>,
			{ minLength: 12, maxLength: 12 }
		);
		fc.assert(
			fc.property(verdicts, (list) => {
				const after = Object.keys(home.lots).reduce(
					(now, lotId, i) =>
						apply(
							now,
							decide({
								...base,
								lotId,
								verdict: list[i]!,
								ids: { decision: `d${i}`, event: `e${i}` }
							})
						),
					home
				);
				const sum = (h: typeof home) =>
					Object.values(h.lots).reduce((total, lot) => total + lot.count, 0);
				const logged = Object.values(after.useEvents).reduce(
					(total, event) => total + event.count,
					0
				);
				expect(sum(after) + logged).toBe(sum(home));
			}),
			{ seed: 43, numRuns: 25 }
		);
	});
	it('lists what is still open in a place', () => {
		const nookId = Object.keys(bareKitchen().nooks)[0]!;
		const home = withLines(bareKitchen(), ['penne', 'rice'], nookId);
		const [first, second] = Object.keys(home.lots);
		const after = apply(home, decide({ ...base, lotId: first!, verdict: 'keep' }));
		expect(undecidedLots(after, nookId, NOW, TODAY)).toEqual([second]);
	});
	it('keeps what was moved without a place open on the table', () => {
		const nookId = Object.keys(bareKitchen().nooks)[0]! as never;
		const home = withLines(bareKitchen(), ['penne'], nookId);
		const lotId = Object.keys(home.lots)[0]!;
		const onTable = apply(home, decide({ ...base, lotId, verdict: 'move' }));
		expect(undecidedLots(onTable, null, NOW, TODAY)).toEqual([lotId]);
		const there = apply(home, decide({ ...base, lotId, verdict: 'move', toNookId: nookId }));
		expect(undecidedLots(there, null, NOW, TODAY)).toEqual([]);
	});
	it('sums a tally', () => {
		const home = tinyHome();
		const after = apply(
			home,
			decide({ ...base, lotId: Object.keys(home.lots)[0]!, verdict: 'give' })
		);
		const [line] = tally(after, Object.values(after.decisions));
		expect(line).toMatchObject({ verdict: 'give', things: 6, lostMinor: 0 });
		expect(line!.volumeMl).toBeCloseTo((6 * 80 * 80 * 110) / 1000);
	});
});

it('estimates a place by its things', () =>
	expect(estimateClear({ things: 40 })).toMatchObject({ minutes: 56, parts: { look: 20 } }));

describe('frozen goods', () => {
	it('are a thing apart from the same goods fresh', () => {
		const home = withLines(bareKitchen(), [
			'2 mince ub 05/03/26',
			'3 mince frozen 01/02/26',
			'1 mince frozen 02/02/26',
			'2 frozen peas bb 01/27'
		]);
		const things = Object.values(home.things);
		expect(things.map(({ name }) => name).sort()).toEqual([
			'frozen peas',
			'mince',
			'mince, frozen'
		]);
		const needs = (name: string) => things.find((thing) => thing.name === name)!.needs;
		expect(needs('mince')).toContain('chilled');
		expect(needs('mince, frozen')).toEqual(expect.arrayContaining(['frozen']));
		expect(needs('mince, frozen')).not.toContain('chilled');
		const lots = Object.values(home.lots).filter(
			({ thingId }) => home.things[thingId]!.name === 'mince, frozen'
		);
		expect(lots.reduce((sum, { count }) => sum + count, 0)).toBe(4);
	});
});

describe('a date without a word before it', () => {
	it.each([
		['2 yoghurt 30.11.26', '2026-11-30', 'yoghurt'],
		['yoghurt 2026-11-30', '2026-11-30', 'yoghurt'],
		['3 tins chopped tomatoes 400g 11/2026', '2026-11-30', 'chopped tomatoes'],
		['penne nov 2026', '2026-11-30', 'penne'],
		['28 Nov 2026 cheddar', '2026-11-28', 'cheddar'],
		['rice 03/27', '2027-03-31', 'rice']
	])('%s', (text, on, name) => {
		const { line, issues } = read(text);
		expect(issues).toEqual([]);
		expect(line).toMatchObject({ name, printed: { on, kind: 'best-before' } });
	});
	it('that cannot be is said, not taken for a name', () => {
		expect(read('yoghurt 31/02/27').issues).toMatchObject([{ code: 'date-does-not-exist' }]);
		expect(read('yoghurt 03/04/27', null).issues).toMatchObject([{ code: 'date-ambiguous' }]);
	});
	it.each([
		['1/2 cabbage', 'cabbage'],
		['4 x 400 g kidney beans', 'kidney beans'],
		['2 size 7.5 trays', 'size 7.5 trays'],
		['vitamin b12', 'vitamin b12'],
		['1 may basket', 'may basket']
	])('is not seen where there is none: %s', (text, name) => {
		const { line } = read(text);
		expect(line.printed).toBeNull();
		expect(line.name).toContain(name);
	});
});

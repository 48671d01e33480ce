import { describe, expect, it } from 'vitest';
import { CATEGORIES, categoryOf, wordStems } from '../model';
import { CONDITIONS, DANGER_ROWS, HEADS, exactKey, kindOf, LEXICON, namesOf, readingKey } from '.';
import { SIZES } from './lexicon';
import { corrected, isOneSlip } from './spelling';

const codes = new Set(CATEGORIES.map(({ code }) => code));
const categoryFor = (name: string) => kindOf(name).category;

describe('the lexicon', () => {
	const names = LEXICON.flatMap(namesOf);
	it('names at least 5,000 things over every category that can be stored', () => {
		expect(new Set(names).size).toBeGreaterThanOrEqual(5000);
		const named = new Set(LEXICON.map((row) => row.of));
		const bare = CATEGORIES.filter(({ code }) => !named.has(code)).map(({ code }) => code);
		expect(bare).toEqual(['home.unknown']);
	});
	it('has complete rows: categories that exist, names that are words, sizes above nothing', () => {
		for (const row of LEXICON) {
			expect(codes.has(row.of), row.of).toBe(true);
			for (const mm of row.sizeMm ?? []) expect(mm).toBeGreaterThan(0);
			for (const name of namesOf(row)) expect(wordStems(name).length, name).toBeGreaterThan(0);
		}
	});
	it('is unambiguous: no name stands twice', () => {
		const seen = new Map<string, string>();
		const twice = LEXICON.flatMap((row) =>
			namesOf(row).filter((name) => {
				const key = exactKey(name);
				const other = seen.get(key);
				seen.set(key, row.of);
				return other !== undefined;
			})
		);
		expect(twice).toEqual([]);
	});
	it('reads every one of its names as what it says, surely', () => {
		const wrong = LEXICON.flatMap((row) =>
			namesOf(row)
				.map((name) => ({ name, kind: kindOf(name) }))
				.filter(({ kind }) => kind.category !== row.of || !kind.sure)
				.map(({ name, kind }) => `${name}: ${kind.category}`)
		);
		expect(wrong).toEqual([]);
	});
	it('leads conditions, heads and dangers to categories that exist', () => {
		const used = [
			...Object.values(CONDITIONS).flatMap((row) => [
				...Object.keys(row.move).filter((from) => from !== '*'),
				...Object.values(row.move),
				...(row.berries ? [row.berries] : [])
			]),
			...Object.keys(HEADS.sure),
			...Object.values(HEADS.loose).flatMap((row) => [
				...row.else,
				...(row.food ? [row.food] : [])
			]),
			...DANGER_ROWS.map((row) => row.category)
		];
		expect(used.filter((code) => !codes.has(code))).toEqual([]);
	});
});

describe('what a name is', () => {
	it.each([
		['chopped tomatoes', 'food.cans-veg'],
		['bread knife', 'kitchen.knives'],
		['washing-up liquid', 'kitchen.cleaning'],
		['tooth paste', 'bathroom.face'],
		['golden syrup', 'food.spreads'],
		['cream soda', 'food.drinks'],
		['spirit vinegar', 'food.oils'],
		['coffee capsules', 'food.hot-drinks'],
		['dried chillis', 'food.spices']
	])('the lexicon knows “%s”', (name, code) =>
		expect(kindOf(name)).toMatchObject({ category: code, sure: true })
	);
	it.each([
		['cheese slicer', 'kitchen.tools'],
		['chocolate mould', 'kitchen.bakeware'],
		['fish kettle', 'kitchen.pots'],
		['honey shampoo', 'bathroom.hair'],
		['cherry wood chopping board', 'kitchen.boards'],
		['chicken in lemon jelly', 'food.raw-meat'],
		['jar of green olives', 'food.cans-veg'],
		['tomato and basil soup', 'food.soups'],
		['salmon treats for cats', 'food.pet'],
		['dog raincoat', 'home.pet-care']
	])('the last words decide what “%s” is', (name, code) =>
		expect(kindOf(name)).toMatchObject({ category: code, sure: true })
	);
	it.each([
		['frozen leeks', 'food.frozen-veg'],
		['frozen redcurrants', 'food.frozen-fruit'],
		['frozen turkey mince', 'food.frozen-meat'],
		['tinned mackerel', 'food.cans-fish'],
		['tin of potatoes', 'food.cans-veg'],
		['dried pears', 'food.snacks'],
		['smoked eel', 'food.deli'],
		['leftover shepherds pie', 'food.deli'],
		['vegan burgers', 'food.deli'],
		['fresh oregano', 'food.salad'],
		['pickled radishes', 'food.cans-veg']
	])('a word of condition moves “%s”', (name, code) => expect(categoryFor(name)).toBe(code));
	it.each([
		['brocoli florets', 'food.salad'],
		['spagetti', 'food.grains'],
		['washing pwder', 'kitchen.cleaning']
	])('a slip of spelling is put right in “%s”', (name, code) =>
		expect(categoryFor(name)).toBe(code)
	);
	it('is not sure where a short word may be another, or an end may be of anything', () => {
		expect(kindOf('squib').sure).toBe(false);
		expect(kindOf('borage oil')).toMatchObject({ sure: false });
		expect(kindOf('borage oil').choices.length).toBeGreaterThan(1);
		expect(kindOf('toilet duck').sure).toBe(false);
	});
	it('says nothing of a word it does not know', () =>
		expect(kindOf('quux')).toMatchObject({ category: null, sure: false, choices: [] }));
	it('takes what the home was told before all else', () => {
		const readings = { [readingKey('Chillies')]: 'food.salad' };
		expect(kindOf('chilli', readings)).toMatchObject({ category: 'food.salad', sure: true });
		expect(kindOf('chilli').category).toBe('food.spices');
	});
	it('gives common names a size of their own, every one of the table', () => {
		for (const { name, piece, massG } of SIZES) {
			const found = kindOf(name);
			expect([name, found.piece, found.massG]).toEqual([name, piece, massG]);
		}
	});
	it('gives the usual size and mass of the kind', () => {
		const oil = kindOf('walnut oil');
		expect(oil.piece).toEqual(categoryOf('food.oils').piece);
		expect(oil.massG).toBe(950);
	});
});

describe('slips of spelling', () => {
	it.each([
		['broccoli', 'brocoli', true],
		['cheddar', 'chedder', true],
		['yeast', 'yaest', true],
		['salt', 'salt', false],
		['salt', 'slta', false]
	])('%s and %s: %s', (a, b, is) => expect(isOneSlip(a, b)).toBe(is));
	it('is not corrected when two words are as near', () => {
		expect(corrected('cheddr')).toBe('cheddar');
		expect(corrected('abcde')).toBeNull();
	});
});

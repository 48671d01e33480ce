import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NOW } from '../fixtures/tiny-home';
import { splitItems } from './split-items';

const context = { order: 'dmy', today: NOW.slice(0, 10) } as const;
const split = (text: string) => splitItems(text, context);

describe('several things on one line', () => {
	it.each([
		['12 forks, 12 knives, 12 spoons', ['12 forks', '12 knives', '12 spoons']],
		['knives forks spoons', ['knives', 'forks', 'spoons']],
		['forks knives and spoons', ['forks', 'knives', 'spoons']],
		['cups and saucers', ['cups and saucers']],
		['paper towels rolls', ['paper towels rolls']],
		['milk; 2 butter ; eggs', ['milk', '2 butter', 'eggs']],
		['12 forks, 12 knives, one bent', ['12 forks', '12 knives, one bent']],
		['two saucepans, a whisk', ['two saucepans', 'a whisk']],
		['6 glasses, one chipped', ['6 glasses, one chipped']],
		['jam, opened 3 Mar', ['jam, opened 3 Mar']],
		['eggs, 12 large', ['eggs, 12 large']],
		['1,5 kg flour', ['1,5 kg flour']],
		['2 jam owner "Ann; Bob", 3 honey', ['2 jam owner "Ann; Bob"', '3 honey']],
		[' ; , ', [',']],
		['', []]
	])('%s', (text, items) => expect(split(text)).toEqual(items));
	it('loses no word, and splits no part of a split again', () => {
		const word = fc.constantFrom(
			'12 forks',
			'3 jam',
			'one bent',
			'best before 3/27',
			'milk',
			'2 whisks'
		);
		fc.assert(
			fc.property(
				fc.array(word, { minLength: 1, maxLength: 5 }),
				fc.constantFrom(', ', '; '),
				(words, mark) => {
					const items = split(words.join(mark));
					expect(items.join(mark)).toBe(words.join(mark));
					for (const item of items) expect(split(item)).toEqual([item]);
				}
			)
		);
	});
});

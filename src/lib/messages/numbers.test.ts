import { expect, it } from 'vitest';
import { formatMoney, formatVolume } from '../core/model';
import { countText, signedText, tenthsText, wholeText } from './numbers';

it('writes numbers as precise as they are useful', () => {
	expect([wholeText(7341.2), wholeText(0.4), tenthsText(1234.56), tenthsText(3)]).toEqual([
		'7,341',
		'0',
		'1,234.6',
		'3'
	]);
	expect([signedText(12.4), signedText(-12.6), signedText(0)]).toEqual(['+12', '−13', '±0']);
	expect([
		countText(1, 'place'),
		countText(2000, 'place'),
		countText(2, 'shelf', 'shelves')
	]).toEqual(['1 place', '2,000 places', '2 shelves']);
});
it('writes litres and money without digits that say nothing', () => {
	expect([999, 999.6, 4130, 9949, 9951, 36_100, 5_134_900].map(formatVolume)).toEqual([
		'999 ml',
		'1.0 l',
		'4.1 l',
		'9.9 l',
		'10 l',
		'36 l',
		'5,135 l'
	]);
	expect([1250, 1200, 11_149, 99].map((minor) => formatMoney(minor, 'EUR'))).toEqual([
		'€12.50',
		'€12',
		'€111',
		'€0.99'
	]);
});

import { afterEach, describe, expect, it } from 'vitest';
import { dateText } from '../../messages/clearing';
import { tenthsText, wholeText } from '../../messages/numbers';
import { REGIONS } from './customs';
import { weekBegins } from './dates';
import { writeAsIn } from './locale';
import { formatMass, formatMoney, formatVolume } from './units';

afterEach(() => writeAsIn(null));
const written = () => [
	wholeText(12_345),
	tenthsText(2.5),
	formatVolume(4250),
	formatMass(2500),
	formatMoney(1250, 'EUR'),
	dateText('2027-03-31')
];

describe('figures and dates', () => {
	it('are written as in the region that is said, and as usual where none is', () => {
		const usual = written();
		expect(usual).toEqual(['12,345', '2.5', '4.3 l', '2.5 kg', '€12.50', '31 Mar 2027']);
		writeAsIn('DE');
		expect(written()).toEqual(['12.345', '2,5', '4,3 l', '2,5 kg', '€12,50', '31 Mar 2027']);
		writeAsIn('US');
		expect(written().at(-1)).toBe('Mar 31, 2027');
		writeAsIn('XX');
		expect(written()).toEqual(usual);
	});
	it('are known for every region of the table: no locale falls back to another', () => {
		for (const { locale, code } of REGIONS) {
			expect(new Intl.NumberFormat(locale).resolvedOptions().locale, code).toBe(locale);
			expect(Intl.supportedValuesOf('currency')).toContain(
				REGIONS.find((region) => region.code === code)!.currency
			);
		}
		expect(new Set(REGIONS.map(({ code }) => code)).size).toBe(REGIONS.length);
	});
});
describe('a week', () => {
	it('begins on the day that is said: never after the day, never a week before it', () => {
		// 2026-11-27 is a Friday.
		expect(weekBegins('2026-11-27', 'monday')).toBe('2026-11-23');
		expect(weekBegins('2026-11-27', 'sunday')).toBe('2026-11-22');
		expect(weekBegins('2026-11-27', 'saturday')).toBe('2026-11-21');
		expect(weekBegins('2026-11-23', 'monday')).toBe('2026-11-23');
		expect(weekBegins('2027-01-01', 'sunday')).toBe('2026-12-27');
	});
});

import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import {
	formatLength,
	formatMass,
	formatMoney,
	formatVolume,
	parseLength,
	parseLengths,
	type LengthUnit
} from './units';

const mm = (text: string, bare: LengthUnit = 'mm') => {
	const result = parseLength(text, bare);
	return result.ok ? result.mm : result.issue.code;
};

describe('parseLength', () => {
	it.each([
		['598', 598],
		['59.8 cm', 598],
		['59,8cm', 598],
		['23 1/2"', 597],
		[`1' 11 1/2"`, 597],
		['23.5in', 597],
		['1/2"', 13],
		['2 ft', 610],
		['0.6 m', 600],
		['1 m 20 cm', 1200],
		['23-1/2"', 597],
		['12 inches', 305],
		['0', 0]
	])('reads %s as %i mm', (text, expected) => expect(mm(text)).toBe(expected));

	it('takes a bare number in the unit of the home', () => {
		expect(mm('23 1/2', 'in')).toBe(597);
		expect(mm('60', 'cm')).toBe(600);
		expect(mm(`1' 11`, 'mm')).toBe(584);
	});

	it.each([
		['', 'length-empty'],
		['wide', 'length-unreadable'],
		['12 apples', 'length-unreadable'],
		['-5', 'length-negative'],
		['5 mm 3 m', 'length-unreadable'],
		['10 20', 'length-unreadable'],
		['1/0"', 'length-unreadable'],
		['101 m', 'length-too-large']
	])('refuses “%s” with %s', (text, code) => expect(mm(text)).toBe(code));

	it('reads back what formatLength writes, within a millimetre', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 99_000 }),
				fc.constantFrom<LengthUnit>('mm', 'cm', 'in'),
				(length, unit) => {
					const result = parseLength(formatLength(length, unit), unit);
					return result.ok && Math.abs(result.mm - length) <= 1;
				}
			),
			{ seed: 11 }
		);
	});

	it('never throws, whatever is typed', () => {
		fc.assert(
			fc.property(fc.string(), (text) => typeof parseLength(text).ok === 'boolean'),
			{ seed: 12 }
		);
	});
});

describe('formatting', () => {
	it('writes inches as fractions to a sixteenth', () => {
		expect(formatLength(597, 'in')).toBe('23 1/2"');
		expect(formatLength(254, 'in')).toBe('10"');
		expect(formatLength(13, 'in')).toBe('1/2"');
	});
	it('carries a unit with every figure', () => {
		expect(formatVolume(4250)).toBe('4.3 l');
		expect(formatVolume(250)).toBe('250 ml');
		expect(formatMass(2500)).toBe('2.5 kg');
		expect(formatMoney(1250, 'EUR')).toBe('€12.50');
	});
});

describe('lengths as people measure', () => {
	it.each([
		['6 1/8', 'mm', 156],
		['6 1/8', 'cm', 156],
		['⅛', 'mm', 3],
		['6⅛', 'in', 156],
		['6 ½ cm', 'mm', 65],
		['5/8', 'mm', 16]
	] as const)('%s typed where %s are used is %d mm', (text, unit, mm) =>
		expect(parseLength(text, unit)).toEqual({ ok: true, mm })
	);
	it.each([
		['564 x 512 x 276', 'mm', [564, 512, 276]],
		['56.4×51.2×27.6 cm', 'mm', [564, 512, 276]],
		['12 by 8 1/2"', 'mm', [305, 216]],
		['22 1/4 x 20 x 10 7/8', 'in', [565, 508, 276]],
		['598', 'mm', [598]],
		['564 512 276', 'mm', [564, 512, 276]],
		['23 1/2', 'in', [597]],
		['30cm x 200mm', 'mm', [300, 200]]
	] as const)('%s is several at once', (text, unit, mm) =>
		expect(parseLengths(text, unit)).toEqual({ ok: true, mm })
	);
	it('names the part of several that is none', () =>
		expect(parseLengths('564 x wide', 'mm')).toMatchObject({
			ok: false,
			issue: { code: 'length-unreadable', text: 'wide' }
		}));
});

import { numberFormat } from '../core/model';

const WHOLE = numberFormat({ maximumFractionDigits: 0 });
const TENTHS = numberFormat({ maximumFractionDigits: 1 });

/** By their decimals: 0, 1, 2. */
const FIXED = [0, 1, 2].map((digits) =>
	numberFormat({ minimumFractionDigits: digits, maximumFractionDigits: digits })
);

/** A number with just so many decimals, 0 to 2. @example fixedText(3, 1) // '3.0' */
export const fixedText = (value: number, digits: 0 | 1 | 2): string =>
	FIXED[digits]!().format(value);

/** A whole number with its thousands set apart. @example wholeText(7341.2) // '7,341' */
export const wholeText = (value: number): string => WHOLE().format(Math.round(value));

/** A number with one decimal where it has one. @example tenthsText(1234.56) // '1,234.6' */
export const tenthsText = (value: number): string => TENTHS().format(value);

/** A difference with its sign. @example signedText(-12.4) // '−12' */
export const signedText = (value: number): string => {
	const sign = value > 0 ? '+' : value < 0 ? '−' : '±';
	return `${sign}${wholeText(Math.abs(value))}`;
};

/** A count with its noun. @example countText(1, 'place') // '1 place' */
export const countText = (count: number, one: string, many = `${one}s`): string =>
	`${wholeText(count)} ${count === 1 ? one : many}`;

/** Writes so many of a list, and how many more there are. @example listText(['a', 'b', 'c'], 2) // 'a, b and 1 more' */
export const listText = (all: readonly string[], shown: number): string =>
	all.length > shown
		? `${all.slice(0, shown).join(', ')} and ${all.length - shown} more`
		: all.join(', ');

/** Writes words as the beginning of a line. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

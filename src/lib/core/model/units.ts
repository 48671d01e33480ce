import { figureSigns, numberFormat } from './locale';

export type LengthUnit = 'mm' | 'cm' | 'in';

const MM_PER: Record<string, number> = {
	mm: 1,
	cm: 10,
	m: 1000,
	in: 25.4,
	'"': 25.4,
	'″': 25.4,
	'”': 25.4,
	ft: 304.8,
	"'": 304.8,
	'′': 304.8,
	'’': 304.8
};

export type LengthIssue = {
	readonly code: 'length-empty' | 'length-unreadable' | 'length-negative' | 'length-too-large';
	readonly text: string;
};
export type LengthResult =
	{ readonly ok: true; readonly mm: number } | { readonly ok: false; readonly issue: LengthIssue };

const MAX_MM = 100_000;
const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const FRACTION = String.raw`\d+\s*[/⁄]\s*\d+`;
/** Fractions that have a sign of their own. */
const FRACTION_MARKS: Readonly<Record<string, string>> = {
	'½': '1/2',
	'¼': '1/4',
	'¾': '3/4',
	'⅛': '1/8',
	'⅜': '3/8',
	'⅝': '5/8',
	'⅞': '7/8',
	'⅓': '1/3',
	'⅔': '2/3'
};
const MARKS = new RegExp(`\\s*([${Object.keys(FRACTION_MARKS).join('')}])`, 'g');
/** Halves to sixteenths: a fraction without a unit is one of inches, whatever the home measures in. */
const INCH_FRACTION = /[/⁄]\s*(?:2|4|8|16|32)\b/;
const UNIT = String.raw`mm|cm|m|in(?:ch(?:es)?)?|ft|feet|foot|["″”'′’]`;
// One part is a number, a fraction, or both, and then perhaps a unit: 23 1/2"
const PART = new RegExp(
	String.raw`^\s*(?:(${NUMBER})(?:\s+|-)(${FRACTION})|(${FRACTION})|(${NUMBER}))\s*(${UNIT})?`,
	'i'
);

const readNumber = (text: string) => Number(text.replace(',', '.'));
function readFraction(text: string): number {
	const [top, bottom] = text.split(/[/⁄]/).map(Number);
	return bottom ? top! / bottom : NaN;
}
function unitName(text: string): string {
	const low = text.toLowerCase();
	if (low.startsWith('in')) return 'in';
	return low === 'feet' || low === 'foot' ? 'ft' : low;
}

/**
 * Reads a length as people type it and gives whole millimetres, rounded to nearest.
 * Accepts decimals with point or comma, fractions, and feet followed by inches.
 * A number without a unit is in `bare`; after feet it is in inches, and so is one with a fraction of halves to 32nds.
 * Fails for anything else, for a negative length and for one over 100 m.
 * @example parseLength(`1' 11 1/2"`, 'mm') // { ok: true, mm: 597 }
 */
export function parseLength(text: string, bare: LengthUnit = 'mm'): LengthResult {
	const fail = (code: LengthIssue['code']): LengthResult => ({ ok: false, issue: { code, text } });
	let rest = text.replace(MARKS, (_, mark: string) => ` ${FRACTION_MARKS[mark]}`).trim();
	if (!rest) return fail('length-empty');
	if (/^[-−]/.test(rest)) return fail('length-negative');
	let mm = 0;
	let smallest = Infinity;
	while (rest) {
		const found = PART.exec(rest);
		if (!found) return fail('length-unreadable');
		const [all, whole, mixed, fraction, number, unit] = found;
		const value =
			whole !== undefined
				? readNumber(whole) + readFraction(mixed!)
				: fraction !== undefined
					? readFraction(fraction)
					: readNumber(number!);
		const afterFeet = smallest === MM_PER.ft;
		const isInches = afterFeet || INCH_FRACTION.test(mixed ?? fraction ?? '');
		const mmPer = MM_PER[unit ? unitName(unit) : isInches ? 'in' : bare]!;
		// Parts go from large to small; `5mm 3m` is a slip, not a sum.
		if (mmPer >= smallest || !Number.isFinite(value)) return fail('length-unreadable');
		if (smallest !== Infinity && !unit && !isInches) return fail('length-unreadable');
		smallest = mmPer;
		mm += value * mmPer;
		rest = rest.slice(all.length).trim();
	}
	if (mm > MAX_MM) return fail('length-too-large');
	return { ok: true, mm: Math.round(mm) };
}

const BETWEEN = /\s*(?:[x×*]|\bby\b|[;\n])\s*/i;

export type LengthsResult =
	| { readonly ok: true; readonly mm: readonly number[] }
	| { readonly ok: false; readonly issue: LengthIssue };
/**
 * Reads several lengths in a row, with `x`, `by`, a semicolon or only gaps between them; a unit at the end holds for all that have
 * none, unless one of them is a fraction of inches.
 * @example parseLengths('56.4 x 51.2 x 27.6 cm', 'mm') // { ok: true, mm: [564, 512, 276] }
 */
export function parseLengths(text: string, bare: LengthUnit = 'mm'): LengthsResult {
	// Plain numbers with gaps between them are several too; `23 1/2` is one.
	const isRow = /^\s*\d+(?:[.,]\d+)?(?:\s+\d+(?:[.,]\d+)?){1,2}\s*$/.test(text);
	const parts = text.trim().split(isRow ? /\s+/ : BETWEEN);
	const unit = /(mm|cm|in(?:ch(?:es)?)?|["″”])\s*$/i.exec(text)?.[1];
	const mm: number[] = [];
	for (const part of parts) {
		const hasUnit = /[a-z"″”'′’]\s*$/i.test(part);
		const read = parseLength(!hasUnit && unit && part ? `${part} ${unit}` : part, bare);
		if (!read.ok) return read;
		mm.push(read.mm);
	}
	return { ok: true, mm };
}

const commonDivisor = (a: number, b: number): number => (b ? commonDivisor(b, a % b) : a);

function formatInches(mm: number): string {
	const sixteenths = Math.round((mm / 25.4) * 16);
	const whole = Math.floor(sixteenths / 16);
	const part = sixteenths % 16;
	if (!part) return `${whole}"`;
	const by = commonDivisor(part, 16);
	const fraction = `${part / by}/${16 / by}`;
	return whole ? `${whole} ${fraction}"` : `${fraction}"`;
}

/**
 * Writes whole millimetres in the unit the user chose; inches as fractions to 1/16.
 * What it writes, `parseLength` reads back to within 1 mm.
 * @example formatLength(597, 'in') // '23 1/2"'
 */
export function formatLength(mm: number, unit: LengthUnit): string {
	if (unit === 'in') return formatInches(mm);
	if (unit === 'cm') return `${UP_TO_TENTHS().format(mm / 10)} cm`;
	return `${Math.round(mm)} mm`;
}

const TENTHS = numberFormat({ minimumFractionDigits: 1, maximumFractionDigits: 1 });
const WHOLE = numberFormat({ maximumFractionDigits: 0 });
/** At most one decimal, and nothing that parts the thousands: what is written can be typed. */
const UP_TO_TENTHS = numberFormat({ maximumFractionDigits: 1, useGrouping: false });

/**
 * Writes a volume with its unit: millilitres below one litre, litres with one decimal below ten.
 * @example formatVolume(4250) // '4.3 l'; formatVolume(36_100) // '36 l'
 */
export function formatVolume(ml: number): string {
	if (Math.round(ml) < 1000) return `${Math.round(ml)} ml`;
	return `${(ml < 9950 ? TENTHS : WHOLE)().format(ml / 1000)} l`;
}

/** Writes a mass with its unit: grams below one kilogram. @example formatMass(2500) // '2.5 kg' */
export function formatMass(g: number): string {
	return g < 1000 ? `${Math.round(g)} g` : `${UP_TO_TENTHS().format(g / 1000)} kg`;
}

const moneyBy = new Map<string, () => Intl.NumberFormat>();
/** From here on the small coins say nothing, minor units. */
const WHOLE_FROM_MINOR = 10_000;

/**
 * Writes money from minor units, without small coins where there are none and from a hundred up.
 * @example formatMoney(1250, 'EUR') // '€12.50'; formatMoney(11_149, 'EUR') // '€111'
 */
export function formatMoney(minor: number, currency: string): string {
	const whole = Math.abs(minor) >= WHOLE_FROM_MINOR;
	const key = `${currency}/${whole}`;
	const known = moneyBy.get(key);
	const format =
		known ??
		numberFormat({
			style: 'currency',
			currency,
			trailingZeroDisplay: 'stripIfInteger',
			...(whole ? { maximumFractionDigits: 0 } : {})
		});
	if (!known) moneyBy.set(key, format);
	const signs = figureSigns();
	return format()
		.formatToParts(minor / 100)
		.map(({ type, value }) => (type === 'decimal' || type === 'group' ? signs[type] : value))
		.join('');
}

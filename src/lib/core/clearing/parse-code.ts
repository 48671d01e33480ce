import { calendarDate, lastDayOfMonth } from '../model';

/** What a code on a pack says. */
export interface CodeFacts {
	/** 14 digits, with leading zeros; null when the code names no product. */
	readonly gtin: string | null;
	readonly bestBefore: string | null;
	readonly useBy: string | null;
	readonly batch: string | null;
	readonly serial: string | null;
	readonly count: number | null;
	/** Net weight of a weighed pack, g. */
	readonly massG: number | null;
}
export type CodeIssue =
	| { readonly code: 'code-unreadable'; readonly text: string }
	| { readonly code: 'code-length'; readonly text: string; readonly digits: number }
	| {
			readonly code: 'code-check-digit';
			readonly text: string;
			readonly found: number;
			readonly expected: number;
	  }
	| {
			readonly code: 'code-cut-short';
			readonly text: string;
			readonly field: string;
			readonly need: number;
			readonly have: number;
	  }
	| { readonly code: 'code-unknown-field'; readonly text: string; readonly field: string }
	| { readonly code: 'code-date'; readonly text: string; readonly digits: string };
export type CodeResult =
	| { readonly ok: true; readonly facts: CodeFacts }
	| { readonly ok: false; readonly issue: CodeIssue };

const LENGTHS = new Set([8, 12, 13, 14]);
/** Application identifiers that are read: digits of the value, or the most of a variable one. */
const FIELDS: Readonly<Record<string, { readonly fixed?: number; readonly most?: number }>> = {
	'00': { fixed: 18 },
	'01': { fixed: 14 },
	'02': { fixed: 14 },
	'10': { most: 20 },
	'11': { fixed: 6 },
	'12': { fixed: 6 },
	'13': { fixed: 6 },
	'15': { fixed: 6 },
	'16': { fixed: 6 },
	'17': { fixed: 6 },
	'20': { fixed: 2 },
	'21': { most: 20 },
	'30': { most: 8 },
	'37': { most: 8 },
	'240': { most: 30 },
	...Object.fromEntries(Array.from({ length: 6 }, (_, i) => [`310${i}`, { fixed: 6 }]))
};
const SEPARATOR = '\u001d';

/**
 * Computes the check digit of the digits before it: weights 3 and 1 in turn from the right, filled up to ten.
 * @example checkDigit('200000000001') // 7
 */
export function checkDigit(body: string): number {
	const sum = [...body].reverse().reduce((s, digit, i) => s + Number(digit) * (i % 2 ? 1 : 3), 0);
	return (10 - (sum % 10)) % 10;
}

/** Whether a number is of the range that is kept for use within one store: 020–029, 040–049 and 200–299. */
export const isInStore = (gtin14: string): boolean => /^0(?:2|02|04)/.test(gtin14);

class BadCode extends Error {
	constructor(readonly issue: CodeIssue) {
		super(issue.code);
	}
}
const refuse = (issue: CodeIssue): never => {
	throw new BadCode(issue);
};

function readGtin(digits: string, text: string): string {
	if (!LENGTHS.has(digits.length)) refuse({ code: 'code-length', text, digits: digits.length });
	const found = Number(digits.at(-1));
	const expected = checkDigit(digits.slice(0, -1));
	if (found !== expected) refuse({ code: 'code-check-digit', text, found, expected });
	return digits.padStart(14, '0');
}

/** Reads YYMMDD; day 00 is the last day of the month. */
function readDate(digits: string, text: string): string {
	const [year, month, day] = [0, 2, 4].map((at) => Number(digits.slice(at, at + 2))) as [
		number,
		number,
		number
	];
	const monthFits = month >= 1 && month <= 12;
	const on =
		day === 0 && monthFits
			? lastDayOfMonth(2000 + year, month)
			: calendarDate(2000 + year, month, day);
	return on && /^\d{6}$/.test(digits) ? on : refuse({ code: 'code-date', text, digits });
}

type Pair = readonly [field: string, value: string];

function factsOf(pairs: readonly Pair[], text: string): CodeFacts {
	const value = (...fields: string[]) =>
		pairs.find(([field]) => fields.includes(field))?.[1] ?? null;
	for (const [field, content] of pairs) {
		const rule = FIELDS[field];
		if (!rule) refuse({ code: 'code-unknown-field', text, field });
		const need = rule!.fixed ?? 1;
		if (content.length < need)
			refuse({ code: 'code-cut-short', text, field, need, have: content.length });
		const most = rule!.fixed ?? rule!.most!;
		if (content.length > most) refuse({ code: 'code-length', text, digits: content.length });
	}
	const gtin = value('01', '02');
	const best = value('15');
	const use = value('17');
	const weight = pairs.find(([field]) => field.startsWith('310'));
	const count = value('30', '37');
	return {
		gtin: gtin && readGtin(gtin, text),
		bestBefore: best && readDate(best, text),
		useBy: use && readDate(use, text),
		batch: value('10'),
		serial: value('21'),
		count: count && /^\d+$/.test(count) ? Number(count) : null,
		massG: weight ? Math.round((Number(weight[1]) * 1000) / 10 ** Number(weight[0].at(-1))) : null
	};
}

/** Reads `(01)...(17)...(10)...`. */
function bracketPairs(text: string): Pair[] {
	const pairs = [...text.matchAll(/\((\d{2,4})\)([^(]*)/g)].map(([, field, value]): Pair => [
		field!,
		value!.trim()
	]);
	if (pairs.map(([field, value]) => `(${field})${value}`).join('') !== text.replace(/\s+/g, ''))
		refuse({ code: 'code-unreadable', text });
	return pairs;
}

/** Reads the string as a scanner sends it: fields of fixed length run on, others end at a separator. */
function rawPairs(text: string): Pair[] {
	const pairs: Pair[] = [];
	let rest = text.replace(/^\](?:C1|d2|e0|Q3)/, '');
	while (rest) {
		if (rest.startsWith(SEPARATOR)) {
			rest = rest.slice(1);
			continue;
		}
		const field = [2, 3, 4].map((n) => rest.slice(0, n)).find((name) => FIELDS[name]);
		if (!field) return refuse({ code: 'code-unknown-field', text, field: rest.slice(0, 2) });
		rest = rest.slice(field.length);
		const { fixed } = FIELDS[field]!;
		const end = fixed ?? (rest.includes(SEPARATOR) ? rest.indexOf(SEPARATOR) : rest.length);
		pairs.push([field, rest.slice(0, end)]);
		rest = rest.slice(end);
	}
	return pairs;
}

/** Reads an address that carries the fields in its path and its query. */
function linkPairs(text: string): Pair[] {
	const url = URL.canParse(text) ? new URL(text) : refuse({ code: 'code-unreadable', text });
	const decode = (part: string) => {
		try {
			return decodeURIComponent(part);
		} catch {
			return refuse({ code: 'code-unreadable', text });
		}
	};
	const parts = url.pathname.split('/').filter(Boolean).map(decode);
	const first = parts.indexOf('01');
	if (first < 0) refuse({ code: 'code-unreadable', text });
	const path = parts.slice(first);
	const pairs: Pair[] = [];
	for (let i = 0; i < path.length; i += 2) {
		const value = path[i + 1] ?? '';
		// A shorter number of a product is allowed in an address.
		pairs.push([
			path[i]!,
			path[i] === '01' && LENGTHS.has(value.length) ? value.padStart(14, '0') : value
		]);
	}
	for (const [field, value] of url.searchParams) if (FIELDS[field]) pairs.push([field, value]);
	return pairs;
}

function read(text: string): CodeFacts {
	if (/^https?:\/\//i.test(text)) return factsOf(linkPairs(text), text);
	if (text.startsWith('(')) return factsOf(bracketPairs(text), text);
	const digits = text.replace(/[\s-]/g, '');
	if (/^\d+$/.test(digits) && digits.length <= 14)
		return { ...factsOf([], text), gtin: readGtin(digits, text) };
	if (/^\]|^01\d{14}/.test(text) || text.includes(SEPARATOR)) return factsOf(rawPairs(text), text);
	return refuse({ code: 'code-unreadable', text });
}

/**
 * Reads what a scanner or a hand gives from a pack: a number of 8, 12, 13 or 14 digits, a string of fields
 * `(01)...(17)...(10)...` with or without brackets, or an address that carries them. Its check digit must be right.
 * @example parseCode('(01)02000000000107(17)270331(10)A7').facts.useBy // '2027-03-31'
 */
export function parseCode(typed: string): CodeResult {
	const text = typed.trim();
	try {
		return { ok: true, facts: read(text) };
	} catch (error) {
		if (error instanceof BadCode) return { ok: false, issue: error.issue };
		throw error;
	}
}

/** Whether a typed line is meant as a code: digits alone, fields in brackets, or an address. */
export const looksLikeCode = (text: string): boolean =>
	/^\s*(?:\d[\d\s-]{6,}\d|\(\d{2,4}\).*|\](?:C1|d2|e0|Q3).*|01\d{12,}.*|https?:\/\/\S+)\s*$/i.test(
		text
	);

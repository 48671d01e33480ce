import { categoryFromName, type LotState } from '../model';
import { parsePrintedDate, type DateOrder, type DateResult } from './parse-date';

export interface IntakeLine {
	readonly count: number;
	/** The word that was counted, `tins`; empty when none was typed. */
	readonly countWord: string;
	readonly name: string;
	readonly size: { readonly value: number; readonly unit: 'g' | 'ml' } | null;
	readonly printed: { readonly on: string; readonly kind: 'use-by' | 'best-before' } | null;
	readonly openedOn: string | null;
	readonly states: readonly LotState[];
	/** Code of the category its name falls in; null when no word is known. */
	readonly category: string | null;
}
export type IntakeIssue =
	| { readonly code: 'intake-empty' }
	| { readonly code: 'intake-no-name'; readonly text: string }
	| { readonly code: 'intake-count'; readonly text: string }
	| Exclude<DateResult, { ok: true }>;
export interface IntakeResult {
	readonly line: IntakeLine;
	readonly issues: readonly IntakeIssue[];
}

const COUNT_WORDS =
	/^(tins?|cans?|jars?|packs?|packets?|bags?|boxes|box|bottles?|cartons?|tubs?|tubes?|pieces?|pcs?|rolls?|sachets?|bunch(?:es)?|x)$/i;
// Longest first, so that "seam dent" is not read as a plain dent.
const STATE_WORDS: readonly (readonly [RegExp, LotState])[] = [
	[
		/\b(?:seam|rim|sharp) dent(?:ed)?\b|\bdent(?:ed)? (?:on|at) (?:the )?(?:seam|rim)\b/i,
		'dented-seam'
	],
	[/\bdeep rust(?:y)?\b/i, 'deep-rust'],
	[/\bfreezer burn(?:t)?\b/i, 'freezer-burn'],
	[/\bice crystals?\b/i, 'ice-crystals'],
	[/\bwarm over 2 ?h\b/i, 'warm-over-2h'],
	[/\bno lid\b/i, 'no-lid'],
	[/\bno box\b/i, 'no-box'],
	[/\bdent(?:ed)?\b/i, 'dented'],
	[/\bbulg(?:ing|ed|e)\b/i, 'bulging'],
	[/\bleak(?:ing|s|y)?\b/i, 'leaking'],
	[/\brust(?:y|ed)?\b/i, 'rusty'],
	[/\bbroken\b/i, 'broken'],
	[/\bthawed\b/i, 'thawed'],
	[/\bopened\b|\bopen\b/i, 'open']
];
const DATE = String.raw`((?:\d{1,4}[\s./-])?(?:\d{1,2}|[a-z]{3,9})[\s./-]\d{1,4}|\d{4}-\d{2}-\d{2})`;
const DATE_WORDS: readonly (readonly [RegExp, 'use-by' | 'best-before' | 'opened'])[] = [
	[new RegExp(String.raw`\b(?:use by|ub)\s+${DATE}(?=\s|$)`, 'i'), 'use-by'],
	[
		new RegExp(String.raw`\b(?:best before|bbe?|exp(?:iry)?)\s+${DATE}(?=\s|$)`, 'i'),
		'best-before'
	],
	[new RegExp(String.raw`\bopen(?:ed)?\s+${DATE}(?=\s|$)`, 'i'), 'opened']
];
const SIZE = /\b(\d+(?:[.,]\d+)?)\s*(kg|g|ml|cl|l)\b/i;
const TO_BASE: Record<string, readonly [number, 'g' | 'ml']> = {
	kg: [1000, 'g'],
	g: [1, 'g'],
	l: [1000, 'ml'],
	cl: [10, 'ml'],
	ml: [1, 'ml']
};
const COUNT = /^(\d+(?:[.,]\d+)?)\s*(?:[x×]\s*)?(?=\S|$)/;
const MAX_COUNT = 10_000;

/**
 * Reads one line of the entry line into a count, a name, a size, dates and states; what is left over is the name.
 * Nothing throws: what could not be read stands in `issues`, with the rest still understood.
 * @example parseIntake('3 tins chopped tomatoes 400g bb 03/27 dent', 'dmy').line.name // 'chopped tomatoes'
 */
export function parseIntake(text: string, order: DateOrder): IntakeResult {
	const issues: IntakeIssue[] = [];
	let rest = ` ${text.trim()} `;
	const take = (pattern: RegExp): RegExpExecArray | null => {
		const found = pattern.exec(rest);
		if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`;
		return found;
	};
	let printed: IntakeLine['printed'] = null;
	let openedOn: string | null = null;
	for (const [pattern, kind] of DATE_WORDS) {
		const found = take(pattern);
		if (!found) continue;
		const date = parsePrintedDate(found[1]!, order);
		if (!date.ok) issues.push(date);
		else if (kind === 'opened') openedOn = date.on;
		else printed = { on: date.on, kind };
	}
	const sizeText = take(SIZE);
	const [scale, unit] = TO_BASE[sizeText?.[2]!.toLowerCase() ?? 'g']!;
	const size = sizeText
		? { value: Math.round(Number(sizeText[1]!.replace(',', '.')) * scale), unit }
		: null;
	const states = STATE_WORDS.filter(([pattern]) => take(pattern)).map(([, state]) => state);
	if (openedOn && !states.includes('open')) states.push('open');
	rest = rest.trim();
	const counted = take(COUNT);
	const count = counted ? Number(counted[1]!.replace(',', '.')) : 1;
	const words = rest.trim().split(/\s+/).filter(Boolean);
	const hasCountWord = words.length > 1 && COUNT_WORDS.test(words[0]!);
	const countWord = hasCountWord ? words.shift()! : '';
	if (words[0]?.toLowerCase() === 'of') words.shift();
	const name = words
		.join(' ')
		.replace(/^[,;]+|[,;]+$/g, '')
		.trim();
	if (!text.trim()) issues.push({ code: 'intake-empty' });
	else if (!name) issues.push({ code: 'intake-no-name', text });
	if (!(count > 0) || count > MAX_COUNT)
		issues.push({ code: 'intake-count', text: counted?.[1] ?? '' });
	const category = categoryFromName(hasCountWord ? `${countWord} ${name}` : name)?.code ?? null;
	return {
		line: { count, countWord, name, size, printed, openedOn, states, category },
		issues
	};
}

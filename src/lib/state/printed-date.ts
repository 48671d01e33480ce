import { parseDay } from '../core/clearing';
import type { Home, Lot, Thing } from '../core/model';
import { printedKind } from '../core/rotation';
import { intakeIssueText } from '../messages/clearing';

export type PrintedDate =
	| { readonly ok: true; readonly printed: Lot['dates']['printed'] }
	| { readonly ok: false; readonly words: string };

/** Reads a date as it is typed from a pack; nothing typed is no date. What kind of date it is, the thing says. */
export function printedDate(
	home: Pick<Home, 'dateOrder'>,
	thing: Thing | undefined,
	text: string,
	today: string
): PrintedDate {
	if (!text.trim()) return { ok: true, printed: null };
	const read = parseDay(text, { order: home.dateOrder ?? 'dmy', today, past: false });
	if (!read.ok) return { ok: false, words: intakeIssueText(read) };
	return { ok: true, printed: { on: read.on, kind: thing ? printedKind(thing) : 'best-before' } };
}

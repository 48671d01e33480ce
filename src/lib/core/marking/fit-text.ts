import { CAP_SHARE, LINE_SHARE, textWidthMm } from '../printing';

export interface TextBox {
	readonly widthMm: number;
	readonly heightMm: number;
	/** Least height of a capital, mm: viewing distance / 200. */
	readonly minCapMm: number;
	readonly maxCapMm: number;
	readonly maxLines: number;
}
export type FittedText =
	| { readonly ok: true; readonly lines: readonly string[]; readonly sizeMm: number }
	| {
			readonly ok: false;
			readonly lines: readonly string[];
			readonly sizeMm: number;
			readonly shortMm: number;
	  };

/** Breaks words into at most `count` lines so that the widest is as narrow as possible. */
function breakLines(words: readonly string[], count: number): string[] {
	if (count <= 1 || words.length <= 1) return [words.join(' ')];
	let best: string[] = [words.join(' ')];
	const width = (lines: readonly string[]) =>
		Math.max(...lines.map((line) => textWidthMm(line, 1)));
	for (let cut = 1; cut < words.length; cut++) {
		const rest = breakLines(words.slice(cut), count - 1);
		const lines = [words.slice(0, cut).join(' '), ...rest];
		if (width(lines) < width(best)) best = lines;
	}
	return best;
}

/** Largest font size, mm, at which lines fit a box. */
function sizeFor(lines: readonly string[], box: TextBox): number {
	const widest = Math.max(...lines.map((line) => textWidthMm(line, 1)), 1e-9);
	const high = lines.length === 1 ? 1 : 1 + (lines.length - 1) * LINE_SHARE;
	return Math.min(box.widthMm / widest, box.heightMm / high, box.maxCapMm / CAP_SHARE);
}

/**
 * Fits a text into a box: the break into lines that allows the largest letters, fewer lines on a tie.
 * When the letters would be lower than the least height, says how many mm of width are short at that height.
 * @example fitText('Chopped tomatoes', { widthMm: 60, heightMm: 15, minCapMm: 3, maxCapMm: 8, maxLines: 2 }).ok // true
 */
export function fitText(text: string, box: TextBox): FittedText {
	const words = text.trim().split(/\s+/);
	let best = { lines: [text.trim()], sizeMm: -1 };
	for (let count = 1; count <= Math.min(box.maxLines, words.length); count++) {
		const lines = breakLines(words, count);
		const sizeMm = sizeFor(lines, box);
		if (sizeMm > best.sizeMm + 1e-9) best = { lines, sizeMm };
	}
	const least = box.minCapMm / CAP_SHARE;
	if (best.sizeMm >= least - 1e-9) return { ok: true, ...best };
	const widest = Math.max(...best.lines.map((line) => textWidthMm(line, least)));
	return { ok: false, ...best, shortMm: Math.max(1, Math.ceil(widest - box.widthMm)) };
}

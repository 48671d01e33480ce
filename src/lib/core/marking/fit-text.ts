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

/** Words in lines, and how wide the widest of them is, mm at a size of 1 mm. */
interface Broken {
	readonly lines: readonly string[];
	readonly widest: number;
}

/**
 * Breaks the words from `from` on into at most `count` lines so that the widest is as narrow as possible; the first such
 * break on a tie. `upTo[i]` is how wide the words before `i` are, each with the space behind it.
 */
function breakLines(
	words: readonly string[],
	upTo: readonly number[],
	count: number,
	from = 0
): Broken {
	const width = (to: number) => upTo[to]! - upTo[from]! - SPACE;
	let best: Broken = { lines: [words.slice(from).join(' ')], widest: width(words.length) };
	if (count <= 1) return best;
	for (let cut = from + 1; cut < words.length; cut++) {
		// Longer first lines are only wider.
		if (width(cut) >= best.widest) break;
		const rest = breakLines(words, upTo, count - 1, cut);
		const widest = Math.max(width(cut), rest.widest);
		if (widest < best.widest)
			best = { lines: [words.slice(from, cut).join(' '), ...rest.lines], widest };
	}
	return best;
}
const SPACE = textWidthMm(' ', 1);

/** Largest font size, mm, at which lines fit a box. */
function sizeFor({ lines, widest }: Broken, box: TextBox): number {
	const high = lines.length === 1 ? 1 : 1 + (lines.length - 1) * LINE_SHARE;
	return Math.min(
		box.widthMm / Math.max(widest, 1e-9),
		box.heightMm / high,
		box.maxCapMm / CAP_SHARE
	);
}

/**
 * Fits a text into a box: the break into lines that allows the largest letters, fewer lines on a tie.
 * When the letters would be lower than the least height, says how many mm of width are short at that height.
 * @example fitText('Chopped tomatoes', { widthMm: 60, heightMm: 15, minCapMm: 3, maxCapMm: 8, maxLines: 2 }).ok // true
 */
export function fitText(text: string, box: TextBox): FittedText {
	const words = text.trim().split(/\s+/);
	const upTo = [0];
	for (const word of words) upTo.push(upTo.at(-1)! + textWidthMm(word, 1) + SPACE);
	let best: { lines: readonly string[]; sizeMm: number } = { lines: [text.trim()], sizeMm: -1 };
	for (let count = 1; count <= Math.min(box.maxLines, words.length); count++) {
		const broken = breakLines(words, upTo, count);
		const sizeMm = sizeFor(broken, box);
		if (sizeMm > best.sizeMm + 1e-9) best = { lines: broken.lines, sizeMm };
	}
	const least = box.minCapMm / CAP_SHARE;
	if (best.sizeMm >= least - 1e-9) return { ok: true, ...best };
	const widest = Math.max(...best.lines.map((line) => textWidthMm(line, least)));
	return { ok: false, ...best, shortMm: Math.max(1, Math.ceil(widest - box.widthMm)) };
}

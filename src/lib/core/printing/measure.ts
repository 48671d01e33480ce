import bold from '../../../../data/label-font.json';
import plain from '../../../../data/plain-font.json';

const FONTS = { bold, plain } as const;
export type Face = keyof typeof FONTS;
/** Family of the letters on prints. */
export const PRINT_FAMILY = bold.family;

/** Height of a capital as a share of the font size. */
export const CAP_SHARE = bold.capHeight / bold.unitsPerEm;
/** Distance between base lines as a share of the font size. */
export const LINE_SHARE = 1.15;

/**
 * Measures a line of a print, mm, at a font size in mm; a character that the font does not have counts as an M.
 * @example textWidthMm('M', 10) // the advance of M × 10
 */
export function textWidthMm(text: string, sizeMm: number, face: Face = 'bold'): number {
	const { advances, unitsPerEm } = FONTS[face];
	const known: Readonly<Record<string, number>> = advances;
	let sum = 0;
	for (const char of text) sum += known[char] ?? advances.M;
	return (sum / unitsPerEm) * sizeMm;
}

/** Lists the characters of a text that the letters of prints do not have, once each. */
export function unprintable(text: string): string[] {
	return [...new Set(text)].filter((char) => !(char in bold.advances));
}

/** Breaks a text into lines no wider than `widthMm`; a word that is wider by itself stands on a line of its own. */
export function wrapText(
	text: string,
	widthMm: number,
	sizeMm: number,
	face: Face = 'plain'
): string[] {
	const lines: string[] = [];
	for (const word of text.trim().split(/\s+/)) {
		const last = lines.at(-1);
		const longer = last === undefined ? word : `${last} ${word}`;
		if (last !== undefined && textWidthMm(longer, sizeMm, face) <= widthMm)
			lines[lines.length - 1] = longer;
		else lines.push(word);
	}
	return lines;
}

/** Cuts a text to a width, with dots where something is cut off. */
export function cutText(
	text: string,
	widthMm: number,
	sizeMm: number,
	face: Face = 'plain'
): string {
	if (textWidthMm(text, sizeMm, face) <= widthMm) return text;
	let cut = text;
	while (cut && textWidthMm(`${cut.trimEnd()}…`, sizeMm, face) > widthMm) cut = cut.slice(0, -1);
	return `${cut.trimEnd()}…`;
}

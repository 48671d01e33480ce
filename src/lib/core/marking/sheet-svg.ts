import font from '../../../../data/label-font.json';
import { LINE_SHARE, CAP_SHARE } from './fit-text';
import { TAG_MM, type PlacedLabel, type SheetPage } from './sheets';

const escape = (text: string) => text.replace(/[&<>"']/g, (char) => `&#${char.charCodeAt(0)};`);
const mm = (value: number) => Number(value.toFixed(3));

export interface TextLine {
	readonly text: string;
	readonly xMm: number;
	/** Base line from the top of the page, mm. */
	readonly yMm: number;
	readonly sizeMm: number;
}

/** Gives the lines of a label with their base lines on the page; the SVG and the PDF both draw these. */
export function linesOf(placed: PlacedLabel): TextLine[] {
	const { title, note, xMm, yMm, heightMm } = placed;
	const step = title.sizeMm * LINE_SHARE;
	const blockMm = title.sizeMm * CAP_SHARE + (title.lines.length - 1) * step;
	const noteMm = note ? note.sizeMm * 1.9 : 0;
	const top = yMm + (heightMm - blockMm - noteMm) / 2;
	const left = xMm + TAG_MM + 3;
	const lines = title.lines.map((text, i) => ({
		text,
		xMm: left,
		yMm: top + title.sizeMm * CAP_SHARE + i * step,
		sizeMm: title.sizeMm
	}));
	const last = lines.at(-1)!.yMm;
	const below = note?.lines.map((text) => ({
		text,
		xMm: left,
		yMm: last + note.sizeMm * 1.7,
		sizeMm: note.sizeMm
	}));
	return [...lines, ...(below ?? [])];
}

/**
 * Draws one sheet as an SVG of its true size in mm, ready to print at 100 %.
 * `fontUrl` embeds the label font (a data address), so that the file looks the same everywhere; text is escaped.
 */
export function sheetSvg(
	page: SheetPage,
	options: { fontUrl?: string; outlines?: boolean; colours?: readonly string[] } = {}
): string {
	const { sheet, labels } = page;
	const face = options.fontUrl
		? `<style>@font-face{font-family:"Keep Nook Label";src:url(${options.fontUrl})}</style>`
		: '';
	const body = labels.map((placed) => {
		const { xMm, yMm, widthMm, heightMm, label } = placed;
		const outline = options.outlines
			? `<rect x="${mm(xMm)}" y="${mm(yMm)}" width="${mm(widthMm)}" height="${mm(heightMm)}" fill="none" stroke="#999" stroke-width="0.1"/>`
			: '';
		const colour = options.colours?.[label.hue] ?? '#223';
		const strip = `<rect x="${mm(xMm + 2)}" y="${mm(yMm + 2)}" width="${TAG_MM - 2}" height="${mm(heightMm - 4)}" rx="1" fill="${escape(colour)}"/>`;
		const code = `<text x="${mm(xMm + 2 + (TAG_MM - 2) / 2)}" y="${mm(yMm + heightMm / 2 + 1.4)}" font-size="4" text-anchor="middle" fill="#fff">${escape(label.code)}</text>`;
		const text = linesOf(placed)
			.map(
				(line) =>
					`<text x="${mm(line.xMm)}" y="${mm(line.yMm)}" font-size="${mm(line.sizeMm)}">${escape(line.text)}</text>`
			)
			.join('');
		return `<g>${outline}${strip}${code}${text}</g>`;
	});
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${sheet.widthMm}mm" height="${sheet.heightMm}mm" viewBox="0 0 ${sheet.widthMm} ${sheet.heightMm}" font-family="'Keep Nook Label','${font.family}',sans-serif" font-weight="${font.weight}" fill="#111">${face}${body.join('')}</svg>`;
}

import { PRINT_FAMILY } from './measure';
import { INK, type PrintItem, type PrintPage } from './page';

const escape = (text: string) => text.replace(/[&<>"']/g, (char) => `&#${char.charCodeAt(0)};`);
const mm = (value: number) => Number(value.toFixed(3));
const ANCHORS = { left: 'start', middle: 'middle', right: 'end' } as const;
/** Dashes of a dashed line, mm. */
export const DASH_MM = 1.2;

const paint = ({ fill, line, lineMm = 0.2 }: { fill?: string; line?: string; lineMm?: number }) =>
	`fill="${fill ? escape(fill) : 'none'}"${line ? ` stroke="${escape(line)}" stroke-width="${mm(lineMm)}"` : ''}`;
const dash = (dashed: boolean | undefined) => (dashed ? ` stroke-dasharray="${DASH_MM}"` : '');

function draw(item: PrintItem): string {
	switch (item.kind) {
		case 'text': {
			const { text, xMm, yMm, sizeMm, face, ink = INK, align = 'left' } = item;
			return `<text x="${mm(xMm)}" y="${mm(yMm)}" font-size="${mm(sizeMm)}" font-weight="${face === 'bold' ? 700 : 400}" fill="${escape(ink)}" text-anchor="${ANCHORS[align]}">${escape(text)}</text>`;
		}
		case 'box':
			return `<rect x="${mm(item.xMm)}" y="${mm(item.yMm)}" width="${mm(item.widthMm)}" height="${mm(item.heightMm)}"${item.radiusMm ? ` rx="${mm(item.radiusMm)}"` : ''} ${paint(item)}${dash(item.dashed)}/>`;
		case 'line': {
			const { fromMm, toMm, line, lineMm } = item;
			return `<line x1="${mm(fromMm[0])}" y1="${mm(fromMm[1])}" x2="${mm(toMm[0])}" y2="${mm(toMm[1])}" stroke="${escape(line)}" stroke-width="${mm(lineMm)}"${dash(item.dashed)}/>`;
		}
		case 'round':
			return `<circle cx="${mm(item.xMm)}" cy="${mm(item.yMm)}" r="${mm(item.rMm)}" ${paint(item)}/>`;
		case 'shape':
			return `<polygon points="${item.points.map(([x, y]) => `${mm(x)},${mm(y)}`).join(' ')}" ${paint(item)}/>`;
	}
}

/** Addresses of the fonts (data addresses), so that a file looks the same everywhere. */
export interface PrintFonts {
	readonly bold: string;
	readonly plain: string;
}

/** Draws a page as an SVG of its true size in mm, ready to print at 100 %. Text is escaped. */
export function pageSvg({ widthMm, heightMm, items }: PrintPage, fonts?: PrintFonts): string {
	const face = (weight: number, url: string) =>
		`@font-face{font-family:"Keep Nook Label";font-weight:${weight};src:url(${url})}`;
	const style = fonts ? `<style>${face(700, fonts.bold)}${face(400, fonts.plain)}</style>` : '';
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}" font-family="'Keep Nook Label','${PRINT_FAMILY}',sans-serif">${style}${items.map(draw).join('')}</svg>`;
}

import { jsPDF } from 'jspdf';
import { DASH_MM, INK, type Face, type PrintItem, type PrintPage } from '$lib/core/printing';

const FONT_PATHS: Readonly<Record<Face, string>> = {
	bold: '/fonts/label-bold.ttf',
	plain: '/fonts/label-plain.ttf'
};
const STYLES: Readonly<Record<Face, string>> = { bold: 'bold', plain: 'normal' };
const MM_PER_POINT = 25.4 / 72;

async function fontBase64(path: string): Promise<string> {
	const response = await fetch(path);
	if (!response.ok) throw new Error(`the letters could not be loaded (${response.status})`);
	const bytes = new Uint8Array(await response.arrayBuffer());
	let binary = '';
	for (const byte of bytes) binary += String.fromCharCode(byte);
	return btoa(binary);
}
/** The letters of prints, base64. */
export type FontData = Readonly<Record<Face, string>>;
export async function loadFonts(): Promise<FontData> {
	const [bold, plain] = await Promise.all([
		fontBase64(FONT_PATHS.bold),
		fontBase64(FONT_PATHS.plain)
	]);
	return { bold, plain };
}
/** Gives the letters as data addresses, to be put into an SVG. */
export const fontUrls = ({ bold, plain }: FontData) => ({
	bold: `data:font/ttf;base64,${bold}`,
	plain: `data:font/ttf;base64,${plain}`
});

/** How something is painted: filled, outlined, both; null: not at all. */
function paint(pdf: jsPDF, item: { fill?: string; line?: string; lineMm?: number }) {
	if (item.fill) pdf.setFillColor(item.fill);
	if (item.line) pdf.setDrawColor(item.line).setLineWidth(item.lineMm ?? 0.2);
	return item.fill && item.line ? 'FD' : item.fill ? 'F' : item.line ? 'S' : null;
}
const dashes = (pdf: jsPDF, dashed: boolean | undefined) =>
	pdf.setLineDashPattern(dashed ? [DASH_MM, DASH_MM] : [], 0);

function draw(pdf: jsPDF, item: PrintItem): void {
	switch (item.kind) {
		case 'text': {
			const align = item.align === 'middle' ? 'center' : (item.align ?? 'left');
			pdf.setFont('Label', STYLES[item.face]);
			pdf.setTextColor(item.ink ?? INK).setFontSize(item.sizeMm / MM_PER_POINT);
			pdf.text(item.text, item.xMm, item.yMm, { align });
			return;
		}
		case 'box': {
			const way = paint(pdf, item);
			dashes(pdf, item.dashed);
			const { xMm, yMm, widthMm, heightMm, radiusMm = 0 } = item;
			if (way && radiusMm) pdf.roundedRect(xMm, yMm, widthMm, heightMm, radiusMm, radiusMm, way);
			else if (way) pdf.rect(xMm, yMm, widthMm, heightMm, way);
			return;
		}
		case 'line':
			pdf.setDrawColor(item.line).setLineWidth(item.lineMm);
			dashes(pdf, item.dashed);
			pdf.line(...item.fromMm, ...item.toMm);
			return;
		case 'round': {
			const way = paint(pdf, item);
			dashes(pdf, false);
			if (way) pdf.circle(item.xMm, item.yMm, item.rMm, way);
			return;
		}
		case 'shape': {
			const way = paint(pdf, item);
			const [first, ...rest] = item.points;
			if (!way || !first) return;
			dashes(pdf, false);
			const steps = rest.map(([x, y], i) => {
				const [px, py] = i ? rest[i - 1]! : first;
				return [x - px, y - py];
			});
			pdf.lines(steps, first[0], first[1], [1, 1], way, true);
		}
	}
}

/** Draws pages into a PDF of their true size, the letters embedded: the same as the SVG of each. */
export function pagesPdf(
	pages: readonly PrintPage[],
	fonts: FontData,
	compress = true
): ArrayBuffer {
	const [first] = pages;
	if (!first) throw new Error('there is nothing to print');
	const sizeOf = ({ widthMm, heightMm }: PrintPage): [number, number] => [widthMm, heightMm];
	const turn = ({ widthMm, heightMm }: PrintPage) => (widthMm > heightMm ? 'l' : 'p');
	const pdf = new jsPDF({ unit: 'mm', format: sizeOf(first), orientation: turn(first), compress });
	for (const face of ['bold', 'plain'] as const) {
		pdf.addFileToVFS(`${face}.ttf`, fonts[face]);
		pdf.addFont(`${face}.ttf`, 'Label', STYLES[face]);
	}
	pages.forEach((page, index) => {
		if (index) pdf.addPage(sizeOf(page), turn(page));
		for (const item of page.items) draw(pdf, item);
	});
	return pdf.output('arraybuffer');
}

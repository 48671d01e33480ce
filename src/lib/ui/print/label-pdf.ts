import { jsPDF } from 'jspdf';
import { linesOf, TAG_MM, type SheetPage } from '$lib/core/marking';

const FONT_PATH = '/fonts/label-bold.ttf';
const MM_PER_POINT = 25.4 / 72;

async function labelFontBase64(): Promise<string> {
	const response = await fetch(FONT_PATH);
	if (!response.ok) throw new Error(`the label letters could not be loaded (${response.status})`);
	const bytes = new Uint8Array(await response.arrayBuffer());
	let binary = '';
	for (const byte of bytes) binary += String.fromCharCode(byte);
	return btoa(binary);
}

/** Gives the label font as a data address, to be put into an SVG. */
export const labelFontUrl = async () => `data:font/ttf;base64,${await labelFontBase64()}`;

/** Draws sheets into a PDF of their true size, with the same lines as the SVG and the font embedded. */
export async function labelPdf(
	pages: readonly SheetPage[],
	colours: readonly string[]
): Promise<ArrayBuffer> {
	const first = pages[0];
	if (!first) throw new Error('there is no label to print');
	const size: [number, number] = [first.sheet.widthMm, first.sheet.heightMm];
	const pdf = new jsPDF({ unit: 'mm', format: size, compress: true });
	pdf.addFileToVFS('label.ttf', await labelFontBase64());
	pdf.addFont('label.ttf', 'Label', 'bold');
	pages.forEach((page, index) => {
		if (index) pdf.addPage(size);
		pdf.setFont('Label', 'bold');
		for (const placed of page.labels) {
			pdf.setFillColor(colours[placed.label.hue] ?? '#222233');
			pdf.roundedRect(placed.xMm + 2, placed.yMm + 2, TAG_MM - 2, placed.heightMm - 4, 1, 1, 'F');
			pdf.setTextColor('#ffffff').setFontSize(4 / MM_PER_POINT);
			pdf.text(
				placed.label.code,
				placed.xMm + 2 + (TAG_MM - 2) / 2,
				placed.yMm + placed.heightMm / 2 + 1.4,
				{ align: 'center' }
			);
			pdf.setTextColor('#111111');
			for (const line of linesOf(placed)) {
				pdf.setFontSize(line.sizeMm / MM_PER_POINT);
				pdf.text(line.text, line.xMm, line.yMm);
			}
		}
	});
	return pdf.output('arraybuffer');
}

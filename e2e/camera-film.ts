import { writeFileSync } from 'node:fs';
import bwip from 'bwip-js';

const WIDTH = 640;
const HEIGHT = 480;
const FRAMES = 4;
/** Width of the narrowest bar in the film, px. */
const BAR_PX = 4;

/**
 * Writes a short film of a pack's bars for the browser's fake camera: raw frames, black on white.
 * @param gtin 13 digits
 */
export function filmOfCode(gtin: string, path: string): void {
	const [{ sbs: widths }] = bwip.raw({ bcid: 'ean13', text: gtin }) as unknown as [
		{ sbs: number[] }
	];
	const total = widths.reduce((sum, width) => sum + width, 0) * BAR_PX;
	const row = Buffer.alloc(WIDTH, 235);
	let x = Math.round((WIDTH - total) / 2);
	for (const [i, width] of widths.entries()) {
		if (i % 2 === 0) row.fill(16, x, x + width * BAR_PX);
		x += width * BAR_PX;
	}
	const blank = Buffer.alloc(WIDTH, 235);
	const luma = Buffer.concat(
		Array.from({ length: HEIGHT }, (_, y) => (y > 120 && y < 360 ? row : blank))
	);
	const chroma = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
	const frames = Array.from({ length: FRAMES }, () => [
		Buffer.from('FRAME\n'),
		luma,
		chroma
	]).flat();
	writeFileSync(
		path,
		Buffer.concat([
			Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`),
			...frames
		])
	);
}

import { z } from 'zod';
import rows from '../../../../data/label-sheets.json';
import { fitText, type FittedText } from './fit-text';
import type { LabelText } from './propose';

/** A sheet of die-cut labels; all mm. */
export const LabelSheet = z.strictObject({
	key: z.string(),
	name: z.string(),
	paper: z.enum(['A4', 'Letter']),
	widthMm: z.number(),
	heightMm: z.number(),
	columns: z.int(),
	rows: z.int(),
	labelWidthMm: z.number(),
	labelHeightMm: z.number(),
	leftMm: z.number(),
	topMm: z.number(),
	gapXMm: z.number(),
	gapYMm: z.number()
});
export type LabelSheet = z.infer<typeof LabelSheet>;
export const LABEL_SHEETS: readonly LabelSheet[] = z.array(LabelSheet).parse(rows);

export interface PlacedLabel {
	readonly label: LabelText;
	readonly xMm: number;
	readonly yMm: number;
	readonly widthMm: number;
	readonly heightMm: number;
	readonly title: FittedText;
	readonly note: FittedText | null;
}
export interface SheetPage {
	readonly sheet: LabelSheet;
	readonly labels: readonly PlacedLabel[];
}

export interface ImposeOptions {
	/** Labels of the first sheet that are already used. */
	readonly skip: number;
	/** From how far a label is read, mm; the letters are at least 1/200 of it. */
	readonly viewingMm: number;
}
export const DEFAULT_IMPOSE: ImposeOptions = { skip: 0, viewingMm: 800 };

/** Clear edge inside a label, so that a slipping feed does not cut letters, mm. */
const EDGE_MM = 3;
/** Width of the tag's strip at the left of a label, mm. */
export const TAG_MM = 9;
const NOTE_SHARE = 0.3;

/**
 * Lays labels on sheets, row by row from the top left, leaving out what is already used on the first one.
 * One letter size for the whole set: the largest that fits every label that can be read from the distance given.
 */
export function imposeLabels(
	labels: readonly LabelText[],
	sheet: LabelSheet,
	{ skip, viewingMm }: ImposeOptions = DEFAULT_IMPOSE
): SheetPage[] {
	const width = sheet.labelWidthMm - 2 * EDGE_MM - TAG_MM;
	const height = sheet.labelHeightMm - 2 * EDGE_MM;
	const minCapMm = viewingMm / 200;
	const box = (withNote: boolean, maxCapMm: number) => ({
		widthMm: width,
		heightMm: withNote ? height * (1 - NOTE_SHARE) : height,
		minCapMm: Math.min(minCapMm, maxCapMm),
		maxCapMm,
		maxLines: 2
	});
	const free = labels.map((label) => fitText(label.title, box(!!label.note, 9)));
	const common = Math.min(
		...free.filter((fitted) => fitted.ok).map((fitted) => fitted.sizeMm),
		Infinity
	);
	const titles = labels.map((label, i) => {
		const fitted = free[i]!;
		return fitted.ok && common < Infinity ? { ...fitted, sizeMm: common } : fitted;
	});
	const perPage = sheet.columns * sheet.rows;
	const pages: PlacedLabel[][] = [];
	labels.forEach((label, i) => {
		const at = i + Math.max(0, Math.min(skip, perPage - 1));
		const onPage = at % perPage;
		const column = onPage % sheet.columns;
		const row = Math.floor(onPage / sheet.columns);
		const page = (pages[Math.floor(at / perPage)] ??= []);
		page.push({
			label,
			xMm: sheet.leftMm + column * (sheet.labelWidthMm + sheet.gapXMm),
			yMm: sheet.topMm + row * (sheet.labelHeightMm + sheet.gapYMm),
			widthMm: sheet.labelWidthMm,
			heightMm: sheet.labelHeightMm,
			title: titles[i]!,
			note: label.note
				? fitText(label.note, {
						widthMm: width,
						heightMm: height * NOTE_SHARE * 0.8,
						minCapMm: 1.6,
						maxCapMm: 2.6,
						maxLines: 1
					})
				: null
		});
	});
	return pages.filter(Boolean).map((labels) => ({ sheet, labels }));
}

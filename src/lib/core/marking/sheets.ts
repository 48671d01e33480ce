import rows from '../../../../data/label-sheets.json';
import { z } from 'zod';
import { LabelSheet } from '../model';
import {
	CAP_SHARE,
	cutText,
	INK,
	LINE_SHARE,
	RULE,
	SOFT,
	textWidthMm,
	wrapText,
	type PrintItem,
	type PrintPage
} from '../printing';
import { fitText, type FittedText } from './fit-text';

export const LABEL_SHEETS: readonly LabelSheet[] = z.array(LabelSheet).parse(rows);

/** One label as it is printed: all words are ready. */
export interface LabelPrint {
	readonly id: string;
	readonly title: string;
	readonly note: string;
	readonly code: string;
	/** Colour of its tag. */
	readonly ink: string;
	/** A danger in a word, with its shape; empty: none. */
	readonly hazard: string;
	/** Smaller lines below: "Best before 31 Mar 2027", or "Opened" with a line to write on. */
	readonly fields: readonly { readonly name: string; readonly value: string }[];
	/** Dark modules of its code, row by row; null: none. */
	readonly code2d: readonly (readonly boolean[])[] | null;
}

export interface ImposeOptions {
	/** Labels of the first sheet that are already used. */
	readonly skip: number;
	/** From how far a label is read, mm; the letters are at least 1/200 of it. */
	readonly viewingMm: number;
	/** How far the printer slips, mm. */
	readonly slipXMm: number;
	readonly slipYMm: number;
}
export const DEFAULT_IMPOSE: ImposeOptions = { skip: 0, viewingMm: 800, slipXMm: 0, slipYMm: 0 };

/** Where a label lies, and whether its words can be read. */
export interface LaidLabel {
	readonly print: LabelPrint;
	readonly xMm: number;
	readonly yMm: number;
	readonly widthMm: number;
	readonly heightMm: number;
	readonly title: FittedText;
}
export interface LabelPage extends PrintPage {
	readonly labels: readonly LaidLabel[];
}

/** Clear edge inside a label, so that a slipping feed does not cut letters, mm. */
const EDGE_MM = 3;
/** Width of the tag's strip at the left of a label, mm. */
const TAG_MM = 9;
const HOLE_MM = 7;
const MOST_CAP_MM = 9;
const NOTE_MM = 2.6;
const FIELD_MM = 2.4;
const FIELD_STEP = 1.55;
const MOST_CODE_MM = 20;
/** A lid leaves a square inside its circle. */
const INSCRIBED = Math.SQRT1_2;
const CUT_MM = 3;

interface Frame {
	readonly left: number;
	readonly top: number;
	readonly width: number;
	readonly height: number;
	readonly strip: boolean;
	readonly codeMm: number;
	readonly titleHeight: number;
}

/** The room for words inside a label, from its own corner. */
function frameOf(sheet: LabelSheet, print: LabelPrint): Frame {
	const { labelWidthMm: w, labelHeightMm: h, shape } = sheet;
	const round = shape === 'round';
	const side = round ? Math.min(w, h) * INSCRIBED : 0;
	const strip = !round && w > 40;
	const start = (strip ? TAG_MM + 2 : 0) + (shape === 'tag' ? HOLE_MM : 0);
	const left = round ? (w - side) / 2 : EDGE_MM + start;
	const top = round ? (h - side) / 2 : EDGE_MM;
	const height = round ? side : h - 2 * EDGE_MM;
	const codeMm = print.code2d ? Math.min(MOST_CODE_MM, height) : 0;
	const width = (round ? side : w - left - EDGE_MM) - (codeMm ? codeMm + 2 : 0);
	const below =
		(print.note ? NOTE_MM * 1.5 : 0) +
		hazardLines(print, width).length * FIELD_MM * 1.6 +
		print.fields.length * FIELD_MM * FIELD_STEP;
	return { left, top, width, height, strip, codeMm, titleHeight: Math.max(2, height - below) };
}

/** The words of a danger are never cut: they are broken into lines. */
const hazardLines = ({ hazard }: LabelPrint, widthMm: number): string[] =>
	hazard ? wrapText(hazard, widthMm - FIELD_MM - 1, FIELD_MM, 'bold') : [];

/** What is drawn of one label at its place. */
function draw(sheet: LabelSheet, laid: LaidLabel, outlines: boolean): PrintItem[] {
	const { print, xMm, yMm, widthMm, heightMm, title } = laid;
	const frame = frameOf(sheet, print);
	const items: PrintItem[] = [];
	if (outlines || sheet.cut) {
		if (sheet.shape === 'round')
			items.push({
				kind: 'round',
				xMm: xMm + widthMm / 2,
				yMm: yMm + heightMm / 2,
				rMm: widthMm / 2,
				line: RULE,
				lineMm: 0.1
			});
		else if (outlines)
			items.push({ kind: 'box', xMm, yMm, widthMm, heightMm, line: RULE, lineMm: 0.1 });
	}
	if (sheet.cut && sheet.shape !== 'round') items.push(...cutMarks(laid));
	if (sheet.shape === 'tag')
		items.push({
			kind: 'round',
			xMm: xMm + HOLE_MM / 2 + 1.5,
			yMm: yMm + heightMm / 2,
			rMm: 2.5,
			line: RULE,
			lineMm: 0.2
		});
	if (frame.strip) {
		const x = xMm + frame.left - TAG_MM;
		items.push(
			{
				kind: 'box',
				xMm: x,
				yMm: yMm + 2,
				widthMm: TAG_MM - 2,
				heightMm: heightMm - 4,
				fill: print.ink,
				radiusMm: 1
			},
			{
				kind: 'text',
				text: print.code,
				xMm: x + (TAG_MM - 2) / 2,
				yMm: yMm + heightMm / 2 + 1.4,
				sizeMm: 4,
				face: 'bold',
				ink: '#ffffff',
				align: 'middle'
			}
		);
	}
	const x = xMm + frame.left;
	const step = title.sizeMm * LINE_SHARE;
	const block = title.sizeMm * CAP_SHARE + (title.lines.length - 1) * step;
	let y = yMm + frame.top + (frame.titleHeight - block) / 2 + title.sizeMm * CAP_SHARE;
	for (const text of title.lines) {
		items.push({ kind: 'text', text, xMm: x, yMm: y, sizeMm: title.sizeMm, face: 'bold' });
		y += step;
	}
	y = yMm + frame.top + frame.titleHeight;
	if (print.note) {
		y += NOTE_MM * 1.1;
		items.push({
			kind: 'text',
			text: cutText(print.note, frame.width, NOTE_MM),
			xMm: x,
			yMm: y,
			sizeMm: NOTE_MM,
			face: 'plain',
			ink: SOFT
		});
		y += NOTE_MM * 0.4;
	}
	hazardLines(print, frame.width).forEach((text, i) => {
		y += FIELD_MM * 1.2;
		const s = FIELD_MM;
		if (i === 0)
			items.push({
				kind: 'shape',
				points: [
					[x, y],
					[x + s, y],
					[x + s / 2, y - s * 0.87]
				],
				line: INK,
				lineMm: 0.3
			});
		items.push({ kind: 'text', text, xMm: x + s + 1, yMm: y, sizeMm: FIELD_MM, face: 'bold' });
		y += FIELD_MM * 0.4;
	});
	for (const { name, value } of print.fields) {
		y += FIELD_MM * FIELD_STEP;
		const text = value ? `${name} ${value}` : name;
		items.push({
			kind: 'text',
			text: cutText(text, frame.width, FIELD_MM),
			xMm: x,
			yMm: y,
			sizeMm: FIELD_MM,
			face: 'plain'
		});
		const from = x + (name ? textWidthMm(name, FIELD_MM, 'plain') + 1.5 : 0);
		if (!value && from < x + frame.width - 4)
			items.push({
				kind: 'line',
				fromMm: [from, y + 0.4],
				toMm: [x + frame.width, y + 0.4],
				line: RULE,
				lineMm: 0.2
			});
	}
	if (print.code2d) {
		const cell = frame.codeMm / print.code2d.length;
		const left = x + frame.width + 2;
		const top = yMm + frame.top + (frame.height - frame.codeMm) / 2;
		print.code2d.forEach((row, r) =>
			row.forEach((dark, c) => {
				if (dark)
					items.push({
						kind: 'box',
						xMm: left + c * cell,
						yMm: top + r * cell,
						widthMm: cell,
						heightMm: cell,
						fill: INK
					});
			})
		);
	}
	return items;
}

/** Short lines at the corners of a label, outside of it. */
function cutMarks({ xMm, yMm, widthMm, heightMm }: LaidLabel): PrintItem[] {
	const mark = (x: number, y: number, dx: number, dy: number): PrintItem => ({
		kind: 'line',
		fromMm: [x + dx * 0.3, y + dy * 0.3],
		toMm: [x + dx * CUT_MM, y + dy * CUT_MM],
		line: RULE,
		lineMm: 0.1
	});
	return [
		[xMm, yMm, -1, -1],
		[xMm + widthMm, yMm, 1, -1],
		[xMm, yMm + heightMm, -1, 1],
		[xMm + widthMm, yMm + heightMm, 1, 1]
	].flatMap(([x, y, dx, dy]) => [mark(x!, y!, dx!, 0), mark(x!, y!, 0, dy!)]);
}

/**
 * Lays labels on sheets, row by row from the top left, leaving out what is already used on the first one; on a roll each
 * is a page. One letter size for the whole set: the largest that fits every label that can be read from the distance given.
 */
export function imposeLabels(
	prints: readonly LabelPrint[],
	sheet: LabelSheet,
	options: ImposeOptions = DEFAULT_IMPOSE,
	outlines = false
): LabelPage[] {
	const minCapMm = options.viewingMm / 200;
	const frames = prints.map((print) => frameOf(sheet, print));
	const fitAll = (maxCapMm: number) => {
		// Packs of one thing say the same in the same room.
		const known = new Map<string, FittedText>();
		return prints.map(({ title }, i) => {
			const { width, titleHeight } = frames[i]!;
			const key = `${width} ${titleHeight} ${title}`;
			const fitted =
				known.get(key) ??
				fitText(title, {
					widthMm: Math.max(1, width),
					heightMm: titleHeight,
					minCapMm: Math.min(minCapMm, maxCapMm),
					maxCapMm,
					maxLines: titleHeight > 24 ? 3 : 2
				});
			known.set(key, fitted);
			return fitted;
		});
	};
	const free = fitAll(MOST_CAP_MM);
	const common = Math.min(...free.filter(({ ok }) => ok).map(({ sizeMm }) => sizeMm), Infinity);
	// At that size some need fewer lines than they would at their own.
	const titles = common < Infinity ? fitAll(common * CAP_SHARE) : free;
	const perPage = sheet.columns * sheet.rows;
	const skip = Math.max(0, Math.min(Math.round(options.skip) || 0, perPage - 1));
	const pages: LaidLabel[][] = [];
	prints.forEach((print, i) => {
		const at = i + skip;
		const onPage = at % perPage;
		(pages[Math.floor(at / perPage)] ??= []).push({
			print,
			xMm:
				sheet.leftMm +
				(onPage % sheet.columns) * (sheet.labelWidthMm + sheet.gapXMm) +
				options.slipXMm,
			yMm:
				sheet.topMm +
				Math.floor(onPage / sheet.columns) * (sheet.labelHeightMm + sheet.gapYMm) +
				options.slipYMm,
			widthMm: sheet.labelWidthMm,
			heightMm: sheet.labelHeightMm,
			title: free[i]!.ok ? titles[i]! : free[i]!
		});
	});
	return pages.filter(Boolean).map((labels) => {
		let items: readonly PrintItem[] | undefined;
		return {
			widthMm: sheet.widthMm,
			heightMm: sheet.heightMm,
			title: '',
			labels,
			/** Drawn when it is asked for: of hundreds of sheets one is looked at. */
			get items() {
				return (items ??= labels.flatMap((laid) => draw(sheet, laid, outlines)));
			}
		};
	});
}

/** What is wrong with a sheet of the household's own; null: it lies on its paper. */
export function sheetIssue(sheet: LabelSheet): 'too-wide' | 'too-high' | null {
	const right =
		sheet.leftMm + sheet.columns * sheet.labelWidthMm + (sheet.columns - 1) * sheet.gapXMm;
	const bottom = sheet.topMm + sheet.rows * sheet.labelHeightMm + (sheet.rows - 1) * sheet.gapYMm;
	if (right > sheet.widthMm + 1e-6) return 'too-wide';
	return bottom > sheet.heightMm + 1e-6 ? 'too-high' : null;
}

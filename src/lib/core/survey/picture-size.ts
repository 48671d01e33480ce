import type { Edit } from '../model';

/** A point on a picture, px from its top left corner. */
export interface PicturePoint {
	readonly x: number;
	readonly y: number;
}
/** Four corners in the order top left, top right, bottom right, bottom left. */
export type Corners = readonly [PicturePoint, PicturePoint, PicturePoint, PicturePoint];

/** Sheets of paper that lie at hand, mm, upright. */
export const SHEETS = {
	a4: { widthMm: 210, heightMm: 297 },
	letter: { widthMm: 216, heightMm: 279 }
} as const;
export type SheetName = keyof typeof SHEETS;

export interface PictureInput {
	readonly sheet: SheetName;
	/** Whether the sheet lies with its long side across. */
	readonly across: boolean;
	readonly sheetCorners: Corners;
	readonly openingCorners: Corners;
	/** How far a tap may lie beside the corner it means, px. */
	readonly tapPx: number;
}
export type PictureSize =
	| {
			readonly ok: true;
			readonly widthMm: number;
			readonly heightMm: number;
			/** How far each may be off by the taps (two standard deviations), mm. */
			readonly widthErrMm: number;
			readonly heightErrMm: number;
	  }
	/** The corners lie on a line, or the sheet is too small in the picture to say anything. */
	| { readonly ok: false; readonly code: 'corners-flat' | 'sheet-too-small' };

/** A sheet whose sides are shorter than this says too little, px. */
const LEAST_SHEET_PX = 40;

/** Solves eight linear equations by elimination with the largest pivot; null when they do not decide. */
function solve8(rows: number[][]): number[] | null {
	const n = 8;
	for (let col = 0; col < n; col++) {
		let pivot = col;
		for (let row = col + 1; row < n; row++)
			if (Math.abs(rows[row]![col]!) > Math.abs(rows[pivot]![col]!)) pivot = row;
		if (Math.abs(rows[pivot]![col]!) < 1e-9) return null;
		[rows[col], rows[pivot]] = [rows[pivot]!, rows[col]!];
		for (let row = 0; row < n; row++) {
			if (row === col) continue;
			const times = rows[row]![col]! / rows[col]![col]!;
			for (let k = col; k <= n; k++) rows[row]![k]! -= times * rows[col]![k]!;
		}
	}
	return rows.map((row, i) => row[n]! / row[i]!);
}

/**
 * Finds the homography that takes picture points to the plane of the sheet, mm: from its four corners, eight equations.
 * Null when three of the corners lie on a line.
 */
function toPlane(corners: Corners, widthMm: number, heightMm: number): number[] | null {
	const plane = [
		[0, 0],
		[widthMm, 0],
		[widthMm, heightMm],
		[0, heightMm]
	] as const;
	const rows = corners.flatMap(({ x, y }, i) => {
		const [u, v] = plane[i]!;
		return [
			[x, y, 1, 0, 0, 0, -u * x, -u * y, u],
			[0, 0, 0, x, y, 1, -v * x, -v * y, v]
		];
	});
	return solve8(rows.map((row) => [...row]));
}

const map = (h: readonly number[], { x, y }: PicturePoint): readonly [number, number] => {
	const w = h[6]! * x + h[7]! * y + 1;
	return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
};
const distance = (a: readonly [number, number], b: readonly [number, number]) =>
	Math.hypot(a[0] - b[0], a[1] - b[1]);

/** Width and height of the opening in the plane of the sheet: the means of its opposite sides, mm. */
function measure(sheet: Corners, opening: Corners, widthMm: number, heightMm: number) {
	const h = toPlane(sheet, widthMm, heightMm);
	if (!h) return null;
	const [a, b, c, d] = opening.map((point) => map(h, point)) as [
		readonly [number, number],
		readonly [number, number],
		readonly [number, number],
		readonly [number, number]
	];
	const size = [
		(distance(a, b) + distance(d, c)) / 2,
		(distance(a, d) + distance(b, c)) / 2
	] as const;
	return size.every(Number.isFinite) ? size : null;
}

/**
 * Takes the width and height of an opening from a picture in which a sheet of paper lies in its plane. Both are told by
 * the homography of the sheet's corners; the error is carried from the taps, each corner moved by itself, in both
 * directions (first order, two standard deviations). Lens distortion and a sheet that lies deeper than the opening are
 * not seen: the sheet has to be flush with the front edges.
 * @example pictureSize({ sheet: 'a4', ... }) // { ok: true, widthMm: 564, heightMm: 276, widthErrMm: 6, heightErrMm: 4 }
 */
export function pictureSize({
	sheet,
	across,
	sheetCorners,
	openingCorners,
	tapPx
}: PictureInput): PictureSize {
	const paper = SHEETS[sheet];
	const [widthMm, heightMm] = across
		? [paper.heightMm, paper.widthMm]
		: [paper.widthMm, paper.heightMm];
	const sides = sheetCorners.map((corner, i) => {
		const next = sheetCorners[(i + 1) % 4]!;
		return Math.hypot(corner.x - next.x, corner.y - next.y);
	});
	if (Math.min(...sides) < LEAST_SHEET_PX) return { ok: false, code: 'sheet-too-small' };
	const size = measure(sheetCorners, openingCorners, widthMm, heightMm);
	if (!size) return { ok: false, code: 'corners-flat' };
	let [varWidth, varHeight] = [0, 0];
	const nudged = (corners: Corners, at: number, dx: number, dy: number): Corners =>
		corners.map((point, i) =>
			i === at ? { x: point.x + dx, y: point.y + dy } : point
		) as unknown as Corners;
	for (let i = 0; i < 4; i++)
		for (const [dx, dy] of [
			[tapPx, 0],
			[0, tapPx]
		] as const)
			for (const moved of [
				measure(nudged(sheetCorners, i, dx, dy), openingCorners, widthMm, heightMm),
				measure(sheetCorners, nudged(openingCorners, i, dx, dy), widthMm, heightMm)
			]) {
				if (!moved) return { ok: false, code: 'corners-flat' };
				varWidth += (moved[0] - size[0]) ** 2;
				varHeight += (moved[1] - size[1]) ** 2;
			}
	return {
		ok: true,
		widthMm: Math.round(size[0]),
		heightMm: Math.round(size[1]),
		widthErrMm: Math.ceil(2 * Math.sqrt(varWidth)),
		heightErrMm: Math.ceil(2 * Math.sqrt(varHeight))
	};
}

/**
 * Makes the edit that keeps a size from a picture: an estimate with its error, which does not count as measured. A side
 * that was read on a tape stays as it is.
 */
export function takePictured(nookId: string, size: Extract<PictureSize, { ok: true }>): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (!nook) return;
		const widthMm = nook.readings.widthMm.length ? null : size.widthErrMm;
		const heightMm = nook.readings.heightMm.length ? null : size.heightErrMm;
		if (widthMm !== null) nook.inside.widthMm = size.widthMm;
		if (heightMm !== null) nook.inside.heightMm = size.heightMm;
		nook.pictured = { widthMm, heightMm };
	};
}

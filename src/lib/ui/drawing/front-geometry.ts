import type { Cabinet, Home, Nook, Run } from '$lib/core/model';
import { runAxes, type HiddenPlace } from '$lib/core/survey';

export interface NookBox {
	readonly nook: Nook;
	readonly cabinet: Cabinet;
	/** Left top corner and size on the drawing, mm; y grows downwards. */
	readonly x: number;
	readonly y: number;
	readonly w: number;
	readonly h: number;
	/** Width that its words may take: a door rack lies over the right part of a shelf. */
	readonly textW: number;
	/** A side is missing, so the box is a guess. */
	readonly guessed: boolean;
}
export interface FrontGeometry {
	readonly lengthMm: number;
	readonly heightMm: number;
	readonly cabinets: readonly (Cabinet & { x: number; y: number })[];
	readonly nooks: readonly NookBox[];
}

/** Highest point of what the finder of hidden places would add to a run, mm above the floor; 0: nothing. */
export const hiddenTopMm = (
	{ cabinets }: Pick<Home, 'cabinets'>,
	run: Pick<Run, 'id'>,
	hidden: readonly HiddenPlace[]
): number =>
	hidden.reduce((top, { make }) => {
		const cabinet = make.as === 'nook' ? cabinets[make.cabinetId] : undefined;
		if (make.as !== 'nook' || cabinet?.runId !== run.id) return top;
		return Math.max(top, cabinet.baseMm + make.nook.at.zMm + make.nook.inside.heightMm);
	}, 0);

const HEADROOM_MM = 120;
const LEAST_MM = 60;
/** Racks on a door, and the kinds that they lie over when it is shut. */
const RACKS: ReadonlySet<Nook['kind']> = new Set(['door', 'fridge-door']);
const RACKED: ReadonlySet<Nook['kind']> = new Set(['shelf', 'undersink', 'fridge-shelf']);

/** Lays out the front view of a run: cabinets and nooks in mm, the floor at the bottom. */
export function frontGeometry(home: Pick<Home, 'cabinets' | 'nooks'>, run: Run): FrontGeometry {
	const cabinets = Object.values(home.cabinets).filter((cabinet) => cabinet.runId === run.id);
	const own = new Set<string>(cabinets.map((cabinet) => cabinet.id));
	const nooks = Object.values(home.nooks).filter((nook) => own.has(nook.cabinetId));
	const top = (cabinet: Cabinet) =>
		Math.max(
			cabinet.baseMm + cabinet.heightMm,
			...nooks
				.filter((nook) => nook.cabinetId === cabinet.id)
				.map((nook) => cabinet.baseMm + nook.at.zMm + (nook.inside.heightMm ?? 200))
		);
	const heightMm = Math.max(1400, ...cabinets.map(top)) + HEADROOM_MM;
	const lengthMm = Math.max(runAxes(run).lengthMm, ...cabinets.map((c) => c.offsetMm + c.widthMm));
	const hasRack = (cabinet: Cabinet) =>
		nooks.some((nook) => nook.cabinetId === cabinet.id && RACKS.has(nook.kind));
	const boxes = cabinets.flatMap((cabinet) =>
		nooks
			.filter((nook) => nook.cabinetId === cabinet.id)
			.map((nook): NookBox => {
				const { widthMm, heightMm: high, depthMm } = nook.inside;
				const door = RACKS.has(nook.kind);
				const w = Math.max(
					LEAST_MM,
					door ? cabinet.widthMm * 0.3 : (widthMm ?? cabinet.widthMm / 2)
				);
				const h = Math.max(LEAST_MM, high ?? 220);
				// A rack on a door is drawn at the hinge side, over the shelf that it closes.
				const left = door ? cabinet.widthMm - w - 24 : nook.at.xMm;
				return {
					nook,
					cabinet,
					x: cabinet.offsetMm + left,
					y: heightMm - (cabinet.baseMm + nook.at.zMm + h),
					w,
					h,
					textW: RACKED.has(nook.kind) && hasRack(cabinet) ? w * 0.62 : w,
					guessed: !widthMm || !high || !depthMm
				};
			})
	);
	// Large ones first, so that a door rack lies over its shelf and can be reached.
	boxes.sort(
		(a, b) =>
			Number(RACKS.has(a.nook.kind)) - Number(RACKS.has(b.nook.kind)) || b.w * b.h - a.w * a.h
	);
	return {
		lengthMm,
		heightMm,
		cabinets: cabinets.map((cabinet) => ({
			...cabinet,
			x: cabinet.offsetMm,
			y: heightMm - cabinet.baseMm - cabinet.heightMm
		})),
		nooks: boxes
	};
}

/** Average advance of the text face, in its size. */
const ADVANCE = 0.53;
/** Whether a text fits a width. */
export const fits = (text: string, widthMm: number, fontMm: number): boolean =>
	text.length * fontMm * ADVANCE <= widthMm;
/** Words that say nothing at the end of what is left of a name. */
const LOOSE_ENDS = /^(a|an|and|at|by|for|in|of|on|or|over|the|to|under|with|&)$/i;

/**
 * Gives what of a text fits a width: all of it, else its first whole words, else nothing. What is left out comes with
 * zoom or focus; nothing is cut within a word.
 * @example fitWords('On top by the fridge', 60, 10) // 'On top'
 */
export function fitWords(text: string, widthMm: number, fontMm: number): string {
	if (fits(text, widthMm, fontMm)) return text;
	const words = text.split(' ');
	while (words.length > 1) {
		words.pop();
		while (words.length && LOOSE_ENDS.test(words.at(-1)!)) words.pop();
		const left = words.join(' ').replace(/[,:;(]+$/, '');
		if (left && fits(left, widthMm, fontMm)) return left;
	}
	return '';
}

/**
 * Breaks words into as many lines as there is height for; none when they do not fit so.
 * @example wrapWords('heavy, high up', 60, 30, 10) // ['heavy,', 'high up']
 */
export function wrapWords(
	text: string,
	widthMm: number,
	heightMm: number,
	fontMm: number
): string[] {
	const lines: string[] = [];
	for (const word of text.split(' ')) {
		const longer = lines.length ? `${lines.at(-1)} ${word}` : word;
		if (lines.length && fits(longer, widthMm, fontMm)) lines[lines.length - 1] = longer;
		else if (fits(word, widthMm, fontMm)) lines.push(word);
		else return [];
	}
	return lines.length * fontMm * LINE <= heightMm ? lines : [];
}
/** From one line to the next, in sizes of the type. */
export const LINE = 1.15;

/** Gives the words for a nook that fit its box: all of its name, else the part that tells it from its neighbours. */
export function nookWords(box: NookBox, widthMm: number, fontMm: number): string {
	const name = box.nook.name.replace(`${box.cabinet.name}: `, '');
	if (fits(name, widthMm, fontMm)) return name;
	const last = name.split(', ').at(-1)!;
	return fitWords(last[0]!.toUpperCase() + last.slice(1), widthMm, fontMm);
}

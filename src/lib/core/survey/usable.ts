import type { Nook, Obstruction, Settings } from '../model';
import { isPullOut } from './place';
import { reachHeights } from './reach';

const SERVICED = new Set<Obstruction['kind']>(['pipe', 'trap', 'valve', 'filter']);
/** Obstructions that begin within this depth take away front run, mm. */
const FRONT_ZONE_MM = 150;
const BACK_ROW_FROM_MM = 400;
/** A drawer's contents must clear what closes over it by so much, mm. */
const CLOSING_PLAY_MM = 5;
/** Fingers' room above what stands free, mm. */
export const FINGERS_MM = 5;

export interface Box {
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly w: number;
	readonly d: number;
	readonly h: number;
}

export type UsableSpace =
	| { readonly ok: false; readonly missing: readonly ('width' | 'depth' | 'height')[] }
	| {
			readonly ok: true;
			/** Inside width × depth × height, ml. */
			readonly grossMl: number;
			/** Lost to obstructions with their service gap, ml. */
			readonly obstructedMl: number;
			/** Lost above the way in, ml. */
			readonly beyondOpeningMl: number;
			readonly usableMl: number;
			/** Free front width, mm. */
			readonly runMm: number;
			/** Share of the depth that one hand reaches without moving anything, 0 to 1. */
			readonly frontRowShare: number;
			/** Largest width and height that pass the way in, mm. */
			readonly passes: { readonly widthMm: number; readonly heightMm: number };
	  };

/**
 * Gives the obstruction boxes of a nook, grown by the service gap round pipes and valves and cut to the inside.
 * Coordinates: x from the left, y from the front, z from the bottom, mm. Boxes wholly outside are left out.
 */
export function blockedBoxes(nook: Nook, pipeGapMm: number): Box[] {
	const { widthMm = 0, depthMm = 0, heightMm = 0 } = nook.inside;
	const span = (from: number, size: number, gap: number, limit: number) => {
		const low = Math.max(0, from - gap);
		return { low, size: Math.min(limit, from + size + gap) - low };
	};
	return nook.obstructions
		.map((o) => {
			const gap = SERVICED.has(o.kind) ? pipeGapMm : 0;
			const x = span(o.xMm, o.widthMm, gap, widthMm ?? 0);
			const y = span(o.yMm, o.depthMm, gap, depthMm ?? 0);
			const z = span(o.zMm, o.heightMm, gap, heightMm ?? 0);
			return { x: x.low, y: y.low, z: z.low, w: x.size, d: y.size, h: z.size };
		})
		.filter((box) => box.w > 0 && box.d > 0 && box.h > 0);
}

/** Volume of the union of boxes in mm³, by the cells between their faces; fit for a dozen boxes. */
export function unionMm3(boxes: readonly Box[]): number {
	const cuts = (low: (b: Box) => number, size: (b: Box) => number) =>
		[...new Set(boxes.flatMap((b) => [low(b), low(b) + size(b)]))].sort((a, b) => a - b);
	const xs = cuts(
		(b) => b.x,
		(b) => b.w
	);
	const ys = cuts(
		(b) => b.y,
		(b) => b.d
	);
	const zs = cuts(
		(b) => b.z,
		(b) => b.h
	);
	let sum = 0;
	for (let i = 0; i + 1 < xs.length; i++)
		for (let j = 0; j + 1 < ys.length; j++)
			for (let k = 0; k + 1 < zs.length; k++) {
				const [x, y, z] = [xs[i]!, ys[j]!, zs[k]!];
				const covered = boxes.some(
					(b) => x >= b.x && x < b.x + b.w && y >= b.y && y < b.y + b.d && z >= b.z && z < b.z + b.h
				);
				if (covered) sum += (xs[i + 1]! - x) * (ys[j + 1]! - y) * (zs[k + 1]! - z);
			}
	return sum;
}

const coveredLength = (spans: readonly (readonly [number, number])[]): number => {
	let end = -Infinity;
	let sum = 0;
	for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
		sum += Math.max(0, to - Math.max(from, end));
		end = Math.max(end, to);
	}
	return sum;
};

/** A stature to judge the back row by when no person is named, mm. */
const TYPICAL_STATURE_MM = 1680;

/**
 * Computes what a nook can really hold: gross volume, less obstructions with their service gap, less what lies
 * above the way in. `baseMm` is the nook's bottom above the floor. A size not measured yet is named, not guessed.
 * @example usableSpace(shelf600x300x350, 900, DEFAULT_SETTINGS) // usableMl 63000
 */
export function usableSpace(
	nook: Nook,
	baseMm: number,
	settings: Pick<Settings, 'play'>,
	statureMm = TYPICAL_STATURE_MM
): UsableSpace {
	const { widthMm, depthMm, heightMm } = nook.inside;
	if (!widthMm || !depthMm || !heightMm) {
		const missing = [
			!widthMm && ('width' as const),
			!depthMm && ('depth' as const),
			!heightMm && ('height' as const)
		].filter((part) => part !== false);
		return { ok: false, missing };
	}
	const passWidth = Math.min(widthMm, nook.opening?.widthMm || widthMm);
	const clearHeight = heightMm - (nook.kind === 'drawer' ? CLOSING_PLAY_MM : 0);
	const passHeight = Math.max(0, Math.min(clearHeight, nook.opening?.heightMm || heightMm));
	const blocked = blockedBoxes(nook, settings.play.pipeMm);
	const below = blocked
		.map((box) => ({ ...box, h: Math.min(box.h, passHeight - box.z) }))
		.filter((box) => box.h > 0);
	const grossMl = (widthMm * depthMm * heightMm) / 1000;
	const beyondOpeningMl = (widthMm * depthMm * (heightMm - passHeight)) / 1000;
	const obstructedMl = unionMm3(below) / 1000;
	const inFront = below.filter((box) => box.y < FRONT_ZONE_MM && box.z < passHeight / 2);
	const runMm = widthMm - coveredLength(inFront.map((box) => [box.x, box.x + box.w]));
	const heights = reachHeights(statureMm);
	const awkward = baseMm < heights.knee || baseMm > heights.eye;
	const frontRowShare = !isPullOut(nook) && awkward ? Math.min(1, BACK_ROW_FROM_MM / depthMm) : 1;
	return {
		ok: true,
		grossMl,
		obstructedMl,
		beyondOpeningMl,
		usableMl: Math.max(0, grossMl - beyondOpeningMl - obstructedMl),
		runMm,
		frontRowShare,
		passes: { widthMm: passWidth, heightMm: passHeight }
	};
}

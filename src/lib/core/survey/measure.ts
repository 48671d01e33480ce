import { memoOn, type Edit, type Home, type HomePart, type Nook } from '../model';
import type { Side } from './edits';
import { restack } from './restack';

/** Sides of one place that were read at once, mm. */
export type SidesRead = Partial<Record<Side, number>>;
const SIDES: readonly Side[] = ['widthMm', 'depthMm', 'heightMm'];

/**
 * Pairs numbers that were read in a row with the sides of a place: from `first` on, in the order width, depth, height.
 * @example sidesFrom([564, 512, 276]) // { widthMm: 564, depthMm: 512, heightMm: 276 }
 */
export const sidesFrom = (mm: readonly number[], first: Side = 'widthMm'): SidesRead =>
	Object.fromEntries(
		SIDES.slice(SIDES.indexOf(first)).flatMap((side, i) =>
			mm[i] === undefined ? [] : [[side, mm[i]]]
		)
	);

function read(nook: Nook, sides: SidesRead): void {
	for (const side of SIDES) {
		const mm = sides[side];
		if (mm === undefined) continue;
		nook.readings[side] = [mm];
		nook.inside[side] = mm;
		if (nook.pictured && side !== 'depthMm') nook.pictured[side] = null;
	}
}

/** Makes the edit that takes one reading of several sides of a place at once, in the place of those there were. */
export function takeSides(nookId: string, sides: SidesRead): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (!nook) return;
		read(nook, sides);
		restack(draft as Home, nook.cabinetId);
	};
}

/** Places of the same cabinet and kind: shelf by shelf they are often of one size. */
export const alikeIn = ({ nooks }: HomePart<'nooks'>, nookId: string): readonly Nook[] => {
	const from = nooks[nookId];
	return from
		? Object.values(nooks).filter(
				(nook) =>
					nook.id !== from.id && nook.cabinetId === from.cabinetId && nook.kind === from.kind
			)
		: [];
};

/** What was read of a place: the smallest of each side that has a reading. */
const readOf = (nook: Nook): SidesRead =>
	Object.fromEntries(
		SIDES.filter((side) => nook.readings[side].length).map((side) => [side, nook.inside[side]!])
	);

/** Makes the edit that says the other places of its cabinet and kind are of the size that was read of this one. */
export function sameSize(nookId: string): Edit {
	return (draft) => {
		const from = draft.nooks[nookId];
		if (!from) return;
		const sides = readOf(from as Nook);
		for (const nook of alikeIn(draft as Home, nookId)) read(nook, sides);
		restack(draft as Home, from.cabinetId);
	};
}

/** Makes the edit that says sizes which were only assumed are right: somebody has held them to a tape. */
export function confirmSizes(nookId: string): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (!nook) return;
		for (const side of SIDES) {
			const mm = nook.inside[side];
			if (mm && !nook.readings[side].length) read(nook, { [side]: mm });
		}
	};
}

/** Places of a cabinet from the left and the bottom: in this order those of two like cabinets go together. */
const inOrder = (home: HomePart<'nooks'>, cabinetId: string) =>
	Object.values(home.nooks)
		.filter((nook) => nook.cabinetId === cabinetId)
		.sort((a, b) => a.at.xMm - b.at.xMm || a.at.zMm - b.at.zMm || (a.id < b.id ? -1 : 1));

/** Other cabinets of the same form and number of places, with something read in them: their measures can be copied. */
export function likeCabinets(home: HomePart<'nooks' | 'cabinets'>, cabinetId: string) {
	const own = home.cabinets[cabinetId];
	const count = inOrder(home, cabinetId).length;
	return Object.values(home.cabinets).filter((other) => {
		if (!own || other.id === own.id || other.form !== own.form) return false;
		const nooks = inOrder(home, other.id);
		return (
			nooks.length === count &&
			nooks.some((nook) => SIDES.some((side) => nook.readings[side].length))
		);
	});
}

/** Makes the edit that copies the measures of one cabinet, inside and out, to a like one. */
export function copyMeasures(fromId: string, toId: string): Edit {
	return (draft) => {
		const [from, to] = [draft.cabinets[fromId], draft.cabinets[toId]];
		if (!from || !to) return;
		const source = inOrder(draft as Home, fromId);
		for (const [i, nook] of inOrder(draft as Home, toId).entries()) {
			if (!source[i]) continue;
			read(nook, readOf(source[i]));
			nook.at = { ...source[i].at };
		}
		const { widthMm, heightMm, depthMm } = from;
		Object.assign(to, { widthMm, heightMm, depthMm });
		restack(draft as Home, toId);
	};
}

const isEstimated = (nook: Nook): boolean =>
	SIDES.every((side) => nook.inside[side] !== null) &&
	SIDES.some(
		(side) => !nook.readings[side].length && (side === 'depthMm' || nook.pictured?.[side] == null)
	);
/** Places whose size is known, but has a side that nobody measured: it is as large as such places usually are. */
export const estimatedPlaces = memoOn(['nooks'], (home): readonly Nook[] =>
	Object.values(home.nooks).filter(isEstimated)
);

/** How much of the sizes of a home was read, not assumed or taken from a picture. */
export interface MeasuredShare {
	readonly sides: number;
	readonly read: number;
	/** Of them taken from a picture only. */
	readonly pictured: number;
}

/** Counts the sides of some places that are known, and those of them that were read on a tape. */
export function measuredShare(nooks: readonly Nook[]): MeasuredShare {
	let [sides, readSides, pictured] = [0, 0, 0];
	for (const nook of nooks)
		for (const side of SIDES) {
			sides++;
			if (nook.readings[side].length) readSides++;
			else if (side !== 'depthMm' && nook.pictured?.[side] != null) pictured++;
		}
	return { sides, read: readSides, pictured };
}

/**
 * Carries the sizes of places that nobody has read along when the outside of their cabinet changes: the width and depth
 * by as much, the heights in proportion. What was read stays, and is checked against the new outside.
 */
export function followOutside(
	home: Home,
	cabinetId: string,
	before: Pick<Home['cabinets'][string], 'widthMm' | 'heightMm' | 'depthMm'>
): void {
	const after = home.cabinets[cabinetId];
	if (!after) return;
	const tall = before.heightMm > 0 ? after.heightMm / before.heightMm : 1;
	for (const nook of inOrder(home, cabinetId)) {
		const { inside, readings } = nook;
		const shift = (side: 'widthMm' | 'depthMm') => {
			const mm = inside[side];
			if (mm && !readings[side].length && mm > before[side] / 2)
				inside[side] = Math.max(1, mm + after[side] - before[side]);
		};
		shift('widthMm');
		shift('depthMm');
		if (tall === 1) continue;
		if (inside.heightMm && !readings.heightMm.length && nook.kind !== 'top')
			inside.heightMm = Math.max(1, Math.round(inside.heightMm * tall));
		nook.at.zMm = Math.round(nook.at.zMm * tall);
	}
}

import type { Holding } from '../grouping';
import { pieceVolumeMl, usesPerWeek, type Lot, type Thing } from '../model';
// Not by the index of its folder, which asks this one how things stand.
import { effectiveDate } from '../rotation/effective-date';

/** So many pieces of one thing. */
export interface Good {
	readonly thing: Thing;
	/** Whole: what is begun takes its full size. */
	readonly pieces: number;
	readonly volumeMl: number;
	readonly massG: number;
	readonly usesPerWeek: number;
	/** When it is to be used up, for what is sorted by that: empty where it is open, else its first date; `9999`: none. */
	readonly due: string;
	/** The lid that is on each piece; its size and mass are in the thing's. */
	readonly lid?: Thing;
}

/** The date of what is never due. */
export const NEVER = '9999';
const dueOf = (lot: Lot, thing: Thing): string =>
	lot.states.includes('open') || lot.dates.openedOn ? '' : (effectiveDate(lot, thing)?.on ?? NEVER);

/** So many pieces of what a good is. */
export const piecesOf = (good: Good, pieces: number): Good => ({
	...good,
	pieces,
	volumeMl: pieceVolumeMl(good.thing) * pieces,
	massG: good.thing.massG * pieces
});

/** Volume of goods, or of what is left over of them, ml. */
export const volumeOf = (goods: readonly { readonly volumeMl: number }[]): number =>
	goods.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
export const massOf = (goods: readonly Good[]): number =>
	goods.reduce((sum, { massG }) => sum + massG, 0);

/** Gathers what is held of things, thing by thing, by id. */
export function goodsOf(
	shares: readonly (Pick<Holding, 'thing' | 'pieces'> & { readonly lot?: Lot })[]
): Good[] {
	const counts = new Map<string, { thing: Thing; pieces: number; due: string }>();
	for (const { thing, pieces, lot } of shares) {
		const due = lot ? dueOf(lot, thing) : NEVER;
		const known = counts.get(thing.id);
		if (known) {
			known.pieces += pieces;
			if (due < known.due) known.due = due;
		} else counts.set(thing.id, { thing, pieces, due });
	}
	return [...counts.values()]
		.map(({ thing, pieces, due }) => {
			const uses = usesPerWeek(thing);
			const whole = Math.ceil(pieces - 1e-9);
			return piecesOf({ thing, pieces: 0, volumeMl: 0, massG: 0, usesPerWeek: uses, due }, whole);
		})
		.filter(({ pieces }) => pieces > 0)
		.sort((a, b) => (a.thing.id < b.thing.id ? -1 : 1));
}

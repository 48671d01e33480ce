import type { Edit, Home, HomePart, Nook } from '../model';

/** Less than this between two boards is no place any more, mm. */
const LEAST_LEFT_MM = 100;

/** The place right over another in one body, whose board can be moved; null: there is none. */
export function shelfOver(
	home: HomePart<'nooks' | 'cabinets'>,
	nook: Pick<Nook, 'id' | 'cabinetId' | 'at'>
): Nook | null {
	const cabinet = home.cabinets[nook.cabinetId];
	if (!cabinet?.shelves) return null;
	const over = Object.values(home.nooks)
		.filter(
			(other) =>
				other.cabinetId === nook.cabinetId &&
				other.kind === 'shelf' &&
				other.at.xMm === nook.at.xMm &&
				other.at.zMm > nook.at.zMm
		)
		.sort((a, b) => a.at.zMm - b.at.zMm)[0];
	return over?.adjustable && over.inside.heightMm ? over : null;
}

/**
 * Says how many holes the shelf over a place has to go up so that the place is `moreMm` higher; null where no shelf can
 * be moved, or the place above would be none any more.
 * @example pegsFor(home, lowShelf, 40) // { pegs: 2, byMm: 64, overId: 'shelf-2' }
 */
export function pegsFor(
	home: HomePart<'nooks' | 'cabinets'>,
	nook: Pick<Nook, 'id' | 'cabinetId' | 'at'>,
	moreMm: number
): { readonly pegs: number; readonly byMm: number; readonly overId: Nook['id'] } | null {
	const over = shelfOver(home, nook);
	const pitch = home.cabinets[nook.cabinetId]?.shelves?.pitchMm;
	if (!over || !pitch || moreMm <= 0) return null;
	const pegs = Math.ceil(moreMm / pitch);
	return over.inside.heightMm! - pegs * pitch >= LEAST_LEFT_MM
		? { pegs, byMm: pegs * pitch, overId: over.id }
		: null;
}

/** Makes the edit that moves the shelf over a place up by so many holes; both sizes follow, as readings to be checked. */
export function raiseShelf(nookId: string, pegs: number): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		const over = nook && shelfOver(draft as Home, nook as Nook);
		const pitch = nook && draft.cabinets[nook.cabinetId]?.shelves?.pitchMm;
		if (!nook?.inside.heightMm || !over || !pitch) return;
		const byMm = pegs * pitch;
		if (over.inside.heightMm! - byMm < LEAST_LEFT_MM || nook.inside.heightMm + byMm < LEAST_LEFT_MM)
			return;
		const above = draft.nooks[over.id]!;
		nook.inside.heightMm += byMm;
		if (nook.opening) nook.opening.heightMm += byMm;
		above.at.zMm += byMm;
		above.inside.heightMm = over.inside.heightMm! - byMm;
		if (above.opening)
			above.opening.heightMm = Math.min(above.opening.heightMm, above.inside.heightMm);
		above.obstructions = above.obstructions.flatMap((box) => {
			const top = box.zMm + box.heightMm - byMm;
			return top > 0
				? [
						{
							...box,
							zMm: Math.max(0, box.zMm - byMm),
							heightMm: top - Math.max(0, box.zMm - byMm)
						}
					]
				: [];
		});
		for (const each of [nook, above]) {
			each.readings.heightMm = [];
			for (const plan of Object.values(draft.fitPlans))
				if (plan.nookId === each.id) delete draft.fitPlans[plan.id];
		}
	};
}

/** Makes the edit that fits child catches to a cabinet. */
export const fitCatch = (cabinetId: string): Edit => guarded(cabinetId, 'childCatch');

/** Makes the edit that fits a lock to a cabinet. */
export const fitLock = (cabinetId: string): Edit => guarded(cabinetId, 'lockable');

function guarded(cabinetId: string, how: 'childCatch' | 'lockable'): Edit {
	return (draft) => {
		const cabinet = draft.cabinets[cabinetId];
		if (cabinet) cabinet[how] = true;
	};
}

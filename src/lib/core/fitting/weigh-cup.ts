import type { Edit } from '../model';

/** Nothing that is eaten is lighter than popped corn or heavier than this, g/ml. */
const LIGHTEST = 0.01;
const HEAVIEST = 3;

export type CupIssue =
	| { readonly code: 'cup-empty' }
	| { readonly code: 'cup-light' | 'cup-heavy'; readonly gPerMl: number };
export type Cup =
	{ readonly ok: true; readonly gPerMl: number } | { readonly ok: false; readonly issue: CupIssue };

/**
 * How dense a thing is by a cup of it that was weighed: the cup's ml, and grams without the cup.
 * @example cupDensity(250, 140) // { ok: true, gPerMl: 0.56 }
 */
export function cupDensity(cupMl: number, grams: number): Cup {
	if (!(cupMl > 0) || !(grams > 0)) return { ok: false, issue: { code: 'cup-empty' } };
	const gPerMl = Math.round((grams / cupMl) * 1000) / 1000;
	if (gPerMl < LIGHTEST) return { ok: false, issue: { code: 'cup-light', gPerMl } };
	if (gPerMl > HEAVIEST) return { ok: false, issue: { code: 'cup-heavy', gPerMl } };
	return { ok: true, gPerMl };
}

/** Makes the edit that sets how dense a thing is by hand; null: by its name again. */
export function setDensity(thingId: string, gPerMl: number | null): Edit {
	return (draft) => {
		const thing = draft.things[thingId];
		if (thing) thing.densityGPerMl = gPerMl;
	};
}

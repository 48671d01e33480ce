import type { GroupFigures } from '../grouping';
import { memoOn, type Hazard } from '../model';
import { baseAboveFloorMm, TODDLER_CLIMB_MM, TODDLER_REACH_MM, type NookPlace } from '../survey';

/** Whether a small child lives in the home or visits it. */
export const hasToddler = memoOn(['people'], (home) =>
	Object.values(home.people).some((person) => person.ageBand === 'toddler')
);

/**
 * What can kill a small child in one go: a catch holds it up for a minute, so these take a lock, or a height that it does
 * not climb to. What nobody has said the kind of yet may be anything.
 */
const LOCKED: readonly Hazard[] = ['cleaner', 'bleach', 'acid', 'medicine', 'flammable', 'unknown'];
/** Swallowed, a button battery burns through within two hours. */
const BUTTON_CELLS =
	/\b(?:button|coin)[ -]?(?:cells?|batter)|\b(?:cells?|batter\w*)\b.*\b(?:button|coin)\b|\b(?:cr|lr|sr)\d{2,4}\b/i;
/** What is high enough is not reached; else a catch does. */
const CAUGHT_HIGH: readonly Hazard[] = ['alcohol'];
const CAUGHT_LOW: readonly Hazard[] = ['sharp', 'choking'];

/** Whether a small child could die of one of these things: then a catch alone does not do. */
export const isDeadly = ({ hazards, things }: Pick<GroupFigures, 'hazards' | 'things'>): boolean =>
	LOCKED.some((one) => hazards.has(one)) || things.some(({ name }) => BUTTON_CELLS.test(name));

/** What keeps a place shut: a lock counts for its cabinet and for itself alike. */
export function guardOf({
	cabinet,
	nook
}: Pick<NookPlace, 'cabinet' | 'nook'>): 'lock' | 'catch' | null {
	if (cabinet.lockable || nook.locked) return 'lock';
	return cabinet.childCatch || nook.childCatch ? 'catch' : null;
}

/**
 * Says what a place lacks before a small child may live beside it: a lock, a catch, or nothing. Height is measured to its
 * base; out of climbing reach both rules rest, and the review still asks for a catch.
 * @example guardLacking({ hazards: new Set(['medicine']), things: [] }, lowDrawerWithCatch) // 'lock'
 */
export function guardLacking(
	figures: Pick<GroupFigures, 'hazards' | 'things'>,
	place: NookPlace
): 'lock' | 'catch' | null {
	const guard = guardOf(place);
	if (guard === 'lock') return null;
	const base = baseAboveFloorMm(place);
	if (base >= TODDLER_CLIMB_MM) return null;
	if (isDeadly(figures)) return 'lock';
	const { hazards } = figures;
	if (guard === 'catch') return null;
	const isReached = base < TODDLER_REACH_MM && CAUGHT_LOW.some((one) => hazards.has(one));
	return isReached || CAUGHT_HIGH.some((one) => hazards.has(one)) ? 'catch' : null;
}

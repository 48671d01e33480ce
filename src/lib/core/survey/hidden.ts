import { memoOn, type HiddenKind, type Home, type Nook } from '../model';
import { FINDERS } from './hidden-finders';
import { heldByNook, type HiddenHome, type Scene } from './hidden-scene';
import { rowOf, type HiddenPlace } from './hidden-place';
import { nooksInOrder } from './place';

/** Less than this is not worth a trip, ml. */
const LEAST_GAIN_ML = 500;

/** What may be fixed in a place: as it says itself, else nothing that leaves a hole in a rented home. */
export const fixingsOf = (home: Pick<Home, 'rented'>, nook: Pick<Nook, 'fixings'> | undefined) =>
	nook?.fixings ?? (home.rented ? 'no-holes' : 'any');

function searchHidden(home: HiddenHome): readonly HiddenPlace[] {
	const scene: Scene = { home, places: nooksInOrder(home), held: heldByNook(home) };
	return (Object.keys(FINDERS) as HiddenKind[])
		.flatMap((kind) =>
			FINDERS[kind](scene).map((found): HiddenPlace => {
				const row = rowOf(kind);
				const { nookId = null, runId = null, asksRating = false, damp = false } = found;
				const fixings = fixingsOf(home, nookId ? home.nooks[nookId] : undefined);
				// Where holes are not wanted, what can also be stuck or hung over is, by its rating.
				const sticks = asksRating && fixings === 'no-holes';
				const needsHole = row.needsHole && !sticks;
				return {
					key: `${kind}/${nookId ?? runId ?? found.where}/${found.where}`,
					kind,
					where: found.where,
					nookId,
					runId,
					gainMl: Math.round(found.gainMl),
					needs: row.needs,
					costMinor: row.costMinor,
					needsHole,
					allowed: needsHole ? fixings === 'any' : !(asksRating && fixings === 'none'),
					loadG: found.loadG ?? row.loadG,
					asksRating: asksRating && !needsHole,
					damp,
					loadCheck: found.loadCheck,
					make: found.make
				};
			})
		)
		.filter((place) => place.gainMl >= LEAST_GAIN_ML)
		.sort((a, b) => b.gainMl - a.gainMl || (a.key < b.key ? -1 : 1));
}

/**
 * Looks for room the home has and does not use, and proposes it: litres gained, what it needs, its rough cost, whether
 * it leaves a hole and whether that is allowed, and what it carries. The most litres come first; ties by name.
 * Adhesive fixings carry only by their rating, halved in damp rooms: it is asked for on accepting.
 */
export const findHidden = memoOn(
	['nooks', 'cabinets', 'runs', 'rooms', 'lots', 'things', 'rented', 'settings'],
	searchHidden
);

/**
 * What adhesive hooks carry together: their rating, halved in damp rooms, times how many there are.
 * @example ratedLoadG(1000, 3, true) // 1500
 */
export const ratedLoadG = (ratingG: number, hooks: number, damp: boolean): number =>
	Math.floor((damp ? ratingG / 2 : ratingG) * hooks);

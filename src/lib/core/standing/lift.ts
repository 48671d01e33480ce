import type { Home } from '../model';
import { baseAboveFloorMm, reachHeights, type NookPlace } from '../survey';

/** What someone who should lift nothing above the shoulder still takes down with one hand, g. */
const LIGHT_G = 1000;
/** More than this is no container for anybody, g. */
const MOST_G = 12_000;

/**
 * Says what a container may weigh that is lifted out of a place, g: by the weakest adult of the house at that height. Above
 * the shoulder and beyond knee and elbow the settings hold, between knee and elbow each person's own limit.
 */
export function liftOf(home: Home, place: NookPlace): number {
	const base = baseAboveFloorMm(place);
	const { lift } = home.settings;
	const adults = Object.values(home.people).filter(
		({ ageBand, visits }) => !visits && ageBand !== 'toddler' && ageBand !== 'child'
	);
	return adults.reduce((most, person) => {
		const body = reachHeights(person.statureMm);
		const own = person.limits.maxLiftG ?? Infinity;
		if (base > body.shoulder)
			return Math.min(most, person.limits.noAboveShoulder ? LIGHT_G : lift.aboveShoulderG, own);
		const isHandy = base <= body.elbow && base >= body.knee;
		return Math.min(most, own, isHandy ? Infinity : lift.kneeToElbowG);
	}, MOST_G);
}

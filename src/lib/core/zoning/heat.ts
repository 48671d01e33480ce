import type { Home } from '../model';
import { baseAboveFloorMm, runAxes, type NookPlace } from '../survey';

/** Stations that give off heat. */
const HOT = new Set(['hob', 'oven']);
/** How far in front of its run a hob may be marked, mm: one marks it where one stands. */
const BEFORE_MM = 1100;
/** What hangs over a hob hangs above this, mm. */
const OVER_MM = 1200;

/**
 * Whether a place hangs over a hob or an oven, by where they are marked on the plan: steam and heat rise into it.
 * What stands beside or under one is said of the cabinet ("gets warm"), since it depends on how it is built.
 */
export function hangsOverHeat(home: Pick<Home, 'stations'>, place: NookPlace): boolean {
	if (baseAboveFloorMm(place) < OVER_MM || place.cabinet.form === 'tall') return false;
	const { along, towards } = runAxes(place.run);
	const { offsetMm, widthMm } = place.cabinet;
	return Object.values(home.stations).some(({ kind, roomId, at }) => {
		if (!HOT.has(kind) || roomId !== place.room.id) return false;
		const [dx, dy] = [at.x - place.run.from.x, at.y - place.run.from.y];
		const s = dx * along.x + dy * along.y;
		const t = dx * towards.x + dy * towards.y;
		return t >= 0 && t <= BEFORE_MM && s >= offsetMm && s <= offsetMm + widthMm;
	});
}

import { lotsIn, pieceVolumeMl, type Home, type Thing } from '../model';
import { baseAboveFloorMm, placeOfNook, usableSpace } from '../survey';
import { inPacks } from './packs';
import { homeOf } from './shopping';

/** The room that a thing may take where it lives. */
export interface RoomFor {
	readonly nookId: string;
	/** What its packs stand in now and what is free beside, ml: all that it could take. */
	readonly freeMl: number;
}

/**
 * Measures the room a thing has where most of it lives: the usable space of the place, as full as the home fills its
 * places, less what else stands there. Null: it has no place, or the place is not measured.
 */
export function roomFor(home: Home, thing: Thing): RoomFor | null {
	const nookId = homeOf(home, thing.id);
	const place = nookId ? placeOfNook(home, nookId) : null;
	if (!nookId || !place) return null;
	const space = usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
	if (!space.ok) return null;
	const others = lotsIn(home, nookId).reduce((sum, lot) => {
		const other = home.things[lot.thingId];
		if (!other || other.id === thing.id) return sum;
		return sum + pieceVolumeMl(other) * inPacks(lot.count, lot.unit, other);
	}, 0);
	return { nookId, freeMl: Math.max(0, space.usableMl * home.settings.play.fillShare - others) };
}

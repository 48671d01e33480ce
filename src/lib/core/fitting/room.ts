import type { Home } from '../model';
import {
	baseAboveFloorMm,
	blockedBoxes,
	isPullOut,
	placeOfNook,
	usableSpace,
	type Box
} from '../survey';
import { liftOf } from './lift';

/** What containers have to keep to in one nook. */
export interface NookRoom {
	readonly widthMm: number;
	readonly depthMm: number;
	/** Height for things and the fingers above them, mm. */
	readonly heightMm: number;
	readonly passWidthMm: number;
	readonly passHeightMm: number;
	/** Fingers' room above a container, mm. */
	readonly aboveMm: number;
	readonly loadG: number;
	/** What a container that is lifted out here may weigh, g. */
	readonly liftG: number;
}

/** Everything a packing has to keep to in one nook. */
export interface Packing {
	readonly room: NookRoom;
	readonly boxes: readonly Box[];
	readonly seenFromAbove: boolean;
	readonly frontMm: number;
	readonly sideMm: number;
}

/** Describes the room that containers have in a nook; null when a side is not measured. */
export function roomOf(home: Home, nookId: string): Packing | null {
	const place = placeOfNook(home, nookId);
	if (!place) return null;
	const space = usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
	if (!space.ok) return null;
	const { nook } = place;
	const { play } = home.settings;
	const seenFromAbove = isPullOut(nook) || nook.kind.startsWith('chest-');
	return {
		room: {
			// A size from a picture is not used to the millimetre: what it may be off is left free.
			widthMm: Math.max(1, nook.inside.widthMm! - (nook.pictured?.widthMm ?? 0)),
			depthMm: nook.inside.depthMm!,
			heightMm: Math.max(1, nook.inside.heightMm! - (nook.pictured?.heightMm ?? 0)),
			passWidthMm: space.passes.widthMm,
			passHeightMm: space.passes.heightMm,
			// A drawer is reached from above; nothing has to be lifted over what stands on it.
			aboveMm:
				nook.kind === 'drawer' ? 5 : nook.kind.startsWith('chest-') ? play.overLipMm : play.aboveMm,
			loadG: nook.loadG ?? Infinity,
			liftG: liftOf(home, place)
		},
		boxes: blockedBoxes(nook, play.pipeMm),
		seenFromAbove,
		frontMm: play.frontMm,
		sideMm: play.sideMm
	};
}

import type { Home, Nook, Settings } from '../model';
import {
	baseAboveFloorMm,
	blockedBoxes,
	FINGERS_MM,
	isPullOut,
	placeOfNook,
	usableSpace,
	type Box,
	type UsableSpace
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

/** What a thing that stands free has to keep to: sides of the floor, the way in, height under the fingers; all in mm. */
export interface Clear {
	readonly widthMm: number;
	readonly depthMm: number;
	readonly heightMm: number;
	readonly passWidthMm: number;
	/** Looked into from above: nothing hides what is behind it. */
	readonly isSeenFromAbove: boolean;
}

type Measured = Extract<UsableSpace, { ok: true }>;

/** What stands free in a room keeps to this. */
export const clearIn = ({
	room,
	frontMm,
	seenFromAbove
}: {
	readonly room: Sides;
	readonly frontMm: number;
	readonly seenFromAbove: boolean;
}): Clear => ({
	widthMm: room.widthMm,
	depthMm: room.depthMm - frontMm,
	heightMm: Math.min(room.heightMm, room.passHeightMm) - FINGERS_MM,
	passWidthMm: room.passWidthMm,
	isSeenFromAbove: seenFromAbove
});

type Sides = Pick<NookRoom, 'widthMm' | 'depthMm' | 'heightMm' | 'passWidthMm' | 'passHeightMm'>;
/** The sides of a measured nook; a size from a picture leaves free what it may be off. */
const sidesOf = ({ inside, pictured }: Nook, { passes }: Measured): Sides => ({
	widthMm: Math.max(1, inside.widthMm! - (pictured?.widthMm ?? 0)),
	depthMm: inside.depthMm!,
	heightMm: Math.max(1, inside.heightMm! - (pictured?.heightMm ?? 0)),
	passWidthMm: passes.widthMm,
	passHeightMm: passes.heightMm
});

/** Behind a bar nothing falls out: things stand as deep as the rail is. */
const BARRED: ReadonlySet<Nook['kind']> = new Set(['fridge-door', 'door', 'rail']);
/** What stays free in front of things in a place, mm. */
const frontOf = ({ kind }: Pick<Nook, 'kind'>, { frontMm }: Settings['play']): number =>
	BARRED.has(kind) ? 0 : frontMm;

const isSeenFromAbove = (nook: Nook): boolean => isPullOut(nook) || nook.kind.startsWith('chest-');

/** One record for all places that are alike, so that what is known of a thing in one is known in all. */
const alike = new Map<string, Clear>();

/** What stands free in a measured nook keeps to this. */
export function clearOf(nook: Nook, space: Measured, play: Settings['play']): Clear {
	const seenFromAbove = isSeenFromAbove(nook);
	const frontMm = frontOf(nook, play);
	const clear = clearIn({ room: sidesOf(nook, space), frontMm, seenFromAbove });
	const key = Object.values(clear).join('/');
	const same = alike.get(key);
	if (!same) alike.set(key, clear);
	return same ?? clear;
}

/** Everything a packing has to keep to in one nook. */
export interface Packing {
	readonly room: NookRoom;
	readonly boxes: readonly Box[];
	readonly seenFromAbove: boolean;
	/** Baskets may stand on each other: what is used first on top, reserves at the bottom. */
	readonly inLayers: boolean;
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
	const seenFromAbove = isSeenFromAbove(nook);
	return {
		room: {
			...sidesOf(nook, space),
			// A drawer is reached from above; nothing has to be lifted over what stands on it.
			aboveMm:
				nook.kind === 'drawer' ? 5 : nook.kind.startsWith('chest-') ? play.overLipMm : play.aboveMm,
			loadG: nook.loadG ?? Infinity,
			liftG: liftOf(home, place)
		},
		boxes: blockedBoxes(nook, play.pipeMm),
		seenFromAbove,
		inLayers: nook.kind === 'chest-layer',
		frontMm: frontOf(nook, play),
		sideMm: play.sideMm
	};
}

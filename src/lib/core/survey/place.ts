import {
	memoOn,
	type Cabinet,
	type HomePart,
	type Nook,
	type NookKind,
	type Point,
	type Room,
	type Run
} from '../model';

/** The places of a home. */
export type Places = HomePart<'nooks' | 'cabinets' | 'runs' | 'rooms'>;

/** A nook with the cabinet, run and room it stands in. */
export interface NookPlace {
	readonly nook: Nook;
	readonly cabinet: Cabinet;
	readonly run: Run;
	readonly room: Room;
}

/** Whether a place is one of a bathroom: by its room, or by what only bathrooms have. */
export const isBathroom = ({
	room,
	cabinet
}: {
	readonly room: Pick<Room, 'name'>;
	readonly cabinet: Pick<Cabinet, 'form'>;
}): boolean =>
	cabinet.form === 'basin' ||
	cabinet.form === 'mirror' ||
	/bath|shower|wash ?room|toilet/i.test(room.name);

/** Finds where a nook stands; null when a link in the chain is broken. */
export function placeOfNook(home: Places, nookId: string): NookPlace | null {
	const nook = home.nooks[nookId];
	const cabinet = nook && home.cabinets[nook.cabinetId];
	const run = cabinet && home.runs[cabinet.runId];
	const room = run && home.rooms[run.roomId];
	return nook && cabinet && run && room ? { nook, cabinet, run, room } : null;
}

const least = (room: Room, side: 'x' | 'y') =>
	Math.min(...room.outline.map((point) => point[side]));
const byId = (a: { readonly id: string }, b: { readonly id: string }) =>
	a.id < b.id ? -1 : a.id > b.id ? 1 : 0;

function sortNooks(home: Places): readonly NookPlace[] {
	return Object.keys(home.nooks)
		.map((id) => placeOfNook(home, id))
		.filter((place) => place !== null)
		.sort(
			(a, b) =>
				least(a.room, 'y') - least(b.room, 'y') ||
				least(a.room, 'x') - least(b.room, 'x') ||
				byId(a.room, b.room) ||
				byId(a.run, b.run) ||
				a.cabinet.offsetMm - b.cabinet.offsetMm ||
				b.cabinet.baseMm - a.cabinet.baseMm ||
				b.nook.at.zMm - a.nook.at.zMm ||
				a.nook.at.xMm - b.nook.at.xMm ||
				byId(a.nook, b.nook)
		);
}

/**
 * Lists the nooks in walking order: rooms from the top of the plan and from the left, then run, then along it from
 * left to right, then from the top down. The order of the records does not matter.
 */
export const nooksInOrder = memoOn(['nooks', 'cabinets', 'runs', 'rooms'], sortNooks);

/** A cabinet with its places, from the top down. */
export interface CabinetPlaces {
	readonly cabinet: Cabinet;
	readonly room: Room;
	readonly nooks: readonly Nook[];
}

/** Lists the cabinets in the order one walks past them, each with its places. */
export const cabinetsInOrder = memoOn(
	['nooks', 'cabinets', 'runs', 'rooms'],
	(home): readonly CabinetPlaces[] => {
		const found = new Map<string, { cabinet: Cabinet; room: Room; nooks: Nook[] }>();
		for (const { nook, cabinet, room } of nooksInOrder(home)) {
			const own = found.get(cabinet.id);
			if (own) own.nooks.push(nook);
			else found.set(cabinet.id, { cabinet, room, nooks: [nook] });
		}
		return [...found.values()];
	}
);

/** Unit vectors of a run: along it, and towards the person who stands before it. */
export function runAxes(run: Run): { along: Point; towards: Point; lengthMm: number } {
	const dx = run.to.x - run.from.x;
	const dy = run.to.y - run.from.y;
	const lengthMm = Math.hypot(dx, dy);
	const scale = lengthMm || 1;
	// With y downwards, a quarter turn clockwise from "along" faces whoever sees `from` on the left.
	return {
		along: { x: dx / scale, y: dy / scale },
		towards: { x: -dy / scale, y: dx / scale },
		lengthMm
	};
}

/** How far before a cabinet's front a person stands, mm. */
const STANDING_MM = 350;

/** Gives the point on the plan, mm, where a person stands to use a nook. */
export function standingPoint({ nook, cabinet, run }: NookPlace): Point {
	const { along, towards } = runAxes(run);
	const s = cabinet.offsetMm + nook.at.xMm + (nook.inside.widthMm ?? cabinet.widthMm) / 2;
	const t = cabinet.depthMm + STANDING_MM;
	return {
		x: Math.round(run.from.x + along.x * s + towards.x * t),
		y: Math.round(run.from.y + along.y * s + towards.y * t)
	};
}

/** Height of a nook's bottom above the floor, mm. */
export const baseAboveFloorMm = ({ nook, cabinet }: Pick<NookPlace, 'nook' | 'cabinet'>): number =>
	cabinet.baseMm + nook.at.zMm;

/** A hand takes things a little above the board they stand on, mm. */
const HAND_ABOVE_MM = 100;
/** Height above the floor at which a hand takes what stands in a nook, mm. */
export const handHeightMm = (place: Pick<NookPlace, 'nook' | 'cabinet'>): number =>
	baseAboveFloorMm(place) + Math.min((place.nook.inside.heightMm ?? 0) / 2, HAND_ABOVE_MM);

const PULL_OUT: ReadonlySet<NookKind> = new Set([
	'drawer',
	'door',
	'fridge-door',
	'freezer-drawer',
	'chest-basket',
	'crisper',
	'trolley',
	'carousel',
	'slide-out',
	'hooks',
	'rail',
	'side-panel'
]);
/** Whether the contents come to the person, so that depth costs nothing. */
export const isPullOut = (nook: Pick<Nook, 'kind'>): boolean => PULL_OUT.has(nook.kind);

/** A body whose underside is this high hangs on the wall, and one can stand beneath it, mm. */
export const HANGS_FROM_MM = 1000;

export type NookClimate = 'room' | 'chilled' | 'frozen';
/** The climate a nook keeps, by its kind. */
export function climateOf(nook: Pick<Nook, 'kind'>): NookClimate {
	if (nook.kind === 'freezer-drawer' || nook.kind.startsWith('chest-')) return 'frozen';
	return nook.kind.startsWith('fridge-') || nook.kind === 'crisper' ? 'chilled' : 'room';
}

import type { Home, Placement, Standing } from '../model';
import { overlaps, type Rect } from '../solvers/packing';
import { roomOf } from '../standing';
import { rectOf } from './check-fit';
import { standingKind } from './kind-sizes';

/** What stands in a place: containers and rows. */
export interface Stood {
	readonly placements: readonly Placement[];
	readonly standing: readonly Standing[];
}

/** A container or a row as a box in its place: x from the left, y from the front, z from the bottom, mm. */
export interface PartBox extends Rect {
	readonly id: string;
	readonly z: number;
	readonly h: number;
	/** It may be turned by 90°. */
	readonly mayTurn: boolean;
}

/** Where a part would stand after a move by hand, and what it would hit there. */
export interface HandMove {
	readonly x: number;
	readonly y: number;
	readonly turned: boolean;
	/** Other parts, and obstructions, that stand where it would. Empty: it goes there. */
	readonly hits: readonly string[];
}

/** A part within this of a wall or of another part stands at it, mm. */
const SNAP_MM = 12;

/** Lists the containers and rows of a place as boxes; containers of unknown kinds are left out. */
export function partBoxes(home: Home, { placements, standing }: Stood): PartBox[] {
	return [
		...placements.flatMap((placement): PartBox[] => {
			const kind = standingKind(home, placement);
			if (!kind) return [];
			const { id, zMm: z } = placement;
			return [{ id, ...rectOf(placement, kind), z, h: kind.heightMm, mayTurn: kind.turn }];
		}),
		...standing.map(({ id, xMm, yMm, widthMm, depthMm, heightMm }) => ({
			id,
			x: xMm,
			y: yMm,
			w: widthMm,
			d: depthMm,
			z: 0,
			h: heightMm,
			mayTurn: true
		}))
	];
}

/** A part with all that stands on each other with it: a stack is moved as one. */
const stackOf = (boxes: readonly PartBox[], part: PartBox): PartBox[] =>
	boxes.filter((box) => box === part || (box.x === part.x && box.y === part.y));

/** The stop nearest to a figure, if one is near enough. */
function snapped(at: number, stops: readonly number[]): number {
	const near = stops.filter((stop) => Math.abs(stop - at) <= SNAP_MM);
	return near.length
		? near.reduce((best, stop) => (Math.abs(stop - at) < Math.abs(best - at) ? stop : best))
		: at;
}

export interface HandMoveOptions {
	/** Where its corner nearest the left and the front is to be, mm. */
	readonly to: { readonly x: number; readonly y: number };
	/** Turned by 90° against how it stands. */
	readonly turn?: boolean;
	/** Walls and other parts draw it near. */
	readonly snap?: boolean;
}

/**
 * Says where a container or a row would stand when it is moved by hand: within its place, at a wall or another part when
 * it comes near, in whole mm. What it would hit there is named; nothing is changed. What stands on each other moves
 * together. Null: there is no such part, or the place is not measured.
 * @example placeByHand(home, 'larder-3', fit, 'bin-1', { to: { x: 205, y: 3 }, snap: true }) // { x: 200, y: 0, ... }
 */
export function placeByHand(
	home: Home,
	nookId: string,
	fit: Stood,
	partId: string,
	{ to, turn = false, snap = false }: HandMoveOptions
): HandMove | null {
	const packing = roomOf(home, nookId);
	const boxes = partBoxes(home, fit);
	const part = boxes.find(({ id }) => id === partId);
	if (!packing || !part) return null;
	const stack = stackOf(boxes, part);
	const turned = turn && stack.every(({ mayTurn }) => mayTurn);
	const w = Math.max(...stack.map((box) => (turned ? box.d : box.w)));
	const d = Math.max(...stack.map((box) => (turned ? box.w : box.d)));
	const topMm = Math.max(...stack.map(({ z, h }) => z + h));
	const { room } = packing;
	const others = boxes.filter((box) => !stack.includes(box));
	const blocked = packing.boxes.map((box, i) => ({ ...box, id: `obstruction-${i}` }));
	const inside = (at: number, size: number, room: number) =>
		Math.round(Math.min(Math.max(0, at), Math.max(0, room - size)));
	const stops = (low: (r: Rect) => number, side: (r: Rect) => number, size: number, room: number) =>
		[...others, ...blocked].reduce(
			(all, box) => [...all, low(box) + side(box), low(box) - size, low(box)],
			[0, room - size]
		);
	const drawn = snap
		? {
				x: snapped(to.x, stops((r) => r.x, (r) => r.w, w, room.widthMm)), // prettier-ignore
				y: snapped(to.y, stops((r) => r.y, (r) => r.d, d, room.depthMm)) // prettier-ignore
			}
		: to;
	const rect: Rect = {
		x: inside(drawn.x, w, room.widthMm),
		y: inside(drawn.y, d, room.depthMm),
		w,
		d
	};
	const hits = [
		...others.filter((box) => overlaps(box, rect)),
		...blocked.filter((box) => box.z < topMm && overlaps(box, rect))
	].map(({ id }) => id);
	if (w > room.widthMm || d > room.depthMm) hits.push('wall');
	return { x: rect.x, y: rect.y, turned, hits };
}

/** Writes a move by hand into what stands in a place; what stands on each other with the part goes along. */
export function movedByHand(
	home: Home,
	fit: Stood,
	partId: string,
	{ x, y, turned }: Pick<HandMove, 'x' | 'y' | 'turned'>
): Stood {
	const boxes = partBoxes(home, fit);
	const part = boxes.find(({ id }) => id === partId);
	if (!part) return fit;
	const ids = new Set(stackOf(boxes, part).map(({ id }) => id));
	return {
		placements: fit.placements.map((placement) =>
			ids.has(placement.id)
				? { ...placement, xMm: x, yMm: y, turned: placement.turned !== turned }
				: placement
		),
		standing: fit.standing.map((row) => {
			if (!ids.has(row.id)) return row;
			const [widthMm, depthMm] = turned ? [row.depthMm, row.widthMm] : [row.widthMm, row.depthMm];
			return { ...row, xMm: x, yMm: y, widthMm, depthMm };
		})
	};
}

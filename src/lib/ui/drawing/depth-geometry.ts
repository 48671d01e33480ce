import { partBoxes, type Stood } from '$lib/core/fitting';
import type { Home, Nook } from '$lib/core/model';

/** A box in a place, mm: x from its left, y from its front, z from its floor. */
export interface DepthBox {
	readonly id: string;
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly w: number;
	readonly d: number;
	readonly h: number;
	/** Of its tag; null: what is built in. */
	readonly hue: number | null;
	/** It is round as seen from above. */
	readonly round: boolean;
}

/** What stands in a place and what is built into it, as boxes. */
export function depthBoxes(home: Home, nook: Nook, fit: Stood): DepthBox[] {
	const groupIds = new Map(
		[...fit.placements, ...fit.standing].map(({ id, groupId }) => [id as string, groupId])
	);
	const kinds = new Map(fit.placements.map(({ id, kindId }) => [id as string, kindId]));
	const parts = partBoxes(home, fit).map(({ id, x, y, z, w, d, h }): DepthBox => {
		const kind = home.containerKinds[kinds.get(id) ?? ''];
		const hue = home.groups[groupIds.get(id) ?? '']?.tag.hue ?? 7;
		return { id, x, y, z, w, d, h, hue, round: kind?.shape === 'round' && w === d };
	});
	const built = nook.obstructions.map(
		({ id, xMm, yMm, zMm, widthMm, depthMm, heightMm }): DepthBox => ({
			id,
			x: xMm,
			y: yMm,
			z: zMm,
			w: widthMm,
			d: depthMm,
			h: heightMm,
			hue: null,
			round: false
		})
	);
	return [...built, ...parts];
}

/** Whether one box is on the far side of another, seen from the front, from the right and from above. */
const isBeyond = (a: DepthBox, b: DepthBox): boolean =>
	a.y >= b.y + b.d || a.x + a.w <= b.x || a.z + a.h <= b.z;

/**
 * Orders boxes so that each is drawn after those that it may hide. Boxes that stand in each other are drawn in their own
 * order.
 */
export function farFirst(boxes: readonly DepthBox[]): DepthBox[] {
	const left = [...boxes];
	const drawn: DepthBox[] = [];
	while (left.length) {
		// One that nothing left is beyond of may be drawn: none of them comes to lie under it.
		const at = left.findIndex((box) =>
			left.every((other) => other === box || !isBeyond(other, box) || isBeyond(box, other))
		);
		drawn.push(...left.splice(Math.max(0, at), 1));
	}
	return drawn;
}

export type Corner = readonly [x: number, y: number, z: number];
const TURN = (-28 * Math.PI) / 180;
const TILT = (24 * Math.PI) / 180;

/** Where a corner is seen on the still picture, mm: to the right, and down. */
export function seen([x, y, z]: Corner): readonly [number, number] {
	const across = x * Math.cos(TURN) - y * Math.sin(TURN);
	const away = x * Math.sin(TURN) + y * Math.cos(TURN);
	return [across, -(z * Math.cos(TILT) + away * Math.sin(TILT))];
}

/** A side of a box that is seen, as its corners. */
export interface Face {
	readonly side: 'top' | 'front' | 'right';
	readonly corners: readonly Corner[];
}
/** The three sides of a box that are seen. */
export function facesOf({ x, y, z, w, d, h }: Omit<DepthBox, 'id' | 'hue' | 'round'>): Face[] {
	const [r, b, t] = [x + w, y + d, z + h];
	return [
		{
			side: 'right',
			corners: [
				[r, y, z],
				[r, b, z],
				[r, b, t],
				[r, y, t]
			]
		},
		{
			side: 'front',
			corners: [
				[x, y, z],
				[r, y, z],
				[r, y, t],
				[x, y, t]
			]
		},
		{
			side: 'top',
			corners: [
				[x, y, t],
				[r, y, t],
				[r, b, t],
				[x, b, t]
			]
		}
	];
}

/** The corners of a side as the points of a polygon. */
export const pointsOf = (corners: readonly Corner[]): string =>
	corners
		.map((corner) =>
			seen(corner)
				.map((mm) => mm.toFixed(1))
				.join(',')
		)
		.join(' ');

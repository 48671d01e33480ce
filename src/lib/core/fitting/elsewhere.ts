import type { Assignment, Edit, FitPlan, Home } from '../model';
import { overlaps, type Rect } from '../solvers/packing';
import { costOf, zoneModelOf } from '../zoning';
import { rectOf } from './check-fit';
import { DEFAULT_FLOOR, packFloor } from './floor';
import { standFree } from './loose';
import { fitFingerprint } from './owned';
import { roomOf } from './room';
import { wantsOf } from './wants';

/** A place that would take what did not go in. */
export interface Elsewhere {
	readonly nookId: string;
	/** Effort there a week, in metres, for the group's part; less is better. */
	readonly effort: number;
}

/** Floor of a place that a kept fit covers, and what is in the way of something so high. */
function coveredBy(home: Home, fit: FitPlan | undefined): Rect[] {
	if (!fit) return [];
	return [
		...fit.placements.flatMap((placement) => {
			const kind = home.containerKinds[placement.kindId];
			return kind ? [rectOf(placement, kind)] : [];
		}),
		...fit.standing.map(({ xMm, yMm, widthMm, depthMm }) => ({
			x: xMm,
			y: yMm,
			w: widthMm,
			d: depthMm
		}))
	];
}

/**
 * Finds places that would take all of a thing that did not go into another whole: no hard rule is against it, and the
 * floor that the kept fit there leaves holds it. Places whose fit is not kept, or of something else, are left out, as
 * nothing is known of their floor. The least effort first; at most `most`.
 */
export function elsewhereFor(
	home: Home,
	from: { readonly nookId: string; readonly thingId: string },
	most = 3
): Elsewhere[] {
	const good = wantsOf(home, from.nookId)
		.flatMap(({ goods }) => goods)
		.find(({ thing }) => thing.id === from.thingId);
	if (!good) return [];
	const model = zoneModelOf(home);
	const groupId = good.thing.groupId;
	const g = model.parts.findIndex(
		({ figures }) =>
			figures.groupId === groupId && figures.held.some(({ id }) => id === from.thingId)
	);
	if (g < 0) return [];
	const fits = new Map(Object.values(home.fitPlans).map((fit) => [fit.nookId as string, fit]));
	const found: Elsewhere[] = [];
	model.places.forEach(({ nook }, n) => {
		const cell = model.cells[g * model.places.length + n]!;
		if (nook.id === from.nookId || cell.hard) return;
		const fit = fits.get(nook.id);
		const isUsed = wantsOf(home, nook.id).length > 0;
		if (isUsed && fit?.fingerprint !== fitFingerprint(home, nook.id)) return;
		const packing = roomOf(home, nook.id);
		if (!packing) return;
		const { lanes, tooLarge } = standFree([good], packing);
		if (tooLarge.length) return;
		const { room, boxes, frontMm, seenFromAbove } = packing;
		const covered = coveredBy(home, isUsed ? fit : undefined);
		const floor: Rect = { x: 0, y: frontMm, w: room.widthMm, d: room.depthMm - frontMm };
		const items = lanes.map(({ w, d, heightMm }) => ({
			w,
			d,
			turn: true,
			front: false,
			blocked: [
				...covered,
				...boxes
					.filter(({ z }) => z < heightMm)
					.map(({ x, y, w: bw, d: bd }) => ({ x, y, w: bw, d: bd }))
			].filter((rect) => overlaps(rect, floor))
		}));
		if (!packFloor(floor, items, { ...DEFAULT_FLOOR, seenFromAbove })) return;
		found.push({ nookId: nook.id, effort: costOf(cell, model.parts[g]!.share) });
	});
	return found.sort((a, b) => a.effort - b.effort).slice(0, most);
}

/** Litres of some things of a group, as shares of all of it that the plan places. */
const shareOf = (whole: number, some: readonly string[], all: readonly string[]): number =>
	all.length ? Math.max(1e-3, Math.min(whole, (whole * some.length) / all.length)) : whole;

/**
 * Makes the edit that moves one thing of a group from one place of the plan to another. Nothing is changed where the
 * place does not hold it.
 */
export function moveThing(thingId: string, fromNookId: string, toNookId: string): Edit {
	return (draft) => {
		const plan = draft.activePlanId ? draft.zonePlans[draft.activePlanId] : undefined;
		const thing = draft.things[thingId];
		if (!plan || !thing?.groupId || !draft.nooks[toNookId]) return;
		const own = Object.values(draft.things)
			.filter(({ groupId }) => groupId === thing.groupId)
			.map(({ id }) => id);
		const elsewhere = new Set(
			plan.assignments.flatMap((a) =>
				a.groupId === thing.groupId && a.nookId !== fromNookId ? (a.thingIds ?? []) : []
			)
		);
		const at = plan.assignments.findIndex(
			(a) =>
				a.groupId === thing.groupId &&
				a.nookId === fromNookId &&
				(a.thingIds?.includes(thing.id) ?? !elsewhere.has(thing.id))
		);
		const row = plan.assignments[at];
		if (!row) return;
		const here = row.thingIds ?? own.filter((id) => !elsewhere.has(id));
		const rest = here.filter((id) => id !== thing.id);
		const share = rest.length ? shareOf(row.share, [thing.id], here) : row.share;
		const moved: Assignment = {
			...row,
			nookId: toNookId as Assignment['nookId'],
			share,
			thingIds: [thing.id]
		};
		const there = plan.assignments.find(
			(a) => a.groupId === thing.groupId && a.nookId === toNookId && a.thingIds
		);
		plan.assignments.splice(
			at,
			1,
			...(rest.length ? [{ ...row, share: row.share - share, thingIds: rest }] : []),
			...(there ? [] : [moved])
		);
		if (there) {
			there.share = Math.min(1, there.share + share);
			there.thingIds = [...there.thingIds!, thing.id];
		}
	};
}

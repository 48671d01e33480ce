import { activePlan, type FitPlan, type Home } from '../model';
import { violations, type NookIndices } from '../solvers/assignment';
import { overlaps, type Rect } from '../solvers/packing';
import { costOf, layoutOf, zoneModelOf, type ZoneModel } from '../zoning';
import { clearIn, roomOf, standFree } from '../standing';
import { rectOf } from './check-fit';
import { standingKind } from './kind-sizes';
import { DEFAULT_FLOOR, packFloor } from './floor';
import { fitFingerprint } from './owned';
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
			const kind = standingKind(home, placement);
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

/** What stands in a place by its kept fit, containers and all, g. */
const massOf = (home: Home, { placements, standing }: FitPlan): number =>
	placements.reduce((sum, { kindId }) => sum + (home.containerKinds[kindId]?.massG ?? 0), 0) +
	[...placements, ...standing]
		.flatMap(({ holds }) => holds)
		.reduce((sum, { thingId, pieces }) => sum + (home.things[thingId]?.massG ?? 0) * pieces, 0);

/** Codes of rules that something breaks by where, or beside what, it stands. */
const STANDS_WRONG = new Set(['forbidden', 'conflict', 'apart']);
/** Rules of that kind that a plan breaks. */
const wrongIn = (model: ZoneModel, assignment: NookIndices): number =>
	violations(model.problem, assignment).filter(({ code }) => STANDS_WRONG.has(code)).length;

/**
 * Finds places that would take all of a thing that did not go into another whole: no hard rule is against it, neither of
 * the place nor of what stands in it or in its cabinet, the place bears it, and the floor that the kept fit there leaves
 * holds it. Places whose fit is not kept, or of something else, are left out, as
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
	const planned = layoutOf(model, activePlan(home)?.assignments ?? []).assignment;
	const wrongNow = wrongIn(model, planned);
	const found: Elsewhere[] = [];
	model.places.forEach(({ nook }, n) => {
		const cell = model.cells[g * model.places.length + n]!;
		if (nook.id === from.nookId || cell.hard) return;
		// Its kind counts as its group's does: what may not stand beside the group does not beside it.
		const moved = planned.slice();
		moved[g] = n;
		if (wrongIn(model, moved) > wrongNow) return;
		const fit = fits.get(nook.id);
		const isUsed = wantsOf(home, nook.id).length > 0;
		if (isUsed && fit?.fingerprint !== fitFingerprint(home, nook.id)) return;
		const packing = roomOf(home, nook.id);
		if (!packing) return;
		const { lanes, tooLarge } = standFree([good], clearIn(packing));
		if (tooLarge.length) return;
		const { room, boxes, frontMm, seenFromAbove } = packing;
		if (good.massG + (isUsed && fit ? massOf(home, fit) : 0) > room.loadG) return;
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

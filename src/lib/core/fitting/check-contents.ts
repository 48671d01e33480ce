import { mayLie, type FitPlan, type Home, type Thing } from '../model';
import { placesOfLots } from '../zoning';
import { rectOf } from './check-fit';
import { standingKind } from './kind-sizes';
import { overlaps, type Rect } from '../solvers/packing';

/** Something that is not so with what a fit says it holds. */
export type ContentsFault =
	| { readonly code: 'lost' | 'too-many'; readonly thingId: string; readonly pieces: number }
	| { readonly code: 'does-not-go-in'; readonly partId: string; readonly thingId: string }
	| { readonly code: 'over-full' | 'outside' | 'overlap'; readonly partId: string };

type Kept = Pick<FitPlan, 'placements' | 'standing' | 'leftOver'>;

/** Whether one piece, set down as its kind may, goes into a box of so much; the box may be turned. */
function goesInto(thing: Thing, widthMm: number, depthMm: number, highMm: number): boolean {
	const { widthMm: w, depthMm: d, heightMm: h } = thing.piece;
	const ways = mayLie(thing)
		? [
				[w, d, h],
				[w, h, d],
				[d, h, w]
			]
		: [[w, d, h]];
	return ways.some(
		([a, b, up]) =>
			up! <= highMm && ((a! <= widthMm && b! <= depthMm) || (b! <= widthMm && a! <= depthMm))
	);
}

/** Whether one piece goes in on edge, bottles too lying: for racks, slots and cradles. */
function goesOnEdge(thing: Thing, longestMm: number): boolean {
	return Math.max(...Object.values(thing.piece)) <= longestMm;
}

/** Spoons, pens, screwdrivers: they lie across each other. */
const LIES_ANYHOW = /^(kitchen\.(cutlery|tools|odds)|home\.(workshop|office))$/;
const ON_EDGE = new Set(['rack', 'upright', 'cradle']);
const NO_WALLS = new Set(['turntable', 'riser', 'slide', 'level']);

/**
 * Checks what a fit says it holds against the home, written apart from the solver: every piece that the plan puts in the
 * nook is in one container, on the shelf, or named as left over; it goes in where it is said to be; what lies together is
 * not more than there is room for; and what stands free overlaps nothing. An empty list means that all is so.
 */
export function checkContents(home: Home, nookId: string, fit: Kept): ContentsFault[] {
	const faults: ContentsFault[] = [];
	const nook = home.nooks[nookId]!;
	const { widthMm = 0, depthMm = 0, heightMm = 0 } = nook.inside;
	faults.push(...countFaults(home, nookId, fit));

	for (const { id, kindId, holds } of fit.placements) {
		const kind = home.containerKinds[kindId];
		if (!kind) continue;
		const { inner } = kind;
		const highMm = kind.lid ? inner.heightMm : heightMm!;
		let volume = 0;
		for (const { thingId, pieces } of holds) {
			const thing = home.things[thingId]!;
			const { widthMm: w, depthMm: d, heightMm: h } = thing.piece;
			volume += w * d * h * pieces;
			// What is poured into a jar has no shape; small things lie in a bin as they fall.
			const sides = [w, d, h].sort((a, b) => a - b);
			const heapMm = kind.lid ? inner.heightMm : Math.min(heightMm!, inner.heightMm * 1.5);
			const inside = [inner.widthMm, inner.depthMm, heapMm].sort((a, b) => a - b);
			const liesAnyhow =
				(LIES_ANYHOW.test(thing.category) ||
					w * d * h * 40 <= inner.widthMm * inner.depthMm * inner.heightMm) &&
				sides.every((side, i) => side <= inside[i]!);
			const goes =
				kind.role === 'jar' ||
				liesAnyhow ||
				(ON_EDGE.has(kind.role)
					? goesOnEdge(thing, Math.max(inner.depthMm, heightMm!))
					: goesInto(thing, inner.widthMm, inner.depthMm, highMm));
			if (!goes) faults.push({ code: 'does-not-go-in', partId: id, thingId });
		}
		const roomMm3 = inner.widthMm * inner.depthMm * (kind.lid ? inner.heightMm : heightMm!);
		if (kind.role !== 'jar' && !NO_WALLS.has(kind.role) && volume > roomMm3)
			faults.push({ code: 'over-full', partId: id });
	}

	const rects = fit.standing.map((block): Rect => ({
		x: block.xMm,
		y: block.yMm,
		w: block.widthMm,
		d: block.depthMm
	}));
	const boxes = fit.placements.flatMap((placement) => {
		const kind = standingKind(home, placement);
		return kind ? [rectOf(placement, kind)] : [];
	});
	fit.standing.forEach((block, i) => {
		const rect = rects[i]!;
		if (
			rect.x < 0 ||
			rect.y < 0 ||
			rect.x + rect.w > widthMm! ||
			rect.y + rect.d > depthMm! ||
			block.heightMm > heightMm!
		)
			faults.push({ code: 'outside', partId: block.id });
		if ([...rects.slice(0, i), ...boxes].some((other) => overlaps(other, rect)))
			faults.push({ code: 'overlap', partId: block.id });
		// What stands in the opening of another one of the pile takes none of its own.
		const openings = block.holds.map(({ thingId }) => home.things[thingId]!.rim);
		const volume = block.holds.reduce((sum, { thingId, pieces }) => {
			const { piece, rim } = home.things[thingId]!;
			const isInside =
				rim?.part === 'vessel' &&
				openings.some(
					(other) =>
						other?.part === 'vessel' && other.widthMm * other.depthMm > rim.widthMm * rim.depthMm
				);
			return isInside ? sum : sum + piece.widthMm * piece.depthMm * piece.heightMm * pieces;
		}, 0);
		if (volume > block.widthMm * block.depthMm * block.heightMm + 1)
			faults.push({ code: 'over-full', partId: block.id });
		for (const { thingId } of block.holds)
			if (!goesInto(home.things[thingId]!, block.widthMm, block.depthMm, block.heightMm))
				faults.push({ code: 'does-not-go-in', partId: block.id, thingId });
	});
	return faults;
}

/** Pieces that the plan puts in the nook against those that the fit names. */
function countFaults(home: Home, nookId: string, fit: Kept): ContentsFault[] {
	const planned = new Map<string, number>();
	const assignments = home.zonePlans[home.activePlanId ?? '']?.assignments ?? [];
	for (const groupId of new Set(assignments.map((a) => a.groupId as string)))
		for (const share of placesOfLots(home, groupId, assignments))
			if (share.nookId === nookId)
				planned.set(share.thing.id, (planned.get(share.thing.id) ?? 0) + share.pieces);
	const named = new Map<string, number>();
	for (const { thingId, pieces } of [
		...fit.placements.flatMap(({ holds }) => holds),
		...fit.standing.flatMap(({ holds }) => holds),
		...fit.leftOver
	])
		if (thingId) named.set(thingId, (named.get(thingId) ?? 0) + pieces);
	return [...new Set([...planned.keys(), ...named.keys()])].flatMap((thingId): ContentsFault[] => {
		const short = Math.ceil((planned.get(thingId) ?? 0) - 1e-9) - (named.get(thingId) ?? 0);
		if (short === 0) return [];
		return [{ code: short > 0 ? 'lost' : 'too-many', thingId, pieces: Math.abs(short) }];
	});
}

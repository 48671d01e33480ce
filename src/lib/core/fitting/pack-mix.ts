import { GroupId, KindId, PartId, type Placement, type Standing } from '../model';
import { solvePacking, type Decision } from '../solvers/packing';
import { allStands } from './all-stand';
import { heldBy } from './blocks';
import {
	DEFAULT_FLOOR,
	packFloor,
	packWhatFits,
	type FloorItem,
	type FloorPlace,
	type Rect
} from './floor';
import type { HoldOption } from './hold-option';
import { cutOf } from './kind-sizes';
import { inInside, laidOut, onFloor, type Laid } from './lay-out';
import { thingsIn } from './rim-pairs';
import { tidied, type OrderLength } from './tidy';
import { type Good, type Packing, piecesOf, type TooLarge } from '../standing';

/** Pieces that did not go in, and why. */
export interface Left {
	readonly groupId: string;
	readonly good: Good;
	/** Too tall or too wide for the place by so much; null: the floor is full. */
	readonly tooLarge: Omit<TooLarge, 'good'> | null;
}

export interface Packed {
	readonly placements: Placement[];
	readonly standing: Standing[];
	readonly left: Left[];
	readonly usedMm2: number;
	/** How high the highest of it reaches, mm. */
	readonly topMm: number;
	/** Something that is used daily stands behind something else. */
	readonly hasDailyBehind: boolean;
	readonly massG: number;
	/** Where each of its blocks stands; null: it is left. */
	readonly places: readonly (FloorPlace | null)[];
	/** What its order lacks, about in minor units; only where it was looked for. */
	readonly disorder: number;
}

interface Places {
	readonly places: readonly (FloorPlace | null)[];
	readonly isFrontKept: boolean;
	readonly disorder?: number;
}
const anyhow = (items: readonly FloorItem[]) => items.map((item) => ({ ...item, front: false }));

/** Where all of it stands: with what is daily in front, else anyhow; null: it does not all go in. */
function allPlaces(
	{ floor, items }: Laid,
	strict: Decision,
	seenFromAbove: boolean,
	tries: number
): Places | null {
	if (strict.status === 'stands') return { places: strict.places, isFrontKept: true };
	const isSame = seenFromAbove || !items.some(({ front }) => front);
	// Looked for in vain already, unless it is looked for longer now.
	if (isSame && (strict.status === 'cannot' || tries <= DEFAULT_FLOOR.tries)) return null;
	const relaxed = packFloor(floor, anyhow(items), { seenFromAbove, tries });
	return relaxed && { places: relaxed, isFrontKept: isSame };
}

/** Where stands what goes in. */
function somePlaces({ floor, items }: Laid, seenFromAbove: boolean): Places {
	const simple = packWhatFits(floor, anyhow(items), { ...DEFAULT_FLOOR, seenFromAbove });
	const dense = packDensely(floor, anyhow(items));
	const places = coveredBy(items, dense) > coveredBy(items, simple) ? dense : simple;
	return { places, isFrontKept: seenFromAbove };
}

/** Positions looked at for a place that is nearly too full. */
const DENSE_STEPS = 25_000;

/** Packs as much as goes in whatever stands before what; everything keeps off what is in the way of the highest. */
function packDensely(floor: Rect, items: readonly FloorItem[]): (FloorPlace | null)[] {
	const places = new Array<FloorPlace | null>(items.length).fill(null);
	const blocked = items.flatMap((item) => item.blocked);
	const { placed } = solvePacking(
		{
			width: floor.w,
			depth: floor.d,
			obstructions: [...new Map(blocked.map((r) => [JSON.stringify(r), r])).values()].map((rect) =>
				onFloor(floor, rect)
			),
			pieces: items.map(({ w, d, turn }) => ({ w, d, turn }))
		},
		{ steps: DENSE_STEPS }
	);
	for (const { piece, x, y, turned } of placed) places[piece] = inInside(floor, { x, y, turned });
	return places;
}
const coveredBy = (items: readonly FloorItem[], places: readonly (FloorPlace | null)[]) =>
	items.reduce((sum, { w, d }, i) => sum + (places[i] ? w * d : 0), 0);

/** What did not go in, each thing once, with its lid on or without. */
function merged(left: readonly Left[]): Left[] {
	const byThing = new Map<string, Left>();
	for (const each of left) {
		const key = `${each.good.thing.id}/${each.good.lid?.id ?? ''}`;
		const known = byThing.get(key);
		byThing.set(
			key,
			known ? { ...known, good: piecesOf(known.good, known.good.pieces + each.good.pieces) } : each
		);
	}
	return [...byThing.values()].sort((a, b) => b.good.volumeMl - a.good.volumeMl);
}

/**
 * Packs a mix of ways to hold the wants so that all of it that is not too large stands; null: it does not go, or was not
 * found to go within the budget. `strict` is what is known of it with everything daily in front.
 */
export function packWhole(
	mix: readonly HoldOption[],
	packing: Packing,
	tries = DEFAULT_FLOOR.tries,
	strict?: Decision
): Packed | null {
	const { seenFromAbove } = packing;
	const laid = laidOut(mix, packing);
	const known = strict ?? allStands(laid, seenFromAbove);
	const places = allPlaces(laid, known, seenFromAbove, tries);
	return places && readPlaces(mix, packing, laid, places);
}

/** Packs as much of a mix of ways to hold the wants as goes in; what finds no place is left, piece by piece. */
export function packMost(mix: readonly HoldOption[], packing: Packing): Packed {
	const laid = laidOut(mix, packing);
	return readPlaces(mix, packing, laid, somePlaces(laid, packing.seenFromAbove));
}

/** A mix that stands, in a tidier order; what does not stand whole stays as it is. */
export function packTidy(
	mix: readonly HoldOption[],
	packing: Packing,
	packed: Packed,
	length: OrderLength
): Packed {
	const places = packed.places.filter((place) => place !== null);
	if (places.length < packed.places.length) return packed;
	const laid = laidOut(mix, packing);
	const isFrontKept = !packed.hasDailyBehind;
	const items = isFrontKept ? laid.items : anyhow(laid.items);
	const tidy = tidied({ ...laid, items }, places, packing.seenFromAbove, length);
	return readPlaces(mix, packing, laid, { ...tidy, isFrontKept });
}

function readPlaces(
	mix: readonly HoldOption[],
	{ sideMm }: Packing,
	{ blocks }: Laid,
	{ places, isFrontKept, disorder = 0 }: Places
): Packed {
	const left: Left[] = mix.flatMap(({ want, tooLarge }) =>
		tooLarge.map(({ good, side, shortMm }) => ({
			groupId: want.groupId,
			good,
			tooLarge: { side, shortMm }
		}))
	);
	const placements: Placement[] = [];
	const standing: Standing[] = [];
	let usedMm2 = 0;
	let topMm = 0;
	let massG = 0;
	blocks.forEach((block, index) => {
		const place = places[index];
		if (!place) {
			for (const good of heldBy(block)) left.push({ groupId: block.groupId, good, tooLarge: null });
			return;
		}
		const { x, y, turned } = place;
		usedMm2 += block.w * block.d;
		topMm = Math.max(topMm, block.heightMm);
		massG +=
			block.containers.reduce((sum, filled) => sum + filled.massG, 0) +
			block.loose.reduce((sum, good) => sum + good.massG, 0);
		if (!block.kind) {
			const [widthMm, depthMm] = turned ? [block.d, block.w] : [block.w, block.d];
			standing.push({
				id: PartId.parse(`block-${standing.length + 1}`),
				groupId: GroupId.parse(block.groupId),
				names: block.loose.map(({ thing }) => thing.name),
				holds: thingsIn(block.loose),
				xMm: x,
				yMm: y,
				widthMm,
				depthMm,
				heightMm: block.heightMm
			});
			return;
		}
		block.containers.forEach((filled, layer) =>
			placements.push({
				id: PartId.parse(`container-${placements.length + 1}`),
				kindId: KindId.parse(block.kind!.id),
				groupId: GroupId.parse(block.groupId),
				xMm: x + sideMm,
				yMm: y + sideMm,
				zMm: layer * block.kind!.heightMm,
				turned,
				cut: cutOf(block.kind!),
				holds: thingsIn(filled.holds)
			})
		);
	});
	return {
		placements,
		standing,
		left: merged(left),
		usedMm2,
		topMm,
		hasDailyBehind: !isFrontKept,
		massG,
		places,
		disorder
	};
}

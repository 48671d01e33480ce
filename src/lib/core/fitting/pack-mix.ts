import { GroupId, KindId, PartId, type Placement, type Standing } from '../model';
import type { Box } from '../survey';
import { blocksOf, heldBy, type Block } from './blocks';
import {
	DEFAULT_FLOOR,
	packFloor,
	packWhatFits,
	type FloorItem,
	type FloorOptions,
	type FloorPlace,
	type Rect
} from './floor';
import type { HoldOption } from './hold-option';
import { cutOf } from './kind-sizes';
import { thingsIn } from './rim-pairs';
import type { Stands } from '../solvers/choice';
import { decideStanding, solvePacking, type Decision } from '../solvers/packing';
import { type Good, type Packing, piecesOf, type TooLarge } from '../standing';

/** Blocked floor at a height: boxes that reach below the top of a block. */
const blockedAt = (boxes: readonly Box[], heightMm: number): Rect[] =>
	boxes.filter((box) => box.z < heightMm).map(({ x, y, w, d }) => ({ x, y, w, d }));

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
}

/** A floor with what is to stand on it. */
interface Laid {
	readonly floor: Rect;
	readonly blocks: readonly Block[];
	readonly items: readonly FloorItem[];
}
interface Places {
	readonly places: readonly (FloorPlace | null)[];
	readonly isFrontKept: boolean;
}
const anyhow = (items: readonly FloorItem[]) => items.map((item) => ({ ...item, front: false }));

function laidOut(mix: readonly HoldOption[], packing: Packing): Laid {
	const { boxes, room, frontMm, sideMm } = packing;
	// Play at the front is 10 mm, of which a container brings its own side play.
	const front = Math.max(0, frontMm - sideMm);
	const floor: Rect = { x: 0, y: front, w: room.widthMm, d: room.depthMm - front };
	const blocks = mix
		.flatMap((option) => blocksOf(option, sideMm))
		.sort((a, b) => Number(b.front) - Number(a.front) || b.w * b.d - a.w * a.d);
	const items = blocks.map((block): FloorItem => ({
		w: block.w,
		d: block.d,
		turn: block.turn,
		front: block.front,
		blocked: blockedAt(boxes, block.heightMm + (block.kind ? room.aboveMm : 0))
	}));
	return { floor, blocks, items };
}

/** Settlings looked at before it stays open whether things can stand together. */
const DECIDE_STEPS = 1500;
/** The same for what is only begun. */
const BEGUN_STEPS = 300;
/** More than so many are never decided within that. */
const DECIDE_UP_TO = 14;

/** Whether items stand on a floor, decided in truth where they are few enough. */
function decided(
	floor: Rect,
	items: readonly FloorItem[],
	options: FloorOptions,
	steps: number
): Decision {
	if (items.length > DECIDE_UP_TO) return { status: 'open' };
	const decision = decideStanding(
		{
			width: floor.w,
			depth: floor.d,
			pieces: items.map(({ w, d, turn, front, blocked }) => ({
				w,
				d,
				turn,
				front: front && !options.seenFromAbove,
				blocked: blocked.map((rect) => ({ ...rect, x: rect.x - floor.x, y: rect.y - floor.y }))
			}))
		},
		steps
	);
	if (decision.status !== 'stands') return decision;
	return {
		status: 'stands',
		places: decision.places.map(({ x, y, turned }) => ({ x: x + floor.x, y: y + floor.y, turned }))
	};
}

/** Places looked at first where it is decided in truth afterwards. */
const SOON_TRIES = 30;
const soon = (items: readonly FloorItem[], options: FloorOptions): FloorOptions =>
	items.length > DECIDE_UP_TO ? options : { ...options, tries: SOON_TRIES };

/** Whether items stand, with what is daily in front: looked for place by place, then decided in truth. */
function strictly({ floor, items }: Laid, options: FloorOptions): Decision {
	const places = packFloor(floor, items, soon(items, options));
	return places ? { status: 'stands', places } : decided(floor, items, options, DECIDE_STEPS);
}

/** Where all of it stands: with what is daily in front, else anyhow; null: it does not all go in. */
function allPlaces(laid: Laid, seenFromAbove: boolean, tries: number): Places | null {
	const { floor, items } = laid;
	const options = { seenFromAbove, tries };
	const strict = strictly(laid, options);
	if (strict.status === 'stands') return { places: strict.places, isFrontKept: true };
	const relaxed = seenFromAbove ? null : packFloor(floor, anyhow(items), options);
	return relaxed && { places: relaxed, isFrontKept: false };
}

/** Mixes of more blocks than can be decided are looked at so often in one place. */
const LARGE_LOOKS = 40;

/**
 * Makes the question whether ways to hold wants stand together with nothing before what is used daily. Of the first wants
 * alone it is only looked whether they cannot.
 */
export function standingIn(
	packing: Packing
): (mix: readonly HoldOption[], isWhole: boolean) => Stands {
	const options = { ...DEFAULT_FLOOR, seenFromAbove: packing.seenFromAbove };
	let large = 0;
	return (mix, isWhole) => {
		const laid = laidOut(mix, packing);
		if (!isWhole) return decided(laid.floor, laid.items, options, BEGUN_STEPS).status;
		if (laid.items.length > DECIDE_UP_TO && ++large > LARGE_LOOKS) return 'open';
		return strictly(laid, options).status;
	};
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
			obstructions: [...new Map(blocked.map((r) => [JSON.stringify(r), r])).values()].map((r) => ({
				...r,
				x: r.x - floor.x,
				y: r.y - floor.y
			})),
			pieces: items.map(({ w, d, turn }) => ({ w, d, turn }))
		},
		{ steps: DENSE_STEPS }
	);
	for (const { piece, x, y, turned } of placed)
		places[piece] = { x: x + floor.x, y: y + floor.y, turned };
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
 * found to go within the budget.
 */
export function packWhole(
	mix: readonly HoldOption[],
	packing: Packing,
	tries = DEFAULT_FLOOR.tries
): Packed | null {
	const laid = laidOut(mix, packing);
	const places = allPlaces(laid, packing.seenFromAbove, tries);
	return places && readPlaces(mix, packing, laid, places);
}

/** Packs a mix of ways to hold the wants; what finds no place is left, piece by piece. */
export function packMix(mix: readonly HoldOption[], packing: Packing): Packed {
	const whole = packWhole(mix, packing);
	if (whole) return whole;
	const laid = laidOut(mix, packing);
	return readPlaces(mix, packing, laid, somePlaces(laid, packing.seenFromAbove));
}

function readPlaces(
	mix: readonly HoldOption[],
	{ sideMm }: Packing,
	{ blocks }: Laid,
	{ places, isFrontKept }: Places
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
		massG
	};
}

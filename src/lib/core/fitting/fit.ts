import {
	fingerprint,
	KindId,
	GroupId,
	type ContainerKind,
	type Home,
	type Placement,
	type Standing
} from '../model';
import {
	baseAboveFloorMm,
	blockedBoxes,
	isPullOut,
	placeOfNook,
	usableSpace,
	type Box
} from '../survey';
import { DEFAULT_FLOOR, packFloor, packWhatFits, type FloorItem, type Rect } from './floor';
import { holdOptions, outerOf, type HoldOption, type NookRoom } from './options';
import { wantsOf, type Good, type Want } from './wants';

export type ArrangementName = 'house-first' | 'calm' | 'roomy';

export interface Arrangement {
	readonly name: ArrangementName;
	readonly placements: readonly Placement[];
	readonly standing: readonly Standing[];
	readonly leftOver: readonly { readonly groupId: string; readonly volumeMl: number }[];
	readonly toBuy: readonly { readonly kindId: string; readonly count: number }[];
	readonly costMinor: number;
	readonly kindsUsed: number;
	/** Floor left free, 0 to 1. */
	readonly freeShare: number;
	readonly massG: number;
}

export interface TooBig {
	readonly kindId: string;
	readonly side: 'width' | 'depth' | 'height';
	readonly shortMm: number;
}

export type FitResult =
	| {
			readonly status: 'not-measured';
			readonly nookId: string;
			readonly missing: readonly string[];
	  }
	| { readonly status: 'nothing-to-fit'; readonly nookId: string }
	| {
			readonly status: 'fitted' | 'partly-fitted';
			readonly nookId: string;
			/** Up to three, best first, none like another. */
			readonly arrangements: readonly Arrangement[];
			/** Owned kinds that cannot go in here, and by how much. */
			readonly tooBig: readonly TooBig[];
			readonly fingerprint: string;
	  };

/** Uses a week from which a container counts as daily. */
const DAILY = 7;
const WAYS_PER_GROUP = 6;
const MIXES = 24;
const MIXES_PACKED = 10;

const STYLES: Readonly<Record<ArrangementName, (option: HoldOption) => number>> = {
	// Money first: what the house has, then what is cheap; standing loose is a small cost.
	'house-first': (option) => option.costMinor + loosePenalty(option) * 200 + option.count * 5,
	// Few containers, little loose.
	calm: (option) => option.costMinor * 0.3 + loosePenalty(option) * 1500 + option.count * 40,
	// Small footprint.
	roomy: (option) => option.costMinor * 0.3 + floorOf(option) / 100 + loosePenalty(option) * 500
};

const loosePenalty = (option: HoldOption): number =>
	option.want.roles.length === 0
		? 0
		: option.loose.reduce((sum, good) => sum + good.volumeMl, 0) /
			Math.max(
				1,
				option.want.goods.reduce((sum, good) => sum + good.volumeMl, 0)
			);

function floorOf(option: HoldOption): number {
	const outer = option.kind ? outerOf(option.kind) : { widthMm: 0, depthMm: 0 };
	const piles = Math.ceil(option.count / option.layers);
	return (
		piles * outer.widthMm * outer.depthMm +
		option.loose.reduce((sum, good) => sum + pilesOf(good, STAND_HIGH_MM).areaMm2, 0)
	);
}

/** Fingerprint of everything one nook's fit is computed from. */
export function fitFingerprint(home: Home, nookId: string): string {
	const wants = wantsOf(home, nookId).map(({ groupId, usesPerWeek, goods }) => [
		groupId,
		usesPerWeek,
		goods.map(({ thing, pieces }) => [thing.id, pieces, thing.piece])
	]);
	return fingerprint([
		home.nooks[nookId],
		wants,
		home.containerKinds,
		home.settings.play,
		home.schools.boxes
	]);
}

/** Counts what the house still has of each kind beside what other nooks' fits use. */
export function ownedLeft(home: Home, exceptNookId: string): Map<string, number> {
	const left = new Map(
		Object.values(home.containerKinds).map((kind) => [kind.id as string, kind.owned])
	);
	for (const plan of Object.values(home.fitPlans)) {
		if (plan.nookId === exceptNookId) continue;
		for (const { kindId } of plan.placements) left.set(kindId, (left.get(kindId) ?? 0) - 1);
	}
	for (const [kindId, count] of left) left.set(kindId, Math.max(0, count));
	return left;
}

/** One thing that takes floor: a pile of containers, or a block of loose goods. */
interface Block {
	readonly groupId: string;
	readonly names: readonly string[];
	readonly kind: ContainerKind | null;
	readonly layers: number;
	readonly w: number;
	readonly d: number;
	readonly heightMm: number;
	readonly turn: boolean;
	readonly front: boolean;
	readonly volumeMl: number;
}

/** Goods that stand free are piled up to this height, mm. */
const STAND_HIGH_MM = 300;
/** Goods whose piles need less floor than this are stood together, mm². */
const SMALL_MM2 = 24_000;
/** Floor that mixed piles really fill. */
const MIXED_FILL = 0.85;
/** Share of the height that packs filed in a drawer really fill. */
const FILED_FILL = 0.75;
/** A block of mixed goods is at most this share of the floor, so that it can go round what is in the way. */
const MIXED_SHARE = 0.34;

/** Piles of one kind of goods: how many, how high, and the floor under them. */
function pilesOf({ thing, pieces }: Good, clearMm: number) {
	const { widthMm, depthMm, heightMm } = thing.piece;
	const high = Math.max(1, Math.floor(Math.min(clearMm, STAND_HIGH_MM) / Math.max(1, heightMm)));
	const piles = Math.ceil(pieces / high);
	const pileMm = Math.min(pieces, high) * heightMm;
	return { piles, pileMm, areaMm2: piles * widthMm * depthMm };
}

/** Whether goods may be mixed with others in one block: the small ones, and in a drawer all but the bulky. */
function isMixed(good: Good, clearMm: number, { room, seenFromAbove }: Packing): boolean {
	const { widthMm, depthMm } = good.thing.piece;
	if (seenFromAbove) return widthMm * depthMm * 4 <= room.widthMm * room.depthMm;
	return pilesOf(good, clearMm).areaMm2 < SMALL_MM2;
}

/** Puts the same or smaller on larger as long as the pile stays low; the largest lie at the bottom. */
function pileUp(blocks: readonly Block[], highMm: number): Block[] {
	const piles: Block[] = [];
	for (const block of [...blocks].sort((a, b) => b.w * b.d - a.w * a.d)) {
		const at = piles.findIndex(
			(pile) => block.w <= pile.w && block.d <= pile.d && pile.heightMm + block.heightMm <= highMm
		);
		const pile = piles[at];
		if (!pile) piles.push(block);
		else
			piles[at] = {
				...pile,
				names: [...pile.names, ...block.names],
				heightMm: pile.heightMm + block.heightMm,
				volumeMl: pile.volumeMl + block.volumeMl
			};
	}
	return piles;
}

/** Floor blocks of goods that stand free: one for each kind of bulky goods in rows from front to back, the rest mixed. */
function looseBlocks(option: HoldOption, packing: Packing): Block[] {
	const { room } = packing;
	const depthMm = room.depthMm - packing.frontMm;
	const clear = Math.min(room.heightMm, room.passHeightMm) - 5;
	const base = { groupId: option.want.groupId, kind: null, layers: 1, turn: true, front: false };
	const mixed = option.loose.filter((good) => isMixed(good, clear, packing));
	const blocks = pileUp(
		option.loose
			.filter((good) => !mixed.includes(good))
			.map((good): Block => {
				const { piece, name } = good.thing;
				const { piles, pileMm } = pilesOf(good, clear);
				const rows = Math.max(1, Math.min(piles, Math.floor(depthMm / Math.max(1, piece.depthMm))));
				return {
					...base,
					names: [name],
					w: Math.ceil(piles / rows) * piece.widthMm,
					d: rows * piece.depthMm,
					heightMm: pileMm,
					volumeMl: good.volumeMl
				};
			}),
		Math.min(clear, STAND_HIGH_MM)
	);
	if (!mixed.length) return blocks;
	const sum = (of: (good: Good) => number) => mixed.reduce((total, good) => total + of(good), 0);
	const most = (of: (good: Good) => number) => Math.max(...mixed.map(of));
	const piledMm2 =
		sum(({ thing, pieces }) => {
			const high = Math.max(
				1,
				Math.floor(Math.min(clear, STAND_HIGH_MM) / Math.max(1, thing.piece.heightMm))
			);
			return (pieces / high) * thing.piece.widthMm * thing.piece.depthMm;
		}) / MIXED_FILL;
	// In a drawer or basket soft packs are filed upright: there the volume decides.
	const filedMm2 = (sum((good) => good.volumeMl) * 1000) / (clear * FILED_FILL);
	const areaMm2 = packing.seenFromAbove ? Math.min(piledMm2, filedMm2) : piledMm2;
	const chunks = Math.ceil(areaMm2 / (room.widthMm * depthMm * MIXED_SHARE));
	const shortest = most(({ thing }) => Math.min(thing.piece.widthMm, thing.piece.depthMm));
	const longest = most(({ thing }) => Math.max(thing.piece.widthMm, thing.piece.depthMm));
	const each = areaMm2 / chunks;
	const d = Math.min(depthMm, Math.max(longest, Math.ceil(Math.sqrt(each))));
	for (let i = 0; i < chunks; i++)
		blocks.push({
			...base,
			names: mixed.map((good) => good.thing.name),
			w: Math.max(Math.ceil(each / d), i === 0 ? Math.min(shortest, longest) : 0),
			d,
			heightMm: most((good) => pilesOf(good, clear).pileMm),
			volumeMl: sum((good) => good.volumeMl) / chunks
		});
	return blocks;
}

function blocksOf(option: HoldOption, packing: Packing): Block[] {
	const { kind, want } = option;
	const { sideMm } = packing;
	const blocks: Block[] = [];
	if (kind) {
		const outer = outerOf(kind);
		const heldMl =
			want.goods.reduce((sum, good) => sum + good.volumeMl, 0) -
			option.loose.reduce((sum, good) => sum + good.volumeMl, 0);
		for (let left = option.count; left > 0; left -= option.layers) {
			const layers = Math.min(left, option.layers);
			blocks.push({
				groupId: want.groupId,
				names: [],
				kind,
				layers,
				w: outer.widthMm + 2 * sideMm,
				d: outer.depthMm + 2 * sideMm,
				heightMm: option.heightMm + (layers - 1) * kind.heightMm,
				turn: kind.turn,
				front: want.usesPerWeek >= DAILY && kind.role !== 'turntable',
				volumeMl: (heldMl * layers) / option.count
			});
		}
	}
	return [...blocks, ...looseBlocks(option, packing)];
}

/** Blocked floor at a height: boxes that reach below the top of a block. */
const blockedAt = (boxes: readonly Box[], heightMm: number): Rect[] =>
	boxes.filter((box) => box.z < heightMm).map(({ x, y, w, d }) => ({ x, y, w, d }));

interface Packed {
	readonly placements: Placement[];
	readonly standing: Standing[];
	readonly leftOver: { groupId: string; volumeMl: number }[];
	readonly usedMm2: number;
}

interface Packing {
	readonly room: NookRoom;
	readonly boxes: readonly Box[];
	readonly seenFromAbove: boolean;
	readonly frontMm: number;
	readonly sideMm: number;
}

/** Packs a mix; blocks that find no place are left over. */
function packMix(mix: readonly HoldOption[], packing: Packing): Packed {
	const { room, boxes, seenFromAbove, frontMm, sideMm } = packing;
	// Play at the front is 10 mm, of which a container brings its own side play.
	const front = Math.max(0, frontMm - sideMm);
	const floor: Rect = { x: 0, y: front, w: room.widthMm, d: room.depthMm - front };
	const blocks = mix
		.flatMap((option) => blocksOf(option, packing))
		.filter((block) => block.w > 0 && block.d > 0)
		.sort((a, b) => Number(b.front) - Number(a.front) || b.w * b.d - a.w * a.d);
	const items = blocks.map((block): FloorItem => ({
		w: block.w,
		d: block.d,
		turn: block.turn,
		front: block.front,
		blocked: blockedAt(boxes, block.heightMm + (block.kind ? room.aboveMm : 0))
	}));
	const options = { ...DEFAULT_FLOOR, seenFromAbove };
	const places = packFloor(floor, items, options) ?? packWhatFits(floor, items, options);
	const leftOver = new Map<string, number>();
	const placements: Placement[] = [];
	const standing: Standing[] = [];
	let usedMm2 = 0;
	blocks.forEach((block, index) => {
		const place = places[index];
		if (!place) {
			leftOver.set(block.groupId, (leftOver.get(block.groupId) ?? 0) + block.volumeMl);
			return;
		}
		const { x, y, turned } = place;
		usedMm2 += block.w * block.d;
		if (!block.kind) {
			const [widthMm, depthMm] = turned ? [block.d, block.w] : [block.w, block.d];
			standing.push({
				groupId: GroupId.parse(block.groupId),
				names: [...block.names],
				xMm: x,
				yMm: y,
				widthMm,
				depthMm,
				heightMm: block.heightMm
			});
			return;
		}
		for (let layer = 0; layer < block.layers; layer++)
			placements.push({
				kindId: KindId.parse(block.kind.id),
				groupId: GroupId.parse(block.groupId),
				xMm: x + sideMm,
				yMm: y + sideMm,
				zMm: layer * block.kind.heightMm,
				turned
			});
	});
	return {
		placements,
		standing,
		leftOver: [...leftOver].map(([groupId, volumeMl]) => ({ groupId, volumeMl })),
		usedMm2
	};
}

/** Mixes of one option a group, the cheapest by a style first; a beam over the groups. */
function mixesOf(
	options: readonly (readonly HoldOption[])[],
	style: (option: HoldOption) => number,
	loadG: number
): HoldOption[][] {
	let mixes: { mix: HoldOption[]; score: number; massG: number }[] = [
		{ mix: [], score: 0, massG: 0 }
	];
	for (const ways of options) {
		const ranked = [...ways].sort((a, b) => style(a) - style(b)).slice(0, WAYS_PER_GROUP);
		mixes = mixes
			.flatMap(({ mix, score, massG }) =>
				ranked.map((option) => {
					const newKind = option.kind && !mix.some((other) => other.kind?.id === option.kind!.id);
					return {
						mix: [...mix, option],
						score: score + style(option) + (newKind ? 60 : 0),
						massG: massG + option.massG
					};
				})
			)
			.sort((a, b) => a.score - b.score)
			.slice(0, MIXES);
	}
	return mixes.filter(({ massG }) => massG <= loadG).map(({ mix }) => mix);
}

const volumeLeft = (packed: Packed) =>
	packed.leftOver.reduce((sum, { volumeMl }) => sum + volumeMl, 0);

function arrange(
	name: ArrangementName,
	options: readonly (readonly HoldOption[])[],
	room: NookRoom,
	pack: (mix: readonly HoldOption[]) => Packed,
	left: ReadonlyMap<string, number>,
	kinds: Readonly<Record<string, ContainerKind>>
): Arrangement | null {
	const mixes = mixesOf(options, STYLES[name], room.loadG);
	let best: { packed: Packed; mix: HoldOption[] } | null = null;
	for (const mix of mixes.slice(0, MIXES_PACKED)) {
		const packed = pack(mix);
		if (!best || volumeLeft(packed) < volumeLeft(best.packed) - 1e-9) best = { packed, mix };
		if (volumeLeft(packed) === 0) break;
	}
	if (!best) return null;
	const counts = new Map<string, number>();
	for (const { kindId } of best.packed.placements)
		counts.set(kindId, (counts.get(kindId) ?? 0) + 1);
	const toBuy = [...counts]
		.map(([kindId, count]) => ({ kindId, count: count - (left.get(kindId) ?? 0) }))
		.filter(({ count }) => count > 0);
	return {
		name,
		placements: best.packed.placements,
		standing: best.packed.standing,
		leftOver: best.packed.leftOver,
		toBuy,
		costMinor: toBuy.reduce((sum, { kindId, count }) => sum + kinds[kindId]!.priceMinor * count, 0),
		kindsUsed: counts.size,
		freeShare: Math.max(0, 1 - best.packed.usedMm2 / (room.widthMm * room.depthMm)),
		massG: best.mix.reduce((sum, option) => sum + option.massG, 0)
	};
}

function tooBigKinds(
	kinds: readonly ContainerKind[],
	room: NookRoom,
	roles: ReadonlySet<string>
): TooBig[] {
	return kinds.flatMap((kind): TooBig[] => {
		if (!kind.owned || !roles.has(kind.role)) return [];
		const outer = outerOf(kind);
		const [short, long] = [
			Math.min(outer.widthMm, outer.depthMm),
			Math.max(outer.widthMm, outer.depthMm)
		];
		const clear = Math.min(room.heightMm, room.passHeightMm) - room.aboveMm;
		const over = [
			{ side: 'height' as const, shortMm: kind.heightMm - clear },
			{ side: 'width' as const, shortMm: short - Math.min(room.passWidthMm, room.widthMm) },
			{ side: 'depth' as const, shortMm: long - Math.max(room.depthMm, room.widthMm) }
		].find(({ shortMm }) => shortMm > 0);
		return over ? [{ kindId: kind.id, ...over }] : [];
	});
}

/** Describes the room that containers have in a nook; null when a side is not measured. */
export function roomOf(
	home: Home,
	nookId: string
): { room: NookRoom; boxes: Box[]; seenFromAbove: boolean } | null {
	const place = placeOfNook(home, nookId);
	if (!place) return null;
	const space = usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
	if (!space.ok) return null;
	const { nook } = place;
	const { play } = home.settings;
	const seenFromAbove = isPullOut(nook) || nook.kind.startsWith('chest-');
	return {
		room: {
			widthMm: nook.inside.widthMm!,
			depthMm: nook.inside.depthMm!,
			heightMm: nook.inside.heightMm!,
			passWidthMm: space.passes.widthMm,
			passHeightMm: space.passes.heightMm,
			// A drawer is reached from above; nothing has to be lifted over what stands on it.
			aboveMm:
				nook.kind === 'drawer' ? 5 : nook.kind.startsWith('chest-') ? play.overLipMm : play.aboveMm,
			loadG: nook.loadG ?? Infinity
		},
		boxes: blockedBoxes(nook, play.pipeMm),
		seenFromAbove
	};
}

/**
 * Fits containers into one nook for the groups that the active zone plan puts there.
 * Every arrangement keeps the plays, the way in, the obstructions, the load, and daily things in front;
 * what finds no place is named, never squeezed in. Deterministic.
 * @example fitNook(home, 'larder-3').status // 'fitted'
 */
export function fitNook(home: Home, nookId: string): FitResult {
	const nook = home.nooks[nookId];
	if (!nook) return { status: 'nothing-to-fit', nookId };
	const found = roomOf(home, nookId);
	if (!found) {
		const { widthMm, depthMm, heightMm } = nook.inside;
		const missing = [!widthMm && 'width', !depthMm && 'depth', !heightMm && 'height'].filter(
			(side) => side !== false && side !== null && side !== undefined
		) as string[];
		return { status: 'not-measured', nookId, missing };
	}
	const wants: Want[] = wantsOf(home, nookId);
	if (!wants.length) return { status: 'nothing-to-fit', nookId };
	const { room } = found;
	const { play } = home.settings;
	const kinds = Object.values(home.containerKinds);
	const left = ownedLeft(home, nookId);
	const options = wants.map((want) => holdOptions(want, kinds, room, play, left));
	const pack = (mix: readonly HoldOption[]) =>
		packMix(mix, { ...found, frontMm: play.frontMm, sideMm: play.sideMm });
	const names = Object.keys(STYLES) as ArrangementName[];
	const arrangements: Arrangement[] = [];
	for (const name of names) {
		const made = arrange(name, options, room, pack, left, home.containerKinds);
		const same = (other: Arrangement) =>
			JSON.stringify(other.placements) === JSON.stringify(made?.placements);
		if (made && !arrangements.some(same)) arrangements.push(made);
	}
	const leftMl = (arrangement: Arrangement) =>
		arrangement.leftOver.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
	arrangements.sort((a, b) => leftMl(a) - leftMl(b));
	const whole = arrangements.length > 0 && leftMl(arrangements[0]!) === 0;
	return {
		status: whole ? 'fitted' : 'partly-fitted',
		nookId,
		arrangements,
		tooBig: tooBigKinds(kinds, room, new Set(wants.flatMap((want) => want.roles))),
		fingerprint: fitFingerprint(home, nookId)
	};
}

import type { ContainerKind } from '../model';
import { outerOf, type HoldOption } from './options';
import type { Packing } from './room';
import type { Good } from './wants';

/** Uses a week from which a container counts as daily. */
const DAILY = 7;

/** One thing that takes floor: a pile of containers, or a block of loose goods. */
export interface Block {
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
export const STAND_HIGH_MM = 300;
/** Goods whose piles need less floor than this are stood together, mm². */
const SMALL_MM2 = 24_000;
/** Floor that mixed piles really fill. */
const MIXED_FILL = 0.85;
/** Share of the height that packs filed in a drawer really fill. */
const FILED_FILL = 0.75;
/** A block of mixed goods is at most this share of the floor, so that it can go round what is in the way. */
const MIXED_SHARE = 0.34;
/** A heap that needs more blocks than this does not go in anyway. */
const MOST_CHUNKS = 40;

/** Piles of one kind of goods: how many, how high, and the floor under them. */
export function pilesOf({ thing, pieces }: Good, clearMm: number) {
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

/** Lays piles of one kind of goods out in rows from front to back, all turned alike: the way that fits, and covers least. */
export function rowsOf({ piece }: Good['thing'], piles: number, widthMm: number, depthMm: number) {
	const ways = [
		[piece.widthMm, piece.depthMm],
		[piece.depthMm, piece.widthMm]
	].map(([across, back]) => {
		const rows = Math.max(1, Math.min(piles, Math.floor(depthMm / Math.max(1, back!))));
		const [w, d] = [Math.ceil(piles / rows) * across!, rows * back!];
		return { w, d, fits: w <= widthMm && d <= depthMm };
	});
	const [asIs, turned] = ways as [(typeof ways)[number], (typeof ways)[number]];
	const isBetter = turned.fits === asIs.fits ? turned.w * turned.d < asIs.w * asIs.d : turned.fits;
	return isBetter ? turned : asIs;
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
	// Without any floor or height nothing is laid out; each kind of goods stays over by itself.
	const hasRoom = room.widthMm > 0 && depthMm > 0 && clear > 0;
	const mixed = hasRoom ? option.loose.filter((good) => isMixed(good, clear, packing)) : [];
	const blocks = pileUp(
		option.loose
			.filter((good) => !mixed.includes(good))
			.map((good): Block => {
				const { piles, pileMm } = pilesOf(good, clear);
				const { w, d } = rowsOf(good.thing, piles, room.widthMm, depthMm);
				return {
					...base,
					names: [good.thing.name],
					w,
					d,
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
	const chunks = Math.min(
		MOST_CHUNKS,
		Math.max(1, Math.ceil(areaMm2 / (room.widthMm * depthMm * MIXED_SHARE)))
	);
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

/** Lists what one way to hold a group puts on the floor: piles of its containers, and its loose goods. */
export function blocksOf(option: HoldOption, packing: Packing): Block[] {
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

import { GroupId, KindId, PartId, type Placement, type Standing } from '../model';
import type { Box } from '../survey';
import { blocksOf } from './blocks';
import { DEFAULT_FLOOR, packFloor, packWhatFits, type FloorItem, type Rect } from './floor';
import type { HoldOption } from './options';
import type { Packing } from './room';

/** Blocked floor at a height: boxes that reach below the top of a block. */
const blockedAt = (boxes: readonly Box[], heightMm: number): Rect[] =>
	boxes.filter((box) => box.z < heightMm).map(({ x, y, w, d }) => ({ x, y, w, d }));

export interface Packed {
	readonly placements: Placement[];
	readonly standing: Standing[];
	readonly leftOver: { groupId: string; volumeMl: number }[];
	readonly usedMm2: number;
}

/** Packs a mix; blocks that find no place are left over. */
export function packMix(mix: readonly HoldOption[], packing: Packing): Packed {
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
				id: PartId.parse(`block-${standing.length + 1}`),
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
				id: PartId.parse(`container-${placements.length + 1}`),
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

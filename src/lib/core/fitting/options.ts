import type { ContainerKind, Settings } from '../model';
import type { Good, Want } from './wants';

/** One way to hold a group: so many of one kind, and what stands free beside them. */
export interface HoldOption {
	readonly want: Want;
	readonly kind: ContainerKind | null;
	readonly count: number;
	/** Most of the kind that may stand on each other. */
	readonly layers: number;
	/** Height of one container with its contents, mm. */
	readonly heightMm: number;
	readonly costMinor: number;
	/** Goods that stand free. */
	readonly loose: readonly Good[];
	readonly massG: number;
}

export interface NookRoom {
	readonly widthMm: number;
	readonly depthMm: number;
	/** Height for things and the fingers above them, mm. */
	readonly heightMm: number;
	readonly passWidthMm: number;
	readonly passHeightMm: number;
	/** Fingers' room above a container, mm. */
	readonly aboveMm: number;
	readonly loadG: number;
}

/** Largest outer size of a container, mm: many taper, and the larger end decides. */
export const outerOf = (kind: ContainerKind) => ({
	widthMm: Math.max(kind.outerTop.widthMm, kind.outerBase.widthMm),
	depthMm: Math.max(kind.outerTop.depthMm, kind.outerBase.depthMm)
});

const PERMUTATIONS = [
	[0, 1, 2],
	[0, 2, 1],
	[1, 2, 0]
] as const;

/** Whether one piece goes into a container, upright or lying, with its top out where there is no lid. */
export function holdsPiece(kind: ContainerKind, thing: Good['thing'], clearMm: number): boolean {
	const { widthMm, depthMm, heightMm } = thing.piece;
	const sides = [widthMm, depthMm, heightMm];
	const { inner } = kind;
	const high = kind.lid ? inner.heightMm : clearMm;
	return PERMUTATIONS.some(([a, b, c], index) => {
		// Bottles and cans stand: only flat or long goods may lie.
		if (index > 0 && kind.role !== 'bin' && kind.role !== 'divider' && kind.role !== 'rack')
			return false;
		const [w, d, h] = [sides[a]!, sides[b]!, sides[c]!];
		const onFloor =
			(w <= inner.widthMm && d <= inner.depthMm) || (d <= inner.widthMm && w <= inner.depthMm);
		return onFloor && h <= high;
	});
}

/** Height of a container with the tallest thing it holds, mm. */
function filledHeight(kind: ContainerKind, goods: readonly Good[]): number {
	if (kind.lid) return kind.heightMm;
	const tallest = Math.max(
		0,
		...goods.map(({ thing }) => Math.min(thing.piece.heightMm, lyingHeight(kind, thing)))
	);
	if (kind.role === 'turntable') return 20 + tallest;
	if (kind.role === 'riser') return Math.round(kind.heightMm * 0.66) + tallest;
	return Math.max(kind.heightMm, tallest + 4);
}

/** Height of a thing that has to lie down to go into a bin, mm; standing where it can. */
function lyingHeight(kind: ContainerKind, { piece }: Good['thing']): number {
	const stands =
		(piece.widthMm <= kind.inner.widthMm && piece.depthMm <= kind.inner.depthMm) ||
		(piece.depthMm <= kind.inner.widthMm && piece.widthMm <= kind.inner.depthMm);
	return stands ? piece.heightMm : Math.min(piece.widthMm, piece.depthMm);
}

/** Share of a group's volume that a kind must be able to take before it is worth proposing. */
const WORTH_SHARE = 0.6;
const MOST_CONTAINERS = 8;

const sumOf = (goods: readonly Good[], of: (good: Good) => number) =>
	goods.reduce((total, good) => total + of(good), 0);

/** Containers of a kind that goods need at the fill share; in jars every kind of goods has its own. */
function countFor(
	kind: ContainerKind,
	goods: readonly Good[],
	innerMl: number,
	fillShare: number
): number {
	const each = innerMl * fillShare;
	return kind.role === 'jar'
		? sumOf(goods, (good) => Math.ceil(good.volumeMl / each))
		: Math.ceil(sumOf(goods, (good) => good.volumeMl) / each);
}

/** The goods, the bulkiest first, that so many containers can take. */
function fillUp(
	kind: ContainerKind,
	goods: readonly Good[],
	count: number,
	innerMl: number,
	fillShare: number
): Good[] {
	const taken: Good[] = [];
	for (const good of [...goods].sort((a, b) => b.volumeMl - a.volumeMl))
		if (countFor(kind, [...taken, good], innerMl, fillShare) <= count) taken.push(good);
	return taken;
}

/**
 * Lists the ways to hold one group in a room, with what each costs beyond the containers still free in the house:
 * all of it in one kind, or part of it with the rest standing free. The last one is always "no container".
 */
export function holdOptions(
	want: Want,
	kinds: readonly ContainerKind[],
	room: NookRoom,
	play: Settings['play'],
	ownedLeft: ReadonlyMap<string, number>
): HoldOption[] {
	const clearMm = Math.min(room.heightMm, room.passHeightMm) - room.aboveMm;
	const all = sumOf(want.goods, (good) => good.volumeMl);
	const massG = sumOf(want.goods, (good) => good.massG);
	const optionOf = (kind: ContainerKind, held: readonly Good[], count: number): HoldOption => ({
		want,
		kind,
		count,
		layers: kind.stack && kind.lid ? Math.max(1, Math.floor(clearMm / kind.heightMm)) : 1,
		heightMm: filledHeight(kind, held),
		costMinor: Math.max(0, count - (ownedLeft.get(kind.id) ?? 0)) * kind.priceMinor,
		loose: want.goods.filter((good) => !held.includes(good)),
		massG: massG + count * kind.massG
	});
	const found: HoldOption[] = [];
	for (const kind of kinds) {
		if (!want.roles.includes(kind.role)) continue;
		const outer = outerOf(kind);
		const enters = Math.min(outer.widthMm, outer.depthMm) + 2 * play.sideMm <= room.passWidthMm;
		const held = want.goods.filter(({ thing }) => holdsPiece(kind, thing, clearMm));
		const heldMl = sumOf(held, (good) => good.volumeMl);
		if (!enters || heldMl < all * WORTH_SHARE || heldMl === 0) continue;
		if (filledHeight(kind, held) > clearMm) continue;
		const innerMl =
			(kind.inner.widthMm * kind.inner.depthMm * Math.min(kind.inner.heightMm, clearMm)) / 1000;
		const count = countFor(kind, held, innerMl, play.fillShare);
		if (count <= MOST_CONTAINERS) found.push(optionOf(kind, held, count));
		for (const fewer of new Set([count - 1, Math.ceil(count / 2)])) {
			if (fewer < 1 || fewer >= count || fewer > MOST_CONTAINERS) continue;
			const part = fillUp(kind, held, fewer, innerMl, play.fillShare);
			if (part.length) found.push(optionOf(kind, part, fewer));
		}
	}
	const free: HoldOption = {
		want,
		kind: null,
		count: 0,
		layers: 1,
		heightMm: 0,
		costMinor: 0,
		loose: want.goods,
		massG
	};
	return [...found, free];
}

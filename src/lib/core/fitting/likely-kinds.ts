import type { ContainerKind } from '../model';
import { volumeOf, type Packing } from '../standing';
import { asCut, outerOf } from './kind-sizes';
import type { Want } from './wants';

/** Of kinds to buy that are the same but for their look the cheapest; what is owned stays. */
function oncePerSize(
	kinds: readonly ContainerKind[],
	isOwned: (kind: ContainerKind) => boolean
): ContainerKind[] {
	const cheapest = new Map<string, ContainerKind>();
	for (const kind of kinds) {
		if (isOwned(kind)) continue;
		const { role, shape, outerTop, outerBase, inner, heightMm, lid, stack, turn, cells } = kind;
		const key = JSON.stringify([
			role,
			shape,
			outerTop,
			outerBase,
			inner,
			heightMm,
			lid,
			stack,
			turn,
			cells
		]);
		const known = cheapest.get(key);
		if (!known || kind.priceMinor < known.priceMinor) cheapest.set(key, kind);
	}
	const kept = new Set(cheapest.values());
	return kinds.filter((kind) => isOwned(kind) || kept.has(kind));
}

/** Kinds that would have to be bought and are really filled, for one role of one want. */
const MOST_BOUGHT = 12;

/** Owned kinds, and of those to buy the ones that look best by litres: few of them, little air, little money. */
export function likelyKinds(
	kinds: readonly ContainerKind[],
	want: Want,
	ownedLeft: ReadonlyMap<string, number>
): ContainerKind[] {
	const all = volumeOf(want.goods);
	const isOwned = (kind: ContainerKind) => (ownedLeft.get(kind.id) ?? 0) > 0;
	const guess = (kind: ContainerKind) => {
		const { widthMm, depthMm, heightMm } = kind.inner;
		const ml = (widthMm * depthMm * heightMm) / 1000;
		const count = Math.max(1, Math.ceil(all / (ml * 0.7)));
		const air = Math.max(0, 1 - all / (ml * count));
		return count * (kind.priceMinor + 60) + air * 400;
	};
	const taken = new Map<string, number>();
	const bought = oncePerSize(kinds, isOwned)
		.filter((kind) => !isOwned(kind))
		.map((kind) => ({ kind, guess: guess(kind) }))
		.sort((a, b) => a.guess - b.guess || (a.kind.id < b.kind.id ? -1 : 1))
		.filter(({ kind }) => {
			// What is cut to measure is chosen by what it covers.
			if (kind.cutTo) return true;
			const count = (taken.get(kind.role) ?? 0) + 1;
			taken.set(kind.role, count);
			return count <= MOST_BOUGHT;
		});
	return [...kinds.filter(isOwned), ...bought.map(({ kind }) => kind)];
}

/** What is cut to measure is cut to the whole floor, or as small as it may be; the rest is as it is. */
export function cutsFor(kind: ContainerKind, { room, frontMm, sideMm }: Packing): ContainerKind[] {
	const least = kind.cutTo;
	if (!least) return [kind];
	const most = outerOf(kind);
	const between = (low: number, mm: number, high: number) =>
		Math.max(low, Math.min(high, Math.floor(mm)));
	const front = Math.max(frontMm, sideMm);
	const whole = {
		widthMm: between(least.widthMm, room.widthMm - 2 * sideMm, most.widthMm),
		depthMm: between(least.depthMm, room.depthMm - front - sideMm, most.depthMm)
	};
	const isLeast = whole.widthMm === least.widthMm && whole.depthMm === least.depthMm;
	return (isLeast ? [whole] : [whole, least]).map((cut) => asCut(kind, cut));
}

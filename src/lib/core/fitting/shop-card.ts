import {
	groupBy,
	wholePacks,
	type ContainerKind,
	type Edit,
	type Home,
	type Placement
} from '../model';
import { nooksInOrder } from '../survey';
import { roomOf, volumeOf } from '../standing';
import { fitNook } from './fit';
import { outerOf, standingKind } from './kind-sizes';
import { enters } from './options';
import { countsOf } from './owned';
import { partLines, type PartLine } from './small-parts';
import { keepArrangements, keptOf, type KeptFit } from './save';

/** A place that a container is bought for. */
export interface ShopPlace {
	readonly nookId: string;
	readonly count: number;
	readonly groupIds: readonly string[];
	/** Outer size that it is cut or pulled to there, mm; null: it stays as it is sold. */
	readonly cut: Placement['cut'];
	/** Inside of the place less the container's outer size, mm; of the height, less what its contents look out. */
	readonly playMm: { readonly width: number; readonly depth: number; readonly height: number };
}
/** One kind of container to buy; the count is of whole packs. */
export interface ShopLine {
	readonly kind: ContainerKind;
	readonly count: number;
	readonly priceMinor: number;
	readonly places: readonly ShopPlace[];
}
export interface ShopCard {
	readonly lines: readonly ShopLine[];
	/** Liners, hooks and dividers. */
	readonly parts: readonly PartLine[];
	/** Of containers and small parts together. */
	readonly costMinor: number;
	/** Budget less what is still to buy; null: there is no ceiling. */
	readonly leftMinor: number | null;
}

/**
 * Lists the containers that the kept fits want beyond those owned, with the places they are for: the owned go to the
 * places that come first on the walk; and the small parts that are wanted. In order of the walk.
 */
export function shopCard(home: Home): ShopCard {
	const left = new Map(
		Object.values(home.containerKinds).map((kind) => [kind.id as string, kind.owned])
	);
	const fits = new Map(Object.values(home.fitPlans).map((fit) => [fit.nookId as string, fit]));
	const places = new Map<string, ShopPlace[]>();
	for (const { nook } of nooksInOrder(home)) {
		const byKind = new Map<string, { first: Placement; count: number; groupIds: Set<string> }>();
		for (const placement of fits.get(nook.id)?.placements ?? []) {
			const { kindId, groupId } = placement;
			const have = left.get(kindId) ?? 0;
			left.set(kindId, have - 1);
			if (have > 0) continue;
			const known = byKind.get(kindId) ?? { first: placement, count: 0, groupIds: new Set() };
			known.count++;
			known.groupIds.add(groupId);
			byKind.set(kindId, known);
		}
		for (const [kindId, { first, count, groupIds }] of byKind) {
			const kind = standingKind(home, first);
			if (!kind) continue;
			const { widthMm, depthMm } = outerOf(kind);
			const [across, back] = first.turned ? [depthMm, widthMm] : [widthMm, depthMm];
			places.set(kindId, [
				...(places.get(kindId) ?? []),
				{
					nookId: nook.id,
					count,
					groupIds: [...groupIds],
					cut: first.cut,
					playMm: {
						width: (nook.inside.widthMm ?? 0) - across,
						depth: (nook.inside.depthMm ?? 0) - back,
						height: (nook.inside.heightMm ?? 0) - kind.heightMm
					}
				}
			]);
		}
	}
	const lines = [...places].map(([kindId, wanted]): ShopLine => {
		const kind = home.containerKinds[kindId]!;
		const needed = wanted.reduce((sum, place) => sum + place.count, 0);
		const count = wholePacks(needed, kind.soldBy);
		return { kind, count, priceMinor: kind.priceMinor * count, places: wanted };
	});
	const parts = partLines(home);
	const costMinor = [...lines, ...parts].reduce((sum, { priceMinor }) => sum + priceMinor, 0);
	const { budgetMinor } = home.settings;
	return {
		lines,
		parts,
		costMinor,
		leftMinor: budgetMinor === null ? null : budgetMinor - costMinor
	};
}

/** What is bought in one shop; the name is empty where none was said. */
export interface ShopPart {
	readonly shop: string;
	readonly lines: readonly ShopLine[];
	readonly costMinor: number;
}
/** Parts a card by where its containers are sold: shops by name, what was not said last. */
export function byShop({ lines }: Pick<ShopCard, 'lines'>): ShopPart[] {
	const parts = groupBy(lines, ({ kind }) => kind.shop.trim());
	return [...parts]
		.map(([shop, own]) => ({
			shop,
			lines: own,
			costMinor: own.reduce((sum, { priceMinor }) => sum + priceMinor, 0)
		}))
		.sort((a, b) => Number(!a.shop) - Number(!b.shop) || a.shop.localeCompare(b.shop, 'en'));
}

/** Makes the edit that says where a kind is sold; empty: nowhere in particular. */
export function sellAt(kindId: string, shop: string): Edit {
	return (draft) => {
		const kind = draft.containerKinds[kindId];
		if (kind) kind.shop = shop.trim().slice(0, 60);
	};
}

/** Outer size of a container found in the shop, mm, and what it costs. */
export interface FoundSize {
	readonly widthMm: number;
	readonly depthMm: number;
	readonly heightMm: number;
	readonly priceMinor: number;
}
/** Whether a container of another size would do in one place. */
export type StandIn =
	| {
			readonly status: 'does';
			readonly nookId: string;
			readonly count: number;
			readonly fit: KeptFit;
	  }
	| { readonly status: 'too-big'; readonly nookId: string }
	| {
			/** It stands there, but so much more stays over. */
			readonly status: 'less-in';
			readonly nookId: string;
			readonly overMl: number;
	  };

/** A kind like another one in all but its size; walls are as thick as there. */
export function kindLike(kind: ContainerKind, id: string, found: FoundSize): ContainerKind {
	const { widthMm, depthMm, heightMm, priceMinor } = found;
	const outer = outerOf(kind);
	const inside = (of: number, outside: number, own: number) => Math.max(1, own - (outside - of));
	return {
		...kind,
		id: id as ContainerKind['id'],
		name: `${kind.name}, as found`.slice(0, 200),
		outerTop: { widthMm, depthMm },
		outerBase: { widthMm, depthMm },
		heightMm,
		inner: {
			widthMm: inside(kind.inner.widthMm, outer.widthMm, widthMm),
			depthMm: inside(kind.inner.depthMm, outer.depthMm, depthMm),
			heightMm: inside(kind.inner.heightMm, kind.heightMm, heightMm)
		},
		priceMinor,
		owned: 0
	};
}

/** As many as any place could take. */
const PLENTY = 50;
/** Litres more than before that count as no more, ml. */
const NO_MORE_ML = 1;

/**
 * Says in which of the places of a line a container of another size would do: each is fitted with it in the stead of the
 * one that was wanted, and with what else stands there already.
 */
export function standInsFor(home: Home, line: ShopLine, other: ContainerKind): StandIn[] {
	const withIt: Home = { ...home, containerKinds: { ...home.containerKinds, [other.id]: other } };
	return line.places.map(({ nookId }): StandIn => {
		const packing = roomOf(home, nookId);
		if (!packing || !enters(other, packing.room, packing.sideMm))
			return { status: 'too-big', nookId };
		const kept = Object.values(home.fitPlans).find((fit) => fit.nookId === nookId)!;
		const owned = countsOf(kept.placements).set(other.id, PLENTY);
		owned.delete(line.kind.id);
		const kinds = [...owned.keys()].map((id) => withIt.containerKinds[id]!);
		const found = fitNook(withIt, nookId, { owned, kinds });
		if (!('arrangements' in found)) return { status: 'too-big', nookId };
		const using = found.arrangements.filter(({ placements }) =>
			placements.some(({ kindId }) => kindId === other.id)
		);
		const best = [...using].sort((a, b) => volumeOf(a.leftOver) - volumeOf(b.leftOver))[0];
		const moreMl = best ? volumeOf(best.leftOver) - volumeOf(kept.leftOver) : Infinity;
		if (!best || moreMl > NO_MORE_ML)
			return { status: 'less-in', nookId, overMl: best ? moreMl : 0 };
		const needs = countsOf(best.placements).get(other.id)!;
		return {
			status: 'does',
			nookId,
			count: needs,
			fit: { nookId, kept: { ...keptOf(best), costMinor: 0 }, fingerprint: found.fingerprint }
		};
	});
}

/** Makes the edit that takes another container than was wanted: so many are the house's now, and the places go by it. */
export function takeStandIn(
	kind: ContainerKind,
	count: number,
	fits: readonly KeptFit[],
	now: string,
	stem: string
): Edit {
	return (draft) => {
		draft.containerKinds[kind.id] = { ...kind, owned: count };
		keepArrangements(fits, now, stem)(draft);
	};
}

/** Makes the edit that counts so many containers as bought, or as put back where the count is below zero. */
export function buyContainers(kindId: string, count: number): Edit {
	return (draft) => {
		const kind = draft.containerKinds[kindId];
		if (kind) kind.owned = Math.max(0, Math.min(1000, kind.owned + count));
	};
}

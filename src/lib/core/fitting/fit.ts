import type { ContainerKind, Home, Placement, Standing } from '../model';
import { holdOptions, outerOf, type HoldOption, type NookRoom } from './options';
import { fitFingerprint, ownedLeft } from './owned';
import { packMix, type Packed } from './pack-mix';
import { roomOf } from './room';
import { mixesOf, STYLES, type ArrangementName } from './styles';
import { wantsOf, type Want } from './wants';

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
			/** The lightest way to hold what the plan puts here is heavier than the place bears. */
			readonly status: 'over-load';
			readonly nookId: string;
			readonly massG: number;
			readonly loadG: number;
			readonly fingerprint: string;
	  }
	| {
			readonly status: 'fitted' | 'partly-fitted';
			readonly nookId: string;
			/** Up to three, best first, none like another. */
			readonly arrangements: readonly Arrangement[];
			/** Owned kinds that cannot go in here, and by how much. */
			readonly tooBig: readonly TooBig[];
			readonly fingerprint: string;
	  };

/** Mixes that are really packed for a style before the best of them is taken. */
const MIXES_PACKED = 30;

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
	const pack = (mix: readonly HoldOption[]) => packMix(mix, found);
	const names = Object.keys(STYLES) as ArrangementName[];
	const arrangements: Arrangement[] = [];
	for (const name of names) {
		const made = arrange(name, options, room, pack, left, home.containerKinds);
		const same = (other: Arrangement) =>
			JSON.stringify(other.placements) === JSON.stringify(made?.placements);
		if (made && !arrangements.some(same)) arrangements.push(made);
	}
	if (!arrangements.length) {
		const lightest = options.map((ways) => Math.min(...ways.map(({ massG }) => massG)));
		const massG = lightest.reduce((sum, mass) => sum + mass, 0);
		return {
			status: 'over-load',
			nookId,
			massG,
			loadG: room.loadG,
			fingerprint: fitFingerprint(home, nookId)
		};
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

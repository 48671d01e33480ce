import type { ContainerKind, Home, Placement, Standing } from '../model';
import { roomOf, volumeOf } from '../standing';
import { bestMix, type Proof } from './best-mix';
import { roomOfNook, suitsLook } from './looks';
import { clearOf, holdOptions } from './options';
import { countsOf, fitFingerprint, ownedLeft } from './owned';
import type { Left } from './pack-mix';
import { packerOf, type Packer, type SearchLength } from './packer';
import { discomfortOf, STYLES, type ArrangementName } from './styles';
import { tooBigKinds, type TooBig } from './too-big';
import { isAlike, priced, toldApart } from './told-apart';
import { wantsOf, type Want } from './wants';

/** Pieces that did not go in, with the reason. */
export interface LeftOver {
	readonly groupId: string;
	readonly thingId: string;
	readonly pieces: number;
	readonly volumeMl: number;
	/** Too tall or too wide for the place by so much; null: the floor is full. */
	readonly tooLarge: { readonly side: 'height' | 'floor'; readonly shortMm: number } | null;
}

export interface Arrangement {
	readonly name: ArrangementName;
	readonly placements: readonly Placement[];
	readonly standing: readonly Standing[];
	/** The bulkiest first. */
	readonly leftOver: readonly LeftOver[];
	readonly toBuy: readonly { readonly kindId: string; readonly count: number }[];
	readonly costMinor: number;
	readonly kindsUsed: number;
	/** Floor left free, 0 to 1. */
	readonly freeShare: number;
	readonly massG: number;
	/** Height that stays free over the highest of it, mm. */
	readonly overMm: number;
	/** Something that is used daily stands behind something else. */
	readonly hasDailyBehind: boolean;
	/** What it lacks beside a perfect one, whatever it costs; about in minor units. */
	readonly discomfort: number;
	/** How good it is by what it was looked for. */
	readonly proof: Proof;
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

export interface FitOptions {
	/** Containers that the house still has for this place, by kind; what other places' fits leave, unless said. */
	readonly owned?: ReadonlyMap<string, number>;
	/** Kinds to choose from; all that the home knows, unless said. */
	readonly kinds?: readonly ContainerKind[];
	/** How long the best choice is searched; `whole` unless said. */
	readonly search?: SearchLength;
	/** Look of the containers, empty: any; what the room has, unless said. */
	readonly look?: string | undefined;
}

/** What it costs that something used daily stands behind something else, about in minor units. */
const DAILY_BEHIND = 150;

/** What did not go in, each thing once; lids that are on something take no room of their own. */
function leftOverOf(left: readonly Left[]): LeftOver[] {
	const byThing = new Map<string, LeftOver>();
	const add = (one: LeftOver) => {
		const known = byThing.get(one.thingId);
		const { pieces, volumeMl } = known ?? { pieces: 0, volumeMl: 0 };
		byThing.set(one.thingId, {
			...one,
			pieces: one.pieces + pieces,
			volumeMl: one.volumeMl + volumeMl
		});
	};
	for (const { groupId, good, tooLarge } of left) {
		const { thing, pieces, volumeMl, lid } = good;
		add({ groupId, thingId: thing.id, pieces, volumeMl, tooLarge });
		if (lid) add({ groupId, thingId: lid.id, pieces, volumeMl: 0, tooLarge });
	}
	return [...byThing.values()];
}

function arrange(
	name: ArrangementName,
	packer: Packer,
	left: ReadonlyMap<string, number>,
	kinds: Readonly<Record<string, ContainerKind>>
): Arrangement | null {
	const found = bestMix(STYLES[name], packer);
	if (!found) return null;
	const { room } = packer;
	const { packed: best, mix, proof } = found;
	const made: Arrangement = {
		name,
		placements: best.placements,
		standing: best.standing,
		leftOver: leftOverOf(best.left),
		toBuy: [],
		costMinor: 0,
		kindsUsed: countsOf(best.placements).size,
		freeShare: Math.max(0, 1 - best.usedMm2 / (room.widthMm * room.depthMm)),
		massG: best.massG,
		overMm: Math.max(0, clearOf(room) - best.topMm),
		hasDailyBehind: best.hasDailyBehind,
		discomfort:
			mix.reduce((sum, option) => sum + discomfortOf(option), best.disorder) +
			(best.hasDailyBehind ? DAILY_BEHIND : 0),
		proof
	};
	return priced(made, left, kinds);
}

/**
 * Fits containers into one nook for the groups that the active zone plan puts there, and says what is in each. Every
 * arrangement keeps the plays, the way in, the obstructions, the load and what may be lifted here; every piece stands in
 * one container or on the shelf, or is named as left over. Deterministic.
 * @example fitNook(home, 'larder-3').status // 'fitted'
 */
export function fitNook(home: Home, nookId: string, options: FitOptions = {}): FitResult {
	const nook = home.nooks[nookId];
	if (!nook) return { status: 'nothing-to-fit', nookId };
	const packing = roomOf(home, nookId);
	if (!packing) {
		const { widthMm, depthMm, heightMm } = nook.inside;
		const missing = [!widthMm && 'width', !depthMm && 'depth', !heightMm && 'height'].filter(
			(side) => side !== false && side !== null && side !== undefined
		) as string[];
		return { status: 'not-measured', nookId, missing };
	}
	const wants: Want[] = wantsOf(home, nookId);
	if (!wants.length) return { status: 'nothing-to-fit', nookId };
	const { room } = packing;
	const { play } = home.settings;
	const look = options.look ?? roomOfNook(home, nookId)?.look ?? '';
	const kinds = (options.kinds ?? Object.values(home.containerKinds)).filter((kind) =>
		suitsLook(kind, look)
	);
	const left = options.owned ?? ownedLeft(home, nookId);
	const ways = wants.map((want) => holdOptions(want, kinds, packing, play, left));
	const packer = packerOf(packing, ways, left, options.search ?? 'whole');
	const arrangements: Arrangement[] = [];
	for (const name of Object.keys(STYLES) as ArrangementName[]) {
		const made = arrange(name, packer, left, home.containerKinds);
		if (made && !arrangements.some((other) => isAlike(other, made))) arrangements.push(made);
	}
	const fingerprint = fitFingerprint(home, nookId);
	if (!arrangements.length) {
		const massG = ways.reduce(
			(sum, each) => sum + Math.min(...each.map((option) => option.massG)),
			0
		);
		return { status: 'over-load', nookId, massG, loadG: room.loadG, fingerprint };
	}
	const told = toldApart(arrangements.sort((a, b) => volumeOf(a.leftOver) - volumeOf(b.leftOver)));
	return {
		status: told[0]!.leftOver.length === 0 ? 'fitted' : 'partly-fitted',
		nookId,
		arrangements: told,
		tooBig: tooBigKinds(kinds, room, new Set(wants.flatMap((want) => want.roles)), play.sideMm),
		fingerprint
	};
}

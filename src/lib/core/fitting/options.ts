import type { ContainerKind, ContainerRole, Settings } from '../model';
import {
	type Good,
	type Lane,
	massOf,
	type NookRoom,
	type Packing,
	clearIn,
	standFree,
	waysFree,
	type StandsFree,
	type TooLarge,
	volumeOf
} from '../standing';
import { fillContainers, type Fill, type Filled, type FillOptions } from './contents';
import { fillJars } from './decant';
import { type Want } from './wants';

/** One way to hold a want: so many of one kind with what is in each, and what stands free beside them. */
export interface HoldOption {
	readonly want: Want;
	readonly kind: ContainerKind | null;
	readonly containers: readonly Filled[];
	/** Most of the kind that may stand on each other. */
	readonly layers: number;
	readonly costMinor: number;
	/** Goods that stand free. */
	readonly loose: readonly Good[];
	/** How they stand: in rows from front to back. */
	readonly lanes: readonly Lane[];
	readonly tooLarge: readonly TooLarge[];
	/** Things that stand behind another thing in their row, where one looks from the front. */
	readonly hidden: number;
	readonly massG: number;
}

/** Largest outer size of a container, mm: many taper, and the larger end decides. */
export const outerOf = (kind: ContainerKind) => ({
	widthMm: Math.max(kind.outerTop.widthMm, kind.outerBase.widthMm),
	depthMm: Math.max(kind.outerTop.depthMm, kind.outerBase.depthMm)
});

/** Kinds that stay where they are: one takes from them, and does not lift them. */
const STAYS: ReadonlySet<ContainerRole> = new Set([
	'turntable',
	'riser',
	'rack',
	'upright',
	'cradle',
	'divider',
	'slide'
]);

/** Trays are for what is seen from above, steps and turntables for what is seen from the front. */
const FROM_ABOVE: ReadonlySet<ContainerRole> = new Set(['divider']);
const FROM_FRONT: ReadonlySet<ContainerRole> = new Set(['riser', 'turntable', 'cradle', 'slide']);
function suitsView(
	role: ContainerRole,
	roles: readonly ContainerRole[],
	seenFromAbove: boolean
): boolean {
	const wrong = seenFromAbove ? FROM_FRONT : FROM_ABOVE;
	return !wrong.has(role) || roles.every((other) => wrong.has(other));
}

/** Share of a want that a kind must be able to take before it is worth proposing. */
const WORTH_SHARE = 0.3;
/** More of one kind than this in one place is no order. */
const MOST_CONTAINERS = 24;

/** Height that a container with its contents may have, mm. */
export const clearOf = (room: NookRoom): number =>
	Math.min(room.heightMm, room.passHeightMm) - room.aboveMm;

/** Whether a container, empty, goes through the way in and stands in the room, turned if it may be. */
export function enters(kind: ContainerKind, room: NookRoom, sideMm: number): boolean {
	const { widthMm: w, depthMm: d } = outerOf(kind);
	const goes = (across: number, back: number) =>
		across + 2 * sideMm <= Math.min(room.widthMm, room.passWidthMm) &&
		back + sideMm <= room.depthMm;
	const isLow = kind.heightMm <= clearOf(room);
	return isLow && (goes(w, d) || (kind.turn && goes(d, w)));
}

const fill = (kind: ContainerKind, goods: readonly Good[], options: FillOptions): Fill =>
	kind.role === 'jar' ? fillJars(kind, goods, options) : fillContainers(kind, goods, options);

/** From so many containers on that hold one thing each, they keep no order. */
const ONE_EACH = 3;
/** Leaves out a bin for every single piece, where another kind takes more of them: raw packs stand on one tray. */
function withoutOneEach(options: readonly HoldOption[], { goods }: Want): readonly HoldOption[] {
	const pieces = goods.reduce((sum, good) => sum + good.pieces, 0);
	const isOneEach = ({ kind, containers }: HoldOption) =>
		kind?.role !== 'jar' && containers.length >= ONE_EACH && containers.length >= pieces;
	const rest = options.filter((option) => !isOneEach(option));
	return rest.length ? rest : options;
}

/** Kinds that would have to be bought and are really filled, for one role of one want. */
const MOST_BOUGHT = 12;

/** Owned kinds, and of those to buy the ones that look best by litres: few of them, little air, little money. */
function likelyKinds(
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
	const bought = kinds
		.filter((kind) => !isOwned(kind))
		.map((kind) => ({ kind, guess: guess(kind) }))
		.sort((a, b) => a.guess - b.guess || (a.kind.id < b.kind.id ? -1 : 1))
		.filter(({ kind }) => {
			const count = (taken.get(kind.role) ?? 0) + 1;
			taken.set(kind.role, count);
			return count <= MOST_BOUGHT;
		});
	return [...kinds.filter(isOwned), ...bought.map(({ kind }) => kind)];
}

/**
 * Lists the ways to hold one want in a room, with what each costs beyond the containers still free in the house: as
 * many of one kind as it needs, or fewer (as many as the house has, half) with the rest standing free. The last ones are always
 * "no container", in shared rows first.
 */
export function holdOptions(
	want: Want,
	kinds: readonly ContainerKind[],
	packing: Packing,
	play: Settings['play'],
	ownedLeft: ReadonlyMap<string, number>
): HoldOption[] {
	const { room, seenFromAbove } = packing;
	// Rows of one thing each stand behind each other too: what is out of sight is counted by the shared rows.
	const standing = (
		loose: readonly Good[],
		{ lanes, tooLarge }: StandsFree,
		shared: StandsFree
	) => {
		const behind = shared.lanes.reduce((sum, { holds }) => sum + holds.length - 1, 0);
		return { loose, lanes, tooLarge, hidden: seenFromAbove ? 0 : behind };
	};
	const free = (loose: readonly Good[]) => {
		const way = standFree(loose, clearIn(packing));
		return standing(loose, way, way);
	};
	const clearMm = clearOf(room);
	const all = volumeOf(want.goods);
	const optionOf = (kind: ContainerKind, { containers, rest }: Fill): HoldOption => ({
		want,
		kind,
		containers,
		layers: kind.stack && kind.lid ? Math.max(1, Math.floor(clearMm / kind.heightMm)) : 1,
		costMinor: Math.max(0, containers.length - (ownedLeft.get(kind.id) ?? 0)) * kind.priceMinor,
		...free(rest),
		massG: containers.reduce((sum, { massG }) => sum + massG, 0) + massOf(rest)
	});
	const found: HoldOption[] = [];
	const suits = kinds
		.filter(({ role }) => want.roles.includes(role) && suitsView(role, want.roles, seenFromAbove))
		.filter((kind) => enters(kind, room, play.sideMm));
	for (const kind of likelyKinds(suits, want, ownedLeft)) {
		const options: FillOptions = {
			clearMm,
			mostG: STAYS.has(kind.role) ? Infinity : room.liftG,
			mostContainers: MOST_CONTAINERS,
			fillShare: play.fillShare
		};
		const whole = fill(kind, want.goods, options);
		const count = whole.containers.length;
		const heldMl = whole.containers.reduce((sum, { holds }) => sum + volumeOf(holds), 0);
		// A jar takes one pack of each; what is over is expected.
		if (!count || (kind.role !== 'jar' && heldMl < all * WORTH_SHARE)) continue;
		found.push(optionOf(kind, whole));
		const owned = ownedLeft.get(kind.id) ?? 0;
		for (const fewer of new Set([Math.ceil(count / 2), owned]))
			if (fewer >= 1 && fewer < count)
				found.push(optionOf(kind, fill(kind, want.goods, { ...options, mostContainers: fewer })));
	}
	return [
		...withoutOneEach(found, want),
		...waysFree(want.goods, clearIn(packing)).map((way, _, [shared]) => ({
			want,
			kind: null,
			containers: [],
			layers: 1,
			costMinor: 0,
			...standing(want.goods, way, shared!),
			massG: massOf(want.goods)
		}))
	];
}

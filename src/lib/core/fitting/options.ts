import type { ContainerKind, ContainerRole, Settings, Thing } from '../model';
import {
	type Good,
	massOf,
	type NookRoom,
	type Packing,
	clearIn,
	standFree,
	waysFree,
	type StandsFree,
	volumeOf
} from '../standing';
import { blocksOf } from './blocks';
import { fillContainers, type Fill } from './contents';
import type { FillOptions } from './filling';
import { fillJars } from './decant';
import { containersOf, type Holder, type HoldOption } from './hold-option';
import { outerOf } from './kind-sizes';
import { cutsFor, likelyKinds } from './likely-kinds';
import { suitsView } from './views';
import { type Want } from './wants';

/** Kinds that stay where they are: one takes from them, and does not lift them. */
const STAYS: ReadonlySet<ContainerRole> = new Set([
	'turntable',
	'riser',
	'rack',
	'upright',
	'cradle',
	'divider',
	'slide',
	'level'
]);

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
function withoutOneEach(options: readonly HoldOption[]): readonly HoldOption[] {
	const isOneEach = ({ kind, containers }: Holder) => {
		const pieces = containers
			.flatMap(({ holds }) => holds)
			.reduce((sum, good) => sum + good.pieces, 0);
		return kind.role !== 'jar' && containers.length >= ONE_EACH && containers.length >= pieces;
	};
	const rest = options.filter(({ holders }) => !holders.some(isOneEach));
	return rest.length ? rest : options;
}

/** Things of which some are in containers and some stand free; a jar takes one pack, and the next stay as they are. */
function partedBetween(holders: readonly Holder[], loose: readonly Good[]): Set<Thing> {
	const inside = new Set(
		holders
			.filter(({ kind }) => kind.role !== 'jar')
			.flatMap(({ containers }) =>
				containers.flatMap(({ holds }) => holds.map(({ thing }) => thing))
			)
	);
	return new Set(loose.flatMap(({ thing }) => (inside.has(thing) ? [thing] : [])));
}

/** What a container more, and all of it standing free, weighs when ways are picked to go on from; about in minor units. */
const PER_CONTAINER = 20;
const PER_LOOSE = 1500;
/** How many trays of a kind do not reach from side to side of a drawer; what is made to be cut to it counts by its compartments. */
const slidingOf = ({ kind, containers }: Holder, { widthMm }: NookRoom, sideMm: number): number =>
	kind.role !== 'divider' || outerOf(kind).widthMm + 2 * sideMm >= widthMm - TIGHT_MM
		? 0
		: containers.length * (kind.cutTo ? kind.cells : 1);
/** What is as wide as the drawer but for this stays where it is, mm. */
const TIGHT_MM = 12;
/** Ways with one kind that are begun again with a second one for the rest. */
const FIRST_KINDS = 4;
/** Kinds tried for the rest. */
const SECOND_KINDS = 4;

/** More sizes of jar than this in one place are no row. */
const MOST_JAR_KINDS = 4;
/** Gives each thing its jar with as few kinds as do: always the one that takes most of what is left, then the cheapest. */
function jarsFor(
	kinds: readonly ContainerKind[],
	goods: readonly Good[],
	fillOf: (kind: ContainerKind, goods: readonly Good[]) => Fill,
	have: (kind: ContainerKind) => number
): { holders: { kind: ContainerKind; part: Fill }[]; rest: readonly Good[] } {
	const holders: { kind: ContainerKind; part: Fill }[] = [];
	let left: readonly Good[] = goods;
	const more: Good[] = [];
	while (left.length && holders.length < MOST_JAR_KINDS) {
		let best: { kind: ContainerKind; part: Fill; cost: number } | null = null;
		for (const kind of kinds) {
			const part = fillOf(kind, left);
			const count = part.containers.length;
			const cost = Math.max(0, count - have(kind)) * kind.priceMinor;
			const most = best?.part.containers.length ?? 0;
			if (count > most || (count > 0 && count === most && cost < best!.cost))
				best = { kind, part, cost };
		}
		if (!best) break;
		holders.push({ kind: best.kind, part: best.part });
		const poured = new Set(
			best.part.containers.flatMap(({ holds }) => holds.map(({ thing }) => thing))
		);
		// Packs beyond the first stay as they are, and ask for no jar of another kind.
		more.push(...best.part.rest.filter(({ thing }) => poured.has(thing)));
		left = left.filter(({ thing }) => !poured.has(thing));
	}
	return { holders, rest: [...more, ...left] };
}

/**
 * Lists the ways to hold one want in a room, with what each costs beyond the containers still free in the house: as
 * many of one kind as it needs, fewer (as many as the house has, half) with the rest standing free, or with the rest in a
 * second kind. The last ones are always "no container", in shared rows first.
 */
export function holdOptions(
	want: Want,
	kinds: readonly ContainerKind[],
	packing: Packing,
	play: Settings['play'],
	ownedLeft: ReadonlyMap<string, number>
): HoldOption[] {
	const { room, seenFromAbove, inLayers } = packing;
	const clearMm = clearOf(room);
	const all = volumeOf(want.goods);
	const have = (kind: ContainerKind) => ownedLeft.get(kind.id) ?? 0;
	const optionOf = (
		holders: readonly Holder[],
		loose: readonly Good[],
		way: StandsFree,
		shared = way
	): HoldOption => {
		const { lanes, tooLarge } = way;
		// Rows of one thing each stand behind each other too: what is out of sight is counted by the shared rows.
		const behind = shared.lanes.reduce((sum, { holds }) => sum + holds.length - 1, 0);
		const blocks = blocksOf({ want, holders, lanes }, play.sideMm);
		return {
			want,
			holders,
			costMinor: holders.reduce(
				(sum, { kind, containers }) =>
					sum + Math.max(0, containers.length - have(kind)) * kind.priceMinor,
				0
			),
			loose,
			lanes,
			tooLarge,
			// What lies loose in a chest is dug for.
			hidden: inLayers ? lanes.length : seenFromAbove ? 0 : behind,
			parted: partedBetween(holders, loose).size,
			sliding: seenFromAbove
				? holders.reduce((sum, holder) => sum + slidingOf(holder, room, play.sideMm), 0)
				: 0,
			massG: containersOf({ holders }).reduce((sum, { massG }) => sum + massG, 0) + massOf(loose),
			floorMm2: blocks.reduce((sum, { w, d }) => sum + w * d, 0)
		};
	};
	const held = (holders: readonly Holder[], rest: readonly Good[]) =>
		optionOf(holders, rest, standFree(rest, clearIn(packing)));
	/**
	 * So many containers of a kind for goods, beside another one, and the rest free; the same with each thing whole in them or
	 * free, where that differs.
	 */
	const heldAndWhole = (
		goods: readonly Good[],
		kind: ContainerKind,
		part: Fill,
		...beside: readonly Holder[]
	): HoldOption[] => {
		const heldIn = ({ containers, rest }: Fill, more: readonly Good[] = []) =>
			containers.length
				? [held([...beside, holderOf(kind, { containers, rest })], [...more, ...rest])]
				: [];
		const parted = partedBetween([holderOf(kind, part)], part.rest);
		if (!parted.size) return heldIn(part);
		const isParted = ({ thing }: Good) => parted.has(thing);
		const whole = goods.filter((good) => !isParted(good));
		return [
			...heldIn(part),
			...heldIn(fillOf(kind, whole, part.containers.length), goods.filter(isParted))
		];
	};
	/** Baskets of a chest stand on each other, rim on rim, where there is height for two. */
	const isLayered = ({ role, heightMm }: ContainerKind) =>
		inLayers && role === 'basket' && clearMm >= 2 * heightMm;
	const isPiled = (kind: ContainerKind) => (kind.stack && kind.lid) || isLayered(kind);
	const holderOf = (kind: ContainerKind, { containers }: Fill): Holder => ({
		kind,
		containers,
		layers: isPiled(kind) ? Math.max(1, Math.floor(clearMm / kind.heightMm)) : 1,
		limits: limitsOf(kind)
	});
	const limitsOf = (kind: ContainerKind): FillOptions => ({
		// Nothing looks out of what another stands on.
		clearMm: isLayered(kind) ? kind.heightMm : clearMm,
		mostG: STAYS.has(kind.role) ? Infinity : room.liftG,
		mostContainers: MOST_CONTAINERS,
		fillShare: play.fillShare,
		isByDue: inLayers && isPiled(kind)
	});
	const fillOf = (kind: ContainerKind, goods: readonly Good[], mostContainers = MOST_CONTAINERS) =>
		fill(kind, goods, { ...limitsOf(kind), mostContainers });
	const suits = kinds
		.filter(({ role }) => want.roles.includes(role) && suitsView(role, want.roles, seenFromAbove))
		.flatMap((kind) => cutsFor(kind, packing))
		.filter((kind) => enters(kind, room, play.sideMm));
	const found: HoldOption[] = [];
	/** Ways to go on from with a second kind: something is over, or would be without the last container. */
	const begun: {
		readonly holder: Holder;
		readonly rest: readonly Good[];
		readonly score: number;
	}[] = [];
	const wholes: { readonly kind: ContainerKind; readonly score: number }[] = [];
	for (const kind of likelyKinds(suits, want, ownedLeft)) {
		const whole = fillOf(kind, want.goods);
		const count = whole.containers.length;
		const heldMl = whole.containers.reduce((sum, { holds }) => sum + volumeOf(holds), 0);
		// A jar takes one pack of each; what is over is expected.
		if (!count || (kind.role !== 'jar' && heldMl < all * WORTH_SHARE)) continue;
		const [way, ...others] = heldAndWhole(want.goods, kind, whole);
		found.push(way!, ...others);
		const score = way!.costMinor + count * PER_CONTAINER + (volumeOf(whole.rest) / all) * PER_LOOSE;
		wholes.push({ kind, score });
		if (whole.rest.length) begun.push({ holder: holderOf(kind, whole), rest: whole.rest, score });
		const offered = [Math.ceil(count / 2), have(kind)];
		for (const fewer of new Set([...offered, count - 1])) {
			if (fewer < 1 || fewer >= count) continue;
			const part = fillOf(kind, want.goods, fewer);
			if (offered.includes(fewer)) found.push(...heldAndWhole(want.goods, kind, part));
			begun.push({ holder: holderOf(kind, part), rest: part.rest, score });
		}
	}
	const least = <Each extends { readonly score: number }>(from: readonly Each[], most: number) =>
		[...from].sort((a, b) => a.score - b.score).slice(0, most);
	const seconds = least(wholes, SECOND_KINDS);
	for (const { holder, rest } of least(begun, FIRST_KINDS))
		for (const { kind } of seconds) {
			if (kind.id === holder.kind.id) continue;
			found.push(...heldAndWhole(rest, kind, fillOf(kind, rest), holder));
		}
	if (want.asksJars) {
		const jars = jarsFor(
			suits.filter(({ role }) => role === 'jar'),
			want.goods,
			(kind, goods) => fillOf(kind, goods),
			have
		);
		if (jars.holders.length)
			found.push(
				held(
					jars.holders.map(({ kind, part }) => holderOf(kind, part)),
					jars.rest
				)
			);
	}
	return [
		...withoutOneEach(found),
		...waysFree(want.goods, clearIn(packing)).map((way, _, [shared]) =>
			optionOf([], want.goods, way, shared)
		)
	];
}

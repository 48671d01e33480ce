import { holdingsByGroup, piecesIn, spareOf } from '../grouping';
import { pieceVolumeMl, type Assignment, type Home, type Lot, type Thing } from '../model';
import { climateOf } from '../survey';

/** What of a lot has its place in one nook: all of it, or so many of its packs. */
export interface LotShare {
	readonly lot: Lot;
	readonly thing: Thing;
	readonly nookId: string;
	/** In the unit of the lot. */
	readonly count: number;
	readonly pieces: number;
	readonly volumeMl: number;
}

/** Packs of one lot that stand, or are to stand, in one nook. */
interface Stack {
	readonly lot: Lot;
	readonly thing: Thing;
	readonly at: string | null;
	readonly pieces: number;
	/** Volume of one piece, ml; never 0, so that all can be shared out. */
	readonly each: number;
	/** Packs may be parted; what is counted in grams or meals stays one. */
	readonly parts: boolean;
}

/** Whether a lot is frozen now. */
export const isFrozenLot = ({ states, dates }: Lot): boolean =>
	!states.includes('thawed') &&
	dates.thawedOn === null &&
	(states.includes('frozen') || dates.frozenOn !== null);

const byText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
const sizeFirst = (a: Stack, b: Stack) =>
	b.each - a.each ||
	byText(a.thing.id, b.thing.id) ||
	byText(a.at ?? '', b.at ?? '') ||
	b.pieces - a.pieces ||
	byText(a.lot.id, b.lot.id);
const volumeOf = (stacks: readonly Stack[]) =>
	stacks.reduce((sum, { each, pieces }) => sum + each * pieces, 0);

/** Whole pieces of a stack that come nearest to a volume. */
function nearest({ each, pieces, parts }: Stack, ml: number): number {
	if (!parts) return 2 * ml >= each * pieces ? pieces : 0;
	return Math.max(0, Math.min(pieces, Math.floor(ml / each + 0.5)));
}

/** Shares of a group that are still wanted by its nooks, ml. */
type Wants = Map<string, number>;

/** The nook that a thing goes to: where more of it is and another piece is wanted, else where most is wanted. */
function goalOf(wants: Wants, held: ReadonlySet<string>, each: number): string {
	const kept = [...wants].filter(([at, ml]) => held.has(at) && 2 * ml >= each);
	const most = (kept.length ? kept : [...wants]).reduce((best, one) =>
		one[1] > best[1] ? one : best
	);
	return most[0];
}

/**
 * Shares out stacks over nooks by volume: what stands in one of them stays while there is want of it, the bulkiest
 * first; the rest goes thing by thing, the most voluminous first.
 */
function shareOut(stacks: readonly Stack[], places: readonly Place[]): Stack[] {
	const total = volumeOf(stacks);
	const wants: Wants = new Map(places.map(({ nookId, share }) => [nookId, share * total]));
	const found: Stack[] = [];
	const held = new Map<string, Set<string>>();
	const put = (stack: Stack, at: string, pieces: number) => {
		found.push({ ...stack, at, pieces });
		held.set(stack.thing.id, (held.get(stack.thing.id) ?? new Set()).add(at));
		wants.set(at, wants.get(at)! - stack.each * pieces);
	};
	const roaming = new Map<string, Stack[]>();
	for (const stack of [...stacks].sort(sizeFirst)) {
		const want = stack.at === null ? undefined : wants.get(stack.at);
		const stays = want === undefined ? 0 : nearest(stack, want);
		if (stays) put(stack, stack.at!, stays);
		if (stays === stack.pieces) continue;
		const list = roaming.get(stack.thing.id) ?? [];
		list.push({ ...stack, pieces: stack.pieces - stays });
		roaming.set(stack.thing.id, list);
	}
	for (const own of [...roaming.values()].sort((a, b) => volumeOf(b) - volumeOf(a)))
		for (const stack of own)
			for (let left = stack.pieces; left > 0;) {
				const at = goalOf(wants, held.get(stack.thing.id) ?? new Set(), stack.each);
				const rest = { ...stack, pieces: left };
				const pieces = stack.parts ? Math.max(1, nearest(rest, wants.get(at)!)) : left;
				put(stack, at, pieces);
				left -= pieces;
			}
	return found;
}

/** Joins what stands in one nook of one lot. */
function joined(stacks: readonly Stack[]): Stack[] {
	const byKey = new Map<string, Stack>();
	for (const stack of stacks) {
		const key = `${stack.lot.id}/${stack.at}`;
		byKey.set(key, { ...stack, pieces: stack.pieces + (byKey.get(key)?.pieces ?? 0) });
	}
	return [...byKey.values()].sort(sizeFirst);
}

const printOf = (stacks: readonly Stack[]) =>
	stacks.map(({ lot, at, pieces }) => `${lot.id}/${at}/${pieces}`).join();

/** Shares sum to 1 within this, where nothing is without a place. */
const WHOLE = 1e-6;
/** Sharing out what was shared out may move a piece once more: it ends where nothing moves, or after so many rounds. */
const ROUNDS = 8;

/** Writes stacks as counts of their lots: a started pack is one piece, and goes with the last part of its lot. */
function countsOf(stacks: readonly Stack[]): LotShare[] {
	const piecesLeft = new Map<string, number>();
	for (const { lot, pieces } of stacks)
		piecesLeft.set(lot.id, (piecesLeft.get(lot.id) ?? 0) + pieces);
	const given = new Map<string, number>();
	return stacks.map(({ lot, thing, at, pieces, each }) => {
		const left = piecesLeft.get(lot.id)! - pieces;
		piecesLeft.set(lot.id, left);
		const before = given.get(lot.id) ?? 0;
		const count = left === 0 ? lot.count - before : pieces;
		given.set(lot.id, before + count);
		return { lot, thing, nookId: at!, count, pieces, volumeMl: each * pieces };
	});
}

/**
 * Says which lots of a group have their place in which nook of a plan, in whole packs: the one answer for notes, moves
 * and fits. A group in one nook is all there; what has no place in the plan is left out. What stands right stays, so that a home in order has nothing to move.
 * Where spares are kept apart no lot is parted, since a part would count as a spare. Ties by id.
 * @example placesOfLots(home, 'towels', plan.assignments) // 5 of the 8 bath towels on one shelf, 3 on the other
 */
export function placesOfLots(
	home: Home,
	groupId: string,
	assignments: readonly Pick<Assignment, 'groupId' | 'nookId' | 'share' | 'thingIds'>[]
): LotShare[] {
	const places = assignments.filter((assignment) => assignment.groupId === groupId);
	if (!places.length) return [];
	const isCold = places.every(({ nookId }) => {
		const nook = home.nooks[nookId];
		return !!nook && climateOf(nook) === 'frozen';
	});
	const isApart = !!spareOf(home, groupId);
	// Where part of the group has no place, that is what no place names.
	const placed = places.reduce((sum, { share }) => sum + share, 0);
	const listed = new Set<string>(places.flatMap(({ thingIds = [] }) => thingIds));
	const isLeft = ({ id }: Thing) =>
		placed < 1 - WHOLE && places.every(({ thingIds }) => thingIds) && !listed.has(id);
	const held = (holdingsByGroup(home).get(groupId) ?? []).filter(({ thing }) => !isLeft(thing));
	let stacks = held.flatMap(({ thing, lots }) =>
		// What is frozen leaves the cold only by being thawed: a plan for its kind fresh is none for it.
		lots
			.filter((lot) => isCold || thing.needs.includes('frozen') || !isFrozenLot(lot))
			.map((lot): Stack => ({
				lot,
				thing,
				at: places.length > 1 ? lot.nookId : places[0]!.nookId,
				pieces: piecesIn(lot),
				each: Math.max(pieceVolumeMl(thing), 1e-6),
				parts: lot.unit === 'pack' && !isApart
			}))
	);
	for (const some of byPlaces(stacks, places)) stacks = settled(stacks, some);
	return countsOf(stacks);
}

/** Shares out some of the stacks over their own places until nothing moves any more; the rest stays as it is. */
function settled(all: readonly Stack[], { stacks, places }: Cut): Stack[] {
	const ids = new Set(stacks.map(({ thing }) => thing.id));
	let own = stacks;
	for (let round = 0; round < ROUNDS; round++) {
		const next = joined(shareOut(own, places));
		const isSame = printOf(next) === printOf(own);
		own = next;
		if (isSame) break;
	}
	return [...all.filter(({ thing }) => !ids.has(thing.id)), ...own].sort(sizeFirst);
}

type Place = Pick<Assignment, 'nookId' | 'share' | 'thingIds'>;
interface Cut {
	readonly stacks: Stack[];
	readonly places: readonly Place[];
}

/**
 * Parts stacks by the places that are theirs: those that name the thing, else those that name nothing, else all. Places
 * that share things share them by how much of the group each still has to get beside what is its alone.
 */
function byPlaces(stacks: readonly Stack[], places: readonly Place[]): Cut[] {
	if (places.length < 2) return [];
	const cuts = new Map<string, Cut>();
	const total = volumeOf(stacks) / (places.reduce((sum, { share }) => sum + share, 0) || 1);
	const open = new Map(places.map((place) => [place, place.share * total]));
	for (const stack of stacks) {
		const named = places.filter(({ thingIds }) => thingIds?.includes(stack.thing.id));
		const unnamed = places.filter(({ thingIds }) => !thingIds);
		const own = named.length ? named : unnamed.length ? unnamed : places;
		const key = own.map(({ nookId }) => nookId).join();
		const cut = cuts.get(key) ?? { stacks: [], places: own };
		cut.stacks.push(stack);
		cuts.set(key, cut);
	}
	// What has one place is taken off first.
	return [...cuts.values()]
		.sort((a, b) => a.places.length - b.places.length)
		.map(({ stacks, places }) => {
			const left = places.map((place) => Math.max(0, open.get(place)!));
			const sum = left.reduce((one, two) => one + two, 0);
			const whole = places.reduce((one, { share }) => one + share, 0) || 1;
			const litres = volumeOf(stacks);
			const shared = places.map((place, i) => {
				const share = sum > 0 ? left[i]! / sum : place.share / whole;
				open.set(place, open.get(place)! - share * litres);
				return { ...place, share };
			});
			return { stacks, places: shared };
		});
}

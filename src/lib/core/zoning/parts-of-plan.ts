import type { Holding } from '../grouping';
import { activePlan, pieceVolumeMl, type Assignment, type Home } from '../model';
import { inOrder } from './cut-group';
import { asPart, mostParts, roomFor, waysOf, type PartDraft, type PartsInput } from './parts';

/** What a row of a plan says of a group. */
type Row = Pick<Assignment, 'share' | 'thingIds'>;
/** What of a group is looked for in one place: so much of some of what it holds. */
export interface PlanCut {
	readonly holdings: readonly Holding[];
	/** Share of those holdings: under 1 where places share things without saying which. */
	readonly share: number;
}

/** Shares of places sum to 1 within this, where nothing is without a place. */
const WHOLE = 1e-6;
const litresOf = (holdings: readonly Holding[]): number =>
	holdings.reduce((sum, { thing, pieces }) => sum + pieceVolumeMl(thing) * pieces, 0);

/**
 * What of a thing that several rows name goes with this one: as many pieces as bring it to its share. The first that
 * stand somewhere are in use, what stands in further places behind them is spare.
 */
function taken(unit: Holding, rest: number, left: number, isLast: boolean): Holding | null {
	const each = pieceVolumeMl(unit.thing);
	const wanted = isLast || each <= 0 ? rest : Math.round(left / each);
	const pieces = Math.max(0, Math.min(rest, wanted));
	return pieces ? { ...unit, pieces, spare: unit.spare || rest < unit.pieces } : null;
}

/**
 * Parts what a group holds as its places in a plan do, in their order; what is without a place comes last. A thing that
 * no row names is with the largest part. Null: the group is whole, in one place or in none.
 */
export function cutsOfPlan(
	holdings: readonly Holding[],
	rows: readonly Row[]
): readonly PlanCut[] | null {
	const placed = rows.reduce((sum, { share }) => sum + share, 0);
	if (!rows.length || (rows.length === 1 && placed > 1 - WHOLE)) return null;
	const held = holdings.filter(({ pieces }) => pieces > 0).sort(inOrder);
	const named = rows.filter(({ thingIds }) => thingIds);
	const says = (row: Row, { thing }: Holding) => !!row.thingIds?.includes(thing.id);
	const nameless = held.filter((unit) => !named.some((row) => says(row, unit)));
	const isShort = placed < 1 - WHOLE;
	if (named.length < rows.length) {
		// What no row names is shared by those that name nothing, and by what has no place.
		const open = 1 - named.reduce((sum, { share }) => sum + share, 0);
		const shared = (share: number) => ({
			holdings: nameless,
			share: Math.min(1, share / Math.max(open, WHOLE))
		});
		const own = namedCuts(held, named);
		let next = 0;
		return [
			...rows.map(({ thingIds, share }) => (thingIds ? own[next++]! : shared(share))),
			...(isShort ? [shared(1 - placed)] : [])
		];
	}
	const cuts = namedCuts(held, named);
	if (isShort) return [...cuts, { holdings: nameless, share: 1 }];
	const largest = named.reduce((best, { share }, i) => (share > named[best]!.share ? i : best), 0);
	return cuts.map((cut, i) =>
		i === largest ? { ...cut, holdings: [...cut.holdings, ...nameless] } : cut
	);
}

/** What rows hold that name their things. */
function namedCuts(held: readonly Holding[], rows: readonly Row[]): PlanCut[] {
	const rest = new Map(held.map((unit) => [unit, unit.pieces]));
	const rowsOf = new Map(
		held.map((unit) => [unit, rows.filter(({ thingIds }) => thingIds?.includes(unit.thing.id))])
	);
	const total = litresOf(held);
	// Along the order in which the group was cut, whatever was moved since: what begins in a part ends in the next.
	const along = [...rows].sort((a, b) => reachOf(held, a) - reachOf(held, b));
	const cuts = new Map<Row, PlanCut>();
	for (const row of along) {
		const own = held.filter((unit) => rowsOf.get(unit)!.includes(row));
		const alone = own.filter((unit) => rowsOf.get(unit)!.length === 1);
		let left = row.share * total - litresOf(alone);
		const holdings = own.flatMap((unit) => {
			if (alone.includes(unit)) return [unit];
			const isLast = rowsOf.get(unit)!.every((other) => other === row || cuts.has(other));
			const some = taken(unit, rest.get(unit)!, left, isLast);
			if (!some) return [];
			rest.set(unit, rest.get(unit)! - some.pieces);
			left -= pieceVolumeMl(unit.thing) * some.pieces;
			return [some];
		});
		cuts.set(row, { holdings, share: 1 });
	}
	return rows.map((row) => cuts.get(row)!);
}
/** Where the middle of what a row names stands in the order of the cut. */
const reachOf = (held: readonly Holding[], { thingIds }: Row): number => {
	const at = held.flatMap(({ thing }, i) => (thingIds?.includes(thing.id) ? [i] : []));
	return at.length ? at[0]! + at.at(-1)! : Infinity;
};

/** A row of a plan with its place; −1: what has none. */
interface PlacedRow extends Row {
	readonly n: number;
}

/** All ways to share parts out to rows, as the row of each part: there are four of each at most. */
function* sharings(parts: number, rows: number): Generator<number[]> {
	for (let i = 0; i < rows ** parts; i++)
		yield Array.from({ length: parts }, (_, g) => Math.floor(i / rows ** g) % rows);
}

/** Parts are what rows say while their shares, summed, are off by no more than this: shares are rounded. */
const ALIKE = 1e-4;
/** The row of each part, where parts are just what rows say: the things that each names, and its share; null: they are not. */
function matched(parts: readonly PartDraft[], rows: readonly PlacedRow[]): number[] | null {
	const litres = parts.map(({ figures, share }) => figures.volumeMl * share);
	const total = litres.reduce((sum, ml) => sum + ml, 0) || 1;
	let best: number[] | null = null;
	let least = ALIKE;
	for (const sharing of sharings(parts.length, rows.length)) {
		let off = 0;
		const isSaid = rows.every(({ n, thingIds, share }, r) => {
			const own = parts.filter((_, g) => sharing[g] === r);
			const ml = litres.reduce((sum, each, g) => sum + (sharing[g] === r ? each : 0), 0);
			off += Math.abs(ml / total - share);
			if (n < 0 || (rows.length === 1 && !thingIds)) return own.length > 0;
			const held = new Set<string>(own.flatMap((part) => part.thingIds ?? []));
			return !!thingIds && thingIds.length === held.size && thingIds.every((id) => held.has(id));
		});
		if (isSaid && off < least) [best, least] = [sharing, off];
	}
	return best;
}

/** Whether the places of rows have room for the parts that are theirs. */
const haveRoom = (
	parts: readonly PartDraft[],
	sharing: readonly number[],
	rows: readonly PlacedRow[],
	input: PartsInput
): boolean =>
	rows.every(({ n }, r) =>
		roomFor(
			parts.filter((_, g) => sharing[g] === r),
			n,
			input
		)
	);

/**
 * Parts a group as the plan in force has it (what it leaves out whole is whole): as the planner parted it, where its rows still say so, so that what was
 * found to go in is judged by the same pieces; else by the rows alone.
 */
export function partsInForce(input: PartsInput, rows: readonly PlacedRow[]): PartDraft[] {
	const whole = asPart(input, null, 1);
	const placed = rows.reduce((sum, { share }) => sum + share, 0);
	const all = placed < 1 - WHOLE ? [...rows, { n: -1, share: 1 - placed }] : rows;
	if (!input.figuresOf) return all.map(({ share }) => asPart(input, null, share));
	if (all.length === 1) return withRoom(input, whole, all[0]!.n);
	// One part a row is what the planner mostly makes; several parts of one place are seldom.
	for (const isOneEach of [true, false])
		for (let count = Math.max(1, all.length - 1); count <= mostParts(input.figures); count++)
			for (const parts of waysOf(input, whole, count)) {
				if ((parts.length === all.length) !== isOneEach) continue;
				const sharing = matched(parts, all);
				if (sharing && haveRoom(parts, sharing, all, input)) return parts;
			}
	return cutsOfPlan(input.holdings, rows)!.flatMap(({ holdings, share }, r) => {
		const part = asPart(input, holdings, share);
		if (!part.figures.pieces) return [];
		return withRoom({ ...input, holdings, figures: part.figures }, part, all[r]!.n);
	});
}

/** What stands in one place: in as many heaps as go in there, one where none do. */
function withRoom(input: PartsInput, part: PartDraft, n: number): PartDraft[] {
	if (part.share < 1 || roomFor([part], n, input)) return [part];
	for (let count = 1; count <= mostParts(part.figures); count++)
		for (const parts of waysOf(input, part, count)) if (roomFor(parts, n, input)) return parts;
	return [part];
}

/** The rows of the plan in force for each group, none for what it leaves out whole; null: no plan is in force. */
export function rowsInForce(home: Home): ReadonlyMap<string, readonly Assignment[]> | null {
	const plan = activePlan(home);
	if (!plan) return null;
	const rows = rowsByGroup(plan.assignments);
	for (const id of plan.overflow) if (!rows.has(id)) rows.set(id, []);
	return rows;
}

/** The rows of a plan, group by group. */
export function rowsByGroup(assignments: readonly Assignment[]): Map<string, Assignment[]> {
	const rows = new Map<string, Assignment[]>();
	for (const row of assignments) {
		const own = rows.get(row.groupId);
		if (own) own.push(row);
		else rows.set(row.groupId, [row]);
	}
	return rows;
}

/** Says how the plan in force parts groups, whatever the places are: a tag that moves to another place changes nothing. */
export function partingPrint(home: Home): string {
	const parted = [...(rowsInForce(home) ?? [])].filter(
		([, rows]) => rows.length !== 1 || rows[0]!.share < 1 - WHOLE
	);
	return JSON.stringify([
		activePlan(home) ? 1 : 0,
		parted.map(([id, rows]) => [id, rows.map(({ share, thingIds }) => [share, thingIds])])
	]);
}

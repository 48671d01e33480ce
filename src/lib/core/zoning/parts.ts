import type { GroupFigures, Holding } from '../grouping';
import type { FrontTaken } from '../standing';
import { CAPACITY_TOLERANCE } from '../solvers/assignment';
import { costOf, type Row } from './cell';
import { bundlesOf, cutInto, inOrder, isOfOneThing, withoutAwkward } from './cut-group';
import { splitNear } from './pairs';

const MAX_PARTS = 4;
/** Effort a week of each place more in which a group has to be looked for, and of each trip to it. */
const SPLIT_EFFORT = 30;
const SPLIT_PER_TRIP = 1;
/** What it costs a week that a group is looked for in so many places. */
export const splitEffort = ({ tripsPerWeek }: Pick<GroupFigures, 'tripsPerWeek'>, parts: number) =>
	(parts - 1) * (SPLIT_EFFORT + SPLIT_PER_TRIP * tripsPerWeek);
/** Share of that where places are short: then small places left over are worth more than one place to look in. */
const TIGHT_SHARE = 0.25;
/** Effort of hanging on the one place that takes it; with more such places others may as well have one of them. */
const SCARCE_EFFORT = 150;

/** A group, or what of it is looked for in one place. */
export interface PartDraft {
	readonly figures: GroupFigures;
	/** Share of those figures: under 1 where a group is parted by litres alone. */
	readonly share: number;
	/** What of the group it is; null: all of it, or a share of everything. */
	readonly thingIds: readonly string[] | null;
	/** The part in each nook. */
	readonly row: Row;
}

/** What a nook takes: litres, front over its whole depth, rows deeper than half of it, and load. */
export type Capacity = readonly [ml: number, frontMm: number, deepMm: number, loadG: number];

export interface PartsInput {
	readonly figures: GroupFigures;
	readonly holdings: readonly Holding[];
	/** Figures of some of the holdings; null: they were set by hand for the whole, which is then parted by litres. */
	readonly figuresOf: ((holdings: readonly Holding[]) => GroupFigures) | null;
	/** The nooks for what has such figures. */
	readonly rowOf: (figures: GroupFigures) => Row;
	/** Whether what is held of one thing may stand in a nook, by its size and by what it is to a pet. */
	readonly goesIn: (holding: Holding, nook: number) => boolean;
	readonly capacities: readonly Capacity[];
	/** What such figures take of the front of a nook. */
	readonly frontAt: (figures: GroupFigures, nook: number) => FrontTaken;
	/** Nooks × nooks, mm. */
	readonly nookToNookMm: Float64Array;
	/** A kit or a set stays together where any place takes it whole. */
	readonly staysWhole: boolean;
	/** Places are short here: what hangs on few of them is parted rather. */
	readonly isTight: boolean;
	/** So many parts, where it has so many pieces; null: as many as cost least. */
	readonly wished: number | null;
}

/** The nooks that may take a part, were nothing else there. */
export function fitting(
	{ figures, share, row }: PartDraft,
	{ capacities, frontAt }: Pick<PartsInput, 'capacities' | 'frontAt'>
): number[] {
	return capacities.flatMap(([ml, front, deep, load], n) => {
		// Litres and load are seen at once, the rules take longer, and rows the longest.
		if (figures.volumeMl * share > ml || figures.massG * share > load || row.at(n).hard) return [];
		const { frontMm, deepMm } = frontAt(figures, n);
		return frontMm * share <= front && deepMm * share <= deep ? [n] : [];
	});
}

/** Whether a nook takes some parts of a group together, were nothing else there; rules are left aside. */
export function roomFor(
	parts: readonly PartDraft[],
	n: number,
	{ capacities, frontAt }: Pick<PartsInput, 'capacities' | 'frontAt'>
): boolean {
	if (n < 0) return true;
	const sums = [0, 0, 0, 0];
	for (const { figures, share } of parts) {
		const { frontMm, deepMm } = frontAt(figures, n);
		[figures.volumeMl, frontMm, deepMm, figures.massG].forEach(
			(each, k) => (sums[k]! += each * share)
		);
	}
	return sums.every((sum, k) => sum <= capacities[n]![k]! * (1 + CAPACITY_TOLERANCE));
}

/** The most parts that a group may go into: no more than it has pieces. */
export const mostParts = ({ pieces }: Pick<GroupFigures, 'pieces'>): number =>
	Math.min(MAX_PARTS, Math.max(1, Math.floor(pieces)));

/** Effort of the parts in the places that suit them best, were nothing else there; Infinity: there are too few. */
function effortOf(parts: readonly PartDraft[], input: PartsInput): number {
	const { figures, capacities, nookToNookMm, isTight } = input;
	const N = capacities.length;
	const taken: number[] = [];
	let sum = splitEffort(figures, parts.length) * (isTight ? TIGHT_SHARE : 1);
	for (const part of parts) {
		let best = -1;
		let least = Infinity;
		const open = fitting(part, input);
		sum += isTight && open.length ? SCARCE_EFFORT / open.length / parts.length : 0;
		for (const n of open) {
			if (taken.includes(n)) continue;
			const apart = taken.reduce((total, m) => total + nookToNookMm[n * N + m]!, 0) / 1000;
			const cost = costOf(part.row.at(n), part.share) + splitNear(parts.length) * apart;
			if (cost < least) [best, least] = [n, cost];
		}
		if (best < 0) return Infinity;
		sum += least;
		taken.push(best);
	}
	return sum;
}

/** Some of a group, or a share of all of it, as a part with where it could go. `cut` null: all that it holds. */
export function asPart(
	{ figures: all, figuresOf, rowOf }: Pick<PartsInput, 'figures' | 'figuresOf' | 'rowOf'>,
	cut: readonly Holding[] | null,
	share: number
): PartDraft {
	const figures = cut ? figuresOf!(cut) : all;
	const thingIds = cut?.map(({ thing }) => thing.id as string) ?? null;
	return { figures, share, thingIds, row: rowOf(figures) };
}
const asParts = (input: PartsInput, cuts: readonly (readonly Holding[])[]): PartDraft[] =>
	cuts.map((cut) => asPart(input, cut, 1));

/** So many parts of a group: along what it is made of, or by litres where its figures were set by hand. */
export function inParts(input: PartsInput, whole: PartDraft, count: number): PartDraft[] {
	if (count === 1) return [whole];
	if (!input.figuresOf)
		return Array.from({ length: count }, () => ({ ...whole, share: 1 / count }));
	return asParts(input, cutInto(input.holdings, count));
}

/** The ways to part a group into so many, and one more where what is too large for good places goes by itself. */
export function waysOf(input: PartsInput, whole: PartDraft, count: number): PartDraft[][] {
	const found = count > 1 ? [inParts(input, whole, count)] : [];
	const odd =
		input.figuresOf && input.figures.pieces > count ? withoutAwkward(input, whole.row) : null;
	if (odd)
		found.push(
			asParts(input, [...(count > 1 ? cutInto(odd.rest, count) : [odd.rest]), odd.awkward])
		);
	const filled = input.figuresOf && count > 1 ? fillingPlaces(input, whole, count) : null;
	if (filled) found.push(filled);
	return found.filter((parts) => parts.length > 1);
}

/** Places that a group is cut to the size of: the cheapest for it, were they large enough. */
const SIZES = 2;

/**
 * Parts a group so that each part just goes into a place of the kind that suits it: in order, each thing to the part
 * before as long as that still goes there. What goes into none alone is a part of its own. Null: it takes more parts.
 */
function fillingPlaces(input: PartsInput, whole: PartDraft, count: number): PartDraft[] | null {
	const { holdings, goesIn } = input;
	const places = whole.row
		.all()
		.map((cell, n) => ({ n, cost: costOf(isOfOneThing(cell) ? { ...cell, hard: null } : cell, 1) }))
		.filter(({ cost }) => cost < Infinity)
		.sort((a, b) => a.cost - b.cost || a.n - b.n)
		.slice(0, SIZES);
	for (const { n } of places) {
		const cuts: Holding[][] = [];
		const odd: Holding[] = [];
		for (const bundle of bundlesOf(holdings.filter(({ pieces }) => pieces > 0).sort(inOrder))) {
			const goes = (some: readonly Holding[]) =>
				some.every((holding) => goesIn(holding, n)) && roomFor([asPart(input, some, 1)], n, input);
			const last = cuts.at(-1);
			if (last && goes([...last, ...bundle])) last.push(...bundle);
			else if (goes(bundle)) cuts.push([...bundle]);
			else odd.push(...bundle);
		}
		if (odd.length) cuts.push(odd);
		// What goes by itself may be one part more.
		const isMost = odd.length > 0 && count === mostParts(input.figures);
		if (cuts.length === count || (isMost && cuts.length === count + 1)) return asParts(input, cuts);
	}
	return null;
}

/** A group that so many places take whole need not be parted so that others find room. */
const PLENTY = 4;

/**
 * Parts a group along what it is made of, into as many parts as cost least where nothing else stood, with a price on
 * every place more. A group that would fit whole somewhere far off is kept in parts near its use; what goes into no
 * good place for its size is parted off alone. What fits nowhere goes into the parts of which most fit. Ties: fewer.
 */
export function partsFor(input: PartsInput): PartDraft[] {
	const { figures } = input;
	const whole = asPart(input, null, 1);
	const open = fitting(whole, input);
	const alone = effortOf([whole], input);
	// No parts together cost less than all of it in the cheapest place there is, were that large enough.
	const floor = cheapestIfItWent(input, whole.row);
	const scarce = input.isTight ? SCARCE_EFFORT / (open.length || 1) : 0;
	const isNear = alone - scarce <= floor + SPLIT_EFFORT * (input.isTight ? TIGHT_SHARE : 1);
	const isWhole = input.staysWhole && open.length > 0;
	const wished = input.wished && Math.min(input.wished, mostParts(figures));
	const isWell = isNear && (!input.isTight || open.length >= PLENTY);
	if (isWhole || wished === 1 || (wished === null && isWell)) return [whole];
	const all = wished === null ? [[whole]] : [];
	const efforts = wished === null ? [alone] : [];
	// What is too large goes by itself, so that one part fewer of the rest may be as many.
	const [from, to] = wished === null ? [1, mostParts(figures)] : [wished - 1, wished];
	for (let count = from; count <= to; count++) {
		const ways = waysOf(input, whole, count).filter(
			(parts) => wished === null || parts.length === wished
		);
		all.push(...ways);
		efforts.push(...ways.map((parts) => effortOf(parts, input)));
	}
	if (!all.length) return [whole];
	const cheapest = Math.min(...efforts);
	if (cheapest < Infinity) return all[efforts.indexOf(cheapest)]!;
	// Litres that have a place at all, whatever else they cost.
	const placed = all.map((parts) =>
		parts.reduce(
			(sum, part) => sum + (fitting(part, input).length ? part.figures.volumeMl * part.share : 0),
			0
		)
	);
	return all[placed.indexOf(Math.max(...placed))]!;
}

/** The cheapest place of a group, sizes left aside; size is then dealt with by parting off what is too large. */
const cheapestIfItWent = ({ capacities }: PartsInput, row: Row): number =>
	capacities.reduce((least, _, n) => {
		const cell = row.at(n);
		return Math.min(least, costOf(isOfOneThing(cell) ? { ...cell, hard: null } : cell, 1));
	}, Infinity);

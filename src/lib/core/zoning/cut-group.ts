import { frontRunMm, type Holding } from '../grouping';
import { pieceVolumeMl, rimsFit } from '../model';
import { costOf, type Cell, type Row } from './cell';

/** A millimetre of front run is about so many millilitres of shelf. */
const ML_PER_RUN_MM = 60;
/** What a holding takes of room, as one figure: litres and front run alike. */
const roomOf = ({ thing, pieces }: Holding): number =>
	pieceVolumeMl(thing) * pieces + ML_PER_RUN_MM * frontRunMm(thing, pieces);
const roomOfAll = (holdings: readonly Holding[]) =>
	holdings.reduce((sum, holding) => sum + roomOf(holding), 0);

/** A vessel and the lids that fit it: they are looked for together, and so they stay. */
export function bundlesOf(units: readonly Holding[]): Holding[][] {
	const bundles: Holding[][] = [];
	const vessels = new Map<Holding, Holding[]>();
	for (const unit of units) {
		if (unit.thing.rim?.part === 'lid') continue;
		const bundle = [unit];
		bundles.push(bundle);
		if (unit.thing.rim) vessels.set(unit, bundle);
	}
	for (const lid of units) {
		const { rim } = lid.thing;
		if (rim?.part !== 'lid') continue;
		const own = [...vessels].find(([{ thing }]) => rimsFit(thing.rim!, rim));
		if (own) own[1].push(lid);
		else bundles.push([lid]);
	}
	return bundles;
}

/** The order that a group is cut along: a person's own, then a kind, the bulky first. */
export const inOrder = (a: Holding, b: Holding): number => {
	const owner = (one: Holding) => one.thing.userIds.join();
	return (
		owner(a).localeCompare(owner(b)) ||
		a.thing.category.localeCompare(b.thing.category) ||
		pieceVolumeMl(b.thing) - pieceVolumeMl(a.thing) ||
		(a.thing.id < b.thing.id ? -1 : 1)
	);
};

/** A part may be so much larger than the others before a thing is torn apart to level them. */
const LEVEL = 1.12;

/** Cuts between things, each with its lids to the part where its middle falls. */
function betweenThings(units: readonly Holding[], count: number, target: number): Holding[][] {
	const parts: Holding[][] = Array.from({ length: count }, () => []);
	let before = 0;
	for (const bundle of bundlesOf(units)) {
		const room = roomOfAll(bundle);
		parts[Math.min(count - 1, Math.floor((before + room / 2) / target))]!.push(...bundle);
		before += room;
	}
	return parts;
}

/** Cuts at the litre, through a thing where the cut falls on one: its first pieces are in use, the rest stands behind. */
function throughThings(units: readonly Holding[], count: number, target: number): Holding[][] {
	const parts: Holding[][] = Array.from({ length: count }, () => []);
	let part = 0;
	let left = target;
	for (const unit of units) {
		const each = roomOf({ ...unit, pieces: 1 });
		let pieces = unit.pieces;
		while (pieces > 0) {
			const isLast = part === count - 1;
			const take = isLast ? pieces : Math.min(pieces, Math.max(0, Math.round(left / each)));
			if (take > 0) {
				const spare = unit.spare || pieces < unit.pieces;
				parts[part]!.push({ ...unit, pieces: take, spare });
				pieces -= take;
				left -= take * each;
			}
			if (pieces > 0 || left < each / 2) {
				if (isLast) continue;
				part++;
				left += target;
			}
		}
	}
	return parts;
}

/**
 * Cuts what a group holds into so many parts of about the same room, along what it is made of: nothing of one kind or
 * one person is torn apart but where the cut has to fall inside it, and a thing only where the parts would be too unlike;
 * a box or a pot and its lids never are.
 * @example cutInto([plates, bowls, mugs, glasses], 2) // [[plates, bowls], [mugs, glasses]]
 */
export function cutInto(holdings: readonly Holding[], count: number): Holding[][] {
	const units = holdings.filter(({ pieces }) => pieces > 0).sort(inOrder);
	const target = roomOfAll(units) / count;
	const largest = (parts: readonly (readonly Holding[])[]) =>
		Math.max(...parts.map((part) => roomOfAll(part)));
	const plain = betweenThings(units, count, target);
	const hasLids = units.some(({ thing }) => thing.rim?.part === 'lid');
	const isParted = plain.filter((part) => part.length).length > 1;
	if ((hasLids && isParted) || largest(plain) <= LEVEL * target)
		return plain.filter((part) => part.length);
	const torn = throughThings(units, count, target);
	return (largest(torn) < largest(plain) - 1e-9 ? torn : plain).filter((part) => part.length);
}

/** Rules that one thing of a group may break for all of it: its size, its weight, or what it is to a pet. */
const OF_ONE_THING: ReadonlySet<string> = new Set([
	'too-tall',
	'too-wide',
	'pet-reach',
	'heavy-high',
	'heavy-low',
	'over-limit'
]);
export const isOfOneThing = ({ hard }: Pick<Cell, 'hard'>): boolean =>
	hard !== null && OF_ONE_THING.has(hard);

/**
 * Parts off what keeps the rest of a group out of the best place that most of it would go into; null when nothing does.
 * Ties go to the first nook.
 */
export function withoutAwkward(
	{
		holdings,
		goesIn
	}: {
		readonly holdings: readonly Holding[];
		readonly goesIn: (holding: Holding, nook: number) => boolean;
	},
	row: Row
): { rest: Holding[]; awkward: Holding[] } | null {
	const held = holdings.filter(({ pieces }) => pieces > 0);
	const half = roomOfAll(held) / 2;
	let best: { rest: Holding[]; awkward: Holding[] } | null = null;
	let least = Infinity;
	row.all().forEach((cell, n) => {
		if (!isOfOneThing(cell)) return;
		const cost = costOf({ ...cell, hard: null }, 1);
		if (cost >= least) return;
		const rest = held.filter((holding) => goesIn(holding, n));
		if (rest.length === held.length || roomOfAll(rest) < half) return;
		least = cost;
		best = { rest, awkward: held.filter((holding) => !rest.includes(holding)) };
	});
	return best;
}

import { pieceVolumeMl, type Thing } from '../model';
import { DAILY, piecesOf, type Good } from '../standing';
import { cellOf, isByItself, together, withCells } from './contents';
import { Filling, smallIn, type Filled } from './filling';
import { containersOf, type Holder, type HoldOption } from './hold-option';

/** What it counts that one thing is in two containers, that one container more is in daily use, and that it holds one more kind. */
const WORTH = { broken: 3, daily: 2, mixed: 1 };
const isDaily = ({ usesPerWeek }: Good) => usesPerWeek >= DAILY;

/** How badly things are spread over containers; 0: each in one, in use every day or not, and with its like alone. */
export function disarrayOf(containers: readonly Pick<Filled, 'holds'>[]): number {
	const places = new Map<Thing, number>();
	let daily = 0;
	let mixed = 0;
	for (const { holds } of containers) {
		for (const { thing } of holds) places.set(thing, (places.get(thing) ?? 0) + 1);
		if (holds.some(isDaily)) daily++;
		mixed += Math.max(0, new Set(holds.map(({ thing }) => thing.category)).size - 1);
	}
	const broken = [...places.values()].reduce((sum, count) => sum + count - 1, 0);
	return WORTH.broken * broken + WORTH.daily * Math.max(0, daily - 1) + WORTH.mixed * mixed;
}

/** Where a good looks for its place first: with its like, where most is free, or both in this order. */
const RULES = ['like', 'free', 'like-and-free'] as const;
type Rule = (typeof RULES)[number];
/** How well a good goes with what is in a container: of its sort, or at least as often used. */
function likeness(filling: Filling, good: Good): number {
	let best = filling.isEmpty ? 1 : 0;
	for (const other of filling.goods) {
		if (other.thing.category === good.thing.category) return 2;
		if (isDaily(other) === isDaily(good)) best = 1;
	}
	return best;
}
/** The containers in the order in which a good looks for its place. */
const inTurn = (fillings: readonly Filling[], good: Good, rule: Rule): Filling[] =>
	fillings
		.map((filling) => ({
			filling,
			like: rule === 'free' ? 0 : likeness(filling, good),
			taken: rule === 'like' ? 0 : filling.takenShare
		}))
		.sort((a, b) => b.like - a.like || a.taken - b.taken)
		.map(({ filling }) => filling);

/** Puts every good into one of some fillings where one takes it whole; whether all goes in. */
function sharesOut(fillings: readonly Filling[], goods: readonly Good[], rule: Rule): boolean {
	for (const good of goods) {
		const turn = inTurn(fillings, good, rule);
		if (turn.some((filling) => filling.addWhole(good))) continue;
		let left = good.pieces;
		for (const filling of turn) if (left) left -= filling.add(piecesOf(good, left));
		if (left) return false;
	}
	return true;
}

/** Two ways to go through goods: sort after sort, the largest first, or piece size after piece size. */
function ordersOf(goods: readonly Good[], isPoured: (thing: Thing) => boolean): Good[][] {
	const sizes = new Map<string, number>();
	for (const { thing, volumeMl } of goods)
		sizes.set(thing.category, (sizes.get(thing.category) ?? 0) + volumeMl);
	// What is poured goes over what stands.
	const byPoured = (a: Good, b: Good) => Number(isPoured(a.thing)) - Number(isPoured(b.thing));
	const byBulk = (a: Good, b: Good) =>
		pieceVolumeMl(b.thing) - pieceVolumeMl(a.thing) || (a.thing.id < b.thing.id ? -1 : 1);
	const bySort = ({ thing: a }: Good, { thing: b }: Good) =>
		sizes.get(b.category)! - sizes.get(a.category)! ||
		(a.category < b.category ? -1 : a.category > b.category ? 1 : 0);
	return [
		[...goods].sort((a, b) => byPoured(a, b) || bySort(a, b) || byBulk(a, b)),
		[...goods].sort((a, b) => byPoured(a, b) || byBulk(a, b))
	];
}

/** The compartments of the containers of some holders, empty; container by container. */
const emptied = (holders: readonly Holder[]): Filling[][][] =>
	holders.map(({ kind, containers, limits }) => {
		const cell = cellOf(kind);
		const isSmall = smallIn(cell, limits.clearMm);
		return containers.map(() =>
			Array.from({ length: kind.cells }, () => new Filling(cell, limits, isSmall))
		);
	});

/**
 * Puts what is in the containers of a way to hold a want into the same containers anew, so that each thing is in one of them
 * and with its like, and what is in use every day is together. The way itself where nothing better is found, where a jar
 * holds one thing anyway, and where what goes together is due together.
 */
export function gathered(option: HoldOption): HoldOption {
	const { holders } = option;
	const filled = containersOf(option);
	const goods = together(filled.flatMap(({ holds }) => holds));
	const stays =
		holders.some(({ kind, limits }) => kind.role === 'jar' || limits.isByDue) ||
		goods.some(isByItself);
	const cells = holders.reduce(
		(sum, { kind, containers }) => sum + kind.cells * containers.length,
		0
	);
	if (stays || cells < 2 || goods.length < 2) return option;
	let least = disarrayOf(filled);
	let best = option;
	const { kind, limits } = holders[0]!;
	for (const order of ordersOf(goods, smallIn(cellOf(kind), limits.clearMm)))
		for (const rule of RULES) {
			if (!least) return best;
			const empty = emptied(holders);
			if (!sharesOut(empty.flat(2), order, rule)) continue;
			if (empty.flat().some((own) => own.every(({ isEmpty }) => isEmpty))) continue;
			const now = holders.map((holder, i): Holder => ({
				...holder,
				containers: empty[i]!.map((own) =>
					withCells(
						holder.kind,
						own.filter(({ isEmpty }) => !isEmpty).map((filling) => filling.done())
					)
				)
			}));
			const disarray = disarrayOf(containersOf({ holders: now }));
			if (disarray >= least) continue;
			least = disarray;
			best = { ...option, holders: now };
		}
	return best;
}

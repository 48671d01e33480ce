import { nestRiseMm, nestsIn, waysDown, type SetDown, type Thing } from '../model';
import { piecesOf, type Good } from './goods';
import { pileOf } from './pile';
import type { Clear } from './room';

/** Goods on the shelf itself: one row from front to back, or a part of one. */
export interface Lane {
	readonly holds: readonly Good[];
	readonly w: number;
	readonly d: number;
	readonly heightMm: number;
	/** One of its things is used daily. */
	readonly isDaily: boolean;
}
/** What cannot stand here at all, and why. */
export interface TooLarge {
	readonly good: Good;
	readonly side: 'height' | 'floor';
	readonly shortMm: number;
}

/** Uses a week from which a thing counts as daily. */
export const DAILY = 7;
/** Goods that stand free are piled up to this height, mm. */
export const STAND_HIGH_MM = 300;
/** Packs of food stand so many on each other where nothing holds them: more, and the lowest is not taken out. */
const FOOD_PILE = { tins: 3, other: 2 } as const;
/** Frozen packs lie in piles as high as the drawer: the cold holds them. */
const LIES_PILED = /^food\.(?:frozen|ices)/;
const mostFree = (category: string): number =>
	!category.startsWith('food.') || LIES_PILED.test(category)
		? Infinity
		: FOOD_PILE[category.startsWith('food.cans') ? 'tins' : 'other'];
/** A row is ended at this share of the depth, so that the next thing begins a row of its own. */
const LONG_ROW = 0.9;
/** What is piled in a row of other things is nearly as wide as it. */
const ALIKE = 0.6;
/** Share of the floor that a thing may take laid down, or on edge, before it is worth it. */
const WORTH_LAYING = 0.7;

/** Piles of one thing: its floor, with the side that goes across first, and how many on each other. */
interface Column extends SetDown {
	readonly across: number;
	readonly back: number;
	readonly pile: number;
}

/** Answers for things and places that were asked about; both are made anew when they change. */
const known = new WeakMap<object, WeakMap<Clear, Column | null>>();

/** How a thing stands best: least floor a piece, upright before lying, the narrow side across; null: it does not go. */
export function columnOf(
	thing: Pick<Thing, 'name' | 'category' | 'piece'>,
	clear: Clear
): Column | null {
	let own = known.get(thing);
	if (!own) known.set(thing, (own = new WeakMap()));
	let column = own.get(clear);
	if (column === undefined) own.set(clear, (column = bestColumn(thing, clear)));
	return column;
}

function bestColumn(
	thing: Pick<Thing, 'name' | 'category' | 'piece'>,
	{ widthMm, depthMm, heightMm, passWidthMm }: Clear
): Column | null {
	let best: Column | null = null;
	let least = Infinity;
	for (const way of waysDown(thing)) {
		const { narrowMm, longMm, upMm } = way;
		if (upMm > heightMm || narrowMm > passWidthMm) continue;
		const highMm = Math.max(upMm, Math.min(heightMm, STAND_HIGH_MM));
		const pile = Math.min(pileOf(way, highMm, thing), mostFree(thing.category));
		const floor = (narrowMm * longMm) / pile;
		// Laid down or on edge only where that saves much.
		if (best && floor >= least * (best.upMm === upMm ? 1 : WORTH_LAYING) - 1e-9) continue;
		// The narrow side across where there is the choice.
		const across = narrowMm <= widthMm && longMm <= depthMm ? narrowMm : longMm;
		const back = across === narrowMm ? longMm : narrowMm;
		if (across > widthMm || back > depthMm) continue;
		best = { narrowMm, longMm, upMm, across, back, pile };
		least = floor;
	}
	return best;
}

/** By how much the best way to stand a thing falls short: in height, else of the floor, mm. */
export function shortfall(
	thing: Pick<Thing, 'name' | 'category' | 'piece'>,
	{ widthMm, depthMm, heightMm }: Clear
): Omit<TooLarge, 'good'> {
	const ways = waysDown(thing);
	const low = ways.filter(({ upMm }) => upMm <= heightMm);
	if (!low.length)
		return {
			side: 'height',
			shortMm: Math.ceil(Math.min(...ways.map(({ upMm }) => upMm)) - heightMm)
		};
	const [short, long] = [Math.min(widthMm, depthMm), Math.max(widthMm, depthMm)];
	const over = low.map(({ narrowMm, longMm }) => Math.max(narrowMm - short, longMm - long));
	return { side: 'floor', shortMm: Math.max(1, Math.ceil(Math.min(...over))) };
}

/** Rows while they are filled. */
interface Row {
	w: number;
	d: number;
	heightMm: number;
	holds: Map<Thing, Good>;
}
/** So many rows of one thing are stood one by one; what is beyond them is one block as wide as its rows. */
const MOST_ROWS = 200;

/** So many pieces of a thing as one block: a home with a million of something must not be stood row by row. */
function blockOf(
	good: Good,
	pieces: number,
	{ across, back, pile, upMm }: Column,
	depthMm: number
): Row {
	const piles = Math.max(1, Math.floor(depthMm / back));
	const rows = Math.ceil(pieces / (piles * pile));
	return {
		w: rows * across,
		d: piles * back,
		heightMm: Math.min(pieces, pile) * upMm,
		holds: new Map([[good.thing, piecesOf(good, pieces)]])
	};
}

/** What is left of a row's depth is used by the next thing of like width, or each thing has rows of its own. */
export type Rows = 'shared' | 'own';
/** Goods standing free: every piece is in one lane, or too large. */
export interface StandsFree {
	readonly lanes: readonly Lane[];
	readonly tooLarge: readonly TooLarge[];
}

/** Stands goods free both ways: fewer rows that are deeper, or more of them that stand behind each other. Once, where both come to the same. */
export function waysFree(goods: readonly Good[], clear: Clear): StandsFree[] {
	const [shared, own] = [standFree(goods, clear), standFree(goods, clear, 'own')];
	return shared.lanes.length === own.lanes.length ? [shared] : [shared, own];
}

/** Stands goods free: each thing in rows from front to back, piled where it stands by itself. */
export function standFree(
	goods: readonly Good[],
	clear: Clear,
	sharing: Rows = 'shared'
): StandsFree {
	const { depthMm, heightMm: clearMm } = clear;
	const tooLarge: TooLarge[] = [];
	const standing = goods.flatMap((good) => {
		const column = clearMm > 0 && depthMm > 0 ? columnOf(good.thing, clear) : null;
		if (!column) tooLarge.push({ good, ...shortfall(good.thing, clear) });
		return column ? [{ good, column }] : [];
	});
	// Wide rows first; of equal ones what is used more, so that it comes to the front of a shared row.
	standing.sort(
		(a, b) =>
			b.column.across - a.column.across ||
			b.good.usesPerWeek - a.good.usesPerWeek ||
			(a.good.thing.id < b.good.thing.id ? -1 : 1)
	);
	const rows: Row[] = [];
	for (const { good, column } of standing) {
		let left = good.pieces;
		for (let own = 0; left > 0; own++) {
			if (own === MOST_ROWS) {
				rows.push(blockOf(good, left, column, depthMm));
				break;
			}
			let row = rows.find(
				(open) =>
					(sharing === 'shared' || open.holds.has(good.thing)) &&
					open.d + column.back <= depthMm * LONG_ROW &&
					column.across <= open.w &&
					column.across >= open.w * ALIKE
			);
			if (!row) {
				row = { w: column.across, d: 0, heightMm: 0, holds: new Map() };
				rows.push(row);
			}
			const fits = Math.max(1, Math.floor((depthMm - row.d) / column.back));
			const piles = Math.min(fits, Math.ceil(left / column.pile));
			const here = Math.min(left, piles * column.pile);
			left -= here;
			row.d += piles * column.back;
			row.heightMm = Math.max(row.heightMm, Math.min(here, column.pile) * column.upMm);
			const known = row.holds.get(good.thing)?.pieces ?? 0;
			row.holds.set(good.thing, piecesOf(good, known + here));
		}
	}
	const lanes = rows.map(({ w, d, heightMm, holds }) => ({
		w,
		d,
		heightMm,
		// From front to back: what is due first is taken first; else as they came.
		holds: [...holds.values()].sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0)),
		isDaily: [...holds.values()].some(({ usesPerWeek }) => usesPerWeek >= DAILY)
	}));
	return { lanes: pileUp(lanes, Math.min(clearMm, STAND_HIGH_MM)), tooLarge };
}

/** Flat things lie on flat ones, the same or smaller on larger: trays, boards, folded cloths. */
const FLAT_MM = 80;
/** Ware that stands in or on its like. */
const STACKS = new Set([
	'kitchen.pots',
	'kitchen.bakeware',
	'kitchen.dishes',
	'kitchen.serving',
	'kitchen.linens',
	'bathroom.towels',
	'home.clothes'
]);
/** More kinds on each other, and the lowest is not taken out. */
const MOST_ON_EACH_OTHER = 4;
const isPiled = ({ holds, heightMm }: Lane) =>
	heightMm <= FLAT_MM || holds.every(({ thing }) => STACKS.has(thing.category));

/** The one vessel that a row is; null: it is more than one, or none. */
function vesselOf({ holds }: Lane): Thing | null {
	const [only] = holds;
	return holds.length === 1 && only!.pieces === 1 && only!.thing.rim?.part === 'vessel'
		? only!.thing
		: null;
}

/**
 * Puts the same or smaller on larger as long as the pile stays low, a smaller pot into a larger one; what is used daily
 * lies under nothing but what nests in it.
 */
function pileUp(lanes: readonly Lane[], highMm: number): Lane[] {
	const piles: { lane: Lane; top: Thing | null }[] = [];
	for (const lane of [...lanes].sort((a, b) => b.w * b.d - a.w * a.d)) {
		const own = vesselOf(lane);
		const goesIn = ({ top }: (typeof piles)[number]) => !!own && !!top && nestsIn(own, top);
		const risesOn = (pile: (typeof piles)[number]) =>
			goesIn(pile) ? nestRiseMm(own!.piece.heightMm, pile.top!.piece.heightMm) : lane.heightMm;
		const pile = piles.find((each) => {
			const { lane: under } = each;
			return (
				isPiled(lane) &&
				isPiled(under) &&
				lane.w <= under.w &&
				lane.d <= under.d &&
				// A small pan is lifted out of a daily one with a turn of the hand; a pile is not.
				(!under.isDaily || goesIn(each)) &&
				under.holds.length < MOST_ON_EACH_OTHER &&
				under.heightMm + risesOn(each) <= highMm
			);
		});
		if (!pile) piles.push({ lane, top: own });
		else {
			const heightMm = pile.lane.heightMm + risesOn(pile);
			const holds = [...pile.lane.holds, ...lane.holds];
			pile.lane = { ...pile.lane, holds, heightMm, isDaily: lane.isDaily };
			pile.top = own;
		}
	}
	return piles.map(({ lane }) => lane);
}

import { current } from 'immer';
import {
	lotsOf,
	memoOn,
	type Home,
	type HomePart,
	type Lot,
	type LotId,
	type Thing
} from '../model';

/** What a group holds of one thing. */
export interface Holding {
	readonly thing: Thing;
	readonly lots: readonly Lot[];
	/** Whole packs that take up room. */
	readonly pieces: number;
	/** Unopened spares, kept as back stock of the group in use. */
	readonly spare: boolean;
}

const firstDue = (lot: Lot) => lot.dates.printed?.on ?? '9999';

/**
 * Parts the lots of a thing into those in use and the spares behind them: what is open is in use; where nothing is
 * open, the lot that is due first (then the smallest, then by id). Lots are never cut, so that each has one place.
 */
export function partStock(lots: readonly Lot[]): { inUse: Lot[]; spare: Lot[] } {
	const open = lots.filter((lot) => lot.states.includes('open') || lot.dates.openedOn !== null);
	const inUse = open.length
		? open
		: [...lots]
				.sort(
					(a, b) =>
						firstDue(a).localeCompare(firstDue(b)) || a.count - b.count || (a.id < b.id ? -1 : 1)
				)
				.slice(0, 1);
	return { inUse, spare: lots.filter((lot) => !inUse.includes(lot)) };
}

/** Packs that a lot takes up: grams and meals count as one of the usual size; a started pack takes the room of one. */
export const piecesIn = (lot: Pick<Lot, 'unit' | 'count'>): number =>
	lot.unit === 'pack' ? Math.ceil(lot.count) : 1;

/** Within an edit, parts so much of a lot off into a lot of its own, which is returned; the rest stays in the first. */
export function partLot(lots: Home['lots'], lot: Lot, count: number, id: LotId): Lot {
	const part = { ...structuredClone(current(lot)), id, count };
	lots[id] = part;
	lot.count -= count;
	return part;
}

function computeHoldings(
	home: HomePart<'things' | 'lots' | 'groups'>
): ReadonlyMap<string | null, readonly Holding[]> {
	const spareGroups = new Map<string, string>();
	for (const id of Object.keys(home.groups).sort()) {
		const { stockOf } = home.groups[id]!;
		if (stockOf && home.groups[stockOf] && !spareGroups.has(stockOf)) spareGroups.set(stockOf, id);
	}
	const groups = new Map<string | null, Holding[]>();
	const add = (key: string | null, thing: Thing, own: readonly Lot[], spare: boolean) => {
		const holding = {
			thing,
			lots: own,
			pieces: own.reduce((sum, lot) => sum + piecesIn(lot), 0),
			spare
		};
		const list = groups.get(key);
		if (list) list.push(holding);
		else groups.set(key, [holding]);
	};
	for (const thing of Object.values(home.things).sort((a, b) => (a.id < b.id ? -1 : 1))) {
		const own = lotsOf(home, thing.id);
		const key = thing.groupId && home.groups[thing.groupId] ? thing.groupId : null;
		const spareKey = key === null ? undefined : spareGroups.get(key);
		if (spareKey === undefined) {
			add(key, thing, own, false);
			continue;
		}
		const { inUse, spare } = partStock(own);
		add(key, thing, inUse, false);
		if (spare.length) add(spareKey, thing, spare, true);
	}
	return groups;
}

/** Gathers the things of each group with their stock; things without a group stand under `null`. */
export const holdingsByGroup = memoOn(['things', 'lots', 'groups'], computeHoldings);

/** Gives the group that each lot in stock belongs to: its thing's, or the one that keeps the spares of it. */
export const groupOfLots = memoOn(
	['things', 'lots', 'groups'],
	(home): ReadonlyMap<string, string> =>
		new Map(
			[...holdingsByGroup(home)].flatMap(([groupId, holdings]) =>
				groupId === null
					? []
					: holdings.flatMap(({ lots }) => lots.map((lot) => [lot.id, groupId] as const))
			)
		)
);

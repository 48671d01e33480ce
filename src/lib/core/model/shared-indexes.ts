import type { Decision, Lot, Thing } from './goods';
import type { Home } from './home';
import { memoOn, type Before, type CarryOver } from './memo';

// What many screens ask of a home, computed once an edit and shared by all of them.

/** Puts records together by a key, in the order in which they come. */
export function groupBy<Item, Key>(
	items: Iterable<Item>,
	keyOf: (item: Item) => Key
): ReadonlyMap<Key, readonly Item[]> {
	const groups = new Map<Key, Item[]>();
	for (const item of items) {
		const key = keyOf(item);
		const list = groups.get(key);
		if (list) list.push(item);
		else groups.set(key, [item]);
	}
	return groups;
}
const NONE: readonly never[] = [];

/** Lots that were changed and stay in the stock, as they were and as they are, by id; null: some came or went. */
function changedInPlace(
	{ lots }: Pick<Home, 'lots'>,
	{ home, changed }: Pick<Before<'lots', unknown>, 'home' | 'changed'>
): readonly (readonly [was: Lot, is: Lot])[] | null {
	const pairs: (readonly [Lot, Lot])[] = [];
	for (const id of changed.lots ?? []) {
		const [was, is] = [home.lots[id], lots[id]];
		if (!was || !is || !(was.count > 0) || !(is.count > 0)) return null;
		pairs.push([was, is]);
	}
	return pairs;
}
/** A list with some of its items in the place of others. */
function swapped<Item>(
	list: readonly Item[],
	pairs: readonly (readonly [was: Item, is: Item])[]
): readonly Item[] {
	const next = [...list];
	for (const [was, is] of pairs) next[next.indexOf(was)] = is;
	return next;
}
/** Carries lots by a key over an edit in which none of them changed its key. */
const carryLots =
	<Key>(keyOf: (lot: Lot) => Key): CarryOver<'lots', [], ReadonlyMap<Key, readonly Lot[]>> =>
	(home, before) => {
		const pairs = changedInPlace(home, before);
		if (!pairs || pairs.some(([was, is]) => keyOf(was) !== keyOf(is))) return null;
		const next = new Map(before.result);
		for (const pair of pairs) {
			const key = keyOf(pair[1]);
			next.set(key, swapped(next.get(key)!, [pair]));
		}
		return next;
	};
const nookOf = (lot: Lot): string | null => lot.nookId;
const thingOf = (lot: Lot): string => lot.thingId;

/** Lots that there is something of, in the order of the records. */
export const stock = memoOn(
	['lots'],
	({ lots }): readonly Lot[] => Object.values(lots).filter(({ count }) => count > 0),
	(home, before) => {
		const pairs = changedInPlace(home, before);
		return pairs && swapped(before.result, pairs);
	}
);
const byNook = memoOn(['lots'], (home) => groupBy(stock(home), nookOf), carryLots(nookOf));
const byThing = memoOn(['lots'], (home) => groupBy(stock(home), thingOf), carryLots(thingOf));
const byGroup = memoOn(['things'], ({ things }) =>
	groupBy(Object.values(things), (thing): string | null => thing.groupId)
);
const byLot = memoOn(['decisions'], ({ decisions }) =>
	groupBy(Object.values(decisions), (decision): string => decision.lotId)
);

/** What stands in a place; with null, what lies on the table. @example lotsIn(home, 'larder-1') */
export const lotsIn = (home: Parameters<typeof byNook>[0], nookId: string | null): readonly Lot[] =>
	byNook(home).get(nookId) ?? NONE;

/** The lots of a thing that there is something of. */
export const lotsOf = (home: Parameters<typeof byThing>[0], thingId: string): readonly Lot[] =>
	byThing(home).get(thingId) ?? NONE;

/** The things of a group; with null, those without one. */
export const thingsOf = (
	home: Parameters<typeof byGroup>[0],
	groupId: string | null
): readonly Thing[] => byGroup(home).get(groupId) ?? NONE;

/** All that was decided on a lot, in the order of the records. */
export const decisionsOn = (
	home: Parameters<typeof byLot>[0],
	lotId: string
): readonly Decision[] => byLot(home).get(lotId) ?? NONE;

/** Lots that something was ever decided on. */
export const decidedLots = memoOn(
	['decisions'],
	(home): ReadonlySet<string> => new Set(byLot(home).keys())
);

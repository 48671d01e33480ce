import type { Decision, Lot, Thing } from './goods';
import { memoOn } from './memo';

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

/** Lots that there is something of, in the order of the records. */
export const stock = memoOn(['lots'], ({ lots }): readonly Lot[] =>
	Object.values(lots).filter(({ count }) => count > 0)
);
const byNook = memoOn(['lots'], (home) => groupBy(stock(home), (lot): string | null => lot.nookId));
const byThing = memoOn(['lots'], (home) => groupBy(stock(home), (lot): string => lot.thingId));
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

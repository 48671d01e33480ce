import MiniSearch from 'minisearch';
import { lotsOf, memoOn, type Home, type HomePart, type Thing } from '../core/model';

type Indexed = HomePart<'things' | 'nooks' | 'cabinets' | 'groups' | 'people' | 'meals'>;
export type FoundKind = 'thing' | 'place' | 'cabinet' | 'group' | 'person' | 'meal';
interface Entry {
	readonly id: string;
	readonly kind: FoundKind;
	readonly recordId: string;
	readonly name: string;
}
/** Something found, and where it opens. */
export interface Found {
	readonly key: string;
	readonly kind: FoundKind;
	readonly name: string;
	/** Where it is, in words; empty where it says so itself. */
	readonly where: string;
	/** Address below the home. */
	readonly href: string;
}

/** The one index of names of a home. */
const indexOf = memoOn(
	['things', 'nooks', 'cabinets', 'groups', 'people', 'meals'],
	(home: Indexed) => {
		const index = new MiniSearch<Entry>({
			fields: ['name'],
			storeFields: ['kind', 'recordId', 'name'],
			searchOptions: {
				prefix: true,
				fuzzy: (term) => (term.length > 4 ? 0.2 : 0),
				combineWith: 'AND'
			}
		});
		const add = (
			kind: FoundKind,
			records: Readonly<Record<string, { id: string; name: string }>>
		) =>
			index.addAll(
				Object.values(records).map(({ id, name }) => ({
					id: `${kind}/${id}`,
					kind,
					recordId: id,
					name
				}))
			);
		add('thing', home.things);
		add('place', home.nooks);
		add('cabinet', home.cabinets);
		add('group', home.groups);
		add('person', home.people);
		add('meal', home.meals);
		return index;
	}
);
const names = memoOn(
	['things'],
	({ things }) => new Set(Object.values(things).map(({ name }) => name.toLowerCase()))
);

/** Whether a thing of this name is known, whatever its case. */
export const isKnown = (home: HomePart<'things'>, name: string): boolean =>
	names(home).has(name.toLowerCase());

/** Finds up to `most` known things whose names are like what is typed; the name itself is not repeated. */
export function suggestThings(home: Indexed, typed: string, most = 4): Thing[] {
	const words = typed.trim();
	if (words.length < 2) return [];
	return indexOf(home)
		.search(words, { filter: ({ kind }) => kind === 'thing' })
		.slice(0, most + 1)
		.flatMap(({ recordId }) => home.things[recordId as string] ?? [])
		.filter(({ name }) => name.toLowerCase() !== words.toLowerCase())
		.slice(0, most);
}

/** Where a thing is: one hit a place, the table, or none left. */
function placesOf(home: Home, thing: Thing): Found[] {
	const ids = [...new Set(lotsOf(home, thing.id).map(({ nookId }) => nookId))];
	const hit = (nookId: string | null, where: string, href: string): Found => ({
		key: `thing/${thing.id}/${nookId ?? ''}`,
		kind: 'thing',
		name: thing.name,
		where,
		href
	});
	if (!ids.length) return [hit(null, 'none left', `sort/board?thing=${thing.id}`)];
	return ids.map((nookId) => {
		const nook = nookId ? home.nooks[nookId] : undefined;
		return nook
			? hit(
					nook.id,
					`${nook.name}, ${home.cabinets[nook.cabinetId]?.name ?? ''}`,
					`turn/stock?place=${nook.id}&thing=${thing.id}`
				)
			: hit(null, 'on the table', 'clear?place=on-the-table');
	});
}

/** What a meal needs that is not there; it opens where the first of its ingredients stands. */
function mealText(home: Home, mealId: string): string {
	const ingredients = home.meals[mealId]?.ingredients ?? [];
	const missing = ingredients.filter(({ thingId }) => !lotsOf(home, thingId).length).length;
	return missing ? `meal, ${missing} of ${ingredients.length} things missing` : 'meal, all there';
}
function mealHref(home: Home, mealId: string): string {
	const [first] = home.meals[mealId]?.ingredients ?? [];
	const thing = first && home.things[first.thingId];
	return (thing && placesOf(home, thing)[0]?.href) ?? 'turn';
}

/**
 * Finds things, places, cabinets, groups, people and meals by their names, the nearest first, at most `most`. A thing comes
 * once for each place that it stands in.
 * @example find(home, 'cumin')[0].href // 'turn/stock?place=…&thing=…'
 */
export function find(home: Home, typed: string, most = 8): Found[] {
	const words = typed.trim();
	if (words.length < 2) return [];
	const found: Found[] = [];
	for (const { kind, recordId, name } of indexOf(home).search(words) as unknown as Entry[]) {
		if (found.length >= most) break;
		const one = (where: string, href: string) =>
			found.push({ key: `${kind}/${recordId}`, kind, name, where, href });
		if (kind === 'thing') {
			const thing = home.things[recordId];
			if (thing) found.push(...placesOf(home, thing));
		} else if (kind === 'place')
			one(
				home.cabinets[home.nooks[recordId]?.cabinetId ?? '']?.name ?? '',
				`walk?nook=${recordId}`
			);
		else if (kind === 'cabinet') one('cabinet', `walk?cabinet=${recordId}`);
		else if (kind === 'group') one('group', `sort?group=${recordId}`);
		else if (kind === 'meal') one(mealText(home, recordId), mealHref(home, recordId));
		else one('person', 'walk/people');
	}
	return found.slice(0, most);
}

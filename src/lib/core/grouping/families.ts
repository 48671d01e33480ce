import {
	lotsOf,
	memoOn,
	thingsOf,
	UNKNOWN_KIND,
	type Home,
	type HomePart,
	type Thing
} from '../model';
import { coldOf, ruleOf } from './buckets';

/**
 * What kind of stock a thing is, as far as it must not share a group with another: frozen, chilled and raw food, pet
 * food, medicines and each sort of cleaner keep to themselves; food of the cupboard and what is used with it may mix.
 */
export type Family =
	| 'unknown'
	| 'frozen'
	| 'chilled'
	| 'raw-meat'
	| 'pet-food'
	| 'medicine'
	| 'bleach'
	| 'acid'
	| 'cleaner'
	| 'food'
	| 'goods';

/** Gives the family of a thing; a hazard decides before the cold, the cold before the category. */
export function familyOf(thing: Pick<Thing, 'category' | 'needs' | 'hazards'>): Family {
	const rule = ruleOf(thing);
	if (
		rule === 'unknown' ||
		rule === 'medicine' ||
		rule === 'bleach' ||
		rule === 'acid' ||
		rule === 'cleaner'
	)
		return rule;
	const cold = coldOf(thing);
	if (cold === 'frozen') return 'frozen';
	if (rule === 'raw-meat') return rule;
	if (thing.category === 'food.pet') return 'pet-food';
	if (cold === 'chilled') return 'chilled';
	return thing.category.startsWith('food.') ? 'food' : 'goods';
}

/** Whether things of two families may share a group. */
export const mayShare = (a: Family, b: Family): boolean =>
	a === b || (['food', 'goods'].includes(a) && ['food', 'goods'].includes(b));

/** A thing that must not come into a group, and one of those it must keep apart from. */
export interface Stranger {
	readonly thing: Thing;
	readonly family: Family;
	readonly beside: Thing;
	readonly besideFamily: Family;
}

/** Finds the first of some things that must not come into a group, or not together; null: all may. */
export function strangerIn(
	home: HomePart<'things'>,
	thingIds: readonly string[],
	groupId: string | null
): Stranger | null {
	const coming = thingIds.flatMap((id) => home.things[id] ?? []);
	const there =
		groupId === null ? [] : thingsOf(home, groupId).filter(({ id }) => !thingIds.includes(id));
	for (const [i, thing] of coming.entries()) {
		const family = familyOf(thing);
		const beside = [...there, ...coming.slice(0, i)].find(
			(other) => !mayShare(family, familyOf(other))
		);
		if (beside) return { thing, family, beside, besideFamily: familyOf(beside) };
	}
	return null;
}

/** Whether there is any of a thing, or it is to be bought again: what was let go needs no group. */
export const isKept = (home: HomePart<'lots'>, thing: Thing): boolean =>
	lotsOf(home, thing.id).length > 0 || ((thing.hold?.amount ?? 0) > 0 && !thing.avoid);

/** Things that are kept and have no group yet. */
export const looseThings = memoOn(['things', 'lots'], (home): readonly Thing[] =>
	thingsOf(home, null).filter((thing) => isKept(home, thing))
);

/** Things that are kept and whose kind nobody has said yet, by name. */
export const unknownThings = memoOn(['things', 'lots'], (home): readonly Thing[] =>
	Object.values(home.things)
		.filter((thing) => thing.category === UNKNOWN_KIND && isKept(home, thing))
		.sort((a, b) => a.name.localeCompare(b.name))
);

/** How many things are kept at all. */
export const keptThings = memoOn(
	['things', 'lots'],
	(home) => Object.values(home.things).filter((thing) => isKept(home, thing)).length
);

/** Groups that all of these things may come into, by name. */
export const groupsFor = (home: Home, thingIds: readonly string[]) =>
	Object.values(home.groups)
		.filter(({ id, stockOf }) => !stockOf && !strangerIn(home, thingIds, id))
		.sort((a, b) => a.name.localeCompare(b.name));

import { ThingId, type Home, type Thing } from '../model';
import { keptFrozen } from './cold';

const FROZEN_WORDS = ', frozen';

/** Name of the same goods frozen: they are a thing apart, since they live by another clock and in another place. */
export const frozenName = (name: string): string =>
	name.endsWith(FROZEN_WORDS) ? name : `${name.slice(0, 190)}${FROZEN_WORDS}`;

/** What a thing needs that is kept frozen. */
export const frozenNeeds = (needs: Thing['needs']): Thing['needs'] => [
	...needs.filter((need) => need !== 'chilled' && need !== 'frozen'),
	'frozen'
];

const sameName = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();
const named = (things: Home['things'], name: string): Thing | undefined =>
	Object.values(things).find((thing) => sameName(thing.name, name));

const copyOf = (thing: Thing, id: string, change: Partial<Thing>): Thing => ({
	...(JSON.parse(JSON.stringify(thing)) as Thing),
	id: ThingId.parse(id),
	code: null,
	hold: null,
	groupId: null,
	groupByHand: false,
	...change
});

/** The same goods frozen, where the home has them; a thing that is kept frozen is its own. */
export const frozenTwin = (
	things: Readonly<Home['things']>,
	thing: Pick<Thing, 'id' | 'name' | 'needs' | 'category'>
): Thing | undefined =>
	keptFrozen(thing) ? things[thing.id] : named(things, frozenName(thing.name));

/** Within an edit, gives the thing that goods are once frozen: the same for frozen kinds, else one apart. */
export function asFrozen(things: Home['things'], thing: Thing, newId: string): Thing {
	const known = frozenTwin(things, thing);
	if (known) return known;
	const name = frozenName(thing.name);
	const made = copyOf(thing, newId, { name, needs: frozenNeeds(thing.needs) });
	return (things[made.id] = made);
}

/** Within an edit, gives the thing that goods are once thawed: what they were before, or the frozen kind itself. */
export function asThawed(things: Home['things'], thing: Thing, newId: string): Thing {
	if (!thing.name.endsWith(FROZEN_WORDS)) return thing;
	const name = thing.name.slice(0, -FROZEN_WORDS.length);
	const known = named(things, name);
	if (known) return known;
	const needs = [...thing.needs.filter((need) => need !== 'frozen'), 'chilled' as const];
	const made = copyOf(thing, newId, { name, needs });
	return (things[made.id] = made);
}

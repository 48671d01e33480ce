import type { ChangedRecord } from './changed-records';
import type { CollectionName, Home } from './home';

/**
 * What becomes of a link whose target goes.
 * - `cascade`: the record goes too.
 * - `clear`: the field is empty (null) from then on.
 * - `drop`: the item of the list that holds it goes.
 * - `refuse`: the target stays as long as anything points to it. In a damaged home, as `cascade`.
 */
export type OnDelete = 'cascade' | 'clear' | 'drop' | 'refuse';

export interface Link {
	readonly from: CollectionName | 'head';
	/** Names of fields from the record to the id; `*` is each item of a list. */
	readonly path: readonly string[];
	readonly to: CollectionName;
	readonly onDelete: OnDelete;
	/** For `clear`: how many names of the path lead to what is emptied; all of them unless said. */
	readonly clears?: number;
}

const link = (
	from: Link['from'],
	path: string,
	to: CollectionName,
	onDelete: OnDelete,
	clears?: number
): Link => ({ from, path: path.split('.'), to, onDelete, ...(clears ? { clears } : {}) });

/** Every link between records: deletion, the check of files and of edits, and repair all go by this table. */
export const LINKS: readonly Link[] = [
	link('head', 'activePlanId', 'zonePlans', 'clear'),
	link('head', 'pins.*.groupId', 'groups', 'drop'),
	link('head', 'pins.*.nookId', 'nooks', 'drop'),
	link('head', 'pins.*.thingIds.*', 'things', 'drop'),
	link('head', 'clearDay.nookIds.*', 'nooks', 'drop'),
	link('runs', 'roomId', 'rooms', 'cascade'),
	link('stations', 'roomId', 'rooms', 'cascade'),
	link('cabinets', 'runId', 'runs', 'refuse'),
	link('nooks', 'cabinetId', 'cabinets', 'cascade'),
	link('things', 'groupId', 'groups', 'clear'),
	link('things', 'userIds.*', 'people', 'drop'),
	link('lots', 'thingId', 'things', 'cascade'),
	link('lots', 'nookId', 'nooks', 'clear'),
	link('decisions', 'lotId', 'lots', 'cascade'),
	link('decisions', 'thingId', 'things', 'cascade'),
	link('decisions', 'nookId', 'nooks', 'clear'),
	link('groups', 'stockOf', 'groups', 'cascade'),
	link('groups', 'partners.*.groupId', 'groups', 'drop'),
	link('groups', 'overrides.userIds.*', 'people', 'drop'),
	link('zonePlans', 'assignments.*.groupId', 'groups', 'drop'),
	link('zonePlans', 'assignments.*.nookId', 'nooks', 'drop'),
	link('zonePlans', 'assignments.*.thingIds.*', 'things', 'drop'),
	link('zonePlans', 'overflow.*', 'groups', 'drop'),
	link('zonePlans', 'wishPrices.*.groupId', 'groups', 'drop'),
	link('zonePlans', 'keptEmpty.nookId', 'nooks', 'clear', 1),
	link('fitPlans', 'nookId', 'nooks', 'cascade'),
	link('smallParts', 'nookId', 'nooks', 'cascade'),
	link('fitPlans', 'placements.*.kindId', 'containerKinds', 'drop'),
	link('fitPlans', 'placements.*.groupId', 'groups', 'drop'),
	link('fitPlans', 'standing.*.groupId', 'groups', 'drop'),
	link('fitPlans', 'leftOver.*.groupId', 'groups', 'drop'),
	link('fitPlans', 'placements.*.holds.*.thingId', 'things', 'drop'),
	link('fitPlans', 'standing.*.holds.*.thingId', 'things', 'drop'),
	link('fitPlans', 'leftOver.*.thingId', 'things', 'drop'),
	link('marks', 'nookId', 'nooks', 'cascade'),
	link('marks', 'groupId', 'groups', 'cascade'),
	link('marks', 'thingIds.*', 'things', 'drop'),
	link('meals', 'ingredients.*.thingId', 'things', 'drop'),
	link('routines', 'steps.*.groupId', 'groups', 'drop'),
	link('sessions', 'nookId', 'nooks', 'cascade'),
	link('resets', 'cabinetId', 'cabinets', 'cascade'),
	link('resets', 'nookIds.*', 'nooks', 'drop'),
	link('resets', 'personId', 'people', 'clear'),
	link('resets', 'swap.groupIds.*', 'groups', 'clear'),
	link('resets', 'swap.awayNookId', 'nooks', 'clear'),
	link('useEvents', 'lotId', 'lots', 'cascade'),
	link('useEvents', 'thingId', 'things', 'cascade'),
	link('plannedMeals', 'mealId', 'meals', 'cascade'),
	link('plannedMeals', 'lotId', 'lots', 'cascade'),
	link('listLines', 'thingId', 'things', 'cascade'),
	link('warmSpells', 'cabinetId', 'cabinets', 'cascade'),
	link('practiceCards', 'personId', 'people', 'cascade'),
	link('practiceCards', 'groupId', 'groups', 'cascade'),
	link('practiceCards', 'nookId', 'nooks', 'cascade'),
	link('misplacings', 'thingId', 'things', 'cascade'),
	link('misplacings', 'nookId', 'nooks', 'clear'),
	link('pictures', 'nookId', 'nooks', 'cascade')
];

/** A link that leads nowhere. */
export interface LinkFault {
	readonly link: Link;
	/** Key of the record that holds it; `head` for the home itself. */
	readonly id: string;
	/** Names and positions from the record to the id. */
	readonly at: readonly (string | number)[];
	readonly missing: string;
}

/** Writes where a fault is, as one points at it: `lots.milk-1.nookId`. */
export const faultPath = ({ link, id, at }: LinkFault): string =>
	[...(link.from === 'head' ? [] : [link.from, id]), ...at].join('.');

type Tree = Readonly<Record<string | number, unknown>>;
type Visit = (target: string, at: readonly (string | number)[]) => void;

function follow(
	value: unknown,
	path: readonly string[],
	at: readonly (string | number)[],
	visit: Visit
): void {
	if (value === null || value === undefined) return;
	const [name, ...rest] = path;
	if (name === undefined) {
		if (typeof value === 'string') visit(value, at);
		return;
	}
	if (name === '*') {
		if (Array.isArray(value)) value.forEach((item, i) => follow(item, rest, [...at, i], visit));
		return;
	}
	if (typeof value === 'object') follow((value as Tree)[name], rest, [...at, name], visit);
}

const recordsOf = (home: Home, from: Link['from']): readonly (readonly [string, unknown])[] =>
	from === 'head' ? [['head', home]] : Object.entries(home[from]);

const recordOf = (home: Home, { collection, id }: ChangedRecord): unknown =>
	collection === 'head'
		? home
		: Object.hasOwn(home[collection], id)
			? (home[collection] as Tree)[id]
			: undefined;

/** Lists all links of a home that lead nowhere, in order of the table. */
export function linkFaults(home: Home): LinkFault[] {
	const found: LinkFault[] = [];
	for (const each of LINKS)
		for (const [id, record] of recordsOf(home, each.from))
			follow(record, each.path, [], (missing, at) => {
				if (!Object.hasOwn(home[each.to], missing)) found.push({ link: each, id, at, missing });
			});
	return found;
}

/**
 * Lists the links that a change has broken: those of the records it touched, and those that lead to the records it
 * took away. The rest of the home is not looked at.
 */
export function faultsOfChange(home: Home, changed: readonly ChangedRecord[]): LinkFault[] {
	const found: LinkFault[] = [];
	const gone = new Map<CollectionName, Set<string>>();
	for (const touched of changed) {
		const { collection, id } = touched;
		const record = recordOf(home, touched);
		if (record === undefined && collection !== 'head') {
			gone.set(collection, (gone.get(collection) ?? new Set()).add(id));
			continue;
		}
		for (const each of LINKS)
			if (each.from === collection)
				follow(record, each.path, [], (missing, at) => {
					if (!Object.hasOwn(home[each.to], missing)) found.push({ link: each, id, at, missing });
				});
	}
	for (const each of LINKS) {
		const ids = gone.get(each.to);
		if (!ids) continue;
		for (const [id, record] of recordsOf(home, each.from))
			follow(record, each.path, [], (missing, at) => {
				if (ids.has(missing)) found.push({ link: each, id, at, missing });
			});
	}
	return found;
}

/** Thrown by a change that takes away what something still stands on. */
export class StillNeeded extends Error {
	override name = 'StillNeeded';
	constructor(readonly fault: LinkFault) {
		super(`${faultPath(fault)} still points to ${fault.link.to} ${fault.missing}.`);
	}
}

const parentOf = (tree: unknown, at: readonly (string | number)[]): unknown =>
	at.reduce<unknown>((node, name) => (node as Tree | null | undefined)?.[name], tree);

/** Mends one fault in a draft, by the rule of its link. */
function mendOne(
	draft: Home,
	{ link: each, id, at }: LinkFault,
	drops: Map<unknown[], Set<number>>
): void {
	if (each.onDelete === 'cascade' || each.onDelete === 'refuse') {
		if (each.from !== 'head') delete draft[each.from][id];
		return;
	}
	const record = each.from === 'head' ? draft : draft[each.from][id];
	if (!record) return;
	if (each.onDelete === 'clear') {
		const to = at.slice(0, each.clears ?? at.length);
		const holder = parentOf(record, to.slice(0, -1)) as Record<string | number, unknown> | null;
		if (holder) holder[to.at(-1)!] = null;
		return;
	}
	const last = at.findLastIndex((name) => typeof name === 'number');
	const list = parentOf(record, at.slice(0, last)) as unknown[];
	drops.set(list, (drops.get(list) ?? new Set()).add(at[last] as number));
}

/** Mends faults in a draft, by the rules of their links. What goes may leave further faults: look again. */
export function mendFaults(draft: Home, faults: readonly LinkFault[]): void {
	const drops = new Map<unknown[], Set<number>>();
	for (const fault of faults) mendOne(draft, fault, drops);
	// From the end, so that the positions of the others hold.
	for (const [list, positions] of drops)
		for (const position of [...positions].sort((a, b) => b - a)) list.splice(position, 1);
}

import { z } from 'zod';
import rows from '../../../../data/resets.json';
import { familyOf } from '../grouping';
import { activePlan, type Cabinet, type Home, type Nook, type Reset, type Thing } from '../model';
import { climateOf, nooksInOrder } from '../survey';

const Row = z.strictObject({
	kind: z.string(),
	everyDays: z.int().min(1),
	/** Kinds of goods it is for: beginnings of categories; empty: by the place alone. */
	categories: z.array(z.string()),
	/** The climate of the places that are meant; null: any. */
	climate: z.enum(['room', 'chilled', 'frozen']).nullable(),
	/** Forms of cabinets that are meant whatever is in them. */
	forms: z.array(z.string()),
	/** What is looked at: what spoils and what harms, or tidiness too. */
	looks: z.enum(['dates', 'all']),
	/** Only goods of its categories are looked at, whatever else stands in its places. */
	only: z.boolean(),
	source: z.string()
});
/** The usual resets by kind: how often, and what tells that a place wants one. */
export const USUAL_RESETS = z.array(Row).parse(rows);
type ResetKind = Reset['kind'];

/** Usual days between resets by kind of place (trade practice). */
export const USUAL_DAYS = Object.fromEntries(
	USUAL_RESETS.map(({ kind, everyDays }) => [kind, everyDays])
) as Readonly<Record<ResetKind, number>>;

/** Whether a reset looks at goods of a kind: spices for their smell, not the salt beside them. */
export function looksAt(kind: ResetKind, { category }: Pick<Thing, 'category'>): boolean {
	const row = USUAL_RESETS.find((each) => each.kind === kind);
	return !row?.only || row.categories.some((start) => category.startsWith(start));
}
/** Whether a reset cares about tidiness too, or only about what spoils and what harms. */
export const looksForAll = (kind: ResetKind): boolean =>
	USUAL_RESETS.find((each) => each.kind === kind)?.looks !== 'dates';

/** A reset that a home could have and does not. */
export type ResetDraft = Pick<Reset, 'kind' | 'cabinetId' | 'nookIds' | 'everyDays'>;

/** What lives in each place: by the plan in force where there is one, and medicines where they really are. */
function thingsByNook(home: Home): Map<string, Thing[]> {
	const found = new Map<string, Map<string, Thing>>();
	const add = (nookId: string, thing: Thing) => {
		const list = found.get(nookId) ?? new Map<string, Thing>();
		found.set(nookId, list.set(thing.id, thing));
	};
	const plan = activePlan(home);
	const byGroup = new Map<string, Thing[]>();
	for (const thing of Object.values(home.things))
		if (thing.groupId) byGroup.set(thing.groupId, [...(byGroup.get(thing.groupId) ?? []), thing]);
	for (const { groupId, nookId, thingIds } of plan?.assignments ?? []) {
		// A group of spares has no things of its own: it holds those of the group whose spares they are.
		const group = home.groups[groupId];
		for (const thing of byGroup.get(group?.stockOf ?? groupId) ?? [])
			if (!thingIds || thingIds.includes(thing.id)) add(nookId, thing);
	}
	for (const { thingId, nookId, count } of Object.values(home.lots)) {
		const thing = home.things[thingId];
		if (thing && nookId && count > 0 && (!plan || familyOf(thing) === 'medicine'))
			add(nookId, thing);
	}
	return new Map([...found].map(([nookId, things]) => [nookId, [...things.values()]]));
}

function isMeant(row: z.infer<typeof Row>, nook: Nook, cabinet: Cabinet, things: readonly Thing[]) {
	if (row.climate !== null && climateOf(nook) !== row.climate) return false;
	if (row.forms.length || row.categories.length)
		return (
			row.forms.includes(cabinet.form) ||
			things.some(({ category }) => row.categories.some((start) => category.startsWith(start)))
		);
	return row.climate !== null;
}

/**
 * Proposes the usual resets of a home, made from what lives where: one a kind and cabinet, with the places that are meant.
 * What is there already is left out. In the order of the table, then of the walk.
 */
export function usualResets(home: Home): ResetDraft[] {
	const things = thingsByNook(home);
	const have = new Set(
		Object.values(home.resets).map(({ kind, cabinetId }) => `${kind}/${cabinetId}`)
	);
	const places = nooksInOrder(home);
	return USUAL_RESETS.flatMap((row): ResetDraft[] => {
		const byCabinet = new Map<string, Nook[]>();
		for (const { nook, cabinet } of places)
			if (isMeant(row, nook, cabinet, things.get(nook.id) ?? []))
				byCabinet.set(cabinet.id, [...(byCabinet.get(cabinet.id) ?? []), nook]);
		return [...byCabinet].flatMap(([cabinetId, nooks]): ResetDraft[] => {
			if (have.has(`${row.kind}/${cabinetId}`)) return [];
			return [
				{
					kind: row.kind as ResetKind,
					cabinetId: cabinetId as Cabinet['id'],
					nookIds: nooks.map(({ id }) => id),
					everyDays: row.everyDays
				}
			];
		});
	});
}

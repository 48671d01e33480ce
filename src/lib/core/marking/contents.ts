import {
	activePlan,
	categoryOf,
	pieceVolumeMl,
	type ContainerKind,
	type Group,
	type Home,
	type Nook,
	type Thing
} from '../model';
import { piecesIn } from '../grouping';
import { isPullOut } from '../survey';
import { lotsAt, type HomeState } from '../zoning';

/** Something that gets a label: a container that is kept in a place, or the place itself. */
export interface Marked {
	/** `NOOK/CONTAINER` or `NOOK`: it goes with the thing it is on, not with a number. */
	readonly id: string;
	readonly nook: Nook;
	/** null: the place itself. */
	readonly placementId: string | null;
	readonly kind: ContainerKind | null;
	/** The groups in it, the largest part first; never none. */
	readonly groups: readonly Group[];
	/** What is in it, by name; empty: nothing yet, or not known piece by piece. */
	readonly things: readonly Thing[];
	/** Seen from above in drawers and chests, else from the front. */
	readonly side: 'front' | 'top';
}

export const sideOf = (nook: Nook): Marked['side'] =>
	nook.kind.startsWith('chest') || isPullOut(nook) ? 'top' : 'front';

const byName = (a: Thing, b: Thing) => a.name.localeCompare(b.name, 'en');

/** Lists the containers of the kept fits, each with what is in it. */
export function markedContainers(home: Home): Marked[] {
	return Object.values(home.fitPlans).flatMap((plan) => {
		const nook = home.nooks[plan.nookId];
		if (!nook) return [];
		return plan.placements.flatMap((placement): Marked[] => {
			const group = home.groups[placement.groupId];
			if (!group) return [];
			return [
				{
					id: `${nook.id}/${placement.id}`,
					nook,
					placementId: placement.id,
					kind: home.containerKinds[placement.kindId] ?? null,
					groups: [group],
					things: placement.holds.flatMap(({ thingId }) => home.things[thingId] ?? []).sort(byName),
					side: sideOf(nook)
				}
			];
		});
	});
}

/** The groups of each place in a state of the home, with how much of each. */
function groupsByPlace(
	home: Home,
	state: HomeState
): Map<string, { group: Group; share: number }[]> {
	const shares = new Map<string, Map<string, number>>();
	const add = (nookId: string | null, groupId: string | null, share: number) => {
		if (!nookId || !groupId || !home.groups[groupId]) return;
		const own = shares.get(nookId) ?? new Map<string, number>();
		shares.set(nookId, own.set(groupId, (own.get(groupId) ?? 0) + share));
	};
	if (state === 'plan')
		for (const { groupId, nookId, share } of activePlan(home)?.assignments ?? [])
			add(nookId, groupId, share);
	else
		for (const { thing, lot, nookId } of lotsAt(home, 'today'))
			add(nookId, thing.groupId, pieceVolumeMl(thing) * piecesIn(lot));
	return new Map(
		[...shares].map(([nookId, own]) => [
			nookId,
			[...own].map(([id, share]) => ({ group: home.groups[id]!, share }))
		])
	);
}

/**
 * Lists the places of groups, each with what is in it: words, contents and dangers are all of one state of the home, the
 * plan's (only places that it gives to groups) or today's.
 */
export function markedPlaces(home: Home, state: HomeState = 'plan'): Marked[] {
	const thingsAt = new Map<string, Set<string>>();
	for (const { thing, nookId } of lotsAt(home, state))
		if (nookId) thingsAt.set(nookId, (thingsAt.get(nookId) ?? new Set()).add(thing.id));
	return [...groupsByPlace(home, state)].flatMap(([nookId, own]): Marked[] => {
		const nook = home.nooks[nookId];
		if (!nook) return [];
		const named = new Set(own.map(({ group }) => group.id as string));
		// What stays there only because the plan is silent about it is not what the place is for.
		const ids = [...(thingsAt.get(nookId) ?? [])].filter((id) =>
			named.has(home.things[id]?.groupId ?? '')
		);
		return [
			{
				id: nookId,
				nook,
				placementId: null,
				kind: null,
				groups: own
					.sort((a, b) => b.share - a.share || a.group.name.localeCompare(b.group.name, 'en'))
					.map(({ group }) => group),
				things: ids.flatMap((id) => home.things[id] ?? []).sort(byName),
				side: sideOf(nook)
			}
		];
	});
}

/** A danger that a label says in words and by its shape. */
export type MarkHazard = 'cleaner' | 'medicine' | 'flammable';
const CLEANER: ReadonlySet<string> = new Set(['cleaner', 'bleach', 'acid']);

/** Says what is dangerous in what is marked: medicines first, then cleaners, then what burns. */
export function hazardOf(home: Home, { groups, things }: Marked): MarkHazard | null {
	const all = things.length
		? things
		: Object.values(home.things).filter(
				({ groupId }) => groupId && groups.some(({ id }) => id === groupId)
			);
	const has = (test: (hazard: string) => boolean) =>
		all.some((thing) => [...thing.hazards, ...categoryOf(thing.category).hazards].some(test));
	if (has((hazard) => hazard === 'medicine')) return 'medicine';
	if (has((hazard) => CLEANER.has(hazard))) return 'cleaner';
	return has((hazard) => hazard === 'flammable') ? 'flammable' : null;
}

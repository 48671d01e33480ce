import { blankGroup, GroupId, type Edit, type GroupReason, type Home, type Group } from '../model';
import { proposeGroups } from './propose';

/** One step from today's groups towards the proposed ones: things that would come into one group. */
export interface GroupChange {
	/** Tells changes apart while the home stays the same. */
	readonly key: string;
	/** null: a new group is made. */
	readonly groupId: string | null;
	readonly name: string;
	/** The name it has today, where it would have another. */
	readonly nameNow: string | null;
	readonly moves: readonly { readonly thingId: string; readonly fromId: string | null }[];
	readonly why: readonly GroupReason[];
}

/** Lists what a proposal would change, the largest change first; ties by name. Nothing is listed that is so already. */
export function groupChanges(home: Home): GroupChange[] {
	return proposeGroups(home)
		.map(({ groupId, name, thingIds, why }): GroupChange => {
			const now = groupId === null ? undefined : home.groups[groupId];
			const kept = now?.byHand ? now.name : name;
			return {
				key: groupId ?? `new/${thingIds[0]}`,
				groupId,
				name: kept,
				nameNow: now && now.name !== kept ? now.name : null,
				moves: thingIds
					.filter((id) => home.things[id]!.groupId !== groupId || groupId === null)
					.map((thingId) => ({ thingId, fromId: home.things[thingId]!.groupId })),
				why
			};
		})
		.filter(({ moves }) => moves.length > 0)
		.sort((a, b) => b.moves.length - a.moves.length || a.name.localeCompare(b.name));
}

/** Narrows changes to what they do for things without a group; a change that does nothing for them is left out. */
export const looseChanges = (changes: readonly GroupChange[]): GroupChange[] =>
	changes
		.map((change) => ({
			...change,
			nameNow: null,
			moves: change.moves.filter(({ fromId }) => fromId === null)
		}))
		.filter(({ moves }) => moves.length > 0);

const HUES = 12;

/** Makes a two-letter code for a name that none of `taken` uses: initials first, then letters, then digits. */
export function tagCode(name: string, taken: ReadonlySet<string>): string {
	const letters = name.toUpperCase().replace(/[^A-Z]/g, '') || 'XX';
	const initials = name
		.toUpperCase()
		.split(/[^A-Z]+/)
		.filter(Boolean)
		.map((word) => word[0]!);
	const tries: string[] = initials.length > 1 ? [initials[0]! + initials[1]!] : [];
	for (let i = 1; i < letters.length; i++) tries.push(letters[0]! + letters[i]!);
	for (let n = 1; n < 10; n++) tries.push(`${letters[0]}${n}`);
	for (let a = 65; a < 91; a++) for (let b = 65; b < 91; b++) tries.push(String.fromCharCode(a, b));
	return tries.find((code) => !taken.has(code)) ?? 'ZZ';
}

/** Adds an empty group with a free code and the hue that is used least; gives its record. */
export function addGroup(draft: Home, id: string, name: string, more: Partial<Group> = {}): Group {
	const groups = Object.values(draft.groups);
	const codes = new Set(groups.map((group) => group.tag.code));
	const counts = new Array<number>(HUES).fill(0);
	for (const { tag } of groups) counts[tag.hue]!++;
	const group: Group = {
		id: GroupId.parse(id),
		name: name.slice(0, 200),
		tag: { code: tagCode(name, codes), hue: counts.indexOf(Math.min(...counts)) },
		...blankGroup(),
		...more
	};
	draft.groups[group.id] = group;
	return group;
}

/**
 * Takes a group out of a home and leads what pointed to it to `heir`, or to nothing: things, spares, partners, pins,
 * routines; its part of plans, fits and marks goes.
 */
export function removeGroup(draft: Home, id: string, heir: GroupId | null): void {
	delete draft.groups[id];
	const swap = <T extends string>(groupId: T | null) => (groupId === id ? heir : groupId);
	for (const thing of Object.values(draft.things)) if (thing.groupId === id) thing.groupId = heir;
	for (const group of Object.values(draft.groups)) {
		if (group.stockOf === id) {
			if (heir) group.stockOf = heir;
			else delete draft.groups[group.id];
		}
		const partners = new Map<string, Group['partners'][number]>();
		for (const partner of group.partners) {
			const to = partner.groupId === id ? heir : partner.groupId;
			const known = to && partners.get(to);
			if (to && to !== group.id && !(known && known.weight >= partner.weight))
				partners.set(to, { ...partner, groupId: to });
		}
		if (group.partners.some(({ groupId }) => groupId === id))
			group.partners = [...partners.values()];
	}
	if (draft.pins.some((pin) => pin.groupId === id))
		draft.pins = draft.pins.filter((pin) => pin.groupId !== id);
	for (const routine of Object.values(draft.routines))
		for (const step of routine.steps) step.groupId = swap(step.groupId);
	for (const plan of Object.values(draft.zonePlans)) {
		if (plan.assignments.some((one) => one.groupId === id))
			plan.assignments = plan.assignments.filter((one) => one.groupId !== id);
		if (plan.overflow.some((one) => one === id))
			plan.overflow = plan.overflow.filter((one) => one !== id);
	}
	for (const fit of Object.values(draft.fitPlans)) {
		if (fit.placements.some((one) => one.groupId === id))
			fit.placements = fit.placements.filter((one) => one.groupId !== id);
		if (fit.standing.some((one) => one.groupId === id))
			fit.standing = fit.standing.filter((one) => one.groupId !== id);
		if (fit.leftOver.some((one) => one.groupId === id))
			fit.leftOver = fit.leftOver.filter((one) => one.groupId !== id);
	}
	for (const mark of Object.values(draft.marks))
		if (mark.groupId === id) delete draft.marks[mark.id];
}

/** Removes the groups that things were taken out of and that nothing is left in, but those made by hand. */
export function dropEmpty(draft: Home, ids: Iterable<string | null>, heir: GroupId | null): void {
	for (const id of ids) {
		const group = id === null ? undefined : draft.groups[id];
		if (!group || group.byHand || group.id === heir) continue;
		const used = Object.values(draft.things).some((thing) => thing.groupId === group.id);
		if (!used) removeGroup(draft, group.id, heir);
	}
}

/** Makes the edit that takes proposed changes; groups that run empty by it are removed. */
export function takeChanges(changes: readonly GroupChange[], newId: () => string): Edit {
	const ids = changes.map(({ groupId }) => groupId ?? newId());
	return (draft) => {
		changes.forEach((change, i) => {
			const known = draft.groups[ids[i]!];
			const group = known ?? addGroup(draft, ids[i]!, change.name);
			if (!group.byHand) {
				if (change.nameNow !== null) group.name = change.name;
				group.why = change.why.map(({ code, words }) => ({ code, words: [...words] }));
			}
			for (const { thingId } of change.moves) {
				const thing = draft.things[thingId];
				// What was put by hand since the proposal was made stays there.
				if (thing && !thing.groupByHand) thing.groupId = group.id;
			}
		});
		changes.forEach((change, i) =>
			dropEmpty(draft, new Set(change.moves.map(({ fromId }) => fromId)), GroupId.parse(ids[i]!))
		);
	};
}

import { GroupId, type Edit, type GroupReason, type Home } from '../model';
import { proposeGroups } from './propose';
import { addGroup, dropEmpty } from './records';

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
		const heirs = new Map<string | null, GroupId>();
		changes.forEach((change, i) => {
			for (const { fromId } of change.moves)
				if (!heirs.has(fromId)) heirs.set(fromId, GroupId.parse(ids[i]!));
		});
		dropEmpty(draft, heirs);
	};
}

import { GroupId, LotId, type Edit, type GroupOverrides, type Home } from '../model';
import { addGroup, dropEmpty, removeGroup } from './records';
import { partStock } from './stock';

/** Makes the edit that puts things into another group by hand: a new proposal leaves them there. */
export function moveThings(thingIds: readonly string[], groupId: string): Edit {
	return (draft) => {
		const group = draft.groups[groupId];
		if (!group || group.stockOf !== null) return;
		const heirs = new Map<string | null, GroupId>();
		for (const id of thingIds) {
			const thing = draft.things[id];
			if (!thing) continue;
			if (thing.groupId !== group.id) heirs.set(thing.groupId, group.id);
			thing.groupId = group.id;
			thing.groupByHand = true;
		}
		dropEmpty(draft, heirs);
	};
}

/** Makes the edit that splits things off into a group of their own. */
export function splitOff(thingIds: readonly string[], id: string, name: string): Edit {
	return (draft) => {
		addGroup(draft, id, name, { byHand: true });
		moveThings(thingIds, id)(draft);
	};
}

/** Makes the edit that joins one group to another, with its partners, pins aside; its things are held by hand. */
export function joinGroups(fromId: string, intoId: string): Edit {
	return (draft) => {
		const into = draft.groups[intoId];
		if (!draft.groups[fromId] || !into || fromId === intoId || into.stockOf !== null) return;
		// The spares of both are the spares of what they become.
		for (const group of Object.values(draft.groups))
			if (group.stockOf === fromId && spareOf(draft, intoId)) removeGroup(draft, group.id, null);
		for (const thing of Object.values(draft.things)) {
			if (thing.groupId !== fromId && thing.groupId !== intoId) continue;
			thing.groupId = into.id;
			thing.groupByHand = true;
		}
		const gained = draft.groups[fromId].partners.filter(
			({ groupId }) =>
				groupId !== intoId && !into.partners.some((known) => known.groupId === groupId)
		);
		if (gained.length) into.partners.push(...gained.map((partner) => ({ ...partner })));
		removeGroup(draft, fromId, into.id);
		into.byHand = true;
	};
}

/** Makes the edit that names a group; the name is kept by later proposals. */
export function renameGroup(id: string, name: string): Edit {
	return (draft) => {
		const group = draft.groups[id];
		if (!group || !name.trim()) return;
		group.name = name.trim().slice(0, 200);
		group.byHand = true;
	};
}

/** Makes the edit that sets a figure of a group by hand, or gives it back to be computed (null). */
export function setOverride<K extends keyof GroupOverrides>(
	id: string,
	key: K,
	value: GroupOverrides[K]
): Edit {
	return (draft) => {
		const group = draft.groups[id];
		if (group) group.overrides[key] = value;
	};
}

/** Makes the edit that lets go of what was put into a group by hand, so that it may be proposed anew. */
export function releaseGroup(id: string): Edit {
	return (draft) => {
		const group = draft.groups[id];
		if (!group) return;
		group.byHand = false;
		for (const thing of Object.values(draft.things))
			if (thing.groupId === id) thing.groupByHand = false;
	};
}

/** The group that keeps the spares of another; undefined: they stand together. */
export const spareOf = (home: Pick<Home, 'groups'>, groupId: string) =>
	Object.values(home.groups).find((group) => group.stockOf === groupId);

/**
 * Makes the edit that keeps the unopened spares of a group apart from what is in use, linked to it. A lot of several
 * packs with nothing open beside it is counted as two: one pack in use, the rest spare.
 */
export function keepSparesApart(groupId: string, id: string, newId: () => string): Edit {
	return (draft) => {
		const group = draft.groups[groupId];
		if (!group || group.stockOf !== null || spareOf(draft, groupId)) return;
		addGroup(draft, id, `${group.name}: spares`, {
			stockOf: GroupId.parse(groupId),
			byHand: true
		});
		for (const thing of Object.values(draft.things)) {
			if (thing.groupId !== groupId) continue;
			const own = Object.values(draft.lots).filter(
				(lot) => lot.thingId === thing.id && lot.count > 0
			);
			for (const lot of partStock(own).inUse) {
				const open = lot.states.includes('open') || lot.dates.openedOn !== null;
				if (open || lot.unit !== 'pack' || lot.count <= 1) continue;
				const spare = LotId.parse(newId());
				draft.lots[spare] = {
					...lot,
					dates: { ...lot.dates, printed: lot.dates.printed && { ...lot.dates.printed } },
					states: [...lot.states],
					id: spare,
					count: lot.count - 1
				};
				lot.count = 1;
			}
		}
	};
}

/** Makes the edit that puts the spares of a group back beside what is in use. */
export function keepSparesTogether(groupId: string): Edit {
	return (draft) => {
		const spare = spareOf(draft, groupId);
		if (spare) removeGroup(draft, spare.id, GroupId.parse(groupId));
	};
}

/** Makes the edit that sets by hand how many trips a week go between two groups; 0: they are no partners. */
export function setPartner(a: string, b: string, weight: number): Edit {
	return (draft) => {
		const [one, two] = [draft.groups[a], draft.groups[b]];
		if (!one || !two || a === b) return;
		two.partners = two.partners.filter(({ groupId }) => groupId !== a);
		const known = one.partners.find(({ groupId }) => groupId === b);
		if (known) Object.assign(known, { weight, why: 'hand' });
		else one.partners.push({ groupId: two.id, weight, why: 'hand' });
	};
}

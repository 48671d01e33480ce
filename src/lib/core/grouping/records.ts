import { blankGroup, GroupId, type Group, type Home } from '../model';

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
 * Takes a group without things out of a home and leads what pointed to it to `heir`, or to nothing: spares, partners,
 * routines. Its pins and its part of plans, fits and marks go by the table of links.
 */
export function removeGroup(draft: Home, id: string, heir: GroupId | null): void {
	delete draft.groups[id];
	const swap = <T extends string>(groupId: T | null) => (groupId === id ? heir : groupId);
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
	for (const routine of Object.values(draft.routines))
		if (routine.steps.some((step) => step.groupId === id))
			routine.steps = routine.steps
				.map((step) => ({ ...step, groupId: swap(step.groupId) }))
				.filter((step) => step.groupId !== null || step.station !== null);
}

/**
 * Removes the groups that things were taken out of and that nothing is left in, but those made by hand. `heirs` leads
 * from each of them to the group that takes its place.
 */
export function dropEmpty(draft: Home, heirs: ReadonlyMap<string | null, GroupId>): void {
	// One pass over the things, however many groups run empty: a draft is slow to read.
	const used = new Set(Object.values(draft.things).map((thing) => thing.groupId as string | null));
	for (const [id, heir] of heirs) {
		const group = id === null ? undefined : draft.groups[id];
		if (!group || group.byHand || group.id === heir || used.has(group.id)) continue;
		removeGroup(draft, group.id, draft.groups[heir] ? heir : null);
	}
}

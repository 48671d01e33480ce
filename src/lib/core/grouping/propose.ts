import { categoryOf, GroupId, type Edit, type Home } from '../model';
import { holdingsByGroup } from './aggregate';

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

/**
 * Makes the edit that gives every thing without a group one of its category, made where it is missing.
 * Things that stand in a group, by hand or by an earlier proposal, are left where they are.
 */
export function proposeGroups(newId: () => string): Edit {
	return (draft) => {
		const loose = holdingsByGroup(draft as Home).get(null) ?? [];
		const byName = new Map(Object.values(draft.groups).map((group) => [group.name, group.id]));
		const codes = new Set(Object.values(draft.groups).map((group) => group.tag.code));
		for (const { thing } of loose) {
			const { name } = categoryOf(thing.category);
			let id = byName.get(name);
			if (!id) {
				id = GroupId.parse(newId());
				const code = tagCode(name, codes);
				codes.add(code);
				byName.set(name, id);
				draft.groups[id] = {
					id,
					name,
					tag: { code, hue: Object.keys(draft.groups).length % HUES },
					overrides: { usesPerWeek: null, volumeMl: null },
					partners: [],
					byHand: false
				};
			}
			draft.things[thing.id]!.groupId = id;
		}
	};
}

/** Makes the edit that moves a thing to another group by hand. */
export function moveThing(thingId: string, groupId: string): Edit {
	return (draft) => {
		const group = draft.groups[groupId];
		const thing = draft.things[thingId];
		if (!group || !thing) return;
		thing.groupId = group.id;
		group.byHand = true;
	};
}

import { categoryOf, type Group, type Home, type Thing } from '../model';

/**
 * Finds the group that a person means by its two letters, by its name, or by how its name begins when only one does
 * so; whatever the case. Undefined: none, or more than one.
 * @example groupMeant(groups, 'sn')?.name // 'Snacks'
 */
export function groupMeant(groups: readonly Group[], text: string): Group | undefined {
	const wanted = text.trim().toLowerCase();
	if (!wanted) return undefined;
	const starts = groups.filter(({ name }) => name.toLowerCase().startsWith(wanted));
	return (
		groups.find(({ tag }) => tag.code.toLowerCase() === wanted) ??
		groups.find(({ name }) => name.toLowerCase() === wanted) ??
		(starts.length === 1 ? starts[0] : undefined)
	);
}

/** Keeps the things that hold every word of a search in their name, category, group or tag; all of them without one. */
export function thingsAbout(
	home: Pick<Home, 'groups'>,
	things: readonly Thing[],
	text: string
): readonly Thing[] {
	const words = text.toLowerCase().split(/\s+/).filter(Boolean);
	if (!words.length) return things;
	return things.filter(({ name, category, groupId }) => {
		const group = groupId ? home.groups[groupId] : undefined;
		const about = [name, categoryOf(category).name, group?.name ?? '', group?.tag.code ?? '']
			.join(' ')
			.toLowerCase();
		return words.every((word) => about.includes(word));
	});
}

import { addDays, dayOf, MisplacingId, NookId, ThingId, type Edit, type HomePart } from '../model';

/** Makes the edit that notes that a thing was found elsewhere than where it lives, or was missed (null). */
export function reportElsewhere(
	id: string,
	thingId: string,
	nookId: string | null,
	now: string
): Edit {
	return (draft) => {
		if (!draft.things[thingId] || (nookId && !draft.nooks[nookId])) return;
		const key = MisplacingId.parse(id);
		draft.misplacings[key] = {
			id: key,
			thingId: ThingId.parse(thingId),
			nookId: nookId === null ? null : NookId.parse(nookId),
			at: now
		};
	};
}

/** A group that is found elsewhere so often that its place is a wrong one. */
export interface WrongPlace {
	readonly groupId: string;
	readonly times: number;
	/** Where it was found most often; null: it was only missed. */
	readonly nookId: string | null;
	readonly timesThere: number;
}

const DAYS = 90;
const OFTEN = 3;

/** Lists groups whose things were found elsewhere three times or more in three months, the most often first. */
export function wrongPlaces(
	home: HomePart<'misplacings' | 'things' | 'groups'>,
	today: string
): WrongPlace[] {
	const from = addDays(today, -DAYS);
	const byGroup = new Map<string, Map<string | null, number>>();
	for (const { thingId, nookId, at } of Object.values(home.misplacings)) {
		const groupId = home.things[thingId]?.groupId;
		if (!groupId || !home.groups[groupId] || dayOf(at) < from) continue;
		const places = byGroup.get(groupId) ?? new Map<string | null, number>();
		byGroup.set(groupId, places.set(nookId, (places.get(nookId) ?? 0) + 1));
	}
	return [...byGroup]
		.flatMap(([groupId, places]): WrongPlace[] => {
			const times = [...places.values()].reduce((sum, count) => sum + count, 0);
			const [most] = [...places]
				.filter(([nookId]) => nookId !== null)
				.sort((a, b) => b[1] - a[1] || (a[0]! < b[0]! ? -1 : 1));
			if (times < OFTEN) return [];
			return [{ groupId, times, nookId: most?.[0] ?? null, timesThere: most?.[1] ?? 0 }];
		})
		.sort((a, b) => b.times - a.times || (a.groupId < b.groupId ? -1 : 1));
}

import { groupOfLots, piecesIn } from '../grouping';
import {
	GroupId,
	NookId,
	memoOn,
	pieceVolumeMl,
	type Assignment as SavedAssignment,
	type Home
} from '../model';

/** Sums, for each group, the volume that stands in each nook today, ml. */
export function volumesNow(home: Home): Map<string, Map<string, number>> {
	const volumes = new Map<string, Map<string, number>>();
	for (const [lotId, groupId] of groupOfLots(home)) {
		const lot = home.lots[lotId]!;
		const thing = home.things[lot.thingId]!;
		if (!lot.nookId) continue;
		const nooks = volumes.get(groupId) ?? new Map<string, number>();
		nooks.set(lot.nookId, (nooks.get(lot.nookId) ?? 0) + pieceVolumeMl(thing) * piecesIn(lot));
		volumes.set(groupId, nooks);
	}
	return volumes;
}

/** Sums, for each thing, the volume that stands in each nook today, ml. */
export function volumesByThing(home: Home): Map<string, Map<string, number>> {
	const volumes = new Map<string, Map<string, number>>();
	for (const lot of Object.values(home.lots)) {
		const thing = home.things[lot.thingId];
		if (!lot.nookId || !thing || lot.count <= 0) continue;
		const nooks = volumes.get(thing.id) ?? new Map<string, number>();
		nooks.set(lot.nookId, (nooks.get(lot.nookId) ?? 0) + pieceVolumeMl(thing) * piecesIn(lot));
		volumes.set(thing.id, nooks);
	}
	return volumes;
}

/** Gives the assignment that the lots show today: each group's share by volume in each nook. */
export const assignmentNow = memoOn(['lots', 'things', 'groups'], (home): SavedAssignment[] =>
	[...volumesNow(home as Home)].flatMap(([groupId, nooks]) => {
		const sum = [...nooks.values()].reduce((total, ml) => total + ml, 0) || 1;
		return [...nooks].map(([nookId, ml]) => ({
			groupId: GroupId.parse(groupId),
			nookId: NookId.parse(nookId),
			share: ml / sum
		}));
	})
);

import type { ContainerKind, Home, Room } from '../model';
import { placeOfNook } from '../survey';

/** Lists the looks that a home's kinds of container have, by name. */
export const looksOf = ({ containerKinds }: Pick<Home, 'containerKinds'>): string[] =>
	[...new Set(Object.values(containerKinds).flatMap(({ look }) => (look ? [look] : [])))].sort(
		(a, b) => a.localeCompare(b, 'en')
	);

/** The room of a place; undefined: there is none. */
export function roomOfNook(home: Home, nookId: string): Room | undefined {
	const place = placeOfNook(home, nookId);
	return place ? home.rooms[home.runs[place.cabinet.runId]?.roomId ?? ''] : undefined;
}

/** Whether a container may stand in a room of a look: what has no look of its own goes with any. */
export const suitsLook = (kind: Pick<ContainerKind, 'look'>, look: string): boolean =>
	!look || !kind.look || kind.look === look;

import { z } from 'zod';
import rows from '../../../../data/usual-things.json';
import { lotsIn, NookKind, type Home, type NookId } from '../model';
import { isBathroom } from '../survey';

/** What a kind of place usually holds, to be ticked instead of typed. */
export const UsualThings = z.strictObject({
	name: z.string(),
	kinds: z.array(NookKind).min(1),
	room: z.enum(['kitchen', 'bathroom']),
	things: z.array(z.string()).min(5)
});
export type UsualThings = z.infer<typeof UsualThings>;
export const USUAL_THINGS: readonly UsualThings[] = z.array(UsualThings).parse(rows);

/** A list for one or two kinds of place is surely meant by such a place, whatever it is called. */
const FEW_KINDS = 2;
/** Words of lists that any place is called by. */
const PLAIN_WORDS = new Set(['shelf', 'drawer', 'door', 'cabinet', 'under', 'goods', 'things']);

/**
 * Gives the lists for a place: those of its kind, the likeliest first (what its name speaks of, and what stands there
 * already), then all others.
 * Without a place: all of them.
 */
export function usualFor(home: Home, nookId: NookId | null): readonly UsualThings[] {
	const nook = nookId ? home.nooks[nookId] : undefined;
	const cabinet = nook && home.cabinets[nook.cabinetId];
	if (!nook || !cabinet) return USUAL_THINGS;
	const { name = '' } = home.rooms[home.runs[cabinet.runId]?.roomId ?? ''] ?? {};
	const room = isBathroom({ room: { name }, cabinet }) ? 'bathroom' : 'kitchen';
	const said = `${nook.name} ${cabinet.name}`.toLowerCase();
	const here = new Set(
		lotsIn(home, nook.id).map(({ thingId }) => home.things[thingId]?.name.toLowerCase())
	);
	const rank = (row: UsualThings) =>
		2 * row.things.filter((thing) => here.has(thing)).length +
		(row.kinds.includes(nook.kind) && row.room === room
			? row.kinds.length <= FEW_KINDS
				? 4
				: 2
			: 0) +
		(row.name
			.toLowerCase()
			.split(/\W+/)
			.some((word) => word.length > 3 && !PLAIN_WORDS.has(word) && said.includes(word))
			? 5
			: 0);
	return [...USUAL_THINGS].sort((a, b) => rank(b) - rank(a));
}

import { waysDown, type Thing } from '../model';
import type { NookPlace, UsableSpace } from '../survey';

/** How a thing can stand in a place: as it is, turned, laid down, or not at all. */
export type GoesIn = 'goes' | 'too-tall' | 'too-wide';

type Space = Extract<UsableSpace, { ok: true }>;
/** Answers for things and spaces that were asked about; both are records that are made anew when they change. */
const known = new WeakMap<object, WeakMap<object, GoesIn>>();

/** As `goesIn`, asked once for a thing and a space. */
export function goesInOnce(thing: Thing, place: Pick<NookPlace, 'nook'>, space: Space): GoesIn {
	let own = known.get(thing);
	if (!own) known.set(thing, (own = new WeakMap()));
	let answer = own.get(space);
	if (!answer) own.set(space, (answer = goesIn(thing, place, space)));
	return answer;
}

/**
 * Says whether one piece of a thing goes into a place: its floor sides either way round against width and depth, its
 * height against the free height, and through the way in; lying or on edge where its kind may. All in mm.
 * @example goesIn(spaghettiOf270, drawerOf150, space) // 'goes': it lies
 */
export function goesIn(
	thing: Pick<Thing, 'name' | 'category' | 'piece'>,
	{ nook }: Pick<NookPlace, 'nook'>,
	space: Space
): GoesIn {
	const { widthMm = 0, depthMm = 0 } = nook.inside;
	const [short, long] = [
		Math.min(widthMm ?? 0, depthMm ?? 0),
		Math.max(widthMm ?? 0, depthMm ?? 0)
	];
	let isLow = false;
	for (const { narrowMm, longMm, upMm } of waysDown(thing)) {
		if (upMm > space.passes.heightMm) continue;
		isLow = true;
		if (narrowMm <= Math.min(short, space.passes.widthMm) && longMm <= long) return 'goes';
	}
	return isLow ? 'too-wide' : 'too-tall';
}

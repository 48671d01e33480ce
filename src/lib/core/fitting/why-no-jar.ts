import type { Home } from '../model';
import { roomOf } from '../standing';
import { contentsMl, isFilledBy, jarMl } from './decant';
import { roomOfNook, suitsLook } from './looks';
import { clearOf } from './options';
import { overIn, type Over } from './too-big';

/** Why a thing that was asked into a jar stands in none; what is poured has no width, so that litres decide. */
export type NoJar =
	/** The home knows no jar, or none of the style of the room. */
	| { readonly why: 'none-known' }
	/** None goes into the place; the nearest is too large by so much. */
	| { readonly why: 'place'; readonly kindId: string; readonly over: Over }
	/** The largest that goes in takes less than a pack. */
	| {
			readonly why: 'pack-larger';
			readonly kindId: string;
			readonly needsMl: number;
			readonly holdsMl: number;
	  }
	/** The smallest that goes in would stay mostly empty. */
	| {
			readonly why: 'pack-smaller';
			readonly kindId: string;
			readonly needsMl: number;
			readonly holdsMl: number;
	  }
	/** Filled it weighs more than may be lifted here. */
	| { readonly why: 'too-heavy'; readonly massG: number; readonly liftG: number }
	/** There is one that would do; no floor is left for it, or no money. */
	| { readonly why: 'no-room' };

/** Says why a thing has no jar in a place; null: the place or the thing is not known. Ties go to the nearest size. */
export function whyNoJar(home: Home, nookId: string, thingId: string): NoJar | null {
	const packing = roomOf(home, nookId);
	const thing = home.things[thingId];
	if (!packing || !thing) return null;
	const { room, sideMm } = packing;
	const look = roomOfNook(home, nookId)?.look ?? '';
	const jars = Object.values(home.containerKinds).filter(
		(kind) => kind.role === 'jar' && suitsLook(kind, look)
	);
	if (!jars.length) return { why: 'none-known' };
	const overs = jars.map((kind) => ({ kind, over: overIn(kind, room, sideMm) }));
	const goIn = overs.flatMap(({ kind, over }) => (over ? [] : [kind]));
	if (!goIn.length) {
		const [near] = overs.sort((a, b) => a.over!.shortMm - b.over!.shortMm);
		return { why: 'place', kindId: near!.kind.id, over: near!.over! };
	}
	const needsMl = contentsMl(thing);
	const fits = goIn.filter((kind) => isFilledBy(kind, needsMl));
	if (!fits.length) {
		const bySize = [...goIn].sort((a, b) => jarMl(a) - jarMl(b));
		const largest = bySize.at(-1)!;
		const isLarger = needsMl > jarMl(largest);
		// Between two sizes it is the next larger one that would stay too empty.
		const kind = isLarger ? largest : bySize.find((each) => jarMl(each) >= needsMl)!;
		return {
			why: isLarger ? 'pack-larger' : 'pack-smaller',
			kindId: kind.id,
			needsMl,
			holdsMl: jarMl(kind)
		};
	}
	const massG = Math.min(...fits.map((kind) => kind.massG)) + thing.massG;
	if (massG > room.liftG) return { why: 'too-heavy', massG, liftG: room.liftG };
	return clearOf(room) > 0 ? { why: 'no-room' } : null;
}

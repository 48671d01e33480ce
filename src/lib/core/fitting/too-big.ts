import { waysDown, type ContainerKind, type Home, type Thing } from '../model';
import { roomOf, type NookRoom } from '../standing';
import { boardsOf } from './boards';
import { outerOf } from './kind-sizes';
import { roomOfNook, suitsLook } from './looks';
import { clearOf, enters } from './options';
import { suitsView } from './views';
import { wantsOf } from './wants';

/** By how much something is too large, and on which side, mm. */
export interface Over {
	readonly side: 'width' | 'depth' | 'height';
	readonly shortMm: number;
}
export interface TooBig extends Over {
	readonly kindId: string;
}

/** By how much a container does not go into a room; null: it does. */
export function overIn(kind: ContainerKind, room: NookRoom, sideMm: number): Over | null {
	if (enters(kind, room, sideMm)) return null;
	const { widthMm: w, depthMm: d } = outerOf(kind);
	const [short, long] = kind.turn ? [Math.min(w, d), Math.max(w, d)] : [w, d];
	const passMm = Math.min(room.passWidthMm, room.widthMm) - 2 * sideMm;
	const sides: Over[] = [
		{ side: 'height', shortMm: kind.heightMm - clearOf(room) },
		{ side: 'width', shortMm: short - passMm },
		{ side: 'depth', shortMm: long + sideMm - room.depthMm }
	];
	return sides.find(({ shortMm }) => shortMm > 0) ?? null;
}

/** Owned kinds of some forms that do not go into a room. */
export function tooBigKinds(
	kinds: readonly ContainerKind[],
	room: NookRoom,
	roles: ReadonlySet<string>,
	sideMm: number
): TooBig[] {
	return kinds.flatMap((kind): TooBig[] => {
		const over = kind.owned && roles.has(kind.role) ? overIn(kind, room, sideMm) : null;
		return over ? [{ kindId: kind.id, ...over }] : [];
	});
}

/** By how much a thing does not go into a container that stands under a clear height; 0 or less: it does. */
function thingOver(thing: Thing, kind: ContainerKind, clearMm: number): Over {
	let best: Over = { side: 'height', shortMm: Infinity };
	for (const board of boardsOf(kind, clearMm))
		for (const { upMm, narrowMm, longMm } of waysDown(thing)) {
			const sides: Over[] = [
				{ side: 'height', shortMm: upMm - board.high },
				{ side: 'width', shortMm: narrowMm - Math.min(board.w, board.d) },
				{ side: 'depth', shortMm: longMm - Math.max(board.w, board.d) }
			];
			const worst = sides.reduce((most, side) => (side.shortMm > most.shortMm ? side : most));
			if (worst.shortMm < best.shortMm) best = worst;
		}
	return best;
}

/** The container of a form that comes nearest to holding a group in a place, and what is in the way. */
export type Nearest =
	/** It does not go in. */
	| { readonly kindId: string; readonly why: 'container'; readonly over: Over }
	/** It goes in, and the largest of what is to be in it does not go into it. */
	| {
			readonly kindId: string;
			readonly why: 'thing';
			readonly thingId: string;
			readonly over: Over;
	  }
	/** Nothing of that form stands where one looks in from above. */
	| { readonly kindId: null; readonly why: 'from-above' }
	/** It goes in and takes it, and is not taken: no floor is left, or it is more than may be lifted here. */
	| { readonly kindId: string; readonly why: 'no-room' };

/** Finds what comes nearest to holding a group as the household chose; null: no container of that form is known. */
export function nearestHolder(home: Home, nookId: string, groupId: string): Nearest | null {
	const packing = roomOf(home, nookId);
	const role = home.groups[groupId]?.holder;
	if (!packing || !role || role === 'none') return null;
	const { room, sideMm, seenFromAbove } = packing;
	if (!suitsView(role, [role], seenFromAbove)) return { kindId: null, why: 'from-above' };
	const clearMm = clearOf(room);
	const look = roomOfNook(home, nookId)?.look ?? '';
	const goods = wantsOf(home, nookId)
		.filter((want) => want.groupId === groupId)
		.flatMap((want) => want.goods);
	const found = Object.values(home.containerKinds)
		.filter((kind) => kind.role === role && suitsLook(kind, look))
		.flatMap((kind): { kindId: string; nearest: Nearest; shortMm: number }[] => {
			const over = overIn(kind, room, sideMm);
			const kindId = kind.id;
			if (over)
				return [{ kindId, nearest: { kindId, why: 'container', over }, shortMm: over.shortMm }];
			// What is poured has no width: whether it goes into a jar is a matter of litres (`whyNoJar`).
			const things =
				role === 'jar'
					? []
					: goods.map(({ thing }) => ({ thing, over: thingOver(thing, kind, clearMm) }));
			if (role === 'jar') return [{ kindId, nearest: { kindId, why: 'no-room' }, shortMm: 0 }];
			const [largest] = things.sort((a, b) => b.over.shortMm - a.over.shortMm);
			if (!largest) return [];
			const { thing, over: short } = largest;
			return short.shortMm > 0
				? [
						{
							kindId,
							nearest: { kindId, why: 'thing', thingId: thing.id, over: short },
							shortMm: short.shortMm
						}
					]
				: [{ kindId, nearest: { kindId, why: 'no-room' }, shortMm: 0 }];
		})
		.sort((a, b) => a.shortMm - b.shortMm || (a.kindId < b.kindId ? -1 : 1));
	return found[0]?.nearest ?? null;
}

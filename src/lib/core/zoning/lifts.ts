import { waysDown } from '../model';
import { pegsFor, type NookPlace } from '../survey';
import type { Layout } from '../solvers/assignment';
import { goesIn } from '../standing';
import type { ZoneModel } from './build';
import type { HardCode } from './hard-rules';

/** A small change to the home after which no hard rule keeps a part out of a place. */
export type Lift =
	| { readonly code: 'fit-catch' | 'fit-lock'; readonly nookId: string; readonly cabinetId: string }
	| {
			readonly code: 'raise-shelf';
			readonly nookId: string;
			/** The place above, whose board goes up. */
			readonly overId: string;
			readonly pegs: number;
			readonly byMm: number;
			readonly thingId: string;
	  }
	| { readonly code: 'unmeasured'; readonly nookId: string };

/** A catch or a lock goes on what has a door, a drawer or a lid. */
export const takesGuard = ({ cabinet, nook }: Pick<NookPlace, 'cabinet' | 'nook'>): boolean =>
	cabinet.front !== 'open' && nook.kind !== 'worktop' && nook.kind !== 'top';

/** What a rule about small children asks for. */
export const guardFor = (rule: HardCode | null): 'catch' | 'lock' | null =>
	rule === 'child-reach' ? 'catch' : rule === 'child-lock' ? 'lock' : null;

/**
 * Finds the change that lifts the one hard rule that keeps part `g` out of nook `n`; null where more than one does, or
 * no small change would.
 */
export function liftAt(model: ZoneModel, g: number, n: number): Lift | null {
	const broken = model.rulesAt(g, n);
	if (broken.length !== 1) return null;
	const place = model.places[n]!;
	const clear = model.clears[n];
	const nookId = place.nook.id;
	if (broken[0] === 'not-measured') return { code: 'unmeasured', nookId };
	const guard = guardFor(broken[0]!);
	if (guard && takesGuard(place))
		return { code: `fit-${guard}`, nookId, cabinetId: place.cabinet.id };
	if (broken[0] !== 'too-tall' || !clear) return null;
	const tall = model.parts[g]!.figures.held.filter((thing) => goesIn(thing, clear) === 'too-tall');
	const shortMm = (thing: (typeof tall)[number]) =>
		Math.min(...waysDown(thing).map(({ upMm }) => upMm - clear.heightMm));
	const most = [...tall].sort((a, b) => shortMm(b) - shortMm(a))[0];
	const raise = most && pegsFor(model.home, place.nook, shortMm(most));
	return raise ? { code: 'raise-shelf', nookId, ...raise, thingId: most.id } : null;
}

/** Which change asks least: a shelf moved by few holes, then a catch, then a lock, then the tape. */
const effortOf = (lift: Lift): number =>
	lift.code === 'raise-shelf'
		? lift.pegs
		: { 'fit-catch': 20, 'fit-lock': 25, unmeasured: 30 }[lift.code];

/**
 * Finds the smallest change that would open a place to a part that has none: one with room as the plan stands comes
 * before one without. Null: no small change would. Ties in walking order.
 */
export function smallestLift(model: ZoneModel, layout: Layout, g: number): Lift | null {
	const { N, K, demand } = model.problem;
	let best: Lift | null = null;
	let least = Infinity;
	for (let n = 0; n < N; n++) {
		if (!model.cells[g * N + n]!.hard) continue;
		const lift = liftAt(model, g, n);
		if (!lift) continue;
		const hasRoom = Array.from({ length: K }, (_, k) => k).every(
			(k) => demand[(g * N + n) * K + k]! <= layout.free[n * K + k]!
		);
		const effort = effortOf(lift) + (hasRoom ? 0 : 100);
		if (effort < least) [best, least] = [lift, effort];
	}
	return best;
}

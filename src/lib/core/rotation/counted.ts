import type { Edit, Home, Thing } from '../model';
import { usesPerWeek } from '../model';
import { packUsesOf } from './packs';
import { rateOf } from './rate';

/** A thing whose counted uses are far from what was said of it. */
export interface Counted {
	readonly thing: Thing;
	/** Uses a week as they stand, and as they were counted. */
	readonly said: number;
	readonly counted: number;
}

/** So many takings are enough to believe them against what was said. */
const LEAST_TAKINGS = 5;
/** Said and counted differ by more than this factor. */
const FAR = 1.6;

/** Lists things whose logged uses say something else than their class, the farthest apart first. `today` is an ISO date. */
export function countedUses(home: Home, today: string): Counted[] {
	return Object.values(home.things)
		.flatMap((thing): Counted[] => {
			const rate = rateOf(home, thing, today);
			if (rate.basis !== 'logged' || rate.counted < LEAST_TAKINGS) return [];
			const counted = Math.round(rate.perWeek * packUsesOf(thing) * 100) / 100;
			const said = usesPerWeek(thing);
			const ratio = Math.max(counted, 1e-3) / Math.max(said, 1e-3);
			return ratio > FAR || ratio < 1 / FAR ? [{ thing, said, counted }] : [];
		})
		.sort(
			(a, b) =>
				Math.abs(Math.log(b.counted / b.said)) - Math.abs(Math.log(a.counted / a.said)) ||
				(a.thing.id < b.thing.id ? -1 : 1)
		);
}

/** Makes the edit that lets counted uses hold: groups, plans and lists go by them from then on. */
export function takeCounted(uses: readonly (readonly [thingId: string, perWeek: number])[]): Edit {
	return (draft) => {
		for (const [thingId, perWeek] of uses) {
			const thing = draft.things[thingId];
			if (thing && perWeek >= 0 && perWeek <= 1000) thing.use.countedPerWeek = perWeek;
		}
	};
}

import type { Layout } from '../solvers/assignment';
import type { ZoneModel } from './build';

/** A place that others want more than there is of it. */
export interface Contested {
	readonly nookId: string;
	/** What a litre more of it would save a week, m. */
	readonly perLitreM: number;
	/** The group that would save it, and all that it would save there. */
	readonly groupId: string;
	readonly savedM: number;
}

/** Less than this a week for a whole group is nobody's wish, m. */
const LEAST_M = 3;

/**
 * Lists the places that are most wanted as a plan stands: for each full place, the part that would save most there for
 * each litre it takes, were there room. The most wanted first; ties in walking order. Costs O(parts × places).
 */
export function contestedPlaces(
	{ problem, places, parts }: ZoneModel,
	layout: Layout
): Contested[] {
	const { G, N, K, cost, demand } = problem;
	const found: Contested[] = [];
	for (let n = 0; n < N; n++) {
		let best: Contested | null = null;
		for (let g = 0; g < G; g++) {
			const at = layout.assignment[g]!;
			if (at === n || at < 0 || cost[g * N + n] === Infinity) continue;
			// Room is what is wanted: what may not stand there anyway wants none.
			if (layout.fits(g, n) || !layout.agrees(g, n)) continue;
			const savedM = layout.costAt(g, at) - layout.costAt(g, n);
			const perLitreM = savedM / Math.max(1, demand[g * N * K]! / 1000);
			if (savedM >= LEAST_M && perLitreM > (best?.perLitreM ?? 0))
				best = {
					nookId: places[n]!.nook.id,
					perLitreM,
					groupId: parts[g]!.figures.groupId,
					savedM
				};
		}
		if (best) found.push(best);
	}
	return found.sort((a, b) => b.perLitreM - a.perLitreM);
}

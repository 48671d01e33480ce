import { frontTaken, goodsOf } from '../standing';
import { CAPACITY_TOLERANCE, type Layout } from '../solvers/assignment';
import { crowdingOf, type ZoneModel } from './build';

/** What it costs a week that a thing stands where it does: another group would stand there. */
export interface KeepingCost {
	readonly thingId: string;
	readonly nookId: string;
	/** The group that would have its room. */
	readonly groupId: string;
	/** What that would save a week, m. */
	readonly savedM: number;
}

/** Less than this a week is no reason to let a thing go, m. */
const LEAST_M = 3;

/**
 * Says of each thing what keeping it costs as a plan stands: the most that a part which has no room in its place would
 * save there, were all of the thing gone and everything else as it is. Things that stand in nobody's way are left out; of
 * several places of a thing the dearest counts. Ties go to the first part. Costs O(things × parts).
 */
export function keepingCosts(model: ZoneModel, layout: Layout): ReadonlyMap<string, KeepingCost> {
	const { problem, parts, places, clears } = model;
	const { G, N, K, cost, demand, mixing } = problem;
	const found = new Map<string, KeepingCost>();
	/** What each part that wants room in a nook would save there, the most first. */
	const waiting = Array.from({ length: N }, (_, n) =>
		Array.from({ length: G }, (_, g) => g)
			.filter((g) => {
				const at = layout.assignment[g]!;
				const isOpen = at >= 0 && at !== n && cost[g * N + n] !== Infinity;
				return isOpen && !layout.fits(g, n) && layout.agrees(g, n);
			})
			.map((g) => ({ g, savedM: layout.costAt(g, layout.assignment[g]!) - layout.costAt(g, n) }))
	);
	parts.forEach(({ figures, share }, own) => {
		const n = layout.assignment[own]!;
		const clear = clears[n];
		if (!clear || !waiting[n]!.length) return;
		const all = goodsOf(figures.holdings);
		const taken = frontTaken(all, clear);
		for (const good of all) {
			// What lies on others frees no floor.
			const left = frontTaken(
				all.filter((other) => other !== good),
				clear
			);
			const freed = [
				good.volumeMl,
				taken.frontMm - left.frontMm,
				taken.deepMm - left.deepMm,
				good.massG
			].map((each) => each * share);
			// With its last thing a part is gone from the crowd.
			const stays =
				mixing && all.length > 1 ? crowdingOf(left.sideMm * share, clear, mixing.crowdFrom[n]!) : 0;
			const less = mixing ? mixing.crowding[own * N + n]! - stays : 0;
			let first: { g: number; savedM: number } | null = null;
			for (const { g, savedM } of waiting[n]!) {
				const goes = freed.every(
					(more, k) =>
						demand[(g * N + n) * K + k]! <= layout.free[n * K + k]! + more + CAPACITY_TOLERANCE
				);
				const saved = goes ? savedM + layout.reliefAt(g, n, less) : 0;
				if (saved >= LEAST_M && saved > (first?.savedM ?? 0)) first = { g, savedM: saved };
			}
			const thingId = good.thing.id;
			if (!first || first.savedM <= (found.get(thingId)?.savedM ?? 0)) continue;
			found.set(thingId, {
				thingId,
				nookId: places[n]!.nook.id,
				groupId: parts[first.g]!.figures.groupId,
				savedM: first.savedM
			});
		}
	});
	return found;
}

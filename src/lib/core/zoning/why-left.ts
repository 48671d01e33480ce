import type { ZoneModel } from './build';
import { smallestLift, type Lift } from './lifts';
import type { Layout } from '../solvers/assignment';
import { DIMENSIONS } from './build';
import { rulesAgainst, type RuleAgainst } from './rules-against';

/** The smallest change that would give a group a place. */
export type SmallestChange =
	| { readonly code: 'has-room'; readonly nookId: string }
	| {
			readonly code: 'needs-room';
			readonly nookId: string;
			/** What is short there, and by how much: ml, mm of front run, or g. */
			readonly short: (typeof DIMENSIONS)[number];
			readonly by: number;
			/** Groups that hold the room, the largest first. */
			readonly heldBy: readonly string[];
	  }
	| { readonly code: 'needs-neighbour-gone'; readonly nookId: string }
	| { readonly code: 'no-nook' };

export interface WhyLeft {
	readonly groupId: string;
	/** How many nooks each hard rule takes away, the most first. */
	readonly rules: readonly RuleAgainst[];
	/** Nooks that no rule forbids. */
	readonly allowed: number;
	readonly change: SmallestChange;
	/** A small change to the home that would open a place to it; null: none would. */
	readonly lift: Lift | null;
}

/**
 * Says why a part of a group has no place: which rules forbid which share of the nooks, and the smallest change that
 * would help: the allowed nook that is short by the smallest share of what the group needs. Ties in walking order.
 */
export function whyLeft(model: ZoneModel, layout: Layout, g: number): WhyLeft {
	const { N, K, demand } = model.problem;
	let allowed = 0;
	let change: SmallestChange = { code: 'no-nook' };
	let least = Infinity;
	for (let n = 0; n < N; n++) {
		if (model.cells[g * N + n]!.hard || model.problem.cost[g * N + n] === Infinity) continue;
		allowed++;
		const nookId = model.places[n]!.nook.id;
		let worst = 0;
		let short = 0;
		for (let k = 0; k < K; k++) {
			const taken = demand[(g * N + n) * K + k]!;
			const over = taken - layout.free[n * K + k]!;
			const share = taken > 0 ? over / taken : 0;
			if (share > worst) [worst, short] = [share, k];
		}
		const isClashing = !layout.agrees(g, n);
		// A neighbour that has to go counts like all of the room.
		const need = worst + (isClashing ? 1 : 0);
		if (need >= least) continue;
		least = need;
		if (worst <= 1e-9)
			change = isClashing ? { code: 'needs-neighbour-gone', nookId } : { code: 'has-room', nookId };
		else
			change = {
				code: 'needs-room',
				nookId,
				short: DIMENSIONS[short]!,
				by: demand[(g * N + n) * K + short]! - layout.free[n * K + short]!,
				heldBy: model.parts
					.map((part, other) => ({ part, other }))
					.filter(({ other }) => layout.assignment[other] === n)
					.sort(
						(a, b) =>
							demand[(b.other * N + n) * K + short]! - demand[(a.other * N + n) * K + short]! ||
							a.other - b.other
					)
					.map(({ part }) => part.figures.groupId)
			};
	}
	return {
		groupId: model.parts[g]!.figures.groupId,
		rules: rulesAgainst(model, g),
		allowed,
		change,
		lift: smallestLift(model, layout, g)
	};
}

/**
 * Says how much of a plan finds no room, ml: parts that a place would take if it were larger. What is too tall everywhere,
 * too heavy, or ruled out is not short of litres.
 */
export const roomlessMl = (model: ZoneModel, layout: Layout): number =>
	model.parts.reduce((sum, { figures, share }, g) => {
		if (layout.assignment[g]! >= 0) return sum;
		const { change } = whyLeft(model, layout, g);
		const isShort = change.code === 'needs-room' && change.short !== 'load';
		return isShort ? sum + figures.volumeMl * share : sum;
	}, 0);

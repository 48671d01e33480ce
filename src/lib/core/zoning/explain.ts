import type { Assignment as SavedAssignment } from '../model';
import type { ReachBand } from '../survey';
import type { ZoneModel } from './build';
import { costOf, type CostParts } from './cell';
import type { HardCode } from './hard-rules';
import { Layout } from './layout';
import { rulesAgainst, type RuleAgainst } from './rules-against';
import { writeAssignment } from './solve';
import { violations, type Assignment } from './problem';

export interface Alternative {
	readonly nookId: string;
	/** Extra weekly effort against the place it has; negative: it would be better there. */
	readonly extra: number;
	/** Groups that hold the room it would need, the largest first; empty: there is room. */
	readonly heldBy: readonly string[];
}

export interface PlaceReason {
	readonly groupId: string;
	readonly nookId: string;
	readonly share: number;
	readonly cost: number;
	/** What makes up the cost. */
	readonly parts: CostParts & { readonly partners: number };
	/** Walked there and back in a week, m. */
	readonly metresPerWeek: number;
	/** Walks made to it in a week. */
	readonly tripsPerWeek: number;
	readonly band: ReachBand;
	/** A better nook that others hold; null when this is the best there is. */
	readonly pushedOutOf: Alternative | null;
	/** The next two best nooks with room. */
	readonly next: readonly Alternative[];
	/** Hard rules that take nooks away, the most first. */
	readonly ruledOut: readonly RuleAgainst[];
}

/** What one nook would mean for the parts in hand. */
export interface Price {
	readonly nookId: string;
	readonly hard: HardCode | null;
	readonly conflict: boolean;
	/** Litres, run or load short; 0: it fits. */
	readonly fits: boolean;
	/** Change of the whole plan's weekly effort; NaN when a hard rule forbids it. */
	readonly extra: number;
}

/** Loads a saved plan on a model, for prices and reasons. */
export function layoutOf(model: ZoneModel, saved: readonly SavedAssignment[]): Layout {
	const layout = new Layout(model.problem);
	layout.load(writeAssignment(model, saved));
	return layout;
}

/** Lists the parts that a group has in one nook; `nookId` null: those without a place. */
export function partsAt(
	model: ZoneModel,
	layout: Layout,
	groupId: string,
	nookId: string | null
): number[] {
	const n = nookId === null ? -1 : model.places.findIndex((place) => place.nook.id === nookId);
	if (nookId !== null && n < 0) return [];
	return [...layout.assignment.keys()].filter(
		(g) => layout.assignment[g] === n && model.parts[g]!.figures.groupId === groupId
	);
}

/**
 * Prices every nook for parts of one group that move together, with all else in place; the layout is as before when
 * it returns. Parts that stand where a hard rule forbids it, or nowhere, are compared with nothing: `extra` is then all
 * that they would cost.
 */
export function pricesFor(model: ZoneModel, layout: Layout, parts: readonly number[]): Price[] {
	const { N, cost } = model.problem;
	const homes = parts.map((g) => layout.assignment[g]!);
	const before = layout.objective;
	const lift = () => parts.forEach((g) => layout.place(g, -1));
	const isOpen = (g: number, n: number) => n >= 0 && cost[g * N + n] !== Infinity;
	/** Puts the parts down one by one; what that costs is summed here, since a broken plan has no finite objective. */
	const put = (at: (i: number) => number) => {
		let [sum, fits] = [0, true];
		parts.forEach((g, i) => {
			fits &&= layout.fits(g, at(i));
			sum += layout.costAt(g, at(i));
			layout.place(g, at(i));
		});
		return { sum, fits };
	};
	lift();
	const here = parts.every((g, i) => isOpen(g, homes[i]!)) ? put((i) => homes[i]!).sum : 0;
	lift();
	const prices = model.places.map((place, n): Price => {
		const hard = parts.map((g) => model.cells[g * N + n]!.hard).find(Boolean) ?? null;
		const conflict = parts.some((g) => !layout.agrees(g, n));
		if (!parts.every((g) => isOpen(g, n)))
			return { nookId: place.nook.id, hard, conflict, fits: false, extra: NaN };
		const { sum, fits } = put(() => n);
		lift();
		return { nookId: place.nook.id, hard, conflict, fits, extra: sum - here };
	});
	parts.forEach((g, i) => layout.place(g, homes[i]!));
	layout.objective = before;
	return prices;
}

function holders(model: ZoneModel, layout: Layout, n: number, except: number): string[] {
	return model.parts
		.map((part, g) => ({ part, g }))
		.filter(({ g }) => layout.assignment[g] === n && g !== except)
		.sort((a, b) => b.part.figures.volumeMl * b.part.share - a.part.figures.volumeMl * a.part.share)
		.map(({ part }) => part.figures.groupId);
}

/**
 * Explains where the parts of one group in one nook are: what they cost and why they are not elsewhere. Null when they
 * have no place, or one that a hard rule forbids.
 */
export function explainParts(
	model: ZoneModel,
	layout: Layout,
	parts: readonly number[]
): PlaceReason | null {
	const [g = -1] = parts;
	const n = g < 0 ? -1 : layout.assignment[g]!;
	const place = model.places[n];
	if (!place) return null;
	const { N } = model.problem;
	const { figures } = model.parts[g]!;
	if (parts.some((part) => model.cells[part * N + n]!.hard)) return null;
	const cell = model.cells[g * N + n]!;
	const { walk, reach, soft, habit } = cell.parts;
	const share = parts.reduce((sum, part) => sum + model.parts[part]!.share, 0);
	const cost = parts.reduce((sum, part) => sum + layout.costAt(part, n), 0);
	const alone = parts.reduce((sum, part) => sum + costOf(cell, model.parts[part]!.share), 0);
	const others = pricesFor(model, layout, parts)
		.map((price, m) => ({ ...price, m }))
		.filter((price) => price.m !== n && !price.hard)
		.sort((a, b) => a.extra - b.extra);
	const taken = others.find((price) => price.extra < -1e-9 && !price.fits);
	return {
		groupId: figures.groupId,
		nookId: place.nook.id,
		share,
		cost,
		parts: {
			walk: walk * share,
			reach: reach * share,
			// Wishes and habit count for each part: see `costOf`.
			soft: soft.map(({ code, effort }) => ({ code, effort: effort * parts.length })),
			habit: habit * parts.length,
			partners: cost - alone
		},
		metresPerWeek: figures.tripsPerWeek * share * 2 * cell.walkM,
		tripsPerWeek: figures.tripsPerWeek * share,
		band: cell.reach.band,
		pushedOutOf: taken
			? { nookId: taken.nookId, extra: taken.extra, heldBy: holders(model, layout, taken.m, g) }
			: null,
		next: others
			.filter((price) => price.fits)
			.slice(0, 2)
			.map(({ nookId, extra }) => ({ nookId, extra, heldBy: [] })),
		ruledOut: rulesAgainst(model, g)
	};
}

export interface PlanTotals {
	/** Walked there and back in a week, m. */
	readonly metresPerWeek: number;
	readonly reachesPerWeek: Readonly<Record<ReachBand, number>>;
	/** Walks made to it in a week. */
	readonly tripsPerWeek: number;
}

/** Sums walks and reaches of any assignment, the planned one or the one the lots show today. */
export function totalsOf(model: ZoneModel, saved: readonly SavedAssignment[]): PlanTotals {
	const { N } = model.problem;
	const rows = new Map(model.parts.map((part, g) => [part.figures.groupId, g]));
	const nooks = new Map(model.places.map((place, n) => [place.nook.id as string, n]));
	const reaches = { easy: 0, good: 0, bend: 0, stretch: 0, stool: 0 };
	let metres = 0;
	let trips = 0;
	for (const { groupId, nookId, share } of saved) {
		const g = rows.get(groupId);
		const n = nooks.get(nookId);
		if (g === undefined || n === undefined) continue;
		const cell = model.cells[g * N + n]!;
		const count = model.parts[g]!.figures.tripsPerWeek * share;
		trips += count;
		reaches[cell.reach.band] += count;
		if (Number.isFinite(cell.walkM)) metres += count * 2 * cell.walkM;
	}
	return { metresPerWeek: metres, reachesPerWeek: reaches, tripsPerWeek: trips };
}

export interface FreeSpace {
	/** Places that a group may stand in, and those of them with nothing in them. */
	readonly places: number;
	readonly empty: number;
	/** Share of their litres that is free, with what is kept to grow, 0 to 1. */
	readonly share: number;
}

/** Sums what a plan leaves free, over all places that are measured and hold anything at all. */
export function freeSpaceOf(model: ZoneModel, layout: Layout, fillShare: number): FreeSpace {
	const { N, K, capacity } = model.problem;
	let [places, empty, whole, used] = [0, 0, 0, 0];
	for (let n = 0; n < N; n++) {
		const space = model.spaces[n]!;
		if (!space.ok || capacity[n * K]! <= 0) continue;
		places++;
		if (!layout.held[n]) empty++;
		whole += space.usableMl * fillShare;
		used += capacity[n * K]! - layout.free[n * K]!;
	}
	return { places, empty, share: whole ? Math.max(0, 1 - used / whole) : 0 };
}

export interface BrokenRule {
	readonly groupId: string;
	readonly nookId: string;
	readonly code: HardCode | 'over-capacity' | 'conflict';
}

/** Lists the hard rules that an assignment, perhaps made by hand, breaks. */
export function brokenRules(model: ZoneModel, assignment: Assignment): BrokenRule[] {
	const { N } = model.problem;
	const groupIn = (n: number) => {
		const g = assignment.indexOf(n);
		return g < 0 ? '' : model.parts[g]!.figures.groupId;
	};
	return violations(model.problem, assignment).map((found) => {
		const nookId = model.places[found.nook]!.nook.id;
		if (found.code !== 'forbidden')
			return { groupId: groupIn(found.nook), nookId, code: found.code };
		return {
			groupId: model.parts[found.part]!.figures.groupId,
			nookId,
			code: model.cells[found.part * N + found.nook]!.hard!
		};
	});
}

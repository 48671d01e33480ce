import { goesIn, shortfall } from '../standing';
import type { Assignment as SavedAssignment } from '../model';
import type { ReachBand } from '../survey';
import { DIMENSIONS, type ZoneModel } from './build';
import { costOf, type CostParts } from './cell';
import { clashOf, HARD_CODES, type ClashCode, type HardCode } from './hard-rules';
import type { SoftCode } from './soft-rules';
import {
	CAPACITY_TOLERANCE,
	Layout,
	violations,
	type NookIndices as Assignment
} from '../solvers/assignment';
import { rulesAgainst, type RuleAgainst } from './rules-against';
import { writeAssignment } from './solve';

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
	readonly parts: CostParts & {
		readonly partners: number;
		/** What it costs that other kinds of things stand there too. */
		readonly mixing: number;
	};
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
	/** What stands in the place, or in its cabinet, and may not be together with it; null: nothing does. */
	readonly conflict: ClashCode | 'apart' | null;
	readonly fits: boolean;
	/** What of the place is short for it, were nothing in the way otherwise; null: nothing is. */
	readonly short: (typeof DIMENSIONS)[number] | null;
	/** What is too large for the place, where its size is what keeps it out; null: it is not. */
	readonly over: SizeOver | null;
	/** Change of the whole plan's weekly effort; NaN when a hard rule forbids it. */
	readonly extra: number;
}

/** The thing that is too large for a place by most, and by how much, mm. */
export interface SizeOver {
	readonly name: string;
	readonly side: 'height' | 'floor';
	readonly shortMm: number;
}

const BY_SIZE: ReadonlySet<HardCode | null> = new Set(['too-tall', 'too-wide']);
/** By how much the largest thing of some parts does not go into a nook; null where no one thing is to blame. */
function overAt(
	{ parts: all, clears }: ZoneModel,
	parts: readonly number[],
	n: number,
	hard: HardCode | null
): SizeOver | null {
	const clear = clears[n];
	if (!clear || !BY_SIZE.has(hard)) return null;
	const overs = parts
		.flatMap((g) => all[g]!.figures.held)
		.filter((thing) => goesIn(thing, clear) !== 'goes')
		.map((thing): SizeOver => ({ name: thing.name, ...shortfall(thing, clear) }));
	return overs.sort((a, b) => b.shortMm - a.shortMm || (a.name < b.name ? -1 : 1))[0] ?? null;
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
	const { G, N, cost } = model.problem;
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
	const ofParts = kindsOf(model, parts);
	/** What stands in a nook without the parts in hand. */
	const kindsIn = (n: number) =>
		kindsOf(model, [...layout.members.subarray(n * G, n * G + layout.held[n]!)]);
	const prices = model.places.map((place, n): Price => {
		const hard = parts.map((g) => model.cells[g * N + n]!.hard).find(Boolean) ?? null;
		const conflict = parts.some((g) => !layout.agreesInZone(g, n))
			? 'apart'
			: clashOf(ofParts, kindsIn(n));
		const nookId = place.nook.id;
		const short = shortAt(model, layout, parts, n);
		const over = overAt(model, parts, n, hard);
		if (!parts.every((g) => isOpen(g, n)))
			return { nookId, hard, conflict, fits: false, short, over, extra: NaN };
		const { sum, fits } = put(() => n);
		lift();
		return { nookId, hard, conflict, fits, short, over, extra: sum - here };
	});
	parts.forEach((g, i) => layout.place(g, homes[i]!));
	layout.objective = before;
	return prices;
}

/** What of a nook parts that stand nowhere would have too little of: what they are over by most, as a share of it. */
function shortAt({ problem }: ZoneModel, { free }: Layout, parts: readonly number[], n: number) {
	const { N, K, demand, capacity } = problem;
	let worst = CAPACITY_TOLERANCE;
	let short: Price['short'] = null;
	for (let k = 0; k < K; k++) {
		const over = parts.reduce((sum, g) => sum + demand[(g * N + n) * K + k]!, 0) - free[n * K + k]!;
		const share = over / Math.max(1, capacity[n * K + k]!);
		if (share > worst) [worst, short] = [share, DIMENSIONS[k]!];
	}
	return short;
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
	const own = parts.map((part) => ({
		cell: model.cells[part * N + n]!,
		trips: model.parts[part]!.figures.tripsPerWeek * model.parts[part]!.share,
		...model.parts[part]!
	}));
	const { cell } = own[0]!;
	const sum = (of: (one: (typeof own)[number]) => number) =>
		own.reduce((total, one) => total + of(one), 0);
	// Wishes and habit count for each part: see `costOf`.
	const soft = new Map<SoftCode, number>();
	for (const one of own)
		for (const { code, effort } of one.cell.parts.soft)
			soft.set(code, (soft.get(code) ?? 0) + effort);
	const cost = parts.reduce((total, part) => total + layout.costAt(part, n), 0);
	const mixing = parts.reduce((total, part) => total + layout.mixingAt(part, n), 0);
	const alone = sum((one) => costOf(one.cell, one.share));
	const others = pricesFor(model, layout, parts)
		.map((price, m) => ({ ...price, m }))
		.filter((price) => price.m !== n && !price.hard)
		.sort((a, b) => a.extra - b.extra);
	const taken = others.find((price) => price.extra < -1e-9 && !price.fits);
	return {
		groupId: figures.groupId,
		nookId: place.nook.id,
		share: sum(({ portion }) => portion),
		cost,
		parts: {
			walk: sum((one) => one.cell.parts.walk * one.share),
			reach: sum((one) => one.cell.parts.reach * one.share),
			soft: [...soft].map(([code, effort]) => ({ code, effort })),
			habit: sum((one) => one.cell.parts.habit),
			partners: cost - alone - mixing,
			mixing
		},
		metresPerWeek: sum(({ cell: { metresPerWeek }, share }) => metresPerWeek * share),
		tripsPerWeek: sum(({ trips }) => trips),
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
	const rows = new Map<string, number[]>();
	model.parts.forEach(({ figures }, g) =>
		rows.set(figures.groupId, [...(rows.get(figures.groupId) ?? []), g])
	);
	const nooks = new Map(model.places.map((place, n) => [place.nook.id as string, n]));
	const reaches = { easy: 0, good: 0, bend: 0, stretch: 0, stool: 0 };
	let metres = 0;
	let trips = 0;
	/** Where each part that a routine leads to stands, and how much of it. */
	const walked = new Set(model.routinePairs.flatMap(({ a, b }) => [a, b]));
	const at = new Map<number, { n: number; share: number }[]>();
	for (const { groupId, nookId, share, thingIds } of saved) {
		const n = nooks.get(nookId);
		if (n === undefined) continue;
		const all = rows.get(groupId) ?? [];
		// A row that says which things it is speaks of those parts; else of a share of each.
		const own = all.filter((g) => thingIds?.some((id) => model.parts[g]!.thingIds?.includes(id)));
		const meant = own.length ? own : all;
		const whole = meant.reduce((sum, g) => sum + model.parts[g]!.portion, 0) || 1;
		for (const g of meant) {
			const cell = model.cells[g * N + n]!;
			const part = model.parts[g]!;
			const amount = part.share * Math.min(1, share / whole);
			const count = part.figures.tripsPerWeek * amount;
			trips += count;
			reaches[cell.reach.band] += count;
			if (Number.isFinite(cell.metresPerWeek)) metres += cell.metresPerWeek * amount;
			if (walked.has(g)) {
				const own = at.get(g);
				const here = { n, share: Math.min(1, share / whole) };
				if (own) own.push(here);
				else at.set(g, [here]);
			}
		}
	}
	const { distance } = model.problem;
	for (const { a, b, times } of model.routinePairs)
		for (const one of at.get(a) ?? [])
			for (const two of at.get(b) ?? [])
				metres += times * one.share * two.share * distance[one.n * N + two.n]!;
	return { metresPerWeek: metres, reachesPerWeek: reaches, tripsPerWeek: trips };
}

/** In what a plan is worse than today. */
export type Worse = 'longer-walk' | 'fewer-easy';
/** Less than this is the same, as a share. */
const AS_GOOD = 0.02;

/**
 * Says in what a plan is worse than what stands today, so that it is told with its reason: a longer walk, fewer easy
 * reaches. @example worseThanToday(today, plan) // ['longer-walk']
 */
export function worseThanToday(
	before: Pick<PlanTotals, 'metresPerWeek' | 'reachesPerWeek'>,
	after: Pick<PlanTotals, 'metresPerWeek' | 'reachesPerWeek'>
): readonly Worse[] {
	const found: Worse[] = [];
	if (after.metresPerWeek > before.metresPerWeek * (1 + AS_GOOD)) found.push('longer-walk');
	if (after.reachesPerWeek.easy < before.reachesPerWeek.easy * (1 - AS_GOOD))
		found.push('fewer-easy');
	return found;
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

/** What some parts are together, in bits. */
const kindsOf = ({ problem }: ZoneModel, parts: readonly number[]): number =>
	parts.reduce((all, g) => all | problem.kinds[g]!, 0);

export interface BrokenRule {
	readonly groupId: string;
	readonly nookId: string;
	readonly code: HardCode | 'over-capacity' | ClashCode | 'apart';
	/** What is too large there, where that is the rule; left out: it is not. */
	readonly over?: SizeOver | null;
}

/** Those of the broken rules that a group breaks in a nook: on its own account, or with all that stands there. */
export const brokenAt = (
	broken: readonly BrokenRule[],
	groupId: string,
	nookId: string
): BrokenRule[] =>
	broken.filter(
		(rule) =>
			rule.nookId === nookId &&
			(rule.groupId === groupId || !HARD_CODES.some((own) => own === rule.code))
	);

/** Lists the hard rules that an assignment, perhaps made by hand, breaks: each once for a group and a nook. */
export function brokenRules(model: ZoneModel, assignment: Assignment): BrokenRule[] {
	const { N } = model.problem;
	const groupIn = (n: number) => {
		const g = assignment.indexOf(n);
		return g < 0 ? '' : model.parts[g]!.figures.groupId;
	};
	const broken = violations(model.problem, assignment).map((found): BrokenRule => {
		const nookId = model.places[found.nook]!.nook.id;
		if (found.code === 'conflict') {
			const here = kindsOf(
				model,
				[...assignment.keys()].filter((g) => assignment[g] === found.nook)
			);
			return { groupId: groupIn(found.nook), nookId, code: clashOf(here, here)! };
		}
		if (found.code !== 'forbidden')
			return { groupId: groupIn(found.nook), nookId, code: found.code };
		const { hard } = model.cells[found.part * N + found.nook]!;
		const over = overAt(model, [found.part], found.nook, hard);
		return {
			groupId: model.parts[found.part]!.figures.groupId,
			nookId,
			code: hard!,
			...(over && { over })
		};
	});
	// A nook may be over-full in several ways, and hold several parts of a group.
	const keyOf = ({ groupId, nookId, code }: BrokenRule) => `${groupId}/${nookId}/${code}`;
	return [...new Map(broken.map((rule) => [keyOf(rule), rule])).values()];
}

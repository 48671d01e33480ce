import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { Layout } from './layout';
import { objectiveOf, type Assignment, type AssignmentProblem } from './problem';
import { recombine } from './recombine';

export interface SearchOptions {
	/** Whole number; the same seed and moves give the same plan. */
	readonly seed: number;
	/** Moves tried over all restarts: the budget, so that a clock never decides the plan. */
	readonly moves: number;
	readonly restarts: number;
	/** A plan to start the first run from; what does not fit where it says begins without a place. */
	readonly start?: Assignment | undefined;
	/** G × N, 1 where a part may go; all that is not forbidden when it is left out. */
	readonly only?: Uint8Array | undefined;
	/** G × (N + 1), overflow last: the less it is, the more often a part is tried there; costs when it is left out. */
	readonly rank?: Float64Array | undefined;
	/** Called now and then with the best so far; a true answer stops the search. */
	readonly onProgress?: (progress: {
		movesDone: number;
		objective: number;
		assignment: Assignment;
	}) => boolean | void;
	/** Stop at or below this objective: it has been proven that nothing is better. */
	readonly provenAt?: number;
	/** How much more often the first places of a part are tried than the last, and how far the heat is lowered. */
	readonly pace?: Pace;
}
export interface Pace {
	/** Power of a random number that picks a place from a part's list. */
	readonly draw: number;
	/** The last heat is the first divided by this. */
	readonly cooling: number;
	/** Runs of the second half begin from the best plan, so much cooler than the first; 1: shaken loose, and as hot. */
	readonly reheat: number;
}
/** For ranks that are bounds with gaps; `KEEN_PACE` is for ranks of nooks solved with all they know. */
const EASY_PACE: Pace = { draw: 2, cooling: 4000, reheat: 1 };
export const KEEN_PACE: Pace = { draw: 3, cooling: 1000, reheat: 0.5 };

export interface SearchResult {
	readonly assignment: Assignment;
	readonly objective: number;
	readonly movesDone: number;
	readonly stopped: boolean;
}

export const DEFAULT_SEARCH = { seed: 1, moves: 1_000_000, restarts: 3 } as const;

const REPORT_EVERY = 20_000;
/** Share of the moves that try to swap two parts rather than to move one. */
const SWAP_SHARE = 0.3;
/** The heat is lowered once in so many moves. */
const COOL_EVERY = 64;
/** Share of the moves that put a part where it does not fit and find new places for what it drives out. */
const FORCE_SHARE = 0.1;

/**
 * Looks for an assignment of least effort: greedy start by regret, annealing over moves and swaps that keep
 * every hard rule, then descent to a local best. A part that fits nowhere stays in overflow, which costs more
 * than any place. Deterministic for a seed; never reads a clock; the problem is not changed.
 */
export function searchAssignment(
	problem: AssignmentProblem,
	{ seed, moves, restarts, start, only, rank, onProgress, ...rest }: SearchOptions
): SearchResult {
	const { provenAt = -Infinity, pace: { draw, cooling, reheat } = EASY_PACE } = rest;
	const rng = xoroshiro128plus(seed);
	const random = () => (rng.next() >>> 0) / 4294967296;
	const below = (limit: number) => Math.floor(random() * limit);
	const { G, N } = problem;
	const allowed = Array.from({ length: G }, (_, g) => {
		const list: number[] = [];
		for (let n = 0; n < N; n++)
			if (problem.cost[g * N + n] !== Infinity && (!only || only[g * N + n])) list.push(n);
		// The most promising first: see how places are drawn.
		const of = (n: number) => (rank ? rank[g * (N + 1) + n]! : problem.cost[g * N + n]!);
		return list.sort((a, b) => of(a) - of(b) || a - b);
	});
	const forced = new Forced(G);
	const cheapest = byOwnCost(problem, allowed);
	let best: Assignment = new Int32Array(G).fill(-1);
	let bestObjective = Infinity;
	let movesDone = 0;
	let stopped = false;
	let ofRun: Assignment = best;
	let leastOfRun = Infinity;
	const keepBest = (layout: Layout) => {
		if (layout.objective < leastOfRun - 1e-9) {
			leastOfRun = layout.objective;
			ofRun = layout.assignment.slice();
		}
		if (leastOfRun < bestObjective - 1e-9) [bestObjective, best] = [leastOfRun, ofRun];
	};
	const perRun = Math.max(1, Math.floor(moves / restarts));
	const isKeen = reheat < 1;
	const isAgain = (run: number) => isKeen && run >= restarts / 2;

	for (let run = 0; run < restarts && !stopped && bestObjective > provenAt; run++) {
		const layout = new Layout(problem);
		leastOfRun = Infinity;
		if (start && (run === 0 || (isKeen && !isAgain(run)))) layout.loadFitting(start);
		else if (isAgain(run)) layout.load(best);
		else if (run < 2) placeByRegret(layout, allowed);
		else {
			// Later runs begin from the best with a third of it shaken loose.
			layout.load(best);
			for (let g = 0; g < G; g++) if (random() < 1 / 3) layout.place(g, -1);
			placeByRegret(layout, allowed);
		}
		descend(layout, allowed);
		keepBest(layout);

		const hot = startHeat(layout, allowed, random, below) * (isAgain(run) ? reheat : 1);
		const cold = hot / cooling;
		let heat = hot;
		for (let move = 0; move < perRun; move++, movesDone++) {
			if (move % COOL_EVERY === 0) heat = hot * Math.pow(cold / hot, move / perRun);
			const kind = random();
			if (kind < FORCE_SHARE) {
				const g = pickPart(layout, below);
				const list = allowed[g]!;
				if (list.length)
					tryForce(
						layout,
						g,
						list[below(list.length)]!,
						{ allowed, cheapest, forced },
						heat,
						random
					);
			} else if (kind < FORCE_SHARE + SWAP_SHARE) trySwap(layout, below(G), below(G), heat, random);
			else {
				const g = below(G);
				const list = allowed[g]!;
				// A power of a random number: the first places of a part are tried more often than the last.
				const n = list.length ? list[Math.floor(random() ** draw * list.length)]! : -1;
				if (n < 0 || n === layout.assignment[g]) {
					// Nowhere to go, or there already.
				} else if (layout.fits(g, n)) tryMove(layout, g, n, heat, random);
				else if (layout.held[n]) {
					// Full: whatever stands there may change places with it.
					const h = layout.members[n * G + below(layout.held[n]!)]!;
					trySwap(layout, g, h, heat, random);
				}
			}
			if (layout.objective < leastOfRun - 1e-9) keepBest(layout);
			if (movesDone % REPORT_EVERY === REPORT_EVERY - 1) {
				if (onProgress?.({ movesDone, objective: bestObjective, assignment: best })) stopped = true;
				if (stopped || bestObjective <= provenAt) break;
			}
		}
		layout.load(ofRun);
		descend(layout, allowed);
		keepBest(layout);
		if (best !== ofRun) {
			best = recombine(problem, best, ofRun);
			bestObjective = objectiveOf(problem, best);
		}
	}
	return { assignment: best, objective: bestObjective, movesDone, stopped };
}

/** Chances under e to the power of minus this are none. */
const HOPELESS = 16;
const accepts = (delta: number, heat: number, random: () => number) =>
	delta <= 0 || (delta < HOPELESS * heat && random() < Math.exp(-delta / heat));

function tryMove(layout: Layout, g: number, n: number, heat: number, random: () => number): void {
	const from = layout.assignment[g]!;
	if (n === from || !layout.fits(g, n)) return;
	if (accepts(layout.costAt(g, n) - layout.costAt(g, from), heat, random)) layout.place(g, n);
}

/** Swaps two parts if both fit afterwards and the change is accepted; else leaves all as it was. */
function trySwap(
	layout: Layout,
	g: number,
	h: number,
	heat: number,
	random: () => number
): boolean {
	const n = layout.assignment[g]!;
	const m = layout.assignment[h]!;
	if (g === h || n === m) return false;
	const { N, cost } = layout.problem;
	if (m >= 0 && cost[g * N + m] === Infinity) return false;
	if (n >= 0 && cost[h * N + n] === Infinity) return false;
	// Most swaps fail on room: that is asked first, then the price, and only then is anything moved.
	if (!layout.swapFits(g, h)) return false;
	return accepts(layout.swapDelta(g, h), heat, random) && layout.trade(g, h);
}

/** A part for a forced move: one without a place when there is any, else any. */
function pickPart(layout: Layout, below: (limit: number) => number): number {
	const { G } = layout.problem;
	const from = below(G);
	for (let i = 0; i < G && layout.left > 0; i++) {
		const g = (from + i) % G;
		if (layout.assignment[g]! < 0) return g;
	}
	return from;
}

/** Sorts the places of each part by what it costs there without pairs; ties by index. */
const byOwnCost = ({ N, cost }: AssignmentProblem, allowed: readonly (readonly number[])[]) =>
	allowed.map((list, g) =>
		Int32Array.from([...list].sort((a, b) => cost[g * N + a]! - cost[g * N + b]! || a - b))
	);

/** How many parts in a row may drive out others before a forced move gives up. */
const CHAIN = 5;

/** What a forced move has in hand; kept between moves, so that none of them allocates. */
class Forced {
	/** Parts that were moved with the places they had, each once. */
	readonly parts: Int32Array;
	readonly homes: Int32Array;
	count = 0;
	/** Parts that wait for a place, first in first out. */
	readonly waiting: Int32Array;
	private readonly seen: Uint8Array;

	constructor(G: number) {
		this.parts = new Int32Array(G);
		this.homes = new Int32Array(G);
		this.seen = new Uint8Array(G);
		// A part may be driven out anew by each link of the chain.
		this.waiting = new Int32Array(G * (CHAIN + 1));
	}
	note(part: number, home: number): void {
		if (this.seen[part]) return;
		this.seen[part] = 1;
		this.parts[this.count] = part;
		this.homes[this.count++] = home;
	}
	clear(): void {
		for (let i = 0; i < this.count; i++) this.seen[this.parts[i]!] = 0;
		this.count = 0;
	}
}

/** Places of each part, in the order in which they are tried and by their own costs, and what is in hand. */
interface ForceWays {
	readonly allowed: readonly (readonly number[])[];
	readonly cheapest: readonly Int32Array[];
	readonly forced: Forced;
}

/**
 * Puts part `g` into nook `n` whatever stands there. What is driven out finds its cheapest free place, or drives out
 * others in its turn, a few times over. Kept if the whole change is accepted; else all is as it was.
 */
function tryForce(
	layout: Layout,
	g: number,
	n: number,
	{ allowed, cheapest, forced }: ForceWays,
	heat: number,
	random: () => number
): boolean {
	if (n === layout.assignment[g]) return false;
	const { G } = layout.problem;
	const { waiting } = forced;
	const before = layout.objective;
	forced.note(g, layout.assignment[g]!);
	layout.place(g, -1);
	waiting[0] = g;
	let next = 0;
	let end = 1;
	for (let link = 0; next < end && link < CHAIN;) {
		const part = waiting[next++]!;
		const free = link ? layout.cheapestFit(part, cheapest[part]!) : layout.fits(part, n) ? n : -1;
		if (free >= 0) {
			if (!link) link++;
			layout.place(part, free);
			continue;
		}
		const list = allowed[part]!;
		const target = link ? list[Math.floor(random() * list.length)]! : n;
		link++;
		while (!layout.fits(part, target) && layout.held[target]) {
			const out = layout.members[target * G + Math.floor(random() * layout.held[target]!)]!;
			forced.note(out, target);
			layout.place(out, -1);
			waiting[end++] = out;
		}
		if (layout.fits(part, target)) layout.place(part, target);
	}
	while (next < end) {
		const part = waiting[next++]!;
		layout.place(part, layout.cheapestFit(part, cheapest[part]!));
	}
	const kept = accepts(layout.objective - before, heat, random);
	if (!kept) {
		const { parts, homes, count } = forced;
		for (let i = 0; i < count; i++) layout.place(parts[i]!, -1);
		for (let i = 0; i < count; i++) layout.place(parts[i]!, homes[i]!);
		layout.objective = before;
	}
	forced.clear();
	return kept;
}

/** Places what stands nowhere, each time the part that would lose most by waiting; ties by index. */
export function placeByRegret(layout: Layout, allowed: readonly (readonly number[])[]): void {
	const { G, overflow } = layout.problem;
	const waiting = new Set<number>();
	for (let g = 0; g < G; g++) if (layout.assignment[g]! < 0) waiting.add(g);
	while (waiting.size) {
		let pick = -1;
		let place = -1;
		let most = -Infinity;
		for (const g of waiting) {
			let first = Infinity;
			let second = Infinity;
			let at = -1;
			for (const n of allowed[g]!) {
				if (!layout.fits(g, n)) continue;
				const cost = layout.costAt(g, n);
				if (cost < first) [second, first, at] = [first, cost, n];
				else if (cost < second) second = cost;
			}
			const regret = at < 0 ? -1 : Math.min(second, overflow[g]!) - first;
			if (regret > most) [most, pick, place] = [regret, g, at];
		}
		waiting.delete(pick);
		if (place >= 0) layout.place(pick, place);
	}
}

/** Moves and swaps as long as something improves. */
export function descend(layout: Layout, allowed: readonly (readonly number[])[]): void {
	const { G } = layout.problem;
	const never = () => 1;
	for (let improved = true; improved;) {
		const before = layout.objective;
		for (let g = 0; g < G; g++) {
			let best = layout.assignment[g]!;
			let bestCost = layout.costAt(g, best);
			for (const n of allowed[g]!) {
				const cost = layout.costAt(g, n);
				if (cost < bestCost - 1e-9 && layout.fits(g, n)) [best, bestCost] = [n, cost];
			}
			layout.place(g, best);
		}
		for (let g = 0; g < G; g++) for (let h = g + 1; h < G; h++) trySwap(layout, g, h, 1e-12, never);
		improved = layout.objective < before - 1e-7;
	}
}

/** A heat at which a usual worsening is taken about half the time. */
function startHeat(
	layout: Layout,
	allowed: readonly (readonly number[])[],
	random: () => number,
	below: (limit: number) => number
): number {
	const { G } = layout.problem;
	let sum = 0;
	let seen = 0;
	for (let i = 0; i < 400 && G > 0; i++) {
		const g = below(G);
		const list = allowed[g]!;
		if (!list.length) continue;
		const n = list[Math.floor(random() * list.length)]!;
		const delta = layout.costAt(g, n) - layout.costAt(g, layout.assignment[g]!);
		if (delta > 0 && layout.assignment[g]! >= 0) [sum, seen] = [sum + delta, seen + 1];
	}
	return seen ? (0.5 * sum) / seen : 1;
}

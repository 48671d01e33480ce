import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { Layout } from './layout';
import type { Assignment, AssignmentProblem } from './problem';

export interface SearchOptions {
	/** Whole number; the same seed and moves give the same plan. */
	readonly seed: number;
	/** Moves tried over all restarts: the budget, so that a clock never decides the plan. */
	readonly moves: number;
	readonly restarts: number;
	/** A plan to start the first run from. */
	readonly start?: Assignment | undefined;
	/** G × N, 1 where a part may go; all that is not forbidden when it is left out. */
	readonly only?: Uint8Array | undefined;
	/** Called now and then with the best so far; a true answer stops the search. */
	readonly onProgress?: (progress: {
		movesDone: number;
		objective: number;
		assignment: Assignment;
	}) => boolean | void;
	/** Stop at or below this objective: it has been proven that nothing is better. */
	readonly provenAt?: number;
}

export interface SearchResult {
	readonly assignment: Assignment;
	readonly objective: number;
	readonly movesDone: number;
	readonly stopped: boolean;
}

export const DEFAULT_SEARCH = { seed: 1, moves: 600_000, restarts: 3 } as const;

const REPORT_EVERY = 20_000;
/** Share of the moves that try to swap two parts rather than to move one. */
const SWAP_SHARE = 0.3;
/** Places are drawn with the power of a random number: 1 is even, more prefers the cheap ones. */
const BIAS = 2;
/** Share of the moves that put a part where it does not fit and find new places for what it drives out. */
const FORCE_SHARE = 0.02;

/**
 * Looks for an assignment of least effort: greedy start by regret, annealing over moves and swaps that keep
 * every hard rule, then descent to a local best. A part that fits nowhere stays in overflow, which costs more
 * than any place. Deterministic for a seed; never reads a clock; the problem is not changed.
 */
export function searchAssignment(
	problem: AssignmentProblem,
	{ seed, moves, restarts, start, only, onProgress, provenAt = -Infinity }: SearchOptions
): SearchResult {
	const rng = xoroshiro128plus(seed);
	const random = () => (rng.next() >>> 0) / 4294967296;
	const below = (limit: number) => Math.floor(random() * limit);
	const { G, N } = problem;
	const allowed = Array.from({ length: G }, (_, g) => {
		const list: number[] = [];
		for (let n = 0; n < N; n++)
			if (problem.cost[g * N + n] !== Infinity && (!only || only[g * N + n])) list.push(n);
		return list;
	});
	let best: Assignment = new Int32Array(G).fill(-1);
	let bestObjective = Infinity;
	let movesDone = 0;
	let stopped = false;
	const keepBest = (layout: Layout) => {
		if (layout.objective < bestObjective - 1e-9) {
			bestObjective = layout.objective;
			best = layout.assignment.slice();
		}
	};
	const perRun = Math.max(1, Math.floor(moves / restarts));

	for (let run = 0; run < restarts && !stopped && bestObjective > provenAt; run++) {
		const layout = new Layout(problem);
		if (run === 0 && start) layout.load(start);
		else if (run < 2) placeByRegret(layout, allowed);
		else {
			// Later runs begin from the best with a third of it shaken loose.
			layout.load(best);
			for (let g = 0; g < G; g++) if (random() < 1 / 3) layout.place(g, -1);
			placeByRegret(layout, allowed);
		}
		descend(layout, allowed);
		keepBest(layout);

		const hot = startHeat(layout, allowed, random, below);
		const cold = hot / 4000;
		for (let move = 0; move < perRun; move++, movesDone++) {
			const heat = hot * Math.pow(cold / hot, move / perRun);
			const kind = random();
			if (kind < FORCE_SHARE) {
				const g = pickPart(layout, below);
				const list = allowed[g]!;
				if (list.length) tryForce(layout, g, list[below(list.length)]!, allowed, heat, random);
			} else if (kind < FORCE_SHARE + SWAP_SHARE) trySwap(layout, below(G), below(G), heat, random);
			else {
				const g = below(G);
				const list = allowed[g]!;
				// The cheap places of a part are tried more often than the dear ones.
				const n = list.length ? list[Math.floor(random() ** BIAS * list.length)]! : -1;
				if (n < 0 || n === layout.assignment[g]) {
					// Nowhere to go, or there already.
				} else if (layout.fits(g, n)) tryMove(layout, g, n, heat, random);
				else if (layout.held[n]) {
					// Full: whatever stands there may change places with it.
					const h = layout.members[n * G + below(layout.held[n]!)]!;
					trySwap(layout, g, h, heat, random);
				}
			}
			if (layout.objective < bestObjective - 1e-9) keepBest(layout);
			if (movesDone % REPORT_EVERY === REPORT_EVERY - 1) {
				if (onProgress?.({ movesDone, objective: bestObjective, assignment: best })) stopped = true;
				if (stopped || bestObjective <= provenAt) break;
			}
		}
		layout.load(best);
		descend(layout, allowed);
		keepBest(layout);
	}
	return { assignment: best, objective: bestObjective, movesDone, stopped };
}

const accepts = (delta: number, heat: number, random: () => number) =>
	delta <= 0 || random() < Math.exp(-delta / heat);

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
	for (let i = 0; i < G; i++) {
		const g = (from + i) % G;
		if (layout.assignment[g]! < 0) return g;
	}
	return from;
}

/** The cheapest nook with room for a part that stands nowhere; −1 when there is none. */
function cheapestFree(layout: Layout, g: number, allowed: readonly (readonly number[])[]): number {
	let best = -1;
	let least = Infinity;
	for (const n of allowed[g]!) {
		const cost = layout.costAt(g, n);
		if (cost < least && layout.fits(g, n)) [best, least] = [n, cost];
	}
	return best;
}

/** How many parts in a row may drive out others before a forced move gives up. */
const CHAIN = 5;

/** Drives parts out of nook `n`, one by one at random, until `g` fits; gives those that went. */
function makeRoom(layout: Layout, g: number, n: number, random: () => number): number[] {
	const { G } = layout.problem;
	const driven: number[] = [];
	while (!layout.fits(g, n)) {
		const occupants: number[] = [];
		for (let h = 0; h < G; h++) if (layout.assignment[h] === n) occupants.push(h);
		const part = occupants[Math.floor(random() * occupants.length)];
		if (part === undefined) break;
		driven.push(part);
		layout.place(part, -1);
	}
	return driven;
}

/**
 * Puts part `g` into nook `n` whatever stands there. What is driven out finds its cheapest free place, or drives out
 * others in its turn, a few times over. Kept if the whole change is accepted; else all is as it was.
 */
function tryForce(
	layout: Layout,
	g: number,
	n: number,
	allowed: readonly (readonly number[])[],
	heat: number,
	random: () => number
): boolean {
	if (n === layout.assignment[g]) return false;
	const before = layout.objective;
	const homes = new Map<number, number>([[g, layout.assignment[g]!]]);
	const homeless: { part: number; to: number }[] = [{ part: g, to: n }];
	layout.place(g, -1);
	for (let link = 0; homeless.length && link < CHAIN;) {
		const { part, to } = homeless.shift()!;
		const free = to >= 0 ? to : cheapestFree(layout, part, allowed);
		if (free >= 0 && layout.fits(part, free)) {
			layout.place(part, free);
			continue;
		}
		const list = allowed[part]!;
		const target = to >= 0 ? to : list[Math.floor(random() * list.length)]!;
		link++;
		for (const out of makeRoom(layout, part, target, random)) {
			if (!homes.has(out)) homes.set(out, target);
			homeless.push({ part: out, to: -1 });
		}
		if (layout.fits(part, target)) layout.place(part, target);
	}
	for (const { part, to } of homeless)
		if (to < 0) layout.place(part, cheapestFree(layout, part, allowed));
	if (accepts(layout.objective - before, heat, random)) return true;
	for (const part of homes.keys()) layout.place(part, -1);
	for (const [part, home] of homes) layout.place(part, home);
	layout.objective = before;
	return false;
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

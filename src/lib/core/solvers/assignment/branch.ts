import { Layout } from './layout';
import { PairSplit } from './pair-costs';
import {
	mixingOf,
	objectiveOf,
	violations,
	type Assignment,
	type AssignmentProblem
} from './problem';
import { hasMore } from './nook-subproblem';
import { Relaxation, toRelaxable } from './relaxation';
import { descend, placeByRegret } from './search';

export interface BranchOptions {
	/** A known plan; the tree looks only for better ones. */
	readonly start: Assignment;
	/** Work at most, in cells of knapsack tables; a count, so that a clock never decides. */
	readonly work: number;
	/** Rounds of prices at the root, and at each node below it. */
	readonly rootRounds: number;
	readonly nodeRounds: number;
	/** Steps into which capacities that are no whole numbers are cut. */
	readonly steps: number;
	/** A wish beyond the problem's own rules: a plan without it is passed over. The start has to keep it. */
	readonly accepts?: (assignment: Assignment) => boolean;
	/** Called every few nodes; a true answer ends the work. */
	readonly onProgress?: (progress: {
		doneShare: number;
		objective: number;
		bound: number;
		assignment: Assignment;
	}) => boolean | void;
}
export const DEFAULT_BRANCH = { work: 40_000_000, rootRounds: 500, nodeRounds: 22, steps: 240 };

export interface BranchResult {
	readonly assignment: Assignment;
	readonly objective: number;
	/** No plan goes below this. */
	readonly bound: number;
	/** Cells (G × N) that can still be better than the plan, at the root: 1 where a part may go. */
	readonly open: Uint8Array;
	/** Parts that can still stand nowhere in a better plan: 1 where overflow is open. */
	readonly spillOpen: Uint8Array;
	/** G × (N + 1), overflow last: no plan with the part there goes below this; null before the root is bounded. */
	readonly ways: Float64Array | null;
	readonly nodes: number;
	readonly stopped: boolean;
}

/** Whether every cost a plan can have is a whole number, so that a better plan is better by one. */
export function isWhole({ cost, overflow, pairs, distance, mixing }: AssignmentProblem): boolean {
	const whole = (value: number) => value === Infinity || Number.isInteger(value);
	return (
		cost.every(whole) &&
		overflow.every(whole) &&
		(!pairs.length || distance.every(whole)) &&
		pairs.every(({ near, together }) => whole(near) && whole(together)) &&
		(!mixing || (mixing.price.every(whole) && whole(mixing.crowdPrice)))
	);
}

/** A mended plan so near to the best is worth a descent. */
const NEAR_SHARE = 0.02;
/** The tree begins anew when a better plan has closed so much of the gap at its root: far more cells close there. */
const RESTART_SHARE = 0.2;

/** Bounds so much further than what closes a place are not told apart. */
const CLEAR = 1.001;

const REPORT_EVERY = 6;
const LAYING_OUT = 10;
/** What a pair of nooks of a pair costs to charge. */
const CHARGING = 1.5;
/** Times the split of the pairs is levelled at the root in a later run of the tree. */
const LEVELS_AGAIN = 6;
/**
 * At the root: times the split of the pairs is levelled at most, rounds of prices before the first (good prices for a
 * poor split are soon worth nothing), and rounds that it gets even when levelling has used up the work, for a bound is
 * worth that. Where a nook knows more than one capacity a round costs more and says more.
 */
const PACING = {
	knapsack: { levels: 40, firstRounds: 60, lastRounds: 300 },
	full: { levels: 24, firstRounds: 80, lastRounds: 150 }
};
/** One node in so many is mended into a plan, and one levelling. */
const MEND_EVERY = 8;
const LEVEL_PACE = 0.5;
/** Times the prices of a node are climbed again after places were closed. */
const PASSES = 4;
/** The levelling ends when so many passes together have not raised the bound by this share. */
const LEVEL_PATIENCE = 6;
const LEVEL_GAIN = 5e-4;

interface Node {
	/** G × N: 1 where a part may still go. */
	readonly open: Uint8Array;
	/** G: whether overflow is still open to a part. */
	readonly spillOpen: Uint8Array;
	/** Nook of a part, N for overflow, −1 while it is free. */
	readonly fixed: Int32Array;
	readonly price: Float64Array;
	readonly bound: number;
}

/** What is still open at a node; changed in place while the node is worked on. */
interface Cells {
	readonly G: number;
	readonly N: number;
	/** G × N, G, G: as in `Node`. */
	readonly open: Uint8Array;
	readonly spillOpen: Uint8Array;
	readonly fixed: Int32Array;
}
const isOpenAt = ({ N, open, spillOpen }: Cells, g: number, m: number): boolean =>
	!!(m < N ? open[g * N + m] : spillOpen[g]);

/**
 * Closes every cell whose forced bound (`ways`, G × (N + 1)) reaches `limit`, and fixes the parts with one cell left.
 * Gives how many were fixed; −1 when a part has none left.
 */
function closeAndFix(cells: Cells, ways: Float64Array, limit: number): number {
	const { G, N, open, spillOpen, fixed } = cells;
	const M = N + 1;
	let news = 0;
	for (let g = 0; g < G; g++) {
		if (fixed[g]! >= 0) continue;
		let left = 0;
		let last = -1;
		for (let m = 0; m < M; m++) {
			if (!isOpenAt(cells, g, m)) continue;
			if (ways[g * M + m]! >= limit) {
				if (m < N) open[g * N + m] = 0;
				else spillOpen[g] = 0;
				continue;
			}
			left++;
			last = m;
		}
		if (!left) return -1;
		if (left === 1) {
			fixed[g] = last;
			news++;
		}
	}
	return news;
}

/** Picks the free part with the fewest open cells; ties go to the one whose best two ways lie furthest apart. */
function partToTry(cells: Cells, ways: Float64Array): number {
	const M = cells.N + 1;
	let pick = -1;
	let fewest = Infinity;
	let widest = -1;
	for (let g = 0; g < cells.G; g++) {
		if (cells.fixed[g]! >= 0) continue;
		let count = 0;
		let one = Infinity;
		let two = Infinity;
		for (let m = 0; m < M; m++) {
			if (!isOpenAt(cells, g, m)) continue;
			count++;
			const way = ways[g * M + m]!;
			if (way < one) [two, one] = [one, way];
			else if (way < two) two = way;
		}
		if (count < fewest || (count === fewest && two - one > widest))
			[pick, fewest, widest] = [g, count, two - one];
	}
	return pick;
}

/** The children of a node: its part to try in each of its open cells, the most promising first, ties by cell. */
function childrenOf(cells: Cells, ways: Float64Array, price: Float64Array, bound: number): Node[] {
	const { N, open, spillOpen, fixed } = cells;
	const M = N + 1;
	const pick = partToTry(cells, ways);
	return Array.from({ length: M }, (_, m) => m)
		.filter((m) => isOpenAt(cells, pick, m))
		.sort((a, b) => ways[pick * M + a]! - ways[pick * M + b]! || a - b)
		.map((m) => {
			const childFixed = fixed.slice();
			childFixed[pick] = m;
			const childOpen = open.slice();
			for (let n = 0; n < N; n++) if (n !== m) childOpen[pick * N + n] = 0;
			const least = Math.max(bound, ways[pick * M + m]!);
			return { open: childOpen, spillOpen, fixed: childFixed, price, bound: least };
		});
}

/**
 * Branch and bound over Lagrangian bounds. It dives to the most promising child, and goes on from a dead end with the
 * waiting node of the least bound, so that no poor subtree holds it up. At each node the prices climb a little from the parent's, every
 * cell whose forced bound cannot beat the best plan is closed, parts with one place left are fixed, and the part with
 * the fewest places left is tried in each of them, the most promising first. Every node's relaxed solution is mended
 * into a plan. Capacities and conflicts that the bound does not see are checked when a part is fixed. Ends with the
 * optimum proven, or when the work is used up, with the least bound of what is left open.
 */
export function branchAndBound(problem: AssignmentProblem, options: BranchOptions): BranchResult {
	const { G, N } = problem;
	const M = N + 1;
	const whole = isWhole(problem);
	let best = options.start.slice();
	let bestObjective = objectiveOf(problem, best);
	const enough = () =>
		bestObjective - (whole ? 1 - 1e-6 : Math.max(1e-9, Math.abs(bestObjective) * 1e-9));
	const allowed = (open: Uint8Array) =>
		Array.from({ length: G }, (_, g) => {
			const list: number[] = [];
			for (let n = 0; n < N; n++) if (open[g * N + n]) list.push(n);
			return list;
		});
	const offer = (assignment: Assignment) => {
		const objective = objectiveOf(problem, assignment);
		if (objective >= bestObjective - 1e-9 || violations(problem, assignment).length) return;
		if (options.accepts?.(assignment) === false) return;
		best = assignment.slice();
		bestObjective = objective;
	};

	const rootOpen = new Uint8Array(G * N);
	for (let cell = 0; cell < G * N; cell++) rootOpen[cell] = Number(problem.cost[cell] !== Infinity);
	const fixedNone = new Int32Array(G).fill(-1);
	const split = new PairSplit(problem);
	const { linear, spill } = split.charge(rootOpen, fixedNone);
	const relaxation = new Relaxation(toRelaxable(problem, linear, spill, options.steps));
	const { weights, rooms: fullRooms } = relaxation.model;
	const pacing = hasMore(problem) ? PACING.full : PACING.knapsack;
	// Work under way, from here on changed by `expand` and `mend`.
	let nodes = 0;
	let stopped = false;
	const isOver = () => stopped || relaxation.work > options.work;
	let rootCells: Pick<BranchResult, 'open' | 'spillOpen' | 'ways'> | null = null;

	/** Mends the relaxed solution of a node into a plan: what was taken once stays, the rest goes where it costs least. */
	function mend(takenAt: Int32Array, fixed: Int32Array, open: Uint8Array): void {
		const layout = new Layout(problem);
		const put = (g: number, n: number) => {
			if (n >= 0 && n < N && layout.fits(g, n)) layout.place(g, n);
		};
		for (let g = 0; g < G; g++) if (fixed[g]! >= 0) put(g, fixed[g]!);
		for (let g = 0; g < G; g++) if (fixed[g]! < 0) put(g, takenAt[g]!);
		const lists = allowed(open);
		placeByRegret(layout, lists);
		if (layout.objective < bestObjective * (1 + NEAR_SHARE)) descend(layout, lists);
		offer(layout.assignment);
	}

	/** Times the tree was begun anew. */
	let run = 0;
	let rootBound = -Infinity;
	let rootPrice = relaxation.price.slice();
	let rootObjective = bestObjective;
	const isRestarting = () =>
		rootObjective - bestObjective > RESTART_SHARE * (rootObjective - rootBound) &&
		rootObjective - bestObjective > Math.abs(bestObjective) * 1e-4;
	/** Tells of the work so far, which a true answer ends. */
	function report(): void {
		stopped ||= !!options.onProgress?.({
			doneShare: Math.min(1, relaxation.work / options.work),
			objective: bestObjective,
			bound: Math.min(rootBound, bestObjective),
			assignment: best
		});
	}
	/**
	 * Bounds a node, closes and fixes what it can, and gives its children, the most promising first; none when nothing
	 * better lies under it. The best plan may change on the way.
	 */
	function expand(node: Node, rounds: number, pace: number): Node[] {
		nodes++;
		const isRoot = node.bound === -Infinity;
		const open = node.open.slice();
		const spillOpen = node.spillOpen.slice();
		const fixed = node.fixed.slice();
		relaxation.price.set(node.price);
		let bound = node.bound;
		let ways: Float64Array | null = null;
		const levels = !isRoot || !problem.pairs.length ? 0 : run ? LEVELS_AGAIN : pacing.levels;
		let levelled = { bound: -Infinity, pass: 0, split: split.save(), price: node.price };
		let levelling = levels > 0;
		for (let pass = 0, plain = 0; plain < PASSES; pass++) {
			// The root of a large home takes its time: whoever waits hears of each pass.
			if (isRoot && pass) report();
			const layout = new Layout(problem);
			const rooms = fullRooms.slice();
			for (let g = 0; g < G; g++) {
				const n = fixed[g]!;
				if (n < 0 || n >= N) continue;
				if (!layout.fits(g, n)) return [];
				layout.place(g, n);
				rooms[n]! -= weights[n]![g]!;
			}
			// What laying out a node costs, in the same coin as the tables.
			relaxation.work += LAYING_OUT * G * M + CHARGING * problem.pairs.length * N * N;
			const costs = split.charge(open, fixed);
			// What is fixed already meets what it meets: the linear costs know nothing of it, and more parts only add to it.
			const mixed = mixingOf(problem, fixed);
			const cost = new Float64Array(G * M);
			for (let g = 0; g < G; g++) {
				for (let n = 0; n < N; n++) {
					const cell = g * N + n;
					const shut = !open[cell] || (fixed[g]! < 0 && !layout.fits(g, n));
					if (shut) open[cell] = 0;
					cost[g * M + n] = shut ? Infinity : costs.linear[cell]!;
				}
				cost[g * M + N] = spillOpen[g] ? costs.spill[g]! : Infinity;
			}
			const climbed = relaxation.climb(cost, rooms, fixed, {
				rounds: levelling
					? Math.min(rounds, pass ? options.nodeRounds : pacing.firstRounds)
					: Math.min(rounds, plain ? options.nodeRounds : isOver() ? pacing.lastRounds : rounds),
				known: bestObjective - mixed,
				enough: enough() - mixed,
				pace: pass && levels ? LEVEL_PACE : pace
			});
			bound = Math.max(bound, climbed + mixed);
			if (isRoot) rootPrice = relaxation.price.slice();
			if (bound >= enough()) return [];
			if (levelling ? pass % MEND_EVERY === 0 : nodes < 40 || nodes % MEND_EVERY === 0)
				mend(relaxation.takenAt, fixed, open);
			if (bound >= enough()) return [];
			ways = relaxation.forced(cost, rooms, fixed, CLEAR * (enough() - mixed - climbed));
			if (mixed) ways.forEach((way, i) => (ways![i] = way + mixed));
			const news = closeAndFix({ G, N, open, spillOpen, fixed }, ways, enough());
			if (news < 0) return [];
			if (isRoot)
				[rootCells, rootBound] = [
					{ open: open.slice(), spillOpen: spillOpen.slice(), ways: ways.slice() },
					bound
				];
			if (fixed.every((n) => n >= 0)) {
				offer(Int32Array.from(fixed, (n) => (n >= N ? -1 : n)));
				return [];
			}
			if (levelling) {
				if (climbed > levelled.bound + Math.abs(climbed) * LEVEL_GAIN)
					levelled = { bound: climbed, pass, split: split.save(), price: relaxation.price.slice() };
				levelling = pass < levels && pass - levelled.pass < LEVEL_PATIENCE && !isOver();
				if (levelling) split.level(ways, climbed, open, fixed);
				else {
					// From the best split there was, and now for as many rounds as the root is worth.
					split.restore(levelled.split);
					relaxation.price.set(levelled.price);
				}
				continue;
			}
			plain++;
			if (!news) break;
		}

		if (nodes % REPORT_EVERY === 1) report();
		const price = relaxation.price.slice();
		return childrenOf({ G, N, open, spillOpen, fixed }, ways!, price, bound);
	}

	/** Takes the waiting node of the least bound; ties by age. */
	const takeLeast = (waiting: Node[]): Node | undefined => {
		let at = 0;
		for (let i = 1; i < waiting.length; i++) if (waiting[i]!.bound < waiting[at]!.bound) at = i;
		return waiting.splice(at, 1)[0];
	};
	let bound = -Infinity;
	for (let again = true; again; run++) {
		rootObjective = bestObjective;
		let waiting: Node[] = [];
		let node: Node | undefined = {
			open: rootOpen,
			spillOpen: new Uint8Array(G).fill(1),
			fixed: fixedNone,
			price: rootPrice,
			bound: -Infinity
		};
		again = false;
		while (node && !isOver()) {
			const isRoot: boolean = node.bound === -Infinity;
			const [first, ...others]: Node[] = isRoot
				? expand(
						node,
						run ? Math.ceil(options.rootRounds / 4) : options.rootRounds,
						run ? 0.4 : 1.4
					)
				: expand(node, options.nodeRounds, 0.6);
			waiting = waiting.filter((other) => other.bound < enough());
			waiting.push(...others.filter((other) => other.bound < enough()));
			// Down to the most promising child at once; from a dead end, on with the least bound of all that waits.
			node = first && first.bound < enough() ? first : takeLeast(waiting);
			if (node && isRestarting()) {
				again = true;
				break;
			}
		}
		const left = node ? [node, ...waiting] : waiting;
		const least = left.reduce((low, { bound: own }) => Math.min(low, own), Infinity);
		bound = Math.max(bound, rootBound, Math.min(least, bestObjective));
	}
	return {
		assignment: best,
		objective: bestObjective,
		bound: Math.min(bound, bestObjective),
		...(rootCells ?? {
			open: rootOpen,
			spillOpen: new Uint8Array(G).fill(1),
			ways: null
		}),
		nodes,
		stopped
	};
}

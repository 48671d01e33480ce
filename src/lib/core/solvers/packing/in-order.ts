import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { StandingPlace } from './decide';
import { disorderOf, rectOf, type ShelfProblem } from './disorder';
import { drawnForward, setDown, type Sequence } from './set-down';

export interface OrderOptions {
	/** Orders looked at, in each of the runs. */
	readonly looks: number;
	readonly runs: number;
	/** Where everything stands so far; null: not known. */
	readonly start: readonly StandingPlace[] | null;
	/** As good as none: it is not looked for less. */
	readonly enough: number;
}
export const DEFAULT_ORDER: OrderOptions = { looks: 500, runs: 3, start: null, enough: 0 };

/** Everything at its place, with what its disorder costs. */
export interface InOrder {
	readonly places: readonly StandingPlace[];
	readonly disorder: number;
}

const EPS = 1e-6;
/** What a millimetre beyond the floor counts while it is searched. */
const BEYOND = 2;
/** How much worse an order may be at first to be gone on from, as a share of the prices. */
const HEAT = 1 / 16;
/** So many changes of each kind among all; the others move one piece elsewhere. */
const CHANGES = { all: 15, atFront: 4, turned: 4, group: 1, swap: 2 } as const;

/** How far places reach beyond the floor on the right, piece by piece, mm. */
function beyond({ width, pieces }: ShelfProblem, places: readonly StandingPlace[]): number {
	let sum = 0;
	for (let i = 0; i < places.length; i++) {
		const { x, w } = rectOf(pieces[i]!, places[i]!);
		if (x + w > width + EPS) sum += x + w - width;
	}
	return sum;
}

/** Group by group, the deep pieces first. */
function firstSequence({ pieces, depth }: ShelfProblem): Sequence {
	const order = pieces.map((_, i) => i);
	order.sort((a, b) => pieces[a]!.group - pieces[b]!.group || pieces[b]!.d - pieces[a]!.d || a - b);
	return {
		order,
		turned: pieces.map(({ d, turn }) => turn && d > depth),
		atFront: pieces.map(({ front }) => front)
	};
}

/** From left to right as it stands. */
function sequenceOf(start: readonly StandingPlace[]): Sequence {
	const order = start.map((_, i) => i);
	order.sort((a, b) => start[a]!.x - start[b]!.x || start[a]!.y - start[b]!.y || a - b);
	return {
		order,
		turned: start.map(({ turned }) => turned),
		atFront: start.map(({ y }) => y < EPS)
	};
}

const flipped = (flags: readonly boolean[], at: number) =>
	flags.map((flag, i) => (i === at ? !flag : flag));

/** A sequence with one thing changed. */
function changed(
	{ order, turned, atFront }: Sequence,
	{ pieces }: ShelfProblem,
	below: (limit: number) => number
): Sequence {
	const from = below(order.length);
	const piece = order[from]!;
	const { group, turn } = pieces[piece]!;
	let kind = below(CHANGES.all);
	if ((kind -= CHANGES.atFront) < 0) return { order, turned, atFront: flipped(atFront, piece) };
	if ((kind -= CHANGES.turned) < 0 && turn)
		return { order, turned: flipped(turned, piece), atFront };
	if ((kind -= CHANGES.group) < 0) {
		const own = order.filter((i) => pieces[i]!.group === group);
		const rest = order.filter((i) => pieces[i]!.group !== group);
		const at = below(rest.length + 1);
		return { order: [...rest.slice(0, at), ...own, ...rest.slice(at)], turned, atFront };
	}
	const next = [...order];
	if ((kind -= CHANGES.swap) < 0) {
		const own = order.flatMap((i, at) => (pieces[i]!.group === group ? [at] : []));
		const to = own[below(own.length)]!;
		[next[from], next[to]] = [next[to]!, piece];
		return { order: next, turned, atFront };
	}
	next.splice(from, 1);
	next.splice(below(order.length), 0, piece);
	return {
		order: next,
		turned: turn && below(3) === 0 ? flipped(turned, piece) : turned,
		atFront: below(2) === 0 ? flipped(atFront, piece) : atFront
	};
}

/**
 * Sets pieces down in a tidy order: what belongs together side by side, nothing behind what hides it. A local search over the
 * order in which they are set down from the left, first group by group, in further runs from where they stand; deterministic, and what it starts from is never made worse. Null: no order
 * was found in which all of it stands. Pieces at their places never overlap, never leave the floor, keep off what is blocked
 * for them, and nothing is before a `front` one.
 * @example packInOrder({ width: 200, depth: 100, pieces, fromAbove: false, prices })?.disorder // 40
 */
export function packInOrder(
	problem: ShelfProblem,
	options: Partial<OrderOptions> = {}
): InOrder | null {
	const { looks, runs, start, enough } = { ...DEFAULT_ORDER, ...options };
	const { behindOther, apart } = problem.prices;
	let best: InOrder | null = null;
	const consider = (places: readonly StandingPlace[], disorder: number): void => {
		if (best && disorder >= best.disorder - EPS) return;
		const drawn = drawnForward(problem, places);
		const asDrawn = disorderOf(problem, drawn);
		if (!best || asDrawn < best.disorder - EPS) best = { places: drawn, disorder: asDrawn };
	};
	const costOf = (sequence: Sequence): number => {
		const places = setDown(problem, sequence);
		if (!places) return Infinity;
		const over = beyond(problem, places);
		// Whatever its order, it is enough: then only whether it stands is asked.
		const disorder = enough === Infinity ? 0 : disorderOf(problem, places);
		if (over === 0) consider(places, disorder);
		return disorder + over * BEYOND;
	};
	const isEnough = () => best !== null && best.disorder <= enough + EPS;
	if (start) consider(start, disorderOf(problem, start));
	for (let run = 1; run <= runs && !isEnough(); run++) {
		const rng = xoroshiro128plus(run);
		const random = () => (rng.next() >>> 0) / 4294967296;
		const below = (limit: number) => Math.floor(random() * limit);
		let now = start && run > 1 ? sequenceOf(start) : firstSequence(problem);
		let cost = costOf(now);
		for (let look = 0; look < looks && !isEnough(); look++) {
			const next = changed(now, problem, below);
			const nextCost = costOf(next);
			const warmth = (behindOther + apart) * HEAT * (1 - look / looks);
			if (nextCost <= cost || random() < Math.exp((cost - nextCost) / Math.max(EPS, warmth))) {
				now = next;
				cost = nextCost;
			}
		}
	}
	return best;
}

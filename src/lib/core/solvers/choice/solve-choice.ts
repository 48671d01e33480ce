import TinyQueue from 'tinyqueue';
import {
	choiceCost,
	type ChoiceProblem,
	type ChoiceResult,
	type ChoiceWay,
	type Stands
} from './problem';

export interface ChoiceOptions {
	/** A choice that stands, to be beaten. */
	readonly start?: readonly number[] | null;
	/** Partial choices gone on from: the budget. */
	readonly nodes: number;
	/** How often it is asked whether something stands. */
	readonly asks: number;
	/** What a whole choice costs beside its ways, as it stands: never less than nothing. Nothing, unless said. */
	readonly together?: (chosen: readonly number[]) => number;
}
export const DEFAULT_CHOICE: ChoiceOptions = { nodes: 4000, asks: 200 };

/** Ways of the first wants. */
interface Node {
	/** No choice that begins so costs less. */
	readonly value: number;
	readonly chosen: readonly number[];
	readonly floor: number;
	readonly mass: number;
	/** Of equal ones the first that came goes first. */
	readonly at: number;
}

const EPS = 1e-9;
/** What floor is worth in the bound is looked for in so many halvings. */
const HALVINGS = 40;
/** A part of the floor below which what is chosen is not asked about before it is whole. */
const ASK_FROM = 0.5;

/** What a way costs at least beside any others: as if all of a kind that there is were left for it. */
const ownCost = ({ owned, price }: ChoiceProblem, { cost, uses }: ChoiceWay): number =>
	uses.reduce((sum, [kind, count]) => sum + Math.max(0, count - owned[kind]!) * price[kind]!, cost);

/** What the wants from each one on cost at least at a price of floor. */
interface Priced {
	readonly perFloor: number;
	readonly from: readonly number[];
}
function priced(problem: ChoiceProblem, perFloor: number): Priced {
	const from = [0];
	for (const ways of [...problem.wants].reverse())
		from.push(
			from.at(-1)! + Math.min(...ways.map((way) => ownCost(problem, way) + perFloor * way.floor))
		);
	return { perFloor, from: from.reverse() };
}

/** Prices of floor that bound well: none, which is exact of a whole choice, and the one at which the cheapest ways just go on (halving between two ends). */
function pricesOf(problem: ChoiceProblem): Priced[] {
	const { wants, floor } = problem;
	const valueAt = (perFloor: number) => priced(problem, perFloor).from[0]! - perFloor * floor;
	const takenAt = (perFloor: number) =>
		wants.reduce((sum, ways) => {
			const costs = ways.map((way) => ownCost(problem, way) + perFloor * way.floor);
			return sum + ways[costs.indexOf(Math.min(...costs))]!.floor;
		}, 0);
	if (!wants.length || takenAt(0) <= floor) return [priced(problem, 0)];
	let [low, high] = [0, 1];
	while (takenAt(high) > floor && high < 1e6) high *= 4;
	for (let i = 0; i < HALVINGS; i++) {
		const middle = (low + high) / 2;
		if (takenAt(middle) > floor) low = middle;
		else high = middle;
	}
	const best = valueAt(low) > valueAt(high) ? low : high;
	return [0, best / 2, best].map((perFloor) => priced(problem, perFloor));
}

/** What the wants from each one on weigh, or take of the floor, at least. */
const leastFrom = (problem: ChoiceProblem, of: (way: ChoiceWay) => number): number[] => {
	const from = [0];
	for (const ways of [...problem.wants].reverse())
		from.push(from.at(-1)! + Math.min(...ways.map(of)));
	return from.reverse();
};

/**
 * Chooses a way for each want so that all of them stand together at the least cost. What stands is asked of the caller, for
 * the first wants too: what cannot stand never does with more. The cheapest beginning is gone on from first, so that a whole
 * choice that stands is the best one as soon as no beginning is cheaper, and what was not looked at gives the bound.
 * Deterministic; ties go to the first.
 * @example solveChoice(problem, () => 'stands').status // 'proven'
 */
export function solveChoice(
	problem: ChoiceProblem,
	stands: (chosen: readonly number[]) => Stands,
	{ start = null, nodes, asks, together = () => 0 }: ChoiceOptions = DEFAULT_CHOICE
): ChoiceResult {
	const { wants, floor, load } = problem;
	const prices = pricesOf(problem);
	const floorFrom = leastFrom(problem, (way) => way.floor);
	const massFrom = leastFrom(problem, (way) => way.mass);
	let best: readonly number[] | null = start;
	let objective = start ? choiceCost(problem, start) + together(start) : Infinity;
	/** The cheapest of which it is not known whether it stands. */
	let doubtful = Infinity;
	let nodesLeft = nodes;
	let asksLeft = asks;
	const queue = new TinyQueue<Node>([], (a, b) => a.value - b.value || a.at - b.at);
	const least = () => queue.peek()?.value ?? Infinity;
	let count = 0;
	const valueOf = (chosen: readonly number[], taken: number): number => {
		const rest = Math.max(
			...prices.map(({ perFloor, from }) => from[chosen.length]! + perFloor * (taken - floor))
		);
		return choiceCost(problem, chosen) + rest;
	};
	const add = (chosen: readonly number[], taken: number, mass: number): void => {
		const next = chosen.length;
		if (taken + floorFrom[next]! > floor + EPS || mass + massFrom[next]! > load + EPS) return;
		const value = valueOf(chosen, taken);
		if (value < objective - EPS) queue.push({ value, chosen, floor: taken, mass, at: count++ });
	};
	const standsAt = ({ chosen, value }: Node) => {
		const whole = value + together(chosen);
		if (whole < objective - EPS) [best, objective] = [chosen, whole];
	};
	add([], 0, 0);
	while (least() < objective - EPS && nodesLeft > 0) {
		const node = queue.pop()!;
		const isWhole = node.chosen.length === wants.length;
		if (node.chosen.length && (isWhole || node.floor >= floor * ASK_FROM)) {
			if (asksLeft <= 0) {
				queue.push(node);
				break;
			}
			asksLeft--;
			const answer = stands(node.chosen);
			if (answer === 'cannot') continue;
			if (isWhole) {
				if (answer === 'stands') standsAt(node);
				else doubtful = Math.min(doubtful, node.value);
				continue;
			}
		}
		if (isWhole) {
			standsAt(node);
			continue;
		}
		nodesLeft--;
		wants[node.chosen.length]!.forEach((way, at) =>
			add([...node.chosen, at], node.floor + way.floor, node.mass + way.mass)
		);
	}
	const bound = Math.min(objective, doubtful, least());
	if (bound === Infinity) return { status: 'none', chosen: null, objective, bound };
	return {
		status: objective <= bound + EPS ? 'proven' : 'open',
		chosen: best,
		objective,
		bound
	};
}

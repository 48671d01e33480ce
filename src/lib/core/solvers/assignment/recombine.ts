import { objectiveOf, violations, type Assignment, type AssignmentProblem } from './problem';

/**
 * Takes the better side of every difference between two plans. Parts that stand elsewhere in the second plan hang
 * together where they leave or enter the same nook; each such chain is taken over, one after the other, if the plan as it then
 * is keeps its rules and costs less by it. Never worse than the first plan; ties keep it.
 * @example recombine(problem, first, second) // where each chain of moves stands as in the better of the two
 */
export function recombine(
	problem: AssignmentProblem,
	first: Assignment,
	second: Assignment
): Assignment {
	let plan = first;
	let least = objectiveOf(problem, first);
	for (const chain of chainsOf(problem.N, first, second)) {
		const other = plan.slice();
		for (const g of chain) other[g] = second[g]!;
		const objective = objectiveOf(problem, other);
		if (objective >= least - 1e-9 || violations(problem, other).length) continue;
		[plan, least] = [other, objective];
	}
	return plan;
}

/** The parts that stand elsewhere, by what hangs together: two that leave or enter one nook. */
function chainsOf(N: number, first: Assignment, second: Assignment): number[][] {
	const leader = Int32Array.from({ length: N }, (_, n) => n);
	const find = (n: number): number => {
		while (leader[n] !== n) n = leader[n] = leader[leader[n]!]!;
		return n;
	};
	const moved = [...first.keys()].filter((g) => first[g] !== second[g]);
	for (const g of moved)
		if (first[g]! >= 0 && second[g]! >= 0) leader[find(first[g]!)] = find(second[g]!);
	const chains = new Map<number, number[]>();
	for (const g of moved) {
		const at = find(Math.max(first[g]!, second[g]!));
		chains.set(at, [...(chains.get(at) ?? []), g]);
	}
	return [...chains.values()];
}

import type { AssignmentProblem } from './problem';

/** Tells whether two parts could ever share nook `n`, by their capacities and their kinds. */
function canShare(problem: AssignmentProblem, a: number, b: number, n: number): boolean {
	const { K, demand, capacity, kinds, conflicts } = problem;
	if ((kinds[a]! & conflicts[b]!) | (kinds[b]! & conflicts[a]!)) return false;
	for (let k = 0; k < K; k++)
		if (demand[a * K + k]! + demand[b * K + k]! > capacity[n * K + k]! + 1e-6) return false;
	return true;
}

export interface LinearCosts {
	readonly linear: Float64Array;
	readonly spill: Float64Array;
}

/**
 * Moves to the linear costs what every pair must cost at least, so that whatever the plan, their sum is not above what
 * the pairs really cost. `open` (G × N, 1 where a part may still go) and `fixed` (nook of a part, N for overflow, −1
 * free) say what is decided. With one side fixed the charge is exact; else the first side is charged half of the
 * cheapest place that its partner could take, and the second what is then left at least. A partner in overflow pays no
 * pair, so the most that was charged for it comes off its overflow cost. Pair weights are zero or more.
 */
export function linearCosts(
	problem: AssignmentProblem,
	open: Uint8Array,
	fixed: Int32Array
): LinearCosts {
	const { G, N, cost, distance, pairs, overflow } = problem;
	const linear = new Float64Array(G * N);
	for (let cell = 0; cell < G * N; cell++) linear[cell] = open[cell] ? cost[cell]! : Infinity;
	const spill = overflow.slice();
	const first = new Float64Array(N);
	for (const { a, b, near, together } of pairs) {
		const at = (n: number, m: number) => (n === m ? together : near * distance[n * N + m]!);
		if (fixed[a]! >= 0 || fixed[b]! >= 0) {
			const [known, other] = fixed[a]! >= 0 ? [a, b] : [b, a];
			const n = fixed[known]!;
			if (n >= N) continue;
			// With both fixed the charge lands once, on the other's own nook.
			for (let m = 0; m < N; m++) if (open[other * N + m]) linear[other * N + m]! += at(n, m);
			continue;
		}
		const share = (n: number, m: number) => n !== m || canShare(problem, a, b, n);
		let mostA = 0;
		for (let n = 0; n < N; n++) {
			first[n] = 0;
			if (!open[a * N + n]) continue;
			let least = Infinity;
			for (let m = 0; m < N; m++)
				if (open[b * N + m] && share(n, m)) least = Math.min(least, at(n, m));
			if (least === Infinity) continue;
			first[n] = least / 2;
			linear[a * N + n]! += least / 2;
			mostA = Math.max(mostA, least / 2);
		}
		let mostB = 0;
		for (let m = 0; m < N; m++) {
			if (!open[b * N + m]) continue;
			let least = Infinity;
			for (let n = 0; n < N; n++)
				if (open[a * N + n] && share(n, m)) least = Math.min(least, at(n, m) - first[n]!);
			if (least === Infinity || least <= 0) continue;
			linear[b * N + m]! += least;
			mostB = Math.max(mostB, least);
		}
		spill[b]! -= mostA;
		spill[a]! -= mostB;
	}
	return { linear, spill };
}

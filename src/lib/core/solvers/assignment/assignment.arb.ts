import fc from 'fast-check';
import { objectiveOf, violations, type Assignment, type AssignmentProblem } from './problem';

/** Small assignment problems with everything in them: forbidden cells, pairs, conflicts, two capacities. */
export const problemArb = (
	maxParts = 6,
	maxNooks = 4,
	withPairs = true
): fc.Arbitrary<AssignmentProblem> =>
	fc
		.record({ G: fc.integer({ min: 1, max: maxParts }), N: fc.integer({ min: 1, max: maxNooks }) })
		.chain(({ G, N }) =>
			fc
				.record({
					demand: fc.array(fc.integer({ min: 1, max: 9 }), {
						minLength: G * N * 2,
						maxLength: G * N * 2
					}),
					capacity: fc.array(fc.integer({ min: 3, max: 20 }), {
						minLength: N * 2,
						maxLength: N * 2
					}),
					cost: fc.array(fc.option(fc.integer({ min: 0, max: 90 }), { freq: 5 }), {
						minLength: G * N,
						maxLength: G * N
					}),
					distance: fc.array(fc.integer({ min: 1, max: 9 }), {
						minLength: N * N,
						maxLength: N * N
					}),
					kinds: fc.array(fc.constantFrom(0, 0, 1, 2), { minLength: G, maxLength: G }),
					apart: fc.option(fc.array(fc.constantFrom(0, 0, 1, 2), { minLength: G, maxLength: G })),
					family: fc.array(fc.nat(2), { minLength: G, maxLength: G }),
					mix: fc.option(fc.tuple(fc.nat(20), fc.nat(20), fc.nat(20), fc.nat(6))),

					pairs: fc.array(
						fc.record({
							a: fc.nat(G - 1),
							b: fc.nat(G - 1),
							near: fc.integer({ min: 0, max: 5 }),
							together: fc.constantFrom(0, 0, 7)
						}),
						{ maxLength: withPairs ? 5 : 0 }
					)
				})
				.map(({ demand, capacity, cost, distance, kinds, pairs, family, mix, apart }) => ({
					G,
					N,
					K: 2,
					demand: Float64Array.from(demand),
					capacity: Float64Array.from(capacity),
					cost: Float64Array.from(cost, (value) => value ?? Infinity),
					overflow: new Float64Array(G).fill(1000),
					pairs: pairs.filter(({ a, b }) => a < b),
					// The same both ways, and zero to itself.
					distance: Float64Array.from({ length: N * N }, (_, i) => {
						const [n, m] = [Math.floor(i / N), i % N];
						return n === m ? 0 : distance[Math.min(n, m) * N + Math.max(n, m)]!;
					}),
					kinds: Uint8Array.from(kinds),
					conflicts: Uint8Array.from(kinds, (kind) => (kind === 1 ? 2 : kind === 2 ? 1 : 0)),
					apart: apart && {
						zone: Int32Array.from({ length: N }, (_, n) => n >> 1),
						kinds: Uint8Array.from(apart),
						conflicts: Uint8Array.from(apart, (kind) => (kind === 1 ? 2 : kind === 2 ? 1 : 0))
					},
					mixing: mix && {
						F: 3,
						family: Uint8Array.from(family),
						price: Float64Array.from([0, mix[0], mix[1], mix[0], 0, mix[2], mix[1], mix[2], 0]),
						crowding: Uint16Array.from({ length: G * N }, (_, i) => 1 + (i % 2)),
						crowdFrom: new Uint16Array(N).fill(3),
						crowdPrice: mix[3]
					}
				}))
		);

/** Tries every assignment, of those that count; the independent judge of the searches and the bounds. */
export function bruteForce(
	problem: AssignmentProblem,
	counts: (assignment: Assignment) => boolean = () => true
): number {
	const { G, N } = problem;
	const assignment = new Int32Array(G).fill(-1);
	let best = Infinity;
	const step = (g: number): void => {
		if (g === G) {
			if (counts(assignment) && !violations(problem, assignment).length)
				best = Math.min(best, objectiveOf(problem, assignment));
			return;
		}
		for (let n = -1; n < N; n++) {
			assignment[g] = n;
			step(g + 1);
		}
		assignment[g] = -1;
	};
	step(0);
	return best;
}

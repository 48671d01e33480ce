import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	boundOf,
	faultsOf,
	freeArea,
	overlaps,
	solvePacking,
	type PackingProblem,
	type Rect
} from '.';

const side = (max: number) => fc.integer({ min: 1, max });
const boards = (pieces: number): fc.Arbitrary<PackingProblem> =>
	fc.record({
		width: side(12),
		depth: side(9),
		obstructions: fc.array(
			fc.record({
				x: fc.integer({ min: -2, max: 11 }),
				y: fc.integer({ min: -2, max: 8 }),
				w: side(4),
				d: side(4)
			}),
			{ maxLength: 2 }
		),
		pieces: fc.array(fc.record({ w: side(9), d: side(9), turn: fc.boolean() }), {
			maxLength: pieces
		})
	});

/** A board cut along lines, so that all of it can be covered; one piece may be made an obstruction. */
const cutBoards = fc
	.record({
		width: fc.integer({ min: 60, max: 300 }),
		depth: fc.integer({ min: 60, max: 200 }),
		cuts: fc.array(fc.tuple(fc.nat(), fc.boolean(), fc.integer({ min: 20, max: 80 })), {
			maxLength: 9
		}),
		blocked: fc.option(fc.nat())
	})
	.map(({ width, depth, cuts, blocked }): PackingProblem => {
		const rects: Rect[] = [{ x: 0, y: 0, w: width, d: depth }];
		for (const [which, across, share] of cuts) {
			const at = which % rects.length;
			const { x, y, w, d } = rects[at]!;
			const cut = Math.round(((across ? w : d) * share) / 100);
			if (cut < 1 || cut >= (across ? w : d)) continue;
			rects.splice(
				at,
				1,
				...(across
					? [
							{ x, y, w: cut, d },
							{ x: x + cut, y, w: w - cut, d }
						]
					: [
							{ x, y, w, d: cut },
							{ x, y: y + cut, w, d: d - cut }
						])
			);
		}
		const obstructions = blocked === null ? [] : rects.splice(blocked % rects.length, 1);
		const pieces = rects.map(({ w, d }, i) => (i % 2 ? { w, d } : { w: d, d: w }));
		return { width, depth, obstructions, pieces: pieces.map((p) => ({ ...p, turn: true })) };
	});

/** The most that can be covered, by every whole place of every piece. */
function byHand(problem: PackingProblem): number {
	let best = 0;
	const placed: Rect[] = [...problem.obstructions];
	const put = (i: number, area: number) => {
		const piece = problem.pieces[i];
		if (!piece) {
			best = Math.max(best, area);
			return;
		}
		put(i + 1, area);
		for (const [w, d] of piece.turn
			? [
					[piece.w, piece.d],
					[piece.d, piece.w]
				]
			: [[piece.w, piece.d]])
			for (let x = 0; x + w! <= problem.width; x++)
				for (let y = 0; y + d! <= problem.depth; y++) {
					const rect = { x, y, w: w!, d: d! };
					if (placed.some((other) => overlaps(other, rect))) continue;
					placed.push(rect);
					put(i + 1, area + w! * d!);
					placed.pop();
				}
	};
	put(0, 0);
	return best;
}

describe('solvePacking', () => {
	it('never overlaps, leaves the board or lies on an obstruction, however short the search', () => {
		fc.assert(
			fc.property(boards(14), fc.integer({ min: 0, max: 3000 }), (problem, steps) => {
				const { placed, area, bound } = solvePacking(problem, { steps });
				expect(faultsOf(problem, placed)).toEqual([]);
				expect(bound).toBe(boundOf(problem));
				expect(area).toBeLessThanOrEqual(bound);
			}),
			{ numRuns: 300 }
		);
	});

	it('covers no more than every place tried by hand, and seldom less', () => {
		let same = 0;
		let all = 0;
		fc.assert(
			fc.property(boards(3), (problem) => {
				const { area, bound } = solvePacking(problem, { steps: 20_000 });
				const best = byHand(problem);
				expect(area).toBeLessThanOrEqual(best);
				expect(best).toBeLessThanOrEqual(bound);
				same += Number(area === best);
				all++;
			}),
			{ numRuns: 120, seed: 4 }
		);
		expect(same / all).toBeGreaterThan(0.97);
	});

	it('covers the whole of a board that was cut into the pieces, and proves it', () => {
		fc.assert(
			fc.property(cutBoards, (problem) => {
				const { status, placed, area } = solvePacking(problem);
				expect(status).toBe('proven');
				expect(area).toBe(freeArea(problem));
				expect(faultsOf(problem, placed)).toEqual([]);
			}),
			{ numRuns: 120 }
		);
	});

	it('is the same twice', () => {
		fc.assert(
			fc.property(boards(10), (problem) => {
				expect(solvePacking(problem, { steps: 500 })).toEqual(
					solvePacking(problem, { steps: 500 })
				);
			}),
			{ numRuns: 40 }
		);
	});

	it('leaves a board that an obstruction fills empty', () => {
		const { status, area } = solvePacking({
			width: 10,
			depth: 10,
			obstructions: [{ x: -1, y: -1, w: 20, d: 20 }],
			pieces: [{ w: 1, d: 1, turn: false }]
		});
		expect({ status, area }).toEqual({ status: 'proven', area: 0 });
	});
	it('sums the areas of as many pieces as it sums at all, however many sums there are', () => {
		// 18 pieces whose areas all differ by powers of two: over two hundred thousand sums.
		const pieces = Array.from({ length: 18 }, (_, i) => ({ w: 1, d: 2 ** i + 1, turn: false }));
		const all = pieces.reduce((sum, { d }) => sum + d, 0);
		const problem = { width: 1, depth: all - 1, obstructions: [], pieces };
		expect(boundOf(problem)).toBeLessThanOrEqual(all - 1);
		expect(boundOf(problem)).toBeGreaterThan(all - 4);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decideStanding, overlaps, type Rect, type StandingPiece, type StandingProblem } from '.';

const rects = (most: number) =>
	fc.record({
		x: fc.integer({ min: -1, max: most }),
		y: fc.integer({ min: -1, max: most }),
		w: fc.integer({ min: 1, max: 3 }),
		d: fc.integer({ min: 1, max: 3 })
	});
const problems = (pieces: number, side: number): fc.Arbitrary<StandingProblem> =>
	fc
		.record({
			width: fc.integer({ min: 2, max: side }),
			depth: fc.integer({ min: 2, max: side }),
			walls: fc.array(rects(side), { maxLength: 2 }),
			pieces: fc.array(
				fc.record({
					w: fc.integer({ min: 1, max: 4 }),
					d: fc.integer({ min: 1, max: 4 }),
					turn: fc.boolean(),
					front: fc.boolean(),
					isLow: fc.boolean()
				}),
				{ minLength: 1, maxLength: pieces }
			)
		})
		.map(({ width, depth, walls, pieces }) => ({
			width,
			depth,
			// What is low goes under the first obstruction.
			pieces: pieces.map(({ isLow, ...piece }): StandingPiece => ({
				...piece,
				blocked: isLow ? walls.slice(1) : walls
			}))
		}));

const standsBefore = (a: Rect, b: Rect) => a.y < b.y && a.x < b.x + b.w && b.x < a.x + a.w;
/** Whether rectangles keep every rule, by the rules alone. */
const isSound = (
	{ width, depth, pieces }: StandingProblem,
	places: readonly (Rect | undefined)[]
): boolean =>
	places.every((rect, i) => {
		if (!rect) return true;
		if (rect.x < 0 || rect.y < 0 || rect.x + rect.w > width || rect.y + rect.d > depth)
			return false;
		if (pieces[i]!.blocked.some((wall) => overlaps(wall, rect))) return false;
		return places.every(
			(other, j) =>
				!other ||
				j === i ||
				(!overlaps(other, rect) && !(pieces[i]!.front && standsBefore(other, rect)))
		);
	});

/** Tries every whole place of every piece. */
function byHand(problem: StandingProblem): boolean {
	const { width, depth, pieces } = problem;
	const place = (placed: Rect[]): boolean => {
		const piece = pieces[placed.length];
		if (!piece) return true;
		for (const [w, d] of piece.turn
			? [
					[piece.w, piece.d],
					[piece.d, piece.w]
				]
			: [[piece.w, piece.d]])
			for (let x = 0; x + w! <= width; x++)
				for (let y = 0; y + d! <= depth; y++) {
					const next = [...placed, { x, y, w: w!, d: d! }];
					if (isSound(problem, next) && place(next)) return true;
				}
		return false;
	};
	return place([]);
}

describe('decideStanding', () => {
	it('says of every small floor what trying all places says', () => {
		fc.assert(
			fc.property(problems(4, 5), (problem) => {
				const decision = decideStanding(problem, 1e6);
				expect(decision.status).toBe(byHand(problem) ? 'stands' : 'cannot');
			}),
			{ numRuns: 500 }
		);
	});
	it('gives places that keep every rule', () => {
		fc.assert(
			fc.property(problems(7, 12), (problem) => {
				const decision = decideStanding(problem, 20_000);
				if (decision.status !== 'stands') return;
				const placed = decision.places.map(({ x, y, turned }, i): Rect => {
					const { w, d, turn } = problem.pieces[i]!;
					expect(turn || !turned).toBe(true);
					return turned ? { x, y, w: d, d: w } : { x, y, w, d };
				});
				expect(isSound(problem, placed)).toBe(true);
			}),
			{ numRuns: 500 }
		);
	});
	it('leaves open what it did not look at to the end', () => {
		const piece = { w: 3, d: 2, turn: true, front: false, blocked: [] };
		const problem = { width: 7, depth: 7, pieces: Array.from({ length: 8 }, () => piece) };
		expect(decideStanding(problem, 2)).toEqual({ status: 'open' });
		expect(decideStanding({ ...problem, pieces: [...problem.pieces, piece] }, 2)).toEqual({
			status: 'cannot'
		});
	});
});

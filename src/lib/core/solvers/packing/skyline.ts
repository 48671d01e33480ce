import type { PackingProblem, PlacedPiece } from './problem';

/** Most segments of a skyline: each piece or obstruction adds at most two. */
const segmentsFor = (pieces: number, obstructions: number) => 2 * (pieces + obstructions) + 4;

/**
 * The front of what is packed, seen from the board's base: segments from left to right, each at a height.
 * Everything below it is settled, packed or wasted; pieces are laid upon it. An obstruction in mid-air is settled
 * when the front reaches its underside.
 *
 *      ┌──┐     │ H
 *   ┌──┤  ├──┐  │
 *   │  │  │  └──┤     four segments
 *   └──┴──┴─────┘ W
 */
export class Skyline {
	/** Left ends and heights of the `size` segments; the last ends at `W`. */
	readonly x: Int32Array;
	readonly y: Int32Array;
	size = 1;

	constructor(
		readonly W: number,
		readonly H: number,
		/** Obstructions as x0, x1, y0, y1, four to each. */
		private readonly blocks: Int32Array,
		private readonly pieces: number
	) {
		const room = segmentsFor(pieces, blocks.length / 4);
		this.x = new Int32Array(room);
		this.y = new Int32Array(room);
	}

	/** The bare board, with the obstructions at its base settled. */
	static over(problem: BoardSides): Skyline {
		const { W, H, blocks, pieces } = problem;
		const line = new Skyline(W, H, blocks, pieces);
		line.settle();
		return line;
	}

	copyFrom(other: Skyline): void {
		this.size = other.size;
		this.x.set(other.x.subarray(0, other.size));
		this.y.set(other.y.subarray(0, other.size));
	}

	copy(): Skyline {
		const line = new Skyline(this.W, this.H, this.blocks, this.pieces);
		line.copyFrom(this);
		return line;
	}

	endOf(i: number): number {
		return i + 1 < this.size ? this.x[i + 1]! : this.W;
	}
	/** Height of the wall at the left of a segment; the board's own walls reach to its top. */
	leftWall(i: number): number {
		return i > 0 ? this.y[i - 1]! : this.H;
	}
	rightWall(i: number): number {
		return i + 1 < this.size ? this.y[i + 1]! : this.H;
	}

	/** How high something from `x0` to `x1` may reach from `y` on: the next underside above it, or the top. */
	ceiling(x0: number, x1: number, y: number): number {
		const { blocks } = this;
		let top = this.H;
		for (let b = 0; b < blocks.length; b += 4)
			if (blocks[b]! < x1 && blocks[b + 1]! > x0 && blocks[b + 3]! > y && blocks[b + 2]! < top)
				top = blocks[b + 2]!;
		return top;
	}

	/** The lowest segment, the leftmost of those; −1 when the front is at the top everywhere. */
	lowest(): number {
		let best = -1;
		let at = this.H;
		for (let i = 0; i < this.size; i++)
			if (this.y[i]! < at) {
				at = this.y[i]!;
				best = i;
			}
		return best;
	}

	/** Lifts a stretch of one segment to a height. */
	lay(i: number, x0: number, x1: number, top: number): void {
		this.#raise(i, x0, x1, top);
		if (this.blocks.length) this.settle();
	}

	/** Gives a segment up, as far as its lower wall or the next underside; returns the area wasted, mm². */
	giveUp(i: number): number {
		const from = this.x[i]!;
		const to = this.endOf(i);
		const y = this.y[i]!;
		const top = Math.min(
			this.leftWall(i),
			this.rightWall(i),
			this.blocks.length ? this.ceiling(from, to, y) : this.H
		);
		this.lay(i, from, to, top);
		return (top - y) * (to - from);
	}

	#raise(i: number, x0: number, x1: number, top: number): void {
		const from = this.x[i]!;
		const to = this.endOf(i);
		const base = this.y[i]!;
		const before = x0 > from ? 1 : 0;
		const after = x1 < to ? 1 : 0;
		if (before + after > 0) {
			this.x.copyWithin(i + 1 + before + after, i + 1, this.size);
			this.y.copyWithin(i + 1 + before + after, i + 1, this.size);
			this.size += before + after;
		}
		this.x[i] = from;
		this.y[i] = base;
		this.x[i + before] = x0;
		this.y[i + before] = top;
		if (after) {
			this.x[i + before + 1] = x1;
			this.y[i + before + 1] = base;
		}
		this.#join(i + before + 1);
		this.#join(i + before);
	}

	/** Joins a segment with the one before it when they are level. */
	#join(i: number): void {
		if (i <= 0 || i >= this.size || this.y[i] !== this.y[i - 1]) return;
		this.x.copyWithin(i, i + 1, this.size);
		this.y.copyWithin(i, i + 1, this.size);
		this.size--;
	}

	/** Takes in every obstruction, or part of one, whose underside the front has reached. */
	private settle(): void {
		const { blocks } = this;
		for (let again = true; again;) {
			again = false;
			for (let b = 0; b < blocks.length && !again; b += 4)
				for (let i = 0; i < this.size; i++) {
					const y = this.y[i]!;
					if (y < blocks[b + 2]! || y >= blocks[b + 3]!) continue;
					const x0 = Math.max(this.x[i]!, blocks[b]!);
					const x1 = Math.min(this.endOf(i), blocks[b + 1]!);
					if (x0 >= x1) continue;
					this.#raise(i, x0, x1, blocks[b + 3]!);
					again = true;
					break;
				}
		}
	}
}

/** A board as the search sees it: `W` across the base, `H` up from it; the pieces' sides in the same sense. */
export interface BoardSides {
	readonly W: number;
	readonly H: number;
	readonly blocks: Int32Array;
	readonly pieces: number;
	readonly across: Int32Array;
	readonly up: Int32Array;
	readonly turn: Uint8Array;
	/** Brings a placing back to the board it came from. */
	readonly toBoard: (piece: number, x: number, y: number, turned: boolean) => PlacedPiece;
}

/** The four ways to look at a board: which side is the base, and whether left is right. */
export interface View {
	readonly transposed: boolean;
	readonly mirrored: boolean;
	readonly upsideDown: boolean;
}

/** Looks at a problem from one side. Sides are rounded so that nothing can overlap: pieces up, the board down. */
export function lookFrom(problem: PackingProblem, view: View): BoardSides {
	const { transposed, mirrored, upsideDown } = view;
	const board = [Math.floor(problem.width), Math.floor(problem.depth)] as const;
	const [W, H] = transposed ? [board[1], board[0]] : board;
	const blocks = new Int32Array(problem.obstructions.length * 4);
	problem.obstructions.forEach((o, i) => {
		const [x0, x1, y0, y1] = transposed
			? [o.y, o.y + o.d, o.x, o.x + o.w]
			: [o.x, o.x + o.w, o.y, o.y + o.d];
		const a0 = Math.max(0, Math.floor(mirrored ? W - x1 : x0));
		const a1 = Math.min(W, Math.ceil(mirrored ? W - x0 : x1));
		const b0 = Math.max(0, Math.floor(upsideDown ? H - y1 : y0));
		const b1 = Math.min(H, Math.ceil(upsideDown ? H - y0 : y1));
		if (a0 < a1 && b0 < b1) blocks.set([a0, a1, b0, b1], i * 4);
	});
	const n = problem.pieces.length;
	const across = new Int32Array(n);
	const up = new Int32Array(n);
	const turn = new Uint8Array(n);
	problem.pieces.forEach((piece, i) => {
		const w = Math.ceil(piece.w);
		const d = Math.ceil(piece.d);
		across[i] = transposed ? d : w;
		up[i] = transposed ? w : d;
		turn[i] = piece.turn && w !== d ? 1 : 0;
	});
	const toBoard = (piece: number, x: number, y: number, turned: boolean): PlacedPiece => {
		const a = turned ? up[piece]! : across[piece]!;
		const u = turned ? across[piece]! : up[piece]!;
		const px = mirrored ? W - x - a : x;
		const py = upsideDown ? H - y - u : y;
		return { piece, x: transposed ? py : px, y: transposed ? px : py, turned };
	};
	return { W, H, blocks, pieces: n, across, up, turn, toBoard };
}

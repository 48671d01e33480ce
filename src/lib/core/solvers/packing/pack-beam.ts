import type { PlacedPiece } from './problem';
import { Skyline, type BoardSides } from './skyline';

export interface BeamOptions {
	/** Fronts kept at each stage. */
	readonly width: number;
	/** Ways tried from each front. */
	readonly ways: number;
	/** Steps of the packer in all after which it ends. */
	readonly most: number;
	/** Area that is as good as any, mm². */
	readonly enough: number;
	readonly isOver: () => boolean;
}
export interface BeamResult {
	readonly placed: PlacedPiece[];
	/** mm². */
	readonly area: number;
	readonly steps: number;
}

/** One way to go on at a dip: a piece, turned or not, at its left or its right end. */
interface Way {
	readonly piece: number;
	readonly turned: boolean;
	readonly right: boolean;
	readonly score: number;
}

/** A front with what lies under it; `from` leads back to how it was come by. */
interface Front {
	readonly line: Skyline;
	readonly used: Uint8Array;
	readonly area: number;
	readonly from: Front | null;
	readonly put: PlacedPiece | null;
	/** Area when it is finished by the simple rule. */
	readonly worth: number;
}

/**
 * Searches by beam: at each stage every front kept is gone on from in several ways, each of them is finished by a
 * simple rule, and those that end best are kept. Never worse than the simple rule alone. Deterministic.
 */
export class BeamPacker {
	steps = 0;
	readonly #line: Skyline;
	readonly #used: Uint8Array;
	/** Pieces from the largest down. */
	readonly #order: Int32Array;
	#best: { area: number; put: PlacedPiece[] } = { area: -1, put: [] };

	constructor(private readonly board: BoardSides) {
		this.#line = Skyline.over(board);
		this.#used = new Uint8Array(board.pieces);
		const size = (i: number) => board.across[i]! * board.up[i]!;
		this.#order = Int32Array.from({ length: board.pieces }, (_, i) => i).sort(
			(a, b) => size(b) - size(a) || a - b
		);
	}

	/** Runs one beam; the best of all runs so far is the answer. */
	run({ width, ways, most, enough, isOver }: BeamOptions): BeamResult {
		const start = Skyline.over(this.board);
		let fronts: Front[] = [
			{
				line: start,
				used: new Uint8Array(this.board.pieces),
				area: 0,
				from: null,
				put: null,
				worth: 0
			}
		];
		while (fronts.length && this.steps < most && this.#best.area < enough && !isOver()) {
			const next: Front[] = [];
			for (const front of fronts) {
				if (this.steps >= most || this.#best.area >= enough || isOver()) break;
				this.#goOn(front, ways, next);
			}
			next.sort((a, b) => b.worth - a.worth || b.area - a.area);
			fronts = distinct(next, width);
		}
		return { placed: this.#best.put, area: this.#best.area, steps: this.steps };
	}

	#goOn(front: Front, ways: number, into: Front[]): void {
		const { board } = this;
		const line = front.line;
		let s = line.lowest();
		let found: Way[] = [];
		// What nothing goes into is given up at once.
		while (s >= 0) {
			found = this.#waysAt(line, front.used, s, ways);
			if (found.length) break;
			line.giveUp(s);
			s = line.lowest();
		}
		if (s < 0) return;
		const from = line.x[s]!;
		const to = line.endOf(s);
		const y = line.y[s]!;
		for (const { piece, turned, right } of found) {
			const a = turned ? board.up[piece]! : board.across[piece]!;
			const u = turned ? board.across[piece]! : board.up[piece]!;
			const x0 = right ? to - a : from;
			const after = line.copy();
			after.lay(s, x0, x0 + a, y + u);
			const used = front.used.slice();
			used[piece] = 1;
			const made: Front = {
				line: after,
				used,
				area: front.area + a * u,
				from: front,
				put: board.toBoard(piece, x0, y, turned),
				worth: 0
			};
			into.push({ ...made, worth: this.#finish(made) });
		}
	}

	/** The most promising ways to fill the dip at a segment, best first. */
	#waysAt(line: Skyline, used: Uint8Array, s: number, most: number): Way[] {
		const { board } = this;
		const found: Way[] = [];
		const dip = new Dip(line, s, board.blocks.length > 0, this.#least(used));
		for (const piece of this.#order) {
			if (used[piece]) continue;
			for (let t = 0; t <= board.turn[piece]!; t++) {
				const a = t ? board.up[piece]! : board.across[piece]!;
				const u = t ? board.across[piece]! : board.up[piece]!;
				const score = dip.score(a, u);
				if (score === -Infinity) continue;
				found.push({ piece, turned: t === 1, right: dip.isRight, score });
			}
		}
		this.steps += found.length;
		return found.sort((p, q) => q.score - p.score).slice(0, most);
	}

	/** Finishes a front by the simple rule, the best-scored piece at each dip; remembers it when nothing was better. */
	#finish(front: Front): number {
		const { board } = this;
		const line = this.#line;
		const used = this.#used;
		line.copyFrom(front.line);
		used.set(front.used);
		let area = front.area;
		const put: number[] = [];
		let least = this.#least(used);
		for (let s = line.lowest(); s >= 0; s = line.lowest()) {
			const dip = new Dip(line, s, board.blocks.length > 0, least);
			let best = -Infinity;
			let piece = -1;
			let turned = 0;
			let right = false;
			for (const i of this.#order) {
				if (used[i]) continue;
				// From the largest down: the rest cannot score more.
				if (board.across[i]! * board.up[i]! * MOST_OF_AREA <= best) break;
				this.steps++;
				const first = dip.score(board.across[i]!, board.up[i]!);
				if (first > best) {
					best = first;
					piece = i;
					turned = 0;
					right = dip.isRight;
				}
				if (!board.turn[i]) continue;
				const second = dip.score(board.up[i]!, board.across[i]!);
				if (second > best) {
					best = second;
					piece = i;
					turned = 1;
					right = dip.isRight;
				}
			}
			if (piece < 0) {
				line.giveUp(s);
				continue;
			}
			const a = turned ? board.up[piece]! : board.across[piece]!;
			const u = turned ? board.across[piece]! : board.up[piece]!;
			const x0 = right ? line.endOf(s) - a : line.x[s]!;
			put.push(piece, x0, line.y[s]!, turned);
			line.lay(s, x0, x0 + a, line.y[s]! + u);
			used[piece] = 1;
			area += a * u;
			if (Math.min(a, u) === least) least = this.#least(used);
		}
		if (area > this.#best.area) {
			const all: PlacedPiece[] = [];
			for (let at: Front | null = front; at; at = at.from) if (at.put) all.unshift(at.put);
			for (let i = 0; i < put.length; i += 4)
				all.push(board.toBoard(put[i]!, put[i + 1]!, put[i + 2]!, put[i + 3] === 1));
			this.#best = { area, put: all };
		}
		return area;
	}

	#least(used: Uint8Array): number {
		const { across, up, pieces } = this.board;
		let least = Infinity;
		for (let i = 0; i < pieces; i++) if (!used[i]) least = Math.min(least, across[i]!, up[i]!);
		return least;
	}
}

/** A dip of a front, with how well a piece would lie in it. */
class Dip {
	isRight = false;
	private readonly width: number;
	private readonly left: number;
	private readonly right: number;
	private readonly from: number;
	private readonly to: number;
	private readonly y: number;
	private readonly room: number;

	constructor(
		private readonly line: Skyline,
		s: number,
		private readonly hasBlocks: boolean,
		private readonly least: number
	) {
		this.from = line.x[s]!;
		this.to = line.endOf(s);
		this.y = line.y[s]!;
		this.width = this.to - this.from;
		this.left = line.leftWall(s) - this.y;
		this.right = line.rightWall(s) - this.y;
		this.room = line.H - this.y;
	}

	/** What a piece is worth here, −∞ where it does not go in; sets the end it lies at. */
	score(a: number, u: number): number {
		const rest = this.width - a;
		if (rest < 0 || u > this.room) return -Infinity;
		// Beside the wall that it is level with, else beside the higher one.
		const right = u === this.right || (u !== this.left && this.right > this.left);
		let room = this.room;
		if (this.hasBlocks) {
			const x0 = right ? this.to - a : this.from;
			room = this.line.ceiling(x0, x0 + a, this.y) - this.y;
			if (u > room) return -Infinity;
		}
		this.isRight = right;
		const area = a * u;
		let lost = 0;
		if (rest > 0 && rest < this.least) lost += rest * u;
		const over = room - u;
		if (over > 0 && over < this.least) lost += over * a;
		const wall = (right ? this.right : this.left) - u;
		if (wall > 0 && wall < this.least) lost += wall * Math.min(a, this.least);
		let fits = 0;
		if (rest === 0) fits += 1;
		if (wall === 0) fits += 0.5;
		if (rest === 0 && (right ? this.left : this.right) === u) fits += 0.5;
		if (over === 0) fits += 0.5;
		return area * (1 + FIT * fits) - LOSS * lost;
	}
}
const FIT = 2;
const LOSS = 3;
/** All that can fit at once: the width, the wall at either end, the top. */
const MOST_OF_AREA = 1 + FIT * 2.5;

/** The first `most` that end with different areas settled or used: fronts come by twice count once. */
function distinct(fronts: readonly Front[], most: number): Front[] {
	const seen = new Set<string>();
	const kept: Front[] = [];
	for (const front of fronts) {
		const key = `${front.area}|${front.worth}|${front.line.size}|${front.line.lowest()}`;
		if (seen.has(key)) continue;
		seen.add(key);
		kept.push(front);
		if (kept.length === most) break;
	}
	return kept;
}

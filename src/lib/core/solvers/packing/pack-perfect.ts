import type { PlacedPiece } from './problem';
import { Skyline, type BoardSides } from './skyline';

/** Sums that can be made of sides, each piece by one side and at most once: a set of bits. */
class Sums {
	readonly bits: Uint32Array;
	constructor(readonly most: number) {
		this.bits = new Uint32Array((most >>> 5) + 1);
	}
	clear(): void {
		this.bits.fill(0);
		this.bits[0] = 1;
	}
	/** Takes in one piece that adds `a`, or `b`, or nothing. */
	add(a: number, b: number): void {
		const { bits } = this;
		// From the top down, so that no piece is counted twice.
		for (let i = bits.length - 1; i >= 0; i--)
			bits[i]! |= this.#shifted(i, a) | this.#shifted(i, b);
	}
	has(sum: number): boolean {
		return sum >= 0 && sum <= this.most && (this.bits[sum >>> 5]! & (1 << (sum & 31))) !== 0;
	}
	#shifted(i: number, by: number): number {
		const word = i - (by >>> 5);
		const rest = by & 31;
		if (word < 0) return 0;
		const high = this.bits[word]! << rest;
		return rest && word > 0 ? high | (this.bits[word - 1]! >>> (32 - rest)) : high;
	}
}

/** Where the next piece must go, and how few can: the corner at one end of a dip of the front. */
interface Corner {
	segment: number;
	right: boolean;
	count: number;
}

export interface PerfectResult {
	/** Null: there is none, or (`isWhole` false) the search was ended. */
	readonly placed: PlacedPiece[] | null;
	/** Everything was looked at. */
	readonly isWhole: boolean;
	readonly steps: number;
}

/** Failed fronts that are remembered; beyond, none is added. */
const MOST_KNOWN = 400_000;

/**
 * Searches for a packing that covers the whole free board: depth first, always at the corner that the fewest pieces
 * can take. Pruned by what sums of sides can fill (a dip's width, a column's height), by slivers that no piece is
 * narrow enough for, and by fronts that have failed before with the same pieces left. Deterministic.
 */
export function packPerfect(
	board: BoardSides,
	most: number,
	isOver: () => boolean = () => false
): PerfectResult {
	const { W, H, pieces: n, across, up, turn, blocks } = board;
	const used = new Uint8Array(n);
	const placed: PlacedPiece[] = [];
	const known = new Set<number>();
	const keys = Float64Array.from({ length: n }, (_, i) => hash(i * 7919 + 13));
	let keyOfUsed = 0;
	let steps = 0;
	let ended = false;
	const lines = Array.from({ length: n + 1 }, () => new Skyline(W, H, blocks, n));
	lines[0]!.copyFrom(Skyline.over(board));
	const sums = Array.from({ length: n + 1 }, () => new Sums(Math.max(W, H)));

	/** Whether a piece can lie in a corner, all that follows from it at once looked at. */
	const goes = (line: Skyline, sum: Sums, least: number, corner: Corner, a: number, u: number) => {
		const i = corner.segment;
		const from = line.x[i]!;
		const to = line.endOf(i);
		const width = to - from;
		const rest = width - a;
		if (rest < 0 || (rest > 0 && rest < least)) return false;
		const top = line.y[i]! + u;
		if (rest > 0 && !sum.has(rest)) return false;
		const x0 = corner.right ? to - a : from;
		const above = blocks.length ? line.ceiling(x0, x0 + a, line.y[i]!) : H;
		const over = above - top;
		if (over < 0 || (over > 0 && (over < least || !sum.has(over)))) return false;
		// A sliver beside it, between it and the wall, that is too low for any piece.
		const near = (corner.right ? line.rightWall(i) : line.leftWall(i)) - top;
		if (near > 0 && near < least && !blocks.length) return false;
		if (rest === 0) {
			const far = (corner.right ? line.leftWall(i) : line.rightWall(i)) - top;
			if (far > 0 && far < least && !blocks.length) return false;
		}
		return true;
	};

	const step = (depth: number): boolean => {
		const line = lines[depth]!;
		if (line.lowest() < 0) return true;
		if (++steps > most || (steps % 256 === 0 && isOver())) {
			ended = true;
			return false;
		}
		const key = keyOf(line) + keyOfUsed;
		if (known.has(key)) return false;
		const sum = sums[depth]!;
		sum.clear();
		let least = Infinity;
		for (let i = 0; i < n; i++) {
			if (used[i]) continue;
			sum.add(across[i]!, turn[i] ? up[i]! : across[i]!);
			least = Math.min(least, across[i]!, up[i]!);
		}
		const best: Corner = { segment: -1, right: false, count: Infinity };
		const corner: Corner = { segment: 0, right: false, count: 0 };
		for (let s = 0; s < line.size && best.count > 1; s++) {
			const y = line.y[s]!;
			if (y >= H || line.leftWall(s) <= y || line.rightWall(s) <= y) continue;
			if (!sum.has(line.endOf(s) - line.x[s]!)) {
				best.count = 0;
				break;
			}
			for (let side = 0; side < 2; side++) {
				corner.segment = s;
				corner.right = side === 1;
				corner.count = 0;
				for (let i = 0; i < n && corner.count < best.count; i++) {
					if (used[i]) continue;
					if (goes(line, sum, least, corner, across[i]!, up[i]!)) corner.count++;
					if (turn[i] && goes(line, sum, least, corner, up[i]!, across[i]!)) corner.count++;
				}
				if (corner.count < best.count) {
					best.segment = s;
					best.right = corner.right;
					best.count = corner.count;
				}
			}
		}
		if (best.count > 0 && best.segment >= 0) {
			const s = best.segment;
			const from = line.x[s]!;
			const to = line.endOf(s);
			const y = line.y[s]!;
			const tried = new Set<number>();
			// Widest first: what fills the dip leaves the least to guess.
			const ways: number[] = [];
			for (let i = 0; i < n; i++) {
				if (used[i]) continue;
				for (let t = 0; t <= turn[i]!; t++) {
					const a = t ? up[i]! : across[i]!;
					const u = t ? across[i]! : up[i]!;
					if (tried.has(a * 65536 + u) || !goes(line, sum, least, best, a, u)) continue;
					tried.add(a * 65536 + u);
					ways.push(i * 2 + t);
				}
			}
			const wide = (way: number) => (way & 1 ? up[way >> 1]! : across[way >> 1]!);
			const wall = (best.right ? line.rightWall(s) : line.leftWall(s)) - y;
			const size = (way: number) => {
				const fits =
					Number(wide(way) === to - from) +
					Number((way & 1 ? across[way >> 1]! : up[way >> 1]!) === wall);
				return across[way >> 1]! * up[way >> 1]! * (1 + fits);
			};
			ways.sort((p, q) => size(q) - size(p));
			for (const way of ways) {
				const i = way >> 1;
				const a = wide(way);
				const u = way & 1 ? across[i]! : up[i]!;
				const x0 = best.right ? to - a : from;
				const next = lines[depth + 1]!;
				next.copyFrom(line);
				next.lay(s, x0, x0 + a, y + u);
				used[i] = 1;
				keyOfUsed += keys[i]!;
				placed.push(board.toBoard(i, x0, y, (way & 1) === 1));
				if (step(depth + 1)) return true;
				placed.pop();
				keyOfUsed -= keys[i]!;
				used[i] = 0;
				if (ended) return false;
			}
		}
		if (known.size < MOST_KNOWN) known.add(key);
		return false;
	};
	const found = step(0);
	return { placed: found ? placed : null, isWhole: !ended, steps };
}

/** A number of 31 well-mixed bits. */
function hash(value: number): number {
	let a = (value + 0x6d2b79f5) | 0;
	a = Math.imul(a ^ (a >>> 15), 1 | a);
	a = (a + Math.imul(a ^ (a >>> 7), 61 | a)) ^ a;
	return (a ^ (a >>> 14)) >>> 1;
}

/** A number that stands for the shape of a front, whole up to 2^51 so that sums with it stay exact. */
function keyOf(line: Skyline): number {
	let a = 17;
	let b = 29;
	for (let i = 0; i < line.size; i++) {
		a = Math.imul(a ^ line.x[i]!, 0x01000193) ^ line.y[i]!;
		b = Math.imul(b + line.y[i]!, 0x5bd1e995) ^ line.x[i]!;
	}
	return (a >>> 0) * 0x40000 + ((b >>> 0) & 0x3ffff);
}

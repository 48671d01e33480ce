import type { Block } from './blocks';
import type { BoxesProblem, PlacedBox } from './problem';
import { Spaces } from './spaces';

/** A block where it stands. */
interface Put {
	readonly block: Block;
	readonly x: number;
	readonly y: number;
	readonly z: number;
}
interface State {
	readonly puts: readonly Put[];
	readonly volume: number;
	readonly spaces: Spaces;
	readonly used: Int32Array;
	/** Volume that filling up from here without looking back gives, mm³. */
	reach: number;
}

/**
 * Fills a room block by block, the space nearest to a corner first: what leaves least room that no sides of other boxes
 * add up to, the largest first. A beam keeps the states from which filling up greedily gives most.
 */
export class BoxPacker {
	/** Positions looked at so far. */
	steps = 0;
	#best: readonly Put[] = [];
	#volume = -1;
	readonly #sums: Int32Array;
	readonly #least: number;
	readonly #scratch = new Spaces();
	readonly #used: Int32Array;

	constructor(
		private readonly problem: BoxesProblem,
		private readonly blocks: readonly Block[]
	) {
		const sides = problem.boxes.flatMap(({ w, d, h }) => [w, d, h]);
		this.#least = Math.min(...sides, Infinity);
		this.#sums = sumsOf(problem);
		this.#used = new Int32Array(Math.max(1, Math.ceil(problem.boxes.length / 32)));
	}
	get volume(): number {
		return Math.max(0, this.#volume);
	}
	/** The best so far, from the bottom up. */
	placed(): PlacedBox[] {
		return this.#best
			.flatMap(({ block, x, y, z }) =>
				block.boxes.map((box) => ({ ...box, x: x + box.x, y: y + box.y, z: z + box.z }))
			)
			.sort((a, b) => a.z - b.z || a.y - b.y || a.x - b.x);
	}

	/** One beam of `width` states with `ways` each; ends when `isOver`, or when all room is filled. */
	run(width: number, ways: number, isOver: () => boolean): void {
		const { problem } = this;
		const spaces = new Spaces();
		spaces.reset(problem.width, problem.depth, problem.height);
		let beam: State[] = [
			{ puts: [], volume: 0, spaces, used: new Int32Array(this.#used.length), reach: 0 }
		];
		while (beam.length && !isOver()) {
			const next: State[] = [];
			for (const state of beam) {
				for (const child of this.#children(state, ways)) {
					child.reach = this.#fill(child);
					next.push(child);
				}
				if (isOver()) break;
			}
			// The same boxes in, the same volume reached: one of them is enough.
			const known = new Set<string>();
			beam = next
				.sort((a, b) => b.reach - a.reach || b.volume - a.volume)
				.filter((state) => {
					const key = `${state.reach} ${state.volume} ${state.used.join(',')}`;
					return known.has(key) ? false : known.add(key);
				})
				.slice(0, width);
		}
	}

	/** The best ways to go on from a state, in the space nearest to a corner that takes anything. */
	#children(state: State, ways: number): State[] {
		const { width, depth } = this.problem;
		const found: { readonly put: Put; readonly score: number }[] = [];
		for (;;) {
			const i = state.spaces.nearest(width, depth);
			if (i < 0) return [];
			this.#candidates(state.spaces, i, state.used, state.puts, (put, score) =>
				found.push({ put, score })
			);
			if (found.length) break;
			state.spaces.drop(i);
		}
		found.sort((a, b) => b.score - a.score);
		return found.slice(0, ways).map(({ put }): State => {
			const spaces = new Spaces();
			spaces.copyFrom(state.spaces);
			const { block, x, y, z } = put;
			spaces.cut(
				{ x, y, z, w: block.w, d: block.d, h: block.h, isFlat: block.isFlat },
				this.#least
			);
			return {
				puts: [...state.puts, put],
				volume: state.volume + block.volume,
				spaces,
				used: state.used.map((word, k) => word | block.words[k]!),
				reach: 0
			};
		});
	}

	/** Fills up from a state with the best block each time, and keeps it if nothing better was found yet. */
	#fill(state: State): number {
		const { width, depth } = this.problem;
		const spaces = this.#scratch;
		spaces.copyFrom(state.spaces);
		this.#used.set(state.used);
		const puts = [...state.puts];
		let { volume } = state;
		for (;;) {
			const i = spaces.nearest(width, depth);
			if (i < 0) break;
			let best: Put | null = null;
			let most = -Infinity;
			this.#candidates(spaces, i, this.#used, puts, (put, score) => {
				if (score > most) [most, best] = [score, put];
			});
			if (!best) {
				spaces.drop(i);
				continue;
			}
			const { block, x, y, z } = best as Put;
			puts.push(best);
			volume += block.volume;
			for (let k = 0; k < this.#used.length; k++) this.#used[k]! |= block.words[k]!;
			spaces.cut(
				{ x, y, z, w: block.w, d: block.d, h: block.h, isFlat: block.isFlat },
				this.#least
			);
		}
		if (volume > this.#volume) {
			this.#volume = volume;
			this.#best = puts;
		}
		return volume;
	}

	/** Offers each block that goes into a space, in the corner of its floor that is nearest to a corner of the room. */
	#candidates(
		spaces: Spaces,
		i: number,
		used: Int32Array,
		puts: readonly Put[],
		offer: (put: Put, score: number) => void
	): void {
		const { problem, blocks } = this;
		const sums = this.#sums;
		const o = i * 7;
		const { at } = spaces;
		const [x0, y0, z] = [at[o]!, at[o + 1]!, at[o + 2]!];
		const [x1, y1] = [at[o + 3]!, at[o + 4]!];
		const [w, d, h] = [x1 - x0, y1 - y0, at[o + 5]! - z];
		const room = w * d * h;
		const isRight = problem.width - x1 < x0;
		const isBack = problem.depth - y1 < y0;
		const isCarried = at[o + 6] === 1;
		for (const block of blocks) {
			if (block.volume > room || block.w > w || block.d > d || block.h > h) continue;
			this.steps++;
			if (isTaken(block.words, used)) continue;
			const x = isRight ? x1 - block.w : x0;
			const y = isBack ? y1 - block.d : y0;
			if (!isCarried && !this.#isCarried(block, x, y, z, puts)) continue;
			// As much of each side as the sides of boxes can add up to is not lost.
			const lost =
				room -
				(block.w + sums[w - block.w]!) *
					(block.d + sums[d - block.d]!) *
					(block.h + sums[h - block.h]!);
			offer({ block, x, y, z }, block.volume - lost);
		}
	}

	#isCarried(block: Block, x: number, y: number, z: number, puts: readonly Put[]): boolean {
		if (z === 0) return true;
		// Each box at the foot of the block, by itself.
		for (const foot of block.boxes) {
			if (foot.z > 0) continue;
			const [fx, fy] = [x + foot.x, y + foot.y];
			let area = 0;
			for (const put of puts)
				for (const under of put.block.boxes) {
					const below = z - (put.z + under.z + under.h);
					if (below < 0 || below > this.problem.levelMm) continue;
					const [ux, uy] = [put.x + under.x, put.y + under.y];
					const across = Math.min(fx + foot.w, ux + under.w) - Math.max(fx, ux);
					const back = Math.min(fy + foot.d, uy + under.d) - Math.max(fy, uy);
					if (across > 0 && back > 0) area += across * back;
				}
			if (area < this.problem.support * foot.w * foot.d) return false;
		}
		return true;
	}
}

function isTaken(words: Int32Array, used: Int32Array): boolean {
	for (let k = 0; k < words.length; k++) if (words[k]! & used[k]!) return true;
	return false;
}

/** For each length the most that sides of different boxes add up to within it, one side a box. */
function sumsOf({ width, depth, height, boxes }: BoxesProblem): Int32Array {
	const most = Math.max(width, depth, height);
	const can = new Uint8Array(most + 1);
	can[0] = 1;
	for (const { w, d, h } of boxes) {
		const before = can.slice();
		for (const side of new Set([w, d, h]))
			for (let at = side; at <= most; at++) if (before[at - side]) can[at] = 1;
	}
	const sums = new Int32Array(most + 1);
	for (let at = 1; at <= most; at++) sums[at] = can[at] ? at : sums[at - 1]!;
	return sums;
}

import type { PlacedBox } from './problem';

/** Numbers a space is written in: its two corners, and whether all of its floor carries. */
const STEP = 7;
const MOST = 600;

/** What is cut out of a room; its top carries, or has to be looked at. */
export interface Taken extends Omit<PlacedBox, 'box'> {
	readonly isFlat: boolean;
}

/**
 * The largest empty boxes of a room; they overlap. Each has six sides and says whether all of its floor carries: where it
 * does not, what is set down there is looked at by itself.
 */
export class Spaces {
	readonly at = new Int32Array(MOST * STEP);
	count = 0;

	copyFrom(other: Spaces): void {
		this.at.set(other.at.subarray(0, other.count * STEP));
		this.count = other.count;
	}
	reset(width: number, depth: number, height: number): void {
		this.count = 0;
		this.#push(0, 0, 0, width, depth, height, 1);
	}
	/** The space whose nearest corner of the floor is nearest to a corner of the room; −1: none is left. */
	nearest(width: number, depth: number): number {
		const { at, count } = this;
		let best = -1;
		let least = Infinity;
		for (let i = 0, o = 0; i < count; i++, o += STEP) {
			const x = Math.min(at[o]!, width - at[o + 3]!);
			const y = Math.min(at[o + 1]!, depth - at[o + 4]!);
			const far = x + y + at[o + 2]!;
			const room = (at[o + 3]! - at[o]!) * (at[o + 4]! - at[o + 1]!) * (at[o + 5]! - at[o + 2]!);
			const score = far - room * 1e-12;
			if (score < least) [least, best] = [score, i];
		}
		return best;
	}
	/** Forgets a space: nothing goes into it. */
	drop(i: number): void {
		this.count--;
		if (i < this.count) this.at.copyWithin(i * STEP, this.count * STEP, (this.count + 1) * STEP);
	}
	/**
	 * Cuts out of all spaces what a block takes. What is left of them smaller than `least` a side is dropped, as is what
	 * lies within another. What is under a block is lost: nothing is put in there later.
	 */
	cut({ x, y, z, w, d, h, isFlat }: Taken, least: number): void {
		const { at } = this;
		const [x1, y1, z1] = [x + w, y + d, z + h];
		const before = this.count;
		let kept = 0;
		const first = before;
		for (let i = 0, o = 0; i < before; i++, o += STEP) {
			const [a, b, c, a1, b1, c1] = [
				at[o]!,
				at[o + 1]!,
				at[o + 2]!,
				at[o + 3]!,
				at[o + 4]!,
				at[o + 5]!
			];
			if (a >= x1 || a1 <= x || b >= y1 || b1 <= y || c >= z1 || c1 <= z) {
				if (kept !== i) at.copyWithin(kept * STEP, o, o + STEP);
				kept++;
				continue;
			}
			const full = at[o + 6]!;
			if (x - a >= least) this.#push(a, b, c, x, b1, c1, full);
			if (a1 - x1 >= least) this.#push(x1, b, c, a1, b1, c1, full);
			if (y - b >= least) this.#push(a, b, c, a1, y, c1, full);
			if (b1 - y1 >= least) this.#push(a, y1, c, a1, b1, c1, full);
			if (c1 - z1 >= least) {
				const [l, r, f, g] = [Math.max(a, x), Math.min(a1, x1), Math.max(b, y), Math.min(b1, y1)];
				const isWhole = l === a && r === a1 && f === b && g === b1;
				if (!isWhole || !isFlat) this.#push(a, b, z1, a1, b1, c1, 0);
				if (isFlat && r - l >= least && g - f >= least) this.#push(l, f, z1, r, g, c1, 1);
			}
		}
		// What was pushed lies behind all that were there; it comes after those that stay.
		const pushed = this.count - first;
		if (kept !== first) at.copyWithin(kept * STEP, first * STEP, this.count * STEP);
		this.count = kept + pushed;
		this.#tidy(kept);
	}
	/** Drops what lies within another space that carries as well. Only those from `from` on are new. */
	#tidy(from: number): void {
		for (let i = this.count - 1; i >= from; i--)
			for (let j = 0; j < this.count; j++)
				if (i !== j && this.#within(i, j)) {
					this.drop(i);
					break;
				}
		for (let i = from - 1; i >= 0; i--)
			for (let j = from; j < this.count; j++)
				if (i !== j && this.#within(i, j)) {
					this.drop(i);
					break;
				}
	}
	#within(inner: number, outer: number): boolean {
		const { at } = this;
		const [i, o] = [inner * STEP, outer * STEP];
		return (
			at[o]! <= at[i]! &&
			at[o + 1]! <= at[i + 1]! &&
			at[o + 2]! <= at[i + 2]! &&
			at[o + 3]! >= at[i + 3]! &&
			at[o + 4]! >= at[i + 4]! &&
			at[o + 5]! >= at[i + 5]! &&
			at[o + 6]! >= at[i + 6]!
		);
	}
	#push(a: number, b: number, c: number, a1: number, b1: number, c1: number, full: number): void {
		if (this.count >= MOST) return;
		const o = this.count++ * STEP;
		const { at } = this;
		at[o] = a;
		at[o + 1] = b;
		at[o + 2] = c;
		at[o + 3] = a1;
		at[o + 4] = b1;
		at[o + 5] = c1;
		at[o + 6] = full;
	}
}

import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Draws by chance, the same for the same seed. */
export interface Draws {
	/** Even in (0, 1]. */
	even(): number;
	/** Begins a new run: its gaps are another stretch of the pool. */
	begin(): void;
	/** Exponential of mean 1. */
	gap(): number;
	/** Gamma of a shape above 0 and scale 1. */
	gamma(shape: number): number;
}

/** Gaps are drawn once and read round and round, each run from a place of its own: a draw a use would take too long. */
const POOL = 1 << 17;
const pools = new Map<number, Float64Array>();
function poolOf(seed: number): Float64Array {
	const known = pools.get(seed);
	if (known) return known;
	const generator = xoroshiro128plus(seed ^ 0x5bd1e995);
	const pool = Float64Array.from(
		{ length: POOL },
		() => -Math.log(((generator.next() >>> 0) + 1) / 2 ** 32)
	);
	pools.clear();
	pools.set(seed, pool);
	return pool;
}

/** Makes a stream of draws. */
export function drawsOf(seed: number): Draws {
	const generator = xoroshiro128plus(seed);
	const even = () => ((generator.next() >>> 0) + 1) / 2 ** 32;
	// Normal by the polar way; one of each pair is kept for the next call.
	let kept = NaN;
	const normal = (): number => {
		if (!Number.isNaN(kept)) {
			const value = kept;
			kept = NaN;
			return value;
		}
		for (;;) {
			const x = 2 * even() - 1;
			const y = 2 * even() - 1;
			const r = x * x + y * y;
			if (r >= 1 || r === 0) continue;
			const scale = Math.sqrt((-2 * Math.log(r)) / r);
			kept = y * scale;
			return x * scale;
		}
	};
	// Marsaglia and Tsang; below shape 1 by one draw more.
	const gamma = (shape: number): number => {
		if (shape < 1) return gamma(shape + 1) * even() ** (1 / shape);
		const d = shape - 1 / 3;
		const c = 1 / Math.sqrt(9 * d);
		for (;;) {
			const x = normal();
			const v = (1 + c * x) ** 3;
			if (v > 0 && Math.log(even()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
		}
	};
	const pool = poolOf(seed);
	let at = 0;
	return {
		even,
		begin: () => void (at = (even() * POOL) | 0),
		gap: () => pool[at++ & (POOL - 1)]!,
		gamma
	};
}

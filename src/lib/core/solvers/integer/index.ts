/** A linear program with 0/1 columns: least `cost`, all columns within 0 and 1, rows within `low` and `high`. */
export interface IntegerProgram {
	readonly cost: Float64Array;
	/** 1 where a column is 0 or 1 and nothing between. */
	readonly whole: Uint8Array;
	/** Row r has the entries from `starts[r]` up to `starts[r + 1]`: column and coefficient. */
	readonly starts: Int32Array;
	readonly columns: Int32Array;
	readonly coefficients: Float64Array;
	readonly low: Float64Array;
	readonly high: Float64Array;
}

/** What a general solver gives for a program; it may stop early. */
export type IntegerOutcome =
	| { readonly status: 'optimal'; readonly values: ArrayLike<number>; readonly bound: number }
	| { readonly status: 'stopped'; readonly bound: number };

/**
 * A general solver for such programs, kept behind this so that core knows none. `start` is a plan that keeps all
 * rows. `seconds` is a ceiling; `onBound` hears of better bounds, and a true answer ends the work.
 */
export type IntegerSolver = (
	program: IntegerProgram,
	options: {
		readonly start: Float64Array;
		readonly seconds: number;
		readonly onBound?: (bound: number) => boolean | void;
	}
) => IntegerOutcome;

/** Gathers the rows of a program, one after the other. */
export class Rows {
	private readonly starts = [0];
	private readonly columns: number[] = [];
	private readonly coefficients: number[] = [];
	private readonly low: number[] = [];
	private readonly high: number[] = [];
	add(
		low: number,
		high: number,
		entries: readonly (readonly [column: number, value: number])[]
	): void {
		for (const [column, value] of entries) {
			this.columns.push(column);
			this.coefficients.push(value);
		}
		this.starts.push(this.columns.length);
		this.low.push(low);
		this.high.push(high);
	}
	done(): Omit<IntegerProgram, 'cost' | 'whole'> {
		return {
			starts: Int32Array.from(this.starts),
			columns: Int32Array.from(this.columns),
			coefficients: Float64Array.from(this.coefficients),
			low: Float64Array.from(this.low),
			high: Float64Array.from(this.high)
		};
	}
}

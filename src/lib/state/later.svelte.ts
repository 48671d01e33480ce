/** Calls back once the edit at hand has been painted; gives a way to call it off. */
export type Afterwards = (call: () => void) => () => void;

/** After the paint comes the write; what is slow comes after both. */
const AFTER_PAINT_MS = 120;
/** A page that is not in sight paints nothing. */
const UNSEEN_MS = 1500;
export const afterPaint: Afterwards = (call) => {
	let timer = setTimeout(run, UNSEEN_MS);
	const frame = requestAnimationFrame(() => {
		clearTimeout(timer);
		timer = setTimeout(run, AFTER_PAINT_MS);
	});
	function run() {
		cancelAnimationFrame(frame);
		call();
	}
	return () => {
		clearTimeout(timer);
		cancelAnimationFrame(frame);
	};
};

/**
 * A figure that is too slow for the path of an edit: while it is computed anew the last one stays, and it comes after the
 * screen has shown the edit. Edits that follow each other quickly are computed once.
 * @example const model = new Later(() => store.home, zoneModelOf); model.value // null at first
 */
export class Later<Input, Output> {
	#known = $state.raw<{ readonly of: Input; readonly is: Output } | null>(null);
	#awaited: Input | null = null;
	#callOff: (() => void) | null = null;

	constructor(
		private readonly of: () => Input,
		private readonly compute: (input: Input) => Output,
		private readonly afterwards: Afterwards = afterPaint
	) {}

	/** The last figure; null until there is a first. */
	get value(): Output | null {
		const input = this.of();
		if (this.#known?.of !== input && this.#awaited !== input) {
			this.#awaited = input;
			this.#callOff?.();
			this.#callOff = this.afterwards(() => this.#settle(input));
		}
		return this.#known ? this.#known.is : null;
	}
	/** Whether the figure is of what stands now. */
	get isFresh(): boolean {
		return this.#known?.of === this.of();
	}
	/** Nothing is computed any more. */
	leave(): void {
		this.#callOff?.();
	}

	#settle(input: Input): void {
		this.#callOff?.();
		this.#callOff = this.#awaited = null;
		this.#known = { of: input, is: this.compute(input) };
	}
}

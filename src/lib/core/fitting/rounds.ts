import type { Home } from '../model';
import { fitNook, type FitOptions, type FitResult } from './fit';

/** One place to be fitted, as `fitNook` takes it. */
export interface FitTask {
	readonly nookId: string;
	readonly options: FitOptions;
}

/**
 * Work that asks for places in rounds and goes on with their results, in the order asked. The places of one round know nothing
 * of each other, so that they may be fitted side by side.
 */
export type FitRounds<Result> = Generator<readonly FitTask[], Result, readonly FitResult[]>;

/** Whether a place is looked at for the first time, and not once more for another way: that is what progress counts. */
export const isFirstLook = ({ options }: FitTask): boolean => options.search !== 'short';

/**
 * Does such work place after place. `onFitted` hears how many places have been looked at, and ends the round with a true answer;
 * then the work goes on with what there is.
 */
export function runRounds<Result>(
	home: Home,
	rounds: FitRounds<Result>,
	onFitted?: (done: number) => boolean | void
): Result {
	let done = 0;
	for (let round = rounds.next(); ;) {
		if (round.done) return round.value;
		const results: FitResult[] = [];
		for (const task of round.value) {
			results.push(fitNook(home, task.nookId, task.options));
			if (isFirstLook(task) && onFitted?.(++done)) break;
		}
		round = rounds.next(results);
	}
}

import {
	fitNook,
	isFirstLook,
	type FitResult,
	type FitRounds,
	type FitTask
} from '../core/fitting';
import type { Home } from '../core/model';
import type { FitPlacePayload } from './fit-place.protocol';
import type { Helper, StartHelper } from './helper';

export type StartFitHelper = StartHelper<FitPlacePayload, FitResult>;
type FitHelper = Helper<FitPlacePayload, FitResult>;

/** Lets messages in between two pieces of work. */
const breathe = () => new Promise<void>((settle) => setTimeout(settle));

/**
 * Does work that asks for places in rounds with its places shared out among helpers in other threads; the same answer, whoever
 * fits which. `onFitted` hears how many places have been looked at. A helper that breaks down is done without, and its place is fitted by another; with none left
 * this thread does the work. Helpers end with it.
 */
export async function fitSideBySide<Result>(
	home: Home,
	rounds: FitRounds<Result>,
	startHelpers: readonly StartFitHelper[],
	onFitted?: (done: number) => void
): Promise<Result> {
	const started = await Promise.all(startHelpers.map((start) => start().catch(() => null)));
	let helpers = started.filter((helper): helper is FitHelper => helper !== null);
	const knowTheHome = new Set<FitHelper>();
	let done = 0;
	const fitAll = async (tasks: readonly FitTask[]): Promise<FitResult[]> => {
		const results: FitResult[] = [];
		const open = tasks.map((_, i) => i);
		const keep = (i: number, result: FitResult) => {
			results[i] = result;
			if (isFirstLook(tasks[i]!)) onFitted?.(++done);
		};
		const work = async (helper: FitHelper): Promise<void> => {
			for (let i = open.shift(); i !== undefined; i = open.shift()) {
				const own = knowTheHome.has(helper) ? null : home;
				try {
					const result = await helper.ask({ home: own, task: tasks[i]! });
					knowTheHome.add(helper);
					keep(i, result);
				} catch {
					open.unshift(i);
					helpers = helpers.filter((other) => other !== helper);
					return;
				}
			}
		};
		await Promise.all(helpers.map(work));
		for (const i of open) {
			keep(i, fitNook(home, tasks[i]!.nookId, tasks[i]!.options));
			await breathe();
		}
		return results;
	};
	try {
		let round = rounds.next();
		while (!round.done) round = rounds.next(await fitAll(round.value));
		return round.value;
	} finally {
		for (const helper of started) helper?.end();
	}
}

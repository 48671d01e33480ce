import { fitNook, type FitResult, type FitTask } from '../core/fitting';
import type { Home } from '../core/model';
import type { Handled } from './job.protocol';

/** What the fit worker sends to a helper; both are made here, so that nothing is parsed. */
export interface FitPlacePayload {
	/** null: the home that was sent before. */
	readonly home: Home | null;
	readonly task: FitTask;
}

/** Makes what fits one place after another of the home that came with the first. */
export function fitPlaceHandler(): (payload: unknown) => Handled<FitResult> {
	let known: Home | null = null;
	return (payload) => {
		const { home, task } = payload as FitPlacePayload;
		known = home ?? known;
		if (!known) throw new Error('A place was asked for before its home.');
		return { ok: true, result: fitNook(known, task.nookId, task.options) };
	};
}

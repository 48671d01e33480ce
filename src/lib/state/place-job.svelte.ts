import type { Home } from '../core/model';
import type { PlaceProgress, PlaceResult } from '../core/zoning';
import type { JobOutcome } from '../workers/job-client';

export interface PlaceRunner {
	run(
		payload: unknown,
		onProgress?: (progress: PlaceProgress) => void
	): Promise<JobOutcome<PlaceResult>>;
	cancel(): void;
}
export type PlaceJobState =
	| { readonly kind: 'idle' }
	| { readonly kind: 'running'; readonly progress: PlaceProgress | null }
	| { readonly kind: 'failed'; readonly reason: string };

/** Says of a job that gave no answer why. */
export function failureOf(outcome: Extract<JobOutcome<unknown>, { kind: 'failed' | 'refused' }>): {
	readonly kind: 'failed';
	readonly reason: string;
} {
	const reason =
		outcome.kind === 'failed'
			? outcome.reason
			: outcome.issues.map((issue) => `${issue.path}: ${issue.reason}`).join('; ');
	return { kind: 'failed', reason };
}

/** A run of the planner: its progress, its stop, its answer. */
export class PlaceJob {
	#state = $state.raw<PlaceJobState>({ kind: 'idle' });
	/** Counts runs: what comes of one that was left or followed by another is nobody's any more. */
	#run = 0;
	constructor(private readonly runner: PlaceRunner) {}

	get state(): PlaceJobState {
		return this.#state;
	}

	/**
	 * Plans a home. Stopped, it gives the best plan so far; null when there is none, when it was left, or when another
	 * run took its place: then the last plan stays.
	 */
	async start(home: Home, options: { seed: number; moves: number }): Promise<PlaceResult | null> {
		let best: PlaceResult | null = null;
		const run = ++this.#run;
		this.#state = { kind: 'running', progress: null };
		const outcome = await this.runner.run({ home, options }, (progress) => {
			if (run !== this.#run) return;
			best = progress.best;
			this.#state = { kind: 'running', progress };
		});
		if (run !== this.#run) return null;
		this.#state =
			outcome.kind === 'failed' || outcome.kind === 'refused'
				? failureOf(outcome)
				: { kind: 'idle' };
		if (outcome.kind === 'done') return outcome.result;
		return outcome.kind === 'cancelled' ? best : null;
	}

	/** Ends the run and keeps its best plan so far. */
	stop(): void {
		this.runner.cancel();
	}

	/** Ends the run and lets go of it: nothing comes of it. */
	leave(): void {
		this.#run++;
		this.#state = { kind: 'idle' };
		this.runner.cancel();
	}
}

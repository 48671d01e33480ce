import type { JobOutcome } from '../workers/job-client';

/** What a job is done by: a worker's client, or a stand-in in tests. */
export interface JobRunner<Result, Progress> {
	run(payload: object, onProgress?: (progress: Progress) => void): Promise<JobOutcome<Result>>;
	cancel(): void;
}
export type JobState<Progress> =
	| { readonly kind: 'idle' }
	| { readonly kind: 'running'; readonly progress: Progress | null }
	| { readonly kind: 'failed'; readonly reason: string };

export interface JobOptions<Result, Progress> {
	/** The best answer so far: what stopping keeps. Without it a stopped run gives nothing. */
	readonly bestOf?: (progress: Progress) => Result;
}
export interface JobAnswer<Result> {
	readonly result: Result;
	/** What it was computed from has changed since the start: it is not to be shown as fresh. */
	readonly isLate: boolean;
}

/**
 * A long computation with its progress, its stop and its answer: the one way to place, prove, fit and compare. Each run
 * has a token, so that what comes of one that was left, or followed by another, is nobody's any more.
 */
export class Job<Result, Progress> {
	#state = $state.raw<JobState<Progress>>({ kind: 'idle' });
	#run = 0;
	constructor(
		private readonly runner: JobRunner<Result, Progress>,
		private readonly options: JobOptions<Result, Progress> = {}
	) {}

	get state(): JobState<Progress> {
		return this.#state;
	}
	/** How far the run is; null: none, or it has not said yet. */
	get progress(): Progress | null {
		return this.#state.kind === 'running' ? this.#state.progress : null;
	}
	get isRunning(): boolean {
		return this.#state.kind === 'running';
	}
	/** Why the last run failed; empty: it did not. */
	get failure(): string {
		return this.#state.kind === 'failed' ? this.#state.reason : '';
	}

	/**
	 * Runs on plain data. Null when it failed, was stopped without an answer, was left, or was followed by another run.
	 * `basis` says what the answer hangs on, as a value that is compared by identity before and after.
	 */
	async start(
		payload: object,
		basis: () => unknown = () => null
	): Promise<JobAnswer<Result> | null> {
		let best: Result | null = null;
		const run = ++this.#run;
		const from = basis();
		this.#state = { kind: 'running', progress: null };
		const outcome = await this.runner.run(payload, (progress) => {
			if (run !== this.#run) return;
			best = this.options.bestOf?.(progress) ?? null;
			this.#state = { kind: 'running', progress };
		});
		if (run !== this.#run) return null;
		this.#state =
			outcome.kind === 'done' || outcome.kind === 'cancelled'
				? { kind: 'idle' }
				: failureOf(outcome);
		const result =
			outcome.kind === 'done' ? outcome.result : outcome.kind === 'cancelled' ? best : null;
		return result === null ? null : { result, isLate: basis() !== from };
	}

	/** Ends the run and keeps its best answer so far, where it has one. */
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

function failureOf(outcome: Extract<JobOutcome<unknown>, { kind: 'failed' | 'refused' }>) {
	const reason =
		outcome.kind === 'failed'
			? outcome.reason
			: outcome.issues.map((issue) => `${issue.path}: ${issue.reason}`).join('; ');
	return { kind: 'failed', reason } as const;
}

import type { Home } from '../core/model';
import type { PlanProof } from '../core/zoning';
import type { JobOutcome } from '../workers/job-client';
import { failureOf } from './place-job.svelte';

export interface ProveRunner {
	run(
		payload: object,
		onProgress?: (progress: { readonly bound: number }) => void
	): Promise<JobOutcome<PlanProof>>;
	cancel(): void;
}
export type ProveJobState =
	| { readonly kind: 'idle' }
	| { readonly kind: 'running'; readonly bound: number | null }
	| { readonly kind: 'failed'; readonly reason: string };

/** A search for the proof of a plan: how far it has come, its stop, its answer. */
export class ProveJob {
	#state = $state.raw<ProveJobState>({ kind: 'idle' });
	constructor(private readonly runner: ProveRunner) {}

	get state(): ProveJobState {
		return this.#state;
	}

	/** Proves the plan in force of a home within so many seconds; null when it was stopped or broke down. */
	async start(home: Home, seconds: number): Promise<PlanProof | null> {
		this.#state = { kind: 'running', bound: null };
		const outcome = await this.runner.run({ home, options: { seconds } }, ({ bound }) => {
			this.#state = { kind: 'running', bound };
		});
		this.#state =
			outcome.kind === 'failed' || outcome.kind === 'refused'
				? failureOf(outcome)
				: { kind: 'idle' };
		return outcome.kind === 'done' ? outcome.result : null;
	}

	stop(): void {
		this.runner.cancel();
	}
}

// Named here and not in the worker: only what the pages name is kept for the time without a network.
import wasmUrl from 'highs/runtime?url';
import type { PlanProof } from '../core/zoning';
import { JobClient, type JobOutcome } from './job-client';
import type { ProveProgress } from './prove.protocol';

/** Makes the client that proves plans off the page. */
export function createProveClient() {
	const client = new JobClient<PlanProof, ProveProgress>(
		() => new Worker(new URL('./prove.worker.ts', import.meta.url), { type: 'module' })
	);
	return {
		run: (
			payload: object,
			onProgress?: (progress: ProveProgress) => void
		): Promise<JobOutcome<PlanProof>> => client.run({ ...payload, wasmUrl }, onProgress),
		cancel: () => client.cancel()
	};
}

// Named here and not in the worker: only what the pages name is kept for the time without a network.
import wasmUrl from 'highs/runtime?url';
import type { MealWeek } from '../core/rotation';
import { JobClient, type JobOutcome } from './job-client';

/** Makes the client that plans meals off the page. */
export function createMealsClient() {
	const client = new JobClient<MealWeek>(
		() => new Worker(new URL('./meals.worker.ts', import.meta.url), { type: 'module' })
	);
	return {
		run: (payload: object): Promise<JobOutcome<MealWeek>> => client.run({ ...payload, wasmUrl }),
		cancel: () => client.cancel()
	};
}

import type { FitAnswer, FitProgress } from './fit.protocol';
import { JobClient } from './job-client';

/** Makes the client that fits containers off the page. */
export const createFitClient = () =>
	new JobClient<FitAnswer, FitProgress>(
		() => new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' })
	);

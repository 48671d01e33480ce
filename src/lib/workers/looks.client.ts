import { JobClient } from './job-client';
import type { LooksAnswer, LooksProgress } from './looks.protocol';

/** Makes the client that prices looks off the page. */
export const createLooksClient = () =>
	new JobClient<LooksAnswer, LooksProgress>(
		() => new Worker(new URL('./looks.worker.ts', import.meta.url), { type: 'module' })
	);

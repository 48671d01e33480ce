import type { HeightsAnswer } from './heights.protocol';
import { JobClient } from './job-client';

/** Makes the client that looks at the heights of shelves off the page. */
export const createHeightsClient = () =>
	new JobClient<HeightsAnswer, never>(
		() => new Worker(new URL('./heights.worker.ts', import.meta.url), { type: 'module' })
	);

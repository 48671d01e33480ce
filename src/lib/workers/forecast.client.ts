import type { HomeOutlook } from '../core/rotation';
import type { ForecastProgress } from './forecast.protocol';
import { JobClient } from './job-client';

/** Makes the client that foretells the stock off the page. */
export const createForecastClient = () =>
	new JobClient<HomeOutlook, ForecastProgress>(
		() => new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' })
	);

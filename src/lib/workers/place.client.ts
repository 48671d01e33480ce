import type { PlaceProgress, PlaceResult } from '../core/zoning';
import { JobClient } from './job-client';

/** Makes the client that plans zones off the page. */
export const createPlaceClient = () =>
	new JobClient<PlaceResult, PlaceProgress>(
		() => new Worker(new URL('./place.worker.ts', import.meta.url), { type: 'module' })
	);

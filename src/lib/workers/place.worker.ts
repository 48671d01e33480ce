import type { PlaceProgress } from '../core/zoning';
import { startHelper } from './helper';
import { serveJobs } from './job-worker';
import { handlePlaceBySides, type StartSide } from './place.protocol';

const startSide: StartSide = () =>
	startHelper(() => new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }));

serveJobs(
	self as unknown as Parameters<typeof serveJobs>[0],
	(payload, onProgress?: (progress: PlaceProgress) => void) =>
		handlePlaceBySides(payload, onProgress, startSide)
);

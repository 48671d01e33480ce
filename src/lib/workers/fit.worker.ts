import { fitHelpers } from './fit-helpers';
import { serveJobs } from './job-worker';
import { handleFitSideBySide, type FitProgress } from './fit.protocol';

serveJobs(
	self as unknown as Parameters<typeof serveJobs>[0],
	(payload, onProgress?: (progress: FitProgress) => void) =>
		handleFitSideBySide(payload, onProgress, fitHelpers())
);

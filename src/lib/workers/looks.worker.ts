import { fitHelpers } from './fit-helpers';
import { serveJobs } from './job-worker';
import { handleLooksSideBySide, type LooksProgress } from './looks.protocol';

serveJobs(
	self as unknown as Parameters<typeof serveJobs>[0],
	(payload, onProgress?: (progress: LooksProgress) => void) =>
		handleLooksSideBySide(payload, onProgress, fitHelpers())
);

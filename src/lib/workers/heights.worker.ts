import { handleHeights } from './heights.protocol';
import { serveJobs } from './job-worker';

serveJobs(self as unknown as Parameters<typeof serveJobs>[0], handleHeights);

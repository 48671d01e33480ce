import { serveJobs } from './job-worker';
import { handleLooks } from './looks.protocol';

serveJobs(self as unknown as Parameters<typeof serveJobs>[0], handleLooks);

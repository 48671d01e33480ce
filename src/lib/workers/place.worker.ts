import { serveJobs } from './job-worker';
import { handlePlace } from './place.protocol';

serveJobs(self as unknown as Parameters<typeof serveJobs>[0], handlePlace);

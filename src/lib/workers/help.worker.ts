import { serveJobs } from './job-worker';
import { handleHelp } from './help.protocol';

serveJobs(self as unknown as Parameters<typeof serveJobs>[0], handleHelp);

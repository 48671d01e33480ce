import { serveJobs } from './job-worker';
import { handleSearch } from './search.protocol';

serveJobs(self as unknown as Parameters<typeof serveJobs>[0], handleSearch);
// A worker at work starts no other: whoever made this one waits until it listens.
self.postMessage('ready');

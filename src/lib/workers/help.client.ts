import type { Helped } from '../core/zoning';
import { JobClient } from './job-client';
import type { HelpProgress } from './help.protocol';

/** Makes the client that tries off the page what would help a plan. */
export const createHelpClient = () =>
	new JobClient<readonly Helped[], HelpProgress>(
		() => new Worker(new URL('./help.worker.ts', import.meta.url), { type: 'module' })
	);

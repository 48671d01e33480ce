import { serveJobs } from './job-worker';
import { handlePlaceBySides, type StartSide } from './place.protocol';
import { JobReply } from './job.protocol';
import type { PlaceProgress } from '../core/zoning';
import type { SearchResult } from '../core/solvers/assignment';

/** Starts the helper and waits until it listens; it ends with this worker. */
const startSide: StartSide = () =>
	new Promise((settle) => {
		const helper = new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' });
		helper.addEventListener('error', () => settle(null), { once: true });
		helper.addEventListener(
			'message',
			() =>
				settle(
					(payload) =>
						new Promise((found, fail) => {
							const broke = () => fail(new Error('The helper broke down.'));
							helper.addEventListener('error', broke, { once: true });
							helper.addEventListener(
								'message',
								({ data }: MessageEvent<unknown>) => {
									helper.terminate();
									const reply = JobReply.safeParse(data);
									// It answers with what core made, so its shape is core's own type.
									if (reply.success && reply.data.kind === 'done')
										found(reply.data.result as SearchResult);
									else broke();
								},
								{ once: true }
							);
							helper.postMessage({ id: 1, payload });
						})
				),
			{ once: true }
		);
	});

serveJobs(
	self as unknown as Parameters<typeof serveJobs>[0],
	(payload, onProgress?: (progress: PlaceProgress) => void) =>
		handlePlaceBySides(payload, onProgress, startSide)
);

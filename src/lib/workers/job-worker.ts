import { JobRequest, type Handler, type JobReply } from './job.protocol';

interface Port {
	postMessage(message: JobReply): void;
	addEventListener(type: 'message', listener: (event: MessageEvent<unknown>) => void): void;
}

/** Serves a handler inside a worker: decode, call, post; nothing that goes wrong is lost. */
export function serveJobs<Result, Progress>(port: Port, handler: Handler<Result, Progress>): void {
	port.addEventListener('message', async ({ data }) => {
		const request = JobRequest.safeParse(data);
		if (!request.success) {
			port.postMessage({
				kind: 'failed',
				id: -1,
				reason: 'The worker was sent something that is no job.'
			});
			return;
		}
		const { id, payload } = request.data;
		try {
			const handled = await handler(payload, (progress) =>
				port.postMessage({ kind: 'progress', id, progress })
			);
			if (handled.ok) port.postMessage({ kind: 'done', id, result: handled.result });
			else port.postMessage({ kind: 'refused', id, issues: [...handled.issues] });
		} catch (error) {
			port.postMessage({
				kind: 'failed',
				id,
				reason: error instanceof Error ? error.message : String(error)
			});
		}
	});
}

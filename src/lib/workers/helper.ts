import { JobReply, type Handler } from './job.protocol';
import { serveJobs } from './job-worker';

/** Another thread that works for a worker, one question at a time. */
export interface Helper<Payload, Result> {
	/** Rejects when the helper breaks down; then it is of no more use. */
	ask(payload: Payload): Promise<Result>;
	end(): void;
}
/** Starts a helper; null when none can be had. */
export type StartHelper<Payload, Result> = () => Promise<Helper<Payload, Result> | null>;

/** Serves a handler inside a helper. A worker at work starts no other: whoever made this one waits until it listens. */
export function serveHelp<Result, Progress>(handler: Handler<Result, Progress>): void {
	serveJobs(self as unknown as Parameters<typeof serveJobs>[0], handler);
	self.postMessage('ready');
}

/** Starts a helper and waits until it listens; it ends with the worker that started it. */
export const startHelper = <Payload, Result>(
	make: () => Worker
): Promise<Helper<Payload, Result> | null> =>
	new Promise((settle) => {
		const worker = make();
		const ask = (payload: Payload) =>
			new Promise<Result>((found, fail) => {
				const broke = () => fail(new Error('The helper broke down.'));
				worker.addEventListener('error', broke, { once: true });
				worker.addEventListener(
					'message',
					({ data }: MessageEvent<unknown>) => {
						worker.removeEventListener('error', broke);
						const reply = JobReply.safeParse(data);
						// It answers with what core made, so its shape is core's own type.
						if (reply.success && reply.data.kind === 'done') found(reply.data.result as Result);
						else broke();
					},
					{ once: true }
				);
				worker.postMessage({ id: 1, payload });
			});
		worker.addEventListener('error', () => settle(null), { once: true });
		worker.addEventListener('message', () => settle({ ask, end: () => worker.terminate() }), {
			once: true
		});
	});

/** More threads than this bring little, and a phone gets warm. */
const MOST_HELPERS = 4;
/** The same start once for each helper that suits a machine: one core stays free for the page where there are more than two. */
export const asManyAsSuit = <Start>(start: Start, cores: number): Start[] =>
	Array<Start>(Math.min(MOST_HELPERS, Math.max(2, cores - 1))).fill(start);

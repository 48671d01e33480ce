import { JobReply, type Issue } from './job.protocol';

export type JobOutcome<Result> =
	| { readonly kind: 'done'; readonly result: Result }
	| { readonly kind: 'refused'; readonly issues: readonly Issue[] }
	| { readonly kind: 'failed'; readonly reason: string }
	| { readonly kind: 'cancelled' };

/** The part of a Worker that the client uses; tests put a plain object in its place. */
export interface WorkerLike {
	postMessage(message: unknown): void;
	terminate(): void;
	addEventListener(
		type: 'message' | 'error' | 'messageerror',
		listener: (event: Event) => void
	): void;
}

interface Pending<Result, Progress> {
	readonly id: number;
	readonly settle: (outcome: JobOutcome<Result>) => void;
	readonly onProgress: ((progress: Progress) => void) | undefined;
}

/**
 * Runs jobs of one kind in a worker that is made when first needed. The latest job wins: starting another, or
 * cancelling, ends the worker and settles what was pending as cancelled. Every call settles, also when the worker dies.
 */
export class JobClient<Result, Progress = never> {
	private worker: WorkerLike | null = null;
	private pending: Pending<Result, Progress> | null = null;
	private lastId = 0;

	constructor(private readonly makeWorker: () => WorkerLike) {}

	/** Starts a job with plain data (no state proxies). */
	run(payload: unknown, onProgress?: (progress: Progress) => void): Promise<JobOutcome<Result>> {
		this.cancel();
		const id = ++this.lastId;
		return new Promise((settle) => {
			this.pending = { id, settle, onProgress };
			this.worker ??= this.start();
			this.worker.postMessage({ id, payload });
		});
	}

	/** Ends the job that is running; without one nothing happens. */
	cancel(): void {
		if (this.pending) this.end({ kind: 'cancelled' });
	}

	private start(): WorkerLike {
		const worker = this.makeWorker();
		worker.addEventListener('message', (event) =>
			this.receive((event as MessageEvent<unknown>).data)
		);
		worker.addEventListener('error', (event) => {
			const { message } = event as ErrorEvent;
			this.end({
				kind: 'failed',
				reason:
					message || 'A part of the program could not be loaded. Reload the page and try again.'
			});
		});
		worker.addEventListener('messageerror', () =>
			this.end({ kind: 'failed', reason: 'The answer of the worker could not be read.' })
		);
		return worker;
	}

	private receive(data: unknown): void {
		const reply = JobReply.safeParse(data);
		if (!reply.success)
			return this.end({ kind: 'failed', reason: 'The worker answered in another language.' });
		if (!this.pending || reply.data.id !== this.pending.id) return;
		if (reply.data.kind === 'progress') {
			this.pending.onProgress?.(reply.data.progress as Progress);
			return;
		}
		const { settle } = this.pending;
		this.pending = null;
		// The worker answers with what core made, so its shape is core's own type.
		if (reply.data.kind === 'done') settle({ kind: 'done', result: reply.data.result as Result });
		else settle(reply.data);
	}

	private end(outcome: JobOutcome<Result>): void {
		this.worker?.terminate();
		this.worker = null;
		const pending = this.pending;
		this.pending = null;
		pending?.settle(outcome);
	}
}

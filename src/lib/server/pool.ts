import { availableParallelism } from 'node:os';
import { MessageChannel } from 'node:worker_threads';
import Piscina from 'piscina';
import { MOST_MS, type ComputationName, type ComputeAnswer } from './compute-limits';

export interface PoolOptions {
	/** Path of the built thread. */
	readonly filename: string;
	readonly threads: number;
	/** Requests that may wait for a thread; more are told to come again. */
	readonly queue: number;
	/** Memory a thread may take before it is ended, MB. */
	readonly memoryMb: number;
}
const DEFAULTS = {
	// One core is left for pages where there is more than one.
	threads: Math.max(1, Math.min(4, availableParallelism() - 1)),
	queue: 8,
	memoryMb: 1536
} as const;

export type PoolAnswer =
	| ({ readonly kind: 'answer' } & ComputeAnswer)
	/** All threads are at work and the queue is full. */
	| { readonly kind: 'busy' }
	/** It took longer than it may; `limitMs` is what it was given. */
	| { readonly kind: 'too-long'; readonly limitMs: number }
	/** It took more memory than it may. */
	| { readonly kind: 'too-large' }
	/** Whoever asked is gone. */
	| { readonly kind: 'gone' };

/**
 * Threads that compute, so that pages are served meanwhile. A computation that takes too long, or that nobody waits for
 * any more, is ended with its thread; another is started in its place.
 */
export class ComputePool {
	readonly #piscina: Piscina;
	constructor({
		filename,
		threads = DEFAULTS.threads,
		queue = DEFAULTS.queue,
		memoryMb = DEFAULTS.memoryMb
	}: Partial<PoolOptions> & Pick<PoolOptions, 'filename'>) {
		this.#piscina = new Piscina({
			filename,
			minThreads: 1,
			maxThreads: threads,
			maxQueue: queue,
			idleTimeout: 60_000,
			resourceLimits: { maxOldGenerationSizeMb: memoryMb },
			// A thread imports nothing of the server's process.
			env: {}
		});
	}

	/** Whether a request would be taken now. */
	get isFull(): boolean {
		return this.#piscina.queueSize >= this.#piscina.options.maxQueue;
	}

	async run(name: ComputationName, body: Uint8Array, gone?: AbortSignal): Promise<PoolAnswer> {
		if (gone?.aborted) return { kind: 'gone' };
		const stop = new AbortController();
		const { port1, port2 } = new MessageChannel();
		let limitMs = MOST_MS;
		let why = 'too-long' as 'gone' | 'too-long';
		let timer: NodeJS.Timeout | undefined;
		const arm = (ms: number) => {
			clearTimeout(timer);
			timer = setTimeout(() => stop.abort(), ms);
		};
		const leave = () => {
			why = 'gone';
			stop.abort();
		};
		gone?.addEventListener('abort', leave, { once: true });
		port1.on('message', (message: { started?: true; limitMs?: number }) => {
			if (message.limitMs) limitMs = message.limitMs;
			arm(limitMs);
		});
		// A request that waits for a thread for as long as one may compute will not be answered in time either.
		arm(2 * MOST_MS);
		try {
			const answer = (await this.#piscina.run(
				{ name, body, port: port2 },
				{ signal: stop.signal, transferList: [port2] }
			)) as ComputeAnswer;
			return { kind: 'answer', ...answer };
		} catch (error) {
			if (stop.signal.aborted)
				return why === 'gone' ? { kind: 'gone' } : { kind: 'too-long', limitMs };
			const { code, message } = error as { code?: string; message?: string };
			if (/queue.*limit|Task queue/i.test(message ?? '')) return { kind: 'busy' };
			if (code === 'ERR_WORKER_OUT_OF_MEMORY') return { kind: 'too-large' };
			throw error;
		} finally {
			clearTimeout(timer);
			gone?.removeEventListener('abort', leave);
			port1.close();
		}
	}

	/** Ends all threads. */
	async end(): Promise<void> {
		await this.#piscina.destroy();
	}
}

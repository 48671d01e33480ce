// Named here and not in the worker: only what the pages name is kept for the time without a network.
import wasmUrl from 'zxing-wasm/reader/zxing_reader.wasm?url';
import { JobClient } from './job-client';

/** Makes the client that reads codes off single frames of a camera; null: there is none in the frame. */
export function createBarcodeClient() {
	const client = new JobClient<string | null>(
		() => new Worker(new URL('./barcode.worker.ts', import.meta.url), { type: 'module' })
	);
	return {
		async read(image: ImageData): Promise<string | null> {
			const outcome = await client.run({ image, wasmUrl });
			if (outcome.kind === 'failed') throw new Error(outcome.reason);
			return outcome.kind === 'done' ? outcome.result : null;
		},
		cancel: () => client.cancel()
	};
}

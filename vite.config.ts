import tailwindcss from '@tailwindcss/vite';
import { sveltekit } from '@sveltejs/kit/vite';
import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';
import { buildThread } from './scripts/build-thread.mjs';

export default defineConfig({
	plugins: [
		tailwindcss(),
		sveltekit(),
		{
			// What the server computes runs in threads of their own, built apart.
			name: 'compute-thread',
			apply: 'serve',
			async configureServer() {
				if (process.env.VITEST) return;
				process.env.COMPUTE_THREAD = await buildThread('node_modules/.cache/keep-nook');
			}
		}
	],
	worker: { format: 'es' },
	test: {
		include: ['src/**/*.test.ts', 'data/**/*.test.ts', 'bench/**/*.test.ts'],
		environment: 'node',
		// No test leaves anything behind in a module; loading all of it anew for each file took half of the time.
		isolate: false,
		// Left alone, one of two cores would stay idle.
		maxWorkers: availableParallelism(),
		// For what hangs; a busy machine may be ten times slower than a quiet one, and speed is the bench's matter.
		testTimeout: 60_000,
		hookTimeout: 120_000
	}
});

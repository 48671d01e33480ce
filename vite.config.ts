import tailwindcss from '@tailwindcss/vite';
import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	worker: { format: 'es' },
	test: {
		include: ['src/**/*.test.ts', 'data/**/*.test.ts', 'bench/**/*.test.ts'],
		environment: 'node',
		// No test leaves anything behind in a module; loading all of it anew for each file took half of the time.
		isolate: false,
		// For what hangs; a busy machine may be ten times slower than a quiet one, and speed is the bench's matter.
		testTimeout: 60_000
	}
});

import { copyFileSync } from 'node:fs';
import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { buildThread } from './scripts/build-thread.mjs';

/** The adapter, with our own entry, and beside the server what runs in its threads. */
function adapterWithThread() {
	const base = adapter({ precompress: true });
	return {
		...base,
		async adapt(builder) {
			await base.adapt(builder);
			await buildThread('build');
			copyFileSync('scripts/server-entry.mjs', 'build/index.js');
		}
	};
}

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapterWithThread(),
		alias: { $rows: 'data' },
		// The service worker answers every address with one cached shell, so
		// the shell must name its files from the root, not from where it was read.
		paths: { relative: false },
		csp: {
			mode: 'hash',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
				'style-src': ['self'],
				// Svelte writes style attributes for drawing colours and positions; style elements are not allowed.
				'style-src-attr': ['unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'font-src': ['self', 'data:'],
				'connect-src': ['self'],
				'worker-src': ['self'],
				'object-src': ['none'],
				'base-uri': ['self'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		}
	}
};

import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { buildThread } from './scripts/build-thread.mjs';

/** The adapter, and beside the server what runs in its threads. */
function adapterWithThread() {
	const base = adapter({ precompress: true });
	return {
		...base,
		async adapt(builder) {
			await base.adapt(builder);
			await buildThread('build');
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
				// Svelte writes style attributes for drawing colours and positions.
				'style-src': ['self', 'unsafe-inline'],
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

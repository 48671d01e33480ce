// Builds what runs in the threads of the server into one file; its packages stay where they are.
import { resolve } from 'node:path';

const THREAD_NAME = 'compute.thread.js';

/** Builds the thread into a folder and gives the path of its file. */
export async function buildThread(folder) {
	const { build } = await import('vite');
	await build({
		configFile: false,
		logLevel: 'warn',
		build: {
			ssr: resolve('src/lib/server/compute.thread.ts'),
			outDir: resolve(folder),
			emptyOutDir: false,
			copyPublicDir: false,
			minify: false,
			rolldownOptions: { output: { entryFileNames: THREAD_NAME, codeSplitting: false } }
		}
	});
	return resolve(folder, THREAD_NAME);
}

import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const THREAD_NAME = 'compute.thread.js';

/** Finds a file in a folder or one of those above it. */
function findUp(from: string, name: string): string | null {
	for (let folder = from; ; folder = dirname(folder)) {
		const file = join(folder, name);
		if (existsSync(file)) return file;
		if (dirname(folder) === folder) return null;
	}
}

/**
 * Gives the path of the built thread: it lies at the root of the built server. While developing, the dev server has
 * built it and says where in COMPUTE_THREAD.
 */
export function threadFile(): string {
	const file =
		process.env.COMPUTE_THREAD ?? findUp(dirname(fileURLToPath(import.meta.url)), THREAD_NAME);
	if (!file)
		throw new Error(`${THREAD_NAME} is not beside the server; build it with npm run build.`);
	return file;
}

import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';

const PORT = 4329;

/** Runs something against the built server, which is ended afterwards; null when there is no build. */
export async function withServer<Result>(
	task: (base: string, pid: number) => Promise<Result>
): Promise<Result | null> {
	if (!existsSync('build/index.js')) return null;
	const base = `http://localhost:${PORT}`;
	const server = spawn('node', ['build'], {
		env: {
			...process.env,
			PORT: String(PORT),
			HOST: '127.0.0.1',
			ORIGIN: base,
			BODY_SIZE_LIMIT: '21M'
		},
		stdio: ['ignore', 'pipe', 'inherit']
	});
	try {
		await new Promise<void>((ready) => server.stdout.once('data', () => ready()));
		return await task(base, server.pid!);
	} finally {
		server.kill();
	}
}

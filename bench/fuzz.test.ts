import { mkdtempSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { buildThread } from '../scripts/build-thread.mjs';
import { answer } from '../src/lib/server/api';
import { MOST_MS } from '../src/lib/server/compute-limits';
import { ComputePool } from '../src/lib/server/pool';
import { BodyReader } from '../src/lib/server/read-body';
import { fuzzHomes } from './fuzz-homes';
import { fuzzRequests } from './mutate';

let filename: string;
let pool: ComputePool;
beforeAll(async () => {
	filename = await buildThread(mkdtempSync(join('node_modules', '.cache-thread-')));
	pool = new ComputePool({ filename, threads: 1, queue: 4 });
});
afterAll(async () => {
	await pool.end();
	rmSync(dirname(filename), { recursive: true });
});

const SEED = 4001;
it('gives every request, however odd, a result or a refusal within its limit', async () => {
	const bodies = new BodyReader();
	for (const { name, body, what } of fuzzRequests(SEED, 120, fuzzHomes())) {
		const from = performance.now();
		const request = new Request('http://localhost/', { method: 'POST', body });
		const { status } = await answer({ request }, name, { pool, bodies });
		expect(status, `${name}: ${what}`).toBeLessThan(500);
		expect(performance.now() - from, `${name}: ${what}`).toBeLessThan(MOST_MS + 5000);
	}
});

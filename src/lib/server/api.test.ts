import { mkdtempSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { buildThread } from '../../../scripts/build-thread.mjs';
import { generateHome } from '../core/fixtures/generate-home';
import { tinyHome } from '../core/fixtures/tiny-home';
import { handleForecast } from '../workers/forecast.protocol';
import { handlePlace } from '../workers/place.protocol';
import { answer, type ApiDeps } from './api';
import type { ComputationName } from './compute-limits';
import { ComputePool } from './pool';
import { BodyReader } from './read-body';

let filename: string;
let deps: ApiDeps;
const pools: ComputePool[] = [];
const poolOf = (threads: number, queue: number) => {
	const pool = new ComputePool({ filename, threads, queue });
	pools.push(pool);
	return pool;
};
beforeAll(async () => {
	// Beside the packages, where the thread finds them.
	filename = await buildThread(mkdtempSync(join('node_modules', '.cache-thread-')));
	deps = { pool: poolOf(1, 2), bodies: new BodyReader() };
});
afterAll(async () => {
	for (const pool of pools) await pool.end();
	rmSync(dirname(filename), { recursive: true });
});

const post = (body: BodyInit, headers: Record<string, string> = {}, signal?: AbortSignal) => ({
	request: new Request('http://localhost/api/v1/place', {
		method: 'POST',
		body,
		headers,
		...(signal ? { signal } : {}),
		duplex: 'half'
	} as RequestInit)
});
const ask = (body: unknown, name: ComputationName = 'place') =>
	answer(post(JSON.stringify(body)), name, deps);
const issuesOf = async (response: Response) =>
	((await response.json()) as { issues: { code: string; path: string; reason: string }[] }).issues;
const copy = () => JSON.parse(JSON.stringify(tinyHome())) as Record<string, never>;
/** What takes far longer than any test waits. */
const endless = () => ({
	home: generateHome({ seed: 1, rooms: 4, cabinets: 40, groups: 100, things: 300, lots: 300 }),
	options: { moves: 50_000_000 }
});

describe('POST /api/v1', () => {
	it('answers as the worker does', async () => {
		const body = { home: tinyHome(), options: { seed: 2, moves: 2000 } };
		const response = await ask(body);
		expect(response.status).toBe(200);
		const expected = handlePlace(body);
		expect(await response.json()).toEqual(
			expected.ok && JSON.parse(JSON.stringify(expected.result))
		);
	});
	it('foretells as the worker does', async () => {
		const body = { home: tinyHome(), options: { today: '2026-03-02' } };
		const response = await ask(body, 'forecast');
		expect(response.status).toBe(200);
		const expected = handleForecast(body);
		expect(await response.json()).toEqual(
			expected.ok && JSON.parse(JSON.stringify(expected.result))
		);
		expect((await ask({ home: tinyHome(), options: {} }, 'forecast')).status).toBe(400);
	});
	it('refuses with 400 and the issues', async () => {
		const bad = await answer(post('{"home":'), 'place', deps);
		expect([bad.status, (await bad.json()).code]).toEqual([400, 'not-json']);
		for (const body of [
			{ home: {} },
			{ home: null },
			7,
			[],
			{ home: copy(), options: 'x' },
			null
		]) {
			const response = await ask(body);
			expect(response.status).toBe(400);
			expect((await issuesOf(response)).length).toBeGreaterThan(0);
		}
	});
	it('follows links, as in a file', async () => {
		const home = copy() as unknown as { lots: Record<string, { nookId: string }> };
		Object.values(home.lots)[0]!.nookId = 'nowhere';
		const response = await ask({ home });
		expect(response.status).toBe(400);
		expect(await issuesOf(response)).toMatchObject([{ code: 'file-broken-link' }]);
	});
	it('carries older layouts up, as in a file', async () => {
		const { readFileSync } = await import('node:fs');
		const file = new URL('../core/interchange/fixtures/v1.keepnook.json', import.meta.url);
		const old = JSON.parse(readFileSync(file, 'utf8'));
		expect((await ask({ ...old, options: { moves: 100 } })).status).toBe(200);
		expect((await ask({ home: old.home, options: { moves: 100 } })).status).toBe(400);
	});
	it.each(['constructor', '__proto__', 'toString'])('takes %s for no place', async (word) => {
		const response = await ask({ home: tinyHome(), options: { nookIds: [word] } }, 'fit');
		expect(response.status).toBe(400);
		expect((await issuesOf(response))[0]).toMatchObject({ code: 'unknown-nook' });
	});
	it('says what is too much, what there is and what there may be', async () => {
		const home = copy() as unknown as { rooms: Record<string, { outline: object[] }> };
		const room = Object.values(home.rooms)[0]!;
		for (let i = 0; i < 120; i++) room.outline.push({ id: `x${i}`, x: i, y: 5000 + (i % 2) });
		const [issue] = await issuesOf(await ask({ home }));
		expect(issue!.reason).toContain('124 corners in one room');
		expect(issue!.reason).toContain('at most 80');
	});
	it('fits a place once however often it is asked for, and one without room at once', async () => {
		const { home: bare } = { home: copy() as never as ReturnType<typeof tinyHome> };
		const nookId = Object.keys(bare.nooks)[0]!;
		const many = await ask(
			{ home: bare, options: { nookIds: Array.from({ length: 500 }, () => nookId) } },
			'fit'
		);
		expect(((await many.json()) as { results: unknown[] }).results).toHaveLength(500);
		const play = { ...bare.settings.play, frontMm: 300_000 };
		const none = { ...bare, settings: { ...bare.settings, play } };
		expect(
			(await ask({ home: none, options: { nookIds: Object.keys(bare.nooks) } }, 'fit')).status
		).toBe(200);
	});
	it('refuses with 413 what is too large, announced or not', async () => {
		const announced = await answer(post('{}', { 'content-length': '20000001' }), 'place', deps);
		expect(announced.status).toBe(413);
		const chunk = new Uint8Array(1_000_000).fill(32);
		let sent = 0;
		const stream = new ReadableStream({
			pull: (c) => (sent++ > 25 ? c.close() : c.enqueue(chunk))
		});
		expect((await answer(post(stream), 'place', deps)).status).toBe(413);
	});
	it('refuses a compressed body, one that breaks off and one that is no text', async () => {
		const { pool, bodies } = deps;
		const packed = await answer(post('{}', { 'content-encoding': 'gzip' }), 'place', deps);
		expect(packed.status).toBe(415);
		const broken = new ReadableStream({ start: (c) => c.error(new Error('gone')) });
		expect((await answer(post(broken), 'place', { pool, bodies })).status).toBe(400);
		const odd = await answer(post(new Uint8Array([0xff, 0xfe, 0x00])), 'place', deps);
		expect((await odd.json()).code).toBe('not-json');
	});
});

describe('a body that comes slowly', () => {
	const never = () => new ReadableStream<Uint8Array>({});
	it('is given up in time', async () => {
		const bodies = new BodyReader({ mostBytes: 100, mostMs: 20, mostAtOnce: 4 });
		const response = await answer(post(never()), 'place', { ...deps, bodies });
		expect(response.status).toBe(408);
	});
	it('holds no place: others are answered, and the oldest gives way to newer ones', async () => {
		const bodies = new BodyReader({ mostBytes: 1e6, mostMs: 60_000, mostAtOnce: 4 });
		const slow = Array.from({ length: 8 }, () =>
			answer(post(never()), 'place', { ...deps, bodies })
		);
		const quick = await answer(
			post(JSON.stringify({ home: tinyHome(), options: { moves: 100 } })),
			'place',
			{ ...deps, bodies }
		);
		expect(quick.status).toBe(200);
		const first = await Promise.race(slow);
		expect(first.status).toBe(408);
	});
});

describe('a computation', () => {
	it('is ended when its time is up, and the next is computed', async () => {
		const pool = poolOf(1, 2);
		const { home } = endless();
		const body = JSON.stringify({ home, options: { moves: 50_000_000, budgetMs: 1 } });
		const late = await answer(post(body), 'place', { ...deps, pool });
		expect([late.status, (await late.json()).code]).toEqual([422, 'too-long']);
		const next = JSON.stringify({ home: tinyHome(), options: { moves: 100 } });
		expect((await answer(post(next), 'place', { ...deps, pool })).status).toBe(200);
	});
	it('is ended when whoever asked is gone, and 503 says that the queue is full meanwhile', async () => {
		const pool = poolOf(1, 1);
		const body = JSON.stringify(endless());
		const leave = new AbortController();
		const held = [1, 2].map(() => answer(post(body, {}, leave.signal), 'place', { ...deps, pool }));
		while (!pool.isFull) await new Promise((done) => setTimeout(done, 5));
		const third = await answer(post('{}'), 'place', { ...deps, pool });
		expect(third.status).toBe(503);
		expect(third.headers.get('retry-after')).toBe('5');
		leave.abort();
		expect((await Promise.all(held)).map(({ status }) => status)).toEqual([499, 499]);
		const next = JSON.stringify({ home: tinyHome(), options: { moves: 100 } });
		expect((await answer(post(next), 'place', { ...deps, pool })).status).toBe(200);
	});
});

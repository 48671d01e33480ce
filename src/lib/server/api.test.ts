import { describe, expect, it } from 'vitest';
import { tinyHome } from '../core/fixtures/tiny-home';
import { handlePlace } from '../workers/place.protocol';
import { answer, MAX_ACTIVE, MAX_BODY_BYTES } from './api';

const post = (body: BodyInit, headers: Record<string, string> = {}) =>
	new Request('http://localhost/api/v1/place', {
		method: 'POST',
		body,
		headers,
		duplex: 'half'
	} as RequestInit);

describe('POST /api/v1/place', () => {
	it('answers as the worker does', async () => {
		const body = { home: tinyHome(), options: { seed: 2, moves: 2000 } };
		const response = await answer(post(JSON.stringify(body)), handlePlace);
		expect(response.status).toBe(200);
		const expected = handlePlace(body);
		expect(await response.json()).toEqual(
			expected.ok && JSON.parse(JSON.stringify(expected.result))
		);
	});
	it('refuses with 400 and the issues', async () => {
		const bad = await answer(post('{"home":'), handlePlace);
		expect([bad.status, (await bad.json()).code]).toEqual([400, 'not-json']);
		const wrong = await answer(post('{"home":{}}'), handlePlace);
		expect(wrong.status).toBe(400);
		const { code, issues } = await wrong.json();
		expect(code).toBe('not-understood');
		expect(issues.length).toBeGreaterThan(0);
	});
	it('refuses with 413 what is too large, announced or not', async () => {
		const announced = await answer(
			post('{}', { 'content-length': String(MAX_BODY_BYTES + 1) }),
			handlePlace
		);
		expect(announced.status).toBe(413);
		const chunk = new Uint8Array(1_000_000).fill(32);
		let sent = 0;
		const stream = new ReadableStream({
			pull: (c) => (sent++ > 25 ? c.close() : c.enqueue(chunk))
		});
		expect((await answer(post(stream), handlePlace)).status).toBe(413);
	});
	it('says 503 while it computes for others, and answers again afterwards', async () => {
		const held: ReadableStreamDefaultController<Uint8Array>[] = [];
		const slow = () =>
			answer(
				post(new ReadableStream<Uint8Array>({ start: (c) => void held.push(c) })),
				handlePlace
			);
		const waiting = Array.from({ length: MAX_ACTIVE }, slow);
		expect((await answer(post('{}'), handlePlace)).status).toBe(503);
		held.forEach((controller) => controller.close());
		await Promise.all(waiting);
		expect((await answer(post('{}'), handlePlace)).status).toBe(400);
	});
});

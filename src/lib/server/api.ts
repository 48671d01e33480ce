import { json } from '@sveltejs/kit';
import type { Handler } from '../workers/job.protocol';

export const MAX_BODY_BYTES = 20_000_000;
/** Requests that may be read and computed at once; a planner takes a whole core. */
export const MAX_ACTIVE = 2;
let active = 0;

const problem = (status: number, code: string, message: string, issues: unknown[] = []) =>
	json({ code, message, issues }, { status, headers: { 'cache-control': 'no-store' } });

/** Reads a body up to the limit; null when it is larger. */
async function readLimited(request: Request, limit: number): Promise<string | null> {
	const announced = Number(request.headers.get('content-length') ?? 0);
	if (announced > limit) return null;
	const reader = request.body?.getReader();
	if (!reader) return '';
	const decoder = new TextDecoder();
	let size = 0;
	let text = '';
	for (;;) {
		const { done, value } = await reader.read();
		if (done) return text + decoder.decode();
		size += value.byteLength;
		if (size > limit) {
			await reader.cancel();
			return null;
		}
		text += decoder.decode(value, { stream: true });
	}
}

function parse(text: string): { ok: true; value: unknown } | { ok: false } {
	try {
		return { ok: true, value: JSON.parse(text) };
	} catch {
		return { ok: false };
	}
}

/**
 * Answers a computing request: the same object that the worker gives. Stateless; nothing of the body is kept or logged.
 * 400 with the issues for what is not understood, 413 above the limit, 503 when busy.
 */
export async function answer<Result, Progress>(
	request: Request,
	handler: Handler<Result, Progress>
): Promise<Response> {
	if (active >= MAX_ACTIVE)
		return problem(503, 'busy', 'The server is computing for others. Try again in a few seconds.');
	active++;
	try {
		const text = await readLimited(request, MAX_BODY_BYTES);
		if (text === null)
			return problem(
				413,
				'too-large',
				`The body is over ${MAX_BODY_BYTES / 1e6} MB. Send a smaller home.`
			);
		const body = parse(text);
		if (!body.ok) return problem(400, 'not-json', 'The body is not JSON. Send { home, options }.');
		const handled = await handler(body.value);
		if (!handled.ok)
			return problem(400, 'not-understood', 'The body was not understood. See the issues.', [
				...handled.issues
			]);
		return json(handled.result, { headers: { 'cache-control': 'no-store' } });
	} finally {
		active--;
	}
}

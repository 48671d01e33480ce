import { json, type RequestEvent } from '@sveltejs/kit';
import type { IncomingMessage } from 'node:http';
import type { ComputationName } from './compute-limits';
import type { ComputePool, PoolAnswer } from './pool';
import { BODY_LIMITS, type BodyReader } from './read-body';

const HEADERS = { 'cache-control': 'no-store' };
const problem = (status: number, code: string, message: string, headers: object = {}) =>
	json({ code, message, issues: [] }, { status, headers: { ...HEADERS, ...headers } });

/** Asking again makes sense after this long, s. */
const AGAIN_S = 5;

function answerOf(answer: PoolAnswer): Response {
	switch (answer.kind) {
		case 'answer':
			return new Response(answer.text, {
				status: answer.status,
				headers: { ...HEADERS, 'content-type': 'application/json' }
			});
		case 'busy':
			return problem(
				503,
				'busy',
				'The server is computing for others. Try again in a few seconds.',
				{ 'retry-after': String(AGAIN_S) }
			);
		case 'too-long':
			return problem(
				422,
				'too-long',
				`It was not done in ${Math.round(answer.limitMs / 1000)} s. Give a larger budgetMs (at most 30,000), send a smaller home, or compute in the browser.`
			);
		case 'too-large':
			return problem(
				422,
				'too-large',
				'It takes more memory than the server gives. Send a smaller home, or compute in the browser.'
			);
		case 'gone':
			return new Response(null, { status: 499 });
	}
}

export interface ApiDeps {
	readonly pool: ComputePool;
	readonly bodies: BodyReader;
}
type Asked = Pick<RequestEvent, 'request'> & { readonly platform?: unknown };

/** Does something, and says to it when whoever asked is gone: while the body comes in, or afterwards. */
async function whileAsked<Result>(
	{ request, platform }: Asked,
	task: (gone: AbortSignal) => Promise<Result>
): Promise<Result> {
	const { req } = (platform ?? {}) as { req?: IncomingMessage };
	if (!req) return task(request.signal);
	const gone = new AbortController();
	const leave = () => gone.abort();
	req.socket.once('close', leave);
	try {
		return await task(AbortSignal.any([gone.signal, request.signal]));
	} finally {
		// The connection may serve many requests.
		req.socket.off('close', leave);
	}
}

/**
 * Answers a computing request with the same object that the worker gives. Stateless; nothing of the body is kept or
 * logged. 400 with the issues for what is not understood, 408 for a body that comes too slowly, 413 above the limit, 422
 * for what takes too long or too much, 503 when busy.
 */
export async function answer(
	event: Asked,
	name: ComputationName,
	{ pool, bodies }: ApiDeps
): Promise<Response> {
	const { request } = event;
	if (pool.isFull) return answerOf({ kind: 'busy' });
	if (request.headers.get('content-encoding'))
		return problem(415, 'encoded', 'The body is compressed. Send it as plain JSON.');
	const body = await bodies.read(request);
	if (!body.ok)
		switch (body.code) {
			case 'too-large':
				return problem(
					413,
					'too-large',
					`The body is over ${BODY_LIMITS.mostBytes / 1e6} MB. Send a smaller home.`
				);
			case 'too-slow':
				return problem(408, 'too-slow', 'The body came too slowly. Send it in one go.', {
					connection: 'close'
				});
			case 'cut':
				return problem(400, 'cut', 'The body ended too early. Send it again.');
		}
	return answerOf(await whileAsked(event, (gone) => pool.run(name, body.bytes, gone)));
}

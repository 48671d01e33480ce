import { answer } from '$lib/server/api';
import { loadIntegerSolver } from '$lib/workers/integer-solver';
import { handleProve } from '$lib/workers/prove.protocol';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) =>
	answer(request, (payload) => handleProve(payload, undefined, () => loadIntegerSolver()));

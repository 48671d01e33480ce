import { answer } from '$lib/server/api';
import { handleFit } from '$lib/workers/fit.protocol';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) => answer(request, handleFit);

import { answer } from '$lib/server/api';
import { handlePlace } from '$lib/workers/place.protocol';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) => answer(request, handlePlace);

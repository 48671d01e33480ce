import { answer } from '$lib/server/api';
import { apiDeps } from '$lib/server/shared';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = (event) => answer(event, 'forecast', apiDeps());

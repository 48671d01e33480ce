import type { Handle } from '@sveltejs/kit';

/** Headers of the dev server; the built one sets them on every answer (scripts/server-entry.mjs). */
export const handle: Handle = async ({ event, resolve }) => {
	const response = await resolve(event);
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'no-referrer');
	response.headers.set('cross-origin-opener-policy', 'same-origin');
	return response;
};

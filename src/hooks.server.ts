import type { Handle } from '@sveltejs/kit';

/** Headers that the content security policy (in svelte.config.js) does not cover. */
export const handle: Handle = async ({ event, resolve }) => {
	const response = await resolve(event);
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'no-referrer');
	response.headers.set('cross-origin-opener-policy', 'same-origin');
	return response;
};

import { json } from '@sveltejs/kit';
import { readLaser } from '$lib/server/stand-ins/laser';
import type { RequestHandler } from './$types';

const MOST_AIM_MM = 100_000;
/** Between two readings that it sends on its own, ms. */
const EVERY_MS = 1500;
const MOST_READINGS = 200;

/** A stream of readings for whoever asks for events, else one reading. */
export const GET: RequestHandler = ({ url, request }) => {
	const aimMm = Number(url.searchParams.get('aimMm') ?? '600');
	if (!(aimMm >= 0 && aimMm <= MOST_AIM_MM))
		return json(
			{ code: 'bad-aim', message: `aimMm is a distance from 0 to ${MOST_AIM_MM} mm.` },
			{ status: 400 }
		);
	const headers = { 'cache-control': 'no-store' };
	if (!request.headers.get('accept')?.includes('text/event-stream'))
		return json(readLaser(aimMm, Math.random), { headers });
	let timer: ReturnType<typeof setInterval>;
	const encoder = new TextEncoder();
	const stream = new ReadableStream({
		start(controller) {
			let sent = 0;
			const send = () => {
				const reading = JSON.stringify(readLaser(aimMm, Math.random));
				controller.enqueue(encoder.encode(`data: ${reading}\n\n`));
				if (++sent < MOST_READINGS) return;
				clearInterval(timer);
				controller.close();
			};
			send();
			timer = setInterval(send, EVERY_MS);
		},
		cancel: () => clearInterval(timer)
	});
	return new Response(stream, { headers: { ...headers, 'content-type': 'text/event-stream' } });
};

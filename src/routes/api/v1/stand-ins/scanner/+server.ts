import { json } from '@sveltejs/kit';
import { scan } from '$lib/server/stand-ins/products';
import type { RequestHandler } from './$types';

/** One scan, as a hand scanner would send it. */
export const GET: RequestHandler = () =>
	json(
		{ text: scan(Math.random, new Date().toISOString().slice(0, 10)) },
		{ headers: { 'cache-control': 'no-store' } }
	);

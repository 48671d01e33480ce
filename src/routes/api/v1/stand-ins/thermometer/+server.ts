import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { readThermometer } from '$lib/server/stand-ins/thermometer';
import type { RequestHandler } from './$types';

const Query = z.object({
	kind: z.enum(['fridge', 'freezer']),
	name: z.string().max(200),
	since: z.iso.datetime(),
	until: z.iso.datetime()
});

/** What the thermometer of a fridge or freezer has read in a span of time. */
export const GET: RequestHandler = ({ url }) => {
	const query = Query.safeParse(Object.fromEntries(url.searchParams));
	if (!query.success)
		return json(
			{
				code: 'bad-span',
				message: 'kind is fridge or freezer; since and until are instants in UTC.'
			},
			{ status: 400 }
		);
	const { kind, name, since, until } = query.data;
	return json(
		{ readings: readThermometer(kind, name, since, until) },
		{ headers: { 'cache-control': 'no-store' } }
	);
};

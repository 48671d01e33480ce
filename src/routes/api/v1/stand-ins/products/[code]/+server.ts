import { json } from '@sveltejs/kit';
import { productOf } from '$lib/server/stand-ins/products';
import type { RequestHandler } from './$types';

/** What the product directory knows of a number. */
export const GET: RequestHandler = ({ params }) => {
	const product = productOf(params.code);
	return product
		? json(product, { headers: { 'cache-control': 'no-store' } })
		: json(
				{ code: 'unknown-product', message: `No product has the number ${params.code}.` },
				{ status: 404 }
			);
};

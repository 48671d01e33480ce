import { json } from '@sveltejs/kit';
import { homeJsonSchema } from '$lib/core/interchange';

export const GET = () => json(homeJsonSchema());

import { error, json, redirect } from '@sveltejs/kit';
import { homeJsonSchema } from '$lib/core/interchange';
import { HOME_VERSION } from '$lib/core/model';

/** Serves the JSON Schema of today's layout; those of earlier layouts lead there. */
export function GET({ params }: { params: { file: string } }) {
	const version = Number(/^home\.v(\d+)\.json$/.exec(params.file)?.[1] ?? 0);
	if (version < 1 || version > HOME_VERSION)
		error(404, `There is no schema ${params.file}. The latest is home.v${HOME_VERSION}.json.`);
	if (version < HOME_VERSION) redirect(308, `/schema/home.v${HOME_VERSION}.json`);
	return json(homeJsonSchema());
}

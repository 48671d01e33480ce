import { z } from 'zod';
import rows from '../../../../data/tail.json';
import { wordStems } from '../model';
import { keyOf } from './lexicon';

/** By category, names from a general lexical database that are not in the lexicon, with commas between them. */
const Tail = z.record(z.string(), z.string());

let made: ReadonlyMap<string, string> | null = null;
function tail(): ReadonlyMap<string, string> {
	made ??= new Map(
		Object.entries(Tail.parse(rows)).flatMap(([code, names]) =>
			names.split(',').map((name) => [keyOf(wordStems(name)), code] as const)
		)
	);
	return made;
}

/**
 * Kinds that a name outside the lexicon may be of, likeliest first: by the whole name, then by its last words. They are
 * proposals, never answers.
 */
export function likelyKinds(stems: readonly string[]): readonly string[] {
	const codes = stems.flatMap((_, at) => tail().get(keyOf(stems.slice(at))) ?? []);
	return [...new Set(codes)];
}

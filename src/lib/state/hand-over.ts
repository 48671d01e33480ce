import { parseHome, writeHomeFile, type Exchange } from '../core/interchange';
import type { Home } from '../core/model';
import { listCommons, putCommon, type Db } from '../data';

export interface CopyDeps {
	readonly db: () => Promise<Db>;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
}

/**
 * Writes a home as a file for somebody else to work on, and remembers the state that they have then, so that their copy
 * can be merged when it comes back. `by` is who gives it.
 */
export async function writeCopy(
	{ db, newId, now }: CopyDeps,
	home: Home,
	by: string
): Promise<string> {
	const store = await db();
	const known = await listCommons(store, home.id);
	// A state that is saved once more is still the same state: others are not pushed out by it.
	const [latest, ...others] = known;
	const isSame = !!latest && JSON.stringify(latest.home) === JSON.stringify(home);
	const id = isSame ? latest.id : newId();
	const after = (isSame ? others : known).map((each) => each.id);
	const exchange: Exchange = { id, after, by: by.slice(0, 80) };
	// Kept as the text says it, so that both sides compare with the very same.
	const text = writeHomeFile(home, exchange);
	await putCommon(store, id, (JSON.parse(text) as { home: Home }).home, now());
	return text;
}

/** Remembers the state that came in a file: it is what both have now. */
export async function rememberCopy(
	{ db, now }: Pick<CopyDeps, 'db' | 'now'>,
	exchange: Exchange,
	theirs: Home
): Promise<void> {
	await putCommon(await db(), exchange.id, theirs, now());
}

/** Finds the latest state that a file's writer and this browser both had; null: none is known here. */
export async function commonOf(
	{ db }: Pick<CopyDeps, 'db'>,
	homeId: string,
	exchange: Exchange
): Promise<Home | null> {
	const known = new Map((await listCommons(await db(), homeId)).map(({ id, home }) => [id, home]));
	for (const id of [exchange.id, ...exchange.after]) {
		const home = known.get(id);
		// One of an older layout says nothing that could be compared.
		const parsed = home && parseHome(home);
		if (parsed?.ok) return parsed.home;
	}
	return null;
}

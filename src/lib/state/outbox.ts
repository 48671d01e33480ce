import { z } from 'zod';
import { COMMANDS } from '../core/commands';
import type { Entry } from '../core/commands/timeline';
import { HOME_VERSION } from '../core/model';

/** What is kept at once, and outlives the page: the browser's own storage of words. */
export type WordStore = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

const PREFIX = 'keep-nook-left';
/** Stands for what is not given: words know only null, which may mean something else to a change. */
const NOT_GIVEN = '\u0000';
const write = (row: object): string =>
	JSON.stringify(row, (_key, value: unknown) => (value === undefined ? NOT_GIVEN : value));
/** As it was before it was written; no reviver of JSON gives back what is not given. */
function given(value: unknown): unknown {
	if (value === NOT_GIVEN) return undefined;
	if (Array.isArray(value)) return value.map(given);
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(Object.entries(value).map(([name, each]) => [name, given(each)]));
}
const Times = { id: z.string(), at: z.string() };
const Left = z.object({
	version: z.literal(HOME_VERSION),
	entries: z.array(
		z.discriminatedUnion('kind', [
			z.object({
				...Times,
				kind: z.literal('do'),
				label: z.string(),
				commands: z.array(
					z.object({
						name: z.string().refine((name) => Object.hasOwn(COMMANDS, name)),
						args: z.array(z.unknown())
					})
				)
			}),
			z.object({ ...Times, kind: z.enum(['undo', 'redo']), stepId: z.string() })
		])
	)
});

/**
 * What a page had not stored yet when it went, of one home. Storing takes some milliseconds and ends with the page; words
 * are kept at once, and the page that opens the home next does what is left.
 */
export class Outbox {
	readonly #words: () => WordStore;
	readonly #home: string;
	readonly #own: string;
	/** Rows that this page has put down or read, as they stood. */
	readonly #rows = new Map<string, string>();

	/** @param pageId Ids of pages that are open at the same time differ. */
	constructor(words: () => WordStore, homeId: string, pageId: string) {
		this.#words = words;
		this.#home = `${PREFIX}/${homeId}/`;
		this.#own = this.#home + pageId;
	}

	/** Puts down what is not stored, in the place of what this page put down before; false: the browser refuses it. */
	put(entries: readonly Entry[]): boolean {
		try {
			const row = write({ version: HOME_VERSION, entries });
			this.#words().setItem(this.#own, row);
			this.#rows.set(this.#own, row);
			return true;
		} catch {
			return false;
		}
	}

	/**
	 * What pages have left of this home, each once: a page's own in its order, and whoever began first goes first. What
	 * cannot be read is left out.
	 */
	left(): readonly Entry[] {
		const pages: (readonly Entry[])[] = [];
		try {
			const words = this.#words();
			for (let i = 0; i < words.length; i++) {
				const key = words.key(i)!;
				if (!key.startsWith(this.#home)) continue;
				const row = words.getItem(key) ?? '';
				this.#rows.set(key, row);
				pages.push(readRow(row));
			}
		} catch {
			// A browser that keeps no words has none.
		}
		const begun = (page: readonly Entry[]) => page[0]?.at ?? '';
		const all = pages
			.sort((a, b) => (begun(a) < begun(b) ? -1 : begun(a) > begun(b) ? 1 : 0))
			.flat();
		return [...new Map(all.map((entry) => [entry.id, entry])).values()];
	}

	/** All that was put down or read is stored; what another page has put down since stays. */
	clear(): void {
		try {
			for (const [key, row] of this.#rows)
				if (this.#words().getItem(key) === row) this.#words().removeItem(key);
			this.#rows.clear();
		} catch {
			// What stays is known by its id, and not done again.
		}
	}
}

function readRow(words: string): readonly Entry[] {
	try {
		const row = Left.safeParse(given(JSON.parse(words)));
		return row.success ? (row.data.entries as readonly Entry[]) : [];
	} catch {
		return [];
	}
}

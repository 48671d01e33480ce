import type { Db, TabMessage, Tabs } from '../data';
import type { WordStore } from './outbox';

/** A channel between the stores of one test, as between tabs; what is sent is heard a turn later, as in a browser. */
export class FakeChannel {
	readonly #listeners = new Set<(message: TabMessage) => void>();
	/** Messages that are on their way. */
	readonly #underway: (() => void)[] = [];
	/** Messages get lost. */
	deaf = false;

	readonly open = (onMessage: (message: TabMessage) => void): Tabs => {
		this.#listeners.add(onMessage);
		return {
			send: (message) => {
				if (this.deaf) return;
				const sent = structuredClone(message);
				for (const other of this.#listeners)
					if (other !== onMessage)
						this.#underway.push(() => this.#listeners.has(other) && other(structuredClone(sent)));
				setImmediate(() => this.deliver(1));
			},
			close: () => void this.#listeners.delete(onMessage)
		};
	};

	/** Delivers the oldest messages that are on their way. */
	deliver(count = Infinity): void {
		while (count-- > 0 && this.#underway.length) this.#underway.shift()!();
	}
}

/** Words that are kept as a browser keeps them, up to so many letters. */
export class FakeWords implements WordStore {
	readonly #rows = new Map<string, string>();
	most = Infinity;

	get length(): number {
		return this.#rows.size;
	}
	key = (at: number): string | null => [...this.#rows.keys()][at] ?? null;
	getItem = (key: string): string | null => this.#rows.get(key) ?? null;
	removeItem = (key: string): void => void this.#rows.delete(key);
	setItem = (key: string, words: string): void => {
		if (words.length > this.most) throw new DOMException('No space.', 'QuotaExceededError');
		this.#rows.set(key, words);
	};
}

export type Fault =
	/** The browser refuses before anything is written. */
	| 'full'
	/** The connection was ended. */
	| 'closed'
	/** It breaks off in the middle of the write. */
	| 'middle'
	/** All was handed over, and the browser then fails to keep it. */
	| 'late'
	/** All is written, and the page never hears of it. */
	| 'unheard';

const bound = (target: object, key: PropertyKey): unknown => {
	const value: unknown = Reflect.get(target, key, target);
	return typeof value === 'function'
		? (value as (...args: never[]) => unknown).bind(target)
		: value;
};

/** Makes a database that fails on demand: `next` is asked before each write. */
export function faultyDb(db: Db, next: () => Fault | null): Db {
	return new Proxy(db, {
		get(target, key) {
			if (key !== 'transaction') return bound(target, key);
			return (names: never, mode?: never) => {
				const fault = mode === 'readwrite' ? next() : null;
				if (fault === 'full') throw new DOMException('No space.', 'QuotaExceededError');
				if (fault === 'closed') throw new DOMException('Closing.', 'InvalidStateError');
				const tx = target.transaction(names, mode) as unknown as {
					abort(): void;
					done: Promise<void>;
					objectStore(name: string): object;
				};
				if (!fault) return tx;
				return new Proxy(tx, {
					get(inner, name) {
						if (name === 'done' && fault === 'unheard')
							return inner.done.then(() => {
								throw new DOMException('Lost.', 'AbortError');
							});
						if (name === 'done' && fault === 'late') {
							inner.abort();
							return inner.done;
						}
						if (name !== 'objectStore' || fault !== 'middle') return bound(inner, name);
						return (store: string) =>
							new Proxy(inner.objectStore(store), {
								get(held, what) {
									if (what !== 'put' || store !== 'homes') return bound(held, what);
									// The last thing that is put: the rest of the write is there already.
									return () => {
										throw new DOMException('No space.', 'QuotaExceededError');
									};
								}
							});
					}
				});
			};
		}
	});
}

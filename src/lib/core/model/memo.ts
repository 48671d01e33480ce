import { isDraft } from 'immer';
import type { Home } from './home';

/** Answers kept for one state of a home: for two days, or two spans of days, at once. */
const KEPT = 4;

/**
 * Remembers the last answers for a part of a home. Homes are never changed in place, so the same collections and the
 * same further arguments mean the same answer; an edit to another collection keeps it. A draft under edit is computed
 * anew and not remembered. `keys` name what `compute` reads: it is given no more than that, so that an omission is a
 * type error. The first of them is a collection and holds the memory, weakly.
 * @example const past = memoOn(['lots', 'things'], ({ lots, things }, today: string) => countPast(lots, things, today))
 */
export function memoOn<Key extends keyof Home, Args extends readonly unknown[], Result>(
	keys: readonly [Key, ...Key[]],
	compute: (home: Pick<Home, Key>, ...args: Args) => Result
): (home: Pick<Home, Key>, ...args: Args) => Result {
	const known = new WeakMap<object, { parts: readonly unknown[]; result: Result }[]>();
	return (home, ...args) => {
		const holder = home[keys[0]] as object;
		if (isDraft(home) || isDraft(holder)) return compute(home, ...args);
		const parts = [...keys.map((key) => home[key]), ...args];
		const memory = known.get(holder) ?? [];
		const found = memory.find((entry) => entry.parts.every((part, i) => part === parts[i]));
		if (found) return found.result;
		const result = compute(home, ...args);
		known.set(holder, [{ parts, result }, ...memory.slice(0, KEPT - 1)]);
		return result;
	};
}

/**
 * Remembers the last few answers by a key that says all they depend on, so that a change which the key does not see
 * (a name, a lot) costs nothing. The oldest is forgotten first; drafts need no care, since the key is a text.
 * @example cacheByKey(4, (home) => fingerprint(planOf(home)), measureWalks)
 */
export function cacheByKey<Input, Result>(
	limit: number,
	keyOf: (input: Input) => string,
	compute: (input: Input) => Result
): (input: Input) => Result {
	const known = new Map<string, Result>();
	return (input) => {
		const key = keyOf(input);
		const result = known.has(key) ? known.get(key)! : compute(input);
		known.delete(key);
		known.set(key, result);
		if (known.size > limit) known.delete(known.keys().next().value!);
		return result;
	};
}

import { isDraft } from 'immer';
import type { Home } from './home';

/**
 * Remembers the last answer for a part of a home. Homes are never changed in place, so the same collections mean
 * the same answer; an edit to another collection keeps it. A draft under edit is computed anew and not remembered.
 * `parts` names the collections that `compute` reads; the first one holds the memory, weakly.
 * @example const figures = memoOn((home) => [home.things, home.lots], computeFigures)
 */
export function memoOn<Result>(
	parts: (home: Home) => readonly [object, ...unknown[]],
	compute: (home: Home) => Result
): (home: Home) => Result {
	const known = new WeakMap<object, { parts: readonly unknown[]; result: Result }>();
	return (home) => {
		if (isDraft(home)) return compute(home);
		const now = parts(home);
		const found = known.get(now[0]);
		if (found && found.parts.every((part, i) => part === now[i])) return found.result;
		const result = compute(home);
		known.set(now[0], { parts: now, result });
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

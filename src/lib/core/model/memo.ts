import { isDraft } from 'immer';
import type { Home } from './home';
import { lineOf } from './lineage';

/** Answers kept for one state of a home: for two days, or two spans of days, at once. */
const KEPT = 4;

/** The parts as they were, what the answer was, and the ids of the records that changed since, by collection. */
export interface Before<Key extends keyof Home, Result> {
	readonly home: Pick<Home, Key>;
	readonly result: Result;
	readonly changed: { readonly [Each in Key]?: readonly string[] };
}
/** Carries an answer over an edit that touched a few records; null: it is computed anew. */
export type CarryOver<Key extends keyof Home, Args extends readonly unknown[], Result> = (
	home: Pick<Home, Key>,
	before: Before<Key, Result>,
	...args: Args
) => Result | null;

interface Answer<Result> {
	readonly parts: readonly unknown[];
	readonly result: Result;
}

/**
 * Remembers the last answers for a part of a home. Homes are never changed in place, so the same collections and the
 * same further arguments mean the same answer; an edit to another collection keeps it. A draft under edit is computed
 * anew and not remembered. `keys` name what `compute` reads: it is given no more than that, so that an omission is a
 * type error. The first of them is a collection and holds the memory, weakly. With `carryOver`, an edit of a few records
 * costs what those records cost; it must give just what `compute` would.
 * @example const past = memoOn(['lots', 'things'], ({ lots, things }, today: string) => countPast(lots, things, today))
 */
export function memoOn<Key extends keyof Home, Args extends readonly unknown[], Result>(
	keys: readonly [Key, ...Key[]],
	compute: (home: Pick<Home, Key>, ...args: Args) => Result,
	carryOver?: CarryOver<Key, Args, Result>
): (home: Pick<Home, Key>, ...args: Args) => Result {
	const known = new WeakMap<object, readonly Answer<Result>[]>();
	const near = (home: Pick<Home, Key>, parts: readonly unknown[]): Before<Key, Result> | null => {
		const lines = keys.map((key) => lineOf(home[key] as object));
		const isNear = (answer: Answer<Result>) =>
			answer.parts.every((part, i) => part === parts[i] || part === lines[i]?.from);
		const holders = [home[keys[0]] as object, lines[0]?.from];
		for (const holder of holders) {
			const answer = holder && known.get(holder)?.find(isNear);
			if (!answer) continue;
			const each = keys.map((key, i) => [key, answer.parts[i]]);
			const changed = keys.flatMap((key, i) =>
				answer.parts[i] === parts[i] ? [] : [[key, lines[i]!.ids]]
			);
			return {
				home: Object.fromEntries(each) as Pick<Home, Key>,
				result: answer.result,
				changed: Object.fromEntries(changed) as Before<Key, Result>['changed']
			};
		}
		return null;
	};
	return (home, ...args) => {
		const holder = home[keys[0]] as object;
		if (isDraft(home) || isDraft(holder)) return compute(home, ...args);
		const parts = [...keys.map((key) => home[key]), ...args];
		const memory = known.get(holder) ?? [];
		const found = memory.find((entry) => entry.parts.every((part, i) => part === parts[i]));
		if (found) return found.result;
		const before = carryOver ? near(home, parts) : null;
		const result = (before && carryOver!(home, before, ...args)) ?? compute(home, ...args);
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

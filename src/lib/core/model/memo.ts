import { isDraft } from 'immer';
import type { Home } from './home';

/**
 * Remembers the last answer for a part of a home. Homes are never changed in place, so the same collections mean
 * the same answer; an edit to another collection keeps it. A draft under edit is computed anew and not remembered.
 * `parts` names the collections that `compute` reads; the first one holds the memory, weakly.
 * @example const figures = memoOn((home) => [home.things, home.lots], computeFigures)
 */
export function memoOn<Result>(
	parts: (home: Home) => readonly [object, ...object[]],
	compute: (home: Home) => Result
): (home: Home) => Result {
	const known = new WeakMap<object, { parts: readonly object[]; result: Result }>();
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

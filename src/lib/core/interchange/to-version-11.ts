import { withMore, type Row } from './with-more';

/** Carries a home from version 10 to 11: liners, hooks and dividers that places are to get, and what holds a group. */
export function toVersion11(home: unknown): unknown {
	const from = home as Row;
	return { smallParts: {}, ...from, groups: withMore(from.groups, () => ({ holder: null })) };
}

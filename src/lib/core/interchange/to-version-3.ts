import { withMore, type Row } from './with-more';

/** A group of version 2 may carry these two figures set by hand; version 3 has one for each figure. */
const NO_OVERRIDES = {
	usesPerWeek: null,
	volumeMl: null,
	runMm: null,
	massG: null,
	heaviestG: null,
	tallestMm: null,
	longestMm: null,
	stations: null,
	userIds: null,
	needs: null,
	hazards: null,
	traits: null,
	look: null
};

/**
 * Carries a home from version 2 to 3: what put a thing into its group, its allergens, every figure of a group to be
 * set by hand, the reasons of a group and of its partners, back stock, what the wishes of a plan cost. A group that was changed by hand keeps all its
 * things, since version 2 did not say which of them had been moved.
 */
export function toVersion3(home: unknown): unknown {
	const from = home as Row;
	const groups = (from.groups ?? {}) as Record<string, Row>;
	return {
		...from,
		zonePlans: withMore(from.zonePlans, () => ({ wishPrices: [] })),
		things: withMore(from.things, ({ groupId }) => ({
			groupByHand: groups[String(groupId)]?.byHand === true,
			allergens: null
		})),
		groups: Object.fromEntries(
			Object.entries(groups).map(([id, group]) => [
				id,
				{
					stockOf: null,
					why: [],
					...group,
					overrides: { ...NO_OVERRIDES, ...(group.overrides as Row) },
					partners: ((group.partners ?? []) as Row[]).map((row) => ({ why: 'hand', ...row }))
				}
			])
		)
	};
}

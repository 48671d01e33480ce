import { inEach, withMore, type Row } from './with-more';

/**
 * Carries a home from version 11 to 12: containers with compartments, cut to measure, or sold in packs; looks; lids on or nested.
 */
export function toVersion12(home: unknown): unknown {
	const from = home as Row;
	return {
		...from,
		rooms: withMore(from.rooms, () => ({ look: '' })),
		groups: withMore(from.groups, () => ({ lids: null })),
		containerKinds: withMore(from.containerKinds, () => ({
			cells: 1,
			cutTo: null,
			look: '',
			soldBy: 1
		})),
		fitPlans: inEach(from.fitPlans, ({ placements }) => ({
			placements: ((placements ?? []) as Row[]).map((row) => ({ cut: null, ...row }))
		}))
	};
}

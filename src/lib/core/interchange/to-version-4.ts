import { withMore, type Row } from './with-more';

/** Carries a home from version 3 to 4: sockets on the plan, and the place that a plan keeps empty. */
export function toVersion4(home: unknown): unknown {
	const from = home as Row;
	return {
		...from,
		rooms: withMore(from.rooms, () => ({ sockets: [] })),
		zonePlans: withMore(from.zonePlans, () => ({ keptEmpty: null }))
	};
}

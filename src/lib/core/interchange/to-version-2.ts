import { withMore, type Row } from './with-more';

/**
 * Carries a home from version 1 to 2: three readings a side, climate, lock, fixings and photo of a nook, obstacles
 * of a room, the rim and the number of a thing, whose a lot is, where and until when what leaves goes, until when a plan is learned, sessions that
 * can be stopped. The values stand here in full, since a migration must not change when today's defaults do.
 */
export function toVersion2(home: unknown): unknown {
	const from = home as Row;
	return {
		...from,
		schools: { clear: 'place-at-a-time', ...(from.schools as Row) },
		clearDay: null,
		settings: {
			triangle: { leastSideMm: 1200, mostSideMm: 2700, mostSumMm: 7900 },
			clearTime: {
				emptyMin: 10,
				lookMinPerThing: 0.5,
				decantMinPerL: 1,
				putBackMin: 10,
				times: 1.4
			},
			...(from.settings as Row)
		},
		rooms: withMore(from.rooms, () => ({ obstacles: [] })),
		nooks: withMore(from.nooks, () => ({
			readings: { widthMm: [], depthMm: [], heightMm: [] },
			climate: [],
			temperatureC: null,
			locked: false,
			fixings: null,
			photoId: null,
			found: null
		})),
		things: withMore(from.things, () => ({ code: null, rim: null })),
		lots: withMore(from.lots, () => ({ owner: '', batch: '' })),
		decisions: withMore(from.decisions, () => ({ reason: '', to: '', dueOn: null, doneOn: null })),
		zonePlans: withMore(from.zonePlans, () => ({ learnUntil: null })),
		sessions: withMore(from.sessions, () => ({
			workedMin: 0,
			runningSince: null,
			things: 0,
			strays: []
		}))
	};
}

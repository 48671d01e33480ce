import { withMore, type Row } from './with-more';

/** Carries a home from version 5 to 6: dates of making, kinds told by hand, sizes taken from a picture. */
export function toVersion6(home: unknown): unknown {
	const from = home as Row;
	return {
		readings: {},
		...from,
		lots: Object.fromEntries(
			Object.entries((from.lots ?? {}) as Record<string, Row>).map(([id, lot]) => [
				id,
				{ ...lot, dates: { madeOn: null, ...(lot.dates as Row | undefined) } }
			])
		),
		nooks: withMore(from.nooks, () => ({ pictured: null }))
	};
}

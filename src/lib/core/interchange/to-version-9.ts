import { inEach, withMore, type Row } from './with-more';

/**
 * Carries a home from version 8 to 9: dates by pack or by section, the paper that is printed on, the household's own words, what a shop may cost, how a thing
 * is cooked, resets with places, persons, a log and swaps, and the collections of practice and of what was misplaced.
 */
export function toVersion9(home: unknown): unknown {
	const from = home as Row;
	const settings = (from.settings ?? {}) as Row;
	return {
		customs: { paper: 'A4' },
		note: '',
		practiceCards: {},
		misplacings: {},
		...from,
		schools: { dates: 'packs', ...(from.schools as Row | undefined) },
		settings: { ...settings, shop: { budgetMinor: null, ...(settings.shop as Row | undefined) } },
		things: withMore(from.things, () => ({ cooking: '' })),
		resets: inEach(from.resets, (reset) => ({
			name: '',
			nookIds: [],
			personId: null,
			begunAt: null,
			postponedTo: null,
			// What is known of the last time is where the log begins.
			log: reset.lastDoneOn
				? [
						{
							on: reset.lastDoneOn,
							foundShare: reset.foundShare ?? null,
							minutes: null,
							skipped: false
						}
					]
				: [],
			swap: null,
			...reset
		}))
	};
}

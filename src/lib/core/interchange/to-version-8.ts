import { inEach, withMore, type Row } from './with-more';

const SHOP = { everyDays: 7, safetyWeeks: 0.5, runOutMinor: 150, areas: [] };
const LABELS = { viewingMm: 800, slipXMm: 0, slipYMm: 0, sheets: [] };

/** A thing held so many packs: that is one of several rules now. */
function withHold({ parPacks, ...thing }: Row): Row {
	const hold = typeof parPacks === 'number' ? { rule: 'packs', amount: parPacks } : null;
	return { hold, packUses: null, ...thing };
}

/**
 * Carries a home from version 7 to 8: rules for how much to hold, when meals are eaten and planned meals, days of life that lots lost, lines of the shopping list, warm spells,
 * why things were thrown away
 * and labels of places with what they were written for.
 */
export function toVersion8(home: unknown): unknown {
	const from = home as Row;
	const lots = (from.lots ?? {}) as Record<string, Row>;
	const things = Object.entries((from.things ?? {}) as Record<string, Row>);
	return {
		plannedMeals: {},
		listLines: {},
		warmSpells: {},
		...from,
		settings: { shop: SHOP, labels: LABELS, ...(from.settings as Row | undefined) },
		things: Object.fromEntries(things.map(([id, thing]) => [id, withHold(thing)])),
		lots: withMore(from.lots, () => ({ lostDays: 0 })),
		meals: withMore(from.meals, () => ({ slots: ['breakfast', 'lunch', 'supper'] })),
		marks: inEach(from.marks, (mark) => ({ bare: false, thingIds: [], ...mark })),
		useEvents: inEach(from.useEvents, (event) => ({
			why: null,
			unit: lots[String(event.lotId)]?.unit ?? 'pack',
			...event
		}))
	};
}

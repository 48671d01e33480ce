import {
	addDays,
	instantOn,
	USES_PER_WEEK,
	type Lot,
	type Thing,
	type UseEvent,
	type WasteReason
} from '../core/model';
import { packUsesOf } from '../core/rotation';

const WEEKS = 10;
/** The log is kept of what is eaten and used up, not of plates and pans. */
const LOGGED = /^food\.|supplies|toiletries/;
/** Households say of themselves what they do not do: some things go twice as fast as said, some half. */
const FACTORS = [1, 0.8, 1.3, 0.5, 1, 2.1, 0.7, 1.1, 0.3, 1.6];
const THROWN: readonly (readonly [start: string, why: WasteReason])[] = [
	['food.salad', 'spoiled'],
	['food.fruit', 'spoiled'],
	['food.bread', 'too-much'],
	['food.dairy', 'past-date'],
	['food.deli', 'past-date'],
	['food.fridge-jars', 'disliked'],
	['food.sauces', 'disliked']
];
const EVERY_THROWN = 3;

/**
 * Makes up ten weeks of takings from the stock of the demo home, spread evenly and at hours of the day, so that rates,
 * forecasts and advice have something to go by. The same for the same day. `today` is an ISO date.
 */
export function demoLog(things: readonly Thing[], lots: readonly Lot[], today: string): UseEvent[] {
	const lotOf = new Map(lots.map((lot) => [lot.thingId as string, lot]));
	const events: UseEvent[] = [];
	const add = (
		lot: Lot,
		daysAgo: number,
		hour: number,
		kind: UseEvent['kind'],
		why: WasteReason | null
	) =>
		events.push({
			id: `log-${events.length + 1}` as UseEvent['id'],
			lotId: lot.id,
			thingId: lot.thingId,
			at: instantOn(addDays(today, -daysAgo), hour * 60 + ((events.length * 7) % 60)),
			count: 1,
			unit: 'pack',
			kind,
			why
		});
	things.forEach((thing, i) => {
		const lot = lotOf.get(thing.id);
		if (!lot || lot.unit !== 'pack' || !LOGGED.test(thing.category)) return;
		const perWeek =
			(USES_PER_WEEK[thing.use.class] / packUsesOf(thing)) * FACTORS[i % FACTORS.length]!;
		const everyDays = 7 / perWeek;
		// The first one somewhere in the first interval, so that not all fall on one day.
		for (let day = ((i * 0.37) % 1) * everyDays; day < WEEKS * 7; day += everyDays)
			add(
				lot,
				Math.max(1, Math.floor(WEEKS * 7 - day)),
				7 + ((i * 5 + events.length) % 13),
				'use',
				null
			);
		const why = THROWN.find(([start]) => thing.category.startsWith(start))?.[1];
		if (why && i % EVERY_THROWN === 0) add(lot, 3 + ((i * 11) % 60), 19, 'discard', why);
	});
	return events;
}

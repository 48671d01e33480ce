import type { Home, Lot, Thing } from '../model';
import { effectiveDate, type EffectiveDate } from './effective-date';
import { lifeOf } from './life';

/** Why a carer must not give a medicine before a pharmacist has been asked. */
export type NotGiven =
	'expired' | 'open-too-long' | 'opened-when' | 'no-date' | 'spoiled' | 'unknown';

export interface MedicineLine {
	readonly lot: Lot;
	readonly thing: Thing;
	readonly date: EffectiveDate | null;
	/** null: it may be given. */
	readonly not: NotGiven | null;
}

const SPOILED: ReadonlySet<string> = new Set([
	'frozen',
	'thawed',
	'mouldy',
	'leaking',
	'pest',
	'smells'
]);

/** Whether something is a medicine, or may be one: what nobody has said the kind of is no medicine to give. */
export const isMedicine = (thing: Thing): boolean =>
	thing.category === 'bathroom.medicines' || thing.hazards.includes('medicine');

function notGiven(
	lot: Lot,
	thing: Thing,
	date: EffectiveDate | null,
	today: string
): NotGiven | null {
	if (thing.hazards.includes('unknown')) return 'unknown';
	if (lot.states.some((state) => SPOILED.has(state))) return 'spoiled';
	if (lot.dates.printed && lot.dates.printed.on < today) return 'expired';
	if (date && date.on < today) return date.basis === 'opened' ? 'open-too-long' : 'expired';
	const isOpen = lot.states.includes('open') || lot.dates.openedOn !== null;
	// What keeps for weeks once opened is not given by its printed date alone.
	if (isOpen && !lot.dates.openedOn && lifeOf(thing)?.openedDays != null) return 'opened-when';
	return lot.dates.printed ? null : 'no-date';
}

/**
 * Lists the medicines of a home for somebody who looks after them, by name: each that may be given, and each that may not,
 * with the reason. The last good day still counts. `today` is an ISO date.
 * @example medicinesOf(home, '2026-03-02').filter(({ not }) => not === 'expired')
 */
export function medicinesOf(
	home: Pick<Home, 'lots' | 'things'>,
	today: string
): readonly MedicineLine[] {
	return Object.values(home.lots)
		.flatMap((lot): MedicineLine[] => {
			const thing = home.things[lot.thingId];
			if (!thing || lot.count <= 0 || !isMedicine(thing)) return [];
			const date = effectiveDate(lot, thing);
			return [{ lot, thing, date, not: notGiven(lot, thing, date, today) }];
		})
		.sort(
			(a, b) => a.thing.name.localeCompare(b.thing.name, 'en') || (a.lot.id < b.lot.id ? -1 : 1)
		);
}

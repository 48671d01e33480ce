import { familyOf, householdAllergens, mayHold } from '../grouping';
import { activePlan, type Home, type Lot } from '../model';
import { effectiveDate, packUsesOf } from '../rotation';
import { lotsAt } from '../zoning';
import type { LabelText } from './propose';

/** What a label may say besides its words; each is switched on for a set. */
export const LABEL_FIELDS = [
	'best-before',
	'opened',
	'frozen',
	'portions',
	'cooking',
	'allergens',
	'goes-with',
	'times',
	'batch',
	'capacity',
	'write-on'
] as const;
export type LabelField = (typeof LABEL_FIELDS)[number];

/** A field of a label: its value, dates as ISO dates, capacity in ml; empty: a line to write on. `boxes` are to be ticked. */
export interface FieldLine {
	readonly field: LabelField;
	readonly value: string;
	readonly boxes?: readonly string[];
}

function lotsUnder(home: Home, { nookId, thingIds, lotId }: LabelText): Lot[] {
	const one = lotId && home.lots[lotId];
	if (lotId) return one && one.count > 0 ? [one] : [];
	return lotsAt(home, 'plan').flatMap(({ lot, nookId: at }) =>
		at === nookId && thingIds.includes(lot.thingId) ? [lot] : []
	);
}

/** The group that is used most together with that of a label, and the place where it lives; null: none, or the same place. */
function partnerOf(home: Home, { groupId, nookId }: LabelText): string | null {
	const partners = home.groups[groupId ?? '']?.partners ?? [];
	const [most] = partners
		.filter(({ weight, groupId }) => weight > 0 && home.groups[groupId])
		.sort((a, b) => b.weight - a.weight || (a.groupId < b.groupId ? -1 : 1));
	const at = activePlan(home)?.assignments.find((each) => each.groupId === most?.groupId)?.nookId;
	const place = at && at !== nookId ? home.nooks[at]?.name : undefined;
	return most && place ? `${home.groups[most.groupId]!.name}, ${place}` : null;
}
const first = (dates: readonly (string | null | undefined)[]): string =>
	dates.flatMap((date) => date ?? []).sort()[0] ?? '';

/**
 * Fills the fields of a label from what is under it: the nearest date, the first day of opening or freezing, portions,
 * allergens that somebody of the household must avoid. What does not concern it is left out: nobody freezes plates.
 * What is not known, or changes with every filling, is a line to write on.
 */
export function fieldsOf(home: Home, label: LabelText, fields: readonly LabelField[]): FieldLine[] {
	const lots = lotsUnder(home, label);
	const things = label.thingIds.flatMap((id) => home.things[id] ?? []);
	const isFood = things.some(({ category }) => category.startsWith('food.'));
	const isFrozen = things.some(({ needs }) => needs.includes('frozen'));
	const isMedicine = things.some((thing) => familyOf(thing) === 'medicine');
	const makers: Record<LabelField, () => FieldLine[]> = {
		'best-before': () => {
			const on = first(lots.map((lot) => effectiveDate(lot, home.things[lot.thingId]!)?.on));
			return isFood || isMedicine ? [{ field: 'best-before', value: on }] : [];
		},
		opened: () =>
			isFood || isMedicine
				? [{ field: 'opened', value: first(lots.map(({ dates }) => dates.openedOn)) }]
				: [],
		frozen: () =>
			isFrozen ? [{ field: 'frozen', value: first(lots.map(({ dates }) => dates.frozenOn)) }] : [],
		portions: () => {
			const [only] = things;
			if (!isFood) return [];
			const value = things.length === 1 ? String(packUsesOf(only!)) : '';
			return [{ field: 'portions', value }];
		},
		cooking: () => {
			const said = things.filter(({ cooking }) => cooking);
			return said.length === 1 && things.length === 1
				? [{ field: 'cooking', value: said[0]!.cooking }]
				: [];
		},
		'goes-with': () => {
			const value = partnerOf(home, label);
			return value ? [{ field: 'goes-with', value }] : [];
		},
		allergens: () => {
			const held = householdAllergens(home).filter((name) =>
				things.some((thing) => mayHold(thing, name))
			);
			return held.length ? [{ field: 'allergens', value: held.join(', ') }] : [];
		},
		times: () =>
			isMedicine
				? [{ field: 'times', value: '', boxes: ['morning', 'noon', 'evening', 'night'] }]
				: [],
		batch: () => {
			const value = lots.find(({ batch }) => batch)?.batch ?? '';
			return value ? [{ field: 'batch', value }] : [];
		},
		capacity: () => {
			const plan = Object.values(home.fitPlans).find(({ nookId }) => nookId === label.nookId);
			const placement = plan?.placements.find(({ id }) => id === label.placementId);
			const inner = placement && home.containerKinds[placement.kindId]?.inner;
			if (!inner) return [];
			const ml = (inner.widthMm * inner.depthMm * inner.heightMm) / 1000;
			return [{ field: 'capacity', value: String(Math.round(ml)) }];
		},
		'write-on': () => [{ field: 'write-on', value: '' }]
	};
	return fields.flatMap((field) => makers[field]());
}

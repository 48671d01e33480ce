import type { FieldConflict, HomeMerge, Plain } from '../core/merge';
import { COLLECTION_NAMES, type CollectionName, type Home } from '../core/model';
import { countText, fixedText } from './numbers';
import { dateText } from './clearing';

/** A conflict in words: what it is about, and what either says. */
export interface ConflictWords {
	readonly what: string;
	readonly ours: string;
	readonly theirs: string;
}

const ONE_OF: Readonly<Record<CollectionName, string>> = {
	people: 'person',
	pets: 'pet',
	rooms: 'room',
	runs: 'wall',
	stations: 'station',
	cabinets: 'cabinet',
	nooks: 'place',
	things: 'thing',
	lots: 'lot',
	decisions: 'decision',
	groups: 'group',
	containerKinds: 'kind of container',
	zonePlans: 'plan',
	fitPlans: 'fit',
	marks: 'label',
	meals: 'meal',
	routines: 'routine',
	sessions: 'clear-out',
	resets: 'reset',
	useEvents: 'taking',
	plannedMeals: 'planned meal',
	listLines: 'line of the list',
	warmSpells: 'warm spell',
	practiceCards: 'practice',
	misplacings: 'report',
	pictures: 'picture',
	workTimes: 'hours',
	materials: 'material',
	smallParts: 'small part'
};

type Row = Readonly<Record<string, unknown>>;
const rowOf = (home: Home, collection: string, id: string): Row | undefined =>
	(home as unknown as Readonly<Record<string, Readonly<Record<string, Row>> | undefined>>)[
		collection
	]?.[id];

/** What a record is called: by its own name, or by what it is of. */
function nameOf(home: Home, collection: string, id: string): string {
	const row = rowOf(home, collection, id);
	if (!row) return '';
	if (typeof row['name'] === 'string' && row['name']) return row['name'];
	const thing = rowOf(home, 'things', String(row['thingId'] ?? ''))?.['name'];
	const nook = rowOf(home, 'nooks', String(row['nookId'] ?? ''))?.['name'];
	const text = row['text'];
	return [thing ?? text, nook].filter((part) => typeof part === 'string' && part).join(', ');
}

/** `priceMinor` → `price`; `usesPerWeek` → `uses per week`. */
const fieldText = (name: string): string =>
	name
		.replace(/(Ids|Id|Mm|Minor|Ml)$/, '')
		.replace(/([a-z])([A-Z])/g, '$1 $2')
		.toLowerCase();

const MOST_LETTERS = 80;
function valueText(home: Home, value: Plain | undefined, key: string): string {
	if (value === undefined) return 'taken away';
	if (value === null || value === '') return 'nothing';
	if (typeof value === 'boolean') return value ? 'yes' : 'no';
	if (typeof value === 'number') {
		if (/Minor$/.test(key)) return fixedText(value / 100, 2);
		return /Mm$/.test(key) ? `${value} mm` : String(value);
	}
	if (typeof value === 'string') {
		if (/^\d{4}-\d\d-\d\d$/.test(value)) return dateText(value);
		const named = COLLECTION_NAMES.map((name) => nameOf(home, name, value)).find(Boolean);
		return named ?? (value.length > MOST_LETTERS ? `${value.slice(0, MOST_LETTERS)}…` : value);
	}
	if (Array.isArray(value))
		return value.length ? `${countText(value.length, 'entry', 'entries')}` : 'nothing';
	return 'changed';
}

/** Says a conflict: which record and field, and what stands there in either copy. */
export function conflictText(
	{ path, ours, theirs }: FieldConflict,
	here: Home,
	there: Home
): ConflictWords {
	const [first = '', id = ''] = path;
	const isRecord = (COLLECTION_NAMES as readonly string[]).includes(first);
	const fields = path.slice(isRecord ? 2 : 0).map((part) => fieldText(part));
	const name = isRecord ? nameOf(here, first, id) || nameOf(there, first, id) : 'This home';
	const kind = isRecord ? ONE_OF[first as CollectionName] : '';
	const key = path.at(-1) ?? '';
	return {
		what: [`${name}${kind ? ` (${kind})` : ''}`, fields.join(', ')].filter(Boolean).join(': '),
		ours: valueText(here, ours, key),
		theirs: valueText(there, theirs, key)
	};
}

/** Says what a copy brings, in one line. */
export function mergeText({ records, head, conflicts, broughtBack }: HomeMerge): string {
	const counts = new Map<CollectionName, number>();
	for (const { collection } of records) counts.set(collection, (counts.get(collection) ?? 0) + 1);
	const parts = [...counts]
		.sort((a, b) => b[1] - a[1])
		.map(([collection, count]) => {
			const one = ONE_OF[collection];
			const many = {
				person: 'people',
				'line of the list': 'lines of the list',
				'kind of container': 'kinds of container',
				practice: 'answers in practice',
				fit: 'fits'
			}[one];
			return countText(count, one, many ?? `${one}s`);
		});
	if (Object.keys(head).length) parts.push('settings');
	const said = parts.length
		? `Brings changes of ${parts.join(', ')}.`
		: 'Brings nothing that is not here.';
	const clash = conflicts.length
		? ` Both copies say different things in ${countText(conflicts.length, 'place')}.`
		: '';
	const back = broughtBack.length
		? ` ${countText(broughtBack.length, 'record')} that one of you took away come back, since the other needs them.`
		: '';
	return said + clash + back;
}

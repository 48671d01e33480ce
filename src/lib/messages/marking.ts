import type { FieldLine, LabelField, MarkHazard } from '../core/marking';
import type { NotGiven } from '../core/rotation';
import type { TapeItem } from '../core/survey';
import type { HomeState } from '../core/zoning';
import { dateText } from './clearing';
import { tenthsText } from './numbers';

/** Which state of the home a print shows. */
export const STATE_WORDS: Readonly<Record<HomeState, string>> = {
	plan: 'as planned',
	today: 'as it is today'
};

/** Why a carer must not give a medicine. */
export const NOT_GIVEN_WORDS: Readonly<Record<NotGiven, string>> = {
	expired: 'Expired',
	'open-too-long': 'Open too long: good until',
	'opened-when': 'Open, day not known',
	'no-date': 'No expiry date known',
	spoiled: 'May be spoiled',
	unknown: 'Not known what it is'
};

/** A danger as a label says it. */
export const HAZARD_WORDS: Readonly<Record<MarkHazard, string>> = {
	cleaner: 'Keep from children. Never mix',
	medicine: 'Keep from children',
	flammable: 'Keep away from heat'
};

export const FIELD_NAMES: Readonly<Record<LabelField, string>> = {
	'best-before': 'Best before',
	opened: 'Opened',
	frozen: 'Frozen',
	portions: 'Portions',
	cooking: 'Cooking',
	'goes-with': 'Goes with',
	allergens: 'Contains',
	times: 'Taken',
	batch: 'Batch',
	capacity: 'Holds',
	'write-on': ''
};
/** What a field is for, where it is chosen. */
export const FIELD_CHOICES: Readonly<Record<LabelField, string>> = {
	'best-before': 'Best before',
	opened: 'Opened on',
	frozen: 'Frozen on',
	portions: 'Portions',
	cooking: 'How it is cooked, from the pack',
	'goes-with': 'What it goes with, and where that is',
	allergens: 'Allergens of the household',
	times: 'Times of day, for medicines',
	batch: 'Batch',
	capacity: 'What the container holds',
	'write-on': 'A line to write on'
};

const DATES: ReadonlySet<LabelField> = new Set(['best-before', 'opened', 'frozen']);
const ML_PER_L = 1000;

/** Words of a field: its name and value; without a value it is a line to write on. */
export function fieldText({ field, value, boxes }: FieldLine): { name: string; value: string } {
	const name = FIELD_NAMES[field];
	if (boxes) return { name, value: boxes.map((box) => `[  ] ${box}`).join('  ') };
	if (!value) return { name, value: '' };
	if (DATES.has(field)) return { name, value: dateText(value) };
	if (field === 'capacity') return { name, value: `${tenthsText(Number(value) / ML_PER_L)} l` };
	return { name, value };
}

export const DOCUMENT_NAMES = {
	binder: 'The whole binder',
	'door-maps': 'Door maps, a page per cabinet',
	where: 'Where is it? Drawings and an index by letter',
	notes: 'Notes for the doors, to cut out',
	freezer: 'Freezer lid sheet',
	'use-first': 'Use-first list',
	shopping: 'Shopping list',
	medicines: 'Medicines, for a carer',
	report: 'Report for a client',
	tape: 'Tape list'
} as const;

/** Says what of a place is still to be measured. */
export const tapeText = ({ place, missing }: TapeItem): string =>
	`${place.cabinet.name}, ${place.nook.name}: ${missing.join(', ')}`;

/** What is labelled, by the name of the set. */
export const SET_NAMES = {
	containers: 'Containers',
	places: 'Shelves and drawers',
	zones: 'Zones inside',
	lids: 'Lids',
	lots: 'Frozen and home-made',
	sections: 'Date sections'
} as const;

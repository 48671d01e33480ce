import type { DateKind, Since } from '../core/clearing';
import {
	BRANCH_NAMES,
	CATEGORIES,
	UNKNOWN_KIND,
	type Category,
	type LotState
} from '../core/model';

/** What a date on a pack or a lot is of. */
export const DATE_KIND_WORDS: Readonly<Record<DateKind, string>> = {
	'best-before': 'best before',
	'use-by': 'use by',
	opened: 'opened',
	frozen: 'frozen',
	thawed: 'thawed',
	made: 'made',
	'last-used': 'last used'
};

/** How long ago, as one says it at the fridge. */
export const SINCE_WORDS: Readonly<Record<Since, string>> = {
	today: 'Today',
	yesterday: 'Yesterday',
	days: '2–3 days ago',
	longer: 'Longer'
};

/** States of a lot, as one says them. */
export const STATE_NAMES: Readonly<Record<LotState, string>> = {
	open: 'open',
	frozen: 'frozen',
	thawed: 'thawed',
	'warm-over-2h': 'warm over 2 hours',
	'ice-crystals': 'ice crystals',
	'freezer-burn': 'freezer burn',
	dented: 'dented',
	'dented-seam': 'dented seam or rim',
	bulging: 'bulging',
	leaking: 'leaking',
	rusty: 'rusty',
	'deep-rust': 'deep rust',
	popped: 'popped button',
	smells: 'smells off',
	pest: 'pests in it',
	mouldy: 'mouldy',
	'part-used': 'part used',
	chipped: 'chipped',
	worn: 'worn or past its best',
	'no-lid': 'no lid',
	'no-box': 'no box',
	'no-label': 'no label, or not in its own pack',
	'no-part': 'part missing',
	broken: 'broken'
};

const AREAS: readonly (readonly [Category['area'], string])[] = [
	['food', 'Food and drink'],
	['kitchen', 'Kitchen'],
	['bathroom', 'Bathroom'],
	['home', 'Rest of the home']
];
/** All kinds for a list to choose from, by area and in the order of their branches. */
export const KIND_CHOICES: readonly {
	readonly area: string;
	readonly kinds: readonly { readonly code: string; readonly name: string }[];
}[] = AREAS.map(([area, words]) => ({
	area: words,
	kinds: CATEGORIES.filter((row) => row.area === area && row.code !== UNKNOWN_KIND)
		.map(({ code, name, branch }) => ({ code, name, branch: BRANCH_NAMES[branch] }))
		.sort((a, b) => a.branch.localeCompare(b.branch) || a.name.localeCompare(b.name))
}));

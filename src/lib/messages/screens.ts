/** What each screen of a home is called, by its address below the home. */
const TITLES: Readonly<Record<string, string>> = {
	'': 'Job sheet',
	walk: 'Walk',
	'walk/plan': 'Plan of the rooms',
	'walk/tape': 'Tape list',
	'walk/hidden': 'Hidden storage',
	'walk/people': 'People',
	clear: 'Clear',
	'clear/day': 'The day',
	'clear/sets': 'Boxes and lids',
	'clear/boundary': 'What fits',
	'clear/capacity': 'Capacity of a container',
	'clear/out': 'Going out',
	'clear/tally': 'Tally',
	sort: 'Sort',
	'sort/board': 'Board',
	'sort/routines': 'Routines',
	'sort/proposal': 'Proposed groups',
	place: 'Place',
	'place/notes': 'Notes on the doors',
	'place/moves': 'Moves',
	'place/schools': 'Side by side',
	fit: 'Fit',
	'fit/shop': 'Shop card',
	mark: 'Mark',
	turn: 'Turn',
	keep: 'Keep'
};

/** Gives the title of a screen of a home from its address. @example screenTitle('/home/x/walk/plan') // 'Plan of the rooms' */
export function screenTitle(pathname: string): string {
	const below = pathname.split('/').slice(3).filter(Boolean).join('/');
	return Object.hasOwn(TITLES, below) ? TITLES[below]! : 'Keep Nook';
}

import type { NextStep } from '../core/upkeep';
import type { Reset, Stage } from '../core/model';

export const STAGE_WORDS: Readonly<Record<Stage, { name: string; question: string }>> = {
	walk: { name: 'Walk', question: 'What places are there, and how big is each inside?' },
	clear: { name: 'Clear', question: 'What is in here, what state is it in, and does it stay?' },
	sort: { name: 'Sort', question: 'What belongs together, and how often is it used?' },
	place: { name: 'Place', question: 'Which group lives where?' },
	fit: { name: 'Fit', question: 'Which containers go in, and what do you need to buy?' },
	mark: { name: 'Mark', question: 'What needs a label, and what does it say?' },
	turn: { name: 'Turn', question: 'What to use first, and what is running out?' },
	keep: { name: 'Keep', question: 'How do you keep it this way?' }
};

/** The page of its stage that a step leads to; the first one where it is not here. */
const STEP_PAGES: Partial<Record<NextStep['code'], string>> = {
	'say-who': 'people',
	measure: 'tape',
	'measure-estimates': 'tape',
	shop: 'list'
};
/** The path of a step within its home. @example stepPath({ stage: 'walk', code: 'measure', count: 3 }) // 'walk/tape' */
export const stepPath = ({ stage, code }: NextStep): string =>
	[stage, STEP_PAGES[code] ?? []].flat().join('/');

const some = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** Says the next thing to do, as a sentence that begins with a verb, and why. */
export function stepText(step: NextStep): { title: string; why: string } {
	switch (step.code) {
		case 'add-cabinets':
			return {
				title: 'Add the first room and its cabinets',
				why: 'Everything else builds on the places you have.'
			};
		case 'say-who':
			return {
				title: 'Say who lives there',
				why: 'So that nothing stands out of reach, and nothing harmful within it.'
			};
		case 'measure':
			return {
				title: `Measure ${some(step.count, 'place', 'places')}`,
				why: 'Nothing can be planned there until all three inside sizes are known.'
			};
		case 'measure-estimates':
			return {
				title: `Hold the tape to ${some(step.count, 'place', 'places')}`,
				why: 'They have a usual size so far. Measure them, or say that it is right.'
			};
		case 'check-survey':
			return {
				title: `Check ${some(step.count, 'measurement', 'measurements')}`,
				why: 'They cannot be right as they are.'
			};
		case 'enter-stock':
			return {
				title: 'Empty one place and type in what was there',
				why: 'One line per thing; a drawer takes about an hour.'
			};
		case 'decide-past':
			return {
				title: `Decide on ${some(step.count, 'lot past its date', 'lots past their date')}`,
				why: 'Some are about safety, others only about quality; each says which.'
			};
		case 'say-kinds':
			return {
				title: `Say what ${some(step.count, 'thing is', 'things are')}`,
				why: 'Until then they are kept from food and out of children’s reach.'
			};
		case 'sort-loose':
			return {
				title: `Give ${some(step.count, 'thing', 'things')} a group`,
				why: 'The plan places groups, not single things.'
			};
		case 'make-plan':
			return {
				title: 'Make the zone plan',
				why: 'It gives every group a place, with the reason.'
			};
		case 'plan-stale':
			return {
				title: 'Make the zone plan again',
				why: 'Something it was based on has changed.'
			};
		case 'overflow':
			return {
				title: `Decide on ${some(step.count, 'group', 'groups')} without a place`,
				why: 'Cut down, use a place further away, or make room.'
			};
		case 'fit-nooks':
			return {
				title: `Fit ${some(step.count, 'place', 'places')}`,
				why: 'Try the containers on screen before anything is bought.'
			};
		case 'fit-stale':
			return {
				title: `Fit ${some(step.count, 'place', 'places')} again`,
				why: 'The place or what it is to hold has changed.'
			};
		case 'print-labels':
			return {
				title: `Print ${some(step.count, 'label', 'labels')}`,
				why: 'So that others can put things back.'
			};
		case 'use-first':
			return {
				title: `Use ${some(step.count, 'thing', 'things')} within two weeks`,
				why: 'The nearest dates, open packs first.'
			};
		case 'shop':
			return {
				title: `Buy ${some(step.count, 'item', 'items')} on the shopping list`,
				why: 'Run out, running low, or containers still to buy.'
			};
		case 'make-resets':
			return {
				title: 'Choose the resets',
				why: 'A look at each kind of place now and then keeps all of it this way.'
			};
		case 'resets':
			return {
				title: `Do ${some(step.count, 'reset', 'resets')} that ${step.count === 1 ? 'is' : 'are'} due`,
				why: 'Ten minutes now saves an afternoon later.'
			};
	}
}

export const RESET_WORDS: Readonly<Record<Reset['kind'], { name: string; what: string }>> = {
	'food-boxes': { name: 'Food boxes', what: 'Match lids to boxes and let the odd ones go.' },
	'pantry-dates': {
		name: 'Pantry dates',
		what: 'Check dates shelf by shelf, nearest to the front.'
	},
	fridge: {
		name: 'Fridge',
		what: 'Before you shop: wipe it down, use things up, note what is missing.'
	},
	spices: { name: 'Spices', what: 'Smell them: no smell, no flavour.' },
	'freezer-list': { name: 'Freezer list', what: 'Check it against the list; open packs on top.' },
	'freezer-defrost': {
		name: 'Freezer defrost',
		what: 'When the frost is over 5 mm. Unplug first; no sharp tools.'
	},
	medicines: {
		name: 'Medicines',
		what: 'Expired ones to a pharmacy. Ask a pharmacist, not the label alone.'
	},
	'make-up': { name: 'Make-up', what: 'Go by the open-jar symbol on the pack.' },
	'under-sink': {
		name: 'Under the sink',
		what: 'Look for drips; cleaners upright, in their own packs, never mixed.'
	},
	'junk-drawer': { name: 'Junk drawer', what: 'Ten minutes; batteries out of children’s reach.' },
	seasonal: {
		name: 'Seasonal swap',
		what: 'Bring this season’s things forward and put last season’s away.'
	},
	own: { name: 'Own reset', what: 'As you said.' }
};

import type { NextStep, Stage } from '../core/upkeep';
import type { Reset } from '../core/model';

export const STAGE_WORDS: Readonly<Record<Stage, { name: string; question: string }>> = {
	walk: { name: 'Walk', question: 'What places are there, and how big are they inside?' },
	clear: { name: 'Clear', question: 'What is here, in what state, and does it stay?' },
	sort: { name: 'Sort', question: 'What belongs together, and how often is it used?' },
	place: { name: 'Place', question: 'Which group lives where?' },
	fit: { name: 'Fit', question: 'Which containers go in, and what must be bought?' },
	mark: { name: 'Mark', question: 'What must be written on what?' },
	turn: { name: 'Turn', question: 'What is used first, and what is running out?' },
	keep: { name: 'Keep', question: 'How does it stay this way?' }
};

const some = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** Says the next thing to do, as a sentence that begins with a verb, and why. */
export function stepText(step: NextStep): { title: string; why: string } {
	switch (step.code) {
		case 'add-cabinets':
			return {
				title: 'Add the first room and its cabinets',
				why: 'Everything else is computed from the places you have.'
			};
		case 'measure':
			return {
				title: `Measure ${some(step.count, 'place', 'places')}`,
				why: 'Without all three inside sizes nothing can be planned there.'
			};
		case 'check-survey':
			return {
				title: `Check ${some(step.count, 'measurement', 'measurements')}`,
				why: 'These cannot be right as they stand.'
			};
		case 'enter-stock':
			return {
				title: 'Empty one place and type in what was there',
				why: 'One line a thing; a drawer takes about an hour.'
			};
		case 'decide-past':
			return {
				title: `Decide on ${some(step.count, 'lot past its date', 'lots past their date')}`,
				why: 'Some are a matter of safety, others only of quality; the reason is shown.'
			};
		case 'sort-loose':
			return {
				title: `Give ${some(step.count, 'thing', 'things')} a group`,
				why: 'Only groups are placed.'
			};
		case 'make-plan':
			return {
				title: 'Compute the zone plan',
				why: 'It says which group lives where, with the reason for each.'
			};
		case 'plan-stale':
			return {
				title: 'Compute the zone plan again',
				why: 'Something it was computed from has changed since.'
			};
		case 'overflow':
			return {
				title: `Decide on ${some(step.count, 'group', 'groups')} without a place`,
				why: 'Cut, use a far place, or free room.'
			};
		case 'fit-nooks':
			return {
				title: `Fit ${some(step.count, 'place', 'places')}`,
				why: 'Try the containers on screen before anything is bought.'
			};
		case 'fit-stale':
			return {
				title: `Fit ${some(step.count, 'place', 'places')} again`,
				why: 'The place, its groups or the containers have changed.'
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
				title: `Buy ${some(step.count, 'line', 'lines')} on the shopping list`,
				why: 'Below what you want to hold, run out, or containers to buy.'
			};
		case 'resets':
			return {
				title: `Do ${some(step.count, 'reset', 'resets')} that ${step.count === 1 ? 'is' : 'are'} due`,
				why: 'A short return keeps it from sliding back.'
			};
	}
}

export const RESET_WORDS: Readonly<Record<Reset['kind'], { name: string; what: string }>> = {
	'food-boxes': { name: 'Food boxes', what: 'Match lids and boxes, let the odd ones go.' },
	'pantry-dates': { name: 'Pantry dates', what: 'Look at dates shelf by shelf, nearest in front.' },
	fridge: { name: 'Fridge', what: 'Before the shop: wipe, use up, note what is missing.' },
	spices: { name: 'Spices', what: 'Smell them; what has no smell has no taste.' },
	'freezer-list': { name: 'Freezer list', what: 'Confirm the list, open packs on top.' },
	'freezer-defrost': {
		name: 'Freezer defrost',
		what: 'When the frost is over 5 mm. Unplug first; no sharp tools.'
	},
	medicines: {
		name: 'Medicines',
		what: 'Expired ones to a pharmacy. Ask a pharmacist, not the label alone.'
	},
	'make-up': { name: 'Make-up', what: 'By the open-jar mark.' },
	'under-sink': {
		name: 'Under the sink',
		what: 'Look for drips; cleaners upright, in their own packs, never mixed.'
	},
	'junk-drawer': { name: 'Odds drawer', what: 'Ten minutes; batteries out of children’s reach.' },
	seasonal: { name: 'Seasonal swap', what: 'Bring the season near, send the last one far.' }
};

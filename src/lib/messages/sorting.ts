import { fixedText, tenthsText, wholeText } from './numbers';
import {
	formatLength,
	formatMass,
	formatVolume,
	type GroupReason,
	type Hazard,
	type Home,
	type Need,
	type Trait
} from '../core/model';
import type { Family, GroupChange, PartnerPair, Stranger, SummedFigure } from '../core/grouping';

/** Writes a count of uses: whole from ten on. @example usesText(0.5) // '0.50'; usesText(3) // '3' */
export const usesText = (value: number): string =>
	value >= 10
		? wholeText(value)
		: value >= 1
			? tenthsText(value)
			: value > 0
				? fixedText(value, 2)
				: '0';

export const FIGURE_NAMES: Readonly<Record<SummedFigure, string>> = {
	usesPerWeek: 'Uses a week',
	volumeMl: 'Litres',
	runMm: 'Front run, 300 mm deep',
	tallestMm: 'Tallest',
	longestMm: 'Longest',
	heaviestG: 'Heaviest piece',
	massG: 'Total weight'
};

/** Writes a figure of a group with its unit. */
export function figureText(key: SummedFigure, value: number, units: Home['units']): string {
	switch (key) {
		case 'usesPerWeek':
			return usesText(value);
		case 'volumeMl':
			return formatVolume(value);
		case 'runMm':
		case 'tallestMm':
		case 'longestMm':
			return formatLength(value, units);
		case 'heaviestG':
		case 'massG':
			return formatMass(value);
	}
}

const OWN_RULE_WORDS: Readonly<Record<string, string>> = {
	medicine: 'medicines away from food, locked or high up where there are children',
	bleach: 'bleach never next to acids',
	acid: 'acids never next to bleach',
	cleaner: 'strong cleaners away from food',
	'raw-meat': 'raw meat and fish at the bottom of the fridge',
	sharp: 'sharp things out of a child’s reach'
};

/** Says why a group is one. */
export function reasonText({ code, words }: GroupReason): string {
	const [word = ''] = words;
	switch (code) {
		case 'category':
			return `All of one kind: ${word}.`;
		case 'kit':
			return `A kit: everything for the ${word}, fetched together.`;
		case 'person':
			return `Only ${word} uses it.`;
		case 'free-from':
			return `Free of ${word}, for somebody who must avoid it. The pack decides: read it.`;
		case 'pet':
			return `It is ${word}’s food.`;
		case 'own-rule':
			return `Kept apart: ${OWN_RULE_WORDS[word] ?? word}.`;
		case 'outsize':
			return `Too big for most of the places that suit the rest: ${words.join(', ')}.`;
		case 'often':
			return 'No single place holds it all: this is the part you use most.';
		case 'seldom':
			return 'No single place holds it all: this is the part you use less.';
		case 'sliver':
			return `${word}: too few for a place of its own, so it joined the closest group.`;
		case 'few-nooks':
			return `${word} was added to it, because there are more groups than places.`;
	}
}

/** Says what a proposed change does, as a sentence that begins with a verb. */
export function changeText({ groupId, name, nameNow, moves }: GroupChange, home: Home): string {
	const things = `${moves.length} ${moves.length === 1 ? 'thing' : 'things'}`;
	if (groupId === null) return `Make ${name} of ${things}`;
	const now = home.groups[groupId]?.name ?? name;
	return nameNow === null
		? `Add ${things} to ${now}`
		: `Add ${things} to ${now}, and call it ${name}`;
}

/** Says how often one goes from one group to another. @example tripsText(1) // '1 trip a week' */
export const tripsText = (weight: number): string =>
	`${weight} ${weight === 1 ? 'trip' : 'trips'} a week`;

/** Says where the weight of a pair comes from. */
export function partnerText({ why, words }: Pick<PartnerPair, 'why' | 'words'>): string {
	switch (why) {
		case 'hand':
			return 'set by hand';
		case 'category':
			return words || 'by what they are';
		case 'routine':
			return words ? `in your routine: ${words}` : 'by your routines';
	}
}

export const NEED_NAMES: Readonly<Record<Need, string>> = {
	chilled: 'chilled',
	frozen: 'frozen',
	cool: 'cool',
	dark: 'dark',
	dry: 'dry',
	ventilated: 'ventilated'
};
export const HAZARD_NAMES: Readonly<Record<Hazard, string>> = {
	cleaner: 'strong cleaner',
	bleach: 'bleach',
	acid: 'acid',
	medicine: 'medicine',
	sharp: 'sharp',
	alcohol: 'alcohol',
	choking: 'small enough to choke on',
	'pet-toxic': 'poison to a pet',
	unknown: 'not known what it is',
	allergen: 'allergen',
	flammable: 'flammable',
	'raw-meat': 'raw meat or fish'
};
export const TRAIT_NAMES: Readonly<Record<Trait, string>> = {
	'heat-shy': 'spoils in the heat',
	smell: 'gives off or picks up smells',
	treat: 'a treat',
	ethylene: 'gives off ethylene'
};
export const LOOK_NAMES = {
	show: 'nice to see',
	hide: 'better out of sight',
	either: 'does not matter'
} as const;

const FAMILY_WORDS: Readonly<Record<Family, string>> = {
	frozen: 'frozen food',
	chilled: 'chilled food',
	'raw-meat': 'raw meat and fish',
	unknown: 'things of unknown kind',
	'pet-food': 'pet food',
	medicine: 'medicines',
	bleach: 'bleach',
	acid: 'acids',
	cleaner: 'cleaners',
	food: 'food',
	goods: 'other things'
};

/** Says why a thing must not come into a group, and what to do instead. */
export function strangerText(
	{ thing, family, beside, besideFamily }: Stranger,
	groupName: string
): string {
	return `${thing.name} cannot go into ${groupName} with ${beside.name}: ${FAMILY_WORDS[family]} and ${FAMILY_WORDS[besideFamily]} are kept apart. Make a group of its own.`;
}

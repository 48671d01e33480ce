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

/** Writes a count of uses: whole from ten on. @example usesText(0.5) // '0.50' */
export const usesText = (value: number): string =>
	value >= 10 ? value.toFixed(0) : value.toFixed(value < 1 && value > 0 ? 2 : 1);

export const FIGURE_NAMES: Readonly<Record<SummedFigure, string>> = {
	usesPerWeek: 'Uses a week',
	volumeMl: 'Litres',
	runMm: 'Front run, 300 mm deep',
	tallestMm: 'Tallest',
	longestMm: 'Longest',
	heaviestG: 'Heaviest single',
	massG: 'Weight of all'
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
	medicine: 'medicines go apart from food, and locked or high where children come',
	bleach: 'bleach never stands with acids',
	acid: 'acids never stand with bleach',
	cleaner: 'strong cleaners go apart from food',
	'raw-meat': 'raw meat and fish go to the bottom of the fridge',
	sharp: 'sharp things go out of a child’s reach'
};

/** Says why a group is one. */
export function reasonText({ code, words }: GroupReason): string {
	const [word = ''] = words;
	switch (code) {
		case 'category':
			return `All of one kind: ${word}.`;
		case 'kit':
			return `A kit: what belongs to the ${word} is fetched with it.`;
		case 'person':
			return `It is ${word}’s alone.`;
		case 'free-from':
			return `Kept free of ${word}, for one who must avoid it. The pack decides: read it.`;
		case 'pet':
			return `It is ${word}’s food.`;
		case 'own-rule':
			return `A rule of its own: ${OWN_RULE_WORDS[word] ?? word}.`;
		case 'outsize':
			return `Too large for most places that the rest goes into: ${words.join(', ')}.`;
		case 'often':
			return 'No place holds all of it: this is the part used most.';
		case 'seldom':
			return 'No place holds all of it: this is the part used less.';
		case 'sliver':
			return `${word}: too few for a place of its own, so it joined the closest group.`;
		case 'few-nooks':
			return `${word} joined it, since there are more groups than places.`;
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
	allergen: 'allergen',
	flammable: 'flammable',
	'raw-meat': 'raw meat or fish'
};
export const TRAIT_NAMES: Readonly<Record<Trait, string>> = {
	'heat-shy': 'suffers from heat',
	smell: 'gives off or takes up smell',
	treat: 'a treat',
	ethylene: 'gives off ethylene'
};
export const LOOK_NAMES = {
	show: 'good to show',
	hide: 'better hidden',
	either: 'no matter'
} as const;

const FAMILY_WORDS: Readonly<Record<Family, string>> = {
	frozen: 'frozen food',
	chilled: 'chilled food',
	'raw-meat': 'raw meat and fish',
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

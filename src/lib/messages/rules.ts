import { formatLength, type Home, type LengthUnit } from '../core/model';
import {
	type BrokenRule,
	type HardCode,
	type Objection,
	type RuleAgainst,
	type SizeOver,
	type SoftCode
} from '../core/zoning';
import { capital, listText } from './numbers';

/** Says why a group may not live in a nook. */
export function hardText(code: BrokenRule['code']): string {
	switch (code) {
		case 'not-measured':
			return 'This place is not measured yet. Measure it in Walk.';
		case 'reserved':
			return 'Kept free for what must be used first.';
		case 'needs-frozen':
			return 'Frozen goods go in a freezer.';
		case 'needs-chilled':
			return 'Chilled goods go in a fridge.';
		case 'cold-place':
			return 'The fridge and freezer are for what needs the cold.';
		case 'raw-meat-low':
			return 'Raw meat and fish go at the bottom of the fridge, so that nothing drips on other food.';
		case 'crisper-washed':
			return 'The crisper is for vegetables that are washed or cooked: it lies under the raw meat.';
		case 'too-tall':
			return 'The tallest thing is too tall for it, and may not lie down.';
		case 'too-wide':
			return 'The largest thing will not go in, whichever way it is turned.';
		case 'over-load':
			return 'Too heavy for this place.';
		case 'no-way':
			return 'You cannot walk there from where it is used. Check the doors on the plan.';
		case 'may-not-climb':
			return 'Somebody who uses it may not climb, and this needs a step stool.';
		case 'sits-reach':
			return 'Somebody who sits cannot reach it.';
		case 'over-limit':
			return 'More than somebody who uses it may lift: it stands between knee and elbow, to be slid out.';
		case 'heavy-high':
			return 'Too heavy to lift to this height.';
		case 'heavy-low':
			return 'Too heavy to lift from below the knee.';
		case 'child-reach':
			return 'A small child could get at it. Fit a child catch, or put it higher.';
		case 'child-lock':
			return 'Dangerous for a small child, and a catch is not enough. Lock it, or put it above 1.5 m behind a catch.';
		case 'pet-reach':
			return 'The pet could get at it, and it is poisonous to pets.';
		case 'off-floor':
			return 'Food stays off the floor.';
		case 'hot-place':
			return 'No food where it freezes or gets hot, and no sprays, fuels or medicines by the heat.';
		case 'damp-place':
			return 'No food in a damp room or a bathroom.';
		case 'keep-clear':
			return 'A valve is behind it: only what one movement takes away may stand there.';
		case 'wet-place':
			return 'Under a sink it drips: no food, dishes, cooking ware, cloth, paper or anything electrical.';
		case 'in-bathroom':
			return 'What you eat from or cook with stays out of a bathroom.';
		case 'tops-not-used':
			return 'Cabinet tops are not used in this home (you can change that in Place).';
		case 'banned':
			return 'You have ruled this place out.';
		case 'pinned-elsewhere':
			return 'You have pinned it to another place.';
		case 'over-capacity':
			return 'It is over-full once room to grow is left.';
		case 'food-medicine':
			return 'Food and medicines must not share a place.';
		case 'food-cleaner':
			return 'Food must not share a place with cleaners, or with what nobody has said the kind of yet.';
		case 'medicine-cleaner':
			return 'Medicines and cleaners must not share a place.';
		case 'ware-cleaner':
			return 'What you eat from or cook with must not share a place with cleaners.';
		case 'raw-ready':
			return 'Raw meat or fish must not share a shelf with what is eaten as it is.';
		case 'pet-food':
			return 'Pet food must not share a place with what harms pets: onions, garlic, chocolate, raisins.';
		case 'apart':
			return 'Bleach and acids (descalers, toilet cleaners) must not stand in one cabinet: together they give off poisonous gas.';
	}
}

/** Says how many of a home's places a rule takes from a group, and which of its things is to blame. */
export function ruledOutText({ code, nooks, thingId }: RuleAgainst, places: number, home: Home) {
	const thing = thingId && home.things[thingId]?.name;
	return `${nooks} of ${places} places: ${hardText(code)}${thing ? ` (Because of the ${thing}.)` : ''}`;
}

/** Rules that go without saying: a fridge is for what needs the cold, and what is not measured is not planned. */
const PLAIN: ReadonlySet<HardCode> = new Set([
	'cold-place',
	'needs-chilled',
	'needs-frozen',
	'not-measured',
	'pinned-elsewhere',
	'reserved',
	'tops-not-used'
]);

/** The rules worth telling of those that take places from a group. */
export const tellingRules = (rules: readonly RuleAgainst[]): readonly RuleAgainst[] =>
	rules.filter(({ code }) => !PLAIN.has(code)).slice(0, 2);

/** Names what is too large for a place, and by how much. @example 'Milk is 5 mm too tall.' */
export const overSizeText = ({ name, side, shortMm }: SizeOver, units: LengthUnit): string =>
	`${capital(name)}: ${formatLength(Math.ceil(shortMm), units)} too ${side === 'height' ? 'tall' : 'large for the floor'}.`;

/** Says which rule a plan breaks. */
export const brokenText = ({ code, over }: BrokenRule, units: LengthUnit): string =>
	over ? `${hardText(code)} ${overSizeText(over, units)}` : hardText(code);

/** Says what an organizer would object to in a place of a plan, and the way out. */
export function reviewText({ code, groupIds }: Objection, home: Home): string {
	const names = listText(
		[...new Set(groupIds.map((id) => home.groups[id]?.name ?? ''))].filter(Boolean),
		3
	);
	switch (code) {
		case 'poison-with-food':
			return `Food stands with what can hurt (${names}). Give one of them another place.`;
		case 'poison-low':
			return `${names}: a toddler can get at it. Lock it, or put it above 1.5 m behind a catch. A catch alone is not enough.`;
		case 'poison-no-lock':
			return `${names}: out of reach, but height alone is not childproof. Add a lock or a child catch.`;
		case 'sharp-low':
			return `${names}: sharp, and a toddler can get at it. Fit a child catch or put it higher.`;
		case 'raw-not-lowest':
			return `Under raw meat, which can drip: ${names}. Raw goes lowest.`;
		case 'ready-below-raw':
			return `On the shelf of the raw meat: ${names}. Give the raw meat its own.`;
		case 'wet-under-sink':
			return `${names} under a sink: it drips there.`;
		case 'food-in-heat':
			return `${names} in a place that gets hot.`;
		case 'poison-over-food':
			return `Over food in one cabinet, where a leak runs down: ${names}. Lower is better, behind a catch where there are small children.`;
		case 'acid-by-bleach':
			return `Bleach and an acid in one cabinet (${names}): together they give off poisonous gas.`;
		case 'heavy-overhead':
			return `${names}: more than 3 kg above the shoulder.`;
		case 'unknown-with-food':
			return `Something of unknown kind stands with food (${names}). Say what it is.`;
		case 'many-families':
			return `Too many kinds of things in one place: ${names}.`;
		case 'odd-neighbours':
			return `${names} in one place: nobody would look for them side by side.`;
		case 'far-from-work':
			return `${names}: more than three steps from the hob.`;
		case 'outsider-by-hob':
			return `${names} by the hob: keep those places for cooking.`;
		case 'larder-idle':
			return `The larder has room while dry food stands elsewhere: ${names}.`;
		case 'worktop-idle':
			return `Takes up worktop without being used daily: ${names}.`;
		case 'daily-overhead':
			return `Used daily, but above the eyes: ${names}.`;
		case 'cutlery-low':
			return `${names}: one bends down for every fork. It wants a drawer higher up.`;
		case 'produce-together':
			return `Onions, potatoes and fruit go off sooner side by side: ${names}.`;
		case 'group-scattered':
			return `In use, but spread over places more than two steps apart: ${names}.`;
	}
}

/** Says what a soft rule holds against a place. */
export function softText(code: SoftCode): string {
	switch (code) {
		case 'heat-shy':
			return 'too warm, steamy or sunny for it';
		case 'damp':
			return 'damp, and it needs to stay dry';
		case 'ventilation':
			return 'no air moves here';
		case 'heavy-above-shoulder':
			return 'heavy above the shoulder';
		case 'treat-at-child-height':
			return "treats at a child's eye level";
		case 'plain-sight':
			return 'in plain sight';
		case 'satellite':
			return 'far away for daily use';
		case 'worktop-clutter':
			return 'takes up worktop but is not used daily';
		case 'rare-in-prime':
			return 'seldom used, but in prime space';
		case 'daily-high':
			return 'used daily, but above the eyes';
		case 'out-of-place':
			return 'not where one would look for it';
		case 'under-sink':
			return 'under the sink, among the cleaners';
		case 'child-serves-itself':
			return 'too high for the child who takes it';
		case 'allergen-free-low':
			return 'allergen-free, with other food above it';
		case 'in-sight':
			return 'not pretty, and in plain view';
		case 'spares-in-prime':
			return 'spares in prime space';
		case 'deep-corner':
			return 'used every week, but at the back of a deep shelf or corner';
		case 'two-movements':
			return 'used every week, but takes two movements to reach';
		case 'towels-far':
			return 'cloths more than two steps from the tap';
		case 'socket-far':
			return 'no socket within reach of its cord';
	}
}

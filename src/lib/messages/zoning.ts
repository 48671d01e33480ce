import { countText, fixedText, signedText, tenthsText, wholeText } from './numbers';
import {
	formatLength,
	formatMass,
	formatMoney,
	formatVolume,
	type Home,
	type Lot,
	type PlaceRank,
	type Spot,
	type WishPrice,
	type ZonePlan
} from '../core/model';
import type {
	BrokenRule,
	Contested,
	HardCode,
	Help,
	Helped,
	KeepingCost,
	Lift,
	LotShare,
	Objection,
	PlanProof,
	RuleAgainst,
	SchoolVariant,
	SmallestChange,
	SoftCode,
	Price
} from '../core/zoning';

/** Says why a group may not live in a nook. */
export function hardText(code: HardCode | 'over-capacity' | 'conflict' | 'apart'): string {
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
			return 'A small child could get at it. Lock it, or put it above 1.5 m (height is a help, not a safeguard).';
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
		case 'tops-not-used':
			return 'Cabinet tops are not used in this home (you can change that in Place).';
		case 'banned':
			return 'You have ruled this place out.';
		case 'pinned-elsewhere':
			return 'You have pinned it to another place.';
		case 'over-capacity':
			return 'It is over-full once room to grow is left.';
		case 'conflict':
			return 'Food, medicines and cleaners must not share a place, nor dishes or cooking ware and cleaners, raw meat and what is eaten as it is, pet food and what harms pets.';
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

/** Writes so many of a list, and how many more there are. @example listText(['a', 'b', 'c'], 2) // 'a, b and 1 more' */
export const listText = (all: readonly string[], shown: number): string =>
	all.length > shown
		? `${all.slice(0, shown).join(', ')} and ${all.length - shown} more`
		: all.join(', ');

/**
 * Writes what is carried of a lot; `lot` is missing where an earlier step makes it.
 * @example lotText('bath towels', 3, lot, true) // '3 of 8 bath towels'
 */
export function lotText(
	name: string,
	count: number,
	lot: Pick<Lot, 'unit' | 'count'> | undefined,
	isPart: boolean
): string {
	if (lot?.unit === 'g') return `${tenthsText(count)} g ${name}`;
	if (lot?.unit === 'meal')
		return `${tenthsText(count)} ${count === 1 ? 'meal' : 'meals'} of ${name}`;
	return isPart && lot
		? `${tenthsText(count)} of ${tenthsText(lot.count)} ${name}`
		: `${tenthsText(count)} ${name}`;
}

/** Names what of a group is in one nook. @example notesText(shares) // 'bath towels (5 of 8), flannels' */
export function notesText(shares: readonly LotShare[], nookId: string, shown: number): string {
	const things = new Map<string, { name: string; here: number; all: number }>();
	for (const { thing, pieces, nookId: at } of shares) {
		const { here, all } = things.get(thing.id) ?? { here: 0, all: 0 };
		things.set(thing.id, {
			name: thing.name,
			here: here + (at === nookId ? pieces : 0),
			all: all + pieces
		});
	}
	return listText(
		[...things.values()].flatMap(({ name, here, all }) =>
			here ? (here < all ? `${name} (${here} of ${all})` : name) : []
		),
		shown
	);
}

/** Says which rule a plan breaks. */
export const brokenText = (rule: BrokenRule): string => hardText(rule.code);

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
			return `${names}: a toddler can get at it. Lock it, or put it above 1.5 m.`;
		case 'raw-not-lowest':
			return `Under raw meat, which can drip: ${names}. Raw goes lowest.`;
		case 'ready-below-raw':
			return `On the shelf of the raw meat: ${names}. Give the raw meat its own.`;
		case 'wet-under-sink':
			return `${names} under a sink: it drips there.`;
		case 'food-in-heat':
			return `${names} in a place that gets hot.`;
		case 'acid-by-bleach':
			return `Bleach and an acid in one cabinet (${names}): together they give off poisonous gas.`;
		case 'heavy-overhead':
			return `${names}: more than 3 kg above the shoulder.`;
		case 'unknown-with-food':
			return `Something of unknown kind stands with food (${names}). Say what it is.`;
		case 'many-families':
			return `Too many kinds of things in one place: ${names}.`;
		case 'larder-idle':
			return `The larder has room while dry food stands elsewhere: ${names}.`;
		case 'worktop-idle':
			return `Takes up worktop without being used daily: ${names}.`;
		case 'daily-overhead':
			return `Used daily, but above the eyes: ${names}.`;
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

/** How much may move, as one chooses it. */
export const CHANGE_TEXT: Readonly<Record<Home['schools']['change'], string>> = {
	little: 'Change as little as possible',
	some: 'Move what pays back within a month',
	scratch: 'Start from scratch'
};

/** Names a school by what it thinks otherwise; `schools` are its own. */
export function schoolText({ key, schools }: SchoolVariant): string {
	switch (key) {
		case 'as-now':
			return 'As you prefer now';
		case 'near':
			return schools.near === 'use'
				? 'Dishes near where they are used'
				: 'Dishes near the dishwasher';
		case 'change':
			return CHANGE_TEXT[schools.change];
		case 'room':
			return schools.room === 'slack' ? 'Room to grow' : 'Use every inch';
	}
}

/** Says the smallest change that would give a group a place. */
export function smallestChangeText(change: SmallestChange, home: Home): string {
	const name = 'nookId' in change ? (home.nooks[change.nookId]?.name ?? 'a place') : '';
	switch (change.code) {
		case 'has-room':
			return `${name} has room for it. Solve again, or put it there.`;
		case 'needs-neighbour-gone':
			return `${name} has room, once what must not share a place with it is moved.`;
		case 'needs-room': {
			const by =
				change.short === 'litres'
					? formatVolume(change.by)
					: change.short === 'run'
						? `${formatLength(Math.ceil(change.by), home.units)} of front run`
						: formatMass(Math.ceil(change.by));
			const holder = home.groups[change.heldBy[0] ?? '']?.name;
			return `${name} is short of ${by}${holder ? `, held mostly by ${holder}` : ''}: make that much room there, or cut this group down.`;
		}
		case 'no-nook':
			return 'No place in this home is allowed for it. Change what it needs, or add a place that suits it.';
	}
}

/** Says which small change would open a place to what has none; `thing` names what is too tall. */
export function liftText(lift: Lift, home: Home): string {
	const name = home.nooks[lift.nookId]?.name ?? 'a place';
	switch (lift.code) {
		case 'fit-catch':
			return `A child catch on ${home.cabinets[lift.cabinetId]?.name ?? 'its cabinet'} would open ${name} to it.`;
		case 'raise-shelf':
			return `${holesText(lift.pegs, lift.byMm, home)} more under the shelf over ${name} would let ${home.things[lift.thingId]?.name ?? 'it'} in.`;
		case 'unmeasured':
			return `${name} might take it: measure it in Walk.`;
	}
}
/** What the button for such a change says. */
export const liftAct = (lift: Lift): string =>
	lift.code === 'fit-catch' ? 'Catch fitted' : 'Shelf moved';

const holesText = (pegs: number, byMm: number, home: Home) =>
	`${countText(pegs, 'hole')} (${formatLength(byMm, home.units)})`;

/** Names a change that helps a plan. `hidden` is what the finder of hidden places calls it. */
export function helpText(help: Help, home: Home, hidden: string): string {
	switch (help.code) {
		case 'catch':
			return `A child catch on ${home.cabinets[help.cabinetId]?.name ?? 'a cabinet'}`;
		case 'shelf':
			return `The shelf over ${home.nooks[help.nookId]?.name ?? 'a place'} up by ${holesText(help.pegs, help.byMm, home)}`;
		case 'hidden':
			return hidden;
		case 'let-go':
			return `Letting go of ${home.things[help.thingId]?.name ?? 'a thing'}`;
	}
}
/** What the button for a change that helps says; '' where it is decided elsewhere. */
export const helpAct = (help: Help): string =>
	({ catch: 'Catch fitted', shelf: 'Shelf moved', hidden: 'Use this place', 'let-go': '' })[
		help.code
	];

/** Says what a change brings. */
export function helpedText({ savedM, placed, costMinor }: Helped, home: Home): string {
	const cost = costMinor === null ? '' : `, about ${formatMoney(costMinor, home.currency)}`;
	const names = placed.map((id) => home.groups[id]?.name ?? '').filter(Boolean);
	return names.length
		? `finds a place for ${listText(names, 2)}${cost}`
		: `saves ${wholeText(savedM)} m of effort a week${cost}`;
}

/** Says how much a place is wanted. @example 'a litre more would save 1.4 m a week (Glasses and mugs)' */
export const contestedText = ({ perLitreM, groupId }: Contested, home: Home): string =>
	`a litre more would save ${tenthsText(perLitreM)} m a week (${home.groups[groupId]?.name ?? ''})`;

/** Says what keeping a thing costs. @example 'Keeping it costs about 14 m of walking a week: Plates would stand here.' */
export const keepingText = ({ savedM, groupId }: KeepingCost, home: Home): string =>
	`Keeping it costs about ${wholeText(savedM)} m a week: ${home.groups[groupId]?.name ?? 'another group'} would have its room.`;

/** The same in a word on the drawing. @example '1.4 m/l' */
export const wantedText = ({ perLitreM }: Pick<Contested, 'perLitreM'>): string =>
	`${tenthsText(perLitreM)} m/l`;

/** Names a kind of place. */
export const SPOT_WORDS: Readonly<Record<Spot, string>> = {
	'shallow-drawer': 'shallow drawer',
	'deep-drawer': 'deep drawer',
	'low-shelf': 'shelf below the knee',
	'knee-to-shoulder': 'between knee and shoulder',
	'wall-shelf': 'lowest wall shelf',
	'above-shoulder': 'above the shoulder',
	top: 'top of a cabinet',
	corner: 'corner',
	slot: 'narrow slot',
	rail: 'rail or hooks',
	door: 'door rack',
	open: 'open shelf',
	larder: 'larder',
	worktop: 'worktop',
	'under-sink': 'under the sink',
	'fridge-top': 'top of the fridge',
	'fridge-middle': 'middle of the fridge',
	'fridge-low': 'bottom of the fridge',
	'fridge-door': 'fridge door',
	crisper: 'crisper',
	bathroom: 'bathroom',
	kitchen: 'kitchen',
	satellite: 'place further off'
};
export const RANK_WORDS: Readonly<Record<PlaceRank, string>> = {
	first: 'first choice',
	fair: 'fine',
	poor: 'better not'
};

/** Says what the wishes for a group cost; null: that was not computed yet. */
export function wishText(price: Pick<WishPrice, 'extra' | 'atMost'> | null): string {
	if (!price) return 'Solve again to see what that costs.';
	const metres = (value: number) => `${wholeText(value)} m`;
	if (price.atMost < 0.5) return 'It costs nothing: the best plan does this anyway.';
	if (price.extra < 0.5)
		return `No better plan was found without it (it could save ${metres(price.atMost)} a week at most).`;
	return `It costs ${metres(price.extra)} of effort a week, at most ${metres(price.atMost)}.`;
}

/** Says which place a plan keeps empty to grow, and what that costs the week; '' where none was asked for. */
export function keptEmptyText(home: Home, { keptEmpty, assignments }: ZonePlan): string {
	if (home.schools.room !== 'slack') return '';
	if (!keptEmpty) return 'No good place could be kept empty for growth.';
	const name = home.nooks[keptEmpty.nookId]?.name ?? 'A place that is gone';
	if (assignments.some(({ nookId }) => nookId === keptEmpty.nookId))
		return `${name} was kept empty for growth, but is in use now.`;
	return keptEmpty.extra < 0.5
		? `${name} is kept empty for that, at no cost.`
		: `${name} is kept empty for that, which adds ${Math.round(keptEmpty.extra)} m to the week’s effort.`;
}

/** So small a share of the effort is nothing that anyone could walk. */
const PROVEN_SHARE = 1e-5;
/** Whether nothing is left between a plan and what no plan can go below. */
export const isProven = (effort: number, bound: number): boolean =>
	effort - bound <= Math.abs(effort) * PROVEN_SHARE;

/** Says how good a plan is at least. */
export function gapText(effort: number, bound: number): string {
	if (isProven(effort, bound)) return 'Proven: no plan is better.';
	const percent = ((effort - bound) / effort) * 100;
	return `No plan can go below ${wholeText(bound)}, so this one is at most ${
		percent < 0.1 ? 'a tenth of a per cent' : `${fixedText(percent, 1)} %`
	} from the best.`;
}

/** Says what came of the search for a proof of so many seconds at most. */
export function proofText(proof: PlanProof, seconds: number): string {
	switch (proof.status) {
		case 'stale':
			return 'The home has changed since this plan was made. Solve again, then prove it.';
		case 'broken':
			return 'This plan breaks a hard rule. Mend that or solve again, then prove it.';
		case 'too-large':
			return proof.saved < 0.05
				? 'This home is too large to prove here, and a long search found nothing better.'
				: `A plan that saves ${fixedText(proof.saved, 1)} m a week was found. This home is too large to prove that it is the best. Undo brings the old one back.`;
		case 'open':
			return `${proof.saved < 0.05 ? '' : `A plan that saves ${fixedText(proof.saved, 1)} m a week was found. `}Not proven within ${seconds} seconds. ${gapText(proof.objective, proof.bound)}`;
		case 'proven':
			return proof.saved < 0.05
				? 'Proven: no plan is better.'
				: `A better plan was found, ${fixedText(proof.saved, 1)} m a week less, and it is proven to be the best. Undo brings the old one back.`;
	}
}

/** Why not, in three words at most: so much shows on a drawing. */
const NO_SHORT: Readonly<Record<HardCode, string>> = {
	'not-measured': 'not measured',
	reserved: 'kept free',
	'needs-frozen': 'needs a freezer',
	'needs-chilled': 'needs a fridge',
	'cold-place': 'too cold',
	'raw-meat-low': 'may drip',
	'crisper-washed': 'below raw meat',
	'too-tall': 'too tall',
	'too-wide': 'too wide',
	'over-load': 'too heavy',
	'no-way': 'no way there',
	'may-not-climb': 'needs a stool',
	'sits-reach': 'out of reach',
	'heavy-high': 'heavy, high up',
	'heavy-low': 'heavy, low down',
	'over-limit': 'heavy to lift',
	'child-reach': 'child’s reach',
	'pet-reach': 'pet’s reach',
	'off-floor': 'on the floor',
	'hot-place': 'too hot',
	'damp-place': 'too damp',
	'wet-place': 'drips here',
	'keep-clear': 'valve behind',
	'tops-not-used': 'tops not used',
	banned: 'ruled out',
	'pinned-elsewhere': 'pinned elsewhere'
};
const FULL_SHORT = { litres: 'full', run: 'too little floor', load: 'too heavy' } as const;

/** What a place would mean for the tag in hand, in a word on the drawing. */
export interface PriceNote {
	readonly text: string;
	readonly tone: 'good' | 'fair' | 'bad';
	readonly why?: string;
}
/** Up to so much more effort a week is as good as the best, m. */
const AS_GOOD_M = 20;

/**
 * Words a price: what it adds to the week over `least`, in metres. `isPlaced`: the tag has a good place already, and
 * is compared with that; else with the best it could have.
 */
export function priceNote(price: Price, least: number, isPlaced: boolean): PriceNote {
	if (price.hard) return { text: NO_SHORT[price.hard], tone: 'bad', why: hardText(price.hard) };
	if (!price.fits)
		return price.conflict
			? { text: 'not together', tone: 'bad', why: hardText('conflict') }
			: { text: FULL_SHORT[price.short ?? 'litres'], tone: 'bad', why: hardText('over-capacity') };
	const more = price.extra - least;
	const text = Math.abs(more) < 0.5 ? (isPlaced ? 'here' : 'best') : signedText(more);
	return { text, tone: more <= AS_GOOD_M ? 'good' : 'fair' };
}

/** Says what is wrong with where a tag was put; null: nothing is. */
export function droppedText(name: string, price: Price): string | null {
	if (price.hard)
		return `${name}: ${hardText(price.hard)} Moved there anyway, and marked as breaking a rule.`;
	if (price.fits) return null;
	return `${name}: ${hardText(price.conflict ? 'conflict' : 'over-capacity')} Moved there anyway.`;
}

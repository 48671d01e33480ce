import { countText, listText, tenthsText, wholeText } from './numbers';
import { formatLength, formatMass, formatMoney, formatVolume, type Home } from '../core/model';
import {
	type Contested,
	type Help,
	type Helped,
	type KeepingCost,
	type Lift,
	type SmallestChange
} from '../core/zoning';

/** Says how much finds no room. @example leftText(41_600) // 'About 42 l find no room. …' */
export const leftText = (ml: number): string =>
	`About ${formatVolume(ml)} find no room. Let go of as much, or find as much room:`;

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
		case 'fit-lock':
			return `A lock on ${home.cabinets[lift.cabinetId]?.name ?? 'its cabinet'} would open ${name} to it. A catch is not enough for this.`;
		case 'raise-shelf':
			return `${holesText(lift.pegs, lift.byMm, home)} more under the shelf over ${name} would let ${home.things[lift.thingId]?.name ?? 'it'} in.`;
		case 'unmeasured':
			return `${name} might take it: measure it in Walk.`;
	}
}
/** What the button for such a change says. */
export const liftAct = (lift: Lift): string =>
	({
		'fit-catch': 'Catch fitted',
		'fit-lock': 'Lock fitted',
		'raise-shelf': 'Shelf moved',
		unmeasured: ''
	})[lift.code];

const holesText = (pegs: number, byMm: number, home: Home) =>
	`${countText(pegs, 'hole')} (${formatLength(byMm, home.units)})`;

/** Names a change that helps a plan. `hidden` is what the finder of hidden places calls it. */
export function helpText(help: Help, home: Home, hidden: string): string {
	switch (help.code) {
		case 'catch':
			return `Child catch: ${home.cabinets[help.cabinetId]?.name ?? 'a cabinet'}`;
		case 'lock':
			return `Lock: ${home.cabinets[help.cabinetId]?.name ?? 'a cabinet'}`;
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
	({
		catch: 'Catch fitted',
		lock: 'Lock fitted',
		shelf: 'Shelf moved',
		hidden: 'Use this place',
		'let-go': ''
	})[help.code];

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

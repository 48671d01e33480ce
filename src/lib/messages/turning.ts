import type {
	BuyingAdvice,
	DateSection,
	KeepsBetter,
	Produce,
	Counted,
	EffectiveDate,
	FreezeIssue,
	Missing,
	Outlook,
	Rate,
	RunsOut,
	ShoppingLine,
	ShoppingReason,
	TodayCode,
	TodayItem
} from '../core/rotation';
import { packUsesOf, rateBounds } from '../core/rotation';
import { dateFormat, type HoldRule, type Lot, type Thing, type WasteReason } from '../core/model';
import { daysText } from './clearing';
import { listText, tenthsText, wholeText } from './numbers';

/** What a date is counted from. */
export const BASIS_WORDS: Readonly<Record<EffectiveDate['basis'], string>> = {
	printed: 'printed on the pack',
	opened: 'from the day it was opened',
	thawed: 'from the day it thawed',
	frozen: 'from the day it was frozen',
	made: 'from the day it was made'
};

export const LINE_REASONS: Readonly<Record<ShoppingReason, string>> = {
	'run-out': 'run out',
	'below-par': 'running low',
	'wanted-again': 'thrown out, wanted again',
	container: 'container',
	'by-hand': 'added by hand'
};

export const TODAY_HEADS: Readonly<Record<TodayCode, string>> = {
	'must-go': 'Past its date: throw out',
	past: 'Past best before',
	due: 'Use first',
	leftover: 'Leftovers',
	thaw: 'Take out to thaw'
};

export const WASTE_WORDS: Readonly<Record<WasteReason, string>> = {
	'past-date': 'Past its date',
	spoiled: 'Gone off',
	disliked: 'Nobody liked it',
	'too-much': 'Too much of it',
	warm: 'Fridge or freezer was warm',
	broken: 'Broken or spilled',
	other: 'Something else'
};

/** What is wrong with where something fresh is, and what to do. */
export function keepsBetterText(found: KeepsBetter): string {
	switch (found.code) {
		case 'beside':
			return `beside ${found.neighbour.name}: together they spoil sooner. Keep them apart`;
		case 'spoils':
			return `${listText(
				found.others.map(({ name }) => name),
				3
			)} spoil sooner beside this. Keep them apart`;
		case 'too-cold':
			return `too cold in ${found.nook.name}. ${found.produce.how}`;
		case 'too-warm':
			return `too warm in ${found.nook.name}. ${found.produce.how}`;
		case 'too-light':
			return `in the light on ${found.nook.name}. ${found.produce.how}`;
		case 'in-the-door':
			return `in the fridge door. ${found.produce.how}`;
	}
}
const MONTH = dateFormat({ month: 'short', year: 'numeric' });
const MONTH_ALONE = dateFormat({ month: 'short' });
/** A section of a shelf in words. @example sectionText(sectionOf('2027-02-11', 'quarter')) // 'Jan to Mar 2027' */
export function sectionText({ from, to }: DateSection): string {
	const on = (key: string) => new Date(`${key}-01T00:00:00Z`);
	const last = MONTH().format(on(to));
	return from === to ? last : `${MONTH_ALONE().format(on(from))} to ${last}`;
}
/** How long something fresh keeps. */
export const keepsText = ({ how, wholeDays, cutDays }: Produce): string =>
	`${how} Whole about ${daysWord(wholeDays)}${cutDays ? `; cut, covered in the fridge ${daysWord(cutDays)}` : ''}.`;
const daysWord = (days: number) =>
	days >= 14 ? `${Math.round(days / 7)} weeks` : days === 1 ? 'a day' : `${days} days`;

export const FREEZE_WORDS: Readonly<Record<FreezeIssue, string>> = {
	frozen: 'It is frozen already.',
	'thawed-before': 'It was frozen before. Cook it first; the dish may be frozen.',
	past: 'It is past its date. Cold does not make it better.'
};

/** Says what to do with something today, in a few words. */
export function todayText(item: TodayItem): string {
	switch (item.code) {
		case 'must-go':
			return item.pick.thing.hazards.includes('medicine')
				? 'Do not take it: back to a pharmacy'
				: 'Do not eat it, however it smells';
		case 'past':
			return item.pick.date?.basis === 'frozen' ? 'Safe while frozen, but past its best' : '';
		case 'due': {
			const { daysLeft, thing } = item.pick;
			if (daysLeft === null) return 'you said: use first';
			if (!thing.category.startsWith('food.')) return '';
			if (daysLeft <= 1) return item.mayFreeze ? 'Use it today, or freeze it' : 'Use it today';
			return daysLeft <= 4 ? 'Plan a meal around it' : '';
		}
		case 'leftover':
			return item.mayFreeze ? 'Eat or freeze' : 'Eat it next';
		case 'thaw':
			return `For ${item.meal}. On a tray at the bottom of the fridge, a day for 2 kg`;
	}
}

/** Says how long something lasts. */
export const lastsText = ({ inDays }: RunsOut): string =>
	inDays <= 0
		? 'None left'
		: inDays === 1
			? 'Lasts about a day'
			: `Lasts about ${daysText(inDays).replace('in ', '')}`;

const UNIT: Readonly<Record<Lot['unit'], readonly [string, string]>> = {
	pack: ['', ''],
	g: [' g', ' g'],
	piece: [' piece', ' pieces'],
	meal: [' meal', ' meals']
};
/** What stock is counted in, where it is chosen. */
export const UNIT_NAMES: Readonly<Record<Lot['unit'], string>> = {
	pack: 'packs',
	g: 'grams',
	piece: 'pieces',
	meal: 'meals'
};
/** Writes an amount in its unit. @example amountText(250, 'g') // '250 g' */
export const amountText = (count: number, unit: Lot['unit']): string =>
	`${unit === 'g' ? wholeText(count) : tenthsText(count)}${UNIT[unit][count === 1 ? 0 : 1]}`;

const PER: readonly (readonly [name: string, weeks: number])[] = [
	['week', 1],
	['month', 52 / 12],
	['year', 52]
];
/** Says where a rate comes from and how sure it is. @example 'About 3 a month (2 to 5), from 14 taken down.' */
export function rateText(rate: Rate): string {
	const { perWeek, basis, counted } = rate;
	const { low, high } = rateBounds(rate);
	const from = {
		logged: `from ${wholeText(counted)} taken down`,
		meals: 'from your usual meals',
		class: 'a guess by how often you said it is used'
	}[basis];
	const [name, weeks] = PER.find(([, span]) => perWeek * span >= 0.95) ?? PER[2]!;
	const figure = (value: number) => tenthsText(Math.round(value * weeks * 10) / 10);
	if (perWeek * weeks < 0.95) return `Less than one a year, ${from}.`;
	return `About ${figure(perWeek)} a ${name} (${figure(low)} to ${figure(high)}), ${from}.`;
}

export const HOLD_NAMES: Readonly<Record<HoldRule['rule'], string>> = {
	packs: 'A number of packs',
	spare: 'One open, one spare',
	par: 'Enough until the next shop',
	meals: 'Meals ahead',
	weeks: 'Weeks of food'
};
/** What the number of a rule counts. */
export const HOLD_UNITS: Readonly<Record<HoldRule['rule'], string>> = {
	packs: 'packs',
	spare: 'spares',
	par: 'weeks of safety on top',
	meals: 'meals',
	weeks: 'weeks'
};
/** A sensible number for a rule that was just chosen. */
export const holdStart = (rule: HoldRule['rule'], thing: Thing): number =>
	({ packs: 2, spare: 1, par: 0.5, meals: 4 * packUsesOf(thing), weeks: 2 })[rule];

/** Says why a line is on the list, and what the house has. */
export function lineText({ reason, have, par, ceiling }: ShoppingLine): string {
	const held =
		reason === 'by-hand' && have === 0
			? ''
			: `: have ${tenthsText(have)}${par === null ? '' : ` of ${tenthsText(par)}`}`;
	const limit = ceiling === null ? '' : `; more than ${ceiling} would spoil before it is used`;
	return `${LINE_REASONS[reason]}${held}${limit}`;
}

/** A chance as people say it. @example shareText(0.02) // 'hardly ever' */
export function shareText(share: number): string {
	if (share < 0.03) return 'hardly ever';
	if (share > 0.97) return 'nearly always';
	return `${Math.round(share * 20) * 5} times in 100`;
}

/** Says what of a thing will likely spoil. */
export function expectedText({ wastePacks, lotLeft }: Outlook): string {
	const sure = Math.max(0, ...lotLeft.map((share) => share ?? 0));
	const packs = wastePacks < 0.95 ? 'part of a pack' : `about ${tenthsText(wastePacks)} packs`;
	return sure > 0.97
		? `${packs}, almost surely`
		: `${packs}; still there at its date ${shareText(sure)}`;
}

export const SLOT_WORDS = { breakfast: 'Breakfast', lunch: 'Lunch', supper: 'Supper' } as const;

/** Says why no meals were planned, and the way out. */
export const mealFailText = (code: 'no-meals' | 'too-few'): string =>
	code === 'no-meals'
		? 'There is no meal that everybody may eat. Add one, or look at the ingredients of those you have.'
		: 'There are too few meals for so many places of the week. Add meals, or plan fewer.';

/** Lists what is missing, in packs. @example '2 × tofu, 1 × rice' */
export const missingText = (missing: readonly Missing[]): string =>
	missing.map(({ thing, packs }) => `${tenthsText(packs)} × ${thing.name}`).join(', ');

/** What becomes of something after a fridge or freezer was warm. */
export const OUTAGE_WORDS = {
	discard: 'Throw out',
	'use-now': 'Use soon, do not freeze again raw',
	good: 'Still good'
} as const;

/** Says what to buy less of, and why. */
export function buyingText(advice: BuyingAdvice, money: (minor: number) => string): string {
	switch (advice.code) {
		case 'disliked':
			return `thrown out ${advice.times === 1 ? 'once' : `${advice.times} times`} because nobody liked it, and still on your rules`;
		case 'wasted':
			return `${Math.round(advice.share * 100)} % of what you bought was thrown out. ${
				advice.perUse
					? `Each use cost you ${money(advice.perUse.paid)}, not ${money(advice.perUse.promised)}: a smaller pack may cost that much by the piece`
					: 'Buy less, or a smaller pack'
			}`;
		case 'too-large':
			return `a pack lasts you about ${advice.lastsDays} days and keeps ${advice.keepsDays}. A smaller one is cheaper in the end`;
		case 'opened-twice':
			return `${advice.open} are open at once. Finish one before the next`;
		case 'bought-twice':
			return `${tenthsText(advice.held)} packs are enough for ${advice.weeks > 104 ? `${Math.round(advice.weeks / 52)} years` : `${advice.weeks} weeks`}. Buy no more for now`;
	}
}

/** Says how far counted uses are from what was said. */
export const countedText = ({ said, counted }: Counted): string =>
	`used ${tenthsText(counted)} times a week, not ${tenthsText(said)}`;

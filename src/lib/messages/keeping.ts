import { formatMoney, STAGES, type Home, type Reset, type Stage } from '../core/model';
import type {
	DueReset,
	HomeSummary,
	Moment,
	ResetFound,
	TakeOverPart,
	WorkStage
} from '../core/upkeep';
import { daysText, minutesText } from './clearing';
import { countText, wholeText } from './numbers';
import { RESET_WORDS, STAGE_WORDS } from './steps';
import { BAND_WORDS } from './survey';

/** What a reset is called: in the household's words, else its kind and its cabinet. */
export const resetTitle = (
	home: Pick<Home, 'cabinets'>,
	{ name, kind, cabinetId }: Pick<Reset, 'name' | 'kind' | 'cabinetId'>
): string =>
	name || [RESET_WORDS[kind].name, home.cabinets[cabinetId ?? '']?.name].filter(Boolean).join(', ');

export const RESET_BASIS: Readonly<Record<DueReset['basis'], string>> = {
	'as-set': 'as set',
	'less-often': 'less often, since little was found',
	'more-often': 'more often, since much was found',
	season: 'twice a year'
};

/** How far a reset is. @example foundText({ looked: 3, leaves: 2, left: 9, share: 0.17 }) */
export function foundText({ looked, leaves, left }: ResetFound): string {
	const seen = `${looked} looked at${leaves ? `, ${leaves} to go` : ''}`;
	return left ? `${seen}, ${left} left` : `${seen}: all of it`;
}

/** Says a movement of a routine. @example momentText(home, moment) // 'Reach for Cutlery in Top drawer: without bending' */
export function momentText(home: Home, { kind, groupId, nookId, band }: Moment): string {
	const group = home.groups[groupId ?? '']?.name ?? '';
	const place = home.nooks[nookId ?? '']?.name ?? '';
	switch (kind) {
		case 'walk':
			return group ? `Walk to ${group}` : 'Walk on';
		case 'open':
			return `Open ${place}`;
		case 'close':
			return 'Close it';
		case 'reach':
			return `Take ${group} from ${place}${band ? `: ${BAND_WORDS[band].toLowerCase()}` : ''}`;
	}
}
/** A time in minutes and seconds. @example secondsText(74.2) // '1 min 14 s' */
export function secondsText(seconds: number): string {
	const whole = Math.round(seconds);
	if (whole < 60) return `${whole} s`;
	return `${Math.floor(whole / 60)} min${whole % 60 ? ` ${whole % 60} s` : ''}`;
}
/** What is said after an answer in practice. */
export function replyText(is: 'right' | 'almost' | 'wrong', group: string, place: string): string {
	if (is === 'right') return `Right: ${group}, ${place}.`;
	return is === 'almost'
		? `The right cabinet. ${group} is in ${place}.`
		: `No: ${group} is in ${place}. It comes again.`;
}

export const WORK_STAGE_WORDS: Readonly<Record<WorkStage, string>> = {
	...(Object.fromEntries(STAGES.map((stage) => [stage, STAGE_WORDS[stage].name])) as Record<
		Stage,
		string
	>),
	shop: 'Shopping'
};
export const TAKE_OVER_WORDS: Readonly<Record<TakeOverPart, { name: string; what: string }>> = {
	people: { name: 'People and pets', what: 'those who are not here yet' },
	ways: {
		name: 'Ways of working',
		what: 'schools, allowances and weights, where kinds belong'
	},
	containers: {
		name: 'Kinds of container',
		what: 'those that are not here yet, none of them owned'
	},
	words: { name: 'Words of labels', what: 'said in the place of proposed ones' }
};
/** What waits in a home, in a line or less; empty: nothing does. */
export function summaryText({ resetsDue, nextResetDays, past, soon }: HomeSummary): string {
	const parts = [
		resetsDue ? `${countText(resetsDue, 'reset')} due` : '',
		past ? `${wholeText(past)} past their date` : '',
		soon ? `${wholeText(soon)} to use within a week` : '',
		!resetsDue && nextResetDays !== null ? `next reset ${daysText(nextResetDays)}` : ''
	];
	return parts.filter(Boolean).join(' · ');
}
/** Hours and materials that went into a home; empty: none are known. */
export function spentText({ minutes, materialsMinor, currency }: HomeSummary): string {
	const parts = [
		minutes >= 1 ? minutesText(minutes) : '',
		materialsMinor ? `${formatMoney(materialsMinor, currency)} of materials` : ''
	];
	return parts.filter(Boolean).join(', ');
}

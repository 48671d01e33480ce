import { addDays, categoryOf } from '../model';
import { UNDATED_OPEN_DAYS, openLifeDays } from '../rotation';
import type { IntakeLine } from './parse-intake';
import { traitsOf } from './traits';

/** How long ago something was opened or cooked, as one says it at the fridge. */
export const SINCE = ['today', 'yesterday', 'days', 'longer'] as const;
export type Since = (typeof SINCE)[number];
/** Days back; the safer end of what each may mean. */
const DAYS_BACK: Readonly<Record<Since, number>> = { today: 0, yesterday: 1, days: 3, longer: 8 };

const LEFT_OVER = /\b(?:left[ -]?overs?|cooked|home[ -]?made|roasted|boiled)\b/i;

/**
 * Says which day a line lacks before it can reach the use-first list: when it was opened (an open carton, half a tin), or
 * when it was cooked (a leftover). Null: it has its day, it is frozen, or it keeps so long that the day decides nothing.
 * @example sinceAsked(parseIntake('half a tin of tomatoes', context).line) // 'opened'
 */
export function sinceAsked(line: IntakeLine): 'opened' | 'made' | null {
	const { category, states, openedOn, madeOn, frozenOn, thawedOn } = line;
	if (!category || openedOn || madeOn || frozenOn || thawedOn || states.includes('frozen'))
		return null;
	const area = categoryOf(category).area;
	const isMedicine = category === 'bathroom.medicines';
	if (area !== 'food' && !isMedicine) return null;
	const thing = traitsOf(line.name, line.countWord, category);
	if (thing.needs.includes('frozen')) return null;
	const days = openLifeDays({ ...thing, name: line.name });
	if (days === null || days > UNDATED_OPEN_DAYS) return null;
	if (area === 'food' && LEFT_OVER.test(line.name) && !line.printed) return 'made';
	const isOpen = states.includes('open') || states.includes('part-used');
	return isOpen || !Number.isInteger(line.count) ? 'opened' : null;
}

/** Puts the day on a line that it lacks. `today` is an ISO date; a line that lacks none stays as it is. */
export function withSince(line: IntakeLine, since: Since, today: string): IntakeLine {
	const asked = sinceAsked(line);
	if (!asked) return line;
	const on = addDays(today, -DAYS_BACK[since]);
	if (asked === 'made') return { ...line, madeOn: on };
	const states = line.states.includes('open') ? line.states : [...line.states, 'open' as const];
	return { ...line, openedOn: on, states };
}

import { formatQuantity } from '../model';
import { STATE_WORDS } from './intake-words';
import type { IntakeLine } from './parse-intake';

/** States that a date on the line already says. */
const saidByDate = (line: IntakeLine): ReadonlySet<string> =>
	new Set([
		...(line.openedOn ? ['open'] : []),
		...(line.frozenOn ? ['frozen'] : []),
		...(line.thawedOn ? ['thawed'] : [])
	]);

/**
 * Writes an intake line in its plain form; `parseIntake` reads the same line back, whatever the order of dates.
 * @example formatIntake(parseIntake('milk 1l ub 5/3/26', 'dmy').line) // '1 milk 1 l use by 2026-03-05'
 */
export function formatIntake(line: IntakeLine): string {
	const said = saidByDate(line);
	const states = STATE_WORDS.filter(({ state }) => line.states.includes(state) && !said.has(state));
	const kind = line.printed?.kind === 'use-by' ? 'use by' : 'best before';
	return [
		String(line.count),
		line.countWord && `${line.countWord} of`,
		line.name,
		line.size && formatQuantity(line.size),
		line.printed && `${kind} ${line.printed.on}`,
		line.openedOn && `opened ${line.openedOn}`,
		line.frozenOn && `frozen ${line.frozenOn}`,
		line.thawedOn && `thawed ${line.thawedOn}`,
		line.madeOn && `made ${line.madeOn}`,
		line.lastUsedOn && `used ${line.lastUsedOn}`,
		...states.map(({ print }) => print),
		line.owner && `owner "${line.owner}"`,
		line.batch && `batch ${line.batch}`,
		line.priceMinor !== null && `price ${(line.priceMinor / 100).toFixed(2)}`,
		line.place && `@"${line.place}"`
	]
		.filter(Boolean)
		.join(' ');
}

import { kindOf } from '../kinds';
import { parseIntake, type IntakeContext } from './parse-intake';

/** What comes before a thing that begins a new one: a number, as a figure or a word. */
const COUNTED =
	/^\s*(?:\d+(?:[.,]\d+)?\s*(?:[x×]\s*)?|(?:an?|one|two|three|four|five|six|eight|ten|twelve)\s+|(?:half )?a dozen\s+)(?=\p{L})/iu;

/** Whether a part of a line names a thing of its own, with its number: `12 knives`, and not `one chipped`. */
function isThing(part: string, context: IntakeContext): boolean {
	if (!COUNTED.test(part)) return false;
	const { line, issues, unread } = parseIntake(part, context);
	return !!line.name && !issues.length && !unread.length && kindOf(line.name).sure;
}

/** Parts of a text between a mark that stands neither between quotation marks nor in a number. */
const parts = (text: string, mark: ';' | ','): string[] =>
	text.match(new RegExp(String.raw`(?:"[^"]*"|\d${mark}\d|[^"${mark}])+`, 'g')) ?? [];

/**
 * Splits what was typed on one line into its things: at each semicolon, and at a comma behind which another thing is
 * counted. What only says more of a thing stays with it.
 * @example splitItems('12 forks, 12 knives, one bent', context) // ['12 forks', '12 knives, one bent']
 */
export function splitItems(text: string, context: IntakeContext): string[] {
	const items = parts(text, ';').flatMap((piece) =>
		parts(piece, ',').reduce<string[]>((found, part) => {
			const last = found.at(-1);
			if (last === undefined || isThing(part, context)) return [...found, part];
			return [...found.slice(0, -1), `${last},${part}`];
		}, [])
	);
	return items.map((item) => item.trim()).filter(Boolean);
}

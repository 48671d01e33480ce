import { isKnownName, kindOf, type Kind } from '../kinds';
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

const areaOf = ({ category }: Kind) => category?.split('.')[0];
/** From so many plural names on, a row of them without commas is one of several things. */
const ROW_FROM = 3;
/**
 * The names in a row of plurals of one area, with nothing between them or an "and": `knives forks spoons` are three
 * things. Anything else is the line as it is.
 */
function namesInARow(line: string): string[] {
	const words = line.split(/\s+(?:(?:and|&)\s+)?/i).filter(Boolean);
	if (words.length < ROW_FROM || isKnownName(line)) return [line];
	const kinds = words.map((word) =>
		/^\p{L}+s$/iu.test(word) && isKnownName(word) ? kindOf(word) : null
	);
	const [first] = kinds;
	const isRow = kinds.every((kind) => kind?.sure && areaOf(kind) === areaOf(first!));
	return isRow ? words : [line];
}

/** Parts of a text between a mark that stands neither between quotation marks nor in a number. */
const parts = (text: string, mark: ';' | ','): string[] =>
	text.match(new RegExp(String.raw`(?:"[^"]*"|\d${mark}\d|[^"${mark}])+`, 'g')) ?? [];

/**
 * Splits what was typed on one line into its things: at each semicolon, and at a comma behind which another thing is
 * counted, and in a row of plurals. What only says more of a thing stays with it.
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
	return items
		.map((item) => item.trim())
		.filter(Boolean)
		.flatMap(namesInARow);
}

import type { LotState } from '../model';

/** Words for what is counted; `3 tins of ...`. */
export const COUNT_WORDS =
	/^(tins?|cans?|jars?|packs?|packets?|bags?|boxes|box|bottles?|cartons?|tubs?|tubes?|pieces?|pcs?|rolls?|sachets?|bunch(?:es)?|pairs?|sets?|blocks?|bars?|trays?|nets?|x)$/i;

/** Numbers that people write as a word. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
	'half a dozen': 6,
	'a dozen': 12,
	dozen: 12,
	'a pair of': 2,
	one: 1,
	two: 2,
	three: 3,
	four: 4,
	five: 5,
	six: 6,
	seven: 7,
	eight: 8,
	nine: 9,
	ten: 10,
	eleven: 11,
	twelve: 12
};

/** What each state is called on the line; the first word is the one that is printed. */
export interface StateWord {
	readonly state: LotState;
	readonly print: string;
	readonly pattern: RegExp;
}
const word = (state: LotState, print: string, pattern: string): StateWord => ({
	state,
	print,
	pattern: new RegExp(String.raw`(?<![\w-])(?:${pattern})(?![\w-])`, 'i')
});

// The longer wording first, so that "seam dent" is not read as a plain dent.
export const STATE_WORDS: readonly StateWord[] = [
	word(
		'dented-seam',
		'seam dent',
		String.raw`(?:seam|rim|sharp) dent(?:ed)?|dent(?:ed)? (?:on|at) (?:the )?(?:seam|rim)`
	),
	word('deep-rust', 'deep rust', String.raw`deep rust(?:y)?`),
	word('freezer-burn', 'freezer burn', String.raw`freezer burn(?:t)?`),
	word('ice-crystals', 'ice crystals', String.raw`ice crystals?`),
	word('warm-over-2h', 'warm over 2h', String.raw`warm over 2 ?h(?:ours)?`),
	word('no-lid', 'no lid', String.raw`(?:no|without(?: a)?) lid`),
	word('no-box', 'no box', String.raw`(?:no|without(?: a)?) box`),
	word('no-part', 'part missing', String.raw`(?:part|piece) missing|incomplete`),
	word('popped', 'popped button', String.raw`popped(?: button)?|button up`),
	word('smells', 'smells', String.raw`smells?(?: bad| off)?|hissing|spurting`),
	word('dented', 'dent', String.raw`dent(?:ed)?`),
	word('bulging', 'bulging', String.raw`bulg(?:ing|ed|e)`),
	word('leaking', 'leaking', String.raw`leak(?:ing|s|y)?`),
	word('rusty', 'rust', String.raw`rust(?:y|ed)?`),
	word('broken', 'broken', String.raw`broken|cracked|chipped`),
	word('thawed', 'thawed', String.raw`thawed`),
	word('frozen', 'is frozen', String.raw`is frozen|from the freezer`),
	word('open', 'open', String.raw`opened|open`)
];

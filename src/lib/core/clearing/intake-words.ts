import type { LotState } from '../model';

const COUNTED =
	'tins?|cans?|jars?|sacks?|packs?|packets?|pkts?|pks?|bags?|boxes|box|bottles?|btls?|cartons?|tubs?|tubes?|pieces?|pcs?|rolls?|sachets?|bunch(?:es)?|pairs?|sets?|blocks?|bars?|trays?|nets?|pouch(?:es)?|tablets?|tabs?|capsules?|caps|pills?|sticks?|slices?|punnets?|heads?|cubes?|pots?|portions?|cases?|crates?|multipacks?|loaf|loaves|strips?|blisters?|cloves?|bulbs?|bricks?|drums?|bundles?|sheets?|wedges?|cups?|mugs?|servings?|sprigs?|ears?|rashers?|fillets?|tetra(?:pak)?s?|reels?|cylinders?|canisters?|aerosols?|glasses|stacks?|x';
/** Words for what is counted; `3 tins of ...`. */
export const COUNT_WORDS = new RegExp(`^(?:${COUNTED})$`, 'i');
/** Words for what is counted that stand after a name with their number: `ibuprofen 16 tablets`. */
export const PIECE_WORDS =
	'tablets?|tabs|capsules?|caps|pills?|sachets?|pouch(?:es)?|tins?|cans?|packs?|packets?|bottles?|jars?|bags?|boxes|rolls?|pieces?|pcs?|cartons?|tubs?|bars?|sticks?|slices?|portions?|blisters?|strips?|servings?|cubes?|bulbs?|cloves?|heads?|bunch(?:es)?|loaves|blocks?|trays?|nets?';

/** Numbers that people write as a word; longer ones first. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
	'half a dozen': 6,
	'half-dozen': 6,
	'half dozen': 6,
	'two dozen': 24,
	'a dozen': 12,
	dozen: 12,
	'a pair of': 2,
	'pair of': 2,
	'a couple of': 2,
	'a few': 3,
	several: 3,
	'couple of': 2,
	'one and a half': 1.5,
	'two and a half': 2.5,
	'three and a half': 3.5,
	'four and a half': 4.5,
	'three quarters of an': 0.75,
	'three quarters of a': 0.75,
	'quarter of an': 0.25,
	'quarter of a': 0.25,
	'a quarter of a': 0.25,
	'a quarter': 0.25,
	'half of an': 0.5,
	'half of a': 0.5,
	'half an': 0.5,
	'half a': 0.5,
	'a half': 0.5,
	half: 0.5,
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
	twelve: 12,
	fifteen: 15,
	sixteen: 16,
	twenty: 20,
	thirty: 30,
	another: 1,
	an: 1,
	a: 1
};

/** What each state is called on the line; `print` is the word that is printed. */
export interface StateWord {
	readonly state: LotState;
	readonly print: string;
	readonly pattern: RegExp;
}
/** How many of them, how much, or which part, before a state: `one chipped`, `slightly dented`, `handle broken`. */
const BEFORE = String.raw`(?:(?:one|two|some|a few|all|both|most|slightly|a bit|a little)(?: of them)? (?:is |are )?|(?<=[,(–-]\s?)\d{1,2} (?:is |are )?|(?:its |the )?(?:handle|lid|rim|base|edge|hinge|corner|side|ends?|seal) (?:is |are )?)?`;
/** Where it is, after a state: `rust on the rim`. */
const AFTER = String.raw`(?: (?:on|at|around|round) (?:the )?(?:rim|lid|edges?|base|bottom|top|sides?|handle|corners?|box))?`;
const word = (state: LotState, print: string, pattern: string): StateWord => ({
	state,
	print,
	pattern: new RegExp(
		String.raw`(?<![\p{L}\d-])${BEFORE}(?:${pattern})${AFTER}(?![\p{L}\d-])`,
		'iu'
	)
});
/** What crawls in food counts only where nothing follows that it would be part of: a moth trap is no moth. */
const CRAWLS = String.raw`(?:weevils?|mites?|moths?|larvae?|maggots?|beetles?|webbing|webs|ants|bugs|grubs|insects?|silverfish)`;

// The longer wording first, so that "seam dent" is not read as a plain dent.
export const STATE_WORDS: readonly StateWord[] = [
	word(
		'dented-seam',
		'seam dent',
		String.raw`(?:seam|rim|sharp) dent(?:ed|s)?|dent(?:ed)? (?:(?:on|at|in) )?(?:the )?(?:seam|rim)`
	),
	word(
		'deep-rust',
		'deep rust',
		String.raw`(?:deep|bad|heavy) rust(?:y)?|(?:badly|very) rust(?:y|ed)`
	),
	word('freezer-burn', 'freezer burn', String.raw`freezer[ -]?burn(?:t|ed)?`),
	word('ice-crystals', 'ice crystals', String.raw`ice crystals?|refrozen`),
	word('warm-over-2h', 'warm over 2h', String.raw`warm (?:for )?over (?:2|two) ?h(?:ours|rs)?`),
	word(
		'no-lid',
		'no lid',
		String.raw`(?:no|without(?: a)?) (?:lid|top|cap)s?|lids? (?:missing|gone|lost)|missing (?:its )?lid|lidless`
	),
	word(
		'no-box',
		'no box',
		String.raw`(?:no|without(?: a)?) (?:box(?:es)?|base|pans?|pots?|containers?)|box (?:missing|gone|lost)`
	),
	word(
		'no-part',
		'part missing',
		String.raw`(?:part|parts|piece|pieces|bit) (?:missing|gone|lost)|(?:with )?(?:a )?missing (?:a |one |some )?(?:part|parts|piece|pieces|bit|bits)|incomplete|(?:no|(?:with )?(?:a )?missing|without)(?: (?:its|the|a))? (?:blades?|plugs?|handles?|cables?|cords?|chargers?|seals?|stoppers?|attachments?|whisks?|beaters?|knobs?|filters?|wheels?|inserts?|nozzles?|stand|jug)`
	),
	word(
		'no-label',
		'no label',
		String.raw`(?:no|without(?: a)?) label|unlabell?ed|label (?:missing|gone|off|lost)|decanted|in an? (?:old )?(?:jam jar|jar|lemonade bottle|drinks? bottle|water bottle|unmarked \S+|cup)`
	),
	word('popped', 'popped button', String.raw`(?:button )?popped(?: button| lid| up)?|button up`),
	word(
		'smells',
		'smells',
		String.raw`smell(?:s|y|ing)(?: bad| off| funny)?|hissing|spurting|rancid|gone off|off smell`
	),
	word(
		'pest',
		'with pests',
		String.raw`(?:with |has |got |full of |some )?(?:pests?|${CRAWLS})(?: in(?: it| them)?| inside| eggs)?(?=\s*(?:$|[,;.!(]))|(?:with|has|got|full of) (?:pests?|${CRAWLS})|infested|weevily`
	),
	word(
		'mouldy',
		'mouldy',
		String.raw`(?:gone |a bit |going )?mou?ldy|(?:has |with |some )?mou?ld (?:on|in|inside)(?: it| top| the top)?`
	),
	word(
		'dented',
		'dent',
		String.raw`(?:small |slight |shallow |slightly |a bit )?dent(?:ed|s)?|bashed(?: in)?`
	),
	word(
		'bulging',
		'bulging',
		String.raw`bulg(?:ing|ed|es|e)|blown(?: up)?|swollen|puffed(?: up)?|domed`
	),
	word('leaking', 'leaking', String.raw`leak(?:ing|s|y|ed)?`),
	word('rusty', 'rust', String.raw`(?:a bit |slightly |surface |some )?rust(?:y|ed)?`),
	word(
		'chipped',
		'chipped',
		String.raw`chipped|(?:has a |with a |small )?chip (?:on|in)(?: the)?(?: rim| edge| base)?`
	),
	word(
		'worn',
		'worn',
		String.raw`(?:has |have |with )?(?:stained|stains?|torn|ripped|frayed|faded|scratched|worn(?: out| thin)?|dirty|grubby|dried[ -](?:up|out)|gone (?:hard|soft|stale|lumpy)|sprouting|sprouted|stale|clumped|lumpy|with lumps|lumps|wilted|wilting|shrivell?ed|soggy|melted|curdled|separated|peeling|bent|warped|crushed(?=\s*(?:$|[,;.!)])))`
	),
	word('broken', 'broken', String.raw`broken|cracked|smashed|shattered`),
	word(
		'part-used',
		'half full',
		String.raw`(?:about )?(?:half|part|partly|quarter|third|two[ -]thirds|three[ -]quarters)[ -](?:full|empty|used|gone|left)|(?:(?:nearly|almost|mostly|still) )(?:full|empty|gone|finished)|(?:three|3)[ -]?\/?(?:quarters?|4)[ -]full|started`
	),
	word('thawed', 'thawed', String.raw`thawed|defrosted`),
	word(
		'frozen',
		'is frozen',
		String.raw`(?:is |now |home[ -])?frozen|from the freezer|in the freezer`
	),
	word('open', 'open', String.raw`(?:already |is )?opened|open`)
];

/** Words that are understood and change nothing. */
export const SAYS_NOTHING =
	/(?<![\p{L}\d-])(?:unopened|sealed|still sealed|not opened|brand new|approx(?:imately)?|about|roughly|around|please|each|ea|per pack|or so)(?![\p{L}\d-])/iu;

import { listText, signedText, tenthsText } from './numbers';
import { type LengthUnit, type Lot } from '../core/model';
import { type HardCode, type LotShare, type MoveCaution, type Price } from '../core/zoning';
import { hardText, overSizeText } from './rules';

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
	'child-lock': 'needs a lock',
	'child-reach': 'child’s reach',
	'pet-reach': 'pet’s reach',
	'off-floor': 'on the floor',
	'hot-place': 'too hot',
	'damp-place': 'too damp',
	'wet-place': 'drips here',
	'in-bathroom': 'in a bathroom',
	'keep-clear': 'valve behind',
	'tops-not-used': 'tops not used',
	banned: 'ruled out',
	'pinned-elsewhere': 'pinned elsewhere'
};
const FULL_SHORT = { litres: 'full', run: 'too little floor', load: 'too heavy' } as const;

const ruleText = (code: HardCode, over: Price['over'], units: LengthUnit) =>
	over ? `${hardText(code)} ${overSizeText(over, units)}` : hardText(code);

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
export function priceNote(
	price: Price,
	least: number,
	isPlaced: boolean,
	units: LengthUnit
): PriceNote {
	if (price.hard)
		return {
			text: NO_SHORT[price.hard],
			tone: 'bad',
			why: ruleText(price.hard, price.over, units)
		};
	if (!price.fits)
		return price.conflict
			? { text: 'not together', tone: 'bad', why: hardText(price.conflict) }
			: { text: FULL_SHORT[price.short ?? 'litres'], tone: 'bad', why: hardText('over-capacity') };
	const more = price.extra - least;
	const text = Math.abs(more) < 0.5 ? (isPlaced ? 'here' : 'best') : signedText(more);
	return { text, tone: more <= AS_GOOD_M ? 'good' : 'fair' };
}

/** Says what is wrong with where a tag was put; null: nothing is. */
export function droppedText(name: string, price: Price, units: LengthUnit): string | null {
	if (price.hard)
		return `${name}: ${ruleText(price.hard, price.over, units)} Moved there anyway, and marked as breaking a rule.`;
	if (price.fits) return null;
	return `${name}: ${hardText(price.conflict ?? 'over-capacity')} Moved there anyway.`;
}

/** Says what to do about a small child when something is carried to its place. */
export const cautionText = (caution: MoveCaution): string =>
	({
		'needs-lock': 'Dangerous for a small child: fit a lock here first. A catch is not enough.',
		'needs-catch': 'Within a small child’s reach: fit a catch here first.',
		'high-only':
			'Dangerous for a small child: height helps, but only a lock or a catch is childproof.',
		'lock-at-once':
			'Dangerous for a small child: don’t put it down on the way, and lock up at once.'
	})[caution];

import {
	categoryOf,
	pieceVolumeMl,
	usesPerWeek,
	type Category,
	type GroupReason,
	type Hazard,
	type Thing
} from '../model';
import { PAIR_NAMES } from './branch-pairs';

/** Which of the climates a thing cannot leave. */
export type Cold = 'frozen' | 'chilled' | 'room';
const OWN_RULES = [
	'unknown',
	'medicine',
	'bleach',
	'acid',
	'cleaner',
	'raw-meat',
	'sharp',
	'alcohol',
	'flammable'
] as const;
export type OwnRule = Extract<Hazard, (typeof OWN_RULES)[number]> | '';

/** One thing with what decides which others it may live with. */
export interface Card {
	readonly thing: Thing;
	readonly category: Category;
	readonly pieces: number;
	readonly volumeMl: number;
	readonly uses: number;
	readonly cold: Cold;
	/** A hazard with a rule of its own, which its companions must share. */
	readonly rule: OwnRule;
	/** The one person it is for; empty: more than one, or everybody. */
	readonly person: string;
	/** The allergen it is kept free from; empty: none that matters here. */
	readonly free: string;
	/** The one pet it is for, where there are several; empty: any. */
	readonly pet: string;
}

/** Things that are to live together, while a proposal is being made. */
export interface Bucket {
	readonly key: string;
	name: string;
	cards: readonly Card[];
	/** Volume of all its cards, and the one of them that takes most of it. */
	volumeMl: number;
	main: Card;
	why: readonly GroupReason[];
	/** A kit, or a part of what was cut: nothing joins it, and it joins nothing. */
	readonly closed: boolean;
	/** The group that what was put by hand holds it to; null: none. */
	groupId: string | null;
}

/** Under this a group is a sliver, ml and pieces (handbook: a litre, or three things). */
const SLIVER_ML = 1000;
const SLIVER_PIECES = 3;

export const coldOf = ({ needs }: Pick<Thing, 'needs'>): Cold =>
	needs.includes('frozen') ? 'frozen' : needs.includes('chilled') ? 'chilled' : 'room';

export const ruleOf = ({ hazards }: Pick<Thing, 'hazards'>): OwnRule =>
	OWN_RULES.find((rule) => hazards.includes(rule)) ?? '';

export const cardOf = (
	thing: Thing,
	pieces: number,
	{ person, free, pet }: Pick<Card, 'person' | 'free' | 'pet'>
): Card => ({
	thing,
	category: categoryOf(thing.category),
	pieces,
	volumeMl: pieceVolumeMl(thing) * pieces,
	uses: usesPerWeek(thing),
	cold: coldOf(thing),
	rule: ruleOf(thing),
	person,
	free,
	pet
});

/** Sums up the cards of a bucket, one or more. */
export const filled = (cards: readonly Card[]): Pick<Bucket, 'cards' | 'volumeMl' | 'main'> => ({
	cards,
	volumeMl: cards.reduce((sum, card) => sum + card.volumeMl, 0),
	main: cards.reduce((best, card) => (card.volumeMl > best.volumeMl ? card : best))
});

export const isSliver = (bucket: Bucket): boolean =>
	!bucket.closed &&
	(bucket.volumeMl < SLIVER_ML ||
		bucket.cards.reduce((sum, { pieces }) => sum + pieces, 0) < SLIVER_PIECES);

const mostUsed = ({ cards }: Pick<Bucket, 'cards'>) => Math.max(...cards.map(({ uses }) => uses));
/** Uses a week of what is taken out daily, and of what comes out for guests: they have no place together. */
const isDaily = (bucket: Bucket): boolean => mostUsed(bucket) >= 7;
const isRare = (bucket: Bucket): boolean => mostUsed(bucket) < 0.5;
const branchesOf = ({ cards }: Pick<Bucket, 'cards'>) => [
	...new Set(cards.map(({ category }) => category.branch))
];

/** How near two buckets are as siblings: 0 one category, 1 one branch, 2 branches that go together. Null: they must not, or need not, live together. */
export function kinship(a: Bucket, b: Bucket): number | null {
	const { main: one } = a;
	const { main: two } = b;
	const apart =
		a.closed ||
		b.closed ||
		(one.category.code === 'food.pet') !== (two.category.code === 'food.pet') ||
		one.cold !== two.cold ||
		one.rule !== two.rule ||
		one.free !== two.free;
	if (apart || one.category.area !== two.category.area) return null;
	const owned = one.person !== two.person || one.pet !== two.pet;
	// What is one person's, or one pet's, joins only what is everybody's and of its category.
	if (owned && ((one.person && two.person) || (one.pet && two.pet))) return null;
	if (one.category.code === two.category.code) return 0;
	if (owned) return null;
	if (isDaily(a) !== isDaily(b) && (isRare(a) || isRare(b))) return null;
	const own = branchesOf(b);
	const isPaired = branchesOf(a).every((first) =>
		own.every((second) => first === second || PAIR_NAMES.has(`${first} ${second}`))
	);
	if (!isPaired) return null;
	return one.category.branch === two.category.branch ? 1 : 2;
}

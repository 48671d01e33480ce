import { z } from 'zod';
import branchPairs from '../../../../data/branch-pairs.json';
import {
	BRANCH_NAMES,
	categoryOf,
	pieceVolumeMl,
	usesPerWeek,
	type Category,
	type GroupReason,
	type Hazard,
	type Thing
} from '../model';

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
/** From this share of a group's volume on, or of its things, a category or a branch has a say in its name. */
const NAMING_SHARE = { volume: 0.2, things: 0.25 } as const;

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

const Branch = z.enum(Object.keys(BRANCH_NAMES) as [Category['branch'], ...Category['branch'][]]);
/** Two branches, and what both together are called. */
const BranchPairs = z.array(z.tuple([Branch, Branch, z.string().min(1)]));
/** What one would look for under one name, by its branches: any other two stay apart, however little there is of them. */
const PAIR_NAMES: ReadonlyMap<string, string> = new Map(
	BranchPairs.parse(branchPairs).flatMap(([one, two, name]) => [
		[`${one} ${two}`, name] as const,
		[`${two} ${one}`, name] as const
	])
);
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

/** Names a bucket of several categories: by its branch when all that matter are of one, by both where they are of two, else by the largest. */
function nameOf(bucket: Bucket): string {
	const { free } = bucket.main;
	if (free) return `${free[0]!.toUpperCase()}${free.slice(1)}-free food`;
	const kinds = tellingOf(bucket, ({ category }) => category.code);
	const [first, second, ...more] = tellingOf(bucket, ({ category }) => category.branch);
	// Cans of vegetables among which there is fish are cans.
	const isParticular = bucket.main.category.name.includes(':') && severalOf(bucket);
	if (!second) return kinds.length < 2 && !isParticular ? bucket.name : BRANCH_NAMES[first!];
	return (!more.length && PAIR_NAMES.get(`${first} ${second}`)) || bucket.name;
}
const severalOf = ({ cards }: Bucket) =>
	new Set(cards.map(({ category }) => category.code)).size > 1;
/** What has a say in the name of a bucket, by its share of the volume or of the things. */
function tellingOf<Key extends string>(
	{ cards, volumeMl }: Bucket,
	keyOf: (card: Card) => Key
): Key[] {
	const share = new Map<Key, { volume: number; things: number }>();
	for (const card of cards) {
		const { volume, things } = share.get(keyOf(card)) ?? { volume: 0, things: 0 };
		share.set(keyOf(card), {
			volume: volume + card.volumeMl / (volumeMl || 1),
			things: things + 1 / cards.length
		});
	}
	return [...share]
		.filter(([, part]) => part.volume >= NAMING_SHARE.volume || part.things >= NAMING_SHARE.things)
		.map(([key]) => key);
}

/** Puts the smaller of two buckets into the larger, or into the one that is held by hand; says so in its reasons. */
export function join(
	buckets: Bucket[],
	small: Bucket,
	into: Bucket,
	code: 'sliver' | 'few-nooks'
): void {
	buckets.splice(buckets.indexOf(small), 1);
	const what = { code, words: [small.name] } satisfies GroupReason;
	const sameCategory = kinship(small, into) === 0;
	Object.assign(into, filled([...into.cards, ...small.cards]));
	into.why = [...into.why, what].slice(0, 8);
	if (!sameCategory) into.name = nameOf(into);
}

/** The bucket that a small one had best join: the nearest of kin, then the smallest, then by key; null: none. */
export function nearestKin(
	buckets: readonly Bucket[],
	small: Bucket,
	mayJoin: (one: Bucket, two: Bucket) => boolean = () => true
): Bucket | null {
	let best: { bucket: Bucket; kin: number } | null = null;
	for (const bucket of buckets) {
		const kin = bucket === small ? null : kinship(small, bucket);
		if (kin === null || !mayJoin(small, bucket)) continue;
		const better =
			!best ||
			kin < best.kin ||
			(kin === best.kin && bucket.volumeMl < best.bucket.volumeMl - 1e-9);
		if (better) best = { bucket, kin };
	}
	return best?.bucket ?? null;
}

import { BRANCH_NAMES, type Category } from '../model';
import { PAIR_NAMES } from './branch-pairs';
import type { Bucket, Card } from './buckets';

/** From this share of a group's volume on, or of its things, a category or a branch has a say in its name. */
const NAMING_SHARE = { volume: 0.2, things: 0.25 } as const;
/** Nobody reads more words than this on a label. */
const MOST_WORDS = 5;

const severalOf = ({ cards }: Pick<Bucket, 'cards'>) =>
	new Set(cards.map(({ category }) => category.code)).size > 1;

/** What has a say in the name of a bucket, by its share of the volume or of the things; the most of it first. */
function tellingOf<Key>(
	{ cards, volumeMl }: Pick<Bucket, 'cards' | 'volumeMl'>,
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
		.sort(([, a], [, b]) => b.volume + b.things - a.volume - a.things)
		.filter(([, part]) => part.volume >= NAMING_SHARE.volume || part.things >= NAMING_SHARE.things)
		.map(([key]) => key);
}
const branchesOf = (bucket: Bucket) => tellingOf(bucket, ({ category }) => category.branch);

/** Names a bucket of several categories: by its branch when all that matter are of one, by both where they are of two, else by the largest. */
export function nameOf(bucket: Bucket): string {
	const { free } = bucket.main;
	if (free) return `${free[0]!.toUpperCase()}${free.slice(1)}-free food`;
	const kinds = tellingOf(bucket, ({ category }) => category.code);
	const [first, second, ...more] = branchesOf(bucket);
	// Cans of vegetables among which there is fish are cans.
	const isParticular = bucket.main.category.name.includes(':') && severalOf(bucket);
	if (!second) return kinds.length < 2 && !isParticular ? bucket.name : BRANCH_NAMES[first!];
	return (!more.length && PAIR_NAMES.get(`${first} ${second}`)) || bucket.name;
}

/** Words that a kind or a branch adds to a name: of _Cans: vegetables_ the cans. */
const wordsOf = (name: string) =>
	name
		.split(':')[0]!
		.split(/, | and /)
		.map((word) => word.toLowerCase());

/** Puts words into one name, each once and what they begin with in common too: _Frozen vegetables, fruit and ices_. */
function inOne(words: readonly string[]): string {
	const begin = `${words[0]!.split(' ')[0]} `;
	const all = [...new Set(words)].map((word, i) =>
		i && word.startsWith(begin) ? word.slice(begin.length) : word
	);
	const said = all.length < 2 ? all[0]! : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`;
	return said.charAt(0).toUpperCase() + said.slice(1);
}

/** Says what is in a bucket of several categories: whole branches where nothing of them is in the `others`, else its kinds. */
function contentsOf(bucket: Bucket, others: readonly Bucket[]): string {
	const elsewhere = new Set(others.flatMap(branchesOf));
	const strong = new Set(
		others.filter(({ main }) => main.rule).map(({ main }) => main.category.code)
	);
	const kinds = tellingOf(bucket, ({ category }) => category);
	const gearOf = ({ code, name }: Category) => {
		const words = wordsOf(name);
		const isGear = words.length === 1 && !bucket.main.rule && strong.has(code);
		return isGear ? [`${words[0]} gear`] : words;
	};
	const parts = branchesOf(bucket).flatMap((branch) => {
		const own = kinds.filter((kind) => kind.branch === branch);
		return elsewhere.has(branch) && own.length ? own.map(gearOf) : [wordsOf(BRANCH_NAMES[branch])];
	});
	const words = parts.reduce((all, more) =>
		all.length + more.length <= MOST_WORDS ? [...all, ...more] : all
	);
	return inOne(words);
}

/**
 * Names by their contents those that go by a whole branch while some of that branch stands elsewhere: of _Dry goods_ and
 * _Dry goods and cans_ side by side nobody knows which has the rice.
 */
export function nameByContents(buckets: readonly Bucket[]): void {
	const open = buckets.filter(({ closed }) => !closed);
	for (const bucket of open) {
		if (bucket.main.free || !severalOf(bucket) || bucket.name !== nameOf(bucket)) continue;
		if (bucket.name === bucket.main.category.name) continue;
		const others = open.filter((other) => other !== bucket && other.main.cold === bucket.main.cold);
		const own = branchesOf(bucket);
		if (others.some((other) => branchesOf(other).some((branch) => own.includes(branch))))
			bucket.name = contentsOf(bucket, others);
	}
}

/** Of two buckets of one name, for what is strong and what is not, the harmless one is the gear. */
export function nameApart(buckets: readonly Bucket[]): void {
	const strong = new Set(buckets.filter(({ main }) => main.rule).map(({ name }) => name));
	for (const bucket of buckets)
		if (!bucket.main.rule && strong.has(bucket.name)) bucket.name = `${bucket.name} gear`;
}

/** Of two that came to one name the smaller goes by most of what it holds. */
export function nameOnce(buckets: readonly Bucket[]): void {
	const taken = new Set<string>();
	for (const bucket of [...buckets].sort(
		(a, b) => b.volumeMl - a.volumeMl || (a.key < b.key ? -1 : 1)
	)) {
		const { category, thing } = bucket.main;
		if (taken.has(bucket.name))
			bucket.name = taken.has(category.name) ? `${bucket.name}: ${thing.name}` : category.name;
		taken.add(bucket.name);
	}
}

import { categoryOf, type Home, type Thing } from '../model';
import type { Marked } from './contents';

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
/** More different things than this in one container, and what is in it changes: it is named broadly. */
const FEW = 2;
/** Words behind the colon are shorter than this, else the whole is. */
const MOST_PART = 26;

/** Names of the kinds of what is in something, each once, by number of things. */
function kindsOf(things: readonly Thing[]): string[] {
	const counts = new Map<string, number>();
	for (const { category } of things) {
		const { name } = categoryOf(category);
		counts.set(name, (counts.get(name) ?? 0) + 1);
	}
	return [...counts]
		.sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0], 'en'))
		.map(([name]) => name);
}

/** What is fresh or frozen is another thing next week: it is not named on a label that stays. */
const stays = ({ category, needs }: Thing): boolean =>
	![...needs, ...categoryOf(category).needs].some(
		(need) => need === 'chilled' || need === 'frozen' || need === 'ventilated'
	);

const sameThings = (a: Marked, b: Marked) =>
	a.things.length === b.things.length && a.things.every(({ id }, i) => id === b.things[i]!.id);

/** What of a container tells it from its sisters: its one or two things, else its kind; null: nothing does. */
function partOf(own: Marked, sisters: readonly Marked[]): string | null {
	const { things } = own;
	if (!things.length) return null;
	const names = things.map(({ name }) => name).join(', ');
	if (things.every(stays) && things.length <= FEW && names.length <= MOST_PART) return names;
	const [kind, ...others] = kindsOf(things);
	const isOwn = sisters.every((other) => !kindsOf(other.things).includes(kind!));
	if (kind && !others.length && isOwn) return kind;
	// First and last of the alphabet, as on the spines of a set of books.
	const [first, last] = [things[0]!, things.at(-1)!].map(({ name }) => name.split(' ')[0]!);
	const range = `${first} to ${last}`;
	return things.every(stays) && things.length > FEW && range.length <= MOST_PART ? range : null;
}

/**
 * Proposes the words of containers: a jar or bin of one thing by its name, since that stays; else the group's name, since
 * what is in it changes; and where bins of one group hold different things, the group with what tells them apart. Bins
 * that hold the same have the same words. By id.
 * @example proposeContainerWords(containers).get('larder-3/p1') // 'Drinks: juice'
 */
export function proposeContainerWords(all: readonly Marked[]): Map<string, string> {
	const words = new Map<string, string>();
	const byGroup = new Map<string, Marked[]>();
	for (const marked of all) {
		const key = marked.groups[0]!.id;
		const list = byGroup.get(key);
		if (list) list.push(marked);
		else byGroup.set(key, [marked]);
	}
	for (const own of byGroup.values()) {
		const { name } = own[0]!.groups[0]!;
		for (const marked of own) {
			const others = own.filter((other) => !sameThings(other, marked));
			const isJar = marked.kind?.role === 'jar';
			const [only] = marked.things;
			if (marked.things.length === 1 && stays(only!) && (isJar || own.length === 1)) {
				words.set(marked.id, capital(only!.name));
				continue;
			}
			const part = others.length ? partOf(marked, others) : null;
			words.set(
				marked.id,
				part && part.toLowerCase() !== name.toLowerCase() ? `${name}: ${part}` : name
			);
		}
	}
	return words;
}

/** Names this many groups of a place; more are "and more". */
const NAMED_GROUPS = 3;
/** Proposes the words of a place: the groups that live there. @example 'Baking, Spices' */
export function proposePlaceWords({ groups }: Marked): string {
	const names = groups.map(({ name }) => name);
	const shown = names.slice(0, NAMED_GROUPS).join(', ');
	return names.length > NAMED_GROUPS ? `${shown} and more` : shown;
}

/**
 * Says which containers stay without a label: of three or more of a group in one place the one that is empty, or else
 * none. It is there for what is to come.
 */
export function bareOnes(all: readonly Marked[]): Set<string> {
	const sets = new Map<string, Marked[]>();
	for (const marked of all) {
		const key = `${marked.nook.id}/${marked.groups[0]!.id}`;
		const list = sets.get(key);
		if (list) list.push(marked);
		else sets.set(key, [marked]);
	}
	return new Set(
		[...sets.values()].flatMap((own) => {
			const empty = own.filter(({ things }) => !things.length);
			return own.length > 2 && empty.length && empty.length < own.length ? empty.at(-1)!.id : [];
		})
	);
}

/** Words of the household's own, with the place where they were said. */
export interface Learned {
	readonly text: string;
	/** null: in another home. */
	readonly nookId: string | null;
}

/**
 * Words that the household said in the place of proposed ones, by the proposed words: said in one place, they hold in all
 * others. In the same place they tell one bin from the next.
 */
export function learnedWords(
	home: Pick<Home, 'marks' | 'labelWords'>,
	proposed: ReadonlyMap<string, string>
): Map<string, Learned> {
	const learned = new Map<string, Learned>(
		Object.entries(home.labelWords).map(([words, text]) => [words, { text, nookId: null }])
	);
	for (const mark of Object.values(home.marks).sort((a, b) => (a.id < b.id ? -1 : 1))) {
		const id = mark.placementId ? `${mark.nookId}/${mark.placementId}` : mark.nookId;
		const words = proposed.get(id);
		if (words && mark.text && mark.text !== words)
			learned.set(words, { text: mark.text, nookId: mark.nookId });
	}
	return learned;
}

import {
	categoryOf,
	UNKNOWN_KIND,
	wordStems,
	type Category,
	type Hazard,
	type Need
} from '../model';
import { dangersIn } from './dangers';
import { dangerMeant, hazardsNamed } from './danger-slips';
import { fromKnown, guess, union, type Guess } from './guess';
import { headCategory } from './heads';
import { findExact, findName, keyOf, sizeOfEnd } from './lexicon';
import { readWords, withoutPack } from './read-words';
import { corrected, slipsOf } from './spelling';
import { likelyKinds } from './tail';
import { withoutClaims, withoutFigures, withoutTail } from './trim';
import { withDanger } from './with-danger';

/** What a typed name is taken for. */
export interface Kind {
	/** Code of the likeliest category; null: nothing can be said. */
	readonly category: string | null;
	/** Whether it can stand without being asked about. What is not sure counts as of unknown kind until it is answered. */
	readonly sure: boolean;
	readonly hazards: readonly Hazard[];
	readonly needs: readonly Need[];
	/** Up to three categories to choose from, likeliest first. */
	readonly choices: readonly string[];
	/** Usual size and mass of one. */
	readonly piece: Category['piece'];
	readonly massG: number;
}

/** Kinds that a home was told, by the key of the name (`readingKey`). */
export type Readings = Readonly<Record<string, string>>;

/** Key under which a home remembers what a name is. @example readingKey('Chillies') // 'chilli' */
export const readingKey = (name: string): string => keyOf(wordStems(withoutFigures(name)));

/** Whether the lexicon has a name as it is typed, articles and figures aside. */
export const isKnownName = (name: string): boolean => findExact(withoutFigures(name)) !== undefined;

const MOST_CHOICES = 3;
/** From so many letters on, a word with one slip is surely the word it is near to. */
const SURE_SLIP = 7;
/** Corrects the words that no name has and that are one slip away from one that has. */
const respelt = (stems: readonly string[]) =>
	stems.map((word) => dangerMeant(word) ?? corrected(word) ?? word);

/** The one name of the lexicon that some words are, with one slip in one of them; null: none, or several kinds. */
function respeltName(stems: readonly string[]): readonly string[] | null {
	if (stems.length < 2) return null;
	const found = stems.flatMap((word, i) =>
		slipsOf(word).flatMap((meant) => {
			const whole = stems.map((one, k) => (k === i ? meant : one));
			return findName(whole) ? [whole] : [];
		})
	);
	const kinds = new Set(found.map((whole) => findName(whole)!.category.code));
	return kinds.size === 1 ? found[0]! : null;
}

function read(stems: readonly string[]): Guess | null {
	const whole = findName(stems);
	if (whole) return fromKnown(whole, true);
	const dangers = dangersIn(stems);
	const inner = withoutTail(withoutClaims(stems));
	const base = readWords(findName(inner) ? inner : withoutPack(inner));
	return dangers.length ? withDanger(stems, base, dangers) : base;
}

/** Any names that stand in a name, when its end says nothing. */
function fromParts(stems: readonly string[]): readonly string[] {
	const found: string[] = [];
	for (let i = stems.length - 1; i >= 0; i--) {
		const code = findName([stems[i]!])?.category.code ?? headCategory(stems[i]!);
		if (code && !found.includes(code)) found.push(code);
	}
	return found;
}

/** Usual size of one: the lexicon's own for the name, else of what the name ends in, else of its kind. */
function sizeOf({ known, category }: Guess, stems: readonly string[]) {
	const isOwn = known?.piece !== category.piece || known.massG !== category.massG;
	if (known?.category === category && isOwn) return known;
	return sizeOfEnd(stems, category.code) ?? category;
}
const asKind = (found: Guess, stems: readonly string[]): Kind => {
	const { piece, massG } = sizeOf(found, stems);
	return {
		category: found.category.code === UNKNOWN_KIND ? null : found.category.code,
		sure: found.sure,
		hazards: found.hazards,
		needs: found.category.needs,
		choices: found.sure ? [] : found.choices.slice(0, MOST_CHOICES),
		piece,
		massG
	};
};

/**
 * Says what kind of thing a name means, and how sure that is. What the home was told comes first; then words of danger,
 * which outrank the rest; then the lexicon, by the whole name, by words of condition (frozen, tinned, dried), and by the
 * last words, since a cheese slicer is a tool and a chocolate mould is bakeware. A slip of spelling is put right. What
 * none of these knows gets proposals, and is not sure.
 * @param readings kinds the home was told, by `readingKey`
 * @example kindOf('eucalyptus oil').category // 'bathroom.bath', and no oil for cooking
 */
export function kindOf(name: string, readings: Readings = {}): Kind {
	const stems = wordStems(withoutFigures(name));
	const told = readings[keyOf(stems)];
	if (told) {
		// What a person says of it never takes away what the name warns of.
		const said = guess(categoryOf(told), true);
		return asKind({ ...said, hazards: union(said.hazards, hazardsNamed(stems)) }, stems);
	}
	const exact = findExact(name);
	if (exact) return asKind(fromKnown(exact, true), stems);
	const first = stems.length ? read(stems) : null;
	const isWarned = stems.some((word) => dangerMeant(word) !== null);
	if (first?.sure && !isWarned) return asKind(first, stems);
	const spelt = (isWarned ? null : respeltName(stems)) ?? respelt(stems);
	const second = spelt.some((word, i) => word !== stems[i]) ? read(spelt) : null;
	if (second && (second.sure || !first)) {
		// What the slip hides must not be what the word itself warned of; a slip in a short word may be another word.
		const hazards = union(second.hazards, first?.hazards ?? []);
		const isSure =
			second.sure &&
			(spelt.every(
				(word, i) =>
					word === stems[i] || stems[i]!.length >= SURE_SLIP || dangerMeant(stems[i]!) === word
			) ||
				// A whole name that is known leaves no doubt which word was meant.
				(spelt.length > 1 && findName(spelt) !== undefined));
		const choices = isSure ? [] : union([second.category.code], second.choices);
		return asKind({ ...second, hazards, sure: isSure, choices }, spelt);
	}
	if (first) return asKind(first, stems);
	const choices = union(likelyKinds(stems), fromParts(stems)).slice(0, MOST_CHOICES);
	const likeliest = categoryOf(choices[0] ?? UNKNOWN_KIND);
	return asKind(
		{ ...guess(likeliest, false, choices), hazards: choices.length ? likeliest.hazards : [] },
		stems
	);
}

/** Hazards that the name of a thing warns of, whatever its kind is said to be. @example warnedOf('toilet bleech') */
export const warnedOf = (name: string): readonly Hazard[] =>
	hazardsNamed(wordStems(withoutFigures(name)));

/** Kinds to offer first for a name that is to be said, likeliest first. */
export function kindChoices(name: string): readonly string[] {
	const { category, choices } = kindOf(name);
	return union(category ? [category] : [], choices).slice(0, MOST_CHOICES);
}

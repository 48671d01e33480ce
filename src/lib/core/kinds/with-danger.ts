import { isCondition } from './conditions';
import type { Danger } from './dangers';
import { union, type Guess } from './guess';
import { looseHead } from './heads';
import { isWord } from './lexicon';
import { FILLERS, PACKS, TAIL } from './trim';

/** Shapes in which medicines come, and other things too. */
export const SHAPES: ReadonlySet<string> = new Set(['tablet', 'capsule', 'pill']);
const FORMS = new Set([
	'tablet',
	'capsule',
	'pill',
	'suspension',
	'oral',
	'dose',
	'child',
	'children',
	'junior',
	'adult',
	'day',
	'night',
	'strength',
	'max',
	'plus',
	'double',
	'action',
	'pen'
]);
/** Forms in which anything may come: a word of danger before one of them says what the thing is. */
const isForm = (stem: string) =>
	looseHead(stem) !== undefined ||
	FILLERS.has(stem) ||
	isCondition(stem) ||
	!isWord(stem) ||
	FORMS.has(stem) ||
	PACKS.has(stem);

/** Lets what can hurt outrank what a name sounds like otherwise. */
export function withDanger(
	stems: readonly string[],
	base: Guess | null,
	dangers: readonly Danger[]
): Guess {
	const hazards = union(base?.hazards ?? [], ...dangers.map((danger) => danger.hazards));
	const last = dangers.at(-1)!;
	const sureOnes = dangers.filter(({ sure }) => sure);
	// Tablets may be of anything that is named beside them: tablets of bleach are no medicine.
	const named = sureOnes.filter(({ end }) => !SHAPES.has(stems[end - 1]!));
	const told = named.length ? named : sureOnes;
	const telling = told.at(-1) ?? last;
	const isNamedByIt =
		telling.sure && stems.slice(telling.end).every((word) => isForm(word) || TAIL.has(word));
	const same = base?.category === telling.category;
	if (isNamedByIt || same) {
		// A medicine for an animal is a medicine; a cleaner that holds bleach is bleach.
		const strongest =
			told.find(({ category }) => category.code === 'bathroom.medicines') ??
			told.find(({ category }) => category.code === 'kitchen.bleach') ??
			told.find(({ category }) => category.code === 'kitchen.acids') ??
			telling;
		const category = same && base?.sure ? base.category : strongest.category;
		return { category, hazards: union(hazards, category.hazards), sure: true, choices: [] };
	}
	const harmless = base && !base.category.hazards.some((hazard) => hazards.includes(hazard));
	return {
		category: telling.category,
		hazards,
		sure: false,
		choices: union(
			[telling.category.code],
			harmless ? [base.category.code] : [],
			base?.choices ?? []
		)
	};
}

export {
	isKnownName,
	kindChoices,
	kindOf,
	warnedOf,
	readingKey,
	type Kind,
	type Readings
} from './kind-of';
export { exactKey, keyOf, LEXICON, namesOf, type LexiconRow } from './lexicon';
export { dangersIn, DANGER_ROWS, type Danger } from './dangers';
export { usualUse } from './usual-use';
export { CONDITIONS } from './conditions';
export { densityOf } from './densities';
export { HEADS } from './heads';

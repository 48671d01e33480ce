import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hazard } from '../model';
import { wordStems } from '../model';
import { kindOf, LEXICON, namesOf, keyOf } from '.';

const SERIOUS: readonly Hazard[] = ['cleaner', 'medicine', 'bleach', 'acid'];
const isSerious = (hazards: readonly Hazard[]) => hazards.some((one) => SERIOUS.includes(one));

/** Names of the lexicon that can hurt, however they came to be there. */
const dangerous = LEXICON.flatMap((row) =>
	namesOf(row).map((name) => ({ name, hazards: kindOf(name).hazards }))
).filter(({ hazards }) => isSerious(hazards));
const known = new Set(LEXICON.flatMap(namesOf).map((name) => keyOf(wordStems(name))));

/** Words that are said of anything and name nothing with what they stand beside. */
const SAID_OF_ANYTHING = [
	'lemon',
	'strawberry',
	'big',
	'blue',
	'granny’s',
	'cheap',
	'lovely',
	'honey',
	'organic',
	'quux',
	'special'
];
const AFTER = [
	'bottle',
	'refill',
	'for kids',
	'in a jam jar',
	'from the shed',
	'drink',
	'no. 5',
	'quux',
	'spray'
];

describe('what can hurt', () => {
	it('never gets weaker by words that are added, before or after', () =>
		fc.assert(
			fc.property(
				fc.constantFrom(...dangerous),
				fc.constantFrom('', ...SAID_OF_ANYTHING),
				fc.constantFrom('', ...AFTER),
				({ name, hazards }, before, after) => {
					const whole = `${before} ${name} ${after}`;
					// A longer name of the lexicon is another thing: a paint brush is no paint.
					fc.pre(!known.has(keyOf(wordStems(`${name} ${after}`))));
					fc.pre(!known.has(keyOf(wordStems(`${before} ${name}`))));
					const read = kindOf(whole);
					expect(isSerious(read.hazards), `${whole}: ${read.category}`).toBe(true);
					for (const hazard of hazards.filter((one) => SERIOUS.includes(one)))
						expect(read.hazards, whole).toContain(hazard);
				}
			),
			{ seed: 1201, numRuns: 3000 }
		));
	// Written down from cupboards, apart from the lexicon: what is taken surely for something harmless may be drunk.
	it.each(
		`rat sachets|mouse killer grain|pink paraffin|old antifreeze in lemonade bottle|apple scented bleach|cherry cough drops
orange flavour paracetamol for kids|strawberry fever syrup|chocolate laxative|worming chocolate for dogs|gummies with melatonin
vitamin gummy bears|nicotine chewing gum|rose scented lamp oil|turps in jam jar|pond treatment|ant sugar bait|borax sugar mix
pretzel lye|photographic fixer|chlorine granules|white vinegar 25% essence|hair bleach powder|glyphosate concentrate
model glue|barbecue lighter gel|metformin 500 mg|dads insulin|rivastigmine patches|codeine linctus|teething powder
horse liniment|steroid inhaler|baby vitamin d drops|magnesium citrate powder|battery top up acid|windscreen wash
drain maggot killer|teak oil|camphor blocks|vape juice|ethanol 96%|toilet duck|pool shock|cockroach chalk|carpet shampoo`
			.split(/[|\n]/)
			.map((name) => [name.trim()])
	)('is not surely taken for something harmless: %s', (name) => {
		const { sure, hazards } = kindOf(name);
		expect(!sure || hazards.some((hazard) => [...SERIOUS, 'flammable'].includes(hazard))).toBe(
			true
		);
	});
});

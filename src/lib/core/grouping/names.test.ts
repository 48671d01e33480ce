import { describe, expect, it } from 'vitest';
import branches from '../../../../data/branches.json';
import pairs from '../../../../data/branch-pairs.json';
import { MORE_SKETCHES } from '../fixtures/more-sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { SKETCHES } from '../fixtures/sketches';
import { bareKitchen, withLines } from '../fixtures/tiny-home';
import { categoryOf, type Home } from '../model';
import { proposeGroups } from '.';
import { cardOf, filled, type Bucket } from './buckets';
import { nameByContents } from './names';

const NOBODY = { person: '', free: '', pet: '' };
/** A bucket of typed lines, under this name. */
function bucketOf(name: string, lines: string): Bucket {
	const home = withLines(bareKitchen(), lines.split('; '));
	const cards = Object.values(home.things).map((thing) => {
		const lots = Object.values(home.lots).filter(({ thingId }) => thingId === thing.id);
		return cardOf(
			thing,
			lots.reduce((sum, { count }) => sum + count, 0),
			NOBODY
		);
	});
	return { key: name, name, ...filled(cards), why: [], closed: false, groupId: null };
}
const named = (...buckets: Bucket[]) => {
	nameByContents(buckets);
	return buckets.map(({ name }) => name);
};
const PASTA_AND_TINS = '2 spaghetti; 2 white rice; 6 chopped tomatoes; 3 soup';
const FLOUR = '3 plain flour; 2 caster sugar; 2 red lentils';

describe('the names of groups that are joined', () => {
	it('are those of whole branches while nothing of them stands elsewhere', () => {
		expect(named(bucketOf('Dry goods and cans', PASTA_AND_TINS))).toEqual(['Dry goods and cans']);
	});
	it('say what is in them when a part of a branch stands elsewhere', () => {
		const both = [bucketOf('Dry goods and cans', PASTA_AND_TINS), bucketOf('Dry goods', FLOUR)];
		const [one, other] = named(...both);
		expect(one).toMatch(/^(Cans|Grains|Soups).*\band\b/);
		expect(one).toMatch(/grains/i);
		expect(one).toMatch(/cans|soups/i);
		expect(other).toBe('Baking and pulses');
	});
	it('say once what all of it begins with', () => {
		const frozen = (name: string, lines: string) => {
			const bucket = bucketOf(name, lines);
			const cards = bucket.cards.map((card) => ({ ...card, cold: 'frozen' as const }));
			return { ...bucket, ...filled(cards) };
		};
		const [one] = named(
			frozen('Frozen food', '3 frozen peas; 3 frozen berries'),
			frozen('Frozen meat and fish', '2 fish fingers; 1 frozen mince')
		);
		expect(one).toMatch(/^Frozen (vegetables|fruit)/);
		expect(one!.match(/frozen/gi)).toHaveLength(1);
	});
	it('call gear what is harmless beside what is strong', () => {
		const [one] = named(
			bucketOf('Cleaning and waste bags', '2 sponges; 1 bucket; 2 bin bags'),
			bucketOf('Cleaning', '1 kitchen spray cleaner; 1 floor cleaner')
		);
		expect(one).toMatch(/cleaning gear/i);
		expect(one).toMatch(/waste bags/i);
	});
	it('stay where a part of a branch is in the cold, or is a kit', () => {
		const cold = bucketOf('Baking in the fridge', FLOUR);
		const chilled = {
			...cold,
			...filled(cold.cards.map((card) => ({ ...card, cold: 'chilled' as const })))
		};
		const kit = { ...bucketOf('Baking kit', FLOUR), closed: true };
		expect(named(bucketOf('Dry goods and cans', PASTA_AND_TINS), chilled, kit)[0]).toBe(
			'Dry goods and cans'
		);
	});
});

const wordsOf = (name: string) => name.toLowerCase().split(/, | and |: /);
const homes: [string, Home][] = [...SKETCHES, ...MORE_SKETCHES].map((sketch) => [
	sketch.name,
	sketchHome(sketch)
]);
it.each([...new Map(homes)])('%s: no name promises what stands in another group too', (_, home) => {
	const proposed = proposeGroups(home).map(({ name, thingIds }) => ({
		name,
		kinds: thingIds.map((id) => {
			const { category, needs } = home.things[id]!;
			const cold = needs.find((need) => need === 'frozen' || need === 'chilled') ?? 'room';
			return { cold, ...categoryOf(category) };
		})
	}));
	const promises = new Map<string, readonly string[]>([
		...Object.entries(branches).map(([branch, name]) => [name, [branch]] as const),
		...pairs.map(([one, two, name]) => [name!, [one!, two!]] as const)
	]);
	const faults = proposed.flatMap(({ name, kinds }) => {
		const promised = promises.get(name);
		// A name that is just what is in there promises no more.
		const words = new Set(kinds.flatMap((kind) => wordsOf(kind.name)));
		if (!promised || wordsOf(name).every((word) => words.has(word))) return [];
		return proposed
			.filter(
				(other) =>
					other.name !== name &&
					!other.name.endsWith(' kit') &&
					other.kinds.every(
						({ branch, cold }) => promised.includes(branch) && cold === kinds[0]!.cold
					)
			)
			.map((other) => `${name} / ${other.name}`);
	});
	expect(faults).toEqual([]);
});

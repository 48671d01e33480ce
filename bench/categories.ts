import { readFileSync } from 'node:fs';
import { kindOf } from '../src/lib/core/kinds';
import { categoryOf } from '../src/lib/core/model';

export interface NamedCase {
	readonly name: string;
	readonly wanted: string;
}

/** Generic names as people type them, each under the category that an organizer would file it in. */
export const namedCases = (): NamedCase[] =>
	Object.entries(
		JSON.parse(readFileSync(new URL('./category-names.json', import.meta.url), 'utf8')) as Record<
			string,
			string[]
		>
	).flatMap(([wanted, names]) => names.map((name) => ({ name, wanted })));

const nameOfKind = (name: string): string => {
	const { category } = kindOf(name);
	return category ? categoryOf(category).name : 'none';
};

/** Measures how many names fall into their category at the first try. */
export function benchCategories(): {
	bench: string;
	names: number;
	topOnePercent: number;
	misses: string[];
} {
	const cases = namedCases();
	const misses = cases
		.map(({ name, wanted }) => ({ name, wanted, found: nameOfKind(name) }))
		.filter(({ wanted, found }) => wanted !== found);
	return {
		bench: 'category of a typed name',
		names: cases.length,
		topOnePercent: Math.round(1000 * (1 - misses.length / cases.length)) / 10,
		misses: misses.map(({ name, wanted, found }) => `${name}: ${found}, not ${wanted}`)
	};
}

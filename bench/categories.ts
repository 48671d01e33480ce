import { readFileSync } from 'node:fs';
import { kindOf } from '../src/lib/core/kinds';
import { categoryOf } from '../src/lib/core/model';
import { linesOf } from './names';

/** A name as people type it, and the categories that an organizer would file it in. */
export interface NamedCase {
	readonly name: string;
	readonly wanted: readonly string[];
}

const here = (file: string) => new URL(`./${file}`, import.meta.url).pathname;

/** The oldest list: generic names by the name of their category. */
export const namedCases = (): NamedCase[] =>
	Object.entries(
		JSON.parse(readFileSync(here('category-names.json'), 'utf8')) as Record<string, string[]>
	).flatMap(([wanted, names]) => names.map((name) => ({ name, wanted: [wanted] })));

/** A list of lines `name|category/category`, by code; several where organizers differ. */
export const listedCases = (file: string): NamedCase[] =>
	linesOf(here(file)).map((line) => {
		const [name = '', wanted = ''] = line.split('|');
		return { name, wanted: wanted.split('/').map((code) => categoryOf(code).name) };
	});

export interface NamesMeasured {
	readonly bench: string;
	readonly names: number;
	readonly rightPercent: number;
	readonly surelyRightPercent: number;
	/** Taken surely for something else. */
	readonly surelyWrong: readonly string[];
	readonly misses: readonly string[];
}

/** Measures how many names fall into their category at the first try, and how surely. */
export function measureNames(bench: string, cases: readonly NamedCase[]): NamesMeasured {
	const read = cases.map(({ name, wanted }) => {
		const { category, sure } = kindOf(name);
		const found = category ? categoryOf(category).name : 'none';
		return { name, wanted, found, sure, right: wanted.includes(found) };
	});
	const percent = (count: number) => Math.round((1000 * count) / cases.length) / 10;
	const say = ({ name, wanted, found }: (typeof read)[number]) =>
		`${name}: ${found}, not ${wanted.join(' or ')}`;
	return {
		bench,
		names: cases.length,
		rightPercent: percent(read.filter(({ right }) => right).length),
		surelyRightPercent: percent(read.filter(({ right, sure }) => right && sure).length),
		surelyWrong: read.filter(({ right, sure }) => sure && !right).map(say),
		misses: read.filter(({ right, sure }) => !right && !sure).map(say)
	};
}

export const benchCategories = (): readonly NamesMeasured[] => [
	measureNames('kinds of names: first list', namedCases()),
	measureNames('kinds of names: everyday', listedCases('names/everyday.txt')),
	measureNames(
		'kinds of names: second list, unseen when it was first read',
		listedCases('names/unseen.txt')
	),
	measureNames('kinds of names: third list, unseen', listedCases('names/unseen-2.txt'))
];

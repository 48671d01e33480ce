import { readFileSync } from 'node:fs';
import { kindOf } from '../src/lib/core/kinds';

/** Reads a file of names, one a line (what stands after `|` is left out), and says what kind each is taken for. */
export function benchNames(file: string): readonly object[] {
	return linesOf(file).map((line) => {
		const name = line.split('|')[0]!;
		const { category, sure, hazards, needs } = kindOf(name);
		return { name, category, sure, hazards, needs };
	});
}

export const linesOf = (file: string): string[] =>
	readFileSync(file, 'utf8')
		.split(/\r?\n/)
		.filter((line) => line.trim());

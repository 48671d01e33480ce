import { z } from 'zod';
import rows from '../../../../data/densities.json';
import { wordStems } from '../model';

const DensityRow = z.strictObject({
	/** Words that all stand in the name. */
	words: z.array(z.string()).min(1),
	gPerMl: z.number().positive(),
	source: z.string()
});
/** Bulk densities, the most particular names first. */
const DENSITIES = z
	.array(DensityRow)
	.parse(rows)
	.map((row) => ({ ...row, stems: row.words.flatMap((word) => wordStems(word)) }))
	.sort((a, b) => b.stems.length - a.stems.length);

/** Bulk density by the words of a name, g/ml; undefined: none is known. @example densityOf('plain flour') // 0.55 */
export function densityOf(name: string): number | undefined {
	const stems = new Set(wordStems(name));
	return DENSITIES.find((row) => row.stems.every((stem) => stems.has(stem)))?.gPerMl;
}

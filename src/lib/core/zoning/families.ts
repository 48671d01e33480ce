import { z } from 'zod';
import data from '../../../../data/families.json';
import type { GroupFigures } from '../grouping';
import { pieceVolumeMl } from '../model';

const Families = z.strictObject({
	/** Effort a week where two families of one area meet in a place, and where two of different areas do. */
	little: z.number(),
	lot: z.number(),
	families: z
		.array(z.strictObject({ name: z.string(), area: z.string(), kinds: z.array(z.string()) }))
		.max(250),
	/** Two families or areas by name with a price of their own; later rows win. */
	meetings: z.array(
		z.strictObject({ of: z.tuple([z.string(), z.string()]), price: z.number().min(0) })
	)
});
export const FAMILIES = Families.parse(data);
const byKind = new Map(
	FAMILIES.families.flatMap(({ kinds }, f) => kinds.map((kind) => [kind, f] as const))
);
/** Kinds without a family count as household things. */
const REST = FAMILIES.families.findIndex(({ name }) => name === 'household');

/** Number of families, and F × F what it costs a week that two meet in one place. */
export const FAMILY_COUNT = FAMILIES.families.length;
export const MEETING_PRICES: Float64Array = meetingPrices();

function meetingPrices(): Float64Array {
	const { families, meetings, little, lot } = FAMILIES;
	const prices = new Float64Array(FAMILY_COUNT * FAMILY_COUNT);
	const answers = (f: number, word: string) =>
		families[f]!.name === word || families[f]!.area === word;
	for (let one = 0; one < FAMILY_COUNT; one++)
		for (let two = 0; two < FAMILY_COUNT; two++) {
			if (one === two) continue;
			let price = families[one]!.area === families[two]!.area ? little : lot;
			for (const { of, price: own } of meetings)
				if (
					(answers(one, of[0]) && answers(two, of[1])) ||
					(answers(one, of[1]) && answers(two, of[0]))
				)
					price = own;
			prices[one * FAMILY_COUNT + two] = price;
		}
	return prices;
}

export const familyName = (f: number): string => FAMILIES.families[f]!.name;

/** The family that takes most of a group's room; ties to the first in the table. */
export function familyIndex({ things }: Pick<GroupFigures, 'things'>): number {
	const litres = new Float64Array(FAMILY_COUNT);
	for (const thing of things) litres[byKind.get(thing.category) ?? REST]! += pieceVolumeMl(thing);
	let most = REST;
	for (let f = 0; f < FAMILY_COUNT; f++)
		if (litres[f]! > 0 && (litres[f]! > litres[most]! || !litres[most])) most = f;
	return most;
}

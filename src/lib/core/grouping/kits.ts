import { z } from 'zod';
import rows from '../../../../data/kits.json';
import { wordStems, type Thing } from '../model';

/** Things that one task needs and that are pulled out as a whole. */
export interface Kit {
	readonly name: string;
	/** The appliance, or the bag, that the rest belongs to. */
	readonly lead: Thing;
	/** Its parts, then what it uses up; the lead is not among them. */
	readonly parts: readonly Thing[];
	readonly stock: readonly Thing[];
}

const words = z.array(z.string().min(1)).transform((list) => list.map(wordStems));
const TABLE = z
	.array(
		z.strictObject({
			name: z.string(),
			lead: words,
			parts: words,
			stock: words
		})
	)
	.parse(rows);

/**
 * Finds the kits of a home by the names of its things: an appliance together with at least one part or consumable of
 * its own. A thing belongs to one kit at most, the first of the table; frozen and chilled things stay where they are.
 * @example findKits(things).map((kit) => kit.name) // ['Coffee', 'Waffles']
 */
export function findKits(things: readonly Thing[]): Kit[] {
	const free = new Map(
		things
			.filter(({ needs }) => !needs.includes('chilled') && !needs.includes('frozen'))
			.map((thing) => [thing.id as string, thing])
	);
	const stems = new Map(things.map((thing) => [thing.id as string, wordStems(thing.name)]));
	const named = (list: readonly string[][]) =>
		[...free.values()].filter(({ id }) =>
			list.some((wanted) => wanted.every((word) => stems.get(id)!.includes(word)))
		);
	const kits: Kit[] = [];
	for (const row of TABLE) {
		const parts = named(row.parts);
		// A part may hold the words of its lead: the blade of a blender is no blender.
		const [lead] = named(row.lead).filter((thing) => !parts.includes(thing));
		if (!lead) continue;
		const stock = named(row.stock).filter((thing) => thing !== lead && !parts.includes(thing));
		if (!parts.length && !stock.length) continue;
		kits.push({ name: row.name, lead, parts, stock });
		for (const thing of [lead, ...parts, ...stock]) free.delete(thing.id);
	}
	return kits;
}

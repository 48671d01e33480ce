import { z } from 'zod';
import rows from '../../../../data/life.json';
import { categoryOf, type Thing } from '../model';

/** How long a kind of goods usually keeps, in days; null: not known, or no limit. */
export const Life = z.strictObject({
	key: z.string(),
	name: z.string(),
	/** In a fridge, fresh or opened. */
	fridgeDays: z.int().nullable(),
	freezerDays: z.int().nullable(),
	cupboardDays: z.int().nullable(),
	/** In a cupboard once opened. */
	openedDays: z.int().nullable(),
	/** Usual time past a best-before date in which it is still good. */
	extraDays: z.int(),
	source: z.string()
});
export type Life = z.infer<typeof Life>;

export const LIFE_TABLE: readonly Life[] = z.array(Life).parse(rows);
const byKey = new Map(LIFE_TABLE.map((row) => [row.key, row]));

/** What keeps longer than this once opened needs no day of opening to be used in time, days. */
export const UNDATED_OPEN_DAYS = 31;

/** Finds the life row of a thing: its own key, else its category's. Null when there is none. */
export function lifeOf(thing: Pick<Thing, 'lifeKey' | 'category'>): Life | null {
	return byKey.get(thing.lifeKey ?? categoryOf(thing.category).lifeKey ?? '') ?? null;
}

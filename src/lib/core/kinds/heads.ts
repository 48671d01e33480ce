import { z } from 'zod';
import rows from '../../../../data/heads.json';

/** Last words of names: those that name a kind by themselves, and those that carry anything. */
export const Heads = z.strictObject({
	/** `oil`, `powder`: with words of food before them food, else one of several kinds that must be asked for. */
	loose: z.record(
		z.string(),
		z.strictObject({ food: z.string().nullable(), else: z.array(z.string()).min(1) })
	),
	/** By category, the last words that are enough to know it. */
	sure: z.record(z.string(), z.array(z.string())),
	/** Words before a name that say whose it is. */
	owners: z.strictObject({
		pet: z.array(z.string()),
		baby: z.array(z.string()),
		toy: z.array(z.string())
	})
});
export type Heads = z.infer<typeof Heads>;
export const HEADS: Heads = Heads.parse(rows);

const sure = new Map(
	Object.entries(HEADS.sure).flatMap(([code, words]) => words.map((word) => [word, code] as const))
);
/** Category that a last word is enough for; undefined: it is not. */
export const headCategory = (stem: string): string | undefined => sure.get(stem);
export const looseHead = (stem: string) => HEADS.loose[stem];

const owners = new Map(
	(['pet', 'baby', 'toy'] as const).flatMap((who) =>
		HEADS.owners[who].map((word) => [word, who] as const)
	)
);
export const ownerWord = (stem: string): 'pet' | 'baby' | 'toy' | undefined => owners.get(stem);

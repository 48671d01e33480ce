import { z } from 'zod';
import rows from '../../../../data/conditions.json';
import { categoryOf, type Category } from '../model';

/** Words of condition, and where each takes a thing: frozen peas lie elsewhere than fresh ones. */
export const Condition = z.strictObject({
	words: z.array(z.string()).min(1),
	/** From a category to the one it becomes, `*` for any other food; what is not named stays. */
	move: z.record(z.string(), z.string()),
	/** Where berries go, which are kept among the salad while they are fresh; null: they stay. */
	berries: z.string().nullable()
});
export type Condition = z.infer<typeof Condition>;
export const CONDITIONS = z.record(z.string(), Condition).parse(rows);

const byWord = new Map(
	Object.values(CONDITIONS).flatMap((row) => row.words.map((word) => [word, row] as const))
);
const BERRY = /(?:berry|currant|grape)$/;

export const isCondition = (stem: string): boolean => byWord.has(stem);

/**
 * Gives the category that a thing of one category comes to by a word of condition.
 * @param head last word of the thing's name
 * @example moved(categoryOf('food.salad'), 'frozen', 'carrot').code // 'food.frozen-veg'
 */
export function moved(from: Category, condition: string, head: string): Category {
	const row = byWord.get(condition);
	if (!row) return from;
	const to =
		row.berries && BERRY.test(head)
			? row.berries
			: (row.move[from.code] ?? (from.area === 'food' ? row.move['*'] : undefined));
	return to ? categoryOf(to) : from;
}

import rows from '../../../../data/pack-uses.json';
import { type Lot, type Thing } from '../model';

const USES: readonly (readonly [start: string, uses: number])[] = Object.entries(rows).sort(
	([a], [b]) => b.length - a.length
);
const USUAL_USES = 4;

/**
 * Gives the uses or portions of one pack: said by hand, else as its kind usually has (`data/pack-uses.json`, by the
 * longest beginning of its category).
 * @example packUsesOf({ packUses: null, category: 'food.eggs' }) // 5
 */
export function packUsesOf({ packUses, category }: Pick<Thing, 'packUses' | 'category'>): number {
	return packUses ?? USES.find(([start]) => category.startsWith(start))?.[1] ?? USUAL_USES;
}

/** Turns an amount in the unit of a lot into packs: grams by what a pack weighs, pieces and meals by its uses. */
export function inPacks(
	count: number,
	unit: Lot['unit'],
	thing: Pick<Thing, 'packUses' | 'category' | 'massG'>
): number {
	if (unit === 'pack') return count;
	return unit === 'g' ? count / Math.max(1, thing.massG) : count / packUsesOf(thing);
}

/** How many of a unit one pack holds. @example perPack('g', flour) // 1000 */
export const perPack = (
	unit: Lot['unit'],
	thing: Pick<Thing, 'packUses' | 'category' | 'massG'>
): number => (unit === 'pack' ? 1 : unit === 'g' ? Math.max(1, thing.massG) : packUsesOf(thing));

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

/** Packs of a thing that a meal for so many takes: by its portions where they were said, else one. */
export const usualPacks = (thing: Pick<Thing, 'packUses'>, servings: number): number => {
	const portions = portionsIn(thing, 'pack');
	return portions ? Math.max(0.01, Math.round((servings / portions) * 100) / 100) : 1;
};

/**
 * Portions that the household said one pack has, where it takes them one by one; null: a pack is taken whole.
 * @example portionsIn({ packUses: 4 }, 'pack') // 4: a box of stew for four
 */
export const portionsIn = (
	{ packUses }: Pick<Thing, 'packUses'>,
	unit: Lot['unit']
): number | null => (unit === 'pack' && packUses !== null && packUses > 1 ? packUses : null);

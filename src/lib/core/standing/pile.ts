import type { SetDown, Thing } from '../model';

/** Goods are piled only while that stands by itself: no higher than so many times their narrow side. */
const PILE_SLENDER = 1.5;

/** What breaks when it is piled. */
const BRITTLE = 'kitchen.glasses';
const STACKS_BY_TWO = /\b(?:mugs?|cups?|tumblers?)\b/i;
/** Whether what would break in a pile is named as something that stands on its like by two. */
export const stacksByTwo = (name: string): boolean => STACKS_BY_TWO.test(name);

/** How many of a thing are piled on each other: as high as they stand by themselves, at most `rim` mm; at least one. */
export function pileOf(
	{ narrowMm, upMm }: SetDown,
	rimMm: number,
	{ category, name }: Pick<Thing, 'category' | 'name'>
): number {
	if (upMm > PILE_SLENDER * narrowMm) return 1;
	const most = category !== BRITTLE ? Infinity : stacksByTwo(name) ? 2 : 1;
	return Math.max(1, Math.min(most, Math.floor(rimMm / Math.max(1, upMm))));
}

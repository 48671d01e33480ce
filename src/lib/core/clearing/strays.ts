import strays from '../../../../data/strays.json';
import { categoryOf, lotsIn, type Home } from '../model';

/** Where things of a kind of place hide when they are not in it. */
export interface Stray {
	readonly key: string;
	readonly words: string;
	/** Areas, categories and kinds of nook that it concerns. */
	readonly of: readonly string[];
}
export const STRAYS: readonly Stray[] = strays;

/**
 * Lists where to look for strays before a place is cleared, by what stands in it and by what it is; the concern that
 * most of its stock shares comes first, the order of the table decides between equals.
 */
export function straysFor(home: Home, nookId: string): Stray[] {
	const nook = home.nooks[nookId];
	const weights = new Map<string, number>();
	const add = (key: string, by: number) => weights.set(key, (weights.get(key) ?? 0) + by);
	for (const lot of lotsIn(home, nookId)) {
		const thing = home.things[lot.thingId];
		if (!thing) continue;
		add(thing.category, 1);
		add(categoryOf(thing.category).area, 1);
	}
	if (nook) add(nook.kind, 2);
	const weightOf = (stray: Stray) => Math.max(0, ...stray.of.map((key) => weights.get(key) ?? 0));
	return STRAYS.map((stray) => ({ stray, weight: weightOf(stray) }))
		.filter(({ stray, weight }) => weight > 0 || stray.of.includes('any'))
		.sort((a, b) => b.weight - a.weight)
		.map(({ stray }) => stray);
}

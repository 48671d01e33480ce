import type { Arrangement, FitResult } from './fit';
import { lacksOf } from './told-apart';

/** A place for which something is to be bought, with what that brings. */
export interface BuyFirst {
	readonly nookId: string;
	readonly costMinor: number;
	/** What it spares of litres left over, things that fall over and things out of sight, as money; about in minor units. */
	readonly gain: number;
	readonly toBuy: Arrangement['toBuy'];
	/** What all up to here costs together. */
	readonly sumMinor: number;
}

/**
 * Says for which places to buy first when there is less to spend: by what a sum brings there against the best way that
 * costs less, for each sum spent. Places where nothing cheaper was found come last. Ties go to the cheaper, then by id.
 */
export function buyFirst(results: readonly FitResult[]): BuyFirst[] {
	const wanted = results.flatMap((result) => {
		if (!('arrangements' in result)) return [];
		const [chosen, ...others] = result.arrangements;
		if (!chosen || chosen.costMinor <= 0) return [];
		const cheaper = others.filter(({ costMinor }) => costMinor < chosen.costMinor);
		const [best] = cheaper.sort((a, b) => lacksOf(a) - lacksOf(b));
		const spentMore = chosen.costMinor - (best?.costMinor ?? 0);
		const gain = best ? Math.max(0, lacksOf(best) - lacksOf(chosen)) : 0;
		const { nookId } = result;
		return [{ nookId, costMinor: chosen.costMinor, toBuy: chosen.toBuy, gain, spentMore }];
	});
	wanted.sort(
		(a, b) =>
			b.gain / b.spentMore - a.gain / a.spentMore ||
			a.costMinor - b.costMinor ||
			(a.nookId < b.nookId ? -1 : 1)
	);
	let sumMinor = 0;
	return wanted.map(({ nookId, costMinor, gain, toBuy }) => {
		sumMinor += costMinor;
		return { nookId, costMinor, gain, toBuy, sumMinor };
	});
}

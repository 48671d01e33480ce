/** One way to fit a place: what it lacks beside a perfect one, in the unit of the prices, and what it uses. */
export interface Way {
	readonly cost: number;
	/** Kind and count. */
	readonly uses: readonly (readonly [kind: number, count: number])[];
}

/** Places that share what the house has of each kind; what is used beyond that is bought. */
export interface PurchaseProblem {
	/** Ways to choose from, at least one for each place. */
	readonly places: readonly (readonly Way[])[];
	readonly owned: readonly number[];
	readonly price: readonly number[];
	/** Only whole packs of so many are sold, kind by kind; one by one, unless said. */
	readonly pack?: readonly number[];
	/** What one more kind on the list costs in calm. */
	readonly perKind: number;
	/** All that is bought may cost so much; null: no ceiling. */
	readonly budget: number | null;
}

export interface PurchaseResult {
	/** `proven`: no choice is better. `open`: the search ended with a gap. `too-dear`: no choice found keeps the budget. */
	readonly status: 'proven' | 'open' | 'too-dear';
	/** Way of each place; empty when nothing keeps the budget. */
	readonly chosen: readonly number[];
	/** Bought of each kind. */
	readonly buy: readonly number[];
	readonly spent: number;
	/** Lacks, prices and kinds together. */
	readonly objective: number;
	/** No choice within the budget is below this. */
	readonly bound: number;
}

/** What a choice comes to; over the budget it is worth nothing. `buy`, where it is given, is written over. */
export function purchaseOf(
	{ places, owned, price, pack, perKind, budget }: PurchaseProblem,
	chosen: readonly number[],
	buy = new Array<number>(owned.length)
): Pick<PurchaseResult, 'buy' | 'spent' | 'objective'> & { readonly isWithin: boolean } {
	buy.fill(0);
	let objective = 0;
	for (let i = 0; i < places.length; i++) {
		const { cost, uses } = places[i]![chosen[i]!]!;
		objective += cost;
		for (const [kind, count] of uses) buy[kind]! += count;
	}
	let [spent, kinds] = [0, 0];
	for (let kind = 0; kind < buy.length; kind++) {
		const each = pack?.[kind] ?? 1;
		const count = Math.ceil(Math.max(0, buy[kind]! - owned[kind]!) / each) * each;
		buy[kind] = count;
		if (!count) continue;
		spent += count * price[kind]!;
		kinds++;
	}
	objective += spent + perKind * kinds;
	return { buy, spent, objective, isWithin: budget === null || spent <= budget };
}

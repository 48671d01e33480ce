/** One way to serve a want. */
export interface ChoiceWay {
	/** What it lacks, whatever is paid. */
	readonly cost: number;
	/** Floor that it takes. */
	readonly floor: number;
	readonly mass: number;
	/** Kind and count of what it uses. */
	readonly uses: readonly (readonly [kind: number, count: number])[];
}

/** Wants that share a floor, what it bears, and what there is of each kind; what is used beyond that is paid for. */
export interface ChoiceProblem {
	/** Ways to choose from, at least one for each want. */
	readonly wants: readonly (readonly ChoiceWay[])[];
	readonly owned: readonly number[];
	readonly price: readonly number[];
	/** What each kind that is used costs in calm. */
	readonly perKind: number;
	readonly floor: number;
	readonly load: number;
}

/** Whether what was chosen so far, for the first wants or for all, can stand together. */
export type Stands = 'stands' | 'cannot' | 'open';

export interface ChoiceResult {
	/**
	 * `proven`: nothing that stands costs less. `open`: the search ended with a gap. `none`: nothing stands, proven.
	 */
	readonly status: 'proven' | 'open' | 'none';
	/** Way of each want; null: nothing that stands was found. */
	readonly chosen: readonly number[] | null;
	/** Lacks, prices and kinds together, and what it costs as it stands; ∞ without a choice. */
	readonly objective: number;
	/** Nothing that stands is below this; ∞ where nothing does. */
	readonly bound: number;
}

/** What ways of some wants come to together: lacks, prices beyond what there is, and kinds. */
export function choiceCost(
	{ wants, owned, price, perKind }: ChoiceProblem,
	chosen: readonly number[]
): number {
	const used = new Map<number, number>();
	let cost = 0;
	chosen.forEach((at, want) => {
		const way = wants[want]![at]!;
		cost += way.cost;
		for (const [kind, count] of way.uses) used.set(kind, (used.get(kind) ?? 0) + count);
	});
	for (const [kind, count] of used)
		cost += perKind + Math.max(0, count - owned[kind]!) * price[kind]!;
	return cost;
}

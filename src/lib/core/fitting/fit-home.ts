import type { ContainerKind, Home } from '../model';
import { solvePurchase, type Way } from '../solvers/purchase';
import type { Arrangement, FitResult } from './fit';
import { countsOf, ownedLeft } from './owned';
import { runRounds, type FitRounds, type FitTask } from './rounds';
import { isAlike, lacksOf, priced, toldApart } from './told-apart';

/** How all places asked for are fitted together. */
export interface HomeFit {
	/** In the order asked for; the first arrangement of each is the one chosen for the whole, at its cost there. */
	readonly results: readonly FitResult[];
	readonly purchase: {
		readonly status: 'proven' | 'open' | 'too-dear';
		readonly lines: readonly { readonly kindId: string; readonly count: number }[];
		readonly costMinor: number;
		/** What the choice lacks and costs, and what no choice can go below, in minor units. */
		readonly objective: number;
		readonly bound: number;
	};
}

/** What a container more than it needs, or a kind more, costs in calm; about in minor units. */
const PER_KIND = 60;
/**
 * The work of fitting several places together: each with all that the house has, and where more is wanted than there is, also
 * without it; then one way for each is chosen so that what is lacking and what is bought for the whole home is least, within
 * the budget. Results that are not given are left out.
 * @param look Of the containers, instead of what the room of each place has.
 */
export function* fitRounds(
	home: Home,
	nookIds: readonly string[],
	look?: string
): FitRounds<HomeFit> {
	const ids = [...new Set(nookIds)];
	const owned = ownedLeft(home, ...ids);
	const kinds = Object.values(home.containerKinds);
	const results = yield ids.map((nookId) => ({ nookId, options: { owned, look } }));
	const first = new Map(results.map((result, i) => [ids[i]!, result]));
	const wanted = new Map<string, number>();
	for (const result of first.values())
		if ('arrangements' in result)
			for (const [kindId, count] of countsOf(result.arrangements[0]!.placements))
				wanted.set(kindId, (wanted.get(kindId) ?? 0) + count);
	const contested = new Set(
		[...wanted].flatMap(([id, count]) => (owned.get(id)! > 0 && count > owned.get(id)! ? [id] : []))
	);
	const none = new Map([...owned].filter(([id]) => !contested.has(id)));
	const uncontested = kinds.filter(({ id, owned }) => !contested.has(id) || owned === 0);
	const ways = new Map<string, Arrangement[]>();
	const further: FitTask[] = [];
	for (const [nookId, result] of first) {
		if (!('arrangements' in result)) continue;
		ways.set(nookId, [...result.arrangements]);
		const isContested = result.arrangements.some((each) =>
			[...countsOf(each.placements).keys()].some((id) => contested.has(id))
		);
		// Within a budget every place has a way that buys nothing, and takes nothing that another may want.
		const asksMoney =
			home.settings.budgetMinor !== null &&
			result.arrangements.every(({ placements }) => placements.length > 0);
		if (isContested || asksMoney)
			for (const others of [uncontested, []])
				further.push({ nookId, options: { owned: none, kinds: others, search: 'short', look } });
	}
	const others = further.length ? yield further : [];
	for (const [i, other] of others.entries())
		if ('arrangements' in other) ways.get(further[i]!.nookId)!.push(...other.arrangements);
	return choose(home, nookIds, first, ways, owned, kinds);
}

/**
 * Fits several places together, one after another. `onProgress` hears of each place and ends the work with a true answer;
 * places not looked at by then are left out.
 */
export function fitTogether(
	home: Home,
	nookIds: readonly string[],
	onProgress?: (done: number, of: number) => boolean | void
): HomeFit {
	const of = new Set(nookIds).size;
	return runRounds(home, fitRounds(home, nookIds), (done) => onProgress?.(done, of));
}

function choose(
	home: Home,
	nookIds: readonly string[],
	first: ReadonlyMap<string, FitResult>,
	ways: ReadonlyMap<string, readonly Arrangement[]>,
	owned: ReadonlyMap<string, number>,
	kinds: readonly ContainerKind[]
): HomeFit {
	const index = new Map(kinds.map(({ id }, i) => [id as string, i]));
	const places = [...ways.keys()];
	const wayOf = (arrangement: Arrangement): Way => ({
		cost: lacksOf(arrangement),
		uses: [...countsOf(arrangement.placements)].map(([id, count]) => [index.get(id)!, count])
	});
	const found = solvePurchase({
		places: places.map((id) => ways.get(id)!.map(wayOf)),
		owned: kinds.map(({ id }) => owned.get(id) ?? 0),
		price: kinds.map(({ priceMinor }) => priceMinor),
		pack: kinds.map(({ soldBy }) => soldBy),
		perKind: PER_KIND,
		budget: home.settings.budgetMinor
	});
	const chosen = new Map<string, FitResult>();
	if (found.status !== 'too-dear') {
		const bests = places.map((nookId, i) => ways.get(nookId)![found.chosen[i]!]!);
		const left = new Map(owned);
		const taken = bests.map((best) => {
			const own = priced(best, left, home.containerKinds);
			// What is over of a pack is there for the next place.
			const bought = new Map(own.toBuy.map(({ kindId, count }) => [kindId, count]));
			for (const [kindId, count] of countsOf(best.placements))
				left.set(kindId, (left.get(kindId) ?? 0) + (bought.get(kindId) ?? 0) - count);
			return own;
		});
		places.forEach((nookId, i) => {
			const result = first.get(nookId)!;
			if (!('arrangements' in result)) return;
			const best = taken[i]!;
			// Another arrangement may have what this one has of the house, and what no place takes.
			const free = new Map(left);
			const bought = new Map(best.toBuy.map(({ kindId, count }) => [kindId, count]));
			for (const [kindId, count] of countsOf(best.placements))
				free.set(kindId, (free.get(kindId) ?? 0) + count - (bought.get(kindId) ?? 0));
			const others = result.arrangements
				.filter((each) => each !== bests[i] && !isAlike(each, best))
				.map((each) => priced(each, free, home.containerKinds));
			chosen.set(nookId, {
				...result,
				status: best.leftOver.length ? 'partly-fitted' : 'fitted',
				arrangements: toldApart([best, ...others], best)
			});
		});
	}
	const { status, spent, objective, bound } = found;
	return {
		results: nookIds.flatMap((id) => chosen.get(id) ?? first.get(id) ?? []),
		purchase: {
			status,
			lines: found.buy.flatMap((count, i) => (count ? [{ kindId: kinds[i]!.id, count }] : [])),
			costMinor: spent,
			objective,
			bound
		}
	};
}

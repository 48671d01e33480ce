import { volumeOf } from '../standing';
import { wholePacks, type ContainerKind } from '../model';
import { countsOf } from './owned';
import type { ArrangementName } from './styles';

/** What is looked at of an arrangement, to price it and to tell it from others. */
export interface Tellable {
	readonly name: ArrangementName;
	readonly placements: readonly { readonly kindId: string }[];
	readonly leftOver: readonly { readonly volumeMl: number }[];
	readonly toBuy: readonly { readonly kindId: string; readonly count: number }[];
	readonly costMinor: number;
	readonly discomfort: number;
	/** Floor left free, 0 to 1. */
	readonly freeShare: number;
}

/** Gives an arrangement what of it has to be bought, where the house still has so many of each kind, in whole packs. */
export function priced<Each extends Tellable>(
	arrangement: Each,
	left: ReadonlyMap<string, number>,
	kinds: Readonly<Record<string, Pick<ContainerKind, 'priceMinor' | 'soldBy'>>>
): Each {
	const toBuy = [...countsOf(arrangement.placements)]
		.map(([kindId, count]) => ({
			kindId,
			count: wholePacks(count - (left.get(kindId) ?? 0), kinds[kindId]!.soldBy)
		}))
		.filter(({ count }) => count > 0);
	const costMinor = toBuy.reduce(
		(sum, { kindId, count }) => sum + kinds[kindId]!.priceMinor * count,
		0
	);
	return { ...arrangement, toBuy, costMinor };
}

/** Whether two arrangements have the same containers in the same places. */
export const isAlike = (one: Tellable, other: Tellable): boolean =>
	JSON.stringify(one.placements) === JSON.stringify(other.placements);

/** A litre that is left over is worse than any price. */
const PER_LITRE_OVER = 5000;
/** What an arrangement lacks beside a perfect one, litres left over included, as money; about in minor units. */
export const lacksOf = ({
	discomfort,
	leftOver
}: Pick<Tellable, 'discomfort' | 'leftOver'>): number =>
	discomfort + (volumeOf(leftOver) / 1000) * PER_LITRE_OVER;

/** What counts against an arrangement, less is better. */
const against = (one: Tellable) => [one.costMinor, lacksOf(one), 1 - one.freeShare] as const;

/** Whether one is as good as another in everything, and better in something. */
function outdoes(one: Tellable, other: Tellable): boolean {
	const [ours, theirs] = [against(one), against(other)];
	return ours.every((each, i) => each <= theirs[i]!) && ours.some((each, i) => each < theirs[i]!);
}

/** The one with the least of something; ties go to the first. */
const leastOf = <Each>(among: readonly Each[], of: (one: Each) => number): Each | undefined =>
	among.reduce<Each | undefined>(
		(best, one) => (best && of(best) <= of(one) ? best : one),
		undefined
	);

/**
 * Names arrangements by what they are, not by what was looked for: _house first_ has the least to pay, _calm_ lacks less
 * than that one, _roomy_ leaves more floor free than that one. What another outdoes in everything is left out. With one
 * `chosen` for a whole home that one comes first, and what would outdo it in its place alone is left out instead.
 * @param arrangements None like another, all priced alike, `chosen` among them. Ties by order.
 */
export function toldApart<Each extends Tellable>(
	arrangements: readonly Each[],
	chosen?: Each
): Each[] {
	const asked = chosen
		? [chosen, ...arrangements.filter((one) => one !== chosen && !outdoes(one, chosen))]
		: arrangements;
	const kept = asked.filter((one) => !asked.some((other) => outdoes(other, one)));
	const cheapest = leastOf(kept, ({ costMinor }) => costMinor);
	if (!cheapest) return [];
	const names = new Map<Each, ArrangementName>([[cheapest, 'house-first']]);
	/** Gives a name to the best of those without one, to the chosen one before the others. */
	const give = (name: ArrangementName, of: (one: Each) => number) => {
		const better = kept.filter((one) => !names.has(one) && of(one) < of(cheapest));
		const best = chosen && better.includes(chosen) ? chosen : leastOf(better, of);
		if (best) names.set(best, name);
	};
	give('calm', lacksOf);
	give('roomy', ({ freeShare }) => -freeShare);
	return kept.flatMap((one) => {
		const name = names.get(one);
		return name ? [{ ...one, name }] : [];
	});
}

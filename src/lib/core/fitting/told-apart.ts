import { volumeOf } from '../standing';
import type { ContainerKind } from '../model';
import type { Arrangement } from './fit';
import { countsOf } from './owned';

/** Gives an arrangement what of it has to be bought, where the house still has so many of each kind. */
export function priced<Kinds extends Readonly<Record<string, Pick<ContainerKind, 'priceMinor'>>>>(
	arrangement: Arrangement,
	left: ReadonlyMap<string, number>,
	kinds: Kinds
): Arrangement {
	const toBuy = [...countsOf(arrangement.placements)]
		.map(([kindId, count]) => ({ kindId, count: count - (left.get(kindId) ?? 0) }))
		.filter(({ count }) => count > 0);
	const costMinor = toBuy.reduce(
		(sum, { kindId, count }) => sum + kinds[kindId]!.priceMinor * count,
		0
	);
	return { ...arrangement, toBuy, costMinor };
}

/** Whether two arrangements have the same containers in the same places. */
export const isAlike = (one: Arrangement, other: Arrangement): boolean =>
	JSON.stringify(one.placements) === JSON.stringify(other.placements);

/** What counts against an arrangement, less is better. */
const against = ({ leftOver, costMinor, discomfort, freeShare }: Arrangement) =>
	[volumeOf(leftOver), costMinor, discomfort, 1 - freeShare] as const;

/** Whether one is as good as another in everything, and better in something. */
function outdoes(one: Arrangement, other: Arrangement): boolean {
	const [ours, theirs] = [against(one), against(other)];
	return ours.every((each, i) => each <= theirs[i]!) && ours.some((each, i) => each < theirs[i]!);
}

/**
 * Names arrangements by what they are, not by what was looked for: _house first_ is the one with the least to pay, _calm_
 * lacks less than that one, _roomy_ leaves more floor free. Those that another outdoes in everything are left out, but for
 * the first, which stays first; ties by order.
 * @param arrangements Best first, none like another, all priced alike.
 */
export function toldApart(arrangements: readonly Arrangement[]): Arrangement[] {
	const kept = arrangements.filter(
		(one, i) => i === 0 || !arrangements.some((other) => outdoes(other, one))
	);
	const least = (of: (one: Arrangement) => number, among: readonly Arrangement[]) =>
		among.reduce<Arrangement | undefined>(
			(best, one) => (best && of(best) <= of(one) ? best : one),
			undefined
		);
	const cheapest = least(({ costMinor }) => costMinor, kept);
	if (!cheapest) return [];
	const others = kept.filter((one) => one !== cheapest);
	const [first] = kept;
	/** What is chosen already has a name before the others. */
	const firstOr = (among: readonly Arrangement[], of: (one: Arrangement) => number) =>
		first && among.includes(first) ? first : least(of, among);
	const calm = firstOr(
		others.filter(({ discomfort }) => discomfort < cheapest.discomfort),
		({ discomfort }) => discomfort
	);
	const roomy = firstOr(
		others.filter((one) => one !== calm),
		({ freeShare }) => -freeShare
	);
	const names = new Map<Arrangement, Arrangement['name']>([[cheapest, 'house-first']]);
	if (calm) names.set(calm, 'calm');
	if (roomy) names.set(roomy, 'roomy');
	return kept.flatMap((one) => {
		const name = names.get(one);
		return name ? [{ ...one, name }] : [];
	});
}

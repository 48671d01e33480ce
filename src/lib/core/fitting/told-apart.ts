import { volumeOf } from '../standing';
import type { ContainerKind } from '../model';
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

/** Gives an arrangement what of it has to be bought, where the house still has so many of each kind. */
export function priced<Each extends Tellable>(
	arrangement: Each,
	left: ReadonlyMap<string, number>,
	kinds: Readonly<Record<string, Pick<ContainerKind, 'priceMinor'>>>
): Each {
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
export const isAlike = (one: Tellable, other: Tellable): boolean =>
	JSON.stringify(one.placements) === JSON.stringify(other.placements);

/** What counts against an arrangement, less is better. */
const against = ({ leftOver, costMinor, discomfort, freeShare }: Tellable) =>
	[volumeOf(leftOver), costMinor, discomfort, 1 - freeShare] as const;

/** Whether one is as good as another in everything, and better in something. */
function outdoes(one: Tellable, other: Tellable): boolean {
	const [ours, theirs] = [against(one), against(other)];
	return ours.every((each, i) => each <= theirs[i]!) && ours.some((each, i) => each < theirs[i]!);
}

/**
 * Names arrangements by what they are, not by what was looked for: _house first_ is the one with the least to pay, _calm_
 * lacks less than that one, _roomy_ leaves more floor free. Those that another outdoes in everything are left out, but for
 * the first, which stays first; ties by order.
 * @param arrangements Best first, none like another, all priced alike.
 */
export function toldApart<Each extends Tellable>(arrangements: readonly Each[]): Each[] {
	const kept = arrangements.filter(
		(one, i) => i === 0 || !arrangements.some((other) => outdoes(other, one))
	);
	const least = (of: (one: Each) => number, among: readonly Each[]) =>
		among.reduce<Each | undefined>(
			(best, one) => (best && of(best) <= of(one) ? best : one),
			undefined
		);
	const cheapest = least(({ costMinor }) => costMinor, kept);
	if (!cheapest) return [];
	const others = kept.filter((one) => one !== cheapest);
	const [first] = kept;
	/** What is chosen already has a name before the others. */
	const firstOr = (among: readonly Each[], of: (one: Each) => number) =>
		first && among.includes(first) ? first : least(of, among);
	const calm = firstOr(
		others.filter(({ discomfort }) => discomfort < cheapest.discomfort),
		({ discomfort }) => discomfort
	);
	const roomy = firstOr(
		others.filter((one) => one !== calm),
		({ freeShare }) => -freeShare
	);
	const names = new Map<Each, ArrangementName>([[cheapest, 'house-first']]);
	if (calm) names.set(calm, 'calm');
	if (roomy) names.set(roomy, 'roomy');
	return kept.flatMap((one) => {
		const name = names.get(one);
		return name ? [{ ...one, name }] : [];
	});
}

import type { HoldOption } from './hold-option';
import { newKinds, styleCost, type Style } from './styles';

/** Ways tried for a want before it stays as it is. */
const TRIES = 6;

/** What a search for a better mix may ask. */
export interface Upgrading<Tried> {
	/** Ways of each want of the mix. */
	readonly options: readonly (readonly HoldOption[])[];
	/** What is held against a way; less is better. */
	readonly style: Style;
	/** What one more kind of container costs in calm. */
	readonly perKind: number;
	/** Packs a mix; null: it is too heavy. */
	readonly pack: (mix: readonly HoldOption[]) => Tried | null;
	/** Whether one is no worse packed than another: nothing more left over, nothing daily moved behind. */
	readonly isAsGood: (one: Tried, other: Tried) => boolean;
	readonly floorMm2: number;
}

/**
 * Gives the wants of a mix better holders as long as all that went in still goes in, the one that gains most first: a shelf
 * that is too full for a bin of everything still takes a bin for what falls over most.
 * @returns the mix that was left with, and as it is packed; the same mix where nothing better goes in.
 */
export function upgraded<Tried>(
	from: readonly HoldOption[],
	packed: Tried,
	{ options, style, perKind, pack, isAsGood, floorMm2 }: Upgrading<Tried>
): { readonly mix: readonly HoldOption[]; readonly packed: Tried } {
	let best = { mix: from, packed };
	const scoreIn = (option: HoldOption, others: readonly HoldOption[]) =>
		styleCost(style, option) + newKinds(option, others) * perKind;
	const gains = from.map((now, i) => ({
		i,
		gain: styleCost(style, now) - Math.min(...options[i]!.map((option) => styleCost(style, option)))
	}));
	for (const { i } of gains.sort((a, b) => b.gain - a.gain || a.i - b.i)) {
		const others = best.mix.filter((_, j) => j !== i);
		const rest = others.reduce((sum, option) => sum + option.floorMm2, 0);
		const now = scoreIn(best.mix[i]!, others);
		const better = options[i]!.map((option) => ({ option, score: scoreIn(option, others) }))
			.filter(({ option, score }) => score < now && rest + option.floorMm2 <= floorMm2)
			.sort((a, b) => a.score - b.score);
		for (const { option } of better.slice(0, TRIES)) {
			const mix = best.mix.map((each, j) => (j === i ? option : each));
			const tried = pack(mix);
			if (!tried || !isAsGood(tried, best.packed)) continue;
			best = { mix, packed: tried };
			break;
		}
	}
	return best;
}

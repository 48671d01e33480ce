import { blocksOf } from './blocks';
import type { HoldOption } from './options';

/** Ways tried for a want before it stays as it is. */
const TRIES = 6;

/** Floor that a way takes with its play, mm². */
export const floorOf = (option: HoldOption, sideMm: number): number =>
	blocksOf(option, sideMm).reduce((sum, { w, d }) => sum + w * d, 0);

/** What a search for a better mix may ask. */
export interface Upgrading<Tried> {
	/** Ways of each want of the mix. */
	readonly options: readonly (readonly HoldOption[])[];
	/** What is held against a way; less is better. */
	readonly style: (option: HoldOption) => number;
	/** What one more kind of container costs in calm. */
	readonly perKind: number;
	/** Packs a mix; null: it is too heavy. */
	readonly pack: (mix: readonly HoldOption[]) => Tried | null;
	/** Whether one is no worse packed than another: nothing more left over, nothing daily moved behind. */
	readonly isAsGood: (one: Tried, other: Tried) => boolean;
	readonly floorMm2: number;
	readonly sideMm: number;
}

/**
 * Gives the wants of a mix better holders as long as all that went in still goes in, the one that gains most first: a shelf
 * that is too full for a bin of everything still takes a bin for what falls over most.
 * @returns the mix that was left with, and as it is packed; the same mix where nothing better goes in.
 */
export function upgraded<Tried>(
	from: readonly HoldOption[],
	packed: Tried,
	{ options, style, perKind, pack, isAsGood, floorMm2, sideMm }: Upgrading<Tried>
): { readonly mix: readonly HoldOption[]; readonly packed: Tried } {
	let best = { mix: from, packed };
	const areas = new Map(options.flat().map((option) => [option, floorOf(option, sideMm)]));
	const scoreIn = (option: HoldOption, others: readonly HoldOption[]) =>
		style(option) +
		(option.kind && !others.some(({ kind }) => kind?.id === option.kind!.id) ? perKind : 0);
	const gains = from.map((now, i) => ({
		i,
		gain: style(now) - Math.min(...options[i]!.map(style))
	}));
	for (const { i } of gains.sort((a, b) => b.gain - a.gain || a.i - b.i)) {
		const others = best.mix.filter((_, j) => j !== i);
		const rest = others.reduce((sum, option) => sum + areas.get(option)!, 0);
		const now = scoreIn(best.mix[i]!, others);
		const better = options[i]!.map((option) => ({ option, score: scoreIn(option, others) }))
			.filter(({ option, score }) => score < now && rest + areas.get(option)! <= floorMm2)
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

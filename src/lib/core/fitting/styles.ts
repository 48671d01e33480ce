import { pilesOf, STAND_HIGH_MM } from './blocks';
import { outerOf, type HoldOption } from './options';

export type ArrangementName = 'house-first' | 'calm' | 'roomy';

/** What each style of arrangement holds against a way to hold a group; less is better, about in minor units. */
export const STYLES: Readonly<Record<ArrangementName, (option: HoldOption) => number>> = {
	// Money first: what the house has, then what is cheap; standing loose is a small cost.
	'house-first': (option) => option.costMinor + loosePenalty(option) * 200 + option.count * 5,
	// Few containers, little loose.
	calm: (option) => option.costMinor * 0.3 + loosePenalty(option) * 1500 + option.count * 40,
	// Small footprint.
	roomy: (option) => option.costMinor * 0.3 + floorOf(option) / 100 + loosePenalty(option) * 500
};

const loosePenalty = (option: HoldOption): number =>
	option.want.roles.length === 0
		? 0
		: option.loose.reduce((sum, good) => sum + good.volumeMl, 0) /
			Math.max(
				1,
				option.want.goods.reduce((sum, good) => sum + good.volumeMl, 0)
			);

function floorOf(option: HoldOption): number {
	const outer = option.kind ? outerOf(option.kind) : { widthMm: 0, depthMm: 0 };
	const piles = Math.ceil(option.count / option.layers);
	return (
		piles * outer.widthMm * outer.depthMm +
		option.loose.reduce((sum, good) => sum + pilesOf(good, STAND_HIGH_MM).areaMm2, 0)
	);
}

const WAYS_PER_GROUP = 10;
const MIXES = 40;

/** Effort of one more kind of container in a nook: the fewest different kinds look calm. */
const NEW_KIND = 60;

/** Mixes of one option a group, the cheapest by a style first; a beam over the groups. */
export function mixesOf(
	options: readonly (readonly HoldOption[])[],
	style: (option: HoldOption) => number,
	loadG: number
): HoldOption[][] {
	let mixes: { mix: HoldOption[]; score: number; massG: number }[] = [
		{ mix: [], score: 0, massG: 0 }
	];
	for (const ways of options) {
		const ranked = [...ways].sort((a, b) => style(a) - style(b)).slice(0, WAYS_PER_GROUP);
		mixes = mixes
			.flatMap(({ mix, score, massG }) =>
				ranked.map((option) => {
					const newKind = option.kind && !mix.some((other) => other.kind?.id === option.kind!.id);
					return {
						mix: [...mix, option],
						score: score + style(option) + (newKind ? NEW_KIND : 0),
						massG: massG + option.massG
					};
				})
			)
			.sort((a, b) => a.score - b.score)
			.slice(0, MIXES);
	}
	return mixes.filter(({ massG }) => massG <= loadG).map(({ mix }) => mix);
}

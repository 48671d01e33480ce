import { categoryOf } from '../model';
import { volumeOf, type Good } from '../standing';
import { outerOf, type HoldOption } from './options';
import { isRaw } from './wants';

export type ArrangementName = 'house-first' | 'calm' | 'roomy';

/** What each style of arrangement holds against a way to hold a want; less is better, about in minor units. */
export const STYLES: Readonly<Record<ArrangementName, (option: HoldOption) => number>> = {
	// Money first: what the house has, then what is worth its price.
	'house-first': (option) =>
		option.costMinor +
		looseCost(option) +
		option.containers.length * 5 +
		rankOf(option) * 20 +
		option.hidden * 50 +
		airOf(option) * 150,
	// Few containers, little loose, each in the holder made for it.
	calm: (option) =>
		option.costMinor * 0.3 +
		looseCost(option) * 3 +
		option.containers.length * 40 +
		rankOf(option) * 120 +
		option.hidden * 150 +
		airOf(option) * 400,
	// Small footprint.
	roomy: (option) =>
		option.costMinor * 0.3 +
		floorOf(option) / 100 +
		looseCost(option) * 2 +
		rankOf(option) * 40 +
		option.hidden * 40
};

/** What a way to hold a want lacks, whatever it costs. */
export const discomfortOf = (option: HoldOption): number =>
	looseCost(option) * 1.5 +
	option.containers.length * 10 +
	rankOf(option) * 40 +
	option.hidden * 60 +
	airOf(option) * 200;

/** Kinds of thing that a shelf holds as well as any bin: nothing falls over, and nothing is small. */
const STANDS_WELL_ML = 900;
/**
 * What one gives for a holder of a thing that would stand free, minor units: for the thing, and for each piece more of it,
 * which stands in a row behind the first.
 */
const WORTH_HOLDING = { small: { thing: 90, more: 20 }, large: { thing: 40, more: 10 } } as const;
/** Ware from this size on stands on a shelf, or in a pile, better than in any bin. */
const STANDS_ML = 400;
const STANDS = /^kitchen\.(?:dishes|glasses|serving|pots)$/;
const standsWell = ({ thing: { category }, volumeMl, pieces }: Good): boolean =>
	STANDS.test(category) && volumeMl / pieces >= STANDS_ML;
/** From so many pieces of one thing on, one more changes nothing. */
const MANY = 10;
/** Loose in a drawer it is a jumble after the first week. */
const JUMBLE = 3;
/** What the household chose is not left out to save money. */
const CHOSEN = 10;
/** Raw meat or fish without a tray drips on what is below. */
const DRIPS = 2400;

/** What it is worth that what stands free did not: small things fall into a heap; minor units. */
function looseCost({ loose, want }: HoldOption): number {
	if (want.roles.length === 0) return 0;
	const raw = loose.filter(({ thing }) => isRaw(thing));
	if (raw.length) return (volumeOf(raw) * DRIPS) / Math.max(1, volumeOf(want.goods));
	const jumble = (want.roles.includes('divider') ? JUMBLE : 1) * (want.isChosen ? CHOSEN : 1);
	return loose.reduce((sum, good) => {
		if (!want.isChosen && standsWell(good)) return sum;
		const { pieces, volumeMl } = good;
		const worth = WORTH_HOLDING[volumeMl / pieces < STANDS_WELL_ML ? 'small' : 'large'];
		return sum + jumble * (worth.thing + worth.more * (Math.min(pieces, MANY) - 1));
	}, 0);
}

/** How far down the list of what suits the goods this kind of container stands, 0 for the first. */
function rankOf({ kind, want }: HoldOption): number {
	if (!kind) return 0;
	const ranks = want.goods.map(({ thing }) => {
		const at = categoryOf(thing.category).holders.indexOf(kind.role);
		return at < 0 ? 3 : at;
	});
	return Math.min(...ranks);
}

/** Share of the containers that stays empty: a large box for three small things. */
function airOf({ kind, containers }: HoldOption): number {
	if (!kind || !containers.length || kind.role === 'riser' || kind.role === 'turntable') return 0;
	const { widthMm, depthMm, heightMm } = kind.inner;
	const roomMl = (widthMm * depthMm * heightMm * containers.length) / 1000;
	const heldMl = containers.reduce((sum, { holds }) => sum + volumeOf(holds), 0);
	return Math.max(0, 1 - heldMl / roomMl);
}

function floorOf(option: HoldOption): number {
	const outer = option.kind ? outerOf(option.kind) : { widthMm: 0, depthMm: 0 };
	const piles = Math.ceil(option.containers.length / option.layers);
	return (
		piles * outer.widthMm * outer.depthMm +
		option.loose.reduce((sum, { thing, pieces }) => {
			const { widthMm, depthMm } = thing.piece;
			return sum + pieces * widthMm * depthMm;
		}, 0)
	);
}

const WAYS_PER_WANT = 10;
const MIXES = 40;

/** Effort of one more kind of container in a nook: the fewest different kinds look calm. */
export const NEW_KIND = 60;

/** Everything without a container: in rows that things share, and in rows of one thing each. */
export function freeMixes(options: readonly (readonly HoldOption[])[]): HoldOption[][] {
	const free = options.map((ways) => ways.filter(({ kind }) => !kind));
	return [free.map((ways) => ways[0]!), free.map((ways) => ways.at(-1)!)];
}

/** Mixes of one option a want that a nook bears, the cheapest by a style first; a beam over the wants. */
export function mixesOf(
	options: readonly (readonly HoldOption[])[],
	style: (option: HoldOption) => number,
	loadG: number
): HoldOption[][] {
	/** What all wants from one on weigh at least. */
	const leastFrom = options.map((_, i) =>
		options.slice(i).reduce((sum, ways) => sum + Math.min(...ways.map(({ massG }) => massG)), 0)
	);
	let mixes: { mix: HoldOption[]; score: number; massG: number }[] = [
		{ mix: [], score: 0, massG: 0 }
	];
	for (const [i, ways] of options.entries()) {
		const scored = ways
			.map((option) => ({ option, cost: style(option) }))
			.sort((a, b) => a.cost - b.cost);
		const ranked = scored.slice(0, WAYS_PER_WANT);
		// Without any container it weighs least, and takes what room there is.
		const free = scored.find(({ option }) => !option.kind);
		if (free && !ranked.includes(free)) ranked.push(free);
		mixes = mixes
			.flatMap(({ mix, score, massG }) =>
				ranked.map(({ option, cost }) => {
					const newKind = option.kind && !mix.some((other) => other.kind?.id === option.kind!.id);
					return {
						mix: [...mix, option],
						score: score + cost + (newKind ? NEW_KIND : 0),
						massG: massG + option.massG
					};
				})
			)
			// What is too heavy with the lightest of the rest leaves its place to a lighter one.
			.filter(({ massG }) => massG + (leastFrom[i + 1] ?? 0) <= loadG)
			.sort((a, b) => a.score - b.score)
			.slice(0, MIXES);
	}
	return mixes.map(({ mix }) => mix);
}

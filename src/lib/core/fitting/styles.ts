import { categoryOf } from '../model';
import { volumeOf, type Good } from '../standing';
import { containersOf, type Holder, type HoldOption } from './hold-option';
import { isRaw } from './wants';

export type ArrangementName = 'house-first' | 'calm' | 'roomy';

/** What a style of arrangement holds against a way to hold a want; less is better, about in minor units. */
export interface Style {
	/** What a minor unit to pay counts. */
	readonly money: number;
	/** What a minor unit of disorder counts: things hidden, groups apart. */
	readonly disorder: number;
	/** What a way lacks by this style, whatever it costs. */
	readonly lacks: (option: HoldOption) => number;
}

export const STYLES: Readonly<Record<ArrangementName, Style>> = {
	// Money first: what the house has, then what is worth its price.
	'house-first': {
		money: 1,
		disorder: 1,
		lacks: (option) =>
			looseCost(option) +
			askedOf(option) +
			containersOf(option).length * 5 +
			rankOf(option) * 20 +
			option.hidden * 50 +
			option.sliding * 40 +
			option.parted * 60 +
			airOf(option) * 150
	},
	// Few containers, little loose, each in the holder made for it.
	calm: {
		money: 0.3,
		disorder: 3,
		lacks: (option) =>
			looseCost(option) * 3 +
			askedOf(option) * 3 +
			containersOf(option).length * 40 +
			rankOf(option) * 120 +
			option.hidden * 150 +
			option.sliding * 60 +
			option.parted * 120 +
			airOf(option) * 400
	},
	// Small footprint.
	roomy: {
		money: 0.3,
		disorder: 1,
		lacks: (option) =>
			option.floorMm2 / 100 +
			looseCost(option) * 2 +
			askedOf(option) * 2 +
			rankOf(option) * 40 +
			option.hidden * 40 +
			option.parted * 60
	}
};

/** What a style holds against a way as if it were the only one in its place. */
export const styleCost = ({ money, lacks }: Style, option: HoldOption): number =>
	option.costMinor * money + lacks(option);

/** What a way to hold a want lacks, whatever it costs. */
export const discomfortOf = (option: HoldOption): number =>
	looseCost(option) * 1.5 +
	askedOf(option) * 1.5 +
	containersOf(option).length * 10 +
	rankOf(option) * 40 +
	option.hidden * 60 +
	option.sliding * 25 +
	option.parted * 60 +
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

/** A thing without the jar it was asked into, and jars of one kind more than one; minor units. */
const WITHOUT_JAR = 3000;
const JAR_KIND_MORE = 150;
/** What it is worth that what was asked for is not so: each thing in its jar, and all jars of one kind. */
function askedOf({ want, holders }: HoldOption): number {
	if (!want.asksJars) return 0;
	const jars = holders.filter(({ kind }) => kind.role === 'jar');
	const poured = new Set(
		jars.flatMap(({ containers }) => containers.flatMap(({ holds }) => holds.map((h) => h.thing)))
	);
	const without = want.goods.filter(({ thing }) => !poured.has(thing)).length;
	return without * WITHOUT_JAR + Math.max(0, jars.length - 1) * JAR_KIND_MORE;
}

/** How far down the list of what suits the goods the worst of the kinds stands, 0 for the first. */
function rankOf({ holders, want }: HoldOption): number {
	const rankIn = (role: Holder['kind']['role']) =>
		Math.min(
			...want.goods.map(({ thing }) => {
				const at = categoryOf(thing.category).holders.indexOf(role);
				return at < 0 ? 3 : at;
			})
		);
	return Math.max(0, ...holders.map(({ kind }) => rankIn(kind.role)));
}

/** What has no walls has no air in it. */
const WITHOUT_WALLS: ReadonlySet<string> = new Set(['riser', 'turntable', 'level']);

/** Share of the containers that stays empty: a large box for three small things. */
function airOf({ holders }: HoldOption): number {
	// A compartment that is left over is there for what comes.
	const walled = holders.filter(({ kind }) => !WITHOUT_WALLS.has(kind.role) && kind.cells === 1);
	if (!walled.length) return 0;
	const roomMl = walled.reduce((sum, { kind: { inner }, containers }) => {
		const { widthMm, depthMm, heightMm } = inner;
		return sum + (widthMm * depthMm * heightMm * containers.length) / 1000;
	}, 0);
	const heldMl = walled
		.flatMap(({ containers }) => containers)
		.reduce((sum, { holds }) => sum + volumeOf(holds), 0);
	return Math.max(0, 1 - heldMl / roomMl);
}

const WAYS_PER_WANT = 10;
const MIXES = 40;

/** Effort of one more kind of container in a nook: the fewest different kinds look calm. */
export const NEW_KIND = 60;

/** How many kinds of container a way brings that others do not have. */
export const newKinds = ({ holders }: HoldOption, others: readonly HoldOption[]): number =>
	holders.filter(
		({ kind }) => !others.some((other) => other.holders.some((has) => has.kind.id === kind.id))
	).length;

/** Everything without a container: in rows that things share, and in rows of one thing each. */
export function freeMixes(options: readonly (readonly HoldOption[])[]): HoldOption[][] {
	const free = options.map((ways) => ways.filter(({ holders }) => !holders.length));
	return [free.map((ways) => ways[0]!), free.map((ways) => ways.at(-1)!)];
}

/** Mixes of one option a want that a nook bears, the cheapest by a style first; a beam over the wants. */
export function mixesOf(
	options: readonly (readonly HoldOption[])[],
	style: Style,
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
			.map((option) => ({ option, cost: styleCost(style, option) }))
			.sort((a, b) => a.cost - b.cost);
		const ranked = scored.slice(0, WAYS_PER_WANT);
		// Without any container it weighs least, and takes what room there is.
		const free = scored.find(({ option }) => !option.holders.length);
		if (free && !ranked.includes(free)) ranked.push(free);
		mixes = mixes
			.flatMap(({ mix, score, massG }) =>
				ranked.map(({ option, cost }) => {
					return {
						mix: [...mix, option],
						score: score + cost + newKinds(option, mix) * NEW_KIND,
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

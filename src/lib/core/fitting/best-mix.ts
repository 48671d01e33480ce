import { solveChoice, type ChoiceProblem, type ChoiceResult } from '../solvers/choice';
import { volumeOf } from '../standing';
import type { HoldOption } from './hold-option';
import type { Packed } from './pack-mix';
import type { Packer } from './packer';
import { freeMixes, mixesOf, NEW_KIND, type Style } from './styles';
import { upgraded } from './upgrade';

/** Mixes of a style that are looked at. */
const MIXES_TRIED = 16;
/** So many of them are packed before holders for all are given up. */
const PACKED_WHOLE = 5;

const litresLeft = (packed: Packed) => volumeOf(packed.left.map(({ good }) => good));

export interface Tried {
	readonly mix: readonly HoldOption[];
	readonly packed: Packed;
}
/** Whether a packed mix leaves less out than another, or as much with nothing daily behind: that costs less than leaving out. */
const beats = ({ packed: one }: Tried, other: Tried | null): boolean =>
	!other ||
	litresLeft(one) < litresLeft(other.packed) - 1e-9 ||
	(litresLeft(one) <= litresLeft(other.packed) &&
		other.packed.hasDailyBehind &&
		!one.hasDailyBehind);
const bestOf = (tried: readonly Tried[]) =>
	tried.reduce<Tried | null>((best, one) => (beats(one, best) ? one : best), null);

/** What is known of how good a mix is by its style, in about minor units. */
export interface Proof {
	/**
	 * `proven`: no other choice of the ways to hold the wants is better. `open`: another one may be, by `gap` at most. `none`:
	 * no choice of them has all of it in with nothing before what is used daily, proven.
	 */
	readonly status: ChoiceResult['status'];
	readonly gap: number;
}

/** The best mix of a style that is soon found: with holders for all, else for as much as goes in, else what leaves least out. */
function soonFound(style: Style, { options, room, whole, wholeFree, most }: Packer): Tried | null {
	const isBorne = (mix: readonly HoldOption[]) =>
		mix.reduce((sum, { massG }) => sum + massG, 0) <= room.loadG;
	const mixes = mixesOf(options, style, room.loadG).slice(0, MIXES_TRIED);
	const floorMm2 = room.widthMm * room.depthMm;
	const free = freeMixes(options).filter(isBorne);
	const tried = (mix: readonly HoldOption[]): Tried[] => {
		const packed = whole(mix);
		return packed ? [{ mix, packed }] : [];
	};
	const goesOn = (mix: readonly HoldOption[]) =>
		mix.reduce((sum, option) => sum + option.floorMm2, 0) <= floorMm2;
	let found: Tried | null = null;
	for (const mix of mixes.filter(goesOn).slice(0, PACKED_WHOLE)) {
		found = bestOf([...(found ? [found] : []), ...tried(mix)]);
		if (found && !found.packed.hasDailyBehind) break;
	}
	const bare = bestOf(
		free.flatMap((mix): Tried[] => {
			const packed = wholeFree(mix);
			return packed ? [{ mix, packed }] : [];
		})
	);
	if (bare && (!found || beats(bare, found))) {
		// From there on as many holders as go in.
		const held = upgraded(bare.mix, bare.packed, {
			options,
			style,
			perKind: NEW_KIND,
			pack: (mix) => (isBorne(mix) ? whole(mix) : null),
			isAsGood: (one, other) =>
				litresLeft(one) <= litresLeft(other) && (other.hasDailyBehind || !one.hasDailyBehind),
			floorMm2
		});
		found = bestOf([...(found ? [found] : []), held]);
	}
	// It does not all go in: what leaves least out.
	return (
		found ??
		bestOf([...mixes.slice(0, PACKED_WHOLE), ...free].map((mix) => ({ mix, packed: most(mix) })))
	);
}

/** What does not stand here by its size counts so much a litre, before all else. */
const LEFT_PER_ML = 100;

/** A style's choice among the ways to hold the wants, the wants with most to lose first. */
function choiceOf(style: Style, { options, room, left }: Packer) {
	const kinds = [
		...new Map(options.flat().flatMap(({ holders }) => holders.map(({ kind }) => [kind.id, kind])))
	].map(([, kind]) => kind);
	const index = new Map(kinds.map(({ id }, i) => [id, i]));
	const lacksOf = (option: HoldOption) =>
		style.lacks(option) + volumeOf(option.tooLarge.map(({ good }) => good)) * LEFT_PER_ML;
	const order = options
		.map((ways, want) => {
			const lacks = ways.map(lacksOf);
			return { ways, want, lacks, spread: Math.max(...lacks) - Math.min(...lacks) };
		})
		.sort((a, b) => b.spread - a.spread || a.want - b.want);
	const problem: ChoiceProblem = {
		wants: order.map(({ ways, lacks }) =>
			ways.map(({ holders, floorMm2, massG }, i) => ({
				cost: lacks[i]!,
				floor: floorMm2,
				mass: massG,
				uses: holders.map(
					({ kind, containers }) => [index.get(kind.id)!, containers.length] as const
				)
			}))
		),
		owned: kinds.map(({ id }) => left.get(id) ?? 0),
		price: kinds.map(({ priceMinor }) => priceMinor * style.money),
		perKind: NEW_KIND,
		floor: room.widthMm * room.depthMm,
		load: room.loadG
	};
	return { problem, order };
}

/** The best mix of a style, with what is known of how good it is: what is soon found, bettered and proven. */
export function bestMix(style: Style, packer: Packer): (Tried & { readonly proof: Proof }) | null {
	const found = soonFound(style, packer);
	if (!found) return null;
	const { problem, order } = choiceOf(style, packer);
	const isWhole =
		!found.packed.hasDailyBehind && found.packed.left.every(({ tooLarge }) => tooLarge);
	const start = isWhole ? order.map(({ ways, want }) => ways.indexOf(found.mix[want]!)) : null;
	/** In the order of the wants, as everything else is packed. */
	const inOrder = (chosen: readonly number[]) =>
		chosen
			.map((at, i) => ({ option: order[i]!.ways[at]!, want: order[i]!.want }))
			.sort((a, b) => a.want - b.want)
			.map(({ option }) => option);
	const { status, chosen, objective, bound } = solveChoice(
		problem,
		(some) => packer.stands(inOrder(some)),
		{
			...packer.search,
			start,
			together: (some) => style.disorder * (packer.soonTidy(inOrder(some))?.disorder ?? 0)
		}
	);
	const proof: Proof = { status, gap: chosen ? objective - bound : 0 };
	const mix = chosen && chosen !== start ? inOrder(chosen) : found.mix;
	for (const each of new Set([packer.gathered(mix), mix])) {
		const packed = packer.tidy(each);
		if (packed && !packed.hasDailyBehind) return { mix: each, packed, proof };
	}
	for (const each of new Set([packer.gathered(found.mix), found.mix])) {
		const packed = packer.tidy(each);
		if (packed) return { mix: each, packed, proof };
	}
	return { ...found, proof };
}

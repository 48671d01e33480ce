import type { Stands } from '../solvers/choice';
import type { Decision } from '../solvers/packing';
import type { NookRoom, Packing } from '../standing';
import { allStands, begunStands, isLarge } from './all-stand';
import { gathered } from './gather';
import type { HoldOption } from './hold-option';
import { laidOut } from './lay-out';
import { packMost, packTidy, packWhole, type Packed } from './pack-mix';

type Mix = readonly HoldOption[];

/** Partial choices gone on from, and mixes looked at whether they stand, for one style in one place. */
const SEARCH = {
	whole: { nodes: 1500, asks: 120 },
	/** For one of several ways to fit a place, of which another is mostly taken. */
	short: { nodes: 300, asks: 24 }
} as const;
export type SearchLength = keyof typeof SEARCH;

/** Packs the mixes of one place, each once, and answers what is asked of them. */
export interface Packer {
	/** Ways of each want. */
	readonly options: readonly Mix[];
	readonly room: NookRoom;
	/** Containers that the house has left, by kind. */
	readonly left: ReadonlyMap<string, number>;
	/** How long the best mix is searched. */
	readonly search: (typeof SEARCH)[SearchLength];
	/** Null: not all of it goes in. */
	readonly whole: (mix: Mix) => Packed | null;
	/** The same for what nothing holds, which is looked at longer: nothing takes less room. */
	readonly wholeFree: (mix: Mix) => Packed | null;
	/** As much as goes in. */
	readonly most: (mix: Mix) => Packed;
	/** Whether the ways of the first wants, or of all, stand with nothing before what is used daily. */
	readonly stands: (mix: Mix) => Stands;
	/** Whole, in an order that is soon found. */
	readonly soonTidy: (mix: Mix) => Packed | null;
	/** Whole, in the tidiest order found. */
	readonly tidy: (mix: Mix) => Packed | null;
	/** The same ways with each thing in one container where that goes, and with its like. */
	readonly gathered: (mix: Mix) => Mix;
}

/** Positions tried for goods that nothing holds. */
const FREE_TRIES = 1000;
/** The same for every other mix, with what is daily anywhere. */
const SOON_TRIES = 40;
/** Mixes of more blocks than can be decided are looked at so often in one place. */
const LARGE_LOOKS = 24;

/** Makes the packer of one place. */
export function packerOf(
	packing: Packing,
	options: readonly Mix[],
	left: ReadonlyMap<string, number>,
	length: SearchLength
): Packer {
	const numbers = new Map(options.flat().map((way, i) => [way, i]));
	const remembered = <Answer>(pack: (mix: Mix) => Answer) => {
		const known = new Map<string, Answer>();
		return (mix: Mix): Answer => {
			const key = mix.map((way) => numbers.get(way)).join();
			if (!known.has(key)) known.set(key, pack(mix));
			return known.get(key)!;
		};
	};
	const { seenFromAbove, room } = packing;
	const strict = remembered((mix): Decision => allStands(laidOut(mix, packing), seenFromAbove));
	const whole = remembered((mix) => packWhole(mix, packing, SOON_TRIES, strict(mix)));
	const wholeFree = remembered((mix) => packWhole(mix, packing, FREE_TRIES, strict(mix)));
	const soonTidy = remembered((mix) => {
		const packed = whole(mix) ?? wholeFree(mix);
		return packed && packTidy(mix, packing, packed, 'soon');
	});
	let large = 0;
	const gatheredWays = new Map<HoldOption, HoldOption>();
	const gatheredWay = (way: HoldOption): HoldOption => {
		let other = gatheredWays.get(way);
		if (!other) {
			other = gathered(way);
			gatheredWays.set(way, other);
			if (other !== way) numbers.set(other, numbers.size);
		}
		return other;
	};
	return {
		options,
		room,
		left,
		search: SEARCH[length],
		whole,
		wholeFree,
		most: remembered((mix) => whole(mix) ?? packMost(mix, packing)),
		stands: remembered((mix) => {
			if (mix.length === options.length)
				return isLarge(laidOut(mix, packing)) && ++large > LARGE_LOOKS
					? 'open'
					: strict(mix).status;
			return begunStands(laidOut(mix, packing), seenFromAbove).status;
		}),
		soonTidy,
		tidy: remembered((mix) => {
			const packed = soonTidy(mix);
			return packed && packTidy(mix, packing, packed, 'well');
		}),
		gathered: (mix) => (mix.every((way) => gatheredWay(way) === way) ? mix : mix.map(gatheredWay))
	};
}

import type { Home } from '../model';
import { costOf } from './cell';
import {
	asPart,
	fitting,
	inParts,
	mostParts,
	partsFor,
	type PartDraft,
	type PartsInput
} from './parts';

/** A nook that a group is pinned to, and what of the group is meant; null: whichever part suits. */
export interface PinnedNook {
	readonly n: number;
	readonly thingIds: ReadonlySet<string> | null;
}

/** Lists the nooks that a group is pinned to, in the order of the pins. */
export const pinnedNooks = (
	{ pins }: Pick<Home, 'pins'>,
	groupId: string,
	nookIndex: ReadonlyMap<string, number>
): PinnedNook[] =>
	pins
		.filter((pin) => pin.kind === 'pin' && pin.groupId === groupId)
		.flatMap(({ nookId, thingIds }) => {
			const n = nookIndex.get(nookId);
			return n === undefined ? [] : [{ n, thingIds: thingIds ? new Set(thingIds) : null }];
		});

/**
 * Parts a pinned group: as the plan does where it has it in several places, else into the fewest that leave one for each
 * pinned nook and fit there. What no pinned nook can take a part of is parted as if it were free. Each part is then kept to
 * a pinned nook of its own, the rest goes anywhere; with more pins than parts each part may go to any of them.
 */
export function partsForPinned(input: PartsInput, pinned: readonly PinnedNook[]): PartDraft[] {
	const { figures } = input;
	const whole = asPart(input, null, 1);
	// What the plan does better in several places stays parted: whole it may push something out of the pinned one.
	const mayBeWhole = pinned.length === 1 && !pinned[0]!.thingIds && (input.wished ?? 1) < 2;
	const all = mayBeWhole ? inPins([whole], input, pinned) : null;
	if (all) return all;
	const free = partsFor(input);
	// As it is parted without pins, where that gives each of them one.
	const kept = free.length >= pinned.length ? inPins(free, input, pinned) : null;
	if (kept) return kept;
	const most = mostParts(figures);
	for (let count = Math.min(pinned.length, most); count <= most; count++) {
		const parts = inParts(input, whole, count);
		const kept = inPins(parts, input, pinned);
		if (kept) return kept;
	}
	return keptToPins(free, input, pinned);
}

/** The parts with those that the pins want in their nooks; null where a pin gets none. */
function inPins(
	parts: readonly PartDraft[],
	input: Pick<PartsInput, 'capacities' | 'frontAt'>,
	pinned: readonly PinnedNook[]
): PartDraft[] | null {
	const rooms = parts.map((part) => new Set(fitting(part, input)));
	const held = pinned.map(({ n }) => rooms.some((room) => room.has(n)));
	const enough = parts.length >= pinned.length ? held.every(Boolean) : held.some(Boolean);
	return enough ? keptToPins(parts, input, pinned) : null;
}

const only = (part: PartDraft, open: readonly number[]): PartDraft => ({
	...part,
	row: part.row.map((cell, n) =>
		cell.hard || open.includes(n) ? cell : { ...cell, hard: 'pinned-elsewhere' }
	)
});

/** All orders of some parts; there are three at most. */
const orders = <T>(list: readonly T[]): T[][] =>
	list.length < 2
		? [[...list]]
		: list.flatMap((one, i) =>
				orders([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [one, ...rest])
			);

/** Keeps parts to pinned nooks: each pin gets a part, so that as many as can fit and those cost least; ties: in order. */
export function keptToPins(
	parts: readonly PartDraft[],
	input: Pick<PartsInput, 'capacities' | 'frontAt'>,
	pinned: readonly PinnedNook[]
): PartDraft[] {
	if (parts.length < pinned.length)
		return parts.map((part) =>
			only(
				part,
				pinned.map(({ n }) => n)
			)
		);
	const worth = (part: PartDraft, { n, thingIds }: PinnedNook) => {
		const meant = part.thingIds?.filter((id) => thingIds?.has(id)).length ?? 0;
		const fits = fitting(part, input).includes(n);
		return (fits ? costOf(part.row.at(n), part.share) : UNFIT) - meant * MEANT;
	};
	const [best = []] = orders(parts)
		.map((order) => ({
			order,
			sum: pinned.reduce((sum, pin, i) => sum + worth(order[i]!, pin), 0)
		}))
		.sort((a, b) => a.sum - b.sum)
		.map(({ order }) => order);
	return parts.map((part) => {
		const i = best.indexOf(part);
		return i < pinned.length ? only(part, [pinned[i]!.n]) : part;
	});
}
/** What each thing that a pin means counts for, against what its part costs. */
const MEANT = 1e5;
/** More than any part costs anywhere. */
const UNFIT = 1e7;

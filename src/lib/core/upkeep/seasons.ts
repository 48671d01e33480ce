import {
	calendarDate,
	NookId,
	stock,
	type Edit,
	type Home,
	type HomePart,
	type Reset
} from '../model';

type Swap = NonNullable<Reset['swap']>;

/** The day of a year on which a season begins; the last of February where it does not exist. */
function dayIn(year: number, from: string): string {
	const [month = 1, day = 1] = from.split('-').map(Number);
	return calendarDate(year, month, day) ?? calendarDate(year, month, day - 1)!;
}

/** The first turn of the seasons after a day, ISO, with which of the two groups comes forward then: 0 or 1. */
export function nextTurn(
	{ from }: Pick<Swap, 'from'>,
	after: string
): { on: string; comes: 0 | 1 } {
	const year = Number(after.slice(0, 4));
	const turns = [year, year + 1].flatMap((each) =>
		([0, 1] as const).map((comes) => ({ on: dayIn(each, from[comes]), comes }))
	);
	return turns.filter(({ on }) => on > after).sort((a, b) => (a.on < b.on ? -1 : 1))[0]!;
}
/** Which of the two groups should stand in reach on a day: the one whose season began last. */
export function inSeason({ from }: Pick<Swap, 'from'>, on: string): 0 | 1 {
	const year = Number(on.slice(0, 4));
	const turns = [year - 1, year].flatMap((each) =>
		([0, 1] as const).map((comes) => ({ on: dayIn(each, from[comes]), comes }))
	);
	return turns.filter((turn) => turn.on <= on).sort((a, b) => (a.on > b.on ? -1 : 1))[0]!.comes;
}

/** The lots of a group, with what stands where they are to go: what comes out, what goes in, and to which place. */
export interface SwapMoves {
	readonly comes: string | null;
	readonly goes: string | null;
	/** Names of places. */
	readonly reachNookId: string | null;
	readonly awayNookId: string | null;
	readonly lots: number;
}
export function swapMoves(
	home: HomePart<'things' | 'lots'>,
	reset: Reset,
	today: string
): SwapMoves {
	const { swap, nookIds } = reset;
	const comes = swap ? inSeason(swap, today) : 0;
	const [forward, back] = [
		swap?.groupIds[comes] ?? null,
		swap?.groupIds[comes === 0 ? 1 : 0] ?? null
	];
	const of = (groupId: string | null) =>
		stock(home).filter(({ thingId }) => groupId && home.things[thingId]?.groupId === groupId)
			.length;
	return {
		comes: forward,
		goes: back,
		reachNookId: nookIds[0] ?? null,
		awayNookId: swap?.awayNookId ?? null,
		lots: of(forward) + of(back)
	};
}

/** Makes the edit that carries out a swap: the group in season stands in reach, the other waits where it is put away. */
export function doSwap(resetId: string, today: string): Edit {
	return (draft) => {
		const reset = draft.resets[resetId] as Reset | undefined;
		if (!reset?.swap) return;
		const { comes, goes, reachNookId, awayNookId } = swapMoves(draft as Home, reset, today);
		for (const lot of Object.values(draft.lots)) {
			const groupId = draft.things[lot.thingId]?.groupId;
			if (!groupId) continue;
			if (groupId === comes && reachNookId) lot.nookId = NookId.parse(reachNookId);
			if (groupId === goes && awayNookId) lot.nookId = NookId.parse(awayNookId);
		}
	};
}

import { nestRiseMm, nestsIn, usesPerWeek, type Home, type Thing } from '../model';
import { rimPairs } from './rim-pairs';
import { wantsOf } from './wants';

/** What a group's boxes or pots take in one place with their lids on, and nested with the lids upright beside them. */
export interface LidsChoice {
	readonly groupId: string;
	/** Vessels with a lid of theirs. */
	readonly pairs: number;
	/** Room with the lids on. */
	readonly onMl: number;
	readonly nestedMl: number;
	readonly savedMl: number;
	/** Movements more a week when nested. */
	readonly moreMoves: number;
	readonly advice: 'on' | 'nested';
}

/** Fewer pairs than this are no question. */
const LEAST_PAIRS = 3;
/** Each more of a size in a stack stands out by this share of its height. */
const RISES_SHARE = 0.2;
/** A lid on edge takes its thickness and room for a finger, mm. */
const FINGER_MM = 4;
/** With its lid on one movement takes it; nested it is lifted off its stack, and the lid is drawn. */
const MORE_MOVES = 1;
/** Room that is worth a movement more each time, ml for each movement a week; in a place that is full, any is. */
const WORTH_ML_PER_MOVE = 700;
const boxMl = (w: number, d: number, h: number) => (w * d * h) / 1000;

/**
 * Room of vessels nested into each other: the largest first, each in the first stack whose innermost takes it. Of one size
 * each more rises by a fifth of its height (a working estimate: boxes and pots taper), a smaller one by what stands out.
 */
export function nestedMlOf(vessels: readonly Thing[]): number {
	const order = [...vessels].sort(
		(a, b) =>
			b.piece.widthMm * b.piece.depthMm - a.piece.widthMm * a.piece.depthMm ||
			b.piece.heightMm - a.piece.heightMm ||
			(a.id < b.id ? -1 : 1)
	);
	const stacks: { base: Thing; last: Thing; highMm: number }[] = [];
	for (const vessel of order) {
		const { widthMm, depthMm, heightMm } = vessel.piece;
		const alone = boxMl(widthMm, depthMm, heightMm);
		const risesIn = (last: Thing) =>
			last.id === vessel.id
				? nestRiseMm(RISES_SHARE * heightMm, 0)
				: nestRiseMm(heightMm, last.piece.heightMm);
		// What would stand far out of a wide one stands better by itself.
		const stack = stacks.find(
			({ base, last }) =>
				(last.id === vessel.id || nestsIn(vessel, last)) &&
				boxMl(base.piece.widthMm, base.piece.depthMm, risesIn(last)) <= alone
		);
		if (!stack) stacks.push({ base: vessel, last: vessel, highMm: heightMm });
		else {
			stack.highMm += risesIn(stack.last);
			stack.last = vessel;
		}
	}
	return stacks.reduce(
		(sum, { base, highMm }) => sum + boxMl(base.piece.widthMm, base.piece.depthMm, highMm),
		0
	);
}

/**
 * Compares lids on with nesting for each group of a place that has three pairs or more of boxes or pots with lids, by
 * their own sizes; lone boxes and lids are left out, they are the same either way. `isFull`: what the plan puts here does
 * not all go in, and room is worth any movement. Groups in the order of the wants.
 */
export function lidsOf(home: Home, nookId: string, isFull: boolean): LidsChoice[] {
	const byGroup = new Map<string, { thing: Thing; pieces: number }[]>();
	for (const { groupId, goods } of wantsOf(home, nookId, 'apart'))
		for (const { thing, pieces } of goods)
			if (thing.rim) byGroup.set(groupId, [...(byGroup.get(groupId) ?? []), { thing, pieces }]);
	return [...byGroup].flatMap(([groupId, own]): LidsChoice[] => {
		const pairs = rimPairs(own);
		if (pairs.length < LEAST_PAIRS) return [];
		const vessels = pairs.map(({ vessel }) => vessel);
		const lids = pairs.map(({ lid }) => lid);
		const onMl = vessels.reduce((sum, { piece }, i) => {
			const lidMm = lids[i]!.piece.heightMm;
			return sum + boxMl(piece.widthMm, piece.depthMm, piece.heightMm + lidMm);
		}, 0);
		const lidsMl = lids.reduce(
			(sum, { piece }) => sum + boxMl(piece.widthMm, piece.depthMm, piece.heightMm + FINGER_MM),
			0
		);
		const inMl = Math.min(onMl, nestedMlOf(vessels) + lidsMl);
		const uses = [...new Set(vessels)].reduce((sum, thing) => sum + usesPerWeek(thing), 0);
		const moreMoves = uses * MORE_MOVES;
		const savedMl = onMl - inMl;
		const isWorth = savedMl > (isFull ? 0 : WORTH_ML_PER_MOVE * moreMoves);
		return [
			{
				groupId,
				pairs: pairs.length,
				onMl,
				nestedMl: inMl,
				savedMl,
				moreMoves,
				advice: isWorth ? 'nested' : 'on'
			}
		];
	});
}

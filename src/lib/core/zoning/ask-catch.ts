import type { ZoneModel } from './build';
import { costOf } from './cell';
import { liftAt } from './lifts';

/** A cabinet that a small child opens, and what would live there behind a catch. */
export interface CatchAsked {
	readonly cabinetId: string;
	/** Ids of groups, sorted. */
	readonly groupIds: readonly string[];
}

/** Less than this a week is nothing that anybody would fit a catch for, m. */
const WORTH = 40;
/** So many are asked for; who fits these sees the next. */
const MOST = 3;

/**
 * Finds the cabinets that want a child catch before the home is planned: where groups would live but for a small child who
 * gets at them, and which have no place elsewhere, or one that costs much more. Each group asks for the one cabinet where
 * it would cost least. The cabinet that saves most comes first; ties by id.
 * @example // bleach and strong cleaners below, a toddler in the house: [{ cabinetId: 'sink', groupIds: [...] }]
 */
export function catchesToAsk(model: ZoneModel): readonly CatchAsked[] {
	const { G, N, overflow } = model.problem;
	const asked = new Map<string, { groupIds: Set<string>; saved: number }>();
	for (let g = 0; g < G; g++) {
		let open = overflow[g]!;
		let behind: { cabinetId: string; cost: number } | null = null;
		const { groupId } = model.parts[g]!.figures;
		for (let n = 0; n < N; n++) {
			const cell = model.cells[g * N + n]!;
			if (!cell.hard) open = Math.min(open, costOf(cell, 1));
			if (cell.hard !== 'child-reach') continue;
			const cost = costOf({ ...cell, hard: null }, 1);
			if (behind && cost >= behind.cost) continue;
			const lift = liftAt(model, g, n);
			if (lift?.code === 'fit-catch') behind = { cabinetId: lift.cabinetId, cost };
		}
		if (!behind || open - behind.cost < WORTH) continue;
		const own = asked.get(behind.cabinetId) ?? { groupIds: new Set(), saved: 0 };
		own.groupIds.add(groupId);
		own.saved += open - behind.cost;
		asked.set(behind.cabinetId, own);
	}
	return [...asked]
		.sort(([a, x], [b, y]) => y.saved - x.saved || (a < b ? -1 : 1))
		.slice(0, MOST)
		.map(([cabinetId, { groupIds }]) => ({ cabinetId, groupIds: [...groupIds].sort() }));
}

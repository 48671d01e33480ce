import type { ZoneModel } from './build';
import { costOf } from './cell';
import { guardFor, liftAt } from './lifts';

/** A cabinet that a small child opens, what it is to be kept shut with, and what would live there then. */
export interface GuardAsked {
	readonly cabinetId: string;
	/** A catch holds a child up; what can kill in one go takes a lock. */
	readonly guard: 'catch' | 'lock';
	/** Ids of groups, sorted. */
	readonly groupIds: readonly string[];
}

/** Less than this a week is nothing that anybody would fit a catch for, m. */
const WORTH = 40;
/** So many are asked for; who fits these sees the next. */
const MOST = 3;

/**
 * Finds the cabinets that need a child catch or a lock before the home is planned: where groups would live but for a small
 * child who gets at them, and which have no place elsewhere, or one that costs much more. Each group asks for the one
 * cabinet where it would cost least; a lock does for what asks for a catch there. What saves most comes first; ties by id.
 * @example // bleach and strong cleaners below, a toddler in the house: [{ cabinetId: 'sink', guard: 'lock', groupIds: [...] }]
 */
export function guardsToAsk(model: ZoneModel): readonly GuardAsked[] {
	const { G, N, overflow } = model.problem;
	const asked = new Map<
		string,
		{ guard: 'catch' | 'lock'; groupIds: Set<string>; saved: number }
	>();
	for (let g = 0; g < G; g++) {
		let open = overflow[g]!;
		let behind: { cabinetId: string; guard: 'catch' | 'lock'; cost: number } | null = null;
		const { groupId } = model.parts[g]!.figures;
		for (let n = 0; n < N; n++) {
			const cell = model.cells[g * N + n]!;
			if (!cell.hard) open = Math.min(open, costOf(cell, 1));
			const guard = guardFor(cell.hard);
			if (!guard) continue;
			const cost = costOf({ ...cell, hard: null }, 1);
			if (behind && cost >= behind.cost) continue;
			const lift = liftAt(model, g, n);
			if (lift?.code === `fit-${guard}` && 'cabinetId' in lift)
				behind = { cabinetId: lift.cabinetId, guard, cost };
		}
		if (!behind || open - behind.cost < WORTH) continue;
		const own = asked.get(behind.cabinetId) ?? {
			guard: behind.guard,
			groupIds: new Set(),
			saved: 0
		};
		if (behind.guard === 'lock') own.guard = 'lock';
		own.groupIds.add(groupId);
		own.saved += open - behind.cost;
		asked.set(behind.cabinetId, own);
	}
	return [...asked]
		.sort(([a, x], [b, y]) => y.saved - x.saved || (a < b ? -1 : 1))
		.slice(0, MOST)
		.map(([cabinetId, { guard, groupIds }]) => ({
			cabinetId,
			guard,
			groupIds: [...groupIds].sort()
		}));
}

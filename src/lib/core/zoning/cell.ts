import type { Reach } from '../survey';
import type { HardCode } from './hard-rules';
import type { SoftPenalty } from './soft-rules';

/** Weekly effort of a group in a nook by what makes it up; the parts sum to the problem's cost. */
export interface CostParts {
	readonly walk: number;
	readonly reach: number;
	readonly soft: readonly SoftPenalty[];
	readonly habit: number;
}

/** A group in a nook: what forbids it, or what it costs. */
export interface Cell {
	readonly hard: HardCode | null;
	readonly reach: Reach;
	/** Walk from the group's stations, one way, weighted by its uses, m. */
	readonly walkM: number;
	readonly parts: CostParts;
}

/** Sums the parts of a cost; soft penalties and habit are not divided between the shares of a split group. */
export function costOf(cell: Cell, share: number): number {
	if (cell.hard) return Infinity;
	const { walk, reach, soft, habit } = cell.parts;
	return (walk + reach) * share + soft.reduce((sum, { effort }) => sum + effort, 0) + habit;
}

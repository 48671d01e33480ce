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
	/** Walked for it in a week, m: own trips there and back, and the legs of routines that lead to it. */
	readonly metresPerWeek: number;
	readonly parts: CostParts;
}

/** A group, or a part of it, in every nook; a nook is looked at when it is asked for, and once. */
export class Row {
	private readonly known: (Cell | undefined)[];
	constructor(
		readonly length: number,
		private readonly look: (n: number) => Cell
	) {
		this.known = new Array<Cell | undefined>(length);
	}
	at(n: number): Cell {
		return (this.known[n] ??= this.look(n));
	}
	all(): Cell[] {
		return Array.from({ length: this.length }, (_, n) => this.at(n));
	}
	/** The same row with some cells made otherwise. */
	map(change: (cell: Cell, n: number) => Cell): Row {
		return new Row(this.length, (n) => change(this.at(n), n));
	}
}

/** Sums the parts of a cost; soft penalties and habit are not divided between the shares of a split group. */
export function costOf(cell: Cell, share: number): number {
	if (cell.hard) return Infinity;
	const { walk, reach, soft, habit } = cell.parts;
	return (walk + reach) * share + soft.reduce((sum, { effort }) => sum + effort, 0) + habit;
}

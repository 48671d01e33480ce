import type { Cabinet, Home, Nook } from '../model';

/** Kinds of place that stand on each other in a body: where one is, no other can be. */
const STACKED: ReadonlySet<Nook['kind']> = new Set([
	'shelf',
	'drawer',
	'undersink',
	'fridge-shelf',
	'freezer-drawer',
	'crisper'
]);
const USUAL_BOARD_MM = 18;
/** An estimated place is not made lower than this to make room for measured ones, mm. */
const LEAST_HIGH_MM = 60;
/** Two places that share no more than this stand beside each other, mm: nobody measures a board to the millimetre. */
const TOUCH_MM = 5;

export const boardMm = ({ shelves }: Pick<Cabinet, 'shelves'>): number =>
	shelves?.thicknessMm ?? USUAL_BOARD_MM;

/** Places of a cabinet that stand on each other, with a width and a height. */
export const stackedIn = (home: Pick<Home, 'nooks'>, cabinetId: string): Nook[] =>
	Object.values(home.nooks).filter(
		({ cabinetId: own, kind, inside }) =>
			own === cabinetId && STACKED.has(kind) && !!inside.heightMm && !!inside.widthMm
	);

const topOf = ({ at, inside }: Nook) => at.zMm + (inside.heightMm ?? 0);
const rightOf = ({ at, inside }: Nook) => at.xMm + (inside.widthMm ?? 0);
const shared = (from: number, to: number, otherFrom: number, otherTo: number) =>
	Math.min(to, otherTo) - Math.max(from, otherFrom);

/** By how much two places lie over each other, mm, the smaller of both ways; 0: they do not. */
export function overlapMm(a: Nook, b: Nook): number {
	const across = shared(a.at.xMm, rightOf(a), b.at.xMm, rightOf(b));
	const up = shared(a.at.zMm, topOf(a), b.at.zMm, topOf(b));
	return across > TOUCH_MM && up > TOUCH_MM ? Math.min(across, up) : 0;
}

/** Sets places of one column on each other from the bottom up, in their order, as near as the boards let them. */
function pile(column: readonly Nook[], board: number, fromMm: number): void {
	let z = fromMm;
	for (const nook of column) {
		nook.at.zMm = z;
		z = topOf(nook) + board;
	}
}

/** Makes the estimated places of a column lower by so much in all; says whether they could be. */
function lowerEstimated(column: readonly Nook[], byMm: number, keptId: string): boolean {
	const loose = column.filter(({ id, readings }) => id !== keptId && !readings.heightMm.length);
	const sum = loose.reduce((all, { inside }) => all + inside.heightMm!, 0);
	const lower = loose.map(({ inside }) => Math.floor(inside.heightMm! * (1 - byMm / sum)));
	if (!loose.length || lower.some((mm) => mm < LEAST_HIGH_MM)) return false;
	loose.forEach((nook, i) => {
		nook.inside.heightMm = lower[i]!;
		if (nook.opening) nook.opening.heightMm = Math.min(nook.opening.heightMm, lower[i]!);
	});
	return true;
}

/** Stacks one column anew where places lie over each other or rise out of the body. */
function settleColumn(column: readonly Nook[], cabinet: Cabinet, keptId: string): void {
	const board = boardMm(cabinet);
	for (const [i, nook] of column.entries()) {
		const below = column[i - 1];
		if (below && nook.at.zMm < topOf(below)) nook.at.zMm = topOf(below) + board;
	}
	const over = () => topOf(column.at(-1)!) - cabinet.heightMm;
	if (over() <= 0) return;
	// Room that was left between them goes first, then what nobody has measured.
	const from = Math.min(board, column[0]!.at.zMm);
	pile(column, board, from);
	if (over() > 0 && lowerEstimated(column, over(), keptId)) pile(column, board, from);
}

/** Moves the columns right of another out of it, from the left. */
function settleSideways(columns: readonly (readonly Nook[])[], board: number): void {
	for (const [i, column] of columns.entries())
		for (const other of columns.slice(0, i)) {
			const by = Math.max(
				0,
				...column.flatMap((nook) =>
					other.map((left) => (overlapMm(left, nook) ? rightOf(left) + board - nook.at.xMm : 0))
				)
			);
			for (const nook of column) nook.at.xMm += by;
		}
}

/**
 * Stacks the places of a cabinet anew after one of them was measured: bottom to top and left to right in their order, none
 * over another. Places that nobody measured give way; what then still rises out of the cabinet is named by the checks.
 * `keptId`: the place that was typed just now, which gives way to none. Changes the places of the draft; where none overlap
 * and all fit, nothing moves.
 */
export function restack(
	draft: Pick<Home, 'nooks' | 'cabinets'>,
	cabinetId: string,
	keptId = ''
): void {
	const cabinet = draft.cabinets[cabinetId];
	if (!cabinet) return;
	const columns = new Map<number, Nook[]>();
	for (const nook of stackedIn(draft, cabinetId))
		columns.set(nook.at.xMm, [...(columns.get(nook.at.xMm) ?? []), nook]);
	const ordered = [...columns]
		.sort(([a], [b]) => a - b)
		.map(([, column]) => column.sort((a, b) => a.at.zMm - b.at.zMm || (a.id < b.id ? -1 : 1)));
	for (const column of ordered) settleColumn(column, cabinet, keptId);
	settleSideways(ordered, boardMm(cabinet));
}

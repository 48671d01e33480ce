import { partBoxes, type Stood } from '$lib/core/fitting';
import type { Home } from '$lib/core/model';
import { holdsText } from '$lib/messages/fitting';

/** From where a place is looked at; from the side means from its left, the front edge at the left of the drawing. */
export type ShelfSide = 'above' | 'front' | 'side';

/** A container or a row as it is seen, mm on the drawing: x from the left, y from the top. */
export interface SeenPart {
	readonly id: string;
	readonly x: number;
	readonly y: number;
	readonly w: number;
	readonly h: number;
	readonly hue: number;
	readonly code: string;
	readonly label: string;
	readonly round: boolean;
	/** Walls between compartments as they are seen, along the drawing; mm from its left or its top. */
	readonly walls: { readonly across: boolean; readonly at: readonly number[] };
	readonly loose: boolean;
}

/** Where the walls of compartments are seen from above; from elsewhere the rim hides them. */
function wallsOf(
	cells: number,
	turned: boolean,
	side: ShelfSide,
	{ x, y, w, h }: Pick<SeenPart, 'x' | 'y' | 'w' | 'h'>
): SeenPart['walls'] {
	const [from, size] = turned ? [y, h] : [x, w];
	const count = side === 'above' ? cells - 1 : 0;
	return {
		across: turned,
		at: Array.from({ length: count }, (_, i) => from + (size * (i + 1)) / cells)
	};
}

/**
 * Lays what stands in a place out as it is seen from one side, what is nearest last, so that it is drawn over what it
 * hides. `downMm` is the place's own size down the drawing: its depth from above, else its height.
 */
export function partsSeen(home: Home, fit: Stood, side: ShelfSide, downMm: number): SeenPart[] {
	const placed = new Map(fit.placements.map((placement) => [placement.id as string, placement]));
	const rows = new Map(fit.standing.map((row) => [row.id as string, row]));
	return partBoxes(home, fit)
		.map(({ id, x, y, z, w, d, h }) => {
			const views = {
				above: { x, y: downMm - y - d, w, h: d, far: -z },
				front: { x, y: downMm - z - h, w, h, far: y },
				side: { x: y, y: downMm - z - h, w: d, h, far: x }
			};
			const placement = placed.get(id);
			const kind = placement && home.containerKinds[placement.kindId];
			const { groupId, holds } = placement ?? rows.get(id)!;
			const group = home.groups[groupId];
			const inIt = holds.length
				? holdsText(home, holds)
				: (rows.get(id)?.names.join(', ') ?? group?.name ?? '');
			const part: SeenPart & { far: number } = {
				id,
				...views[side],
				...(group?.tag ?? { hue: 7, code: '??' }),
				label: kind ? `${kind.name}: ${inIt}` : inIt,
				round: kind?.shape === 'round' && side === 'above' && w === d,
				walls: wallsOf(kind?.cells ?? 1, placement?.turned ?? false, side, views[side]),
				loose: !kind
			};
			return part;
		})
		.sort((a, b) => b.far - a.far);
}

import type { Home } from '../model';
import { roomOf } from '../standing';
import type { Arrangement } from './fit';
import { shelfColumn } from './shelf-heights';
import { wantsOf } from './wants';

/** Why height over what stands in a place is not used. */
export type HeightReason =
	/** One looks in from above: what stands on others hides them. */
	| 'from-above'
	/** There is a second level. */
	| 'second-level'
	/** The shelf over it could come down. */
	| 'shelf-moves'
	/** What is here may stand on a second level, and none pays. */
	| 'no-level-pays'
	/** Nothing here is to stand on a second level. */
	| 'nothing-for-it';

/** Less than this is no height to speak of, mm. */
const MENTIONED_MM = 120;

/** Says how much height an arrangement leaves free over what stands there, and why; null: none to speak of. */
export function heightLeft(
	home: Home,
	nookId: string,
	{ overMm, placements }: Pick<Arrangement, 'overMm' | 'placements'>
): { readonly overMm: number; readonly why: HeightReason } | null {
	const packing = roomOf(home, nookId);
	if (!packing || overMm < MENTIONED_MM) return null;
	const hasLevel = placements.some(({ kindId }) => home.containerKinds[kindId]?.role === 'level');
	const mayRise = wantsOf(home, nookId).some(({ roles }) => roles.includes('level'));
	const why = packing.seenFromAbove
		? 'from-above'
		: hasLevel
			? 'second-level'
			: shelfColumn(home, nookId)
				? 'shelf-moves'
				: mayRise
					? 'no-level-pays'
					: 'nothing-for-it';
	return { overMm, why };
}

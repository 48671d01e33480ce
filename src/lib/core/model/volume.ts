import type { Thing } from './goods';

/** Volume in ml of the box round one piece. @example pieceVolumeMl({ piece: { widthMm: 100, depthMm: 65, heightMm: 170 } }) // 1105 */
export function pieceVolumeMl({ piece }: Pick<Thing, 'piece'>): number {
	return (piece.widthMm * piece.depthMm * piece.heightMm) / 1000;
}

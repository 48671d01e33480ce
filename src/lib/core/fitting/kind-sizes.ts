import type { ContainerKind, Home, Placement } from '../model';

/** Largest outer size of a container, mm: many taper, and the larger end decides. */
export const outerOf = ({
	outerTop,
	outerBase
}: Pick<ContainerKind, 'outerTop' | 'outerBase'>) => ({
	widthMm: Math.max(outerTop.widthMm, outerBase.widthMm),
	depthMm: Math.max(outerTop.depthMm, outerBase.depthMm)
});

/** A kind as it stands when it is cut or pulled to an outer size; null: as it is sold. */
export const asCut = (kind: ContainerKind, cut: Placement['cut']): ContainerKind =>
	cut ? { ...kind, outerTop: cut, outerBase: cut } : kind;

/** What a kind as it stands is cut to; null: it is as it is sold. */
export const cutOf = ({ cutTo, outerTop }: ContainerKind): Placement['cut'] =>
	cutTo && { ...outerTop };

/** The kind of a container that stands somewhere, as it stands there; undefined: the home knows it no more. */
export function standingKind(
	{ containerKinds }: Pick<Home, 'containerKinds'>,
	{ kindId, cut }: Pick<Placement, 'kindId' | 'cut'>
): ContainerKind | undefined {
	const kind = containerKinds[kindId];
	return kind && asCut(kind, cut);
}

/** Wall of a container whose inside was not measured, mm. */
const WALL_MM = 3;

export interface OuterSize {
	readonly widthMm: number;
	readonly depthMm: number;
	readonly heightMm: number;
}

/** Inside of a container of which only the outside is known: less its walls and its floor. */
export const insideOf = ({ widthMm, depthMm, heightMm }: OuterSize): ContainerKind['inner'] => ({
	widthMm: Math.max(0, widthMm - 2 * WALL_MM),
	depthMm: Math.max(0, depthMm - 2 * WALL_MM),
	heightMm: Math.max(0, heightMm - WALL_MM)
});

/**
 * Changes an outer side of a kind, at the top. Its base and its inside follow as long as they are what the outside says;
 * what was measured by itself stays.
 * @example withOuter(plainKind('k'), 'widthMm', 200).inner.widthMm // 194
 */
export function withOuter(kind: ContainerKind, side: keyof OuterSize, mm: number): ContainerKind {
	const before = { ...kind.outerTop, heightMm: kind.heightMm };
	const after = { ...before, [side]: mm };
	const follows = kind.inner[side] === insideOf(before)[side];
	const inner = follows ? { ...kind.inner, [side]: insideOf(after)[side] } : kind.inner;
	if (side === 'heightMm') return { ...kind, heightMm: mm, inner };
	const isStraight = kind.outerBase[side] === before[side];
	return {
		...kind,
		outerTop: { ...kind.outerTop, [side]: mm },
		outerBase: isStraight ? { ...kind.outerBase, [side]: mm } : kind.outerBase,
		inner
	};
}

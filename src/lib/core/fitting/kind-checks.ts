import type { ContainerKind, ContainerRole } from '../model';

/** What is wrong with the sizes of a container, as issues: code and the two figures that do not go together, mm. */
export type KindIssue =
	| { readonly code: 'missing'; readonly side: 'width' | 'depth' | 'height' }
	| {
			readonly code: 'inner-larger';
			readonly side: 'width' | 'depth' | 'height';
			readonly innerMm: number;
			readonly outerMm: number;
	  }
	/** Larger at the base than at the top: it would not come out of its mould, and could not be nested. */
	| { readonly code: 'taper'; readonly topMm: number; readonly baseMm: number }
	| { readonly code: 'too-large'; readonly mm: number }
	/** What is cut to measure loses no more than its rim, and gains nothing. */
	| {
			readonly code: 'cut';
			readonly side: 'width' | 'depth';
			readonly cutMm: number;
			readonly innerMm: number;
			readonly outerMm: number;
	  }
	| { readonly code: 'narrow-cells'; readonly cells: number; readonly eachMm: number }
	| { readonly code: 'stack-without-lid' };

export type KindSizes = Pick<
	ContainerKind,
	'role' | 'outerTop' | 'outerBase' | 'inner' | 'heightMm' | 'lid' | 'stack' | 'cells' | 'cutTo'
>;

/** What has no walls holds things higher than itself. */
const OPEN_ABOVE: ReadonlySet<ContainerRole> = new Set([
	'turntable',
	'riser',
	'slide',
	'upright',
	'rack',
	'cradle',
	'level'
]);

/** Less than this is no container, and more is a piece of furniture, mm. */
const LEAST_MM = 10;
const MOST_MM = 2000;

/**
 * Lists what is wrong with a container's sizes; the first is what to mend first. Empty: it can be fitted.
 * @example checkKind({ ...bin, heightMm: 0 }) // [{ code: 'missing', side: 'height' }]
 */
export function checkKind({
	role,
	outerTop,
	outerBase,
	inner,
	heightMm,
	lid,
	stack,
	cells,
	cutTo
}: KindSizes): KindIssue[] {
	const sides = [
		['width', Math.max(outerTop.widthMm, outerBase.widthMm), inner.widthMm],
		['depth', Math.max(outerTop.depthMm, outerBase.depthMm), inner.depthMm],
		['height', heightMm, inner.heightMm]
	] as const;
	const found: KindIssue[] = [];
	for (const [side, outerMm] of sides)
		if (!(outerMm >= LEAST_MM)) found.push({ code: 'missing', side });
	for (const [, outerMm] of sides)
		if (outerMm > MOST_MM) found.push({ code: 'too-large', mm: outerMm });
	for (const [side, outerMm, innerMm] of sides)
		if (outerMm >= LEAST_MM && innerMm > outerMm && !(side === 'height' && OPEN_ABOVE.has(role)))
			found.push({ code: 'inner-larger', side, innerMm, outerMm });
	for (const key of ['widthMm', 'depthMm'] as const)
		if (outerBase[key] > outerTop[key])
			found.push({ code: 'taper', topMm: outerTop[key], baseMm: outerBase[key] });
	for (const side of ['width', 'depth'] as const) {
		const cutMm = cutTo?.[`${side}Mm`];
		const [innerMm, outerMm] = [inner[`${side}Mm`], outerTop[`${side}Mm`]];
		if (cutMm !== undefined && (cutMm < innerMm || cutMm > outerMm))
			found.push({ code: 'cut', side, cutMm, innerMm, outerMm });
	}
	const eachMm = Math.floor(inner.widthMm / cells);
	if (cells > 1 && eachMm < LEAST_MM) found.push({ code: 'narrow-cells', cells, eachMm });
	if (stack && !lid) found.push({ code: 'stack-without-lid' });
	return found;
}

import type { Thing } from './goods';

type Rim = Pick<NonNullable<Thing['rim']>, 'shape' | 'widthMm' | 'depthMm'>;

/** Within so much a lid fits, mm a side, by shape. */
export const FIT_MM = { round: 2, rect: 3 } as const;

/** Differences of the two sides of two rims, one turned whichever way is better, mm; null for unlike shapes. */
export function rimsOff(a: Rim, b: Rim): readonly [number, number] | null {
	if (a.shape !== b.shape) return null;
	const straight = [Math.abs(a.widthMm - b.widthMm), Math.abs(a.depthMm - b.depthMm)] as const;
	const turned = [Math.abs(a.widthMm - b.depthMm), Math.abs(a.depthMm - b.widthMm)] as const;
	return Math.max(...turned) < Math.max(...straight) ? turned : straight;
}

/** Whether a lid of one rim fits a vessel of another. */
export function rimsFit(a: Rim, b: Rim): boolean {
	const off = rimsOff(a, b);
	return off !== null && Math.max(...off) <= FIT_MM[a.shape];
}

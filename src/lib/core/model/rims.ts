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

/** Whether one vessel goes into the opening of another. */
export function nestsIn(small: Pick<Thing, 'rim'>, large: Pick<Thing, 'rim'>): boolean {
	if (small.rim?.part !== 'vessel' || large.rim?.part !== 'vessel') return false;
	const { widthMm, depthMm } = large.rim;
	const [short, long] = [Math.min(widthMm, depthMm), Math.max(widthMm, depthMm)];
	// By its own rim: a handle lies over the edge.
	const { widthMm: w, depthMm: d } = small.rim;
	return Math.min(w, d) < short && Math.max(w, d) < long;
}

/** What stands out of a vessel at least when a smaller one is put into it, mm. */
const RISES_MM = 12;
/** By how much a stack grows when a smaller vessel goes into its topmost one, mm. */
export const nestRiseMm = (smallMm: number, largeMm: number): number =>
	Math.max(RISES_MM, smallMm - largeMm);

/** Whether a lid of one rim fits a vessel of another. */
export function rimsFit(a: Rim, b: Rim): boolean {
	const off = rimsOff(a, b);
	return off !== null && Math.max(...off) <= FIT_MM[a.shape];
}

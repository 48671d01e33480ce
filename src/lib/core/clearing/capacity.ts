export type Shape =
	| { readonly kind: 'round'; readonly diameterMm: number; readonly heightMm: number }
	| {
			readonly kind: 'box';
			readonly widthMm: number;
			readonly depthMm: number;
			readonly heightMm: number;
	  }
	| {
			/** Straight sides from a base to a larger top; round when its depths are 0. */
			readonly kind: 'tapered';
			readonly topWidthMm: number;
			readonly topDepthMm: number;
			readonly baseWidthMm: number;
			readonly baseDepthMm: number;
			readonly heightMm: number;
	  };

/** Room to leave when a liquid is frozen, for it grows by about a tenth. */
const HEADSPACE = 0.1;

/**
 * Computes what a container holds to its rim from its inside measures, ml. A tapered one is a frustum: a sixth of
 * the height × (base + 4 × middle + top), which is exact for straight sides (Simpson's rule).
 * @example capacityOf({ kind: 'round', diameterMm: 100, heightMm: 150 }) // 1178
 */
export function capacityOf(shape: Shape): number {
	if (shape.kind === 'box')
		return Math.round((shape.widthMm * shape.depthMm * shape.heightMm) / 1000);
	const disc = (diameter: number) => (Math.PI * diameter ** 2) / 4;
	if (shape.kind === 'round') return Math.round((disc(shape.diameterMm) * shape.heightMm) / 1000);
	const area = (width: number, depth: number) => (depth ? width * depth : disc(width));
	const base = area(shape.baseWidthMm, shape.baseDepthMm);
	const top = area(shape.topWidthMm, shape.topDepthMm);
	const middle = area(
		(shape.baseWidthMm + shape.topWidthMm) / 2,
		(shape.baseDepthMm + shape.topDepthMm) / 2
	);
	return Math.round((shape.heightMm * (base + 4 * middle + top)) / 6 / 1000);
}

/** What a container holds by weighing it full of water and empty: 1 g of water is 1 ml. */
export const capacityByWater = (fullG: number, emptyG: number): number =>
	Math.max(0, fullG - emptyG);

/** What a container holds by the cups of water that went in. */
export const capacityByCups = (cups: number, cupMl: number): number => Math.round(cups * cupMl);

/** How much liquid may go in when it is to be frozen: a tenth is left free. @example freezeFill(1000) // 900 */
export const freezeFill = (ml: number): number => Math.floor(ml * (1 - HEADSPACE));

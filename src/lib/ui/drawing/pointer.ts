/** A hand trembles less than this before it means to drag, px. */
export const STILL_PX = 4;

/** The point of a drawing under a pointer, in the drawing's own unit; null while it is not laid out. */
export function svgPoint(event: PointerEvent): { x: number; y: number } | null {
	const svg = (event.currentTarget as SVGElement).ownerSVGElement;
	const matrix = svg?.getScreenCTM()?.inverse();
	if (!matrix) return null;
	const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
	return { x, y };
}

import type { MarkedPoint } from '../model';

/** A part of a list by its id. */
export const partOf = <Part extends { readonly id: string }>(
	parts: readonly Part[] | undefined,
	id: string
): Part | undefined => parts?.find((part) => part.id === id);

/** Takes a part out of a list, in place; one that is not there changes nothing. */
export function dropPart(parts: { readonly id: string }[] | undefined, id: string): void {
	const index = parts?.findIndex((part) => part.id === id) ?? -1;
	if (index >= 0) parts!.splice(index, 1);
}

/** The corner that a wall begins at, by whose id the wall is known, and the one that it ends at. */
export function wallOf(
	outline: readonly MarkedPoint[] | undefined,
	wall: string
): readonly [MarkedPoint, MarkedPoint] | null {
	const index = outline?.findIndex(({ id }) => id === wall) ?? -1;
	return outline && index >= 0 ? [outline[index]!, outline[(index + 1) % outline.length]!] : null;
}

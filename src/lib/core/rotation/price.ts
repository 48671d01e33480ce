import type { Thing } from '../model';

/** What a pack counts as where no price is known, minor units. */
export const USUAL_PRICE = 200;
/** Price of a pack, minor units; the usual one where none is known. */
export const priceOf = (thing: Pick<Thing, 'priceMinor'> | undefined): number =>
	thing?.priceMinor ?? USUAL_PRICE;

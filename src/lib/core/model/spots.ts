import { z } from 'zod';

/** Kinds of place, as an organizer speaks of them; a nook may be several at once. */
export const SPOTS = [
	'shallow-drawer',
	'deep-drawer',
	'low-shelf',
	'knee-to-shoulder',
	'wall-shelf',
	'above-shoulder',
	'top',
	'corner',
	'slot',
	'rail',
	'door',
	'open',
	'larder',
	'worktop',
	'under-sink',
	'fridge-top',
	'fridge-middle',
	'fridge-low',
	'fridge-door',
	'crisper',
	'bathroom',
	'kitchen',
	'satellite'
] as const;
export const Spot = z.enum(SPOTS);
export type Spot = z.infer<typeof Spot>;

export const PLACE_RANKS = ['first', 'fair', 'poor'] as const;
export type PlaceRank = (typeof PLACE_RANKS)[number];

/** Where a kind belongs in one home, other than the usual. */
export const BelongsHere = z.strictObject({
	kind: z.string().min(1).max(60),
	spot: Spot,
	standing: z.enum(PLACE_RANKS)
});
export type BelongsHere = z.infer<typeof BelongsHere>;

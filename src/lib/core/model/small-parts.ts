import { z } from 'zod';
import { NookId, SmallPartId } from './ids';

export const SMALL_PART_USES = ['liner', 'washable-liner', 'hooks', 'dividers'] as const;
export type SmallPartUse = (typeof SMALL_PART_USES)[number];

/** Something small that a place is to get: how much of it follows from the place. */
export const SmallPart = z.strictObject({
	id: SmallPartId,
	nookId: NookId,
	use: z.enum(SMALL_PART_USES),
	/** It was bought, or was in the house. */
	has: z.boolean()
});
export type SmallPart = z.infer<typeof SmallPart>;

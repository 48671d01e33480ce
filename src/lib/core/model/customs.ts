import { z } from 'zod';

/** How things are done where a home is. */
export const Customs = z.strictObject({
	/** What is printed on. */
	paper: z.enum(['A4', 'Letter'])
});
export type Customs = z.infer<typeof Customs>;

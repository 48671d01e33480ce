import { z } from 'zod';

/** How things are written in a home. */
export const Customs = z.strictObject({
	/** Language tag of a region, as `en-GB`: how numbers, dates and money are written; empty: as the browser does. */
	locale: z.string().regex(/^([a-z]{2,3}(-[A-Z]{2})?)?$/),
	/** What is printed on. */
	paper: z.enum(['A4', 'Letter']),
	weekStart: z.enum(['mon', 'sat', 'sun'])
});
export type Customs = z.infer<typeof Customs>;

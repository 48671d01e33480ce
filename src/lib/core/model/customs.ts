import { z } from 'zod';
import rows from '../../../../data/regions.json';

export const WEEK_STARTS = ['monday', 'saturday', 'sunday'] as const;
export type WeekStart = (typeof WEEK_STARTS)[number];

/** What is usual in a region: what is chosen when a home says where it is; each can be said otherwise after. */
export const REGIONS = z
	.array(
		z.strictObject({
			code: z.string().regex(/^[A-Z]{2}$/),
			name: z.string().min(1),
			currency: z.string().regex(/^[A-Z]{3}$/),
			units: z.enum(['mm', 'cm', 'in']),
			paper: z.enum(['A4', 'Letter']),
			dateOrder: z.enum(['dmy', 'mdy', 'ymd']),
			weekStart: z.enum(WEEK_STARTS),
			/** English words with the figures and dates of the region. */
			locale: z.string().min(2)
		})
	)
	.parse(rows);
export type Region = (typeof REGIONS)[number];

/** The region of a code; undefined for none. */
export const regionOf = (code: string | null): Region | undefined =>
	REGIONS.find((region) => region.code === code);

/** How things are done where a home is. */
export const Customs = z.strictObject({
	/** How figures and dates are written: one of `REGIONS`; null: not said. */
	region: z
		.string()
		.regex(/^[A-Z]{2}$/)
		.nullable(),
	/** What is printed on. */
	paper: z.enum(['A4', 'Letter']),
	/** The first day of a week. */
	weekStart: z.enum(WEEK_STARTS)
});
export type Customs = z.infer<typeof Customs>;

import { z } from 'zod';
import { LabelSheet } from './label-sheet';

const factor = z.number().min(0).max(1000);

/** Every weight and allowance that a user may change, with the handbook's value as its default. */
export const Settings = z.strictObject({
	effort: z.strictObject({
		/** Effort of one metre walked; everything else is counted in such metres. */
		walkPerM: factor,
		/** Effort of one reach of factor 1. */
		reachWeight: factor,
		easy: factor,
		good: factor,
		bend: factor,
		stretch: factor,
		stool: factor,
		/** Added for each 100 mm of depth beyond 300 mm on a fixed shelf. */
		depthPer100: factor,
		/** Effort a week of a group that must move from where it is. */
		changeWeight: factor,
		/** Multiplies every soft-rule penalty. */
		softWeight: factor,
		/** Multiplies every partner pair. */
		partnerWeight: factor
	}),
	/** Share of each nook left free to grow. */
	slackShare: z.number().min(0).max(0.9),
	lift: z.strictObject({
		aboveShoulderG: z.int().positive(),
		kneeToElbowG: z.int().positive()
	}),
	play: z.strictObject({
		sideMm: z.int().min(0),
		frontMm: z.int().min(0),
		aboveMm: z.int().min(0),
		overLipMm: z.int().min(0),
		pipeMm: z.int().min(0),
		fillShare: z.number().min(0.1).max(1)
	}),
	/** What containers may cost in all, in minor units; null: no ceiling. */
	budgetMinor: z.int().min(0).max(1_000_000_000).nullable(),
	/** The budget, a price or the stock of containers has changed since all places were fitted together. */
	purchaseOpen: z.boolean().default(false),
	shop: z.strictObject({
		/** Days from one big shop to the next. */
		everyDays: z.int().min(1).max(365),
		/** Held beyond that, weeks. */
		safetyWeeks: z.number().min(0).max(52),
		/** What running out of something once is worth to the household, minor units. */
		runOutMinor: z.int().min(0).max(1_000_000),
		/** What one shop may cost, minor units; null: no ceiling. */
		budgetMinor: z.int().min(0).max(1_000_000_000).nullable(),
		/** Areas of the shop in the order they are walked; others follow by name. */
		areas: z.array(z.string().max(60)).max(100)
	}),
	labels: z.strictObject({
		/** Letters are at least 1/200 of this high, mm. */
		viewingMm: z.number().min(200).max(10_000),
		/** How far the printer slips, mm: right and down. */
		slipXMm: z.number().min(-20).max(20),
		slipYMm: z.number().min(-20).max(20),
		/** Sheets of the household's own. */
		sheets: z.array(LabelSheet).max(50)
	}),
	unusedMonths: z.int().min(1),
	/** Limits of the work triangle between sink, hob and fridge. */
	triangle: z.strictObject({
		leastSideMm: z.int().min(0),
		mostSideMm: z.int().min(0),
		mostSumMm: z.int().min(0)
	}),
	/** First estimate of the time for a place, minutes, before this home has sessions of its own. */
	clearTime: z.strictObject({
		emptyMin: factor,
		lookMinPerThing: factor,
		decantMinPerL: factor,
		putBackMin: factor,
		/** People under-estimate: the plain sum is multiplied by this. */
		times: factor
	})
});
export type Settings = z.infer<typeof Settings>;

export const DEFAULT_SETTINGS: Settings = {
	effort: {
		walkPerM: 1,
		reachWeight: 2,
		easy: 1,
		good: 1.3,
		bend: 2,
		stretch: 2.2,
		stool: 4,
		depthPer100: 0.4,
		changeWeight: 4,
		softWeight: 1,
		partnerWeight: 1
	},
	slackShare: 0.15,
	lift: { aboveShoulderG: 3000, kneeToElbowG: 7000 },
	play: { sideMm: 3, frontMm: 10, aboveMm: 30, overLipMm: 50, pipeMm: 10, fillShare: 0.8 },
	budgetMinor: null,
	purchaseOpen: false,
	shop: { everyDays: 7, safetyWeeks: 0.5, runOutMinor: 150, budgetMinor: null, areas: [] },
	labels: { viewingMm: 800, slipXMm: 0, slipYMm: 0, sheets: [] },
	unusedMonths: 12,
	triangle: { leastSideMm: 1200, mostSideMm: 2700, mostSumMm: 7900 },
	clearTime: { emptyMin: 10, lookMinPerThing: 0.5, decantMinPerL: 1, putBackMin: 10, times: 1.4 }
};

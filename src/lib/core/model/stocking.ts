import { z } from 'zod';
import {
	CabinetId,
	ListLineId,
	LotId,
	MealId,
	PlannedMealId,
	ThingId,
	UseEventId,
	WarmSpellId
} from './ids';
import { Instant, IsoDate, Minor } from './scalars';
import { Words } from './places';

/** What stock is counted in. */
export const UNITS = ['pack', 'g', 'piece', 'meal'] as const;

/** Ways to say how much of a thing to hold. */
export const HOLD_RULES = ['packs', 'spare', 'par', 'meals', 'weeks'] as const;
/**
 * How much of a thing to hold. `packs`: so many packs. `spare`: one open and so many spares. `par`: what is used until
 * the next shop, and so many weeks of safety. `meals`: so many meals ahead. `weeks`: what is used in so many weeks.
 */
export const HoldRule = z.strictObject({
	rule: z.enum(HOLD_RULES),
	amount: z.number().min(0).max(10_000)
});
export type HoldRule = z.infer<typeof HoldRule>;

/** Why something was thrown away, as it is told in one tap. */
export const WASTE_REASONS = [
	'past-date',
	'spoiled',
	'disliked',
	'too-much',
	'warm',
	'broken',
	'other'
] as const;
export type WasteReason = (typeof WASTE_REASONS)[number];

/** Stock that went out or came in. Only ever added, or taken back by its own undo. */
export const UseEvent = z.strictObject({
	id: UseEventId,
	lotId: LotId,
	thingId: ThingId,
	at: Instant,
	count: z.number().min(0),
	/** As it was counted then: a lot may be counted in another unit since. */
	unit: z.enum(UNITS),
	kind: z.enum(['use', 'discard', 'add']),
	/** For what was thrown away; null: not said. */
	why: z.enum(WASTE_REASONS).nullable()
});
export type UseEvent = z.infer<typeof UseEvent>;

export const MEAL_SLOTS = ['breakfast', 'lunch', 'supper'] as const;
export const Meal = z.strictObject({
	id: MealId,
	name: Words,
	servings: z.int().min(1),
	timesPerMonth: z.number().min(0),
	/** When it is eaten; at none of them: it is cooked, but not planned. */
	slots: z.array(z.enum(MEAL_SLOTS)),
	ingredients: z.array(z.strictObject({ thingId: ThingId, packs: z.number().min(0) }))
});
export type Meal = z.infer<typeof Meal>;

/** A meal on a day of the plan: one of the usual ones, or what is left over of another. One of the two is set. */
export const PlannedMeal = z.strictObject({
	id: PlannedMealId,
	mealId: MealId.nullable(),
	/** The leftovers that are eaten. */
	lotId: LotId.nullable(),
	on: IsoDate,
	slot: z.enum(MEAL_SLOTS),
	servings: z.int().min(1).max(100),
	/** Said by hand: a new plan leaves it there. */
	byHand: z.boolean(),
	cookedOn: IsoDate.nullable()
});
export type PlannedMeal = z.infer<typeof PlannedMeal>;

/**
 * What was said of a line of the shopping list, or a line added by hand. `in-trolley`: bought, not yet put away.
 * `have`: there is some after all.
 */
export const ListLine = z.strictObject({
	id: ListLineId,
	/** null: something that is not in the home, by its name alone. */
	thingId: ThingId.nullable(),
	name: Words,
	count: z.number().min(0).max(10_000),
	state: z.enum(['wanted', 'in-trolley', 'have']),
	/** Added by hand; else it is there because of a rule, and goes with it. */
	byHand: z.boolean(),
	/** What was paid for one; null: not said. */
	paidMinor: Minor.nullable(),
	/** What was taken in its place; empty: itself. */
	instead: Words,
	on: IsoDate
});
export type ListLine = z.infer<typeof ListLine>;

/** A time in which a fridge or freezer was warmer than it should be, from its thermometer. */
export const WarmSpell = z.strictObject({
	id: WarmSpellId,
	cabinetId: CabinetId,
	/** Which part of it: a fridge-freezer has both. */
	kind: z.enum(['fridge', 'freezer']),
	/** Instants; `to` null: it still is. */
	from: Instant,
	to: Instant.nullable(),
	/** Mean and highest reading, °C. */
	meanC: z.number().min(-60).max(90),
	peakC: z.number().min(-60).max(90)
});
export type WarmSpell = z.infer<typeof WarmSpell>;

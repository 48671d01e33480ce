import { z } from 'zod';

// Without this zod tries to compile its checks, which the content security policy forbids.
z.config({ jitless: true });

/**
 * Words that every object answers to. None of them is an id: a look-up by such a word would find the language's own
 * furniture in place of "nothing there".
 */
const TAKEN = new Set(Object.getOwnPropertyNames(Object.prototype));

/** Tells whether a text may be an id: 1 to 64 word characters, and no word that every object answers to. */
export const isIdText = (text: string): boolean => /^[\w-]{1,64}$/.test(text) && !TAKEN.has(text);

export const IdText = z.string().refine(isIdText, { error: 'is not an id' });

/** Makes the schema of one kind of id, branded so that ids of two kinds cannot be mixed up. */
const idOf = <Brand extends string>() => IdText.brand<Brand>();

export const HomeId = idOf<'Home'>();
export const PersonId = idOf<'Person'>();
export const PetId = idOf<'Pet'>();
export const RoomId = idOf<'Room'>();
export const RunId = idOf<'Run'>();
export const StationId = idOf<'Station'>();
export const CabinetId = idOf<'Cabinet'>();
export const NookId = idOf<'Nook'>();
export const ThingId = idOf<'Thing'>();
export const LotId = idOf<'Lot'>();
export const DecisionId = idOf<'Decision'>();
export const GroupId = idOf<'Group'>();
export const KindId = idOf<'ContainerKind'>();
export const PlanId = idOf<'ZonePlan'>();
export const FitPlanId = idOf<'FitPlan'>();
export const MarkId = idOf<'Mark'>();
export const MealId = idOf<'Meal'>();
export const RoutineId = idOf<'Routine'>();
export const SessionId = idOf<'ClearingSession'>();
export const ResetId = idOf<'Reset'>();
export const UseEventId = idOf<'UseEvent'>();
export const PlannedMealId = idOf<'PlannedMeal'>();
export const ListLineId = idOf<'ListLine'>();
export const WarmSpellId = idOf<'WarmSpell'>();
export const PracticeCardId = idOf<'PracticeCard'>();
export const MisplacingId = idOf<'Misplacing'>();
export const PictureId = idOf<'Picture'>();
export const WorkTimeId = idOf<'WorkTime'>();
export const MaterialId = idOf<'Material'>();
export const SmallPartId = idOf<'SmallPart'>();
/** Something inside a record that one can point at (a corner, a doorway, a pipe, a container); unique in its list. */
export const PartId = idOf<'Part'>();

export type HomeId = z.infer<typeof HomeId>;
export type PersonId = z.infer<typeof PersonId>;
export type PetId = z.infer<typeof PetId>;
export type RoomId = z.infer<typeof RoomId>;
export type RunId = z.infer<typeof RunId>;
export type StationId = z.infer<typeof StationId>;
export type CabinetId = z.infer<typeof CabinetId>;
export type NookId = z.infer<typeof NookId>;
export type ThingId = z.infer<typeof ThingId>;
export type LotId = z.infer<typeof LotId>;
export type DecisionId = z.infer<typeof DecisionId>;
export type GroupId = z.infer<typeof GroupId>;
export type KindId = z.infer<typeof KindId>;
export type PlanId = z.infer<typeof PlanId>;
export type FitPlanId = z.infer<typeof FitPlanId>;
export type MarkId = z.infer<typeof MarkId>;
export type MealId = z.infer<typeof MealId>;
export type RoutineId = z.infer<typeof RoutineId>;
export type SessionId = z.infer<typeof SessionId>;
export type ResetId = z.infer<typeof ResetId>;
export type UseEventId = z.infer<typeof UseEventId>;
export type PlannedMealId = z.infer<typeof PlannedMealId>;
export type ListLineId = z.infer<typeof ListLineId>;
export type WarmSpellId = z.infer<typeof WarmSpellId>;
export type PracticeCardId = z.infer<typeof PracticeCardId>;
export type MisplacingId = z.infer<typeof MisplacingId>;
export type PictureId = z.infer<typeof PictureId>;
export type WorkTimeId = z.infer<typeof WorkTimeId>;
export type MaterialId = z.infer<typeof MaterialId>;
export type SmallPartId = z.infer<typeof SmallPartId>;
export type PartId = z.infer<typeof PartId>;

/** What has not been given its id yet. */
export type Unnamed<Record extends { readonly id: unknown }> = Omit<Record, 'id'>;

/**
 * Makes a source of ids from one stem: `stem-1`, `stem-2` … A change that is made again on a newer home then gives the
 * same ids. @example idsFrom('x')() // 'x-1'
 */
export function idsFrom(stem: string): () => string {
	let last = 0;
	return () => `${stem}-${++last}`;
}

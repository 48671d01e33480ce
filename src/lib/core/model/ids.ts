import { z } from 'zod';

// Without this zod tries to compile its checks, which the content security policy forbids.
z.config({ jitless: true });

/** Makes the schema of one kind of id: 1 to 64 word characters, branded so that ids of two kinds cannot be mixed up. */
const idOf = <Brand extends string>() =>
	z
		.string()
		.regex(/^[\w-]{1,64}$/)
		.brand<Brand>();

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

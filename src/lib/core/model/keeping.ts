import { z } from 'zod';
import {
	CabinetId,
	GroupId,
	IdText,
	MaterialId,
	MisplacingId,
	NookId,
	PersonId,
	PictureId,
	PracticeCardId,
	ResetId,
	ThingId,
	WorkTimeId
} from './ids';
import { Instant, IsoDate, Minor } from './scalars';
import { Words } from './places';

export const RESET_KINDS = [
	'food-boxes',
	'pantry-dates',
	'fridge',
	'spices',
	'freezer-list',
	'freezer-defrost',
	'medicines',
	'make-up',
	'under-sink',
	'junk-drawer',
	'seasonal',
	'own'
] as const;
/** A day of the year, as MM-DD. */
const DayOfYear = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/);
/** What was done of a reset on a day. */
export const ResetDone = z.strictObject({
	on: IsoDate,
	/** Share of what was looked at that had to go; null: not known. */
	foundShare: z.number().min(0).max(1).nullable(),
	/** null: not timed. */
	minutes: z.number().min(0).max(1440).nullable(),
	/** Left out this time. */
	skipped: z.boolean()
});
export type ResetDone = z.infer<typeof ResetDone>;
/** A planned return to a place. */
export const Reset = z.strictObject({
	id: ResetId,
	kind: z.enum(RESET_KINDS),
	/** In the household's own words; empty: as its kind. */
	name: Words,
	/** null: it is about no cabinet. */
	cabinetId: CabinetId.nullable(),
	/** The places of it that are meant; empty: all of the cabinet. */
	nookIds: z.array(NookId),
	everyDays: z.int().min(1).max(3650),
	lastDoneOn: IsoDate.nullable(),
	/** Share of what was looked at that had to go last time; it lengthens or shortens the interval. */
	foundShare: z.number().min(0).max(1).nullable(),
	/** Who does it; null: whoever sees it. */
	personId: PersonId.nullable(),
	/** When it was begun, while it is under way; null: it is not. */
	begunAt: Instant.nullable(),
	/** Not before this day; null: when it is due. */
	postponedTo: IsoDate.nullable(),
	/** The latest ones, the newest last. */
	log: z.array(ResetDone).max(60),
	/** For a seasonal swap: what stands in reach from which day on; the other group is put away. */
	swap: z
		.strictObject({
			groupIds: z.tuple([GroupId.nullable(), GroupId.nullable()]),
			from: z.tuple([DayOfYear, DayOfYear]),
			/** Where the one out of season waits. */
			awayNookId: NookId.nullable()
		})
		.nullable()
});
export type Reset = z.infer<typeof Reset>;

/** What a person knows of where a group lives, as a scheduler of practice keeps it. */
export const PracticeCard = z.strictObject({
	id: PracticeCardId,
	personId: PersonId,
	groupId: GroupId,
	/** The place it was learned for: when the group moves, it is to be learned anew. */
	nookId: NookId,
	dueAt: Instant,
	stability: z.number().min(0).max(1e6),
	difficulty: z.number().min(0).max(100),
	scheduledDays: z.number().min(0).max(36_500),
	learningSteps: z.int().min(0).max(100),
	reps: z.int().min(0),
	lapses: z.int().min(0),
	state: z.int().min(0).max(3),
	reviewedAt: Instant.nullable(),
	/** Right answers in a row. */
	streak: z.int().min(0)
});
export type PracticeCard = z.infer<typeof PracticeCard>;

/** A thing that was found elsewhere than where it lives. */
export const Misplacing = z.strictObject({
	id: MisplacingId,
	thingId: ThingId,
	/** Where it was found; null: nowhere, it was only missed. */
	nookId: NookId.nullable(),
	at: Instant
});
export type Misplacing = z.infer<typeof Misplacing>;

/** A picture of a place on a day: how it was, and how it is. */
export const Picture = z.strictObject({
	id: PictureId,
	nookId: NookId,
	/** Key of a picture in the store of photos. */
	photoId: IdText,
	on: IsoDate,
	when: z.enum(['before', 'after'])
});
export type Picture = z.infer<typeof Picture>;

/** The stages of the work, in their order. */
export const STAGES = ['walk', 'clear', 'sort', 'place', 'fit', 'mark', 'turn', 'keep'] as const;
export type Stage = (typeof STAGES)[number];
/** What hours go into: a stage, or the way to the shop. */
export const WORK_STAGES = [...STAGES, 'shop'] as const;
/** Time of an organizer at a home that no clear-out timed. */
export const WorkTime = z.strictObject({
	id: WorkTimeId,
	on: IsoDate,
	stage: z.enum(WORK_STAGES),
	minutes: z.int().min(1).max(1440),
	note: Words
});
export type WorkTime = z.infer<typeof WorkTime>;

/** What was used or bought for a home: liners, labels, boxes, hooks. */
export const Material = z.strictObject({
	id: MaterialId,
	on: IsoDate,
	name: Words,
	count: z.number().positive().max(10_000),
	/** Of one; null: not known. */
	priceMinor: Minor.nullable()
});
export type Material = z.infer<typeof Material>;

import { z } from 'zod';
import { ClearingSession, Decision, Group, Lot, Routine, Thing } from './goods';
import { Instant, IsoDate } from './scalars';
import { HomeId, IdText, NookId, PlanId } from './ids';
import { Cabinet, Nook, Person, Pet, Room, Run, Station, Words } from './places';
import { ContainerKind, FitPlan, Mark, MOST_LETTERS, Pin, ZonePlan } from './plans';
import { Settings } from './settings';
import { SmallPart } from './small-parts';
import { BelongsHere } from './spots';
import { Customs } from './customs';
import { Material, Misplacing, Picture, PracticeCard, Reset, WorkTime } from './keeping';
import { ListLine, Meal, PlannedMeal, UseEvent, WarmSpell } from './stocking';

/** The version of the file and record layout that this program writes. */
export const HOME_VERSION = 13;

/** The schema of each kind of record, by the name of its collection. */
export const RECORD_SCHEMAS = {
	people: Person,
	pets: Pet,
	rooms: Room,
	runs: Run,
	stations: Station,
	cabinets: Cabinet,
	nooks: Nook,
	things: Thing,
	lots: Lot,
	decisions: Decision,
	groups: Group,
	containerKinds: ContainerKind,
	zonePlans: ZonePlan,
	fitPlans: FitPlan,
	marks: Mark,
	meals: Meal,
	routines: Routine,
	sessions: ClearingSession,
	resets: Reset,
	useEvents: UseEvent,
	plannedMeals: PlannedMeal,
	listLines: ListLine,
	warmSpells: WarmSpell,
	practiceCards: PracticeCard,
	misplacings: Misplacing,
	pictures: Picture,
	workTimes: WorkTime,
	materials: Material,
	smallParts: SmallPart
} as const;

export type CollectionName = keyof typeof RECORD_SCHEMAS;
export const COLLECTION_NAMES = Object.keys(RECORD_SCHEMAS) as CollectionName[];

const MinuteOfDay = z
	.int()
	.min(0)
	.max(24 * 60);
/**
 * Records by id. Each stands under its own id, and the collection has no prototype: what is looked up and not there is
 * `undefined`, whatever its name.
 */
const collection = <S extends z.ZodType<{ id: string }>>(record: S) =>
	z
		.record(IdText, record)
		.refine((records) => Object.entries(records).every(([key, { id }]) => key === id), {
			error: 'has a record under another id than its own'
		})
		.overwrite((records) => Object.assign(Object.create(null) as typeof records, records));

/** What a home says of itself, without its collections. */
export const HomeHead = z.strictObject({
	id: HomeId,
	name: Words.min(1),
	createdAt: Instant,
	units: z.enum(['mm', 'cm', 'in']),
	currency: z.string().regex(/^[A-Z]{3}$/),
	/** How dates are written here; null: not asked yet. */
	dateOrder: z.enum(['dmy', 'mdy', 'ymd']).nullable(),
	rented: z.boolean(),
	schools: z.strictObject({
		/** Where daily dishes are unloaded from or used. */
		near: z.enum(['use', 'dishwasher']),
		/** How much may move: little (a quarter of what stands well), what pays back its carrying, all. */
		change: z.enum(['little', 'some', 'scratch']),
		room: z.enum(['slack', 'every-inch']),
		tops: z.boolean(),
		boxes: z.enum(['decant', 'packs']),
		/** How a clear-out runs: one place after the other, or everything out first. */
		clear: z.enum(['place-at-a-time', 'all-at-once']),
		/** Whether dates are kept of each pack, or of a section of a shelf that holds a month or a quarter of a year. */
		dates: z.enum(['packs', 'month', 'quarter'])
	}),
	customs: Customs,
	/** The organizer's or the household's own words, for the report. */
	note: z.string().max(4000),
	/** The clear-out that is planned; null: none. Minutes are counted from midnight. */
	clearDay: z
		.strictObject({
			on: IsoDate,
			fromMin: MinuteOfDay,
			/** Nothing is started that cannot be closed by then. */
			stopMin: MinuteOfDay,
			fixed: z.array(z.strictObject({ name: Words, fromMin: MinuteOfDay, toMin: MinuteOfDay })),
			hands: z.int().min(1).max(12),
			nookIds: z.array(NookId)
		})
		.nullable(),
	settings: Settings,
	/** Kinds that were told apart by hand: category by the key of a name, so that it is asked once. */
	readings: z.record(z.string().max(200), z.string().max(60)),
	/** Where kinds belong here, other than the usual: one row a kind and kind of place. */
	belongs: z.array(BelongsHere),
	pins: z.array(Pin),
	/** Words of labels that were said in another home, by those that would be proposed. */
	labelWords: z.record(z.string().max(MOST_LETTERS), z.string().max(MOST_LETTERS)),
	/** What was last printed on each label, by its id. */
	printed: z.record(z.string().max(200), z.string().max(MOST_LETTERS)),
	activePlanId: PlanId.nullable()
});
export type HomeHead = z.infer<typeof HomeHead>;

/** One dwelling with its people, rooms, things and plan; records by id. */
export const Home = z.strictObject({
	...HomeHead.shape,
	people: collection(Person),
	pets: collection(Pet),
	rooms: collection(Room),
	runs: collection(Run),
	stations: collection(Station),
	cabinets: collection(Cabinet),
	nooks: collection(Nook),
	things: collection(Thing),
	lots: collection(Lot),
	decisions: collection(Decision),
	groups: collection(Group),
	containerKinds: collection(ContainerKind),
	zonePlans: collection(ZonePlan),
	fitPlans: collection(FitPlan),
	marks: collection(Mark),
	meals: collection(Meal),
	routines: collection(Routine),
	sessions: collection(ClearingSession),
	resets: collection(Reset),
	useEvents: collection(UseEvent),
	plannedMeals: collection(PlannedMeal),
	listLines: collection(ListLine),
	warmSpells: collection(WarmSpell),
	practiceCards: collection(PracticeCard),
	misplacings: collection(Misplacing),
	pictures: collection(Picture),
	workTimes: collection(WorkTime),
	materials: collection(Material),
	smallParts: collection(SmallPart)
});
export type Home = z.infer<typeof Home>;
/** What a computation reads of a home. @example HomePart<'things' | 'lots'> */
export type HomePart<Key extends keyof Home> = Pick<Home, Key>;

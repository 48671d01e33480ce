import { z } from 'zod';
import { CONTAINER_ROLES } from './container-roles';
import { DecisionId, GroupId, LotId, NookId, PersonId, RoutineId, SessionId, ThingId } from './ids';
import { Instant, IsoDate, Minor } from './scalars';
import { Mm, StationKind, Words } from './places';
import { HoldRule, UNITS } from './stocking';

export const USE_CLASSES = [
	'several-daily',
	'daily',
	'some-days',
	'weekly',
	'fortnightly',
	'monthly',
	'seasonal',
	'rarely'
] as const;
export const UseClass = z.enum(USE_CLASSES);
export type UseClass = z.infer<typeof UseClass>;

export const NEEDS = ['chilled', 'frozen', 'cool', 'dark', 'dry', 'ventilated'] as const;
export const HAZARDS = [
	'cleaner',
	'bleach',
	'acid',
	'medicine',
	'sharp',
	'alcohol',
	'choking',
	'pet-toxic',
	'allergen',
	'flammable',
	'raw-meat',
	'unknown'
] as const;
export const Need = z.enum(NEEDS);
export const Hazard = z.enum(HAZARDS);
export type Need = z.infer<typeof Need>;
export type Hazard = z.infer<typeof Hazard>;

/** What a group's things do to their neighbours, or suffer from them. */
export const TRAITS = ['heat-shy', 'smell', 'treat', 'ethylene'] as const;
export const Trait = z.enum(TRAITS);
export type Trait = z.infer<typeof Trait>;

/** How uses split among kinds of station; the shares sum to 1. */
const StationShares = z.array(
	z.strictObject({ kind: StationKind, share: z.number().min(0).max(1) })
);

export const Thing = z.strictObject({
	id: ThingId,
	name: Words,
	/** Code of a row of data/categories.json. */
	category: Words,
	/** One pack or piece, as it stands on a shelf. */
	piece: z.strictObject({ widthMm: Mm, depthMm: Mm, heightMm: Mm }),
	massG: z.int().min(0),
	/** Bulk density of what is in the pack, weighed by hand, g/ml; null: as its name says. */
	densityGPerMl: z.number().positive().max(25).nullable(),
	use: z.strictObject({
		class: UseClass,
		/** Counted from logged uses; takes the place of the class when set. */
		countedPerWeek: z.number().min(0).max(1000).nullable()
	}),
	userIds: z.array(PersonId),
	/** Where it is used; empty: as the category says. */
	stations: StationShares,
	needs: z.array(Need),
	hazards: z.array(Hazard),
	/** Key of a row of data/life.json; null: no life limit known. */
	lifeKey: Words.nullable(),
	groupId: GroupId.nullable(),
	/** Put into its group by hand: a new proposal leaves it there. */
	groupByHand: z.boolean(),
	/** Allergens it holds, and those it is sure to be free of; null: read from its name. */
	allergens: z.strictObject({ contains: z.array(Words), freeFrom: z.array(Words) }).nullable(),
	/** How it is cooked, as the pack says: it goes on the label of the jar. Empty: not said. */
	cooking: Words,
	/** How much to hold; null: not restocked. */
	hold: HoldRule.nullable(),
	/** Uses or portions that one pack gives; null: as its kind usually does. */
	packUses: z.number().positive().max(1000).nullable(),
	priceMinor: Minor.nullable(),
	avoid: z.boolean(),
	/** Number on the pack, 8 to 14 digits; null: none known. */
	code: z
		.string()
		.regex(/^\d{8,14}$/)
		.nullable(),
	/** For a box, a pot or a lid: the rim by which it finds its other half. A round rim has two equal sides. */
	rim: z
		.strictObject({
			part: z.enum(['vessel', 'lid']),
			shape: z.enum(['round', 'rect']),
			widthMm: Mm,
			depthMm: Mm
		})
		.nullable()
});
export type Thing = z.infer<typeof Thing>;

export const LOT_STATES = [
	'open',
	'frozen',
	'thawed',
	'warm-over-2h',
	'ice-crystals',
	'freezer-burn',
	'dented',
	'dented-seam',
	'bulging',
	'leaking',
	'rusty',
	'deep-rust',
	'popped',
	'smells',
	'pest',
	'mouldy',
	'part-used',
	'chipped',
	'worn',
	'no-label',
	'no-lid',
	'no-box',
	'no-part',
	'broken'
] as const;
export const LotState = z.enum(LOT_STATES);
export type LotState = z.infer<typeof LotState>;

export const Lot = z.strictObject({
	id: LotId,
	thingId: ThingId,
	/** null: out of its place, on the table. */
	nookId: NookId.nullable(),
	count: z.number().min(0).max(1_000_000),
	unit: z.enum(UNITS),
	dates: z.strictObject({
		printed: z.strictObject({ on: IsoDate, kind: z.enum(['use-by', 'best-before']) }).nullable(),
		openedOn: IsoDate.nullable(),
		frozenOn: IsoDate.nullable(),
		thawedOn: IsoDate.nullable(),
		/** Cooked, baked or put up at home. */
		madeOn: IsoDate.nullable(),
		lastUsedOn: IsoDate.nullable()
	}),
	states: z.array(LotState),
	/** Days of life that warm spells of its fridge or freezer took. */
	lostDays: z.number().min(0).max(10_000),
	/** Whose it is when it is not the household's; empty: theirs. */
	owner: Words,
	/** The maker's batch, as printed on the pack. */
	batch: Words
});
export type Lot = z.infer<typeof Lot>;

export const VERDICTS = [
	'keep',
	'back-stock',
	'use-first',
	'move',
	'hold',
	'give',
	'return',
	'recycle',
	'discard',
	'hazardous'
] as const;
export const Verdict = z.enum(VERDICTS);
export type Verdict = z.infer<typeof Verdict>;

export const Decision = z.strictObject({
	id: DecisionId,
	lotId: LotId,
	thingId: ThingId,
	nookId: NookId.nullable(),
	count: z.number().min(0),
	verdict: Verdict,
	/** The verdict the program had advised, with the code of its rule; null: it had none. */
	advised: z.strictObject({ verdict: Verdict, code: Words }).nullable(),
	wantAgain: z.boolean(),
	/** Why it was decided otherwise than advised. */
	reason: Words,
	/** To whom or where it goes: a name, a shop that takes returns, a collection point. */
	to: Words,
	/** For what leaves: to be out of the house by; for what is on hold: to be asked again on. */
	dueOn: IsoDate.nullable(),
	/** When it was out of the house, or asked again. */
	doneOn: IsoDate.nullable(),
	at: Instant
});
export type Decision = z.infer<typeof Decision>;

const figure = z.number().min(0).max(1e9).nullable();

/** Figures of a group set by hand; null: computed from its things. */
export const GroupOverrides = z.strictObject({
	usesPerWeek: z.number().min(0).max(1000).nullable(),
	volumeMl: figure,
	runMm: figure,
	massG: figure,
	heaviestG: figure,
	tallestMm: figure,
	longestMm: figure,
	stations: StationShares.nullable(),
	userIds: z.array(PersonId).nullable(),
	needs: z.array(Need).nullable(),
	hazards: z.array(Hazard).nullable(),
	traits: z.array(Trait).nullable(),
	look: z.enum(['show', 'hide', 'either']).nullable()
});
export type GroupOverrides = z.infer<typeof GroupOverrides>;

/** Why a group is one; `words` fill the sentence: names of a person, an allergen, an appliance, of what joined it. */
export const GROUP_REASONS = [
	'category',
	'kit',
	'person',
	'free-from',
	'pet',
	'own-rule',
	'outsize',
	'often',
	'seldom',
	'sliver',
	'few-nooks'
] as const;
export const GroupReason = z.strictObject({
	code: z.enum(GROUP_REASONS),
	words: z.array(z.string().max(120))
});
export type GroupReason = z.infer<typeof GroupReason>;

/** Where the weight of a pair comes from; a proposal renews all but those set by hand. */
export const PARTNER_SOURCES = ['hand', 'category', 'routine'] as const;

export const Group = z.strictObject({
	id: GroupId,
	name: Words,
	tag: z.strictObject({ code: z.string().regex(/^[A-Z0-9]{2}$/), hue: z.int().min(0).max(11) }),
	overrides: GroupOverrides,
	/** Weight: trips a week between the two. 0 by hand: not partners, whatever is proposed. */
	partners: z.array(
		z.strictObject({
			groupId: GroupId,
			weight: z.number().min(0).max(1000),
			why: z.enum(PARTNER_SOURCES)
		})
	),
	/** The group whose unopened spares these are; null: a group of its own. Such a group has no things of its own. */
	stockOf: GroupId.nullable(),
	/** Kept in its packs or poured into jars; null: as the home does. */
	boxes: z.enum(['decant', 'packs']).nullable(),
	/** What holds it, whatever its kinds of goods are usually held by; `none`: it stands free. null: as usual. */
	holder: z.enum([...CONTAINER_ROLES, 'none']).nullable(),
	/** Boxes and pots with their lids on, or nested with the lids beside them; null: nested. */
	lids: z.enum(['on', 'nested']).nullable(),
	/** Why it was proposed, first reason first; empty: made by hand. */
	why: z.array(GroupReason).max(8),
	/** Named or made by hand, so that a new proposal neither renames nor removes it. */
	byHand: z.boolean()
});
export type Group = z.infer<typeof Group>;

export const Routine = z.strictObject({
	id: RoutineId,
	name: Words,
	timesPerWeek: z.number().min(0),
	steps: z.array(z.strictObject({ groupId: GroupId.nullable(), station: StationKind.nullable() }))
});
export type Routine = z.infer<typeof Routine>;

export const ClearingSession = z.strictObject({
	id: SessionId,
	nookId: NookId,
	startedAt: Instant,
	/** null: half done; it can be taken up again. */
	endedAt: Instant.nullable(),
	plannedMin: z.number().min(0),
	/** Minutes worked before the present stretch. */
	workedMin: z.number().min(0),
	/** Start of the present stretch; null: stopped. */
	runningSince: Instant.nullable(),
	/** Things that were looked at. */
	things: z.int().min(0),
	/** Keys of the strays that were fetched. */
	strays: z.array(Words)
});
export type ClearingSession = z.infer<typeof ClearingSession>;

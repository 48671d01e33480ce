import { z } from 'zod';
import { FitPlanId, GroupId, KindId, MarkId, NookId, PartId, PlanId, ThingId } from './ids';
import { CONTAINER_ROLES } from './container-roles';
import { Instant, IsoDate, Minor } from './scalars';
import { Mm, MOST, partsOf, Words } from './places';

/** So many pieces of a thing, in a container or on the shelf itself. */
export const Held = z.strictObject({ thingId: ThingId, pieces: z.int().min(1) });
export type Held = z.infer<typeof Held>;

export const ContainerKind = z.strictObject({
	id: KindId,
	name: Words,
	role: z.enum(CONTAINER_ROLES),
	shape: z.enum(['box', 'round']),
	/** Outer size at the top and at the base: many bins taper. */
	outerTop: z.strictObject({ widthMm: Mm, depthMm: Mm }),
	outerBase: z.strictObject({ widthMm: Mm, depthMm: Mm }),
	inner: z.strictObject({ widthMm: Mm, depthMm: Mm, heightMm: Mm }),
	heightMm: Mm,
	massG: z.int().min(0),
	lid: z.boolean(),
	stack: z.boolean(),
	nest: z.boolean(),
	clear: z.boolean(),
	airtight: z.boolean(),
	/** May be turned by 90°; false where a handle must face the front. */
	turn: z.boolean(),
	/** Compartments side by side, each for one kind of thing; 1: none. */
	cells: z.int().min(1).max(24),
	/** It is cut or pulled to measure, from its outer size down to this; null: it is as it is. Its inside is what the least takes. */
	cutTo: z.strictObject({ widthMm: Mm, depthMm: Mm }).nullable(),
	/** What it looks like, in a word or two, as its whole line does; empty: it goes with any. */
	look: z.string().max(60),
	/** Of one. */
	priceMinor: Minor,
	/** Sold only in packs of so many; 1: one by one. */
	soldBy: z.int().min(1).max(100),
	/** Where it is sold, in the household's words; empty: not said. */
	shop: z.string().max(60),
	owned: z.int().min(0).max(1000)
});
export type ContainerKind = z.infer<typeof ContainerKind>;

/** One container in a nook: corner nearest the front left bottom; x from the left, y from the front, z up. */
export const Placement = z.strictObject({
	id: PartId,
	kindId: KindId,
	groupId: GroupId,
	xMm: Mm,
	yMm: Mm,
	zMm: Mm,
	turned: z.boolean(),
	/** The outer size that it is cut or pulled to here; null: as it is sold. */
	cut: z.strictObject({ widthMm: Mm, depthMm: Mm }).nullable(),
	/** What is in it; empty in what was fitted before contents were kept. */
	holds: z.array(Held)
});
export type Placement = z.infer<typeof Placement>;

export const Assignment = z.strictObject({
	groupId: GroupId,
	nookId: NookId,
	/** Part of the group that lives here, 0 to 1; the parts of a placed group sum to 1. */
	share: z.number().min(0).max(1),
	/** What of the group it is, where it was parted by what it is made of; left out: a share of everything. */
	thingIds: z.array(ThingId).optional()
});
export type Assignment = z.infer<typeof Assignment>;

export const WishPrice = z.strictObject({
	groupId: GroupId,
	/** Effort that was found to be saved without them. */
	extra: z.number().min(0),
	/** It cannot be more than this. */
	atMost: z.number().min(0)
});
export type WishPrice = z.infer<typeof WishPrice>;

export const ZonePlan = z.strictObject({
	id: PlanId,
	name: Words,
	assignments: z.array(Assignment),
	/** Groups that no nook could take. */
	overflow: z.array(GroupId),
	objective: z.number(),
	bound: z.number(),
	seed: z.int(),
	/** What the pins and bans of a group cost in weekly effort, against the best plan without them. */
	wishPrices: z.array(WishPrice),
	/** The place that stays empty to grow, with the effort it adds; null: none was asked for, or none could. */
	keptEmpty: z.strictObject({ nookId: NookId, extra: z.number().min(0) }).nullable(),
	/** Of the inputs it was computed from; differs from today's when the plan is stale. */
	fingerprint: z.string(),
	madeAt: Instant,
	/** The household still learns its places until then; null: not said. */
	learnUntil: IsoDate.nullable()
});
export type ZonePlan = z.infer<typeof ZonePlan>;

/** A rule of the user's own: a group that must, or must not, live in a nook. */
export const Pin = z.strictObject({
	groupId: GroupId,
	nookId: NookId,
	kind: z.enum(['pin', 'ban']),
	/** What of the group it means, where the plan had it in parts; left out: whichever part suits. */
	thingIds: z.array(ThingId).optional()
});
export type Pin = z.infer<typeof Pin>;

/** A block of a nook's floor where goods stand without a container. */
export const Standing = z.strictObject({
	id: PartId,
	groupId: GroupId,
	/** What stands here, the largest first. */
	names: z.array(Words),
	holds: z.array(Held),
	xMm: Mm,
	yMm: Mm,
	widthMm: Mm,
	depthMm: Mm,
	heightMm: Mm
});
export type Standing = z.infer<typeof Standing>;

export const FitPlan = z.strictObject({
	id: FitPlanId,
	nookId: NookId,
	placements: partsOf(Placement, MOST.placements),
	standing: partsOf(Standing, MOST.standing),
	/** What did not go in, thing by thing; an older plan knows only how much of which group. */
	leftOver: z.array(
		z.strictObject({
			groupId: GroupId,
			thingId: ThingId.nullable(),
			pieces: z.int().min(0),
			volumeMl: z.number().min(0)
		})
	),
	costMinor: Minor,
	fingerprint: z.string(),
	madeAt: Instant
});
export type FitPlan = z.infer<typeof FitPlan>;

/** Letters of a label; more of them are refused before. */
export const MOST_LETTERS = 120;
export const Mark = z.strictObject({
	id: MarkId,
	nookId: NookId,
	/** The container it is on, of the fit plan of its nook; null: the place itself. */
	placementId: PartId.nullable(),
	groupId: GroupId.nullable(),
	/** The words by hand; empty: as proposed. */
	text: z.string().max(MOST_LETTERS),
	note: z.string().max(120),
	/** It stays without a label, for what is to come. */
	bare: z.boolean(),
	/** What was in it when its words were said. */
	thingIds: z.array(ThingId)
});
export type Mark = z.infer<typeof Mark>;

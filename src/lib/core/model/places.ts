import { z } from 'zod';
import {
	CabinetId,
	IdText,
	NookId,
	PartId,
	PersonId,
	PetId,
	RoomId,
	RunId,
	StationId
} from './ids';

/** A length in whole millimetres, zero or more, at most 100 m. */
export const Mm = z.int().min(0).max(100_000);
/** A signed plan coordinate in whole millimetres. */
export const PlanMm = z.int().min(-100_000).max(100_000);
/** Text a person typed: trimmed of nothing, at most 200 characters. */
export const Words = z.string().max(200);

export const Point = z.strictObject({ x: PlanMm, y: PlanMm });
export type Point = z.infer<typeof Point>;
/** A point of the plan that can be taken hold of: a corner of a room, a socket. */
export const MarkedPoint = z.strictObject({ id: PartId, ...Point.shape });
export type MarkedPoint = z.infer<typeof MarkedPoint>;
/** A way through to the next room: a straight gap from `a` to `b`. */
export const Door = z.strictObject({ id: PartId, a: Point, b: Point });
export type Door = z.infer<typeof Door>;

/** A list of parts of which no two have the same id, at most `most` of them. */
export const partsOf = <Part extends z.ZodType<{ id: string }>>(part: Part, most: number) =>
	z
		.array(part)
		.max(most)
		.refine((parts) => new Set(parts.map(({ id }) => id)).size === parts.length, {
			error: 'has two parts with the same id'
		});

/** How much one record may hold, far above what a home has: beyond it a drawing or a plan is no longer computed. */
export const MOST = {
	corners: 200,
	doors: 50,
	obstacles: 200,
	sockets: 200,
	obstructions: 50,
	placements: 2000,
	standing: 2000
} as const;

export const CLIMATE_TAGS = ['heat', 'steam', 'sun', 'damp', 'unheated', 'ventilated'] as const;
export const ClimateTag = z.enum(CLIMATE_TAGS);
export type ClimateTag = z.infer<typeof ClimateTag>;

export const AGE_BANDS = ['toddler', 'child', 'teen', 'adult', 'older'] as const;
export const Person = z.strictObject({
	id: PersonId,
	name: Words,
	statureMm: Mm,
	ageBand: z.enum(AGE_BANDS),
	visits: z.boolean(),
	limits: z.strictObject({
		maxLiftG: z.int().positive().nullable(),
		noClimb: z.boolean(),
		noAboveShoulder: z.boolean(),
		/** Between which heights somebody who sits (wheelchair, stool) takes things; null: stands. */
		seated: z.strictObject({ lowMm: Mm, highMm: Mm }).nullable()
	}),
	diets: z.array(Words),
	allergies: z.array(Words)
});
export type Person = z.infer<typeof Person>;

export const Pet = z.strictObject({ id: PetId, name: Words, kind: Words });
export type Pet = z.infer<typeof Pet>;

export const OBSTACLE_KINDS = ['island', 'table', 'bed', 'pillar', 'other'] as const;
/** What one walks round and that is no cabinet. Left top corner and size on the plan. */
export const Obstacle = z.strictObject({
	id: PartId,
	kind: z.enum(OBSTACLE_KINDS),
	name: Words,
	x: PlanMm,
	y: PlanMm,
	widthMm: Mm,
	depthMm: Mm,
	/** Free height beneath it, as under a bed; 0: it stands on the floor. */
	clearBelowMm: Mm
});
export type Obstacle = z.infer<typeof Obstacle>;

export const Room = z.strictObject({
	id: RoomId,
	name: Words,
	/** Corners in plan mm, in order, not closed; y grows towards the bottom of the drawing. */
	outline: partsOf(MarkedPoint, MOST.corners).min(3),
	doors: partsOf(Door, MOST.doors),
	obstacles: partsOf(Obstacle, MOST.obstacles),
	/** Points of the plan where something can be plugged in. */
	sockets: partsOf(MarkedPoint, MOST.sockets),
	ceilingMm: Mm,
	climate: z.array(ClimateTag),
	/** The look that containers in here are to have; empty: any. */
	look: z.string().max(60)
});
export type Room = z.infer<typeof Room>;

/** A straight wall line along which cabinets stand; seen from the front, `from` is on the left. */
export const Run = z.strictObject({
	id: RunId,
	roomId: RoomId,
	name: Words,
	from: Point,
	to: Point
});
export type Run = z.infer<typeof Run>;

export const STATION_KINDS = [
	'sink',
	'hob',
	'oven',
	'fridge',
	'freezer',
	'dishwasher',
	'worktop',
	'kettle',
	'table',
	'entrance',
	'basin',
	'shower',
	'laundry'
] as const;
export const StationKind = z.enum(STATION_KINDS);
export type StationKind = z.infer<typeof StationKind>;
export const Station = z.strictObject({
	id: StationId,
	kind: StationKind,
	name: Words,
	roomId: RoomId,
	at: Point
});
export type Station = z.infer<typeof Station>;

export const CABINET_FORMS = [
	'base',
	'wall',
	'tall',
	'drawers',
	'sink',
	'open',
	'fridge',
	'chest',
	'basin',
	'mirror',
	'trolley',
	'corner',
	'carousel',
	'under-bed',
	'door-rack'
] as const;
export const Cabinet = z.strictObject({
	id: CabinetId,
	runId: RunId,
	name: Words,
	form: z.enum(CABINET_FORMS),
	/** From the left end of the run to the left side of the body. */
	offsetMm: Mm,
	/** From the floor to the underside of the body. */
	baseMm: Mm,
	widthMm: Mm,
	heightMm: Mm,
	depthMm: Mm,
	front: z.enum(['door', 'drawer', 'open', 'lid']),
	shelves: z
		.strictObject({ pitchMm: Mm, firstHoleMm: Mm, thicknessMm: Mm })
		.nullable()
		.describe('null: the shelves are fixed'),
	climate: z.array(ClimateTag),
	/** Has a lock that a key or a tool opens. */
	lockable: z.boolean(),
	/** Has child catches: they hold a small child up, and are no lock. */
	childCatch: z.boolean().default(false)
});
export type Cabinet = z.infer<typeof Cabinet>;

export const NOOK_KINDS = [
	'shelf',
	'drawer',
	'door',
	'undersink',
	'top',
	'worktop',
	'fridge-shelf',
	'crisper',
	'fridge-door',
	'freezer-drawer',
	'chest-layer',
	'chest-basket',
	'trolley',
	'corner',
	'carousel',
	'under-shelf',
	'hooks',
	'rail',
	'slide-out',
	'side-panel',
	'under-bed',
	'cupboard'
] as const;
export const NookKind = z.enum(NOOK_KINDS);
export type NookKind = z.infer<typeof NookKind>;

export const OBSTRUCTION_KINDS = [
	'pipe',
	'trap',
	'valve',
	'hinge',
	'post',
	'step',
	'filter'
] as const;
/** A box inside a nook. x from the left, y from the front, z from the bottom, all mm. */
export const Obstruction = z.strictObject({
	id: PartId,
	kind: z.enum(OBSTRUCTION_KINDS),
	xMm: Mm,
	yMm: Mm,
	zMm: Mm,
	widthMm: Mm,
	depthMm: Mm,
	heightMm: Mm
});
export type Obstruction = z.infer<typeof Obstruction>;

/** An inside size; null where it has not been measured yet. */
export const InsideSize = z.strictObject({
	widthMm: Mm.nullable(),
	depthMm: Mm.nullable(),
	heightMm: Mm.nullable()
});
export type InsideSize = z.infer<typeof InsideSize>;

/** What may be fixed to the walls of a place: `no-holes` is clamps, hooks that hang over and adhesive. */
export const FIXINGS = ['any', 'no-holes', 'none'] as const;
export type Fixings = (typeof FIXINGS)[number];

/** How a place was found that the home had all along. */
export const HIDDEN_KINDS = [
	'second-shelf',
	'under-shelf-basket',
	'door-rack',
	'door-hooks',
	'wall-hooks',
	'cabinet-top',
	'slide-out',
	'turntable',
	'trolley',
	'side-panel',
	'under-bed',
	'unused-cupboard'
] as const;
export const HiddenKind = z.enum(HIDDEN_KINDS);
export type HiddenKind = z.infer<typeof HiddenKind>;

const Readings = z.array(Mm).max(3);

export const Nook = z.strictObject({
	id: NookId,
	cabinetId: CabinetId,
	name: Words,
	kind: NookKind,
	/** Bottom left corner on the cabinet's front: x from its left side, z above its underside. */
	at: z.strictObject({ xMm: Mm, zMm: Mm }),
	/** The smallest of the readings of each side, where there are any. */
	inside: InsideSize,
	/** Sides that were taken from a picture, with how far they may be off, mm; null: none. */
	pictured: z.strictObject({ widthMm: Mm.nullable(), heightMm: Mm.nullable() }).nullable(),
	/** Up to three readings a side, as they were taken. */
	readings: z.strictObject({ widthMm: Readings, depthMm: Readings, heightMm: Readings }),
	/** Clear way in; null: as large as the inside. */
	opening: z.strictObject({ widthMm: Mm, heightMm: Mm }).nullable(),
	obstructions: partsOf(Obstruction, MOST.obstructions),
	loadG: z.int().positive().nullable(),
	tags: z.array(z.enum(['use-first', 'satellite', 'plain-sight'])),
	adjustable: z.boolean(),
	/** What its spot adds to the climate of cabinet and room. */
	climate: z.array(ClimateTag),
	temperatureC: z.number().min(-60).max(90).nullable(),
	/** A lock of its own, besides one of the cabinet's. */
	locked: z.boolean(),
	/** A child catch of its own. */
	childCatch: z.boolean().default(false),
	/** null: as the home says, no holes where it is rented. */
	fixings: z.enum(FIXINGS).nullable(),
	/** Key of a picture in the store of photos. */
	photoId: IdText.nullable(),
	/** Set where it was accepted from the finder of hidden storage. */
	found: HiddenKind.nullable()
});
export type Nook = z.infer<typeof Nook>;

import { z } from 'zod';
import rows from '../../../../data/belongs.json';
import type { GroupFigures } from '../grouping';
import {
	categoryOf,
	memoOn,
	Spot,
	SPOTS,
	StationKind,
	PLACE_RANKS,
	usesPerWeek,
	type BelongsHere,
	type Home,
	type PlaceRank
} from '../model';
import {
	baseAboveFloorMm,
	isBathroom,
	nooksInOrder,
	reachHeights,
	type NookPlace
} from '../survey';

/** Kinds of place that the table tells apart; a household speaks of drawers by their depth alone, and of heights roughly. */
const PlaceKind = z.enum([...SPOTS, 'low-drawer', 'wall-upper']);
export type PlaceKind = z.infer<typeof PlaceKind>;

/** Where a kind of thing belongs: first choice costs nothing, what is named nowhere is fair, poor costs a lot. */
export const Belongs = z.strictObject({
	kinds: z.array(z.string()).min(1),
	first: z.array(PlaceKind).min(1),
	/** First choices of a home that has none of the first. */
	instead: z.array(PlaceKind).optional(),
	poor: z.array(PlaceKind),
	/** Fair at best, though the place is a first choice by another name. */
	fair: z.array(PlaceKind).optional(),
	/** Poor even where the place is a first choice as well. */
	bad: z.array(PlaceKind).optional(),
	/** Where its work is done: a first choice only within so many metres' walk, poor beyond so many. */
	near: z
		.strictObject({ to: z.array(StationKind).min(1), firstM: z.number(), poorM: z.number() })
		.optional(),
	/** Work that needs the places around it for itself: poor within so many metres' walk. */
	away: z.strictObject({ from: z.array(StationKind).min(1), withinM: z.number() }).optional(),
	/** How strongly it wants its first choice, where that is more than usual. */
	pull: z.number().positive().optional(),
	why: z.string()
});
export type Belongs = z.infer<typeof Belongs>;
export const BELONGS: readonly Belongs[] = z.array(Belongs).parse(rows);
const byKind = new Map(BELONGS.flatMap((row) => row.kinds.map((kind) => [kind, row] as const)));

/** The usual row of a kind; null: it stands well anywhere. */
export const belongsOf = (kind: string): Belongs | null => byKind.get(kind) ?? null;

/** A drawer up to this height inside is a shallow one, mm. */
const SHALLOW_MM = 170;
/** A usual adult's, mm: what a place is called does not hang on who lives here. */
const USUAL_MM = 1680;
/** The shelf of a wall cabinet that one still takes from without stretching stands below this, mm. */
const LOWEST_WALL_MM = 1600;
/** The one above it, of which one still sees and takes what stands in front, begins below this, mm. */
const UPPER_WALL_MM = 1800;
const isLarder = (name: string) => /larder|pantry|store ?room/i.test(name);
/** What one works at in a kitchen. */
const KITCHEN_WORK: ReadonlySet<StationKind> = new Set([
	'hob',
	'oven',
	'sink',
	'worktop',
	'kettle',
	'dishwasher',
	'fridge',
	'table'
]);
const kitchensOf = memoOn(
	['stations'],
	({ stations }) =>
		new Set<string>(
			Object.values(stations).flatMap(({ kind, roomId }) =>
				KITCHEN_WORK.has(kind) ? [roomId] : []
			)
		)
);
const BROOMS = /broom|utility|clean|laundry|linen|wardrobe/i;
/** The tall cabinet of a kitchen is its larder, where the home has no other. */
function isPantryCabinet(
	home: Pick<Home, 'rooms' | 'cabinets' | 'stations'>,
	{ cabinet, room, nook }: NookPlace
): boolean {
	if (cabinet.form !== 'tall' || nook.kind !== 'shelf' || BROOMS.test(cabinet.name)) return false;
	const named = [...Object.values(home.rooms), ...Object.values(home.cabinets)];
	return kitchensOf(home).has(room.id) && !named.some(({ name }) => isLarder(name));
}
/** A porch, a cellar, a hall: a room where nobody cooks, washes or eats, of a home that says where one does. */
function isAside(home: Pick<Home, 'stations'>, place: NookPlace): boolean {
	const kitchens = kitchensOf(home);
	const isOther = isBathroom(place) || isLarder(place.room.name) || isLarder(place.cabinet.name);
	return kitchens.size > 0 && !isOther && !kitchens.has(place.room.id);
}

/** Says what kinds of place a nook is. */
export function spotsOf(
	home: Pick<Home, 'nooks' | 'rooms' | 'cabinets' | 'stations'>,
	place: NookPlace
): ReadonlySet<PlaceKind> {
	const { nook, cabinet, room } = place;
	const spots = new Set<PlaceKind>();
	const base = baseAboveFloorMm(place);
	const body = reachHeights(USUAL_MM);
	const bath = isBathroom(place);
	const isOut = isAside(home, place);
	if (bath) spots.add('bathroom');
	else if (!isOut) spots.add('kitchen');
	if (isLarder(room.name) || isLarder(cabinet.name) || isPantryCabinet(home, place))
		spots.add('larder');
	if (nook.tags.includes('satellite') || isOut) spots.add('satellite');
	const isWall = nook.kind === 'shelf' && cabinet.form === 'wall' && base <= LOWEST_WALL_MM;
	if (isWall) spots.add('wall-shelf');
	else if (base > body.shoulder) {
		spots.add('above-shoulder');
		if (nook.kind === 'shelf' && cabinet.form === 'wall' && base <= UPPER_WALL_MM)
			spots.add('wall-upper');
	} else if (base >= body.knee) spots.add('knee-to-shoulder');
	if (nook.kind === 'drawer') {
		const isShallow = (nook.inside.heightMm ?? 0) <= SHALLOW_MM;
		spots.add(isShallow ? 'shallow-drawer' : 'deep-drawer');
		if (isShallow && base < body.knee) spots.add('low-drawer');
	}
	if (nook.kind === 'shelf' && base < body.knee) spots.add('low-shelf');
	if (nook.kind === 'shelf' && (nook.inside.widthMm ?? Infinity) < 250) spots.add('slot');
	if (nook.kind === 'top') spots.add('top');
	if (nook.kind === 'corner' || nook.kind === 'carousel') spots.add('corner');
	if (nook.kind === 'rail' || nook.kind === 'hooks') spots.add('rail');
	if (nook.kind === 'door') spots.add('door');
	if (nook.kind === 'worktop') spots.add('worktop');
	if (nook.kind === 'undersink') spots.add('under-sink');
	if (cabinet.front === 'open' && !bath) spots.add('open');
	if (nook.kind === 'crisper') spots.add('crisper');
	if (nook.kind === 'fridge-door') spots.add('fridge-door');
	if (nook.kind === 'fridge-shelf') spots.add(fridgeLevel(home, place));
	return spots;
}

function fridgeLevel(home: Pick<Home, 'nooks'>, { nook, cabinet }: NookPlace): Spot {
	const levels = Object.values(home.nooks)
		.filter((other) => other.cabinetId === cabinet.id && other.kind === 'fridge-shelf')
		.map(({ at }) => at.zMm);
	if (nook.at.zMm >= Math.max(...levels)) return 'fridge-top';
	return nook.at.zMm <= Math.min(...levels) ? 'fridge-low' : 'fridge-middle';
}

/** Share of the uses of each kind in a group; of what is held where nothing is used. */
const known = new WeakMap<GroupFigures, ReadonlyMap<string, number>>();
function kindsOf(figures: GroupFigures): ReadonlyMap<string, number> {
	const found = known.get(figures);
	if (found) return found;
	const weights = new Map<string, number>();
	for (const thing of figures.things)
		weights.set(
			thing.category,
			(weights.get(thing.category) ?? 0) + Math.max(0.05, usesPerWeek(thing))
		);
	const sum = [...weights.values()].reduce((so, weight) => so + weight, 0) || 1;
	const shares = new Map([...weights].map(([kind, weight]) => [kind, weight / sum]));
	known.set(figures, shares);
	return shares;
}

/** Kinds of place that stand for another one in the table. */
const IN_STEAD: readonly (readonly [PlaceKind, PlaceKind])[] = [
	// A low drawer is for what is large, however low its front; nobody bends down for a fork.
	['low-drawer', 'shallow-drawer'],
	// One stretches for it, but it is by the work, and no place to put things out of the way.
	['wall-upper', 'above-shoulder']
];
/** What the table goes by. */
function placeKinds(spots: ReadonlySet<PlaceKind>): ReadonlySet<PlaceKind> {
	const hidden = IN_STEAD.filter(([stands]) => spots.has(stands)).map(([, forIt]) => forIt);
	return hidden.length ? new Set([...spots].filter((spot) => !hidden.includes(spot))) : spots;
}

/** Tells how far it is to the nearest station of these kinds, m; null: the home has none. */
export type WalkTo = (kinds: readonly StationKind[]) => number | null;
const NOWHERE: WalkTo = () => null;

/** What a trip to a place costs more than to one where the kind belongs, m. */
const RATES: Readonly<Record<PlaceRank, number>> = { first: 0, fair: 1.2, poor: 4 };
/** So many times a poor place costs where a kind is out of question: equipment in the larder, ware in a bathroom. */
const BAD = 1.4;
/** Trips a week below and above which the rate counts no further: rare things still want their place. */
const TRIPS = { least: 4, most: 14 };

/** Uses a week below which equipment is out of the way where it would else be too far or too high. */
const RARE = 0.5;
const EQUIPMENT = /^(?:kitchen|home)\./;
const OUT_OF_THE_WAY: readonly PlaceKind[] = [
	'satellite',
	'top',
	'above-shoulder',
	'wall-upper',
	'corner'
];
/** Kinds of place that are bad for a kind however seldom it is used. */
const isNeverRare = (spot: PlaceKind): boolean => !OUT_OF_THE_WAY.includes(spot);

/** Where kinds belong in one home: the table, what it has in its place, and what the household said otherwise. */
export class BelongsTable {
	private readonly own = new Map<string, PlaceRank>();
	private readonly has: ReadonlySet<PlaceKind>;

	/** `has` are the kinds of place that the home has at all. */
	constructor(rows: readonly BelongsHere[], has: Iterable<PlaceKind> = SPOTS) {
		for (const { kind, spot, standing } of rows) this.own.set(`${kind}/${spot}`, standing);
		this.has = new Set(has);
	}

	/**
	 * How well a kind stands in a place, by what the place is and how far it is from the work; what the household said
	 * goes first. A kind without a row is fair anywhere.
	 */
	standing(
		kind: string,
		spots: ReadonlySet<PlaceKind>,
		walkTo: WalkTo = NOWHERE,
		isRare = false
	): PlaceRank | null {
		const said = [...spots].flatMap((spot) => this.own.get(`${kind}/${spot}`) ?? []);
		if (said.length) return PLACE_RANKS.find((standing) => said.includes(standing))!;
		const row = byKind.get(kind);
		if (!row) return null;
		const kinds = placeKinds(spots);
		const is = (some?: readonly PlaceKind[]) => !!some && some.some((spot) => kinds.has(spot));
		const farM = row.near ? (walkTo(row.near.to) ?? 0) : 0;
		const inTheWay = row.away && (walkTo(row.away.from) ?? Infinity) <= row.away.withinM;
		if (isRare && EQUIPMENT.test(kind) && is(OUT_OF_THE_WAY) && !is(row.bad?.filter(isNeverRare)))
			return 'first';
		if (is(row.bad) || inTheWay || farM > (row.near?.poorM ?? Infinity)) return 'poor';
		const lacks = !row.first.some((spot) => this.has.has(spot));
		if (is(lacks ? row.instead : row.first))
			return is(row.fair) || farM > (row.near?.firstM ?? Infinity) ? 'fair' : 'first';
		if (is(row.poor)) return 'poor';
		// Where there is no first choice in the whole home, nothing is lost by the next best.
		return lacks && !row.instead ? 'first' : 'fair';
	}

	private rate(
		kind: string,
		share: number,
		{ usesPerWeek }: Pick<GroupFigures, 'usesPerWeek'>,
		spots: ReadonlySet<PlaceKind>,
		walkTo?: WalkTo
	): number {
		const standing = this.standing(kind, spots, walkTo, usesPerWeek < RARE);
		if (!standing) return 0;
		const row = byKind.get(kind);
		const said = [...spots].some((spot) => this.own.has(`${kind}/${spot}`));
		const isBad = standing === 'poor' && !said && !!row?.bad?.some((spot) => spots.has(spot));
		return RATES[standing] * (isBad ? BAD : 1) * share * (row?.pull ?? 1);
	}

	/**
	 * What it costs a week that a group stands where its kinds do not belong, m: a rate for each trip, weighted by what
	 * is used of each kind. 0 in a place of first choice.
	 */
	outOfPlaceM(figures: GroupFigures, spots: ReadonlySet<PlaceKind>, walkTo?: WalkTo): number {
		const trips = Math.min(TRIPS.most, Math.max(TRIPS.least, figures.tripsPerWeek));
		let rate = 0;
		for (const [kind, share] of kindsOf(figures))
			rate += this.rate(kind, share, figures, spots, walkTo);
		return trips * rate;
	}

	/** Says why a group stands badly in a place: the reason of the kind that costs most there; empty: it stands well. */
	why(figures: GroupFigures, spots: ReadonlySet<PlaceKind>, walkTo?: WalkTo): string {
		let worst = { rate: 0, why: '' };
		for (const [kind, share] of kindsOf(figures)) {
			const rate = this.rate(kind, share, figures, spots, walkTo);
			if (rate <= worst.rate) continue;
			const said = [...spots].some((spot) => this.own.has(`${kind}/${spot}`));
			worst = { rate, why: said ? 'you said so for this home' : (byKind.get(kind)?.why ?? '') };
		}
		return worst.why;
	}

	/** Whether all kinds in a group have a kind of place as a first choice. */
	belongsOn({ things }: Pick<GroupFigures, 'things'>, spot: Spot): boolean {
		return things.every(({ category }) => {
			const said = this.own.get(`${category}/${spot}`);
			return said ? said === 'first' : (byKind.get(category)?.first.includes(spot) ?? false);
		});
	}
}

/** The table of a home, made anew only when its places or what it says itself change. */
export const belongsIn = memoOn(
	['belongs', 'nooks', 'cabinets', 'runs', 'rooms', 'stations'],
	(home) =>
		new BelongsTable(
			home.belongs,
			nooksInOrder(home).flatMap((place) => [...placeKinds(spotsOf(home, place))])
		)
);

/** Kinds that water, damp or what stands there spoils under a sink: food, what one eats from and cooks with, cloth, paper, current. */
const NOT_UNDER_A_SINK =
	/^(?:food\.|kitchen\.(?:dishes|glasses|cutlery|tools|knives|pots|lids|bakeware|boards|appliances|food-boxes|lunch|foil|linens|serving)$|bathroom\.(?:towels|paper|electricals|medicines|first-aid|sanitary)$|home\.(?:batteries|electrics|clothes|baby|office|sewing|toys|decor)$)/;
export const mayStandUnderSink = ({ things }: GroupFigures): boolean =>
	!things.some(({ category }) => NOT_UNDER_A_SINK.test(categoryOf(category).code));

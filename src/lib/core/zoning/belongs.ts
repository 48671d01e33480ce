import { z } from 'zod';
import rows from '../../../../data/belongs.json';
import type { GroupFigures } from '../grouping';
import { categoryOf, usesPerWeek, type Home } from '../model';
import { baseAboveFloorMm, reachHeights, type NookPlace } from '../survey';

/** Kinds of place, as an organizer speaks of them; a nook may be several at once. */
export const SPOTS = [
	'shallow-drawer',
	'deep-drawer',
	'low-shelf',
	'knee-to-shoulder',
	'wall-shelf',
	'above-shoulder',
	'top',
	'corner',
	'slot',
	'rail',
	'door',
	'open',
	'larder',
	'worktop',
	'under-sink',
	'fridge-top',
	'fridge-middle',
	'fridge-low',
	'fridge-door',
	'crisper',
	'bathroom',
	'kitchen',
	'satellite'
] as const;
export type Spot = (typeof SPOTS)[number];

/** Where a kind of thing belongs: first choice costs nothing, what is named neither is fair, poor costs a lot. */
export const Belongs = z.strictObject({
	kinds: z.array(z.string()).min(1),
	first: z.array(z.enum(SPOTS)).min(1),
	poor: z.array(z.enum(SPOTS)),
	/** How strongly it wants its first choice, where that is more than usual. */
	pull: z.number().positive().optional(),
	why: z.string()
});
export type Belongs = z.infer<typeof Belongs>;
export const BELONGS: readonly Belongs[] = z.array(Belongs).parse(rows);
const byKind = new Map(BELONGS.flatMap((row) => row.kinds.map((kind) => [kind, row] as const)));

/** A drawer up to this height inside is a shallow one, mm. */
const SHALLOW_MM = 170;
/** A usual adult's, mm: what a place is called does not hang on who lives here. */
const USUAL_MM = 1680;
const isLarder = (name: string) => /larder|pantry|store ?room/i.test(name);
const isBathroom = (name: string) => /bath|shower|wash ?room|toilet/i.test(name);

/** Says what kinds of place a nook is. */
export function spotsOf(home: Pick<Home, 'nooks'>, place: NookPlace): ReadonlySet<Spot> {
	const { nook, cabinet, room } = place;
	const spots = new Set<Spot>();
	const base = baseAboveFloorMm(place);
	const body = reachHeights(USUAL_MM);
	const bath = isBathroom(room.name) || cabinet.form === 'basin' || cabinet.form === 'mirror';
	spots.add(bath ? 'bathroom' : 'kitchen');
	if (isLarder(room.name) || isLarder(cabinet.name)) spots.add('larder');
	if (nook.tags.includes('satellite')) spots.add('satellite');
	if (base > body.shoulder) spots.add('above-shoulder');
	else if (base >= body.knee) spots.add('knee-to-shoulder');
	if (nook.kind === 'drawer')
		spots.add((nook.inside.heightMm ?? 0) <= SHALLOW_MM ? 'shallow-drawer' : 'deep-drawer');
	if (nook.kind === 'shelf' && base < body.knee) spots.add('low-shelf');
	if (nook.kind === 'shelf' && cabinet.form === 'wall') spots.add('wall-shelf');
	if (nook.kind === 'shelf' && (nook.inside.widthMm ?? Infinity) < 250) spots.add('slot');
	if (nook.kind === 'top') spots.add('top');
	if (nook.kind === 'corner' || nook.kind === 'carousel') spots.add('corner');
	if (nook.kind === 'rail' || nook.kind === 'hooks') spots.add('rail');
	if (nook.kind === 'door') spots.add('door');
	if (nook.kind === 'worktop') spots.add('worktop');
	if (nook.kind === 'undersink') spots.add('under-sink');
	if (cabinet.front === 'open') spots.add('open');
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

export type Standing = 'first' | 'fair' | 'poor';

/** How well a kind stands in a place: `first` outweighs `poor` where a place is both. A kind without a row is fair anywhere. */
export function standingOf(kind: string, spots: ReadonlySet<Spot>): Standing | null {
	const row = byKind.get(kind);
	if (!row) return null;
	if (row.first.some((spot) => spots.has(spot))) return 'first';
	return row.poor.some((spot) => spots.has(spot)) ? 'poor' : 'fair';
}
/** Whether all kinds in a group have a kind of place as a first choice. */
export const belongsOn = ({ things }: GroupFigures, spot: Spot): boolean =>
	things.every(({ category }) => byKind.get(category)?.first.includes(spot) ?? false);

/** What a trip to a place costs more than to one where the kind belongs, m. */
const RATES: Readonly<Record<Standing, number>> = { first: 0, fair: 0.8, poor: 2.5 };
/** Trips a week below and above which the rate counts no further: rare things still want their place. */
const TRIPS = { least: 2, most: 14 };

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

/**
 * What it costs a week that a group stands where its kinds do not belong, m: a rate for each trip, weighted by what is
 * used of each kind. 0 in a place of first choice.
 */
export function outOfPlaceM(figures: GroupFigures, spots: ReadonlySet<Spot>): number {
	const trips = Math.min(TRIPS.most, Math.max(TRIPS.least, figures.tripsPerWeek));
	let rate = 0;
	for (const [kind, share] of kindsOf(figures)) {
		const standing = standingOf(kind, spots);
		if (standing) rate += RATES[standing] * share * (byKind.get(kind)?.pull ?? 1);
	}
	return trips * rate;
}

/** Says why a group stands badly in a place: the reason of the kind that costs most there; empty: it stands well. */
export function whyOutOfPlace(figures: GroupFigures, spots: ReadonlySet<Spot>): string {
	let worst = { rate: 0, why: '' };
	for (const [kind, share] of kindsOf(figures)) {
		const standing = standingOf(kind, spots);
		const row = byKind.get(kind);
		const rate = standing ? RATES[standing] * share * (row?.pull ?? 1) : 0;
		if (row && rate > worst.rate) worst = { rate, why: row.why };
	}
	return worst.why;
}

/** Kinds that water, damp or what stands there spoils under a sink: food, what one eats from and cooks with, cloth, paper, current. */
const NOT_UNDER_A_SINK =
	/^(?:food\.|kitchen\.(?:dishes|glasses|cutlery|tools|knives|pots|lids|bakeware|boards|appliances|food-boxes|lunch|foil|linens|serving)$|bathroom\.(?:towels|paper|electricals|medicines|first-aid|sanitary)$|home\.(?:batteries|electrics|clothes|baby|office)$)/;
export const mayStandUnderSink = ({ things }: GroupFigures): boolean =>
	!things.some(({ category }) => NOT_UNDER_A_SINK.test(categoryOf(category).code));

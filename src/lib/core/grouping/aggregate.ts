import {
	categoryOf,
	memoOn,
	pieceVolumeMl,
	usesPerWeek,
	type Group,
	type GroupOverrides,
	type Hazard,
	type Need,
	type StationKind,
	type Thing,
	type Trait
} from '../model';
import { allergensOf, householdAllergens, type Allergens } from './allergens';
import { holdingsByGroup, type Holding } from './stock';
import { tripsOf } from './trips';

/** What a group carries, computed from its things and their stock. */
export interface GroupFigures {
	readonly groupId: string;
	/** The group whose spares these are; null: a group of its own. */
	readonly stockOf: string | null;
	readonly things: readonly Thing[];
	/** Those of them that are held. */
	readonly held: readonly Thing[];
	/** What is held, thing by thing, in use and spare. */
	readonly holdings: readonly Holding[];
	/** Pieces held, all lots together. */
	readonly pieces: number;
	readonly volumeMl: number;
	/** Front run when its things stand in rows from front to back, mm. */
	readonly runMm: number;
	readonly massG: number;
	readonly heaviestG: number;
	readonly tallestMm: number;
	readonly longestMm: number;
	/** Smaller side of the way in that the bulkiest thing needs, mm. */
	readonly widestMm: number;
	readonly usesPerWeek: number;
	/** Walks a week that are made to it: what is fetched on one occasion shares a walk. */
	readonly tripsPerWeek: number;
	/** Where the uses happen; shares sum to 1 (0 when nothing is used). */
	readonly stations: ReadonlyMap<StationKind, number>;
	/** Those who use it; empty: everybody. */
	readonly userIds: readonly string[];
	/** Uses a week of each user; under '' those of everybody. */
	readonly usesBy: ReadonlyMap<string, number>;
	readonly needs: ReadonlySet<Need>;
	readonly hazards: ReadonlySet<Hazard>;
	readonly traits: ReadonlySet<Trait>;
	/** Only those that somebody here must avoid; free from one when some of it is and none of it holds it. */
	readonly allergens: Allergens;
	readonly look: 'show' | 'hide' | 'either';
	readonly isFood: boolean;
	/** Figures that were set by hand. */
	readonly overridden: ReadonlySet<keyof GroupOverrides>;
	/** Whether any uses were counted rather than taken from a class. */
	readonly counted: boolean;
}

/** Depth over which front run is counted: a run of 1 m is 0.3 m² of shelf, mm. */
export const ROW_DEPTH_MM = 300;
/** Things are piled up to about this height when they are flatter, mm. */
const PILE_MM = 220;
/** Folded cloth is piled higher: it does not slip, mm. */
const CLOTH_PILE_MM = 320;
/** Categories of folded cloth. */
export const CLOTHS: ReadonlySet<string> = new Set(['kitchen.linens', 'bathroom.towels']);
/** Fetches from the back stock for each fetch from the place in use (a working estimate). */
export const SPARE_FETCHES = 0.1;

/**
 * Front run that a thing's pieces need on a shelf 300 mm deep, mm: the floor of its piles, spread over the depth.
 * @example frontRunMm({ category: 'food.cans-veg', piece: { widthMm: 75, depthMm: 75, heightMm: 110 } }, 8) // 75: four piles of two
 */
export function frontRunMm(
	{ piece, category }: Pick<Thing, 'piece' | 'category'>,
	pieces: number
): number {
	const pile = CLOTHS.has(category) ? CLOTH_PILE_MM : PILE_MM;
	const high = Math.max(1, Math.floor(pile / Math.max(1, piece.heightMm)));
	return ((pieces / high) * piece.widthMm * piece.depthMm) / ROW_DEPTH_MM;
}

/** Figures that are a sum over what is held, or the most of it. */
export type SummedFigure =
	'usesPerWeek' | 'volumeMl' | 'runMm' | 'massG' | 'heaviestG' | 'tallestMm' | 'longestMm';

/** How each holding adds to a figure, and whether the figure is their sum or the most of them. */
export const SUMMED: Readonly<
	Record<SummedFigure, { readonly take: 'sum' | 'most'; readonly of: (holding: Holding) => number }>
> = {
	usesPerWeek: {
		take: 'sum',
		of: ({ thing, spare }) => usesPerWeek(thing) * (spare ? SPARE_FETCHES : 1)
	},
	volumeMl: { take: 'sum', of: ({ thing, pieces }) => pieceVolumeMl(thing) * pieces },
	runMm: { take: 'sum', of: ({ thing, pieces }) => frontRunMm(thing, pieces) },
	massG: { take: 'sum', of: ({ thing, pieces }) => thing.massG * pieces },
	heaviestG: { take: 'most', of: ({ thing }) => thing.massG },
	tallestMm: { take: 'most', of: ({ thing }) => thing.piece.heightMm },
	longestMm: {
		take: 'most',
		of: ({ thing }) => Math.max(thing.piece.widthMm, thing.piece.depthMm)
	}
};

/** What hangs on a holder or stands at its spot while it is in use: only the next one is fetched, once in so many uses. */
const IN_USE_ELSEWHERE: ReadonlySet<string> = new Set(['bathroom.paper']);
const USES_A_ROLL = 5;
const fetchesOf = (holding: Holding): number =>
	SUMMED.usesPerWeek.of(holding) / (IN_USE_ELSEWHERE.has(holding.thing.category) ? USES_A_ROLL : 1);

const inStock = (holdings: readonly Holding[]) => holdings.filter(({ pieces }) => pieces > 0);

function summed(held: readonly Holding[], key: SummedFigure): number {
	const { take, of } = SUMMED[key];
	return held.reduce(
		(so, holding) => (take === 'sum' ? so + of(holding) : Math.max(so, of(holding))),
		0
	);
}

/** Splits the uses over the stations where they happen; shares sum to 1, or there are none. */
function stationsOf(held: readonly Holding[]): Map<StationKind, number> {
	const uses = summed(held, 'usesPerWeek') || 1;
	const stations = new Map<StationKind, number>();
	for (const holding of held) {
		const { thing } = holding;
		const split = thing.stations.length ? thing.stations : categoryOf(thing.category).stations;
		const weight = SUMMED.usesPerWeek.of(holding) / uses;
		for (const { kind, share } of split)
			stations.set(kind, (stations.get(kind) ?? 0) + share * weight);
	}
	return stations;
}

function usesByPerson(held: readonly Holding[]): Map<string, number> {
	const by = new Map<string, number>();
	for (const holding of held) {
		const users = holding.thing.userIds.length ? holding.thing.userIds : [''];
		const each = SUMMED.usesPerWeek.of(holding) / users.length;
		for (const id of users) by.set(id, (by.get(id) ?? 0) + each);
	}
	return by;
}

function allergensHeld(held: readonly Holding[], avoided: readonly string[]): Allergens {
	const all = held.map(({ thing }) => allergensOf(thing));
	const contains = avoided.filter((name) => all.some((one) => one.contains.includes(name)));
	const freeFrom = avoided.filter(
		(name) => !contains.includes(name) && all.some((one) => one.freeFrom.includes(name))
	);
	return { contains, freeFrom };
}

/** The look of most of its volume that has one: a group is hidden when what it shows would be plain. */
function lookOf(held: readonly Holding[]): GroupFigures['look'] {
	const ml = { show: 0, hide: 0, either: 0 };
	for (const holding of held)
		ml[categoryOf(holding.thing.category).look] += SUMMED.volumeMl.of(holding);
	if (ml.hide > ml.show) return 'hide';
	return ml.show > 0 ? 'show' : 'either';
}

/**
 * Computes the figures of one group from what it holds; hand-set overrides win. `avoided` names the allergens that
 * somebody of the household must avoid.
 * @example groupFigures(group, []).volumeMl // 0
 */
export function groupFigures(
	group: Group,
	holdings: readonly Holding[],
	avoided: readonly string[] = []
): GroupFigures {
	const held = inStock(holdings);
	const { overrides } = group;
	const figure = (key: SummedFigure) => overrides[key] ?? summed(held, key);
	const everybody = held.some(({ thing }) => thing.userIds.length === 0);
	const categories = held.map(({ thing }) => categoryOf(thing.category));
	const stations = overrides.stations
		? new Map(overrides.stations.map(({ kind, share }) => [kind, share] as const))
		: stationsOf(held);
	return {
		groupId: group.id,
		stockOf: group.stockOf,
		things: holdings.map((holding) => holding.thing),
		held: held.map((holding) => holding.thing),
		holdings: held,
		pieces: held.reduce((sum, { pieces }) => sum + pieces, 0),
		volumeMl: figure('volumeMl'),
		runMm: figure('runMm'),
		massG: figure('massG'),
		heaviestG: figure('heaviestG'),
		tallestMm: figure('tallestMm'),
		longestMm: figure('longestMm'),
		widestMm: Math.max(
			0,
			...held.map(({ thing }) => Math.min(thing.piece.widthMm, thing.piece.depthMm))
		),
		usesPerWeek: figure('usesPerWeek'),
		tripsPerWeek: overrides.usesPerWeek ?? tripsOf(held.map(fetchesOf), stations),
		stations,
		userIds:
			overrides.userIds ??
			(everybody ? [] : [...new Set(held.flatMap(({ thing }) => thing.userIds))].sort()),
		usesBy: usesByPerson(held),
		needs: new Set(overrides.needs ?? held.flatMap(({ thing }) => thing.needs)),
		hazards: new Set(overrides.hazards ?? held.flatMap(({ thing }) => thing.hazards)),
		traits: new Set(overrides.traits ?? categories.flatMap((category) => category.traits)),
		allergens: allergensHeld(held, avoided),
		look: overrides.look ?? lookOf(held),
		isFood: categories.some((category) => category.area === 'food'),
		overridden: new Set(
			(Object.keys(overrides) as (keyof GroupOverrides)[]).filter((key) => overrides[key] !== null)
		),
		counted: held.some(({ thing }) => thing.use.countedPerWeek !== null)
	};
}

/** Computes the figures of every group, by id, whatever the order of the records. */
export const allGroupFigures = memoOn(
	['things', 'lots', 'groups', 'people'],
	(home): readonly GroupFigures[] => {
		const holdings = holdingsByGroup(home);
		const avoided = householdAllergens(home);
		return Object.values(home.groups)
			.sort((a, b) => (a.id < b.id ? -1 : 1))
			.map((group) => groupFigures(group, holdings.get(group.id) ?? [], avoided));
	}
);

/** One thing's part in a figure of its group. */
export interface FigurePart {
	readonly thing: Thing;
	readonly pieces: number;
	readonly value: number;
}

/**
 * Says how a figure is made: the part of each thing, the largest first, ties by id. They sum to the figure, or the
 * first of them is it, whatever was set by hand.
 */
export function figureParts(
	holdings: readonly Holding[],
	key: SummedFigure
): { take: 'sum' | 'most'; value: number; parts: FigurePart[] } {
	const held = inStock(holdings);
	const { take, of } = SUMMED[key];
	const parts = held
		.map((holding) => ({ thing: holding.thing, pieces: holding.pieces, value: of(holding) }))
		.sort((a, b) => b.value - a.value || (a.thing.id < b.thing.id ? -1 : 1));
	return { take, value: summed(held, key), parts };
}

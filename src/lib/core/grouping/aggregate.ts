import {
	categoryOf,
	memoOn,
	pieceVolumeMl,
	usesPerWeek,
	type Group,
	type Hazard,
	type Home,
	type Lot,
	type Need,
	type StationKind,
	type Thing
} from '../model';

/** What a group carries, computed from its things and their stock. */
export interface GroupFigures {
	readonly groupId: string;
	readonly things: readonly Thing[];
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
	/** Where the uses happen; shares sum to 1 (0 when nothing is used). */
	readonly stations: ReadonlyMap<StationKind, number>;
	/** Those who use it; empty: everybody. */
	readonly userIds: readonly string[];
	readonly needs: ReadonlySet<Need>;
	readonly hazards: ReadonlySet<Hazard>;
	readonly traits: ReadonlySet<string>;
	readonly isFood: boolean;
	readonly overridden: { readonly uses: boolean; readonly volume: boolean };
	/** Whether any uses were counted rather than taken from a class. */
	readonly counted: boolean;
}

/** Depth over which front run is counted: a run of 1 m is 0.3 m² of shelf, mm. */
export const ROW_DEPTH_MM = 300;
/** Things are piled up to about this height when they are flatter, mm. */
export const PILE_MM = 220;

/**
 * Front run that a thing's pieces need on a shelf 300 mm deep, mm: the floor of its piles, spread over the depth.
 * @example frontRunMm({ piece: { widthMm: 75, depthMm: 75, heightMm: 110 } }, 8) // 75: four piles of two
 */
export function frontRunMm({ piece }: Pick<Thing, 'piece'>, pieces: number): number {
	const high = Math.max(1, Math.floor(PILE_MM / Math.max(1, piece.heightMm)));
	return ((pieces / high) * piece.widthMm * piece.depthMm) / ROW_DEPTH_MM;
}

export interface Holding {
	readonly thing: Thing;
	readonly lots: readonly Lot[];
	readonly pieces: number;
}

function computeHoldings(home: Home): ReadonlyMap<string | null, readonly Holding[]> {
	const lots = new Map<string, Lot[]>();
	for (const lot of Object.values(home.lots))
		if (lot.count > 0) {
			const list = lots.get(lot.thingId);
			if (list) list.push(lot);
			else lots.set(lot.thingId, [lot]);
		}
	const groups = new Map<string | null, Holding[]>();
	for (const thing of Object.values(home.things).sort((a, b) => (a.id < b.id ? -1 : 1))) {
		const own = lots.get(thing.id) ?? [];
		// Grams and meals are counted in packs of the usual size; a started pack takes the room of one.
		const pieces = own.reduce(
			(sum, lot) => sum + (lot.unit === 'pack' ? Math.ceil(lot.count) : 1),
			0
		);
		const key = thing.groupId && home.groups[thing.groupId] ? thing.groupId : null;
		const list = groups.get(key);
		if (list) list.push({ thing, lots: own, pieces });
		else groups.set(key, [{ thing, lots: own, pieces }]);
	}
	return groups;
}

/** Gathers the things of each group with their stock; things without a group stand under `null`. */
export const holdingsByGroup = memoOn(
	(home) => [home.things, home.lots, home.groups],
	computeHoldings
);

/**
 * Computes the figures of one group from what it holds; hand-set overrides win.
 * @example groupFigures(group, []).volumeMl // 0
 */
export function groupFigures(group: Group, holdings: readonly Holding[]): GroupFigures {
	const held = holdings.filter((holding) => holding.pieces > 0);
	const sum = (of: (holding: Holding) => number) => held.reduce((total, h) => total + of(h), 0);
	const most = (of: (thing: Thing) => number) => Math.max(0, ...held.map((h) => of(h.thing)));
	const uses = sum(({ thing }) => usesPerWeek(thing));
	const stations = new Map<StationKind, number>();
	for (const { thing } of held) {
		const split = thing.stations.length ? thing.stations : categoryOf(thing.category).stations;
		const weight = usesPerWeek(thing) / (uses || 1);
		for (const { kind, share } of split)
			stations.set(kind, (stations.get(kind) ?? 0) + share * weight);
	}
	const everybody = held.some(({ thing }) => thing.userIds.length === 0);
	const categories = held.map(({ thing }) => categoryOf(thing.category));
	return {
		groupId: group.id,
		things: holdings.map((holding) => holding.thing),
		pieces: sum((holding) => holding.pieces),
		volumeMl: group.overrides.volumeMl ?? sum(({ thing, pieces }) => pieceVolumeMl(thing) * pieces),
		runMm: sum(({ thing, pieces }) => frontRunMm(thing, pieces)),
		massG: sum(({ thing, pieces }) => thing.massG * pieces),
		heaviestG: most((thing) => thing.massG),
		tallestMm: most((thing) => thing.piece.heightMm),
		longestMm: most((thing) => Math.max(thing.piece.widthMm, thing.piece.depthMm)),
		widestMm: most((thing) => Math.min(thing.piece.widthMm, thing.piece.depthMm)),
		usesPerWeek: group.overrides.usesPerWeek ?? uses,
		stations,
		userIds: everybody ? [] : [...new Set(held.flatMap(({ thing }) => thing.userIds))].sort(),
		needs: new Set(held.flatMap(({ thing }) => thing.needs)),
		hazards: new Set(held.flatMap(({ thing }) => thing.hazards)),
		traits: new Set(categories.flatMap((category) => category.traits)),
		isFood: categories.some((category) => category.area === 'food'),
		overridden: {
			uses: group.overrides.usesPerWeek !== null,
			volume: group.overrides.volumeMl !== null
		},
		counted: held.some(({ thing }) => thing.use.countedPerWeek !== null)
	};
}

/** Computes the figures of every group, by id, whatever the order of the records. */
export const allGroupFigures = memoOn(
	(home) => [home.things, home.lots, home.groups],
	(home): readonly GroupFigures[] => {
		const holdings = holdingsByGroup(home);
		return Object.values(home.groups)
			.sort((a, b) => (a.id < b.id ? -1 : 1))
			.map((group) => groupFigures(group, holdings.get(group.id) ?? []));
	}
);

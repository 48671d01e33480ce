import { memoOn, type ClimateTag, type HomePart } from '../model';
import { baseAboveFloorMm, climateOf, nooksInOrder, type NookPlace, type Places } from './place';
import { usableSpace } from './usable';

export interface SpaceSum {
	readonly key: string;
	readonly nooks: number;
	readonly unmeasured: number;
	readonly usableMl: number;
	readonly runMm: number;
	/** Share of the litres that one hand reaches without moving anything, 0 to 1. */
	readonly frontRowShare: number;
}
export interface SpaceTotals {
	readonly whole: SpaceSum;
	readonly byRoom: ReadonlyMap<string, SpaceSum>;
	readonly byCabinet: ReadonlyMap<string, SpaceSum>;
	/** By what the place does to food: `room`, `chilled`, `frozen`, and each climate tag that touches it. */
	readonly byClimate: ReadonlyMap<string, SpaceSum>;
}

/** What the spot of a nook, its cabinet and its room do to what stands there, each once. */
export const climateTags = ({ nook, cabinet, room }: NookPlace): ClimateTag[] => [
	...new Set([...nook.climate, ...cabinet.climate, ...room.climate])
];

function sumUp(home: Places & HomePart<'settings'>): SpaceTotals {
	const sums = {
		whole: new Map<string, SpaceSum>(),
		byRoom: new Map<string, SpaceSum>(),
		byCabinet: new Map<string, SpaceSum>(),
		byClimate: new Map<string, SpaceSum>()
	};
	const add = (into: Map<string, SpaceSum>, key: string, place: NookPlace) => {
		const space = usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
		const old = into.get(key) ?? {
			key,
			nooks: 0,
			unmeasured: 0,
			usableMl: 0,
			runMm: 0,
			frontRowShare: 1
		};
		const more = space.ok ? space.usableMl : 0;
		const usableMl = old.usableMl + more;
		const front = old.frontRowShare * old.usableMl + (space.ok ? space.frontRowShare * more : 0);
		into.set(key, {
			key,
			nooks: old.nooks + 1,
			unmeasured: old.unmeasured + Number(!space.ok),
			usableMl,
			runMm: old.runMm + (space.ok ? space.runMm : 0),
			frontRowShare: usableMl ? front / usableMl : 1
		});
	};
	for (const place of nooksInOrder(home)) {
		add(sums.whole, 'home', place);
		add(sums.byRoom, place.room.id, place);
		add(sums.byCabinet, place.cabinet.id, place);
		for (const key of [climateOf(place.nook), ...climateTags(place)])
			add(sums.byClimate, key, place);
	}
	const none = { key: 'home', nooks: 0, unmeasured: 0, usableMl: 0, runMm: 0, frontRowShare: 1 };
	return { ...sums, whole: sums.whole.get('home') ?? none };
}

/** Sums the usable space of a home: in all, by room, by cabinet and by climate; in walking order. */
export const spaceTotals = memoOn(['nooks', 'cabinets', 'runs', 'rooms', 'settings'], sumUp);

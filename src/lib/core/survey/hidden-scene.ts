import { memoOn, stock, type HomePart, type Nook, type NookKind, type Thing } from '../model';
import { type HiddenPlace } from './hidden-place';
import { climateOf, type NookPlace, type Places } from './place';
import { climateTags } from './totals';

export interface Held {
	readonly tallestMm: number;
	readonly massG: number;
	readonly things: readonly Thing[];
}
/** What stands in each nook. */
export const heldByNook = memoOn(['lots', 'things'], (home) => {
	const held = new Map<string, Held>();
	for (const lot of stock(home)) {
		const thing = home.things[lot.thingId];
		if (!lot.nookId || !thing) continue;
		const old = held.get(lot.nookId) ?? { tallestMm: 0, massG: 0, things: [] };
		held.set(lot.nookId, {
			tallestMm: Math.max(old.tallestMm, thing.piece.heightMm),
			massG: old.massG + thing.massG * Math.ceil(lot.count),
			things: [...old.things, thing]
		});
	}
	return held;
});

/** What the search for unused room reads of a home. */
export type HiddenHome = Places & HomePart<'lots' | 'things' | 'rented' | 'settings'>;
export interface Scene {
	readonly home: HiddenHome;
	readonly places: readonly NookPlace[];
	readonly held: ReadonlyMap<string, Held>;
}
export type Finding = Pick<HiddenPlace, 'where' | 'gainMl' | 'make' | 'loadCheck'> &
	Partial<Pick<HiddenPlace, 'nookId' | 'runId' | 'loadG' | 'asksRating' | 'damp'>>;
export type Finder = (scene: Scene) => Finding[];

export const isMeasured = (nook: Nook) =>
	!!nook.inside.widthMm && !!nook.inside.depthMm && !!nook.inside.heightMm;
export const sizeOf = ({ inside }: Nook) => ({
	w: inside.widthMm ?? 0,
	d: inside.depthMm ?? 0,
	h: inside.heightMm ?? 0
});
export const litres = (w: number, d: number, h: number) => Math.max(0, (w * d * h) / 1000);
export const isDamp = (place: NookPlace) =>
	climateTags(place).some((tag) => tag === 'damp' || tag === 'steam');
export const SHELVES: ReadonlySet<NookKind> = new Set(['shelf', 'cupboard', 'corner']);
export const inRoomAir = ({ nook }: NookPlace) => climateOf(nook) === 'room';

import type { Home, Thing } from '../core/model';
import { perPack, picksOf, type Pick } from '../core/rotation';
import type { HomeStore } from './home-store.svelte';
import type { TurnDesk } from './turn-desk.svelte';

/** One thing behind a door, with all of it that is there. */
export interface KioskTile {
	readonly thing: Thing;
	readonly picks: readonly Pick[];
	/** In the unit of its first lot. */
	readonly count: number;
	readonly unit: Pick['lot']['unit'];
	/** Days until the first of it is due; null: no date. */
	readonly daysLeft: number | null;
}

export interface KioskDeps {
	readonly store: () => HomeStore;
	/** ISO date. */
	readonly today: () => string;
	/** Id of a place or of a cabinet. */
	readonly place: () => string;
	readonly turn: TurnDesk;
}

/** What is behind one door, for whoever stands before it: taken by one tap, put back by another. */
export class KioskDesk {
	readonly #deps: KioskDeps;
	constructor(deps: KioskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** Its name; null: there is no such place any more. */
	get name(): string | null {
		const id = this.#deps.place();
		return this.home.nooks[id]?.name ?? this.home.cabinets[id]?.name ?? null;
	}
	/** The first to use on top; lots of one unit stand together. */
	tiles = $derived.by((): readonly KioskTile[] => {
		const id = this.#deps.place();
		const { nooks } = this.home;
		const here = picksOf(this.home, this.#deps.today()).filter(
			({ lot }) => lot.nookId && (lot.nookId === id || nooks[lot.nookId]?.cabinetId === id)
		);
		const tiles = new Map<string, KioskTile>();
		for (const pick of here) {
			const { thing, lot, daysLeft } = pick;
			const key = `${thing.id}/${lot.unit}`;
			const tile = tiles.get(key);
			tiles.set(
				key,
				tile
					? { ...tile, picks: [...tile.picks, pick], count: tile.count + lot.count }
					: { thing, picks: [pick], count: lot.count, unit: lot.unit, daysLeft }
			);
		}
		return [...tiles.values()];
	});
	/** How much one tap takes: one; of what is weighed, a tenth of a pack. */
	stepOf({ unit, thing }: KioskTile): number {
		return unit === 'g' ? Math.max(1, Math.round(perPack('g', thing) / 10)) : 1;
	}
	take(tile: KioskTile): void {
		const [first] = tile.picks;
		if (first) this.#deps.turn.take(first.lot, this.stepOf(tile));
	}
}

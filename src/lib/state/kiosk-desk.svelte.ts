import type { Home, Thing } from '../core/model';
import { isSafetyDate, perPack, picksOf, portionsIn, type Pick } from '../core/rotation';
import type { HomeStore } from './home-store.svelte';
import type { TurnDesk } from './turn-desk.svelte';

/** One thing behind a door, with all of it that is there. */
export interface KioskTile {
	readonly thing: Thing;
	readonly picks: readonly Pick[];
	/** In the unit of its first lot. */
	readonly count: number;
	readonly unit: Pick['lot']['unit'];
	/** Portions left in all of it, where the household counts them; null: it is taken by the pack. */
	readonly portions: number | null;
	/** Days until the first of it is due; null: no date. */
	readonly daysLeft: number | null;
	/** Its date has passed, and it is one of safety: past one of quality it is looked at. */
	readonly isUnsafe: boolean;
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
			const { thing, lot, daysLeft, date } = pick;
			const each = portionsIn(thing, lot.unit);
			const portions = each && Math.round(lot.count * each * 10) / 10;
			const isUnsafe =
				daysLeft !== null && daysLeft < 0 && date !== null && isSafetyDate(lot, thing, date);
			const key = `${thing.id}/${lot.unit}`;
			const tile = tiles.get(key);
			tiles.set(
				key,
				tile
					? {
							...tile,
							picks: [...tile.picks, pick],
							count: tile.count + lot.count,
							portions: portions && (tile.portions ?? 0) + portions
						}
					: { thing, picks: [pick], count: lot.count, unit: lot.unit, portions, daysLeft, isUnsafe }
			);
		}
		return [...tiles.values()];
	});
	/** How much one tap takes: one, or one portion of a pack; of what is weighed, a tenth of a pack. */
	stepOf({ unit, thing }: KioskTile): number {
		const portions = portionsIn(thing, unit);
		if (portions) return 1 / portions;
		return unit === 'g' ? Math.max(1, Math.round(perPack('g', thing) / 10)) : 1;
	}
	take(tile: KioskTile): void {
		const [first] = tile.picks;
		if (first) this.#deps.turn.take(first.lot, this.stepOf(tile));
	}
}

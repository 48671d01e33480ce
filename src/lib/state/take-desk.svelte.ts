import type { Home, Lot, Thing } from '../core/model';
import { effectiveDate, nextLot, perPack, type EffectiveDate } from '../core/rotation';
import type { HomeStore } from './home-store.svelte';
import type { TurnDesk } from './turn-desk.svelte';

export interface TakeDeps {
	readonly store: () => HomeStore;
	/** ISO date. */
	readonly today: () => string;
	/** Id of the lot whose label was scanned. */
	readonly lotId: () => string;
	readonly turn: TurnDesk;
}

/** What a label with a code leads to: the one lot it is on, to be taken down by a tap. */
export class TakeDesk {
	readonly #deps: TakeDeps;
	constructor(deps: TakeDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** null: it was taken out of the home. */
	lot = $derived.by((): Lot | null => this.home.lots[this.#deps.lotId()] ?? null);
	thing = $derived.by((): Thing | null =>
		this.lot ? (this.home.things[this.lot.thingId] ?? null) : null
	);
	get date(): EffectiveDate | null {
		return this.lot && this.thing ? effectiveDate(this.lot, this.thing) : null;
	}
	get place(): string {
		return this.home.nooks[this.lot?.nookId ?? '']?.name ?? 'on the table';
	}
	get isLeft(): boolean {
		return (this.lot?.count ?? 0) > 0;
	}
	/** Another lot of the same that should be taken before this one, or in its place; null: this one is right. */
	before = $derived.by((): Lot | null => {
		if (!this.thing) return null;
		const next = nextLot(this.home, this.thing.id, this.#deps.today());
		return next && next.id !== this.lot?.id ? next : null;
	});
	/** How much one tap takes: one; of what is weighed, a tenth of a pack. */
	get step(): number {
		const { lot, thing } = this;
		if (!lot || !thing) return 1;
		const one = lot.unit === 'g' ? Math.round(perPack('g', thing) / 10) : 1;
		return Math.max(Math.min(one, lot.count), 0);
	}
	takeOne(): void {
		if (this.lot && this.isLeft) this.#deps.turn.take(this.lot, this.step);
	}
	takeAll(): void {
		if (this.lot && this.isLeft) this.#deps.turn.take(this.lot, this.lot.count);
	}
}

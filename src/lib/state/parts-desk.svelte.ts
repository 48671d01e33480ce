import { partOffers, type PartOffer } from '../core/fitting';
import type { Home } from '../core/model';
import { PART_USES } from '../messages/small-parts';
import type { HomeStore } from './home-store.svelte';

export interface PartsDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	readonly nookId: () => string | null;
}

/** Liners, hooks and dividers for the place at hand. */
export class PartsDesk {
	readonly #deps: PartsDeps;

	constructor(deps: PartsDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	offers = $derived.by((): readonly PartOffer[] => {
		const nookId = this.#deps.nookId();
		return nookId ? partOffers(this.home, nookId) : [];
	});
	#labelOf(use: PartOffer['use'], nookId: string, what: string): string {
		const place = this.home.nooks[nookId]?.name ?? 'the place';
		return `${PART_USES[use].toLowerCase()} for ${place}: ${what}`;
	}
	/** Puts it on the shop card, or says that it is there already. */
	want({ use }: Pick<PartOffer, 'use'>, has = false): void {
		const nookId = this.#deps.nookId();
		if (!nookId) return;
		const { store, newId } = this.#deps;
		const label = this.#labelOf(use, nookId, has ? 'there already' : 'on the shop card');
		store().run(label, 'wantPart', nookId, use, has, newId());
	}
	/** Does without it. */
	drop({ use }: Pick<PartOffer, 'use'>): void {
		const nookId = this.#deps.nookId();
		if (!nookId) return;
		this.#deps.store().run(this.#labelOf(use, nookId, 'done without'), 'dropPart', nookId, use);
	}
}

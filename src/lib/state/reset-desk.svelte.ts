import { lotsIn, type Home, type Nook, type Reset } from '../core/model';
import { foundOf, looksAt, placesOf, type ResetFound } from '../core/upkeep';
import { RESET_WORDS } from '../messages/steps';
import type { HomeStore } from './home-store.svelte';

export interface ResetDeskDeps {
	readonly store: () => HomeStore;
	/** Id of the reset that Clear was opened for; null: none. */
	readonly asked: () => string | null;
	/** The place at hand in Clear. */
	readonly nookId: () => string | null;
	/** ISO instant. */
	readonly now: () => string;
	/** ISO date. */
	readonly today: () => string;
	readonly said: (words: string) => void;
}

/** A reset while it is being done: a Clear of its places with the list filled in. */
export class ResetDesk {
	readonly #deps: ResetDeskDeps;
	constructor(deps: ResetDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** null: Clear is open for itself, or the reset was done or taken away. */
	reset = $derived.by((): Reset | null => {
		const reset = this.home.resets[this.#deps.asked() ?? ''];
		return reset?.begunAt ? reset : null;
	});
	get title(): string {
		const { reset } = this;
		return reset ? reset.name || RESET_WORDS[reset.kind].name : '';
	}
	get what(): string {
		return this.reset ? RESET_WORDS[this.reset.kind].what : '';
	}
	/** Its places; those that hold nothing of what it is for are gone past, unless none does. */
	places = $derived.by((): readonly Nook[] => {
		const { reset, home } = this;
		if (!reset) return [];
		const all = placesOf(home, reset);
		const holding = all.filter(({ id }) =>
			lotsIn(home, id).some(({ thingId }) => {
				const thing = home.things[thingId];
				return !thing || looksAt(reset.kind, thing);
			})
		);
		// What was thrown out meanwhile is no more in its place: where one stands one stays.
		const here = all.find(({ id }) => id === this.#deps.nookId());
		const kept = all.filter((nook) => holding.includes(nook) || nook === here);
		return holding.length ? kept : all;
	});
	/** Position of the place at hand among them, from 0; −1: it is another. */
	get at(): number {
		const id = this.#deps.nookId();
		return this.places.findIndex((nook) => nook.id === id);
	}
	/** The next of its places; null: this is the last. */
	get next(): Nook | null {
		return this.places[this.at + 1] ?? null;
	}
	found = $derived.by((): ResetFound | null =>
		this.reset?.begunAt ? foundOf(this.home, this.reset, this.reset.begunAt) : null
	);
	finish(): void {
		const { reset, title } = this;
		if (!reset) return;
		this.#deps
			.store()
			.run(`${title} done`, 'finishReset', reset.id, this.#deps.today(), this.#deps.now());
		this.#deps.said(`${title} done.`);
	}
}

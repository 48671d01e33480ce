import { HomeStore, type HomeStoreDeps, type OpenFailure } from './home-store.svelte';

/**
 * The stores that are open, one a home: a store outlives the pages that show it, so that going from one page to another
 * neither loses what is being written nor reads the home again.
 */
export class OpenHomes {
	readonly #stores = new Map<string, HomeStore>();
	readonly #opening = new Map<string, Promise<HomeStore | OpenFailure>>();
	readonly #depsOf: (homeId: string) => HomeStoreDeps;

	constructor(depsOf: (homeId: string) => HomeStoreDeps) {
		this.#depsOf = depsOf;
	}

	/** Gives the store of a home, opening it where needed; one that was open is brought up to date behind the scenes. */
	open(homeId: string): Promise<HomeStore | OpenFailure> {
		const known = this.#stores.get(homeId);
		if (known && !known.gone) {
			void known.refresh();
			return Promise.resolve(known);
		}
		const under = this.#opening.get(homeId);
		if (under) return under;
		const opening = this.#start(homeId).finally(() => this.#opening.delete(homeId));
		this.#opening.set(homeId, opening);
		return opening;
	}

	/** A page leaves a home: its store is closed once all of it is stored, unless it is shown again. */
	async leave(homeId: string): Promise<void> {
		const store = this.#stores.get(homeId);
		await store?.settled();
		if (!store || store.unsaved || this.#shown.has(homeId)) return;
		store.close();
		this.#stores.delete(homeId);
	}

	/** The page goes: what is not stored is put where the next one finds it. Tells whether all of it is safe. */
	pageGoes(): boolean {
		return [...this.#stores.values()].map((store) => store.leave()).every(Boolean);
	}

	readonly #shown = new Set<string>();
	/** Says which home is on screen; null: none. */
	show(homeId: string | null): void {
		const before = [...this.#shown];
		this.#shown.clear();
		if (homeId) this.#shown.add(homeId);
		for (const id of before) if (id !== homeId) void this.leave(id);
	}

	async #start(homeId: string): Promise<HomeStore | OpenFailure> {
		const known = this.#stores.get(homeId);
		// What is gone from the store is not thrown away while something of it is not stored.
		if (known?.unsaved) return known;
		known?.close();
		this.#stores.delete(homeId);
		const opened = await HomeStore.open(homeId, this.#depsOf(homeId));
		if (opened instanceof HomeStore) this.#stores.set(homeId, opened);
		return opened;
	}
}

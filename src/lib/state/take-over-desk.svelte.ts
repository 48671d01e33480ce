import { partsToTake, TAKE_OVER, type TakeOverPart } from '../core/upkeep';
import type { Home } from '../core/model';
import { listHomes, loadHome, type Db, type HomeRow } from '../data';
import type { HomeStore } from './home-store.svelte';

export interface TakeOverDeps {
	readonly store: () => HomeStore;
	readonly db: () => Promise<Db>;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}

/** Takes what was set up in one home over to another: people, ways of working, kinds of container, words of labels. */
export class TakeOverDesk {
	readonly #deps: TakeOverDeps;
	#homes = $state.raw<readonly HomeRow[]>([]);
	#from = $state.raw<Home | null>(null);
	#parts = $state.raw<readonly TakeOverPart[]>(['ways', 'containers', 'words']);
	/** Why nothing was taken over. */
	wrong = $state('');

	constructor(deps: TakeOverDeps) {
		this.#deps = deps;
	}
	/** The other homes of this browser. */
	get homes(): readonly HomeRow[] {
		return this.#homes;
	}
	async look(): Promise<void> {
		const here = this.#deps.store().home.id;
		const rows = await listHomes(await this.#deps.db()).catch(() => []);
		this.#homes = rows.filter(({ id, deletedAt }) => id !== here && !deletedAt);
	}
	get fromId(): string {
		return this.#from?.id ?? '';
	}
	async choose(homeId: string): Promise<void> {
		[this.#from, this.wrong] = [null, ''];
		if (!homeId) return;
		const loaded = await loadHome(await this.#deps.db(), homeId, this.#deps.now());
		if (loaded.ok) this.#from = loaded.home;
		else this.wrong = 'That home could not be read. Open it once, then try again.';
	}
	/** The parts that can be taken, with how much there is of each. */
	get parts(): readonly {
		readonly part: TakeOverPart;
		readonly count: number;
		readonly on: boolean;
	}[] {
		const from = this.#from;
		if (!from) return [];
		const { people = [], pets = [], containers = [], words = {} } = partsToTake(from, TAKE_OVER);
		const counts: Record<TakeOverPart, number> = {
			people: people.length + pets.length,
			ways: 1,
			containers: containers.length,
			words: Object.keys(words).length
		};
		return TAKE_OVER.filter((part) => counts[part] > 0).map((part) => ({
			part,
			count: counts[part],
			on: this.#parts.includes(part)
		}));
	}
	setPart(part: TakeOverPart, on: boolean): void {
		this.#parts = on ? [...this.#parts, part] : this.#parts.filter((each) => each !== part);
	}
	get mayTake(): boolean {
		return this.parts.some(({ on }) => on);
	}
	/** Takes the parts that are on over, as one step. */
	take(): void {
		const from = this.#from;
		if (!from || !this.mayTake) return;
		const parts = this.parts.filter(({ on }) => on).map(({ part }) => part);
		const words = `taken over from ${from.name}`;
		const { store, newId, said } = this.#deps;
		store().run(words, 'takeOver', partsToTake(from, parts) as never, newId());
		said(`${words[0]!.toUpperCase()}${words.slice(1)}.`);
		this.#from = null;
	}
}

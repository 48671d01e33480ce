import { SvelteMap } from 'svelte/reactivity';
import { command } from '../core/commands';
import { parseIntake, usualFor, type UsualThings } from '../core/clearing';
import { lotsIn, type Home, type NookId } from '../core/model';
import type { HomeStore } from './home-store.svelte';

export interface TickDeps {
	readonly store: () => HomeStore;
	readonly nookId: () => NookId | null;
	readonly newId: () => string;
	/** ISO date. */
	readonly today: () => string;
}

/** Usual things of a place, ticked with their counts and entered at once. */
export class Ticks {
	readonly #deps: TickDeps;
	isOpen = $state(false);
	#name = $state<string | null>(null);
	readonly #counts = new SvelteMap<string, number>();
	/** Said once something is entered. */
	said = $state('');

	constructor(deps: TickDeps) {
		this.#deps = deps;
	}
	get #home(): Home {
		return this.#deps.store().home;
	}
	/** All lists, the one for the place at hand first. */
	get lists(): readonly UsualThings[] {
		return usualFor(this.#home, this.#deps.nookId());
	}
	get list(): UsualThings {
		return this.lists.find(({ name }) => name === this.#name) ?? this.lists[0]!;
	}
	show(name: string): void {
		this.#name = name;
	}
	countOf(thing: string): number {
		return this.#counts.get(thing) ?? 0;
	}
	/** How many of a thing stand in the place already. */
	hereOf(thing: string): number {
		return lotsIn(this.#home, this.#deps.nookId())
			.filter((lot) => this.#home.things[lot.thingId]?.name.toLowerCase() === thing)
			.reduce((sum, { count }) => sum + count, 0);
	}
	/** One more of a thing, or with −1 one less. */
	add(thing: string, by = 1): void {
		const count = this.countOf(thing) + by;
		if (count > 0) this.#counts.set(thing, Math.min(99, count));
		else this.#counts.delete(thing);
		this.said = '';
	}
	get ticked(): number {
		return this.#counts.size;
	}
	/** Enters everything that is ticked, as one step that can be undone. */
	enter(): void {
		const store = this.#deps.store();
		const { readings, dateOrder: order } = this.#home;
		const today = this.#deps.today();
		const nookId = this.#deps.nookId();
		const commands = [...this.#counts].map(([thing, count]) => {
			const { line } = parseIntake(thing, { order, today, readings });
			return command('takeIn', {
				line: { ...line, name: thing, count },
				nookId,
				thingId: this.#deps.newId(),
				lotId: this.#deps.newId(),
				today
			});
		});
		if (!commands.length) return;
		store.runAll(`enter ${commands.length} things`, commands);
		this.said = `${commands.length} things entered.`;
		this.#counts.clear();
		this.isOpen = false;
	}
}

import { contentsMl, cupDensity } from '../core/fitting';
import { formatVolume, parseQuantity, type Home } from '../core/model';
import { cupText } from '../messages/fitting';
import type { HomeStore } from './home-store.svelte';

/** A usual cup, ml. */
const USUAL_CUP = '250 ml';

/** Weighing a cup of something, where the usual density of its kind is not to be trusted. */
export class WeighDesk {
	readonly #store: () => HomeStore;
	cup = $state(USUAL_CUP);
	weight = $state('');
	/** Why it was not taken. */
	wrong = $state('');

	constructor(store: () => HomeStore) {
		this.#store = store;
	}
	get home(): Home {
		return this.#store().home;
	}
	isWeighed(thingId: string): boolean {
		return this.home.things[thingId]?.densityGPerMl != null;
	}
	/** What a pack of it fills, in words. */
	fills(thingId: string): string {
		const thing = this.home.things[thingId];
		return thing ? formatVolume(contentsMl(thing)) : '';
	}
	/** Takes what was weighed; says what is wrong with it. */
	weigh(thingId: string): boolean {
		const thing = this.home.things[thingId];
		if (!thing) return false;
		const read = (typed: string, unit: 'ml' | 'g') => {
			const amount = parseQuantity(/[a-z]/i.test(typed) ? typed : `${typed} ${unit}`);
			return amount.ok && amount.quantity.unit === unit ? amount.quantity.value : NaN;
		};
		const cup = cupDensity(read(this.cup, 'ml'), read(this.weight, 'g'));
		this.wrong = cup.ok ? '' : cupText(cup.issue);
		if (!cup.ok) return false;
		this.#store().run(`a cup of ${thing.name} weighed`, 'setDensity', thingId, cup.gPerMl);
		this.weight = '';
		return true;
	}
	/** Goes by the name of its kind again. */
	forget(thingId: string): void {
		const thing = this.home.things[thingId];
		if (thing) this.#store().run(`${thing.name} as usual`, 'setDensity', thingId, null);
	}
}

import { parseQuantity, type Home, type Run } from '../core/model';
import { findHidden, ratedLoadG, type HiddenPlace } from '../core/survey';
import { quantityIssueText } from '../messages/clearing';
import { HIDDEN_WORDS } from '../messages/survey';
import type { HomeStore } from './home-store.svelte';

export interface HiddenDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
}
const USUAL_HOOKS = 4;

/** Room that a home has already and nobody uses: looked through, and made into places. */
export class HiddenDesk {
	readonly #deps: HiddenDeps;
	/** What was picked from the list; null: nothing yet. */
	key = $state<string | null>(null);
	/** Only what leaves no hole where none may be left. */
	onlyAllowed = $state(true);
	/** The rating of one hook, as it stands on its pack. */
	rating = $state('');
	hooks = $state(USUAL_HOOKS);
	/** Why it was not made a place. */
	wrong = $state('');

	constructor(deps: HiddenDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	places = $derived.by((): readonly HiddenPlace[] => findHidden(this.home));
	shown = $derived.by(() => this.places.filter((place) => !this.onlyAllowed || place.allowed));
	barred = $derived.by(() => this.places.filter((place) => !place.allowed).length);
	gainMl = $derived.by(() => this.shown.reduce((sum, place) => sum + place.gainMl, 0));
	/** What was picked, else the first. */
	chosen = $derived.by(() => this.places.find(({ key }) => key === this.key) ?? this.places[0]);
	/** The wall on which it is drawn; undefined: on none. */
	run = $derived.by((): Run | undefined => {
		const { chosen, home } = this;
		if (!chosen) return undefined;
		if (chosen.runId) return home.runs[chosen.runId];
		const cabinetId =
			chosen.make.as === 'nook'
				? chosen.make.cabinetId
				: chosen.nookId && home.nooks[chosen.nookId]?.cabinetId;
		return cabinetId ? home.runs[home.cabinets[cabinetId]?.runId ?? ''] : undefined;
	});
	/** What lies under a bed has no wall of its own yet: it is shown on the plan. */
	get bedRoom() {
		const make = this.chosen?.make;
		return make?.as === 'under-bed' ? this.home.rooms[make.roomId] : undefined;
	}

	choose({ key }: Pick<HiddenPlace, 'key'>): void {
		this.key = key;
		this.rating = this.wrong = '';
	}
	/** Makes it a place. Hooks carry what stands on their pack: a rating is asked, never guessed. */
	accept(place: HiddenPlace): void {
		const loadG = place.asksRating ? this.#rated(place) : place.loadG;
		if (loadG === false) return;
		const { store, newId } = this.#deps;
		const words = `${HIDDEN_WORDS[place.kind]}: ${place.where}`;
		store().run(words, 'acceptHidden', place, loadG, newId());
		this.key = null;
		this.rating = this.wrong = '';
	}
	/** What the hooks carry, g; false: their rating was not given. */
	#rated(place: HiddenPlace): number | false {
		const { rating } = this;
		const read = parseQuantity(rating);
		if (read.ok && read.quantity.unit === 'g' && read.quantity.value >= 1)
			return ratedLoadG(read.quantity.value, this.hooks, place.damp);
		if (!rating.trim())
			this.wrong =
				'Write the rating of one hook, as it stands on its pack: it is not guessed here.';
		else
			this.wrong = read.ok
				? `“${rating}” is not a weight. Write it like 500 g.`
				: quantityIssueText(read);
		return false;
	}
}

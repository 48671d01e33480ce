import { REGIONS, type Home, type Region } from '../core/model';
import { TEMPLATES, USUAL_PEOPLE, type UsualPerson } from '../core/survey';
import type { HomeStore } from './home-store.svelte';

export interface FirstStepsDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** Where this device says it is, as a code of two letters; null: it does not say. */
	readonly here: () => string | null;
}

/** What an empty home is asked: where it is, who lives there, and which rooms it has. Nothing of it must be said. */
export class FirstStepsDesk {
	readonly #deps: FirstStepsDeps;
	constructor(deps: FirstStepsDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** All regions by name, that of this device first. */
	get regions(): readonly Region[] {
		const here = this.#deps.here();
		return [...REGIONS].sort((a, b) => Number(b.code === here) - Number(a.code === here));
	}
	get region(): string {
		return this.home.customs.region ?? '';
	}
	/** Units, money, paper, dates and weeks as they are usual there; empty: as they are. */
	settle(code: string): void {
		const region = REGIONS.find((each) => each.code === code);
		if (region) this.#deps.store().run(`in ${region.name}`, 'settleIn', code);
		else this.#deps.store().run('in no region', 'changeCustoms', { region: null });
	}
	readonly usualPeople = USUAL_PEOPLE;
	addPerson(key: UsualPerson): void {
		const name = USUAL_PEOPLE.find((each) => each.key === key)!.name.toLowerCase();
		this.#deps.store().run(`${name} added`, 'addUsualPerson', this.#deps.newId(), key);
	}
	addPet(kind: string): void {
		const name = `${kind[0]!.toUpperCase()}${kind.slice(1)}`;
		this.#deps.store().run(`${kind} added`, 'addPet', this.#deps.newId(), name, kind);
	}
	get people() {
		return Object.values(this.home.people);
	}
	get pets() {
		return Object.values(this.home.pets);
	}
	/** A person's own name; without letters it stays as it was. */
	rename(id: string, words: string): void {
		const name = words.trim();
		if (name && name !== this.home.people[id]?.name)
			this.#deps.store().run(`name ${name}`, 'changePerson', id, { name });
	}
	remove(id: string): void {
		const { people, pets } = this.home;
		if (people[id]) this.#deps.store().run(`${people[id].name} taken away`, 'removePerson', id);
		else if (pets[id]) this.#deps.store().run(`${pets[id].name} taken away`, 'removePet', id);
	}
	readonly templates = TEMPLATES;
	addRoom(key: string): void {
		const template = TEMPLATES.find((each) => each.key === key);
		if (template)
			this.#deps.store().run(`${template.name} added`, 'addTemplate', key, this.#deps.newId());
	}
	get hasRooms(): boolean {
		return Object.keys(this.home.rooms).length > 0;
	}
}

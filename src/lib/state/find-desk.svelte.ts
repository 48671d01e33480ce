import { type Home } from '../core/model';
import { toKnow } from '../core/upkeep';
import { find } from './find';
import type { HomeStore } from './home-store.svelte';

export interface FindDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	readonly said: (words: string) => void;
}

/** A place where something is, or where it belongs. */
export interface FoundPlace {
	readonly key: string;
	readonly name: string;
	readonly where: string;
	/** null: nowhere now. */
	readonly nookId: string | null;
	/** The thing that was meant; null: a place, cabinet or group. */
	readonly thingId: string | null;
}

/** "Where is it?", for people who never plan: a field, a drawing, and one tap when it was somewhere else. */
export class FindDesk {
	readonly #deps: FindDeskDeps;
	words = $state('');
	#key = $state.raw<string | null>(null);
	/** It is being said where it was found instead. */
	isElsewhere = $state(false);

	constructor(deps: FindDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	found = $derived.by((): readonly FoundPlace[] => {
		const { home } = this;
		const lives = new Map(toKnow(home).map(({ groupId, nookId }) => [groupId, nookId]));
		return find(home, this.words, 12).flatMap((hit): FoundPlace[] => {
			const id = hit.key.split('/')[1] ?? '';
			const of = (nookId: string | null, where: string, thingId: string | null = null) => [
				{ key: hit.key, name: hit.name, where, nookId, thingId }
			];
			const place = (nookId: string | null) => home.nooks[nookId ?? '']?.name ?? '';
			if (hit.kind === 'thing') {
				const nookId = hit.key.split('/')[2] || null;
				if (nookId) return of(nookId, hit.where, id);
				// None is left, or it is on the table: it says where the next one belongs.
				const belongs = lives.get(home.things[id]?.groupId ?? '') ?? null;
				return of(belongs, belongs ? `${hit.where}; it lives in ${place(belongs)}` : hit.where, id);
			}
			if (hit.kind === 'place') return of(id, hit.where);
			if (hit.kind === 'cabinet') {
				const nook = Object.values(home.nooks).find(({ cabinetId }) => cabinetId === id);
				return nook ? of(nook.id, 'cabinet') : [];
			}
			if (hit.kind === 'group') {
				const nookId = lives.get(id) ?? null;
				return of(nookId, nookId ? place(nookId) : 'no place yet');
			}
			return [];
		});
	});
	/** The hit that is shown on the drawing: the one that was tapped, else the first. */
	chosen = $derived.by(
		(): FoundPlace | null =>
			this.found.find(({ key }) => key === this.#key) ?? this.found[0] ?? null
	);
	choose(key: string): void {
		[this.#key, this.isElsewhere] = [key, false];
	}
	/** It was not there. The next tap on the drawing says where it was. */
	notThere(): void {
		this.isElsewhere = true;
	}
	tap(nookId: string): void {
		if (this.isElsewhere) this.report(nookId);
	}
	/** Reports where it was found; null: nowhere. */
	report(nookId: string | null): void {
		const { chosen } = this;
		this.isElsewhere = false;
		if (!chosen?.thingId) return;
		const where = nookId ? `found in ${this.home.nooks[nookId]?.name}` : 'not found';
		this.#deps
			.store()
			.run(
				`${chosen.name} ${where}`,
				'reportElsewhere',
				this.#deps.newId(),
				chosen.thingId,
				nookId,
				this.#deps.now()
			);
		this.#deps.said(`${chosen.name} ${where}. Noted.`);
	}
}

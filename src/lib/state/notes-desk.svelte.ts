import type { Group, Home } from '../core/model';
import { cabinetsInOrder } from '../core/survey';
import { placesOfLots, reviewPlan } from '../core/zoning';
import { notesText } from '../messages/notes';
import type { HomeStore } from './home-store.svelte';

export interface NotesDeps {
	readonly store: () => HomeStore;
	/** ISO date. */
	readonly today: () => string;
}
/** A group on the note of a place; the rest of it may be elsewhere. */
interface Note {
	readonly group: Group;
	readonly isPart: boolean;
}
export interface CabinetNotes {
	readonly id: string;
	readonly name: string;
	readonly room: string;
	readonly rows: readonly {
		readonly id: string;
		readonly name: string;
		readonly notes: readonly Note[];
	}[];
}
/** Things named on a note. */
const NAMED = 5;
/** Less of a group than this is not all of it: shares are sums of parts. */
const WHOLE = 0.999;

/** Notes for the doors: what lives where by the plan, and how long they are tried out. */
export class NotesDesk {
	readonly #deps: NotesDeps;

	constructor(deps: NotesDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	plan = $derived.by(() =>
		this.home.activePlanId ? this.home.zonePlans[this.home.activePlanId] : undefined
	);
	/** Cabinets that get something, with the notes of each of their places from the top down. */
	cabinets = $derived.by((): readonly CabinetNotes[] => {
		const notes = new Map<string, Note[]>();
		for (const { groupId, nookId, share } of this.plan?.assignments ?? []) {
			const group = this.home.groups[groupId];
			if (group)
				notes.set(nookId, [...(notes.get(nookId) ?? []), { group, isPart: share < WHOLE }]);
		}
		return cabinetsInOrder(this.home)
			.map(({ cabinet, room, nooks }) => ({
				id: cabinet.id,
				name: cabinet.name,
				room: room.name,
				rows: nooks.map(({ id, name }) => ({ id, name, notes: notes.get(id) ?? [] }))
			}))
			.filter(({ rows }) => rows.some(({ notes: own }) => own.length));
	});
	/** What an organizer would question in the plan. */
	objections = $derived.by(() =>
		this.plan ? reviewPlan(this.home, { assignments: [...this.plan.assignments] }) : []
	);
	get isLearning(): boolean {
		const until = this.plan?.learnUntil;
		return !!until && until >= this.#deps.today();
	}
	/** What of a group is in a place, in words. */
	thingsIn(groupId: string, nookId: string): string {
		return notesText(placesOfLots(this.home, groupId, this.plan?.assignments ?? []), nookId, NAMED);
	}
	/** How long the plan is tried out; empty: no longer. */
	learnUntil(date: string): void {
		if (this.plan)
			this.#deps.store().run('learning the plan', 'learnUntil', this.plan.id, date || null);
	}
}

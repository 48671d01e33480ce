import { looksOf, plannedInRoom, roomOfNook, type LookPrice } from '../core/fitting';
import type { Home, Room } from '../core/model';
import type { LooksAnswer, LooksProgress } from '../workers/looks.protocol';
import type { HomeStore } from './home-store.svelte';
import { Job, type JobRunner } from './job.svelte';

export interface LooksDeps {
	readonly store: () => HomeStore;
	readonly runner: JobRunner<LooksAnswer, LooksProgress>;
	/** The place at hand. */
	readonly nookId: () => string | null;
	/** The look was said: what is shown is fitted anew. */
	readonly askAnew: () => void;
}

/** The look of the containers in the room at hand, and what each would cost there. */
export class LooksDesk {
	readonly job: Job<LooksAnswer, LooksProgress>;
	readonly #deps: LooksDeps;
	/** What was found, for which room of which home. */
	#found = $state.raw<{ of: Home; roomId: string; prices: readonly LookPrice[] } | null>(null);

	constructor(deps: LooksDeps) {
		this.#deps = deps;
		this.job = new Job(deps.runner);
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	room = $derived.by((): Room | undefined => {
		const nookId = this.#deps.nookId();
		return nookId ? roomOfNook(this.home, nookId) : undefined;
	});
	/** Looks to choose from. */
	looks = $derived.by(() => looksOf(this.home));
	/** Places of the room that the plan fills. */
	places = $derived.by(() => (this.room ? plannedInRoom(this.home, this.room.id).length : 0));
	/** What each look costs, as the home stands but for the look itself; undefined: not looked at. */
	get prices(): readonly LookPrice[] | undefined {
		const found = this.#found;
		return found && found.roomId === this.room?.id && isSameButLooks(found.of, this.home)
			? found.prices
			: undefined;
	}
	/** Looks what each look would cost in this room. */
	async look(): Promise<void> {
		const roomId = this.room?.id;
		if (!roomId) return;
		const of = this.home;
		const answer = await this.job.start({ home: of, roomId });
		if (answer) this.#found = { of, roomId, prices: answer.result.prices };
	}
	/** Says which look the room is to have; empty: any. */
	set(look: string): void {
		const { room } = this;
		if (!room || room.look === look) return;
		this.#deps.store().run(`look of ${room.name}`, 'changeRoom', room.id, { look });
		this.#deps.askAnew();
	}
	leave(): void {
		this.job.leave();
	}
}

/** Whether two states of a home are the same but for the looks of its rooms; what did not change is the same record. */
function isSameButLooks(one: Home, other: Home): boolean {
	const bare = (home: Home) =>
		JSON.stringify(Object.values(home.rooms).map((room) => ({ ...room, look: '' })));
	const keys = (Object.keys(other) as (keyof Home)[]).filter((key) => key !== 'rooms');
	return keys.every((key) => one[key] === other[key]) && bare(one) === bare(other);
}

import { shelfColumn, type ShelfSetting } from '../core/fitting';
import { activePlan, type Home } from '../core/model';
import type { HeightsAnswer } from '../workers/heights.protocol';
import type { HomeStore } from './home-store.svelte';
import { Job, type JobRunner } from './job.svelte';

export interface ShelvesDeps {
	readonly store: () => HomeStore;
	readonly runner: JobRunner<HeightsAnswer, never>;
	/** The place at hand. */
	readonly nookId: () => string | null;
	/** Something that is to stand there is too tall for it. */
	readonly isTooLow: () => boolean;
}

/** The heights of the shelves in the cabinet at hand: looked at off the page, and set. */
export class ShelvesDesk {
	readonly job: Job<HeightsAnswer, never>;
	readonly #deps: ShelvesDeps;
	/** What was found, for which place of which home. */
	#found = $state.raw<{ of: Home; nookId: string; setting: ShelfSetting | null } | null>(null);
	/** The place of the home that is being looked at, or was in vain. */
	#asked: { of: Home; nookId: string } | null = null;

	constructor(deps: ShelvesDeps) {
		this.#deps = deps;
		this.job = new Job(deps.runner);
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** The place belongs to shelves that can be set, and the plan puts something there. */
	canSet = $derived.by(() => {
		const nookId = this.#deps.nookId();
		const isPlanned = activePlan(this.home)?.assignments.some((each) => each.nookId === nookId);
		return !!nookId && !!isPlanned && !!shelfColumn(this.home, nookId);
	});
	/** What was found for these shelves as they stand; undefined: not looked at. */
	get setting(): ShelfSetting | null | undefined {
		const found = this.#found;
		return found && found.of === this.home && found.nookId === this.#deps.nookId()
			? found.setting
			: undefined;
	}
	/** Looks whether the shelves would hold more at other heights. */
	async look(): Promise<void> {
		const nookId = this.#deps.nookId();
		if (!nookId) return;
		const of = this.home;
		this.#asked = { of, nookId };
		const basis = () => `${this.#deps.nookId()}`;
		const answer = await this.job.start({ home: of, nookId }, basis);
		if (answer) this.#found = { of, nookId, setting: answer.result.setting };
	}
	/** Looks by itself where something is too tall, once for a place as it stands. */
	offer(): void {
		const nookId = this.#deps.nookId();
		const isNew = this.#asked?.of !== this.home || this.#asked.nookId !== nookId;
		if (this.canSet && this.#deps.isTooLow() && isNew) void this.look();
	}
	/** The shelves stand as proposed now. */
	set(): void {
		const { setting } = this;
		if (!setting || setting.against.length) return;
		const { levels, assignments } = setting;
		this.#deps.store().run('set the shelves', 'setShelves', { levels, assignments });
	}
	leave(): void {
		this.job.leave();
	}
}

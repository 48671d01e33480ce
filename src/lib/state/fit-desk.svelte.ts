import {
	fitFingerprint,
	keptOf,
	type Arrangement,
	type ArrangementName,
	type FitResult,
	type LeftOver
} from '../core/fitting';
import { activePlan, type FitPlan, type Group, type Home, type Nook } from '../core/model';
import { shoppingList } from '../core/rotation';
import { nooksInOrder, type NookPlace } from '../core/survey';
import { countText } from '../messages/numbers';
import type { FitProgress } from '../workers/fit.protocol';
import type { HomeStore } from './home-store.svelte';
import { Job, type JobRunner } from './job.svelte';

export interface FitDeskDeps {
	readonly store: () => HomeStore;
	readonly runner: JobRunner<FitResult[], FitProgress>;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** Says something in passing. */
	readonly say: (words: string) => void;
}

/** The places of the plan, and what stands how in the one at hand: tried arrangements, the one that is kept, what is to be bought. */
/** What did not go in; of what is kept, without the reason. */
type Over = FitPlan['leftOver'][number] | LeftOver;

export class FitDesk {
	readonly job: Job<FitResult[], FitProgress>;
	readonly #deps: FitDeskDeps;
	#chosen = $state.raw<string | null>(null);
	#results = $state.raw<ReadonlyMap<string, FitResult>>(new Map());
	/** null: the best one. */
	#style = $state.raw<ArrangementName | null>(null);
	/** How far fitting all places is; null: it is not going on. */
	#round = $state.raw<FitProgress | null>(null);

	constructor(deps: FitDeskDeps) {
		this.#deps = deps;
		this.job = new Job(deps.runner);
	}

	get home(): Home {
		return this.#deps.store().home;
	}
	#plan = $derived.by(() => activePlan(this.home));
	planned = $derived.by(
		(): ReadonlySet<string> => new Set((this.#plan?.assignments ?? []).map(({ nookId }) => nookId))
	);
	places = $derived.by((): readonly NookPlace[] =>
		nooksInOrder(this.home).filter(({ nook }) => this.planned.has(nook.id))
	);
	#fits = $derived.by(
		(): ReadonlyMap<string, FitPlan> =>
			new Map(Object.values(this.home.fitPlans).map((fit) => [fit.nookId, fit]))
	);
	/** Places that have no arrangement, or one of something else. */
	open = $derived.by((): readonly string[] =>
		this.places.flatMap(({ nook }) =>
			this.#fits.get(nook.id)?.fingerprint === fitFingerprint(this.home, nook.id) ? [] : [nook.id]
		)
	);
	flagged = $derived.by((): ReadonlySet<string> => new Set(this.open));
	nookId = $derived.by((): string | null =>
		this.#chosen && this.planned.has(this.#chosen) && this.home.nooks[this.#chosen]
			? this.#chosen
			: (this.open[0] ?? this.places[0]?.nook.id ?? null)
	);
	get nook(): Nook | undefined {
		return this.nookId ? this.home.nooks[this.nookId] : undefined;
	}
	groups = $derived.by((): readonly Group[] => {
		const here = (this.#plan?.assignments ?? []).filter(({ nookId }) => nookId === this.nookId);
		return [...new Set(here.map(({ groupId }) => groupId))].flatMap(
			(id) => this.home.groups[id] ?? []
		);
	});
	get kept(): FitPlan | undefined {
		return this.nookId ? this.#fits.get(this.nookId) : undefined;
	}
	/** What is kept was made for something else. */
	get isStale(): boolean {
		return !!this.kept && this.flagged.has(this.nookId!);
	}
	/** What was tried here, of what stands now. */
	result = $derived.by((): FitResult | undefined => {
		const found = this.nookId ? this.#results.get(this.nookId) : undefined;
		if (!found || !('fingerprint' in found)) return found;
		return found.fingerprint === fitFingerprint(this.home, found.nookId) ? found : undefined;
	});
	arrangements = $derived.by((): readonly Arrangement[] =>
		this.result && 'arrangements' in this.result ? this.result.arrangements : []
	);
	arrangement = $derived.by(
		() => this.arrangements.find(({ name }) => name === this.#style) ?? this.arrangements[0]
	);
	/** What is drawn: what is being tried, else what is kept. */
	shown = $derived.by(
		(): (Pick<Arrangement, 'placements' | 'standing'> & { leftOver: readonly Over[] }) | null =>
			this.arrangement ?? this.kept ?? null
	);
	/** How many containers of each kind are drawn, and how many of them are to be bought. */
	containers = $derived.by(() => {
		const counts = new Map<string, number>();
		for (const { kindId } of this.shown?.placements ?? [])
			counts.set(kindId, (counts.get(kindId) ?? 0) + 1);
		return [...counts].flatMap(([kindId, count]) => {
			const kind = this.home.containerKinds[kindId];
			const buy = this.arrangement?.toBuy.find((line) => line.kindId === kindId)?.count ?? 0;
			return kind ? [{ kind, count, buy }] : [];
		});
	});
	/** Names of what stands on the shelf itself, each once. */
	standing = $derived.by(() => [
		...new Set((this.shown?.standing ?? []).flatMap(({ names }) => names))
	]);
	/** Containers that the home still lacks. */
	buying = $derived.by(() =>
		shoppingList(this.home).filter(({ reason }) => reason === 'container')
	);
	get costMinor(): number {
		return this.buying.reduce((sum, line) => sum + (line.priceMinor ?? 0) * line.buy, 0);
	}
	get round(): FitProgress | null {
		return this.#round;
	}

	/** Goes to another place; one that holds no group in the plan is said to. */
	goTo(nookId: string): void {
		if (!this.planned.has(nookId))
			return this.#deps.say(`${this.home.nooks[nookId]?.name} holds no group in the plan.`);
		this.#chosen = nookId;
		this.#style = null;
	}
	try(name: ArrangementName): void {
		this.#style = name;
	}

	/** Fits the place at hand, if there is nothing of it to show. */
	async showSomething(): Promise<void> {
		if (this.nookId && !this.result && (!this.kept || this.isStale) && !this.job.isRunning)
			await this.fit();
	}
	/** Fits the place at hand; the answer is that place's, whichever is looked at when it comes. */
	async fit(): Promise<void> {
		const id = this.nookId;
		if (!id) return;
		this.#style = null;
		// It stays in hand, also when it is no longer the first of those that are open.
		this.#chosen = id;
		const found = await this.#run(id);
		if (found) this.#results = new Map(this.#results).set(id, found);
	}
	/** Keeps the arrangement that is shown. */
	keep(): void {
		const { arrangement, result } = this;
		if (arrangement && result && 'fingerprint' in result)
			this.#keep(result.nookId, arrangement, result.fingerprint);
	}
	/** Fits what is open, one place after the other, so that each takes from what the house still has. */
	async fitAll(): Promise<void> {
		const ids = this.open;
		let fitted = 0;
		for (const [i, id] of ids.entries()) {
			this.#round = { done: i, of: ids.length };
			const found = await this.#run(id);
			if (!found) break;
			const best = 'arrangements' in found ? found.arrangements[0] : undefined;
			if (best && 'fingerprint' in found) {
				this.#keep(id, best, found.fingerprint);
				fitted++;
			} else this.#results = new Map(this.#results).set(id, found);
		}
		this.#round = null;
		const rest = ids.length - fitted;
		if (fitted)
			this.#deps.say(
				`${countText(fitted, 'place')} fitted${rest ? `; ${rest} could not be` : ''}. Look them through; each can be done again.`
			);
	}
	leave(): void {
		this.#round = null;
		this.job.leave();
	}

	async #run(nookId: string): Promise<FitResult | null> {
		const answer = await this.job.start({ home: this.home, options: { nookIds: [nookId] } });
		return answer?.result[0] ?? null;
	}
	#keep(nookId: string, arrangement: Arrangement, fingerprint: string): void {
		this.#deps
			.store()
			.run(
				`fit ${this.home.nooks[nookId]?.name}`,
				'keepArrangement',
				nookId,
				keptOf(arrangement),
				fingerprint,
				this.#deps.now(),
				this.#deps.newId()
			);
		const results = new Map(this.#results);
		results.delete(nookId);
		this.#results = results;
	}
}

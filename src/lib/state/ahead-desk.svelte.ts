import { command } from '../core/commands';
import {
	BRANCH_NAMES,
	categoryOf,
	WASTE_REASONS,
	type Home,
	type Thing,
	type WasteReason
} from '../core/model';
import { buyingAdvice, countedUses, type HomeOutlook, type Outlook } from '../core/rotation';
import type { ForecastProgress } from '../workers/forecast.protocol';
import type { HomeStore } from './home-store.svelte';
import { Job, type JobRunner } from './job.svelte';

export interface AheadDeps {
	readonly store: () => HomeStore;
	/** ISO date. */
	readonly today: () => string;
	readonly runner: JobRunner<HomeOutlook, ForecastProgress>;
}

/** A thing with what is to be expected of it. */
export interface Expected {
	readonly thing: Thing;
	readonly outlook: Outlook;
}

/** What the coming weeks bring: what spoils, what runs out, and how much to hold against both. */
export class AheadDesk {
	readonly #deps: AheadDeps;
	readonly #job: Job<HomeOutlook, ForecastProgress>;
	#outlook = $state.raw<HomeOutlook | null>(null);
	#of = $state.raw<Home | null>(null);
	#thingId = $state.raw<string | null>(null);

	constructor(deps: AheadDeps) {
		this.#deps = deps;
		this.#job = new Job(deps.runner);
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	get outlook(): HomeOutlook | null {
		return this.#outlook;
	}
	get progress(): ForecastProgress | null {
		return this.#job.progress;
	}
	get isRunning(): boolean {
		return this.#job.isRunning;
	}
	get failure(): string {
		return this.#job.failure;
	}
	/** Whether the home has changed since it was foretold. */
	isStale = $derived.by(() => this.#of !== null && this.#of !== this.home);

	async look(): Promise<void> {
		const { home } = this;
		const answer = await this.#job.start({ home, options: { today: this.#deps.today() } });
		if (!answer) return;
		this.#outlook = answer.result;
		this.#of = home;
	}
	leave(): void {
		this.#job.stop();
	}

	#all = $derived.by((): readonly Expected[] =>
		(this.#outlook?.things ?? []).flatMap((outlook) => {
			const thing = this.home.things[outlook.thingId];
			return thing ? [{ thing, outlook }] : [];
		})
	);
	/** What will likely spoil, the dearest first. */
	spoiling = $derived.by(() => this.#all.filter(({ outlook }) => outlook.wastePacks >= 0.05));
	/** What is held by a rule and may be gone before the next shop, the likeliest first. */
	runningOut = $derived.by(() =>
		this.#all
			.filter(({ thing, outlook }) => thing.hold && outlook.outBeforeShop >= 0.2)
			.sort((a, b) => b.outlook.outBeforeShop - a.outlook.outBeforeShop)
	);
	/**
	 * Rules that cost more than the best number of packs would, the dearest first; of things whose rate is more than a
	 * guess.
	 */
	better = $derived.by(() =>
		this.#all
			.filter(({ thing, outlook }) => {
				const { best, now, basis } = outlook;
				if (basis === 'class') return false;
				const stands = thing.hold?.rule === 'packs' && thing.hold.amount === best?.level;
				return best && now && !stands && now.costMinor - best.costMinor >= LEAST_GAIN;
			})
			.sort((a, b) => gainOf(b.outlook) - gainOf(a.outlook))
	);
	choose(thingId: string | null): void {
		this.#thingId = thingId;
	}
	chosen = $derived.by(
		(): Expected | null => this.#all.find(({ thing }) => thing.id === this.#thingId) ?? null
	);
	/** Holds what is best from now on. */
	take({ thing, outlook }: Expected): void {
		if (outlook.best)
			this.#deps
				.store()
				.runAll(`hold ${outlook.best.level} ${thing.name}`, [
					command('changeThing', thing.id, { hold: outlook.best.hold })
				]);
	}

	/** What the past says about buying. */
	buying = $derived.by(() => buyingAdvice(this.home, this.#deps.today()));
	/** Things that are used far more or less often than was said. */
	counted = $derived.by(() => countedUses(this.home, this.#deps.today()));
	/** Groups, plans and lists go by the counted uses from then on. */
	takeCounted(): void {
		this.#deps.store().runAll('go by counted uses', [
			command(
				'takeCounted',
				this.counted.map(({ thing, counted }) => [thing.id, counted] as const)
			)
		]);
	}

	/** Packs that will spoil by branch, the most first. */
	wasteByBranch = $derived.by(() => {
		const sums = new Map<string, number>();
		for (const { thing, outlook } of this.spoiling) {
			const { branch, name } = categoryOf(thing.category);
			const key = BRANCH_NAMES[branch] ?? name;
			sums.set(key, (sums.get(key) ?? 0) + outlook.wastePacks);
		}
		return [...sums]
			.map(([name, packs]) => ({ name, packs }))
			.sort((a, b) => b.packs - a.packs || a.name.localeCompare(b.name, 'en'));
	});
	/** What was thrown out so far, by reason; those that never were are left out. */
	thrownOut = $derived.by(
		(): readonly { readonly why: WasteReason | null; readonly times: number }[] => {
			const counts = new Map<WasteReason | null, number>();
			for (const { kind, why } of Object.values(this.home.useEvents))
				if (kind === 'discard') counts.set(why, (counts.get(why) ?? 0) + 1);
			return [...WASTE_REASONS, null].flatMap((why) => {
				const times = counts.get(why);
				return times ? [{ why, times }] : [];
			});
		}
	);
}

/** Less than this is not worth changing a habit for, minor units over the weeks. */
const LEAST_GAIN = 100;
const gainOf = ({ best, now }: Outlook): number =>
	best && now ? now.costMinor - best.costMinor : 0;

import type { Home } from '../core/model';
import {
	DEFAULT_PLACE,
	schoolVariants,
	scorePlan,
	type PlaceProgress,
	type PlaceResult,
	type PlanScore,
	type SchoolVariant
} from '../core/zoning';
import { Job, type JobRunner } from './job.svelte';

export interface ComparedPlan {
	readonly variant: SchoolVariant;
	readonly result: PlaceResult;
	readonly score: PlanScore;
}

/** Plans a home by several schools, one after the other, and keeps what was found. */
export class Compare {
	readonly #job: Job<PlaceResult, PlaceProgress>;
	#plans = $state.raw<readonly ComparedPlan[]>([]);
	#running = $state<number | null>(null);
	#stopped = false;

	constructor(runner: JobRunner<PlaceResult, PlaceProgress>) {
		this.#job = new Job(runner, { bestOf: ({ best }) => best });
	}

	get plans(): readonly ComparedPlan[] {
		return this.#plans;
	}
	/** Which of the schools is being planned, from 0; null: none. */
	get running(): number | null {
		return this.#running;
	}
	get failure(): string {
		return this.#job.failure;
	}

	async start(home: Home): Promise<void> {
		this.#plans = [];
		this.#stopped = false;
		const variants = schoolVariants(home.schools);
		for (const [i, variant] of variants.entries()) {
			if (this.#stopped) break;
			this.#running = i;
			const own = { ...home, schools: variant.schools };
			const result = (await this.#job.start({ home: own, options: DEFAULT_PLACE }))?.result;
			if (!result || result.status === 'nothing-to-place') break;
			const score = scorePlan(home, variant, result);
			this.#plans = [...this.#plans, { variant, result, score }];
		}
		this.#running = null;
	}

	stop(): void {
		this.#stopped = true;
		this.#job.stop();
	}
}

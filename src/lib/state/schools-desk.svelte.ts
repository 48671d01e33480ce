import { command } from '../core/commands';
import type { Assignment, Group, Home, Run } from '../core/model';
import { groupsElsewhere, toZonePlan, type PlaceProgress, type PlaceResult } from '../core/zoning';
import { schoolText } from '../messages/zoning';
import { Compare, type ComparedPlan } from './compare.svelte';
import type { HomeStore } from './home-store.svelte';
import type { JobRunner } from './job.svelte';

export interface SchoolsDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	readonly runner: JobRunner<PlaceResult, PlaceProgress>;
}
/** Walls drawn for each plan: those with most cabinets. */
const WALLS = 3;

/** A home planned by four schools side by side, and what of each is taken. */
export class SchoolsDesk {
	readonly #deps: SchoolsDeps;
	readonly compare: Compare;
	/** The group that is looked at in all plans; null: none. */
	groupId = $state<string | null>(null);

	constructor(deps: SchoolsDeps) {
		this.#deps = deps;
		this.compare = new Compare(deps.runner);
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	plan = $derived.by(() =>
		this.home.activePlanId ? this.home.zonePlans[this.home.activePlanId] : undefined
	);
	/** The walls that are drawn, those with most cabinets first. */
	runs = $derived.by((): readonly Run[] => {
		const counts = new Map<string, number>();
		for (const { runId } of Object.values(this.home.cabinets))
			counts.set(runId, (counts.get(runId) ?? 0) + 1);
		const countOf = ({ id }: Run) => counts.get(id) ?? 0;
		return Object.values(this.home.runs)
			.filter((run) => countOf(run) > 0)
			.sort((a, b) => countOf(b) - countOf(a))
			.slice(0, WALLS);
	});
	get group(): Group | undefined {
		return this.groupId ? this.home.groups[this.groupId] : undefined;
	}
	/** Looks at a group in all plans, or no longer when it is looked at. */
	look(id: string | null): void {
		this.groupId = this.groupId === id ? null : id;
	}
	/** The groups of each place in a plan. */
	groupsIn({ result }: ComparedPlan): Map<string, Group[]> {
		const found = new Map<string, Group[]>();
		for (const { groupId, nookId } of result.assignments) {
			const group = this.home.groups[groupId];
			if (group) found.set(nookId, [...(found.get(nookId) ?? []), group]);
		}
		return found;
	}
	/** Where a group stands, in words. */
	placesText(assignments: readonly Assignment[], groupId: string): string {
		const names = assignments
			.filter((assignment) => assignment.groupId === groupId)
			.map(({ nookId }) => this.home.nooks[nookId]?.name ?? '');
		return names.join(' and ') || 'without a place';
	}
	/** Groups that are not everywhere in the same place. */
	disputed = $derived.by((): readonly string[] => {
		const { plans } = this.compare;
		const first = plans[0];
		if (!first) return [];
		return [
			...new Set(
				plans.flatMap(({ result }) => groupsElsewhere(first.result.assignments, result.assignments))
			)
		];
	});

	start(): Promise<void> {
		return this.compare.start(this.home);
	}
	/** Takes a plan whole, with the schools it was made by. */
	take({ variant, result }: ComparedPlan): void {
		const { store, newId, now } = this.#deps;
		const record = toZonePlan(result, newId(), schoolText(variant), now());
		store().runAll(`plan: ${schoolText(variant).toLowerCase()}`, [
			command('chooseSchools', variant.schools),
			command('adoptPlan', record)
		]);
	}
	/** Takes the place of one group into the plan that is followed. */
	takeGroup({ id, name }: Pick<Group, 'id' | 'name'>, { variant, result }: ComparedPlan): void {
		this.#deps
			.store()
			.run(`${name} as in “${schoolText(variant).toLowerCase()}”`, 'takeGroup', id, {
				assignments: [...result.assignments]
			});
	}
}

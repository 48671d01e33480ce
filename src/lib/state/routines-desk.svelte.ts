import { command } from '../core/commands';
import type { Home, Routine } from '../core/model';
import { proposeRoutines, walkRoutine, type RoutineDraft } from '../core/upkeep';
import { assignmentNow } from '../core/zoning';
import type { HomeStore } from './home-store.svelte';

export interface RoutinesDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
}
/** Over which arrangement a routine is walked. */
export type WalkView = 'now' | 'plan';

/** What a household does step by step, walked over the home as it stands and as it is planned. */
export class RoutinesDesk {
	readonly #deps: RoutinesDeps;
	picked = $state<string | null>(null);
	view = $state<WalkView>('now');

	constructor(deps: RoutinesDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** Most often first. */
	routines = $derived.by((): readonly Routine[] =>
		Object.values(this.home.routines).sort(
			(a, b) => b.timesPerWeek - a.timesPerWeek || (a.id < b.id ? -1 : 1)
		)
	);
	usual = $derived.by(() => proposeRoutines(this.home));
	plan = $derived.by(() =>
		this.home.activePlanId ? this.home.zonePlans[this.home.activePlanId] : undefined
	);
	#walks = $derived.by(() => {
		const now = assignmentNow(this.home);
		const { plan } = this;
		return new Map(
			this.routines.map((routine) => [
				routine.id as string,
				{
					now: walkRoutine(this.home, routine, now),
					plan: plan ? walkRoutine(this.home, routine, plan.assignments) : null
				}
			])
		);
	});
	walksOf(id: string) {
		return this.#walks.get(id);
	}
	/** Metres a week of all routines together. */
	metresAWeek(view: WalkView): number {
		return this.routines.reduce(
			(sum, { id, timesPerWeek }) => sum + timesPerWeek * (this.walksOf(id)?.[view]?.metres ?? 0),
			0
		);
	}
	chosen = $derived.by(() => (this.picked ? this.home.routines[this.picked] : undefined));
	/** The walk that is drawn; null: none. */
	walk = $derived.by(() => {
		const shown = this.view === 'plan' && this.plan ? 'plan' : 'now';
		return this.chosen ? (this.walksOf(this.chosen.id)?.[shown] ?? null) : null;
	});
	get isMapped(): boolean {
		return Object.keys(this.home.rooms).length > 0;
	}

	/** Opens a routine, or closes it when it is open. */
	pick(id: string): void {
		this.picked = this.picked === id ? null : id;
	}
	close(): void {
		this.picked = null;
	}
	add(draft: RoutineDraft): void {
		const { store, newId } = this.#deps;
		const id = newId();
		store().run(`routine ${draft.name}`, 'addRoutine', id, draft);
		this.picked = id;
	}
	addOwn(): void {
		this.add({ name: 'Our routine', timesPerWeek: 7, steps: [] });
	}
	takeAll(): void {
		const { store, newId } = this.#deps;
		store().runAll(
			'all usual routines',
			this.usual.map((each) => command('addRoutine', newId(), each))
		);
	}
	remove({ id, name }: Pick<Routine, 'id' | 'name'>): void {
		this.close();
		this.#deps.store().run(`remove ${name}`, 'removeRoutine', id);
	}
}

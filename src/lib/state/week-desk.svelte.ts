import { activePlan, type Assignment, type Home, type Person, type Point } from '../core/model';
import {
	crossings,
	placeAt,
	playRoutine,
	playWeek,
	type Crossing,
	type Moment,
	type RoutinePlay,
	type WeekPlay
} from '../core/upkeep';
import { assignmentNow, totalsOf, zoneModelOf } from '../core/zoning';
import { Later, type Afterwards } from './later.svelte';
import { momentText } from '../messages/keeping';

export interface WeekDeskDeps {
	readonly home: () => Home;
	/** When what is slow is computed; left out: once the page has been painted. */
	readonly afterwards?: Afterwards;
}
/** Over which arrangement it is played. */
export type Arrangement = 'now' | 'plan';
/** So many seconds of a routine go by in one of the watch. */
export const SPEEDS = [1, 4, 12] as const;

/** A week in this kitchen: routines played over today's arrangement and over the plan, one to watch, all as figures. */
export class WeekDesk {
	readonly #deps: WeekDeskDeps;
	#routineId = $state.raw<string | null>(null);
	#otherId = $state.raw<string | null>(null);
	#view = $state.raw<Arrangement>('plan');
	/** Who works; null: whoever finds a place hardest. */
	#personId = $state.raw<string | null>(null);
	#atS = $state.raw(0);
	isPlaying = $state(false);
	speed = $state<(typeof SPEEDS)[number]>(4);

	readonly #whole: Later<Home, { readonly now: number; readonly plan: number | null }>;
	constructor(deps: WeekDeskDeps) {
		this.#deps = deps;
		this.#whole = new Later(
			() => this.home,
			(home) => {
				const model = zoneModelOf(home);
				const metres = (rows: readonly Assignment[]) => totalsOf(model, rows).metresPerWeek;
				const plan = activePlan(home);
				return { now: metres(assignmentNow(home)), plan: plan ? metres(plan.assignments) : null };
			},
			deps.afterwards
		);
	}
	leave(): void {
		this.#whole.leave();
	}
	get home(): Home {
		return this.#deps.home();
	}
	routines = $derived.by(() =>
		Object.values(this.home.routines).sort(
			(a, b) => b.timesPerWeek - a.timesPerWeek || (a.id < b.id ? -1 : 1)
		)
	);
	people = $derived.by((): readonly Person[] =>
		Object.values(this.home.people).filter(({ ageBand }) => ageBand !== 'toddler')
	);
	#asked = $derived.by((): readonly Person[] => {
		const own = this.people.filter(({ id }) => id === this.#personId);
		if (own.length) return own;
		// Children fetch what is theirs; a week in the kitchen is the grown-ups'.
		return this.people.filter(({ ageBand, visits }) => ageBand !== 'child' && !visits);
	});
	#plan = $derived.by(
		(): readonly Assignment[] | null => activePlan(this.home)?.assignments ?? null
	);
	get hasPlan(): boolean {
		return this.#plan !== null;
	}
	get view(): Arrangement {
		return this.hasPlan ? this.#view : 'now';
	}
	set view(view: Arrangement) {
		this.#view = view;
		this.rewind();
	}
	get personId(): string {
		return this.#personId ?? '';
	}
	set personId(id: string) {
		this.#personId = id || null;
		this.rewind();
	}
	routine = $derived.by(
		() => this.routines.find(({ id }) => id === this.#routineId) ?? this.routines[0] ?? null
	);
	other = $derived.by(
		() => this.routines.find(({ id }) => id === this.#otherId && id !== this.routine?.id) ?? null
	);
	choose(id: string): void {
		this.#routineId = id;
		this.rewind();
	}
	/** Somebody else does this at the same time; empty: nobody. */
	setOther(id: string): void {
		this.#otherId = id || null;
		this.rewind();
	}
	#over(view: Arrangement): readonly Assignment[] {
		return view === 'plan' ? (this.#plan ?? []) : assignmentNow(this.home);
	}
	weeks = $derived.by((): { readonly now: WeekPlay; readonly plan: WeekPlay | null } => ({
		now: playWeek(this.home, this.#over('now'), this.#asked),
		plan: this.#plan ? playWeek(this.home, this.#over('plan'), this.#asked) : null
	}));
	/**
	 * Metres of the whole week, with the trips that are in no routine: by the planner's own evaluator, so that Plan and this
	 * page say one figure. Null until it is computed.
	 */
	get whole(): { readonly now: number; readonly plan: number | null } | null {
		return this.#whole.value;
	}
	/** Each routine, played once over both. */
	rounds = $derived.by(() =>
		this.routines.map((routine) => ({
			routine,
			now: playRoutine(this.home, routine, this.#over('now'), this.#asked),
			plan: this.#plan ? playRoutine(this.home, routine, this.#over('plan'), this.#asked) : null
		}))
	);
	play = $derived.by((): RoutinePlay | null => {
		const round = this.rounds.find(({ routine }) => routine.id === this.routine?.id);
		return round ? ((this.view === 'plan' ? round.plan : round.now) ?? round.now) : null;
	});
	otherPlay = $derived.by((): RoutinePlay | null => {
		const round = this.rounds.find(({ routine }) => routine.id === this.other?.id);
		return round ? ((this.view === 'plan' ? round.plan : round.now) ?? round.now) : null;
	});
	crossings = $derived.by((): readonly Crossing[] =>
		this.play && this.otherPlay ? crossings(this.play, this.otherPlay) : []
	);
	ways = $derived.by(() =>
		(this.play?.moments ?? []).filter(({ kind }) => kind === 'walk').map(({ points }) => points)
	);

	get atS(): number {
		return Math.min(this.#atS, this.endS);
	}
	get endS(): number {
		return Math.max(this.play?.seconds ?? 0, this.otherPlay?.seconds ?? 0);
	}
	moment = $derived.by(
		(): Moment | null =>
			this.play?.moments.find(({ fromS, toS }) => this.atS >= fromS && this.atS < toS) ?? null
	);
	get words(): string {
		if (this.moment) return momentText(this.home, this.moment);
		return this.atS > 0 ? 'Done.' : '';
	}
	get dot(): Point | null {
		return this.play && placeAt(this.play, this.atS);
	}
	get otherDot(): Point | null {
		return this.otherPlay && placeAt(this.otherPlay, this.atS);
	}
	rewind(): void {
		[this.#atS, this.isPlaying] = [0, false];
	}
	toggle(): void {
		if (this.atS >= this.endS) this.#atS = 0;
		this.isPlaying = !this.isPlaying && this.endS > 0;
	}
	/** Lets so many seconds of the watch go by. */
	advance(watchS: number): void {
		if (!this.isPlaying) return;
		this.#atS = this.atS + watchS * this.speed;
		if (this.#atS >= this.endS) this.isPlaying = false;
	}
	/** Stops at the beginning of the movement after the one at hand, or before it. */
	stepBy(by: 1 | -1): void {
		this.isPlaying = false;
		const starts = this.play?.moments.map(({ fromS }) => fromS) ?? [];
		const next =
			by > 0
				? (starts.find((from) => from > this.atS + 1e-6) ?? this.endS)
				: (starts.findLast((from) => from < this.atS - 1e-6) ?? 0);
		this.#atS = next;
	}
	seek(atS: number): void {
		[this.#atS, this.isPlaying] = [Math.max(0, atS), false];
	}
}

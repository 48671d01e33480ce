import { estimatePlace, pastByPlace, planDay, type DayPlace, type DayPlan } from '../core/clearing';
import { decidedLots, lotsIn, minutesOfDay, type Home, type Nook } from '../core/model';
import { nooksInOrder } from '../core/survey';
import type { HomeStore } from './home-store.svelte';

export interface DayDeps {
	readonly store: () => HomeStore;
	/** ISO date. */
	readonly today: () => string;
}
type ClearDay = NonNullable<Home['clearDay']>;

/** Places proposed for a day that nobody planned yet. */
const SUGGESTED = 4;
const MORNING_MIN = 9 * 60;
const NOON_MIN = 13 * 60;

/** The plan of a day of clearing out: which places, in which order, around what is fixed. */
export class DayDesk {
	readonly #deps: DayDeps;
	/** What is fixed, as it is being typed. */
	fixedName = $state('Lunch');
	fixedFrom = $state('12:00');
	fixedTo = $state('12:45');
	/** Why a fixed time was not taken. */
	wrong = $state('');

	constructor(deps: DayDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** How many things are past their date, by place. */
	past = $derived.by(() => pastByPlace(this.home, this.#deps.today()));
	/** The places with most that is past come first; then those with most that is not decided yet. */
	ranked = $derived.by((): readonly Nook[] => {
		const { home } = this;
		// Where everything was decided on before, nothing is left to be planned.
		const decided = decidedLots(home);
		const pastAt = (id: string) => this.past.get(id) ?? 0;
		return nooksInOrder(home)
			.map(({ nook }) => ({
				nook,
				open: lotsIn(home, nook.id).filter(({ id }) => !decided.has(id)).length
			}))
			.filter(({ nook, open }) => open + pastAt(nook.id) > 0)
			.sort((a, b) => pastAt(b.nook.id) - pastAt(a.nook.id) || b.open - a.open)
			.map(({ nook }) => nook);
	});
	/** The day as it was planned, or as it is proposed. */
	day = $derived.by(
		(): ClearDay =>
			this.home.clearDay ?? {
				on: this.#deps.today(),
				fromMin: MORNING_MIN,
				stopMin: NOON_MIN,
				fixed: [],
				hands: 1,
				nookIds: this.ranked.slice(0, SUGGESTED).map((nook) => nook.id)
			}
	);
	plan = $derived.by((): DayPlan => {
		const { home, day } = this;
		const places = day.nookIds
			.filter((id) => home.nooks[id])
			.map((nookId): DayPlace => {
				const { minutes, parts } = estimatePlace(home, nookId, day.hands);
				const plain = parts.emptyAndClean + parts.look + parts.decant + parts.putBack;
				const shareOf = (part: number) => Math.round((minutes * part) / plain);
				return {
					nookId,
					minutes,
					emptyMin: shareOf(parts.emptyAndClean),
					putBackMin: shareOf(parts.putBack)
				};
			});
		const { fromMin, stopMin, fixed } = day;
		return planDay({ fromMin, stopMin, fixed, places, school: home.schools.clear });
	});
	/** The place whose minutes are explained: the one ticked last. */
	explained = $derived.by(
		(): Nook | undefined => this.home.nooks[this.day.nookIds.at(-1) ?? ''] ?? this.ranked[0]
	);
	nameOf = (id: string): string => this.home.nooks[id]?.name ?? '';

	change(words: string, part: Partial<ClearDay>): void {
		this.#deps.store().run(words, 'planClearDay', this.day, part);
	}
	setTime(side: 'fromMin' | 'stopMin', value: string): void {
		const minutes = minutesOfDay(value);
		if (minutes !== null)
			this.change(side === 'fromMin' ? 'begin of the day' : 'stop time', { [side]: minutes });
	}
	setHands(value: number): void {
		const hands = Math.round(value);
		if (hands >= 1 && hands <= 12) this.change('hands', { hands });
	}
	setSchool(clear: Home['schools']['clear'], words: string): void {
		this.#deps.store().run(words, 'chooseSchools', { clear });
	}
	/** Adds what was typed; a stretch that ends before it begins is refused. */
	addFixed(): void {
		const [fromMin, toMin] = [minutesOfDay(this.fixedFrom), minutesOfDay(this.fixedTo)];
		if (fromMin === null || toMin === null || toMin <= fromMin) {
			this.wrong = `“${this.fixedFrom} to ${this.fixedTo}” is no stretch of time. The end has to be later than the begin.`;
			return;
		}
		this.wrong = '';
		const name = this.fixedName.trim() || 'Fixed';
		this.change(`${name} at ${this.fixedFrom}`, {
			fixed: [...this.day.fixed, { name, fromMin, toMin }]
		});
	}
	removeFixed(index: number): void {
		const { fixed } = this.day;
		this.change(`remove ${fixed[index]?.name}`, { fixed: fixed.filter((_, k) => k !== index) });
	}
	togglePlace({ id, name }: Pick<Nook, 'id' | 'name'>): void {
		const { nookIds } = this.day;
		const has = nookIds.includes(id);
		this.change(`${has ? 'leave out' : 'plan'} ${name}`, {
			nookIds: has ? nookIds.filter((known) => known !== id) : [...nookIds, id]
		});
	}
}

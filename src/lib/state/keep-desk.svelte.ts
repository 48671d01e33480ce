import { command, type Command } from '../core/commands';
import type { CalendarOptions } from '../core/interchange/calendar';
import { addDays, stock, type Home, type NookId, type Reset } from '../core/model';
import { effectiveDate, isSafetyDate } from '../core/rotation';
import { cabinetsInOrder } from '../core/survey';
import {
	foundOf,
	isUnderWay,
	minutesOf,
	placesOf,
	resetsDue,
	resetWeeks,
	spreadResets,
	swapMoves,
	firstDays,
	usualResets,
	WEEK_MINUTES,
	type DueReset,
	type ResetChange
} from '../core/upkeep';
import { resetTitle } from '../messages/keeping';
import { RESET_WORDS } from '../messages/steps';
import { countText } from '../messages/numbers';
import type { HomeStore } from './home-store.svelte';

export interface KeepDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** ISO date. */
	readonly today: () => string;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}
/** Weeks that are shown ahead. */
const WEEKS = 8;
const WAIT_DAYS = 7;

/** The resets of a home: what is due, how full the weeks are, and what is changed of them. */
export class KeepDesk {
	readonly #deps: KeepDeskDeps;
	#chosen = $state.raw<string | null>(null);
	/** Why the last thing was not done. */
	wrong = $state('');

	constructor(deps: KeepDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	due = $derived.by(() => resetsDue(this.home, this.#deps.today()));
	/** Usual ones that this home could have and does not. */
	usual = $derived.by(() => usualResets(this.home));
	weeks = $derived.by(() => resetWeeks(this.home, this.#deps.today(), WEEKS));
	readonly mostMinutes = WEEK_MINUTES;
	/** The days to which resets would be put off so that no week is too full; empty: none is, or nothing may wait. */
	spread = $derived.by(() => spreadResets(this.home, this.#deps.today()));
	cabinets = $derived.by(() => cabinetsInOrder(this.home));

	titleOf(reset: Pick<Reset, 'name' | 'kind' | 'cabinetId'>): string {
		return resetTitle(this.home, reset);
	}
	placesOf(reset: Reset): string {
		const all = placesOf(this.home, reset);
		const names = all.slice(0, 3).map(({ name }) => name);
		return `${names.join(', ')}${all.length > 3 ? ` and ${all.length - 3} more` : ''}`;
	}
	minutesOf(reset: Reset) {
		return minutesOf(this.home, reset);
	}
	personOf(reset: Reset): string {
		return this.home.people[reset.personId ?? '']?.name ?? '';
	}
	/** What a swap moves; null: it is none. */
	swapOf(reset: Reset) {
		if (!reset.swap) return null;
		const { comes, goes, lots, reachNookId, awayNookId } = swapMoves(
			this.home,
			reset,
			this.#deps.today()
		);
		const group = (id: string | null) => this.home.groups[id ?? '']?.name ?? 'nothing';
		const place = (id: string | null) => this.home.nooks[id ?? '']?.name ?? 'no place yet';
		return {
			lots,
			words: `${group(comes)} to ${place(reachNookId)}, ${group(goes)} to ${place(awayNookId)}`
		};
	}
	/** How far a reset that is under way is; null: it is not. */
	foundOf(reset: Reset) {
		return this.isUnderWay(reset) ? foundOf(this.home, reset, reset.begunAt!) : null;
	}
	/** Begun and not finished; one that was left lying for a week is begun anew. */
	isUnderWay(reset: Reset): boolean {
		return isUnderWay(reset, this.#deps.today());
	}
	/** Where Clear begins with a reset; null: it has no place. */
	firstPlace(reset: Reset): string | null {
		return reset.swap ? null : (placesOf(this.home, reset)[0]?.id ?? null);
	}

	get chosen(): DueReset | null {
		return this.due.find(({ reset }) => reset.id === this.#chosen) ?? null;
	}
	choose(id: string | null): void {
		[this.#chosen, this.wrong] = [id, ''];
	}

	#do(words: string, commands: readonly Command[], isSaid = true): void {
		if (!commands.length) return;
		this.wrong = '';
		this.#deps.store().runAll(words, commands);
		if (isSaid) this.#deps.said(`${words[0]!.toUpperCase()}${words.slice(1)}.`);
	}
	addUsual(): void {
		const { usual } = this;
		const days = firstDays(this.home, usual, this.#deps.today());
		this.#do(
			`${countText(usual.length, 'usual reset')} added`,
			usual.map((reset, i) =>
				command('addReset', this.#deps.newId(), { ...reset, postponedTo: days[i]! })
			)
		);
	}
	/** Adds an empty one of the household's own, and opens it. */
	addOwn(isSwap: boolean): void {
		const id = this.#deps.newId();
		this.#do(
			isSwap ? 'a seasonal swap added' : 'a reset of your own added',
			[
				command('addReset', id, {
					kind: isSwap ? 'seasonal' : 'own',
					name: isSwap ? '' : 'Something of our own',
					cabinetId: null,
					nookIds: [],
					everyDays: isSwap ? 182 : 30,
					swap: isSwap
						? { groupIds: [null, null], from: ['05-01', '10-15'], awayNookId: null }
						: null
				})
			],
			false
		);
		this.choose(id);
	}
	begin(reset: Reset): void {
		if (!this.isUnderWay(reset))
			this.#do(
				`${this.titleOf(reset)} begun`,
				[command('beginReset', reset.id, this.#deps.now())],
				false
			);
	}
	finish(reset: Reset): void {
		this.#do(`${this.titleOf(reset)} done`, [
			command('finishReset', reset.id, this.#deps.today(), this.#deps.now())
		]);
	}
	skip(reset: Reset): void {
		this.#do(`${this.titleOf(reset)} left out this time`, [
			command('skipReset', reset.id, this.#deps.today())
		]);
	}
	putOff(reset: Reset, days = WAIT_DAYS): void {
		const { dueOn } = this.due.find((each) => each.reset.id === reset.id)!;
		const from = dueOn < this.#deps.today() ? this.#deps.today() : dueOn;
		this.#do(`${this.titleOf(reset)} put off`, [
			command('postponeResets', [[reset.id, addDays(from, days)]])
		]);
	}
	spreadOut(): void {
		this.#do(`${countText(this.spread.length, 'reset')} spread over the weeks`, [
			command('postponeResets', this.spread)
		]);
	}
	change(reset: Reset, change: ResetChange): void {
		const { everyDays, name } = change;
		if (
			everyDays !== undefined &&
			!(Number.isInteger(everyDays) && everyDays >= 1 && everyDays <= 3650)
		) {
			this.wrong = `“${everyDays}” is no number of days. Write a whole number from 1 to 3650.`;
			return;
		}
		if (name !== undefined && name.length > 200) {
			this.wrong = `The name has ${name.length} letters. Shorten it to 200.`;
			return;
		}
		this.#do(`change ${this.titleOf(reset)}`, [command('changeReset', reset.id, change)], false);
	}
	/** Puts a reset into a cabinet, all of it; null: into none. */
	setCabinet(reset: Reset, cabinetId: string | null): void {
		this.change(reset, { cabinetId: cabinetId as Reset['cabinetId'], nookIds: [] });
	}
	setPlace(reset: Reset, nookId: NookId, isMeant: boolean): void {
		const all = placesOf(this.home, reset).map(({ id }) => id);
		const next = isMeant ? [...new Set([...all, nookId])] : all.filter((id) => id !== nookId);
		if (!next.length) this.wrong = 'A reset needs one place at least. Take the reset away instead.';
		else this.change(reset, { nookIds: next });
	}
	remove(reset: Reset): void {
		this.choose(null);
		this.#do(`${this.titleOf(reset)} taken away`, [command('removeReset', reset.id)]);
	}

	/** What a calendar file holds: the resets, and on request each date of safety within a year. */
	calendar(withDates: boolean): CalendarOptions {
		const { home } = this;
		const today = this.#deps.today();
		const last = addDays(today, 365);
		const dates = withDates
			? stock(home).flatMap((lot) => {
					const thing = home.things[lot.thingId];
					const date = thing && effectiveDate(lot, thing);
					if (!thing || !date || date.on < today || date.on > last) return [];
					if (!isSafetyDate(lot, thing, date)) return [];
					const place = home.nooks[lot.nookId ?? '']?.name;
					return [
						{ id: lot.id, on: date.on, title: `Use by today: ${thing.name}`, place: place ?? '' }
					];
				})
			: [];
		return {
			name: home.name,
			homeId: home.id,
			now: this.#deps.now(),
			resets: this.due.map((due) => ({
				id: due.reset.id,
				on: due.dueOn < today ? today : due.dueOn,
				everyDays: due.reset.swap ? null : due.everyDays,
				title: this.titleOf(due.reset),
				what: RESET_WORDS[due.reset.kind].what,
				minutes: minutesOf(home, due.reset).minutes,
				person: this.personOf(due.reset)
			})),
			dates
		};
	}
}

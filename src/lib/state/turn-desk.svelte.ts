import { command, type Command } from '../core/commands';
import { lotsOf, type Home, type Lot, type Thing, type WasteReason } from '../core/model';
import {
	freezeInto,
	freezeIssue,
	homeOf,
	isColdPlace,
	isFrozenLot,
	nextLot,
	picksOf,
	thawPlaces,
	todayOf,
	type Pick,
	type TodayCode
} from '../core/rotation';
import { nooksInOrder } from '../core/survey';
import { amountText, FREEZE_WORDS } from '../messages/turning';
import type { HomeStore } from './home-store.svelte';
import { printedDate } from './printed-date';

export interface TurnDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** ISO date. */
	readonly today: () => string;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}

/** A thing of which the last was taken, while it is asked whether to buy it again. */
export interface LastTaken {
	readonly thingId: string;
	readonly name: string;
}

/** In the order in which a day goes: first what hurts, then what is eaten, then what is fetched. */
const TODAY_ORDER: readonly TodayCode[] = ['must-go', 'leftover', 'due', 'thaw', 'past'];

/** The stock of a home as it turns: taken, opened, frozen, thawed, moved, thrown out, put in. */
export class TurnDesk {
	readonly #deps: TurnDeskDeps;
	/** How far ahead a date counts as due, days. */
	days = $state(14);
	/** The lot on the sheet; null: it is closed. */
	#lotId = $state.raw<string | null>(null);
	/** So many of it are meant. */
	#count = $state.raw(1);
	#last = $state.raw<LastTaken | null>(null);
	/** Why the last thing was not done. */
	wrong = $state('');

	constructor(deps: TurnDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	now = $derived.by(() => todayOf(this.home, this.#deps.today(), this.days));
	/** The lists of today that have something in them, in the order in which a day goes. */
	lists = $derived.by(() => TODAY_ORDER.filter((code) => this.now[code].length));
	/** As text first: an edit that flags the same places draws nothing anew. */
	#flaggedIds = $derived.by(() => {
		const items = this.lists.flatMap((code) => this.now[code]);
		const ids = items.flatMap((item) => ('pick' in item ? (item.pick.lot.nookId ?? []) : []));
		return [...new Set(ids)].sort().join(' ');
	});
	/** Places with something in a list of today. */
	flagged = $derived.by((): ReadonlySet<string> => new Set(this.#flaggedIds.split(' ')));
	picks = $derived.by((): readonly Pick[] => picksOf(this.home, this.#deps.today()));
	places = $derived.by(() => nooksInOrder(this.home));

	/** Opens the sheet of a lot. */
	choose(lotId: string): void {
		[this.#lotId, this.#count, this.wrong] = [lotId, 1, ''];
		this.#count = Math.min(1, this.chosen?.lot.count ?? 1);
	}
	close(): void {
		[this.#lotId, this.wrong] = [null, ''];
	}
	chosen = $derived.by((): Pick | null =>
		this.#lotId ? (this.picks.find(({ lot }) => lot.id === this.#lotId) ?? null) : null
	);
	get count(): number {
		return Math.min(this.#count, this.chosen?.lot.count ?? this.#count);
	}
	/** So many are meant: more than none, no more than there are. */
	setCount(count: number): void {
		const most = this.chosen?.lot.count ?? 1;
		if (Number.isFinite(count) && count > 0) this.#count = Math.min(count, most);
	}
	/** Why the lot on the sheet may not be frozen, in words; empty: it may. */
	get noFreezing(): string {
		if (!this.chosen) return '';
		const issue = freezeIssue(this.home, this.chosen.lot, this.chosen.daysLeft);
		if (issue) return FREEZE_WORDS[issue];
		return freezeInto(this.home, this.chosen.thing) ? '' : 'There is no freezer in this home yet.';
	}
	/** Whether the lot on the sheet is frozen now. */
	get isFrozen(): boolean {
		return !!this.chosen && isFrozenLot(this.home, this.chosen.lot);
	}

	#do(words: string, commands: readonly Command[]): void {
		this.wrong = '';
		this.#deps.store().runAll(words, commands);
		this.#deps.said(`${words[0]!.toUpperCase()}${words.slice(1)}.`);
		if (this.#lotId && !this.chosen) this.close();
	}
	#of(lot: Lot, count: number) {
		return { lotId: lot.id, count, partId: this.#deps.newId(), now: this.#deps.now() };
	}
	#amount(lot: Lot, count: number): string {
		return `${amountText(count, lot.unit)} ${this.home.things[lot.thingId]?.name ?? ''}`.trim();
	}

	/** Takes so many down, and asks about the next ones when they were the last. */
	take(lot: Lot, count = 1): void {
		const taken = Math.min(count, lot.count);
		this.#do(`${this.#amount(lot, taken)} taken down`, [
			command('takeDown', {
				lotId: lot.id,
				count: taken,
				eventId: this.#deps.newId(),
				now: this.#deps.now()
			})
		]);
		const thing = this.home.things[lot.thingId];
		const isLast = thing && !thing.hold && !thing.avoid && !lotsOf(this.home, thing.id).length;
		this.#last = isLast ? { thingId: thing.id, name: thing.name } : null;
	}
	/** Takes one of a thing down, the one that is due first. */
	takeNext(thing: Thing): void {
		const lot = nextLot(this.home, thing.id, this.#deps.today());
		if (lot) this.take(lot, lot.unit === 'g' ? Math.min(100, lot.count) : 1);
	}
	get last(): LastTaken | null {
		return this.#last;
	}
	/** Answers what becomes of a thing of which none is left: on the list, not again, or nothing. */
	answer(choice: 'list' | 'not-again' | 'leave'): void {
		const last = this.#last;
		this.#last = null;
		if (!last || choice === 'leave') return;
		const thing = this.home.things[last.thingId];
		if (!thing) return;
		if (choice === 'list') return this.list(thing);
		this.#do(`${last.name} not bought again`, [
			command('changeThing', last.thingId, { avoid: true })
		]);
	}

	/** Puts one of a thing on the shopping list; what somebody put there already, or taps twice, stays as it is. */
	list(thing: Thing): void {
		const isThere = Object.values(this.home.listLines).some(
			({ thingId, byHand, state }) => thingId === thing.id && byHand && state === 'wanted'
		);
		if (isThere) return;
		this.#do(`${thing.name} put on the list`, [
			command('addLine', thing.id, thing.name, 1, this.#deps.newId(), this.#deps.today())
		]);
	}
	open(lot: Lot): void {
		// What is weighed or counted by meals is one pack, and opened whole.
		const count = lot.unit === 'pack' ? 1 : lot.count;
		this.#do(`${this.#amount(lot, count)} opened`, [command('openPack', this.#of(lot, count))]);
	}
	freeze(lot: Lot, count: number): void {
		const thing = this.home.things[lot.thingId]!;
		const nookId = freezeInto(this.home, thing);
		if (!nookId) {
			this.wrong = 'There is no freezer in this home yet. Add one in Walk.';
			return;
		}
		const place = this.home.nooks[nookId]!.name;
		this.#do(`${this.#amount(lot, count)} frozen, into ${place}`, [
			command('freeze', this.#of(lot, count), nookId, this.#deps.newId())
		]);
	}
	thaw(lot: Lot, count: number): void {
		const place = thawPlaces(this.home)[0];
		this.#do(
			`${this.#amount(lot, count)} thawing, ${place ? `in ${place.name}` : 'on the table'}`,
			[command('thaw', this.#of(lot, count), place?.id ?? null, this.#deps.newId())]
		);
	}
	/** Moves it; into a freezer it is frozen, out of one it thaws. What may not be frozen stays, and says why. */
	move(lot: Lot, count: number, nookId: string | null): void {
		const issue = isColdPlace(this.home, nookId) ? freezeIssue(this.home, lot, null) : null;
		if (issue === 'thawed-before') {
			this.wrong = FREEZE_WORDS[issue];
			return;
		}
		const place = nookId ? this.home.nooks[nookId]?.name : 'the table';
		this.#do(`${this.#amount(lot, count)} moved to ${place}`, [
			command('moveStock', this.#of(lot, count), nookId, this.#deps.newId())
		]);
	}
	/** Counts a lot in another unit from now on. */
	countIn(lot: Lot, unit: Lot['unit']): void {
		this.#do(`${this.home.things[lot.thingId]!.name} counted anew`, [
			command('countIn', lot.id, unit)
		]);
		this.#count = Math.min(1, this.chosen?.lot.count ?? 1);
	}
	throwOut(lot: Lot, count: number, why: WasteReason): void {
		const commands: Command[] = [
			command('takeDown', {
				lotId: lot.id,
				count,
				eventId: this.#deps.newId(),
				now: this.#deps.now(),
				kind: 'discard',
				why
			})
		];
		if (why === 'disliked') commands.push(command('changeThing', lot.thingId, { avoid: true }));
		this.#do(`${this.#amount(lot, count)} thrown out`, commands);
	}
	/** Puts more of a thing in, where it lives; `date` is as it is typed, empty: none printed. False: it was not read. */
	putIn(thing: Thing, count: number, date: string, nookId = homeOf(this.home, thing.id)): boolean {
		const read = printedDate(this.home, thing, date, this.#deps.today());
		if (!read.ok) {
			this.wrong = read.words;
			return false;
		}
		if (!(count > 0) || count > 10_000) {
			this.wrong = `“${count}” is not a count. Write a number from 1 to 10000.`;
			return false;
		}
		this.#do(`${count} ${thing.name} put in`, [
			command('putIn', {
				thingId: thing.id,
				nookId,
				count,
				dates: { printed: read.printed },
				lotId: this.#deps.newId(),
				eventId: this.#deps.newId(),
				now: this.#deps.now()
			})
		]);
		return true;
	}
}

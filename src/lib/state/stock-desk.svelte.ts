import { command } from '../core/commands';
import {
	lotsOf,
	pieceVolumeMl,
	thingsOf,
	type Home,
	type HoldRule,
	type Thing
} from '../core/model';
import {
	holdTarget,
	packsHeld,
	picksOf,
	rateOf,
	roomFor,
	sectionsOf,
	type DateSchool,
	type HoldTarget,
	type Pick,
	type Rate
} from '../core/rotation';
import { holdStart } from '../messages/turning';
import type { HomeStore } from './home-store.svelte';

export interface StockDeskDeps {
	readonly store: () => HomeStore;
	/** ISO date. */
	readonly today: () => string;
}

/** A thing with all there is of it. */
export interface HeldThing {
	readonly thing: Thing;
	readonly packs: number;
	readonly lots: number;
	/** What is due first; undefined: nothing has a date. */
	readonly first: Pick | undefined;
	readonly rate: Rate;
	/** What its rule asks for; null: it has none. */
	readonly target: HoldTarget | null;
}

/** The whole stock, by place or by thing, and how much of a thing to hold. */
export class StockDesk {
	readonly #deps: StockDeskDeps;
	by = $state<'place' | 'thing'>('place');
	#nookId = $state.raw<string | null>(null);
	words = $state('');
	onlyOpen = $state(false);
	#thingId = $state.raw<string | null>(null);

	constructor(deps: StockDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** The place that is looked at; null: all of them. */
	get nookId(): string | null {
		return this.#nookId && this.home.nooks[this.#nookId] ? this.#nookId : null;
	}
	goTo(nookId: string | null): void {
		this.#nookId = nookId;
		if (nookId) this.by = 'place';
	}
	#asked = $derived.by((): readonly Pick[] => {
		const words = this.words.trim().toLowerCase();
		const all = picksOf(this.home, this.#deps.today());
		if (!words && !this.onlyOpen) return all;
		return all.filter(
			({ lot, thing }) =>
				(!this.onlyOpen || lot.states.includes('open') || lot.dates.openedOn !== null) &&
				thing.name.toLowerCase().includes(words)
		);
	});
	/** The lots that are asked for, the first to use on top. */
	picks = $derived.by((): readonly Pick[] =>
		this.nookId ? this.#asked.filter(({ lot }) => lot.nookId === this.nookId) : this.#asked
	);
	/** The place that is looked at by sections of its shelf; null: dates are kept of each pack, or no place is looked at. */
	sections = $derived.by(() => {
		const { dates } = this.home.schools;
		return dates === 'packs' || !this.nookId ? null : sectionsOf(this.picks, dates);
	});
	/** Chooses whether dates are kept of each pack, or of sections. */
	keepDates(dates: DateSchool): void {
		this.#deps.store().runAll('how dates are kept', [command('chooseSchools', { dates })]);
	}
	#heldThing(thing: Thing, first: Pick | undefined): HeldThing {
		const rate = rateOf(this.home, thing, this.#deps.today());
		return {
			thing,
			packs: packsHeld(this.home).get(thing.id) ?? 0,
			lots: lotsOf(this.home, thing.id).length,
			first,
			rate,
			target: thing.hold
				? holdTarget(thing, thing.hold, rate.perWeek, this.home.settings.shop)
				: null
		};
	}
	/** The things that are asked for, by name. */
	things = $derived.by((): readonly HeldThing[] => {
		const first = new Map<string, Pick>();
		for (const pick of this.#asked) if (!first.has(pick.thing.id)) first.set(pick.thing.id, pick);
		return [...first.values()]
			.sort((a, b) => a.thing.name.localeCompare(b.thing.name, 'en'))
			.map((pick) => this.#heldThing(pick.thing, pick));
	});
	choose(thingId: string | null): void {
		this.#thingId = thingId;
	}
	/** The thing that is looked at more closely. */
	held = $derived.by((): HeldThing | null => {
		const thing = this.#thingId ? this.home.things[this.#thingId] : undefined;
		if (!thing) return null;
		return this.#heldThing(
			thing,
			this.#asked.find((pick) => pick.thing.id === thing.id)
		);
	});
	/** Litres that the rule's packs take, beside what is there now. */
	get litres(): { readonly asked: number; readonly now: number } | null {
		const { held } = this;
		if (!held?.target) return null;
		const each = pieceVolumeMl(held.thing) / 1000;
		return { asked: held.target.packs * each, now: held.packs * each };
	}

	/** The room that it has where it lives, litres; null: not known. */
	get room(): { readonly litres: number; readonly place: string } | null {
		const thing = this.held?.thing;
		const room = thing && roomFor(this.home, thing);
		return room
			? { litres: room.freeMl / 1000, place: this.home.nooks[room.nookId]?.name ?? '' }
			: null;
	}
	/** How many other things of its group could go by the same rule; 0: it has no group or no rule. */
	get alike(): number {
		return this.#others().length;
	}
	#others(): Thing[] {
		const thing = this.held?.thing;
		if (!thing?.hold || !thing.groupId) return [];
		return thingsOf(this.home, thing.groupId).filter(({ id }) => id !== thing.id);
	}
	/** Lets the rule hold for all things of its group, as one step. */
	ruleForGroup(): void {
		const thing = this.held?.thing;
		const others = this.#others();
		if (!thing?.hold || !others.length) return;
		const { hold } = thing;
		const group = this.home.groups[thing.groupId!]?.name ?? '';
		this.#deps.store().runAll(
			`how much of ${group} to hold`,
			others.map(({ id }) => command('changeThing', id, { hold }))
		);
	}

	setRule(rule: HoldRule['rule'] | null): void {
		const thing = this.held?.thing;
		if (!thing) return;
		const hold = rule === null ? null : { rule, amount: holdStart(rule, thing) };
		this.#change(thing, { hold });
	}
	setAmount(amount: number): void {
		const thing = this.held?.thing;
		if (!thing?.hold || !(amount >= 0) || amount > 10_000) return;
		this.#change(thing, { hold: { rule: thing.hold.rule, amount } });
	}
	/** Uses that one pack gives; null: as its kind usually does. */
	setPackUses(uses: number | null): void {
		const thing = this.held?.thing;
		if (!thing || (uses !== null && !(uses > 0 && uses <= 1000))) return;
		this.#change(thing, { packUses: uses });
	}
	#change(thing: Thing, change: HoldChange): void {
		this.#deps
			.store()
			.runAll(`how much ${thing.name} to hold`, [command('changeThing', thing.id, change)]);
	}
}
type HoldChange = { readonly hold?: Thing['hold']; readonly packUses?: Thing['packUses'] };

import { command } from '../core/commands';
import { DATE_FIELDS, parseDay, type DateKind, type LotChange } from '../core/clearing';
import { kindChoices } from '../core/kinds';
import {
	categoryOf,
	lotsOf,
	parseLengths,
	UNKNOWN_KIND,
	type Home,
	type Lot,
	type LotState,
	type Thing
} from '../core/model';
import { nooksInOrder } from '../core/survey';
import { intakeIssueText } from '../messages/clearing';
import { lengthIssueText } from '../messages/survey';
import type { HomeStore } from './home-store.svelte';

export interface CorrectDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO date. */
	readonly today: () => string;
}

/** A thing and one of its lots on the sheet where they are put right; closed while nothing is chosen. */
export class CorrectDesk {
	readonly #deps: CorrectDeps;
	#thingId = $state.raw<string | null>(null);
	#lotId = $state.raw<string | null>(null);
	/** Why the last correction was not taken. */
	wrong = $state('');
	/** A new name that waits for the answer whether all of the thing are meant, or only this lot. */
	naming = $state.raw<string | null>(null);

	constructor(deps: CorrectDeps) {
		this.#deps = deps;
	}

	/** Opens the sheet for a lot, or for a thing with the first of its lots. */
	open(id: string): void {
		const { lots, things } = this.home;
		const lot = lots[id] ?? (things[id] ? lotsOf(this.home, id)[0] : undefined);
		this.#thingId = lot?.thingId ?? (things[id] ? id : null);
		this.#lotId = lot?.id ?? null;
		[this.wrong, this.naming] = ['', null];
	}
	close(): void {
		[this.#thingId, this.#lotId, this.wrong, this.naming] = [null, null, '', null];
	}
	/** Whether anything is on the sheet; asks the store only then. */
	get isOpen(): boolean {
		return this.#thingId !== null && this.thing !== undefined;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** What is on the sheet; undefined: it is closed, or the thing is gone meanwhile. */
	get thing(): Thing | undefined {
		return this.#thingId === null
			? undefined
			: this.home.things[this.lot?.thingId ?? this.#thingId];
	}
	get lot(): Lot | undefined {
		return this.#lotId === null ? undefined : this.home.lots[this.#lotId];
	}
	/** All lots of the thing: one of them is on the sheet. */
	get lots(): readonly Lot[] {
		return this.thing ? lotsOf(this.home, this.thing.id) : [];
	}
	get places() {
		return nooksInOrder(this.home);
	}
	/** Kinds to choose from first, where the name says something of them. */
	get likely(): readonly string[] {
		return this.thing ? kindChoices(this.thing.name) : [];
	}
	get isUnknown(): boolean {
		return this.thing?.category === UNKNOWN_KIND;
	}

	setKind(category: string): void {
		if (this.thing)
			this.#store.run(
				`${this.thing.name} is ${categoryOf(category).name}`,
				'tellKind',
				this.thing.id,
				category
			);
	}

	/** Takes a new name: at once where there is one lot, else it is asked whether all are meant. */
	rename(text: string): void {
		const name = text.trim();
		if (!this.thing || !name || name === this.thing.name) return;
		if (this.lots.length > 1) this.naming = name;
		else this.renameAll(name);
	}
	renameAll(name: string): void {
		this.naming = null;
		if (this.thing)
			this.#store.run(`${this.thing.name} is called ${name}`, 'changeThing', this.thing.id, {
				name
			});
	}
	renameThis(name: string): void {
		this.naming = null;
		if (this.lot && this.thing)
			this.#store.run(
				`one ${this.thing.name} is called ${name}`,
				'renameLot',
				this.lot.id,
				name,
				this.#deps.newId()
			);
	}

	/** Takes the size of one pack or piece, `90 x 60 x 230`. */
	setSize(text: string): void {
		const { thing } = this;
		const read = parseLengths(text, this.home.units);
		this.wrong = '';
		if (!thing) return;
		if (!read.ok) this.wrong = lengthIssueText(read.issue);
		else if (read.mm.length !== 3 || read.mm.some((mm) => mm <= 0))
			this.wrong = `“${text}” is not three measures. Write width x depth x height, such as 90 x 60 x 230.`;
		else {
			const [widthMm, depthMm, heightMm] = read.mm as [number, number, number];
			this.#store.run(`size of ${thing.name}`, 'changeThing', thing.id, {
				piece: { widthMm, depthMm, heightMm }
			});
		}
	}
	/** Size of one as it is typed, in the home's unit. */
	get sizeText(): string {
		const { thing } = this;
		const { units } = this.home;
		const [per, digits] = units === 'mm' ? [1, 0] : units === 'cm' ? [10, 1] : [25.4, 1];
		const one = (mm: number) => String(Number((mm / per).toFixed(digits)));
		return thing
			? [thing.piece.widthMm, thing.piece.depthMm, thing.piece.heightMm].map(one).join(' x ')
			: '';
	}
	setMass(massG: number): void {
		if (this.thing && Number.isFinite(massG) && massG >= 0)
			this.#store.run(`mass of ${this.thing.name}`, 'changeThing', this.thing.id, {
				massG: Math.round(massG)
			});
	}

	#change(label: string, change: LotChange): void {
		if (this.lot && this.thing)
			this.#store.run(`${label} of ${this.thing.name}`, 'changeLot', this.lot.id, change);
	}
	setCount(count: number): void {
		this.wrong = '';
		if (count > 0 && count <= 1_000_000) this.#change('count', { count });
		else this.wrong = `“${count}” is not a count. Take the thing away with “It was never here”.`;
	}
	/** Takes a date as it is written, or clears it with nothing. */
	setDate(kind: DateKind, text: string): void {
		this.wrong = '';
		if (!text.trim()) return this.#change(`date`, { dates: this.#dateAs(kind, null) });
		const past = kind !== 'best-before' && kind !== 'use-by';
		const read = parseDay(text, { order: this.home.dateOrder, today: this.#deps.today(), past });
		if (read.ok) this.#change('date', { dates: this.#dateAs(kind, read.on) });
		else this.wrong = intakeIssueText(read);
	}
	#dateAs(kind: DateKind, on: string | null): NonNullable<LotChange['dates']> {
		if (kind === 'best-before' || kind === 'use-by') return { printed: on ? { on, kind } : null };
		return { [DATE_FIELDS[kind]]: on };
	}
	/** The date of a kind on the sheet's lot; null: none. */
	dateOf(kind: DateKind): string | null {
		const dates = this.lot?.dates;
		if (!dates) return null;
		if (kind === 'best-before' || kind === 'use-by')
			return dates.printed?.kind === kind ? dates.printed.on : null;
		return dates[DATE_FIELDS[kind]];
	}
	setState(state: LotState, on: boolean): void {
		const states = this.lot?.states.filter((one) => one !== state) ?? [];
		this.#change('state', { states: on ? [...states, state] : states });
	}
	setOwner(owner: string): void {
		this.#change('owner', { owner: owner.trim().slice(0, 200) });
	}
	setPlace(nookId: string): void {
		this.#change('place', { nookId: nookId || null });
	}

	/** Takes the lot away; the last takes the thing along. It can be undone. */
	remove(): void {
		const { lot, thing } = this;
		if (!lot || !thing) return;
		this.close();
		this.#store.runAll(`${thing.name} was never here`, [command('deleteLot', lot.id)]);
	}
	get #store(): HomeStore {
		return this.#deps.store();
	}
}

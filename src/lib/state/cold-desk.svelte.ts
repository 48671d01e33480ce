import { command } from '../core/commands';
import type { Thermometer } from '../core/devices';
import type { Home } from '../core/model';
import {
	afterOutage,
	coldKinds,
	hoursOf,
	notedSpell,
	spellsOf,
	type AfterOutage,
	type ColdKind,
	type Spell
} from '../core/rotation';
import { deviceIssueText } from '../messages/devices';
import { countText } from '../messages/numbers';
import type { HomeStore } from './home-store.svelte';

export interface ColdDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	readonly thermometer: (name: string, kind: ColdKind) => Thermometer;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}

/** A fridge or freezer of the home. */
export interface ColdPlace {
	readonly cabinetId: string;
	readonly name: string;
	readonly kind: ColdKind;
}
/** A fridge or freezer that was too warm, with what becomes of what lies in it. */
export interface WarmPlace extends ColdPlace {
	readonly spell: Spell;
	readonly hours: number;
	readonly after: readonly AfterOutage[];
}

const DAY_MS = 86_400_000;
/** How far back the thermometers are read. */
const DAYS_BACK = 14;

/** The fridges and freezers of a home and what their thermometers say. */
export class ColdDesk {
	readonly #deps: ColdDeps;
	#found = $state.raw<readonly { readonly place: ColdPlace; readonly spell: Spell }[]>([]);
	#readAt = $state.raw<string | null>(null);
	#isReading = $state(false);
	/** Thermometers that gave nothing, and what to do then. */
	silent = $state.raw<readonly string[]>([]);

	constructor(deps: ColdDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	places = $derived.by((): readonly ColdPlace[] =>
		Object.values(this.home.cabinets).flatMap(({ id, name }) =>
			coldKinds(this.home, id).map((kind) => ({ cabinetId: id, name, kind }))
		)
	);
	get isReading(): boolean {
		return this.#isReading;
	}
	/** When they were read last; null: not since the page was opened. */
	get readAt(): string | null {
		return this.#readAt;
	}
	/** What was too warm of late, with what of it is still in the house. */
	warm = $derived.by((): readonly WarmPlace[] => {
		const now = this.#readAt;
		if (now === null) return [];
		return this.#found.map(({ place, spell }) => ({
			...place,
			spell,
			hours: hoursOf(spell, now),
			after: afterOutage(this.home, place.cabinetId, place.kind, spell, now)
		}));
	});

	/** Reads all thermometers, and notes what was too warm and is not noted yet. */
	async read(): Promise<void> {
		if (this.#isReading) return;
		this.#isReading = true;
		const { places } = this;
		const now = this.#deps.now();
		const since = new Date(Date.parse(now) - DAYS_BACK * DAY_MS).toISOString();
		const read = await Promise.all(
			places.map(async (place) => ({
				place,
				result: await this.#deps.thermometer(place.name, place.kind).readSince(since)
			}))
		);
		// A fridge-freezer has two of them, and one word is enough.
		this.silent = [
			...new Set(read.flatMap(({ result }) => (result.ok ? [] : deviceIssueText(result.issue))))
		];
		const spells = read.flatMap(({ place, result }) =>
			result.ok ? spellsOf(result.readings, place.kind).map((spell) => ({ place, spell })) : []
		);
		// The last of each place is what one has to act upon.
		this.#found = places.flatMap(
			(place) => spells.filter((each) => each.place === place).at(-1) ?? []
		);
		const news = spells.filter(({ place, spell }) => {
			const noted = notedSpell(this.home, place.cabinetId, place.kind, spell.from);
			return !noted || noted.to === null || noted.to < (spell.to ?? now);
		});
		if (news.length) {
			this.#deps.store().runAll(
				`note ${countText(news.length, 'warm spell')}`,
				news.map(({ place, spell }) =>
					command('recordWarm', place.cabinetId, place.kind, spell, this.#deps.newId(), now)
				)
			);
			this.#deps.said('The warm spell is noted: what lay there keeps less long.');
		}
		this.#readAt = now;
		this.#isReading = false;
	}

	/** Throws out what is no longer safe after a warm spell, as one step. */
	throwOut({ after, name }: WarmPlace): void {
		const lots = after.filter(({ verdict }) => verdict === 'discard');
		if (!lots.length) return;
		const now = this.#deps.now();
		this.#deps.store().runAll(
			`throw out ${countText(lots.length, 'lot')} from ${name}`,
			lots.map(({ lot }) =>
				command('takeDown', {
					lotId: lot.id,
					count: lot.count,
					eventId: this.#deps.newId(),
					now,
					kind: 'discard',
					why: 'warm'
				})
			)
		);
		this.#deps.said(`${countText(lots.length, 'lot')} from ${name} thrown out.`);
	}
}

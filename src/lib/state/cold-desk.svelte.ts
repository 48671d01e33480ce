import { command } from '../core/commands';
import type { Thermometer } from '../core/devices';
import type { Home } from '../core/model';
import {
	afterOutage,
	coldKinds,
	hoursOf,
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
	#warm = $state.raw<readonly WarmPlace[]>([]);
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
	get warm(): readonly WarmPlace[] {
		return this.#warm;
	}

	/** Reads all thermometers, and notes what was too warm and is not noted yet. */
	async read(): Promise<void> {
		if (this.#isReading) return;
		this.#isReading = true;
		const now = this.#deps.now();
		const since = new Date(Date.parse(now) - DAYS_BACK * DAY_MS).toISOString();
		const read = await Promise.all(
			this.places.map(async (place) => ({
				place,
				result: await this.#deps.thermometer(place.name, place.kind).readSince(since)
			}))
		);
		// A fridge-freezer has two of them, and one word is enough.
		this.silent = [
			...new Set(read.flatMap(({ result }) => (result.ok ? [] : deviceIssueText(result.issue))))
		];
		const noted = new Set(
			Object.values(this.home.warmSpells).map(({ cabinetId, from }) => `${cabinetId}/${from}`)
		);
		const news = read.flatMap(({ place, result }) => {
			const spells = result.ok ? spellsOf(result.readings, place.kind) : [];
			const fresh = spells.filter(
				({ from, to }) => to === null || !noted.has(`${place.cabinetId}/${from}`)
			);
			return fresh.length ? [{ place, spells: fresh }] : [];
		});
		// What lies in it now was judged before its life was shortened.
		this.#warm = news.flatMap(({ place, spells }) =>
			spells.slice(-1).map((spell) => ({
				...place,
				spell,
				hours: hoursOf(spell, now),
				after: afterOutage(this.home, place.cabinetId, place.kind, spell, now)
			}))
		);
		if (news.length) {
			this.#deps.store().runAll(
				`note ${countText(news.length, 'warm place')}`,
				news.map(({ place, spells }) =>
					command('recordWarm', place.cabinetId, place.kind, spells, this.#deps.newId(), now)
				)
			);
			this.#deps.said('The warm spell is noted: what lay there keeps less long.');
		}
		this.#readAt = now;
		this.#isReading = false;
	}

	/** Throws out what is no longer safe after a warm spell, as one step. */
	throwOut({ after, name }: WarmPlace): void {
		const lots = after.filter(
			({ lot, verdict }) => verdict === 'discard' && (this.home.lots[lot.id]?.count ?? 0) > 0
		);
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

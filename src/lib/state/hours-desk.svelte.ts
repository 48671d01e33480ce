import { WORK_STAGES, type Home, type Material, type WorkTime } from '../core/model';
import { hoursByStage, materialsCost } from '../core/upkeep';
import type { HomeStore } from './home-store.svelte';

export interface HoursDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO date. */
	readonly today: () => string;
}
const MOST_MINUTES = 24 * 60;
const latestFirst = <Row extends { readonly on: string; readonly id: string }>(
	rows: Readonly<Record<string, Row>>
): Row[] =>
	Object.values(rows).sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : a.id < b.id ? -1 : 1));

/** Hours of an organizer at a home, by stage, and the materials that were used. */
export class HoursDesk {
	readonly #deps: HoursDeps;
	/** Why the last line was not taken. */
	wrong = $state('');
	readonly stages = WORK_STAGES;

	constructor(deps: HoursDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	byStage = $derived.by(() => hoursByStage(this.home));
	minutes = $derived.by(() => this.byStage.reduce((sum, { minutes }) => sum + minutes, 0));
	times = $derived.by((): readonly WorkTime[] => latestFirst(this.home.workTimes));
	materials = $derived.by((): readonly Material[] => latestFirst(this.home.materials));
	cost = $derived.by(() => materialsCost(this.home));

	/** Writes time down, typed as minutes, `1:30` or `1.5 h`; says what is wrong with it. */
	addTime(stage: WorkTime['stage'], typed: string, note: string): boolean {
		const minutes = readMinutes(typed);
		if (minutes === null || minutes < 1 || minutes > MOST_MINUTES) {
			this.wrong = `“${typed}” is no time. Write minutes, as 90, or hours, as 1:30 or 1.5 h, up to 24 h.`;
			return false;
		}
		this.wrong = '';
		const time = { on: this.#deps.today(), stage, minutes, note: note.trim().slice(0, 200) };
		this.#deps.store().run('hours', 'addWorkTime', time, this.#deps.newId());
		return true;
	}
	removeTime(id: string): void {
		this.#deps.store().run('hours taken away', 'removeWorkTime', id);
	}
	/** Writes a material down; the price of one may be left out. */
	addMaterial(name: string, count: string, price: string): boolean {
		const many = readNumber(count);
		const each = price.trim() ? readNumber(price.replace(/[^\d.,]/g, '')) : null;
		this.wrong = !name.trim()
			? 'The material has no name yet.'
			: many === null || !(many > 0) || many > 10_000
				? `“${count}” is no count. Write a number, as 2 or 3.5.`
				: price.trim() && (each === null || each > 1_000_000)
					? `“${price}” is no price. Write what one costs, as 2.40.`
					: '';
		if (this.wrong) return false;
		const material = {
			on: this.#deps.today(),
			name: name.trim().slice(0, 200),
			count: many!,
			priceMinor: each === null ? null : Math.round(each * 100)
		};
		this.#deps.store().run(material.name, 'addMaterial', material, this.#deps.newId());
		return true;
	}
	removeMaterial(id: string): void {
		this.#deps.store().run('material taken away', 'removeMaterial', id);
	}
}

/** Reads a number with a point or a comma; null: it is none. */
function readNumber(typed: string): number | null {
	const text = typed.trim().replace(',', '.');
	return /^\d+(?:\.\d+)?$/.test(text) ? Number(text) : null;
}

/** Reads a length of time as people write it; null: it is none. @example readMinutes('1:30') // 90 */
export function readMinutes(typed: string): number | null {
	const text = typed.trim().toLowerCase();
	const clock = /^(\d{1,2}):([0-5]\d)(?:\s*h)?$/.exec(text);
	if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
	const mixed = /^(\d+)\s*h(?:ours?)?\s*(\d+)\s*(?:m|min|minutes)?$/.exec(text);
	if (mixed) return Number(mixed[1]) * 60 + Number(mixed[2]);
	const plain = /^(\d+(?:[.,]\d+)?)\s*(h|hours?|hrs?|m|min|minutes?)?$/.exec(text);
	if (!plain) return null;
	const value = Number(plain[1]!.replace(',', '.'));
	return Math.round(plain[2]?.startsWith('h') ? value * 60 : value);
}

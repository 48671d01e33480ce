import { addDays, dateFormat, formatMoney, formatVolume, type Home } from '../core/model';
import { monthsDone, resetsKept, workDone, wrongPlaces } from '../core/upkeep';
import { minutesText } from '../messages/clearing';
import { wholeText } from '../messages/numbers';
import { homeReport } from '../messages/report';
import type { HomeStore } from './home-store.svelte';

export interface RecordDeps {
	readonly store: () => HomeStore;
	/** ISO date. */
	readonly today: () => string;
}
const YEAR = 365;
const MONTH = dateFormat({ month: 'short' });

/** The record of a home: what was done, what left, what was used and wasted, and places that are wrong. */
export class RecordDesk {
	readonly #deps: RecordDeps;
	constructor(deps: RecordDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	months = $derived.by(() => monthsDone(this.home, this.#deps.today()));
	done = $derived.by(() => workDone(this.home));
	wrong = $derived.by(() => wrongPlaces(this.home, this.#deps.today()));
	get hasStockLog(): boolean {
		return this.months.some(({ used, wasted }) => used + wasted > 0);
	}
	monthText(month: string): string {
		return MONTH().format(new Date(`${month}-01T00:00:00Z`));
	}
	/** Figures of the year in words; what is nothing is left out. */
	rows = $derived.by((): readonly { readonly name: string; readonly value: string }[] => {
		const { home, done, months } = this;
		const today = this.#deps.today();
		const kept = resetsKept(home, addDays(today, -YEAR), today);
		const wastedMinor = months.reduce((sum, month) => sum + month.wastedMinor, 0);
		const rows: [string, number, string][] = [
			['Places cleared', done.sessions, wholeText(done.sessions)],
			['Time in clear-outs', done.minutes, minutesText(done.minutes)],
			['Things that left', done.leftThings, wholeText(done.leftThings)],
			['Room won', done.leftMl, formatVolume(done.leftMl)],
			['Resets done', kept.done, wholeText(kept.done)],
			['Resets left out', kept.skipped, wholeText(kept.skipped)],
			['Time in resets', kept.minutes, minutesText(kept.minutes)],
			['Thrown away in Clear', done.lostMinor, formatMoney(done.lostMinor, home.currency)],
			['Thrown out of the stock', wastedMinor, formatMoney(Math.round(wastedMinor), home.currency)]
		];
		return rows.filter(([, many]) => many > 0).map(([name, , value]) => ({ name, value }));
	});
	get report() {
		return homeReport(this.home, this.#deps.today());
	}
	setNote(note: string): void {
		if (note !== this.home.note)
			this.#deps.store().run('words for the report', 'changeHome', { note: note.slice(0, 4000) });
	}
	isPinned(groupId: string, nookId: string): boolean {
		return this.home.pins.some(
			(pin) => pin.kind === 'pin' && pin.groupId === groupId && pin.nookId === nookId
		);
	}
	/** Lets a group live where it is found: a pin that the next plan keeps. */
	pinThere(groupId: string, nookId: string): void {
		if (this.isPinned(groupId, nookId)) return;
		const group = this.home.groups[groupId]?.name ?? '';
		const place = this.home.nooks[nookId]?.name ?? '';
		this.#deps.store().run(`${group} pinned to ${place}`, 'togglePin', groupId, nookId, 'pin');
	}
}

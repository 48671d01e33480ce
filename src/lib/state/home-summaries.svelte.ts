import { HOME_VERSION } from '../core/model';
import { loadHome, type Db, type HomeRow } from '../data';

export interface SummariesDeps {
	readonly db: () => Promise<Db>;
	/** ISO instant. */
	readonly now: () => string;
	/** ISO date. */
	readonly today: () => string;
}

/** What waits in a home, in words; empty: nothing. */
export interface Waiting {
	/** What is due, and what went into it. */
	readonly now: string;
	/** The first line of its job sheet. */
	readonly next: string;
}

/** What waits in each home of this browser, read one after the other once the list is on screen. */
export class HomeSummaries {
	readonly #deps: SummariesDeps;
	#found = $state.raw<Readonly<Record<string, Waiting>>>({});
	/** A newer look at the list ends an older one. */
	#turn = 0;

	constructor(deps: SummariesDeps) {
		this.#deps = deps;
	}
	/** undefined: not read yet, or a home that an earlier program wrote and nobody has opened since. */
	of(homeId: string): Waiting | undefined {
		return this.#found[homeId];
	}
	async look(rows: readonly HomeRow[]): Promise<void> {
		const turn = ++this.#turn;
		// The list is on screen without what these bring.
		const [{ homeSummary }, { spentText, summaryText }, { stepText }] = await Promise.all([
			import('../core/upkeep'),
			import('../messages/keeping'),
			import('../messages/steps')
		]);
		for (const { id, version } of rows) {
			// Homes of an earlier layout are carried up when they are opened, not for being looked at.
			if (version !== HOME_VERSION) continue;
			const loaded = await this.#read(id);
			if (turn !== this.#turn) return;
			if (!loaded) continue;
			const summary = homeSummary(loaded, this.#deps.today());
			const waiting = {
				now: [summaryText(summary), spentText(summary)].filter(Boolean).join(' · '),
				next: summary.next ? stepText(summary.next).title : ''
			};
			this.#found = { ...this.#found, [id]: waiting };
		}
	}
	async #read(id: string) {
		try {
			const loaded = await loadHome(await this.#deps.db(), id, this.#deps.now());
			return loaded.ok ? loaded.home : null;
		} catch {
			// A home that cannot be read says so when it is opened.
			return null;
		}
	}
}

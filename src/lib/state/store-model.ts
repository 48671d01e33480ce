import { expect } from 'vitest';
import { LotId, type Home } from '../core/model';
import { NOW, tinyHome } from '../core/fixtures/tiny-home';
import { addHome, loadHome, type Db } from '../data';
import { FakeChannel, FakeWords, faultyDb, type Fault } from './fake-tabs';
import { HomeStore, type StoreNotice } from './home-store.svelte';
import { Outbox } from './outbox';

/** What may happen in one of several tabs that show the same home. */
export type Happening =
	| {
			readonly kind:
				'person' | 'use' | 'remove' | 'put' | 'undo' | 'redo' | 'kill' | 'leave' | 'reload';
	  }
	| { readonly kind: 'rename'; readonly to: number }
	| { readonly kind: 'size'; readonly nook: number; readonly mm: number }
	| { readonly kind: 'fail'; readonly fault: Fault }
	| { readonly kind: 'wait'; readonly turns: number }
	| { readonly kind: 'deaf'; readonly on: boolean };
export interface Step {
	readonly tab: number;
	readonly what: Happening;
}

interface Tab {
	store: HomeStore;
	readonly faults: Fault[];
	/** What was done here, oldest first, by the word that it leaves in the home. */
	readonly done: string[];
}

const TABS = 3;
const STOCK = 1000;
const STOCK_LOT = 'stock';

/**
 * Several tabs on one database, with a plain record of what must come of it, kept apart from the store: a word that was
 * shown as saved is in the home unless it was taken back, stock and notes of use agree, and taking back takes just its
 * step.
 */
export class StoreModel {
	readonly #db: Db;
	readonly #channel = new FakeChannel();
	readonly #tabs: Tab[] = [];
	/** Tries that wait for their time, by store: whoever plays them decides when. */
	readonly #waiting = new Set<() => void>();
	/** What outlives a page that goes. */
	readonly #words = new FakeWords();
	/** Words that were taken back, or told as lost. */
	readonly #given = new Set<string>();
	/** Words that were shown as saved, and not taken back since. */
	readonly #saved = new Set<string>();
	#ids = 0;
	#happened = 0;

	private constructor(db: Db) {
		this.#db = db;
	}

	static async start(db: Db): Promise<StoreModel> {
		const home = tinyHome();
		const lot = { ...Object.values(home.lots)[0]!, id: LotId.parse(STOCK_LOT), count: STOCK };
		const lots = { ...home.lots, [lot.id]: lot };
		await addHome(db, { home: { ...home, lots }, now: NOW, ifThere: { do: 'say' } });
		const model = new StoreModel(db);
		for (let i = 0; i < TABS; i++) model.#tabs.push(await model.#open());
		return model;
	}

	async #open(): Promise<Tab> {
		const faults: Fault[] = [];
		const done: string[] = [];
		const lost = (notice: StoreNotice) => {
			// What is told as lost need not be there.
			if (notice.code === 'lost') this.#giveUp(notice.label);
		};
		const store = await HomeStore.open('tiny', {
			db: async () => faultyDb(this.#db, () => faults.shift() ?? null),
			now: () => NOW,
			newId: () => `i${++this.#ids}`,
			tabs: this.#channel.open,
			later: (_ms, call) => {
				this.#waiting.add(call);
				return () => void this.#waiting.delete(call);
			},
			onNotice: lost,
			outbox: new Outbox(() => this.#words, 'tiny', `page${++this.#ids}`)
		});
		if (!(store instanceof HomeStore)) throw new Error(`The home does not open: ${store.code}`);
		return { store, faults, done };
	}

	/** Lets one thing happen; nothing is waited for but what says so. */
	async play({ tab: at, what }: Step): Promise<void> {
		this.#happened++;
		const tab = this.#tabs[at % TABS]!;
		const { store } = tab;
		switch (what.kind) {
			case 'person': {
				const word = `p${++this.#ids}`;
				store.run(word, 'addPerson', word, word);
				tab.done.push(word);
				break;
			}
			case 'rename':
				store.run('name', 'changeHome', { name: `Name ${what.to}` });
				break;
			case 'use':
				store.run('use', 'takeDown', {
					lotId: STOCK_LOT,
					count: 1,
					eventId: `u${++this.#ids}`,
					now: NOW
				});
				break;
			case 'size': {
				const ids = Object.keys(store.home.nooks);
				const id = ids[what.nook % ids.length];
				if (id) store.run('size', 'setInside', id, 'widthMm', what.mm);
				break;
			}
			case 'remove': {
				const ids = Object.keys(store.home.nooks);
				if (ids.length > 2) store.run('remove', 'removeNook', ids.at(-1)!);
				break;
			}
			case 'put': {
				const nookId = Object.keys(store.home.nooks).at(-1)!;
				const lotId = Object.keys(store.home.lots).at(-1)!;
				store.run('put', 'doMove', {
					kind: 'carry',
					to: nookId,
					loads: [{ lotId, thingId: '', count: 1, partId: null }]
				});
				break;
			}
			case 'undo':
			case 'redo':
				this.#back(store, what.kind);
				break;
			case 'fail':
				tab.faults.push(what.fault);
				break;
			case 'deaf':
				this.#channel.deaf = what.on;
				break;
			case 'wait':
				for (let i = 0; i < what.turns; i++) await new Promise((done) => setImmediate(done));
				break;
			case 'kill':
				this.#note(tab);
				store.close();
				this.#tabs[at % TABS] = await this.#open();
				break;
			case 'leave': {
				// Nothing is waited for: what was shown, saved or not, is there on the next page.
				store.leave();
				store.close();
				const next = await this.#open();
				const shown = tab.done.filter((word) => store.home.people[word] && !this.#given.has(word));
				expect(shown.filter((word) => !next.store.home.people[word])).toEqual([]);
				this.#tabs[at % TABS] = { ...next, done: tab.done };
				break;
			}
			case 'reload':
				await this.#quiet(tab);
				this.#note(tab);
				store.close();
				this.#tabs[at % TABS] = await this.#open();
				break;
		}
		for (const each of this.#tabs) this.#note(each);
		if (this.#happened % 5 === 0) this.#retryOne();
	}

	#retryOne(): void {
		const [call] = this.#waiting;
		if (!call) return;
		this.#waiting.delete(call);
		call();
	}

	#giveUp(word: string): void {
		this.#saved.delete(word);
		this.#given.add(word);
	}

	/** Notes what a tab shows as saved: from now on it may not be lost. */
	#note({ store, done }: Tab): void {
		if (store.saveState !== 'saved') return;
		for (const word of done.splice(0)) if (store.home.people[word]) this.#saved.add(word);
	}

	/** Takes one step back or forth, and sees that just that step went. */
	#back(store: HomeStore, kind: 'undo' | 'redo'): void {
		const label = kind === 'undo' ? store.undoLabel : store.redoLabel;
		const before = new Set(Object.keys(store.home.people));
		store[kind]();
		const after = new Set(Object.keys(store.home.people));
		const changed = [...before, ...after].filter((word) => before.has(word) !== after.has(word));
		expect(new Set(changed)).toEqual(new Set(label && /^p\d/.test(label) ? [label] : []));
		// It may be another tab's word that is taken back.
		if (label) this.#giveUp(label);
	}

	async #quiet({ store, faults }: Tab): Promise<void> {
		faults.length = 0;
		for (let i = 0; i < 20; i++) {
			await store.retry();
			if (store.saveState === 'saved') return;
		}
		throw new Error(`It does not come to rest: ${store.saveState}, ${store.trouble?.said}`);
	}

	/** Lets everything come to rest, and sees what came of it. Gives the home. */
	async finish(): Promise<Home> {
		this.#channel.deaf = false;
		for (const tab of this.#tabs) await this.#quiet(tab);
		for (const { store } of this.#tabs) await store.refresh();
		this.#channel.deliver();
		for (const { store } of this.#tabs) await store.settled();
		const loaded = await loadHome(this.#db, 'tiny', NOW);
		if (!loaded.ok) throw new Error(`The home does not open: ${loaded.code}`);
		expect(loaded.mends).toEqual([]);
		for (const { store } of this.#tabs) {
			expect(store.home).toEqual(loaded.home);
			expect(store.saveState).toBe('saved');
		}
		for (const tab of this.#tabs) this.#note(tab);
		const { people, useEvents, lots } = loaded.home;
		expect([...this.#saved].filter((word) => !people[word])).toEqual([]);
		const used = Object.values(useEvents).reduce((sum, { count }) => sum + count, 0);
		expect(lots[STOCK_LOT]!.count + used).toBe(STOCK);
		// Steps stand one after the other, each once.
		const seqs = loaded.history.map(({ seq }) => seq);
		expect(seqs).toEqual([...seqs].sort((a, b) => a - b));
		expect(new Set(loaded.history.map(({ id }) => id)).size).toBe(seqs.length);
		for (const { store } of this.#tabs) store.close();
		return loaded.home;
	}
}

/** Plays a story from the start and gives the home that comes of it. */
export async function playStory(db: Db, story: readonly Step[]): Promise<Home> {
	const model = await StoreModel.start(db);
	for (const step of story) await model.play(step);
	return model.finish();
}

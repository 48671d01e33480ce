import type { Exchange } from '../core/interchange';
import {
	conflictKey,
	mergeHomes,
	type Choice,
	type FieldConflict,
	type HomeMerge
} from '../core/merge';
import type { Home } from '../core/model';
import { fileIssueText } from '../messages/files';
import { conflictText, mergeText, type ConflictWords } from '../messages/merging';
import { commonOf, rememberCopy, writeCopy, type CopyDeps } from './hand-over';
import type { HomeStore } from './home-store.svelte';
import type { Incoming, Read } from './incoming';

export interface HandOverDeps extends CopyDeps {
	readonly store: () => HomeStore;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}

/** A copy that came back, with what it would change. */
interface Pending {
	readonly theirs: Home;
	readonly exchange: Exchange;
	readonly base: Home;
}

/** Giving a home away as a file, and taking a copy back in that somebody worked on meanwhile. */
export class HandOverDesk {
	readonly #deps: HandOverDeps;
	/** Who gives it: for the history of the other. */
	by = $state('');
	#pending = $state.raw<Pending | null>(null);
	#choices = $state.raw<Readonly<Record<string, Choice>>>({});
	/** Why nothing was taken in. */
	wrong = $state('');
	isBusy = $state(false);

	constructor(deps: HandOverDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** The text of a file for somebody else; null: the browser did not let it be remembered, and says why. */
	async copy(): Promise<string | null> {
		try {
			return await writeCopy(this.#deps, this.home, this.by.trim());
		} catch (error) {
			this.wrong = `The copy was not made: ${error instanceof Error ? error.message : String(error)}.`;
			return null;
		}
	}

	/** Takes what was read of a file, and looks for the last state that both had. */
	async bring(read: Read): Promise<void> {
		this.drop();
		if (!read.ok) {
			this.wrong = read.issues.map(fileIssueText).join(' ');
			return;
		}
		await this.take(read);
	}
	async take({ home: theirs, exchange }: Incoming): Promise<void> {
		this.drop();
		if (theirs.id !== this.home.id) {
			this.wrong = `That file is of another home, “${theirs.name}”. Bring it in on the page of all homes.`;
			return;
		}
		if (!exchange) {
			this.wrong =
				'That file was not made to come back: it does not say what it began from. On the page of all homes it can be kept beside this one.';
			return;
		}
		this.isBusy = true;
		const base = await commonOf(this.#deps, this.home.id, exchange).catch(() => null);
		this.isBusy = false;
		if (base) this.#pending = { theirs, exchange, base };
		else
			this.wrong =
				'This browser has none of the states that copy began from, so it cannot tell what was changed where. On the page of all homes it can be kept beside this one.';
	}
	drop(): void {
		[this.#pending, this.#choices, this.wrong] = [null, {}, ''];
	}
	get from(): string {
		return this.#pending?.exchange.by || 'the other copy';
	}
	/** What taking it in would change; null: no copy is at hand. */
	merge = $derived.by((): HomeMerge | null => {
		const pending = this.#pending;
		return pending && mergeHomes(pending.base, this.home, pending.theirs, this.#choices);
	});
	/** Where both say different things, in words side by side. */
	conflicts = $derived.by(
		(): readonly (ConflictWords & { readonly key: string; readonly choice: Choice })[] => {
			const pending = this.#pending;
			if (!pending) return [];
			return (this.merge?.conflicts ?? []).map((conflict) => ({
				...conflictText(conflict, this.home, pending.theirs),
				key: conflictKey(conflict),
				choice: this.#choiceOf(conflict)
			}));
		}
	);
	#choiceOf(conflict: FieldConflict): Choice {
		return (
			this.#choices[conflictKey(conflict)] ?? (conflict.ours === undefined ? 'theirs' : 'ours')
		);
	}
	get words(): string {
		return this.merge ? mergeText(this.merge) : '';
	}
	get isNothing(): boolean {
		const { merge } = this;
		return (
			!!merge && !merge.records.length && !Object.keys(merge.head).length && !merge.conflicts.length
		);
	}
	choose(key: string, choice: Choice): void {
		this.#choices = { ...this.#choices, [key]: choice };
	}
	chooseAll(choice: Choice): void {
		this.#choices = Object.fromEntries(this.conflicts.map(({ key }) => [key, choice]));
	}
	/** Takes it in as one step, and remembers their state as one that both have. */
	async confirm(): Promise<void> {
		const [pending, merge] = [this.#pending, this.merge];
		if (!pending || !merge) return;
		if (merge.records.length || Object.keys(merge.head).length) {
			const words = `copy from ${this.from} taken in`;
			this.#deps.store().run(words, 'mergeIn', merge.records as never, merge.head as never);
			this.#deps.said(`${words[0]!.toUpperCase()}${words.slice(1)}.`);
		}
		this.drop();
		await rememberCopy(this.#deps, pending.exchange, pending.theirs).catch(() => undefined);
	}
}

import { toast } from 'svelte-sonner';
import type { HomeStore } from './home-store.svelte';
import { afterPaint, type Afterwards } from './later.svelte';

/** Notices in sight at once. Older ones leave: each measures itself, and hidden ones too make every next tap slower. */
export const IN_SIGHT = 2;

interface Notice {
	readonly store: HomeStore;
	readonly words: string;
	readonly key: string;
	/** The step that it takes back; null: none. */
	readonly own: string | null;
}
/** Where notices are shown. */
export interface Board {
	show(notice: Notice): void;
	dismiss(key: string): void;
}

/** The notices of what was just done: the last few, shown after the screen has shown what was done. */
export class Notices {
	#waiting: Notice[] = [];
	#shown: string[] = [];

	constructor(
		private readonly board: Board,
		private readonly afterwards: Afterwards = afterPaint
	) {}

	/** A notice replaces the one with its `key`; of many taps in a row only the last few are shown. */
	add(notice: Notice): void {
		if (!this.#waiting.length) this.afterwards(() => this.#showWaiting());
		this.#waiting = [...this.#waiting.filter(({ key }) => key !== notice.key), notice];
	}

	#showWaiting(): void {
		const news = this.#waiting.slice(-IN_SIGHT);
		this.#waiting = [];
		for (const notice of news) {
			this.#shown = [...this.#shown.filter((key) => key !== notice.key), notice.key];
			this.board.show(notice);
		}
		for (const key of this.#shown.splice(0, this.#shown.length - IN_SIGHT)) this.board.dismiss(key);
	}
}

const notices = new Notices({ show, dismiss: (key) => void toast.dismiss(key) });

/**
 * Says what was just done, with an Undo that takes back that and nothing else, whatever was done since. One at a time
 * for a `key`: it is the same for what replaces its last notice. It comes after the screen has shown what was done: a
 * notice measures itself, and the page would be laid out twice.
 */
export const undoToast = (store: HomeStore, words: string, key: string): void =>
	notices.add({ store, words, key, own: store.lastStepId });

function show({ store, words, key, own }: Notice): void {
	toast(words, {
		id: key,
		action: {
			label: 'Undo',
			onClick: () => {
				if (own && !store.takeBack(own))
					toast.info('That was changed again since. Use Undo at the top, step by step.', {
						id: `${key}/late`
					});
			}
		}
	});
}

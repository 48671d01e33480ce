import { now, today } from './clock.svelte';
import type { HomeStore } from './home-store.svelte';
import { newId } from './ids';
import { undoToast } from './undo-toast';

/** What every desk of Turn takes from its page: the home, the clock, ids, and a notice with an undo of its own. */
export const turnDeps = (store: () => HomeStore) => ({
	store,
	newId,
	now,
	today,
	said: (words: string) => undoToast(store(), words, newId())
});

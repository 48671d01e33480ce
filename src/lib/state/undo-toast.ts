import { toast } from 'svelte-sonner';
import type { HomeStore } from './home-store.svelte';
import { afterPaint } from './later.svelte';

/**
 * Says what was just done, with an Undo that takes back that and nothing else, whatever was done since. One at a time
 * for a `key`: it is the same for what replaces its last notice. It comes after the screen has shown what was done: a
 * notice measures itself, and the page would be laid out twice.
 */
export function undoToast(store: HomeStore, words: string, key: string): void {
	const own = store.lastStepId;
	afterPaint(() => show(store, words, key, own));
}

function show(store: HomeStore, words: string, key: string, own: string | null): void {
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

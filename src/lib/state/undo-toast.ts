import { toast } from 'svelte-sonner';
import type { HomeStore } from './home-store.svelte';

/**
 * Says what was just done, with an Undo that takes back that and nothing else, whatever was done since. One at a time
 * for a `key`: it is the same for what replaces its last notice.
 */
export function undoToast(store: HomeStore, words: string, key: string): void {
	const own = store.lastStepId;
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

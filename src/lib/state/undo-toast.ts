import { toast } from 'svelte-sonner';
import type { HomeStore } from './home-store.svelte';

/**
 * Says what was just done, with an Undo that takes back that and nothing else: once more was done since, it says so. One
 * at a time; `key` is the same for what replaces its last notice.
 */
export function undoToast(store: HomeStore, words: string, key: string): void {
	const own = store.lastStepId;
	toast(words, {
		id: key,
		action: {
			label: 'Undo',
			onClick: () => {
				if (store.lastStepId === own) store.undo();
				else
					toast.info('More was done since. Use Undo at the top, step by step.', {
						id: `${key}/late`
					});
			}
		}
	});
}

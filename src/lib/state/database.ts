import { toast } from 'svelte-sonner';
import { openDatabase, type Db } from '../data';

let opened: Promise<Db> | null = null;

/** Opens the database once for the whole page. */
export function getDb(): Promise<Db> {
	return (opened ??= openDatabase({
		onBlocked: () =>
			toast.warning('Another tab holds an older version open. Close it, and this one goes on.'),
		onReplaced: () => {
			opened = null;
			toast.warning('Keep Nook was updated in another tab. Reload this one.');
		},
		onTerminated: () => {
			opened = null;
			toast.error('The browser closed the store. Reload the page; what was saved is safe.');
		}
	}));
}

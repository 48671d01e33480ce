import { toast } from 'svelte-sonner';
import { sweepPhotos } from '../data';
import { storeNoticeText } from '../messages/store';
import { now } from './clock.svelte';
import { getDb } from './database';
import { newId } from './ids';
import { askBeforeLeaving, whenPageGoes } from './leaving';
import { OpenHomes } from './open-homes';
import { Outbox } from './outbox';
import type { StoreNotice } from './home-store.svelte';

const LONG_MS = 15_000;

function tell(notice: StoreNotice): void {
	// What is not stored is said by the frame for as long as it lasts.
	if (notice.code === 'not-stored' || notice.code === 'gone') return;
	toast.warning(storeNoticeText(notice), { duration: LONG_MS });
}

let asked = false;
/** Asks the browser, once something worth keeping is stored, not to clear it when space runs short. */
function askToKeep(): void {
	if (asked) return;
	asked = true;
	void navigator.storage?.persist?.().catch(() => false);
}

/** The homes that are open in this tab. */
export const openHomes = new OpenHomes((homeId) => {
	// Pictures that nothing points to are looked for once a home is opened, out of everybody's way.
	setTimeout(
		() =>
			void getDb()
				.then((db) => sweepPhotos(db, homeId, now()))
				.catch(() => 0),
		LONG_MS
	);
	const outbox = new Outbox(() => localStorage, homeId, newId());
	return { db: getDb, now, newId, onNotice: tell, onStored: askToKeep, outbox };
});

askBeforeLeaving(() => !openHomes.pageGoes());
whenPageGoes(() => void openHomes.pageGoes());

import { toast } from 'svelte-sonner';
import { readRawHome, troubleOf } from '$lib/data';
import { troubleText } from '$lib/messages/store';
import { getDb } from '$lib/state/database';
import { fileName, saveFile } from './save-file';

/** Hands everything that is stored of a home to the browser to save, just as it is stored. */
export async function exportRaw(homeId: string, name: string): Promise<void> {
	try {
		const raw = await readRawHome(await getDb(), homeId);
		if (raw === null) toast.info('Nothing is stored of this home.');
		else saveFile(fileName(`${name} raw`, 'json'), JSON.stringify(raw), 'application/json');
	} catch (error) {
		toast.error(troubleText(troubleOf(error)));
	}
}

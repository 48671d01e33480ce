import type { Patch } from 'immer';
import { COLLECTION_NAMES, type CollectionName } from './home';

export type ChangedRecord = { readonly collection: CollectionName | 'head'; readonly id: string };

const isCollection = (key: string): key is CollectionName =>
	(COLLECTION_NAMES as string[]).includes(key);

/**
 * Lists the records that patches touch, once each, in order of first touch.
 * A patch of a whole collection cannot be told apart by record and throws: edits change records.
 */
export function changedRecords(patches: readonly Patch[]): ChangedRecord[] {
	const seen = new Map<string, ChangedRecord>();
	for (const { path } of patches) {
		const key = String(path[0] ?? '');
		if (!isCollection(key)) {
			seen.set('head', { collection: 'head', id: 'head' });
			continue;
		}
		if (path.length < 2)
			throw new Error(`An edit replaced the whole of ${key}; change its records one by one.`);
		const id = String(path[1]);
		seen.set(`${key}/${id}`, { collection: key, id });
	}
	return [...seen.values()];
}

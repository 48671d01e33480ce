import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { openDatabase } from '../data';
import { stories } from './store-stories';
import { playStory } from './store-model';

it('loses nothing that was shown as saved, in any story of three tabs', async () => {
	let played = 0;
	await fc.assert(
		fc.asyncProperty(stories(40), async (story) => {
			indexedDB = new IDBFactory();
			const db = await openDatabase();
			await playStory(db, story);
			db.close();
			played += story.length;
		}),
		{ seed: 1001, numRuns: 250 }
	);
	expect(played).toBeGreaterThan(3000);
});

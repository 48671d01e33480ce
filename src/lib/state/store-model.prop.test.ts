import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { openDatabase } from '../data';
import { stories } from './store-stories';
import { playStory } from './store-model';

/** More stories, and others, are played by `npm run bench -- store`. */
const STORIES = Number(process.env.STORE_STORIES ?? 250);
const SEED = Number(process.env.STORE_SEED ?? 1001);
const LONG_MS = 3_600_000;

it(
	'loses nothing that was shown as saved, in any story of three tabs',
	async () => {
		let played = 0;
		await fc.assert(
			fc.asyncProperty(stories(40), async (story) => {
				indexedDB = new IDBFactory();
				const db = await openDatabase();
				await playStory(db, story);
				db.close();
				played += story.length;
			}),
			{ seed: SEED, numRuns: STORIES }
		);
		expect(played).toBeGreaterThan(STORIES * 10);
		console.log(`happenings: ${played}`);
	},
	LONG_MS
);

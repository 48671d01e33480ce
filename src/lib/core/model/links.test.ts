import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyEdit, COLLECTION_NAMES, Home, linkFaults, LINKS, replay, StillNeeded } from '.';
import { readHomeFile } from '../interchange';

/** A home in which every collection has records and every link leads somewhere. */
const full: Home = (() => {
	const file = new URL('../interchange/fixtures/v13.keepnook.json', import.meta.url);
	const read = readHomeFile(readFileSync(file, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.issues));
	return read.home;
})();
const recordsOf = (home: Home) =>
	COLLECTION_NAMES.flatMap((name) => Object.keys(home[name]).map((id) => ({ name, id })));

describe('the table of links', () => {
	it('names every place where an id of another record stands', () => {
		const nameOf = new Map(recordsOf(full).map(({ name, id }) => [id, name]));
		const known = new Set(LINKS.map(({ from, path, to }) => `${from} ${path.join('.')} ${to}`));
		const missing = new Set<string>();
		const seen = new Set<string>();
		const look = (from: string, value: unknown, path: string[]) => {
			if (Array.isArray(value)) return value.forEach((item) => look(from, item, [...path, '*']));
			if (typeof value === 'object' && value !== null)
				return Object.entries(value).forEach(([key, item]) => look(from, item, [...path, key]));
			const to = typeof value === 'string' ? nameOf.get(value) : undefined;
			if (!to || path.join('.') === 'id') return;
			const link = `${from} ${path.join('.')} ${to}`;
			seen.add(link);
			if (!known.has(link)) missing.add(link);
		};
		for (const { name, id } of recordsOf(full))
			look(name, (full[name] as Record<string, unknown>)[id], []);
		for (const [key, value] of Object.entries(full))
			if (!(COLLECTION_NAMES as string[]).includes(key)) look('head', value, [key]);
		expect([...missing]).toEqual([]);
		// The home has an example of each, so that the check above cannot pass by looking at nothing.
		expect([...known].filter((link) => !seen.has(link))).toEqual([]);
	});
	it('leaves no link hanging, whatever goes, and gives it all back', () => {
		const all = recordsOf(full);
		fc.assert(
			fc.property(fc.subarray(all, { minLength: 1, maxLength: 6 }), (gone) => {
				let result;
				try {
					result = applyEdit(full, (draft) => {
						for (const { name, id } of gone) delete draft[name][id];
					});
				} catch (error) {
					// A run that cabinets still stand on.
					expect(error).toBeInstanceOf(StillNeeded);
					return;
				}
				expect(linkFaults(result.home)).toEqual([]);
				expect(Home.safeParse(result.home).success).toBe(true);
				for (const { name, id } of gone) expect(result.home[name][id]).toBeUndefined();
				expect(replay(full, result.patches)).toEqual(result.home);
				expect(replay(result.home, result.inverse)).toEqual(full);
			}),
			{ seed: 31, numRuns: 200 }
		);
	});
	it('refuses to take a run away that cabinets stand on', () => {
		const { runId } = Object.values(full.cabinets)[0]!;
		expect(() => applyEdit(full, (draft) => void delete draft.runs[runId])).toThrow(StillNeeded);
	});
	it('mends what an edit itself leaves hanging, and says so', () => {
		const [lot] = Object.values(full.lots);
		const { home, mended } = applyEdit(full, (draft) => {
			draft.lots[lot!.id]!.nookId = 'nowhere' as never;
		});
		expect(home.lots[lot!.id]!.nookId).toBeNull();
		expect(mended).toMatchObject([{ missing: 'nowhere' }]);
	});
	it('does not take what every object has for a record', () => {
		const [lot] = Object.values(full.lots);
		const broken = {
			...full,
			lots: { ...full.lots, [lot!.id]: { ...lot!, thingId: 'constructor' as never } }
		};
		expect(linkFaults(broken)).toMatchObject([{ missing: 'constructor' }]);
	});
});

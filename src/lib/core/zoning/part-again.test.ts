import { describe, expect, it } from 'vitest';
import { FLATSHARE } from '../fixtures/more-sketches';
import { DOG_AND_TODDLER, STUDIO } from '../fixtures/sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { buildZoneModel, type ZoneModel } from './build';
import { partAgain } from './part-again';
import { placeHome } from './solve';

const OPTIONS = { seed: 1, moves: 60_000 };
const counts = ({ parts }: ZoneModel) => {
	const found = new Map<string, number>();
	for (const { figures } of parts)
		found.set(figures.groupId, (found.get(figures.groupId) ?? 0) + 1);
	return found;
};

describe('groups that stand badly as they are', () => {
	it('are parted where everything finds a place so', () => {
		const home = sketchHome(STUDIO);
		expect(placeHome(home, OPTIONS).overflow).toEqual([]);
	});
	it('are parted into two more at once, or joined, where one more brings nothing', () => {
		const home = sketchHome(STUDIO);
		const model = buildZoneModel(home);
		const byGroup = counts(model);
		const steps = new Set<number>();
		const start = partAgain(model, (asked) => {
			for (const [groupId, count] of asked) steps.add(count - (byGroup.get(groupId) ?? 0));
			return model;
		});
		expect(start.model).toBe(model);
		expect([...steps].sort((a, b) => a - b)).toEqual([-1, 1, 2]);
	});
	it('make room for what has no place, though they stand well themselves', () => {
		const home = sketchHome(FLATSHARE);
		const { overflow, assignments } = placeHome(home, OPTIONS);
		const pots = overflow.find((id) => home.groups[id]!.name === 'Pots and pans')!;
		const placed = assignments
			.filter(({ groupId }) => groupId === pots)
			.reduce((sum, { share }) => sum + share, 0);
		expect(placed).toBeGreaterThan(0.7);
	});
	it('are parted several at once where no one of them makes room', () => {
		const start = buildZoneModel(sketchHome(FLATSHARE));
		const sizes: number[] = [];
		partAgain(start, (asked) => {
			sizes.push(asked.size);
			return start;
		});
		// Each by itself first (beside one that was taken before), then more and more of them.
		expect(sizes.slice(0, 3)).toEqual([1, 1, 1]);
		expect(sizes.join(' ')).toMatch(/ 2 4 8\b/);
	});
	it('are parted alike each time', () => {
		const home = sketchHome(DOG_AND_TODDLER);
		expect(counts(buildZoneModel(home))).toEqual(counts(buildZoneModel({ ...home })));
	});
	it('stay as they are where parting brings nothing, and are not tried without end', () => {
		const start = buildZoneModel(sketchHome(DOG_AND_TODDLER));
		const asked: ReadonlyMap<string, number>[] = [];
		const { model } = partAgain(start, (more) => {
			asked.push(more);
			return start;
		});
		expect(model).toBe(start);
		expect(asked.length).toBeGreaterThan(2);
		expect(asked.length).toBeLessThanOrEqual(60);
		// Each once, one group at a time, by one or two more or by one fewer.
		expect(new Set(asked.map((one) => JSON.stringify([...one]))).size).toBe(asked.length);
		for (const one of asked) {
			expect(one.size).toBe(1);
			for (const [groupId, count] of one)
				expect([1, 2, -1]).toContain(count - (counts(start).get(groupId) ?? 0));
		}
	});
	it('are nothing in a home that holds nothing', () => {
		const bare = buildZoneModel({ ...sketchHome(STUDIO), lots: {} });
		expect(partAgain(bare, () => bare)).toEqual({
			model: bare,
			counts: new Map(),
			effort: Infinity
		});
	});
});

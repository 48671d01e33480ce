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
	it('make room for what has no place, though they stand well themselves', () => {
		const home = sketchHome(FLATSHARE);
		const { overflow, assignments } = placeHome(home, OPTIONS);
		const pots = overflow.find((id) => home.groups[id]!.name === 'Pots and pans')!;
		const placed = assignments
			.filter(({ groupId }) => groupId === pots)
			.reduce((sum, { share }) => sum + share, 0);
		expect(placed).toBeGreaterThan(0.7);
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
		expect(asked.length).toBeLessThanOrEqual(24);
		for (const more of asked)
			for (const [groupId, count] of more)
				expect(count).toBe((counts(start).get(groupId) ?? 0) + 1);
	});
	it('are nothing in a home that holds nothing', () => {
		const bare = buildZoneModel({ ...sketchHome(STUDIO), lots: {} });
		expect(partAgain(bare, () => bare)).toEqual({ model: bare, counts: new Map() });
	});
});

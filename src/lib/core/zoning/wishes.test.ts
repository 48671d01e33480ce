import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Home } from '../model';
import { generateHome } from '../fixtures/generate-home';
import { apply, tinyHome } from '../fixtures/tiny-home';
import { freeSpaceOf, layoutOf, buildZoneModel, placeHome, togglePin, zoneFingerprint } from '.';

const OPTIONS = { seed: 1, moves: 4000 };
const homes = fc
	.record({ seed: fc.nat(1000), groups: fc.integer({ min: 1, max: 10 }), pick: fc.nat() })
	.map(({ seed, groups, pick }) => ({
		home: generateHome({
			seed,
			rooms: 1,
			cabinets: 4,
			groups,
			things: groups * 2,
			lots: groups * 3
		}),
		pick
	}));

describe('what a wish costs', () => {
	it('is zero or more, and no more than it can be, whatever is pinned or banned', () => {
		fc.assert(
			fc.property(
				homes,
				fc.constantFrom('pin' as const, 'ban' as const),
				({ home, pick }, kind) => {
					const groups = Object.keys(home.groups);
					const nooks = Object.keys(home.nooks);
					const wished = apply(
						home,
						togglePin(groups[pick % groups.length]!, nooks[pick % nooks.length]!, kind)
					);
					for (const { extra, atMost } of placeHome(wished, OPTIONS).wishPrices) {
						expect(extra).toBeGreaterThanOrEqual(0);
						expect(atMost).toBeGreaterThanOrEqual(extra - 1e-6);
					}
				}
			),
			{ seed: 141, numRuns: 20 }
		);
	});
	it('is nothing where the best plan has it so, and something where a far place is pinned', () => {
		const home = tinyHome();
		const best = placeHome(home, OPTIONS);
		expect(best.wishPrices).toEqual([]);
		const { groupId, nookId } = best.assignments[0]!;
		const kept = placeHome(apply(home, togglePin(groupId, nookId, 'pin')), OPTIONS);
		expect(kept.wishPrices).toHaveLength(1);
		expect(kept.wishPrices[0]!.extra).toBeLessThan(1);
		expect(kept.wishPrices[0]!.atMost).toBeLessThanOrEqual(best.objective - best.bound + 1e-3);
		const bans = best.assignments.map((one) =>
			placeHome(apply(home, togglePin(one.groupId, one.nookId, 'ban')), OPTIONS)
		);
		for (const away of bans)
			expect(away.wishPrices[0]!.extra).toBeCloseTo(away.objective - best.objective, 3);
		expect(bans.filter((away) => away.wishPrices[0]!.extra > 1).length).toBeGreaterThan(3);
	});
});

describe('what a plan leaves free', () => {
	it('counts empty places and sums the rest', () => {
		const home = tinyHome();
		const model = buildZoneModel(home);
		const none = freeSpaceOf(model, layoutOf(model, []), home.settings.play.fillShare);
		expect(none.empty).toBe(none.places);
		expect(none.share).toBe(1);
		const plan = placeHome(home, OPTIONS);
		const some = freeSpaceOf(
			model,
			layoutOf(model, plan.assignments),
			home.settings.play.fillShare
		);
		expect(some.empty).toBe(some.places - new Set(plan.assignments.map((a) => a.nookId)).size);
		expect(some.share).toBeLessThan(1);
		expect(some.share).toBeGreaterThan(0);
	});
});

describe('names and the order of records', () => {
	const turned = <T>(records: Record<string, T>) =>
		Object.fromEntries(Object.entries(records).reverse());
	it('change nothing of a plan, and do not make it stale', () => {
		fc.assert(
			fc.property(homes, ({ home }) => {
				const renamed = apply(home, (draft) => {
					draft.name = 'Another';
					for (const group of Object.values(draft.groups)) group.name = `${group.name} anew`;
					for (const thing of Object.values(draft.things)) thing.name = `${thing.name}s`;
				});
				const shuffled: Home = {
					...renamed,
					groups: turned(renamed.groups),
					things: turned(renamed.things),
					lots: turned(renamed.lots)
				};
				expect(zoneFingerprint(shuffled)).toBe(zoneFingerprint(home));
				expect(placeHome(shuffled, OPTIONS)).toEqual(placeHome(home, OPTIONS));
			}),
			{ seed: 142, numRuns: 12 }
		);
	});
});

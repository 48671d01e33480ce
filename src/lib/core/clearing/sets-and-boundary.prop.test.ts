import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FIT_MM } from '../model';
import { bareKitchen, withLines } from '../fixtures/tiny-home';
import { apply } from '../fixtures/tiny-home';
import {
	advisedVerdict,
	cutAtBoundary,
	cutPlace,
	joinAlike,
	matchHome,
	matchSets,
	wantingOf,
	type Advice,
	type BoundaryItem,
	type RimPiece
} from '.';

const rims = (prefix: string, max: number) =>
	fc
		.array(
			fc.record({
				shape: fc.constantFrom('round' as const, 'rect' as const),
				widthMm: fc.integer({ min: 100, max: 108 }),
				depthMm: fc.integer({ min: 100, max: 108 })
			}),
			{ maxLength: max }
		)
		.map((list) =>
			list.map((rim, i): RimPiece => ({
				key: `${prefix}${i}`,
				...rim,
				depthMm: rim.shape === 'round' ? rim.widthMm : rim.depthMm
			}))
		);

const misfit = (a: RimPiece, b: RimPiece): number | null => {
	if (a.shape !== b.shape) return null;
	const ways = [
		[a.widthMm - b.widthMm, a.depthMm - b.depthMm],
		[a.widthMm - b.depthMm, a.depthMm - b.widthMm]
	].map((way) => way.map(Math.abs) as [number, number]);
	const fits = ways.filter((way) => Math.max(...way) <= FIT_MM[a.shape]);
	return fits.length ? Math.min(...fits.map(([w, d]) => w + d)) : null;
};

/** Tries every matching: [pairs, total misfit] of the best. */
function brute(
	vessels: readonly RimPiece[],
	lids: readonly RimPiece[],
	at = 0,
	used = 0
): [number, number] {
	if (at === vessels.length) return [0, 0];
	let best = brute(vessels, lids, at + 1, used);
	lids.forEach((lid, l) => {
		const cost = misfit(vessels[at]!, lid);
		if (used & (1 << l) || cost === null) return;
		const [pairs, total] = brute(vessels, lids, at + 1, used | (1 << l));
		const mine: [number, number] = [pairs + 1, total + cost];
		if (mine[0] > best[0] || (mine[0] === best[0] && mine[1] < best[1])) best = mine;
	});
	return best;
}

describe('sets', () => {
	it('makes as many pairs as can be made, with the least misfit: as trying all does', () =>
		fc.assert(
			fc.property(rims('v', 6), rims('l', 6), (vessels, lids) => {
				const match = matchSets(vessels, lids);
				const total = match.pairs.reduce((sum, pair) => sum + pair.misfitMm, 0);
				const [pairs, least] = brute(vessels, lids);
				expect(match.pairs).toHaveLength(pairs);
				// The way round that a lid is turned is judged by its worse side, so the sum may differ by a hair there.
				expect(total).toBeGreaterThanOrEqual(least);
				expect(total).toBeLessThanOrEqual(least + pairs * 2);
				const square = [...vessels, ...lids].every((rim) => rim.shape === 'round');
				if (square) expect(total).toBe(least);
				expect(new Set(match.pairs.map((pair) => pair.lid)).size).toBe(pairs);
				expect(match.pairs.length + match.loneVessels.length).toBe(vessels.length);
				expect(match.pairs.length + match.loneLids.length).toBe(lids.length);
			}),
			{ seed: 308, numRuns: 300 }
		));
	it('tells the near misses of what is left alone', () => {
		const match = matchSets(
			[{ key: 'box', shape: 'rect', widthMm: 200, depthMm: 140 }],
			[
				{ key: 'off 5', shape: 'rect', widthMm: 145, depthMm: 200 },
				{ key: 'far', shape: 'rect', widthMm: 120, depthMm: 80 },
				{ key: 'round', shape: 'round', widthMm: 200, depthMm: 200 }
			]
		);
		expect(match).toMatchObject({
			pairs: [],
			loneVessels: ['box'],
			nearMisses: [{ lid: 'off 5', offMm: 5 }]
		});
	});
});

const items = fc
	.array(
		fc.record({
			value: fc.integer({ min: 0, max: 30 }),
			volumeMl: fc.integer({ min: 0, max: 900 }),
			runMm: fc.integer({ min: 0, max: 400 })
		}),
		{ maxLength: 12 }
	)
	.map((list) => list.map((item, i): BoundaryItem => ({ key: `i${i}`, ...item })));
const limits = fc.record({
	volumeMl: fc.integer({ min: 0, max: 3000 }),
	runMm: fc.integer({ min: 0, max: 1500 })
});

describe('the boundary', () => {
	it('keeps what is worth most, as trying all choices does, and never more than fits', () =>
		fc.assert(
			fc.property(items, limits, (list, limit) => {
				const cut = cutAtBoundary(list, limit);
				let best = 0;
				for (let mask = 0; mask < 1 << list.length; mask++) {
					const chosen = list.filter((_, i) => mask & (1 << i));
					const sum = (of: (item: BoundaryItem) => number) =>
						chosen.reduce((n, item) => n + of(item), 0);
					if (sum((i) => i.volumeMl) <= limit.volumeMl && sum((i) => i.runMm) <= limit.runMm)
						best = Math.max(
							best,
							sum((i) => i.value)
						);
				}
				expect(cut.status).toBe('optimal');
				expect(cut.value).toBeCloseTo(best, 6);
				expect(cut.volumeMl).toBeLessThanOrEqual(limit.volumeMl);
				expect(cut.runMm).toBeLessThanOrEqual(limit.runMm);
				expect(cut.bound).toBeGreaterThanOrEqual(best - 1e-6);
			}),
			{ seed: 309, numRuns: 150 }
		));
	it('costs something or nothing to be told what stays', () =>
		fc.assert(
			fc.property(items, limits, fc.nat(11), (list, limit, at) => {
				const key = `i${at}`;
				const item = list.find((one) => one.key === key);
				if (!item || item.volumeMl > limit.volumeMl || item.runMm > limit.runMm) return;
				const free = cutAtBoundary(list, limit);
				const told = cutAtBoundary(list, limit, { stay: new Set([key]) });
				const gone = cutAtBoundary(list, limit, { go: new Set([key]) });
				expect(told.keep).toContain(key);
				expect(gone.keep).not.toContain(key);
				expect(Math.max(told.value, gone.value)).toBeCloseTo(free.value, 6);
			}),
			{ seed: 310, numRuns: 150 }
		));
	it('proves its answer for 60 things, even of much the same worth for their size', () => {
		for (const spread of [8, 40, 400]) {
			let seed = 7 + spread;
			const next = (max: number) => (seed = (seed * 48271) % 2147483647) % max;
			const list = Array.from({ length: 60 }, (_, i): BoundaryItem => {
				const volumeMl = 200 + next(1800);
				const runMm = 30 + next(200);
				return { key: `k${i}`, volumeMl, runMm, value: volumeMl / 100 + runMm / 10 + next(spread) };
			});
			const cut = cutAtBoundary(list, { volumeMl: 25_000, runMm: 3600 });
			expect(cut.status).toBe('optimal');
		}
	});
	it('says so when the steps run out, with a bound that still holds', () => {
		const list = Array.from({ length: 40 }, (_, i): BoundaryItem => ({
			key: `k${i}`,
			value: 10 + (i % 7),
			volumeMl: 100 + ((i * 37) % 91),
			runMm: 50 + ((i * 53) % 67)
		}));
		const whole = cutAtBoundary(list, { volumeMl: 2500, runMm: 1500 });
		const short = cutAtBoundary(list, { volumeMl: 2500, runMm: 1500 }, { steps: 30 });
		expect(short.status).toBe('limit');
		expect(short.value).toBeLessThanOrEqual(whole.value);
		expect(short.bound).toBeGreaterThanOrEqual(whole.value);
	});
});

describe('sets in a place', () => {
	const nookId = Object.keys(bareKitchen().nooks)[1]!;
	const home = apply(
		withLines(bareKitchen(), ['2 keeper', '3 cover', 'ladle'], nookId),
		(draft) => {
			for (const thing of Object.values(draft.things)) {
				if (thing.name === 'keeper')
					thing.rim = { part: 'vessel', shape: 'round', widthMm: 120, depthMm: 120 };
				if (thing.name === 'cover')
					thing.rim = { part: 'lid', shape: 'round', widthMm: 121, depthMm: 121 };
			}
		}
	);
	it('count a box with its lid as one, and an orphan as nothing', () => {
		expect(matchHome(home)).toMatchObject({ pairs: { length: 2 }, loneLids: { length: 1 } });
		const wanting = wantingOf(home, nookId);
		expect(wanting.map((item) => item.name).sort()).toEqual([
			'cover',
			'keeper with its lid',
			'keeper with its lid',
			'ladle'
		]);
		expect(wanting.find((item) => item.name === 'cover')!.value).toBe(0);
	});
	it('are cut at what the place holds', () => {
		const cut = cutPlace(home, nookId, { stay: new Set(), go: new Set() })!;
		expect(cut.cut.keep).toHaveLength(4);
		const small = apply(home, (draft) => void (draft.nooks[nookId]!.inside.widthMm = 6));
		const full = cutPlace(small, nookId, { stay: new Set(), go: new Set() })!;
		expect(full.cut.keep.length).toBeLessThan(4);
		const blind = apply(home, (draft) => void (draft.nooks[nookId]!.inside.widthMm = null));
		expect(cutPlace(blind, nookId, { stay: new Set(), go: new Set() })).toBeNull();
	});
});

describe('pairs of like pieces', () => {
	it('stand in one line each, and none is lost', () => {
		fc.assert(
			fc.property(fc.array(fc.tuple(fc.nat(3), fc.nat(3))), (kinds) => {
				const pairs = kinds.map(([v, l], i) => ({
					vessel: `${v}#v${i}`,
					lid: `${l}#l${i}`,
					misfitMm: 0
				}));
				const lines = joinAlike(pairs, (key) => key.split('#')[0]!);
				expect(lines.reduce((sum, { count }) => sum + count, 0)).toBe(pairs.length);
				expect(lines).toHaveLength(new Set(kinds.map(String)).size);
			}),
			{ seed: 91 }
		);
	});
});

describe('what advice comes to', () => {
	const found = {
		code: 'bulging',
		verdict: 'discard',
		strength: 3,
		facts: {}
	} as unknown as Advice;
	it('is the first piece of it, and to keep where there is none or it was overruled before', () => {
		expect(advisedVerdict([found])).toBe('discard');
		expect(advisedVerdict([])).toBe('keep');
		const overruled = { verdict: 'keep', reason: '', on: '2026-01-01' } as const;
		expect(advisedVerdict([{ ...found, overruled }])).toBe('keep');
	});
});

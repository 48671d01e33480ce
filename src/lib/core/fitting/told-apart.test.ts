import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Arrangement } from './fit';
import { lacksOf, priced, toldApart } from './told-apart';

const arrangementArb = fc
	.record({
		costMinor: fc.nat(6),
		discomfort: fc.nat(6),
		freeTenths: fc.nat(10),
		name: fc.constantFrom('house-first', 'calm', 'roomy')
	})
	.map(
		({ freeTenths, ...given }) =>
			({
				...given,
				freeShare: freeTenths / 10,
				leftOver: [],
				placements: []
			}) as unknown as Arrangement
	);
const of = (costMinor: number, discomfort: number, freeShare: number): Arrangement =>
	({
		name: 'calm',
		costMinor,
		discomfort,
		freeShare,
		leftOver: [],
		placements: []
	}) as unknown as Arrangement;
const named = (all: readonly Arrangement[]) =>
	toldApart(all).map(({ name, costMinor }) => `${name} ${costMinor}`);

describe('arrangements side by side', () => {
	it('are named by what they are, whatever they were looked for as', () => {
		fc.assert(
			fc.property(
				fc.array(arrangementArb, { minLength: 1, maxLength: 4 }),
				fc.boolean(),
				(all, isHome) => {
					const told = toldApart(all, isHome ? all[0] : undefined);
					const by = new Map(told.map((one) => [one.name, one]));
					expect(by.size).toBe(told.length);
					if (isHome) expect(told[0]).toEqual({ ...all[0]!, name: told[0]!.name });
					const cheapest = by.get('house-first')!;
					for (const one of told) expect(cheapest.costMinor).toBeLessThanOrEqual(one.costMinor);
					const [calm, roomy] = [by.get('calm'), by.get('roomy')];
					if (calm) expect(lacksOf(calm)).toBeLessThan(lacksOf(cheapest));
					if (roomy) expect(roomy.freeShare).toBeGreaterThan(cheapest.freeShare);
					// None is shown that another outdoes in everything.
					for (const one of told)
						for (const other of isHome ? told : all) {
							const sides = [
								other.costMinor - one.costMinor,
								lacksOf(other) - lacksOf(one),
								one.freeShare - other.freeShare
							];
							expect(sides.every((each) => each <= 0) && sides.some((each) => each < 0)).toBe(
								false
							);
						}
				}
			),
			{ seed: 14, numRuns: 500 }
		);
	});
	it('never call the dearer one house first, nor roomy what leaves less floor free', () => {
		expect(named([of(630, 40, 0.3), of(320, 90, 0.2)])).toEqual(['calm 630', 'house-first 320']);
		expect(named([of(320, 90, 0.2), of(630, 40, 0.3)])).toEqual(['house-first 320', 'calm 630']);
		expect(named([of(100, 90, 0.5), of(200, 50, 0.45), of(300, 20, 0.4)])).toEqual([
			'house-first 100',
			'calm 300'
		]);
	});
	it('leave out what another outdoes in everything; of one that is chosen, what would outdo it', () => {
		const [dear, cheap] = [of(200, 60, 0.4), of(100, 50, 0.5)];
		expect(named([cheap, dear])).toEqual(['house-first 100']);
		expect(named([dear, cheap])).toEqual(['house-first 100']);
		expect(toldApart([dear, cheap], dear)).toEqual([{ ...dear, name: 'house-first' }]);
	});
	it('lack most where something is left over', () => {
		const short = { ...of(100, 10, 0.5), leftOver: [{ volumeMl: 500 }] } as unknown as Arrangement;
		expect(named([of(300, 40, 0.3), short])).toEqual(['calm 300', 'house-first 100']);
	});
	it('are priced by what the house still has', () => {
		const bins = { ...of(0, 0, 0), placements: [{ kindId: 'bin' }, { kindId: 'bin' }] };
		const { toBuy, costMinor } = priced(bins as unknown as Arrangement, new Map([['bin', 1]]), {
			bin: { priceMinor: 250, soldBy: 1 }
		});
		expect(toBuy).toEqual([{ kindId: 'bin', count: 1 }]);
		expect(costMinor).toBe(250);
		const packs = priced(bins as unknown as Arrangement, new Map([['bin', 1]]), {
			bin: { priceMinor: 250, soldBy: 4 }
		});
		expect(packs.toBuy).toEqual([{ kindId: 'bin', count: 4 }]);
		expect(packs.costMinor).toBe(1000);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Arrangement } from './fit';
import { priced, toldApart } from './told-apart';

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
			fc.property(fc.array(arrangementArb, { minLength: 1, maxLength: 4 }), (all) => {
				const told = toldApart(all);
				const by = new Map(told.map((one) => [one.name, one]));
				expect(by.size).toBe(told.length);
				expect(told[0]).toEqual({ ...all[0]!, name: told[0]!.name });
				const cheapest = by.get('house-first')!;
				for (const one of told) expect(cheapest.costMinor).toBeLessThanOrEqual(one.costMinor);
				const calm = by.get('calm');
				if (calm) expect(calm.discomfort).toBeLessThan(cheapest.discomfort);
				// Behind the first, none is shown that another outdoes in everything.
				for (const one of told.slice(1))
					for (const other of all) {
						const isNoWorse =
							other.costMinor <= one.costMinor &&
							other.discomfort <= one.discomfort &&
							other.freeShare >= one.freeShare;
						const isSame =
							other.costMinor === one.costMinor &&
							other.discomfort === one.discomfort &&
							other.freeShare === one.freeShare;
						expect(isNoWorse && !isSame).toBe(false);
					}
			}),
			{ seed: 14, numRuns: 500 }
		);
	});
	it('never call the dearer one house first', () => {
		expect(named([of(630, 40, 0.3), of(320, 90, 0.2)])).toEqual(['calm 630', 'house-first 320']);
		expect(named([of(320, 90, 0.2), of(630, 40, 0.3)])).toEqual(['house-first 320', 'calm 630']);
	});
	it('leave out what another outdoes in everything, but for the one that is chosen', () => {
		expect(named([of(100, 50, 0.5), of(200, 60, 0.4)])).toEqual(['house-first 100']);
		expect(named([of(200, 60, 0.4), of(100, 50, 0.5)])).toEqual(['roomy 200', 'house-first 100']);
	});
	it('are priced by what the house still has', () => {
		const bins = { ...of(0, 0, 0), placements: [{ kindId: 'bin' }, { kindId: 'bin' }] };
		const { toBuy, costMinor } = priced(bins as unknown as Arrangement, new Map([['bin', 1]]), {
			bin: { priceMinor: 250 }
		});
		expect(toBuy).toEqual([{ kindId: 'bin', count: 1 }]);
		expect(costMinor).toBe(250);
	});
});

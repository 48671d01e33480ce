import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatQuantity, parseQuantity, volumeWays } from '.';

describe('quantities', () => {
	it.each([
		['400g', 400, 'g'],
		['1,5 kg', 1500, 'g'],
		['1 1/2 cups', 355, 'ml'],
		['3/4 pint', 426, 'ml'],
		['12 fl oz', 355, 'ml'],
		['2 lbs', 907, 'g'],
		['75cl', 750, 'ml'],
		['1 quart', 946, 'ml'],
		['2 litres', 2000, 'ml']
	])('%s is %d %s', (text, value, unit) =>
		expect(parseQuantity(text)).toEqual({ ok: true, quantity: { value, unit } })
	);
	it.each(['', '400', 'g', '400gg', 'two kg', '1/0 kg', '1.2.3 kg'])('“%s” is none', (text) =>
		expect(parseQuantity(text).ok).toBe(false)
	);
	it.each(['0 g', '9999999 kg'])('%s is nonsense', (text) =>
		expect(parseQuantity(text)).toMatchObject({ code: 'quantity-nonsense' })
	);
	it('reads back what it writes', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 1_000_000 }),
				fc.constantFrom('g' as const, 'ml' as const),
				(value, unit) => {
					expect(parseQuantity(formatQuantity({ value, unit }))).toEqual({
						ok: true,
						quantity: { value, unit }
					});
				}
			),
			{ seed: 301 }
		));
	it('says a volume in four ways', () =>
		expect(volumeWays(1000)).toEqual({
			metric: '1 l',
			cups: '4.2 cups',
			flOz: '34 fl oz',
			quarts: '1.06 qt'
		}));
});

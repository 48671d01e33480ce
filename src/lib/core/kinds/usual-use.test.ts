import { describe, expect, it } from 'vitest';
import { categoryOf } from '../model';
import { usualUse } from './usual-use';

describe('how often a thing is usually used', () => {
	it.each([
		['fondue set', 'kitchen.appliances', 'rarely'],
		['empty preserving jars', 'kitchen.food-boxes', 'seasonal'],
		['jam funnels', 'kitchen.tools', 'seasonal'],
		['toaster', 'kitchen.appliances', 'daily'],
		['wine glasses', 'kitchen.glasses', 'monthly'],
		['glass', 'kitchen.glasses', 'several-daily']
	])('%s: by what it is called', (name, category, use) =>
		expect(usualUse(name, category)).toBe(use)
	);
	it('goes by its kind where its name says nothing of it', () =>
		expect(usualUse('sieve', 'kitchen.tools')).toBe(categoryOf('kitchen.tools').use));
	it('of food goes by its kind, whatever it is cooked in', () =>
		expect(usualUse('chicken casserole', 'food.deli')).toBe(categoryOf('food.deli').use));
	it('is by the longest name: what goes into a jam pan is no pan', () =>
		expect(usualUse('large preserving pan', 'kitchen.pots')).toBe('seasonal'));
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contentsMl, cupDensity } from '../core/fitting';
import { bareKitchen, withLines } from '../core/fixtures/tiny-home';
import { DeskStore } from './desk-store';
import { WeighDesk } from './weigh-desk.svelte';

function begin() {
	const kitchen = bareKitchen();
	const home = withLines(kitchen, ['1 plain flour 1 kg'], Object.keys(kitchen.nooks)[0]!);
	const store = new DeskStore(home);
	const [flour] = Object.values(home.things);
	return { store, id: flour!.id, desk: new WeighDesk(store.get) };
}
describe('a cup that is weighed', () => {
	it('says how much room a pack takes, until it goes by the usual again', () => {
		const { store, desk, id } = begin();
		const usual = contentsMl(store.home.things[id]!);
		desk.cup = '200';
		desk.weight = '160 g';
		expect(desk.weigh(id)).toBe(true);
		expect(store.home.things[id]!.densityGPerMl).toBe(0.8);
		expect(contentsMl(store.home.things[id]!)).toBe(1250);
		expect([desk.isWeighed(id), desk.fills(id), desk.weight]).toEqual([true, '1.3 l', '']);
		desk.forget(id);
		expect(contentsMl(store.home.things[id]!)).toBe(usual);
		expect(desk.isWeighed(id)).toBe(false);
	});
	it('refuses what cannot be, says why, and changes nothing', () => {
		const { store, desk, id } = begin();
		for (const [cup, weight, words] of [
			['250 ml', '', /without the cup/],
			['a cup', '140 g', /without the cup/],
			['250 ml', '1.4 kg', /heavier than anything.*Was the cup weighed/],
			['250 ml', '1 g', /lighter than anything/],
			['250 g', '140 ml', /without the cup/]
		] as const) {
			[desk.cup, desk.weight] = [cup, weight];
			expect(desk.weigh(id), `${cup} ${weight}`).toBe(false);
			expect(desk.wrong).toMatch(words);
		}
		expect(store.labels).toEqual([]);
		desk.weigh('nothing');
		expect(store.labels).toEqual([]);
	});
	it('is read the same whatever the cup: twice the cup with twice the weight', () => {
		fc.assert(
			fc.property(fc.integer({ min: 50, max: 500 }), fc.integer({ min: 20, max: 400 }), (ml, g) => {
				expect(cupDensity(2 * ml, 2 * g)).toEqual(cupDensity(ml, g));
			})
		);
	});
});

import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, bareKitchen, NOW, withLines } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { keepsBetter, PRODUCE, produceOf } from './produce';

const kitchen = bareKitchen();
const placeOf = (kind: string) =>
	Object.values(kitchen.nooks).find((nook) => nook.kind === kind)!.id as string;
const shelf = placeOf('shelf');
const fridge = placeOf('fridge-shelf');
const found = (home: Home) =>
	keepsBetter(home).map((each) => {
		const by =
			each.code === 'beside' ? [each.neighbour] : each.code === 'spoils' ? each.others : [];
		return [`${each.thing.name}: ${each.code}`, ...by.map(({ name }) => name)].join(' ');
	});
const fresh = (name: string, category = 'food.salad') => produceOf({ name, category })?.name;

describe('where fresh things keep best', () => {
	it.each([
		['bananas', 'food.fruit', 'bananas'],
		['sweet potatoes', 'food.potatoes', 'sweet potatoes'],
		['new potatoes', 'food.potatoes', 'potatoes'],
		['spring onions', 'food.onions', 'spring onions'],
		['brown onions', 'food.onions', 'onions'],
		['cherry tomatoes', 'food.salad', 'tomatoes'],
		['sliced bread loaf', 'food.bread', 'bread']
	])('knows %s', (name, category, row) => expect(fresh(name, category)).toBe(row));
	it.each([
		['apple puree', 'food.cans-fruit'],
		['dried onions', 'food.onions'],
		['pineapple pieces', 'food.fruit-tins'],
		['breadcrumbs', 'food.bread'],
		['grapefruit juice', 'food.drinks'],
		['frying pan', 'kitchen.pans']
	])('says nothing of %s', (name, category) => expect(fresh(name, category)).toBeUndefined());
	it('has each word once, and what is cut keeps less long than what is whole', () => {
		const words = PRODUCE.flatMap((row) => row.words);
		expect(new Set(words).size).toBe(words.length);
		for (const { cutDays, wholeDays } of PRODUCE)
			if (cutDays !== null) expect(cutDays).toBeLessThanOrEqual(wholeDays);
	});
	it('says what is too cold, too warm, or in the door', () => {
		expect(found(withLines(kitchen, ['6 bananas', '1 potatoes'], fridge))).toEqual([
			'bananas: too-cold',
			'potatoes: too-cold'
		]);
		expect(found(withLines(kitchen, ['1 lettuce', '6 bananas'], shelf))).toEqual([
			'lettuce: too-warm'
		]);
		const door = placeOf('fridge-door');
		expect(found(withLines(kitchen, ['6 eggs'], door))).toEqual(['eggs: in-the-door']);
		expect(found(withLines(kitchen, ['6 eggs'], fridge))).toEqual([]);
	});
	it('keeps apart what ripens and what is ripened, in one place only', () => {
		const pair = ['1 apples', '1 carrots'];
		expect(found(withLines(kitchen, pair, fridge))).toEqual(['carrots: beside apples']);
		const apart = withLines(withLines(kitchen, ['1 carrots'], fridge), ['1 apples'], shelf);
		expect(found(apart)).toEqual([]);
		expect(found(withLines(kitchen, ['1 onions', '1 potatoes'], shelf))).toEqual([
			'potatoes: beside onions'
		]);
		// A bunch does not spoil itself.
		expect(found(withLines(kitchen, ['1 bananas', '1 ripe bananas'], shelf))).toEqual([]);
	});
	it('moves the one that spoils several, and not all of them', () => {
		const drawer = ['4 tomatoes', '1 lettuce', '6 carrots', '1 broccoli'];
		expect(found(withLines(kitchen, drawer, fridge))).toEqual([
			'tomatoes: spoils lettuce carrots broccoli'
		]);
		// Once that has gone, another that spoils one is said; what is too cold goes anyway.
		expect(found(withLines(kitchen, ['1 apples', ...drawer.slice(2, 3)], fridge))).toEqual([
			'carrots: beside apples'
		]);
		expect(found(withLines(kitchen, ['6 bananas', '1 lettuce'], fridge))).toEqual([
			'bananas: too-cold'
		]);
	});
	it('asks no cold of a home without a fridge, and leaves frozen things alone', () => {
		const none = apply(withLines(kitchen, ['1 lettuce'], shelf), (draft) => {
			for (const nook of Object.values(draft.nooks))
				if (nook.kind.startsWith('fridge') || nook.kind === 'crisper') nook.kind = 'shelf';
		});
		expect(found(none)).toEqual([]);
		const frozen = apply(withLines(kitchen, ['1 lettuce'], shelf), (draft) => {
			for (const lot of Object.values(draft.lots)) lot.dates.frozenOn = '2026-01-01';
		});
		expect(found(frozen)).toEqual([]);
	});
	it('finds the fruit bowl and the onions of the demo home', () => {
		const all = found(demoHome(NOW));
		expect(all).toContain('brown onions: spoils potatoes sweet potatoes');
		expect(all.length).toBeLessThan(12);
	});
});

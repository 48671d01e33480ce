import { describe, expect, it } from 'vitest';
import { bareKitchen, NOW, withLines } from '../fixtures/tiny-home';
import { pieceVolumeMl, type Home } from '../model';
import { climateOf } from '../survey';
import { inStock, usualCount } from './pack-counts';
import { parseIntake } from './parse-intake';

const kitchen = bareKitchen();
const nookOf = (climate: string) =>
	Object.values(kitchen.nooks).find((nook) => climateOf(nook) === climate)!.id;
const [fridge, freezer, shelf] = ['chilled', 'frozen', 'room'].map(nookOf);
const typed = (line: string, nookId = shelf, home: Home = kitchen) => {
	const after = withLines(home, [line], nookId);
	const lot = Object.values(after.lots).at(-1)!;
	return { lot, thing: after.things[lot.thingId]!, home: after };
};
const read = (line: string) => parseIntake(line, { order: 'dmy', today: NOW.slice(0, 10) }).line;

describe('counts of what comes many to a pack', () => {
	it.each([
		['80 tea bags', 1],
		['240 fennel tea bags', 3],
		['2 tea bags', 2],
		['2 boxes of tea bags', 2],
		['50 bin liners', 3],
		['30 balloons', 1],
		['ibuprofen 30 tablets', 2],
		['6 sausages', 1],
		['frozen parathas x10', 2],
		['12 eggs', 12],
		['box of 12 eggs', 12],
		['6-pack beer', 6],
		['9 toilet rolls', 9],
		['2 packs of nappies', 60],
		['9 pack toilet rolls', 9],
		['vanilla sugar 10 sachets', 1],
		['12 sachets cat food', 12],
		['jar labels 100', 2],
		['milk filters 200', 3],
		['paper doilies 100', 2],
		['40 seed packets', 40],
		['8 frozen bread rolls', 2],
		['6 tins tomatoes', 6]
	])('%s: %d in stock', (line, count) => expect(inStock(read(line))).toBe(count));
	it('are a few for a plural without a number, and one pack for what comes in packs', () => {
		expect(['red onions', 'onion', 'eggs', 'forks', 'crisps', 'potatoes'].map(usualCount)).toEqual([
			6,
			null,
			6,
			4,
			null,
			null
		]);
		expect(typed('onions').lot.count).toBe(6);
		expect(typed('onions 1kg').lot.count).toBe(1);
		expect(typed('crisps').lot.count).toBe(1);
	});
});

describe('what a place says of what is typed in there', () => {
	it('is frozen in the freezer, by its kind or by its name', () => {
		expect(typed('1 dumplings', freezer).thing).toMatchObject({ category: 'food.frozen-meals' });
		expect(typed('1 dumplings', fridge).thing.category).toBe('food.deli');
		// Bread that is known fresh is another thing frozen.
		const { home } = typed('1 bread');
		expect(typed('2 bread', freezer, home).thing).toMatchObject({ needs: ['frozen'] });
		expect(typed('1 vodka', freezer).thing.needs).not.toContain('frozen');
		expect(typed('2 ice packs', freezer).thing.needs).not.toContain('frozen');
	});
	it('is an open jar in the fridge, and a drink that is wanted cold', () => {
		expect(typed('1 ketchup', fridge).thing.category).toBe('food.fridge-jars');
		expect(typed('1 ketchup').thing.category).toBe('food.sauces');
		expect(typed('4 beer', fridge).thing.needs).toContain('chilled');
		expect(typed('4 beer').thing.needs).not.toContain('chilled');
	});
	it('is kept cold once it is open, or is soup and coffee that stand cold', () => {
		for (const line of ['olives', 'anchovies in jar', 'opened passata', 'capers'])
			expect(typed(line, fridge).thing.category, line).toBe('food.fridge-jars');
		expect(typed('pot of soup', fridge).thing.category).toBe('food.deli');
		expect(typed('2 tins soup').thing.category).toBe('food.soups');
		for (const line of ['opened baby food jar', '4 iced coffee', '1 rice open'])
			expect(typed(line, fridge).thing.needs, line).toContain('chilled');
		expect(typed('1 rice', fridge).thing.needs).not.toContain('chilled');
	});
	it.each([
		['opened baby food jar', '6 baby food jar', 'open'],
		['1 rice open', '2 rice', 'open'],
		['4 beer', '12 beer', 'cold']
	])(
		'%s in the fridge is another thing than its spares, whichever is typed first',
		(cold, spare, word) => {
			const needs = (home: Home) =>
				Object.values(home.lots).map((lot) => {
					const { name, needs } = home.things[lot.thingId]!;
					return [name.split(', ')[1] ?? '', needs.includes('chilled')];
				});
			const coldFirst = typed(spare, shelf, typed(cold, fridge).home).home;
			expect(needs(coldFirst)).toEqual([
				['', true],
				['spare', false]
			]);
			const spareFirst = typed(cold, fridge, typed(spare).home).home;
			expect(needs(spareFirst)).toEqual([
				['', false],
				[word, true]
			]);
			// Booked again it is the same.
			expect(Object.keys(typed(cold, fridge, spareFirst).home.things)).toHaveLength(2);
			expect(Object.keys(typed(spare, shelf, coldFirst).home.things)).toHaveLength(2);
		}
	);
	it('is a herb fresh in the fridge and dried in the rack, and an egg in whatever box', () => {
		expect(typed('dill', fridge).thing.category).toBe('food.salad');
		expect(typed('dill').thing.category).toBe('food.spices');
		expect(typed('2 egg cartons', fridge).thing.category).toBe('food.eggs');
		expect(typed('egg cartons 30').thing.category).toBe('kitchen.food-boxes');
	});
	it('is another thing than its spare in the cupboard, whichever is typed first', () => {
		const spareLast = typed('2 ketchup', shelf, typed('1 ketchup', fridge).home);
		expect(spareLast.thing).toMatchObject({ name: 'ketchup, spare', category: 'food.sauces' });
		const openLast = typed('1 ketchup', fridge, typed('2 ketchup').home);
		expect(openLast.thing).toMatchObject({ name: 'ketchup, open', category: 'food.fridge-jars' });
		// Booked again it is the same.
		const again = typed('1 ketchup', shelf, spareLast.home);
		expect(again.thing.id).toBe(spareLast.thing.id);
	});
	it('is cutlery also where the forks come after it, unless it was said to cut', () => {
		const { home } = typed('6 forks', shelf, typed('6 knives').home);
		const knives = Object.values(home.things).find(({ name }) => name === 'knives')!;
		expect(knives).toMatchObject({ category: 'kitchen.cutlery', hazards: [] });
	});
	it('is cutlery beside forks, and else a knife that cuts', () => {
		const drawer = typed('6 forks').home;
		expect(typed('6 knives', shelf, drawer).thing).toMatchObject({
			category: 'kitchen.cutlery',
			hazards: []
		});
		expect(typed('6 knives').thing.hazards).toContain('sharp');
		expect(typed('2 bread knives', shelf, drawer).thing.hazards).toContain('sharp');
	});
});

describe('usual sizes', () => {
	it.each([
		['ramen bowls', 165],
		['baby towels', 270],
		['tumblers', 75]
	])('%s are as wide as what their name ends in: %d mm', (name, mm) =>
		expect(typed(`4 ${name}`).thing.piece.widthMm).toBe(mm)
	);
	it.each([
		['cool bags 2', 2, 'cool bags', 'kitchen.lunch'],
		['roasting tins 3', 3, 'roasting tins', 'kitchen.bakeware'],
		['bread tins 2', 2, 'bread tins', 'kitchen.bakeware'],
		['ice trays 3', 3, 'ice trays', 'kitchen.tools'],
		['sleeping bags 2', 2, 'sleeping bags', 'home.camping'],
		['watering cans 2', 2, 'watering cans', 'home.garden'],
		['honey jars 3', 3, 'honey', 'food.spreads'],
		['tuna tins 3', 3, 'tuna', 'food.cans-fish'],
		['paint tins 3', 3, 'paint', 'home.fuel']
	])('%s: %d %s', (line, count, name, category) => {
		const { lot, thing } = typed(line);
		expect([lot.count, thing.name, thing.category]).toEqual([count, name, category]);
	});
	it.each([
		['rice 10kg', 11, 15],
		['porridge oats 1kg', 2, 3.5],
		['dog food 12kg', 15, 36],
		['semi-skimmed milk 2l', 2, 2.6],
		['water canister 5l', 5, 7.5]
	])('%s takes its litres: %d to %d', (line, least, most) => {
		const litres = pieceVolumeMl(typed(line).thing) / 1000;
		expect(litres).toBeGreaterThan(least);
		expect(litres).toBeLessThan(most);
	});
	it.each([
		['bin bags 35l', 'kitchen.waste', 200, 1],
		['freezer bags 3l', 'kitchen.foil', 150, 1],
		['brewing kettle 30l', 'kitchen.appliances', 4000, 36],
		['dumbbells 5kg', 'home.camping', 5000, 10]
	])('%s: a size that says what goes in, or how heavy it is', (line, category, mostG, litres) => {
		const { thing } = typed(line);
		expect(thing.category).toBe(category);
		expect(thing.massG).toBeLessThanOrEqual(mostG);
		expect(pieceVolumeMl(thing) / 1000).toBeLessThan(litres);
	});
	it('what a drink is drunk from is no drink, and a bottle capper no bottle', () => {
		expect(typed('6 beer mugs').thing.category).toBe('kitchen.glasses');
		expect(typed('bottle capper').thing.name).toBe('bottle capper');
		expect(typed('rolled oats (gluten free) 1kg').thing.category).toBe('food.breakfast');
		expect(typed('coffee service for 12').lot.count).toBe(1);
	});
	it.each([
		['tin salmon', 'food.cans-fish'],
		['2 tins salmon', 'food.cans-fish'],
		['steriliser tablets', 'kitchen.bleach'],
		['vinegar cleaning 5l', 'kitchen.acids'],
		['kitchen shears', 'kitchen.knives'],
		['oyster grit 2kg', 'food.pet'],
		['24 jars tomatoes home canned', 'food.cans-veg'],
		['home canned peaches', 'food.cans-fruit'],
		['salmon', 'food.raw-meat'],
		['heart pills', 'bathroom.medicines'],
		['fish oil capsules', 'bathroom.medicines'],
		['pint of milk', 'food.dairy']
	])('%s is of %s', (line, category) => expect(typed(line).thing.category).toBe(category));
	it('one of a measure, and half a dozen, are numbers', () => {
		expect(read('pint of milk')).toMatchObject({ name: 'milk', count: 1 });
		expect(read('pint of milk').size!.value).toBeGreaterThan(450);
		expect(read('half dozen eggs')).toMatchObject({ name: 'eggs', count: 6 });
		expect(['magnifying glass', 'spring onions', 'measuring cups'].map(usualCount)).toEqual([
			null,
			1,
			1
		]);
	});
	it('tablets for the dishwasher are no medicine, however they are packed', () => {
		for (const line of [
			'1 box dishwasher tablets',
			'40 dishwasher tablets',
			'box of dishwasher tablets'
		])
			expect(typed(line).thing).toMatchObject({
				category: 'kitchen.cleaning',
				name: 'dishwasher tablets'
			});
		expect(typed('1 box grater').thing.name).toBe('box grater');
		expect(read('2 pint glasses')).toMatchObject({ count: 2, name: 'pint glasses', size: null });
	});
});

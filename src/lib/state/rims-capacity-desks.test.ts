import { describe, expect, it } from 'vitest';
import { demoHome } from '../data/demo';
import { bareKitchen, counter, NOW, withLines } from '../core/fixtures/tiny-home';
import { parseQuantity, type Home } from '../core/model';
import { CapacityDesk } from './capacity-desk.svelte';
import { DeskStore } from './desk-store';
import { HiddenDesk } from './hidden-desk.svelte';
import { RimsDesk } from './rims-desk.svelte';

describe('boxes and their lids', () => {
	const home = withLines(bareKitchen(), ['2 food boxes', '3 lids', '1 penne']);
	const desk = (from: Home = home) => {
		const store = new DeskStore(from);
		return { store, rims: new RimsDesk({ store: store.get, newId: counter('r'), now: () => NOW }) };
	};
	const thing = ({ rims }: ReturnType<typeof desk>, name: RegExp) =>
		rims.things.find((each) => name.test(each.name))!;
	it('asks for the rims of what comes with a lid, of nothing else', () => {
		const { rims } = desk();
		expect(rims.things.map(({ name }) => name).sort()).toEqual(['food boxes', 'lids']);
		expect([rims.pairs, rims.orphans]).toEqual([[], []]);
	});
	it('matches what was measured, and tells what is alone', () => {
		const at = desk();
		at.rims.setRim(thing(at, /boxes/), { widthMm: 150 });
		at.rims.setRim(thing(at, /lids/), { widthMm: 150 });
		expect(thing(at, /lids/).rim).toMatchObject({ part: 'lid', shape: 'round', depthMm: 150 });
		expect(thing(at, /boxes/).rim).toMatchObject({ part: 'vessel' });
		expect(at.rims.pairs.reduce((sum, { count }) => sum + count, 0)).toBe(2);
		expect(at.rims.orphans).toHaveLength(1);
		expect(at.rims.rimText(at.rims.pieceOf(at.rims.orphans[0]!)!)).toBe('⌀ 150 mm');
	});
	it('says what nearly fits, by how much it is off', () => {
		const at = desk();
		at.rims.setRim(thing(at, /boxes/), { widthMm: 150 });
		at.rims.setRim(thing(at, /lids/), { widthMm: 155 });
		expect(at.rims.pairs).toEqual([]);
		expect(at.rims.orphans).toHaveLength(5);
		const [box] = at.rims.orphans;
		expect(at.rims.missesOf(box!)).toContainEqual({ name: 'lids', offMm: 5 });
	});
	it('lets one go and keeps the rest', () => {
		const at = desk();
		at.rims.setRim(thing(at, /lids/), { widthMm: 90 });
		at.rims.recycle(at.rims.orphans[0]!);
		expect(at.rims.orphans).toHaveLength(2);
		at.rims.recycle('nobody');
		expect(at.store.labels).toHaveLength(2);
	});
});

describe('what a container holds', () => {
	it('is found by measures, each shape by its own', () => {
		const desk = new CapacityDesk();
		expect(desk.ml).toBe(0);
		desk.mm = { ...desk.mm, width: 100, depth: 100, height: 100 };
		expect(desk.ml).toBeCloseTo(1000, 6);
		desk.kind = 'round';
		expect(desk.ml).toBe(0);
		expect(desk.fields.map(([key]) => key)).toEqual(['diameter', 'height']);
		desk.mm.diameter = 100;
		expect(desk.ml).toBe(Math.round(250 * Math.PI));
		desk.kind = 'tapered';
		desk.mm = { ...desk.mm, baseWidth: 100, baseDepth: 100 };
		expect(desk.ml).toBeCloseTo(1000, 6);
	});
	it('is found by water, once both weights can be read', () => {
		const desk = new CapacityDesk();
		desk.way = 'water';
		desk.full = '1.45 kg';
		expect(desk.ml).toBe(0);
		desk.empty = '450 g';
		expect([desk.ml, desk.wrong]).toEqual([1000, '']);
		desk.empty = '450 ml';
		expect(desk.ml).toBe(0);
		expect(desk.wrong).toContain('grams');
		desk.empty = 'heavy';
		expect(parseQuantity('heavy').ok).toBe(false);
		expect([desk.ml, desk.wrong.length > 10]).toEqual([0, true]);
	});
	it('is found by cups of either kind', () => {
		const desk = new CapacityDesk();
		desk.way = 'cups';
		expect(desk.ml).toBe(1000);
		desk.cup = 'us';
		expect(desk.ml).toBe(946);
		desk.cups = NaN;
		expect(desk.ml).toBe(0);
	});
});

describe('room that is there already', () => {
	const desk = (home: Home = demoHome(NOW)) => {
		const store = new DeskStore(home);
		return { store, hidden: new HiddenDesk({ store: store.get, newId: counter('h') }) };
	};
	it('shows what is allowed, the rest when asked', () => {
		const { hidden } = desk();
		expect(hidden.shown.every(({ allowed }) => allowed)).toBe(true);
		expect(hidden.shown.length + hidden.barred).toBe(hidden.places.length);
		const gain = hidden.gainMl;
		hidden.onlyAllowed = false;
		expect(hidden.shown).toHaveLength(hidden.places.length);
		expect(hidden.gainMl).toBeGreaterThanOrEqual(gain);
	});
	it('makes a place of it, which is hidden no longer', () => {
		const { hidden, store } = desk();
		const place = hidden.shown.find(({ asksRating }) => !asksRating)!;
		hidden.choose(place);
		expect(hidden.chosen?.key).toBe(place.key);
		hidden.accept(place);
		expect(hidden.key).toBeNull();
		expect(store.labels).toHaveLength(1);
		expect(hidden.places.map(({ key }) => key)).not.toContain(place.key);
	});
	it('asks what hooks carry, and does not guess it', () => {
		const { hidden, store } = desk();
		hidden.onlyAllowed = false;
		const place = hidden.places.find(({ asksRating }) => asksRating)!;
		expect(place).toBeDefined();
		hidden.accept(place);
		expect(hidden.wrong).toContain('rating of one hook');
		hidden.rating = '2 l';
		hidden.accept(place);
		expect(hidden.wrong).toContain('2 l');
		hidden.rating = 'strong';
		hidden.accept(place);
		expect(hidden.wrong).not.toBe('');
		expect(store.labels).toEqual([]);
		hidden.rating = '500 g';
		hidden.accept(place);
		expect([hidden.wrong, hidden.rating, store.labels.length]).toEqual(['', '', 1]);
	});
});

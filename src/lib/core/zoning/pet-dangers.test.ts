import { describe, expect, it } from 'vitest';
import { apply, bareKitchen } from '../fixtures/tiny-home';
import { changePet, addPet, nooksInOrder, type NookPlace } from '../survey';
import type { Thing } from '../model';
import { harmWords, PET_KINDS, petCouldTake, petDangers } from './pet-dangers';

const homeWith = (...kinds: string[]) =>
	apply(
		bareKitchen(),
		...kinds.flatMap((kind, i) => [addPet(`p${i}`, `Pet ${i}`), changePet(`p${i}`, kind)])
	);
const shelf = nooksInOrder(bareKitchen()).find(({ cabinet }) => cabinet.form === 'base')!;
const open = (baseMm: number): NookPlace => ({
	...shelf,
	cabinet: { ...shelf.cabinet, front: 'open', baseMm },
	nook: { ...shelf.nook, at: { ...shelf.nook.at, zMm: 0 } }
});
const of = (name: string, hazards: Thing['hazards'] = []) => ({
	things: [{ name, hazards } as Thing],
	hazards: new Set(hazards)
});

describe('what harms pets', () => {
	it('goes by their kind: raisins for dogs, lilies for cats, potatoes for rabbits', () => {
		expect(petCouldTake(homeWith('dog'), of('raisins'), open(300))).toBe(true);
		expect(petCouldTake(homeWith('cat'), of('raisins'), open(300))).toBe(false);
		expect(petCouldTake(homeWith('cat'), of('lily bulbs'), open(300))).toBe(true);
		expect(petCouldTake(homeWith('rabbit'), of('potatoes'), open(300))).toBe(true);
		expect(petCouldTake(homeWith('dog'), of('potatoes'), open(300))).toBe(false);
		expect(petCouldTake(homeWith(), of('raisins'), open(300))).toBe(false);
	});
	it('is out of reach behind a door, under lock and high up', () => {
		const dog = homeWith('dog');
		expect(petCouldTake(dog, of('dark chocolate'), shelf)).toBe(false);
		const locked = { ...open(300), nook: { ...open(300).nook, locked: true } };
		expect(petCouldTake(dog, of('dark chocolate'), locked)).toBe(false);
		expect(petCouldTake(dog, of('dark chocolate'), open(1300))).toBe(false);
	});
	it('takes medicines and cleaners as harm to any of them', () => {
		for (const kind of PET_KINDS)
			expect(petCouldTake(homeWith(kind), of('a box', ['medicine']), open(300))).toBe(true);
	});
	it('takes an animal that no row knows for a dog and a cat at once', () => {
		expect(petDangers(homeWith('ferret'))).toHaveLength(2);
		expect(petDangers(homeWith('dog', 'dog'))).toHaveLength(1);
	});
	it('does not take ware for what it is named after', () => {
		const named = (name: string, category: string) => ({
			things: [{ name, category, hazards: [] as Thing['hazards'] } as unknown as Thing],
			hazards: new Set<never>()
		});
		const both = homeWith('dog', 'cat');
		for (const [name, category] of [
			['wine glasses', 'kitchen.glasses'],
			['tea towels', 'kitchen.linens'],
			['coffee machine', 'kitchen.appliances'],
			['dough hook', 'kitchen.tools']
		] as const)
			expect(petCouldTake(both, named(name, category), open(300)), name).toBe(false);
		for (const [name, category] of [
			['red wine', 'food.alcohol'],
			['black tea bags', 'food.hot-drinks'],
			['lilies in a vase', 'home.flowers'],
			['box of chocolate something', 'home.unknown']
		] as const)
			expect(petCouldTake(both, named(name, category), open(300)), name).toBe(true);
	});
	it('hears words of a name, not parts of words', () => {
		expect(harmWords('chive butter')).toHaveLength(1);
		expect(harmWords('teapot')).toEqual([]);
	});
});

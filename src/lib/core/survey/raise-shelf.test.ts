import { describe, expect, it } from 'vitest';
import { apply, bareKitchen } from '../fixtures/tiny-home';
import { fitCatch, fitLock, pegsFor, raiseShelf, shelfOver } from './raise-shelf';

const kitchen = bareKitchen();
const shelves = Object.values(kitchen.nooks)
	.filter(({ cabinetId }) => kitchen.cabinets[cabinetId]!.form === 'wall')
	.sort((a, b) => a.at.zMm - b.at.zMm);
const [low, middle, top] = shelves as [
	(typeof shelves)[number],
	(typeof shelves)[number],
	(typeof shelves)[number]
];

describe('moving a shelf', () => {
	it('finds the board over a place, and none over the highest', () => {
		expect(shelfOver(kitchen, low)?.id).toBe(middle.id);
		expect(shelfOver(kitchen, top)).toBeNull();
	});
	it('counts whole holes, and never takes the place above away', () => {
		expect(pegsFor(kitchen, low, 40)).toEqual({ pegs: 2, byMm: 64, overId: middle.id });
		expect(pegsFor(kitchen, low, 0)).toBeNull();
		expect(pegsFor(kitchen, low, 150)).toBeNull();
	});
	it('gives to the place below what it takes from the one above', () => {
		const after = apply(kitchen, raiseShelf(low.id, 2));
		expect(after.nooks[low.id]!.inside.heightMm).toBe(low.inside.heightMm! + 64);
		expect(after.nooks[middle.id]!.inside.heightMm).toBe(middle.inside.heightMm! - 64);
		expect(after.nooks[middle.id]!.at.zMm).toBe(middle.at.zMm + 64);
		expect(after.nooks[low.id]!.readings.heightMm).toEqual([]);
		expect(apply(after, raiseShelf(low.id, -2)).nooks[middle.id]!.inside).toEqual(middle.inside);
	});
	it('does nothing where there is no room, no board or no such place', () => {
		for (const edit of [raiseShelf(low.id, 9), raiseShelf(top.id, 1), raiseShelf('gone', 1)])
			expect(apply(kitchen, edit).nooks).toEqual(kitchen.nooks);
	});
	it('fits a catch to a cabinet', () => {
		const caught = apply(kitchen, fitCatch(low.cabinetId)).cabinets[low.cabinetId]!;
		expect(caught).toMatchObject({ childCatch: true, lockable: false });
		expect(apply(kitchen, fitLock(low.cabinetId)).cabinets[low.cabinetId]!.lockable).toBe(true);
		expect(apply(kitchen, fitCatch('gone')).cabinets).toEqual(kitchen.cabinets);
	});
});

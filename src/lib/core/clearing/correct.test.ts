import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, TODAY } from '../fixtures/tiny-home';
import { groupsFor } from '../grouping';
import { UNKNOWN_KIND, type Home } from '../model';
import { changeLot, deleteLot, renameLot, tellKind } from './correct';
import { parseIntake } from './parse-intake';
import { takeIn } from './take-in';

let count = 0;
function enter(home: Home, text: string): { home: Home; thingId: string; lotId: string } {
	const lotId = `lot-${++count}`;
	const { line } = parseIntake(text, { order: 'dmy', today: TODAY, readings: home.readings });
	const booked = apply(
		home,
		takeIn({ line, nookId: null, thingId: `thing-${count}`, lotId, today: TODAY })
	);
	return { home: booked, lotId, thingId: booked.lots[lotId]!.thingId };
}

describe('a kind that is not known', () => {
	const { home, thingId } = enter(bareKitchen(), '2 quux');
	it('counts as unknown: apart from food, and in no group of another family', () => {
		expect(home.things[thingId]).toMatchObject({ category: UNKNOWN_KIND, hazards: ['unknown'] });
		const { home: both, thingId: flour } = enter(home, 'plain flour');
		expect(groupsFor(both, [thingId, flour])).toEqual([]);
	});
	it('keeps what its words warn of', () => {
		const { home: after, thingId: id } = enter(bareKitchen(), 'borage acid drops');
		expect(after.things[id]!.hazards).toContain('acid');
	});
	it('is told once: the home remembers, and all of the name become so', () => {
		const { home: two, thingId: other } = enter(home, 'a quux, frozen');
		const told = apply(two, tellKind(thingId, 'food.spices'));
		expect(told.things[thingId]).toMatchObject({ category: 'food.spices', hazards: [] });
		expect(told.things[other]!.category).toBe(UNKNOWN_KIND);
		const { home: later, thingId: third } = enter(told, '5 Quux');
		expect(later.things[third]!.category).toBe('food.spices');
	});
	it('is unknown again when that is said, and the name is forgotten', () => {
		const told = apply(home, tellKind(thingId, 'food.spices'));
		const back = apply(told, tellKind(thingId, UNKNOWN_KIND));
		expect(back.things[thingId]!.hazards).toContain('unknown');
		expect(back.readings).toEqual({});
	});
	it('does not become a kind that there is not', () =>
		expect(apply(home, tellKind(thingId, 'food.moon')).things[thingId]!.category).toBe(
			UNKNOWN_KIND
		));
	it('keeps a size that somebody measured', () => {
		const measured = structuredClone(home);
		measured.things[thingId]!.piece = { widthMm: 11, depthMm: 12, heightMm: 13 };
		expect(apply(measured, tellKind(thingId, 'food.oils')).things[thingId]!.piece.widthMm).toBe(11);
		expect(apply(home, tellKind(thingId, 'food.oils')).things[thingId]!.piece.heightMm).toBe(280);
	});
});

describe('a lot', () => {
	const { home, thingId, lotId } = enter(bareKitchen(), '3 tins tuna bb 11/26 dented');
	it('is put right in part, and the rest stays', () => {
		const after = apply(home, changeLot(lotId, { count: 2, dates: { openedOn: '2026-03-01' } }));
		expect(after.lots[lotId]).toMatchObject({
			count: 2,
			states: ['dented'],
			dates: { openedOn: '2026-03-01', printed: { on: '2026-11-30' } }
		});
	});
	it('changes its place, to the table too', () => {
		const nookId = Object.keys(home.nooks)[0]!;
		const there = apply(home, changeLot(lotId, { nookId }));
		expect(there.lots[lotId]!.nookId).toBe(nookId);
		expect(apply(there, changeLot(lotId, { nookId: null })).lots[lotId]!.nookId).toBeNull();
	});
	it('gets a name of its own, or that of a thing which is known', () => {
		const alone = apply(home, renameLot(lotId, 'tuna in oil', 'new-1'));
		expect(alone.things['new-1']).toMatchObject({
			name: 'tuna in oil',
			category: 'food.cans-fish'
		});
		expect(alone.things[thingId]!.name).toBe('tuna');
		const { home: more, thingId: known } = enter(home, 'sardines');
		const joined = apply(more, renameLot(lotId, 'Sardines', 'new-2'));
		expect(joined.lots[lotId]!.thingId).toBe(known);
		expect(joined.things['new-2']).toBeUndefined();
	});
	it('goes, and its thing with the last of it, unless something speaks of it', () => {
		expect(apply(home, deleteLot(lotId)).things[thingId]).toBeUndefined();
		const wanted = structuredClone(home);
		wanted.things[thingId]!.hold = { rule: 'packs', amount: 4 };
		expect(apply(wanted, deleteLot(lotId)).things[thingId]).toBeDefined();
	});
});

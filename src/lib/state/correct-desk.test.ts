import { beforeEach, describe, expect, it } from 'vitest';
import { takeIn, parseIntake } from '../core/clearing';
import { apply, bareKitchen, TODAY } from '../core/fixtures/tiny-home';
import { UNKNOWN_KIND } from '../core/model';
import { CorrectDesk } from './correct-desk.svelte';
import { DeskStore } from './desk-store';

let store: DeskStore;
let desk: CorrectDesk;
beforeEach(() => {
	const lines = ['3 tins tuna bb 11/26 dented', '1 tuna', 'quux'];
	const home = lines.reduce(
		(so, text, i) =>
			apply(
				so,
				takeIn({
					line: parseIntake(text, { order: 'dmy', today: TODAY }).line,
					nookId: null,
					thingId: `t${i}`,
					lotId: `l${i}`,
					today: TODAY
				})
			),
		bareKitchen()
	);
	store = new DeskStore(home);
	let ids = 0;
	desk = new CorrectDesk({ store: store.get, newId: () => `new-${++ids}`, today: () => TODAY });
});

describe('the sheet on which a thing is put right', () => {
	it('opens for a lot, or for a thing with its first lot, and is closed for neither', () => {
		expect(desk.isOpen).toBe(false);
		desk.open('l1');
		expect([desk.thing?.name, desk.lot?.id, desk.isOpen]).toEqual(['tuna', 'l1', true]);
		desk.open('t2');
		expect([desk.thing?.name, desk.lot?.id]).toEqual(['quux', 'l2']);
		desk.open('nobody');
		expect(desk.isOpen).toBe(false);
	});
	it('asks whether all are meant when there are several, and not when there is one', () => {
		desk.open('l0');
		desk.rename('tuna in oil');
		expect(desk.naming).toBe('tuna in oil');
		expect(store.home.things['t0']!.name).toBe('tuna');
		desk.renameThis('tuna in oil');
		expect(desk.thing?.name).toBe('tuna in oil');
		expect(store.home.things['t0']!.name).toBe('tuna');
		desk.open('l2');
		desk.rename('quux paste');
		expect([desk.naming, store.home.things['t2']!.name]).toEqual([null, 'quux paste']);
	});
	it('says the kind, and undo takes it back with what the home remembered', () => {
		desk.open('l2');
		expect(desk.isUnknown).toBe(true);
		desk.setKind('food.spices');
		expect(desk.isUnknown).toBe(false);
		expect(store.home.readings).toEqual({ quux: 'food.spices' });
		store.undo();
		expect(store.home.things['t2']!.category).toBe(UNKNOWN_KIND);
		expect(store.home.readings).toEqual({});
	});
	it('reads sizes and dates as they are written, and says what is none', () => {
		desk.open('l0');
		desk.setSize('86 x 86 x 41');
		expect(desk.thing!.piece).toEqual({ widthMm: 86, depthMm: 86, heightMm: 41 });
		desk.setSize('86 x 86');
		expect(desk.wrong).toContain('three measures');
		desk.setDate('opened', 'yesterday');
		expect(desk.dateOf('opened')).toBe('2026-03-01');
		desk.setDate('use-by', '31/02/27');
		expect(desk.wrong).toContain('31/02/27');
		expect(desk.dateOf('best-before')).toBe('2026-11-30');
		desk.setDate('use-by', '1 apr');
		expect([desk.dateOf('use-by'), desk.dateOf('best-before'), desk.wrong]).toEqual([
			'2026-04-01',
			null,
			''
		]);
		desk.setDate('use-by', '');
		expect(desk.dateOf('use-by')).toBeNull();
	});
	it('sets count, state, owner and place, each as one step that can be undone', () => {
		desk.open('l0');
		desk.setCount(2.5);
		desk.setCount(0);
		expect(desk.wrong).toContain('not a count');
		desk.setState('dented', false);
		desk.setState('rusty', true);
		desk.setOwner(' Oda ');
		const nookId = Object.keys(store.home.nooks)[0]!;
		desk.setPlace(nookId);
		expect(desk.lot).toMatchObject({ count: 2.5, states: ['rusty'], owner: 'Oda', nookId });
		store.undo();
		expect(desk.lot!.nookId).toBeNull();
	});
	it('takes away what was never there, and closes', () => {
		desk.open('l0');
		desk.remove();
		expect([desk.isOpen, store.home.lots['l0']]).toEqual([false, undefined]);
		expect(store.home.things['t0']).toBeDefined();
		store.undo();
		expect(store.home.lots['l0']).toBeDefined();
	});
	it('is closed when the thing goes meanwhile', () => {
		desk.open('l2');
		store.run('gone', 'deleteLot', 'l2');
		expect(desk.isOpen).toBe(false);
	});
});

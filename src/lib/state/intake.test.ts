import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it } from 'vitest';
import { bareKitchen, NOW, TODAY } from '../core/fixtures/tiny-home';
import { addHome, openDatabase } from '../data';
import { FakeChannel } from './fake-tabs';
import { HomeStore } from './home-store.svelte';
import { Intake } from './intake.svelte';

/** A number of the range kept for use in the house, with its check digit. */
const CODE = '0200000000004';
let store: HomeStore;
let intake: Intake;
let answers: ((name: string) => void)[];
beforeEach(async () => {
	indexedDB = new IDBFactory();
	const db = await openDatabase();
	await addHome(db, { home: bareKitchen(), now: NOW, ifThere: { do: 'say' } });
	let ids = 0;
	const newId = () => `i${++ids}`;
	const opened = await HomeStore.open('tiny', {
		db: async () => db,
		now: () => NOW,
		newId,
		tabs: new FakeChannel().open
	});
	if (!(opened instanceof HomeStore)) throw new Error(opened.code);
	store = opened;
	answers = [];
	intake = new Intake({
		store: () => store,
		nookId: () => null,
		scanner: { scan: async () => ({ ok: true, text: CODE }) },
		directory: {
			find: () =>
				new Promise((settle) =>
					answers.push((name) => settle({ ok: true, product: { name, size: '' } }))
				)
		},
		today: () => TODAY,
		newId
	} as never);
});
const codes = () =>
	Object.fromEntries(Object.values(store.home.things).map(({ name, code }) => [name, code]));
const turn = () => new Promise((done) => setImmediate(done));
async function scanned(name: string) {
	const scan = intake.scan();
	await turn();
	answers.shift()!(name);
	await scan;
}

describe('a scanned number', () => {
	it('is kept with the line it made', async () => {
		await scanned('oat biscuits');
		expect(intake.text).toContain('oat biscuits');
		await intake.enter();
		expect(codes()['oat biscuits']).toMatch(/200000000/);
	});
	it('does not stick to the next line, typed or pasted', async () => {
		await scanned('oat biscuits');
		intake.text = '';
		intake.text = '2 penne';
		await intake.enter();
		expect(codes()).toEqual({ penne: null });
		await scanned('oat biscuits');
		intake.paste(['1 rice', '1 salt']);
		expect(codes()).toMatchObject({ rice: null, salt: null });
	});
	it('does not write over what was typed while it was looked up', async () => {
		const scan = intake.scan();
		await turn();
		intake.text = '3 mugs';
		answers.shift()!('oat biscuits');
		await scan;
		expect(intake.text).toBe('3 mugs');
		await intake.enter();
		expect(codes()).toEqual({ mugs: null });
	});
});

describe('what was read, put right before it is entered', () => {
	const last = () => Object.values(store.home.lots).at(-1)!;
	it('takes the kind by hand, and remembers it for the name', async () => {
		intake.text = '2 quux';
		expect(intake.parsed!.kind.sure).toBe(false);
		intake.setKind('food.spices');
		expect(intake.parsed).toMatchObject({ kindByHand: true, line: { category: 'food.spices' } });
		await intake.enter();
		expect(store.home.things[last().thingId]!.category).toBe('food.spices');
		intake.text = '1 Quux';
		expect(intake.parsed!.kind).toMatchObject({ sure: true, category: 'food.spices' });
	});
	it('changes what a date is of, or that it is one', async () => {
		intake.text = 'oat milk 28 nov';
		intake.setDateKind(0, 'use-by');
		expect(intake.parsed!.line.printed?.kind).toBe('use-by');
		intake.setDateKind(0, 'opened');
		expect(intake.parsed!.line).toMatchObject({ printed: null, openedOn: '2026-11-28' });
		intake.setDateKind(0, null);
		await intake.enter();
		expect(last().dates).toMatchObject({ printed: null, openedOn: null });
	});
	it('drops a state, and none of it sticks to the next line', async () => {
		intake.text = '3 tins tuna dented';
		intake.dropState('dented');
		await intake.enter();
		expect(last().states).toEqual([]);
		intake.text = '2 tins sardines dented';
		await intake.enter();
		expect(last().states).toEqual(['dented']);
	});
	it('says what was not understood, and which lot was entered', async () => {
		intake.text = 'chopped 7 tomatoes 9 8';
		await intake.enter();
		expect(intake.said).toMatch(/Not understood: /);
		expect(intake.last).toMatchObject({ lotId: last().id });
	});
});

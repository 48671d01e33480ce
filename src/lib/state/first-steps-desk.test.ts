import { describe, expect, it } from 'vitest';
import { counter, NOW, TODAY } from '../core/fixtures/tiny-home';
import { makeHome, REGIONS, regionOf, STAGES } from '../core/model';
import { nextSteps, stageProgress } from '../core/upkeep';
import { stepPath, stepText } from '../messages/steps';
import { DeskStore } from './desk-store';
import { FirstStepsDesk } from './first-steps-desk.svelte';

function begin(here: string | null = null) {
	const store = new DeskStore(makeHome({ id: 'e', name: 'Empty', now: NOW }));
	const desk = new FirstStepsDesk({ store: store.get, newId: counter('f'), here: () => here });
	const codes = () => nextSteps(desk.home, TODAY).map(({ code }) => code);
	return { store, desk, codes };
}

describe('the first steps of an empty home', () => {
	it('offer the region of this device first, and settle all that goes with it in one step', () => {
		const { desk, store } = begin('JP');
		expect(desk.regions[0]!.code).toBe('JP');
		expect(desk.regions).toHaveLength(REGIONS.length);
		desk.settle('US');
		const { units, currency, dateOrder, paper, weekStart } = regionOf('US')!;
		expect(desk.home).toMatchObject({ units, currency, dateOrder });
		expect(desk.home.customs).toEqual({ region: 'US', paper, weekStart });
		expect(store.labels).toHaveLength(1);
		desk.settle('');
		expect(desk.region).toBe('');
		expect(desk.home.units).toBe('in');
	});
	it('add people with what must not be asked of them, told apart, and take them away again', () => {
		const { desk } = begin();
		for (const key of ['adult', 'adult', 'older', 'seated', 'toddler'] as const)
			desk.addPerson(key);
		desk.addPet('dog');
		expect(desk.people.map(({ name }) => name)).toEqual([
			'Adult',
			'Adult 2',
			'Older person',
			'Person who sits',
			'Toddler'
		]);
		expect(desk.people.map(({ limits }) => limits.noClimb)).toEqual([
			false,
			false,
			true,
			true,
			true
		]);
		expect(desk.people.filter(({ limits }) => limits.seated)).toHaveLength(1);
		expect(desk.people.at(-1)!.ageBand).toBe('toddler');
		expect(desk.pets.map(({ kind }) => kind)).toEqual(['dog']);
		desk.rename(desk.people[0]!.id, '  Ottilie ');
		desk.rename(desk.people[1]!.id, '   ');
		expect(desk.people.map(({ name }) => name).slice(0, 2)).toEqual(['Ottilie', 'Adult 2']);
		for (const { id } of [...desk.people, ...desk.pets]) desk.remove(id);
		expect([desk.people, desk.pets]).toEqual([[], []]);
	});
	it('lead from a room to the tape, and to who lives there where it was not said', () => {
		const { desk, codes } = begin();
		expect(codes()).toEqual(['add-cabinets', 'enter-stock']);
		desk.addRoom('cabinet');
		expect(desk.hasRooms).toBe(true);
		expect(codes()).toEqual(['say-who', 'measure-estimates', 'enter-stock']);
		expect(nextSteps(desk.home, TODAY).map(stepPath)).toEqual([
			'walk/people',
			'walk/tape',
			'clear'
		]);
		for (const step of nextSteps(desk.home, TODAY)) expect(stepText(step).title).toMatch(/^[A-Z]/);
		desk.addPerson('adult');
		expect(codes()).not.toContain('say-who');
	});
	it('call no stage done that was not begun: usual sizes are no measures', () => {
		const { desk, store } = begin();
		desk.addRoom('kitchen');
		for (const stage of STAGES) expect(stageProgress(desk.home, TODAY)[stage], stage).not.toBe(1);
		for (const id of Object.keys(desk.home.nooks)) store.run('right', 'confirmSizes', id);
		const progress = stageProgress(desk.home, TODAY);
		expect(progress.walk).toBe(1);
		for (const stage of STAGES.filter((each) => each !== 'walk'))
			expect(progress[stage], stage).not.toBe(1);
	});
});

import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, bareKitchen, NOW } from '../fixtures/tiny-home';
import { addPerson, addPet, changePerson, placeStation, removePerson, removePet } from '.';

describe('people and pets', () => {
	it('come with a usual stature and no limits, and are corrected', () => {
		const home = apply(
			bareKitchen(),
			addPerson('p1', 'Ida'),
			changePerson('p1', { statureMm: 1580, ageBand: 'older' })
		);
		expect(home.people['p1']).toMatchObject({
			name: 'Ida',
			statureMm: 1580,
			ageBand: 'older',
			limits: { noClimb: false }
		});
	});
	it('leave what was theirs alone to everybody', () => {
		const home = apply(demoHome(NOW), removePerson('boy'));
		expect(home.people['boy']).toBeUndefined();
		const snacks = Object.values(home.things).filter((thing) => thing.groupId === 'kid-snacks');
		expect(snacks.length).toBeGreaterThan(0);
		for (const thing of snacks) expect(thing.userIds).toEqual([]);
	});
	it('may be a cat that comes and goes', () => {
		const home = apply(bareKitchen(), addPet('c', 'Sooty'));
		expect(home.pets['c']).toMatchObject({ name: 'Sooty' });
		expect(apply(home, removePet('c')).pets).toEqual({});
	});
	it('are not invented by a change to nobody', () => {
		expect(apply(bareKitchen(), changePerson('nobody', { statureMm: 1 }))).toEqual(bareKitchen());
	});
});

describe('stations', () => {
	const ids = () => 'new-station';
	it('are put once, then moved', () => {
		const once = apply(bareKitchen(), placeStation('kitchen', 'hob', { x: 500, y: 900 }, ids));
		expect(once.stations['new-station']).toMatchObject({ kind: 'hob', at: { x: 500, y: 900 } });
		const moved = apply(once, placeStation('kitchen', 'hob', { x: 900, y: 900 }, ids));
		expect(Object.values(moved.stations).filter((station) => station.kind === 'hob')).toMatchObject(
			[{ at: { x: 900 } }]
		);
	});
	it('need a room', () => {
		expect(apply(bareKitchen(), placeStation('nowhere', 'hob', { x: 0, y: 0 }, ids))).toEqual(
			bareKitchen()
		);
	});
});

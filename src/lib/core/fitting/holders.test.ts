import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import type { Group, Home } from '../model';
import { adoptPlan } from '../zoning';
import { fitFingerprint, fitNook, holdersOf, isRaw, wantsOf } from '.';
import { setHolder } from './save';

const demo = demoHome(NOW);
const planned = apply(demo, adoptPlan(solvedOnce('demo', () => demo).plan));
const placeOf = (groupId: string) =>
	planned.zonePlans['p']!.assignments.find((each) => each.groupId === groupId)!.nookId as string;
const groupOf = (kind: string): Group =>
	planned.groups[
		Object.values(planned.things).find(({ category }) => category === kind)!.groupId!
	]!;
const rolesIn = (home: Home, groupId: string) =>
	wantsOf(home, placeOf(groupId))
		.filter((want) => want.groupId === groupId)
		.map(({ roles }) => roles);

describe('what holds a group', () => {
	const spices = groupOf('food.spices');
	const raw = groupOf('food.raw-meat');
	it('goes by its kind of goods, unless the household says otherwise', () => {
		expect(rolesIn(planned, spices.id)).toContainEqual(['riser', 'divider']);
		const said = apply(planned, setHolder(spices.id, 'turntable'));
		for (const roles of rolesIn(said, spices.id)) expect(roles).toEqual(['turntable']);
		const free = apply(planned, setHolder(spices.id, 'none'));
		for (const roles of rolesIn(free, spices.id)) expect(roles).toEqual([]);
		// What is usual is told all the same.
		expect(holdersOf(said, spices.id, placeOf(spices.id))).toEqual(
			holdersOf(planned, spices.id, placeOf(spices.id))
		);
		expect(rolesIn(apply(said, setHolder(spices.id, null)), spices.id)).toEqual(
			rolesIn(planned, spices.id)
		);
	});
	it('makes what was fitted before out of date', () => {
		const nookId = placeOf(spices.id);
		const said = apply(planned, setHolder(spices.id, 'bin'));
		expect(fitFingerprint(said, nookId)).not.toBe(fitFingerprint(planned, nookId));
	});
	it('never leaves raw meat or fish without', () => {
		const free = apply(planned, setHolder(raw.id, 'none'));
		for (const roles of rolesIn(free, raw.id)) expect(roles).toEqual(['tray', 'bin']);
		const found = fitNook(planned, placeOf(raw.id));
		if (!('arrangements' in found)) throw new Error(found.status);
		const isLoose = found.arrangements[0]!.standing.some(({ holds }) =>
			holds.some(({ thingId }) => isRaw(planned.things[thingId]!))
		);
		expect(isLoose).toBe(false);
	});
	it('is there where it was said and goes in, whatever it costs', () => {
		const cleaning = groupOf('kitchen.cleaning');
		const nookId = placeOf(cleaning.id);
		const found = fitNook(apply(planned, setHolder(cleaning.id, 'caddy')), nookId);
		if (!('arrangements' in found)) throw new Error(found.status);
		for (const { placements } of found.arrangements)
			expect(
				placements.some(
					({ groupId, kindId }) =>
						groupId === cleaning.id && planned.containerKinds[kindId]!.role === 'caddy'
				)
			).toBe(true);
	});
	it('is only ever of the kind that was said', () => {
		const nookId = placeOf(spices.id);
		for (const role of ['bin', 'turntable', 'none'] as const) {
			const found = fitNook(apply(planned, setHolder(spices.id, role)), nookId);
			if (!('arrangements' in found)) throw new Error(found.status);
			for (const { placements } of found.arrangements)
				for (const { groupId, kindId } of placements)
					if (groupId === spices.id) expect(planned.containerKinds[kindId]!.role).toBe(role);
		}
	});
});

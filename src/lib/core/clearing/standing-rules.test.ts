import { describe, expect, it } from 'vitest';
import { DOG_AND_TODDLER } from '../fixtures/sketches';
import { sketchHome, type Sketch } from '../fixtures/sketch-home';
import { apply, TODAY } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { baseAboveFloorMm, placeOfNook } from '../survey';
import { advisedVerdict, adviseLot } from './advice';

const home = (goods: readonly (readonly [string, string])[], more: Partial<Sketch> = {}): Home =>
	sketchHome({
		id: 'small',
		name: 'Small',
		people: [
			{ name: 'Ada', statureMm: 1700, ageBand: 'adult' },
			{ name: 'Bo', statureMm: 860, ageBand: 'toddler' }
		],
		rooms: [
			{
				name: 'Kitchen',
				widthMm: 4000,
				depthMm: 3000,
				back: goods.map(([form, lines]) => ({ form, goods: [lines] }))
			}
		],
		...more
	});
const codesOf = (of: Home, name: string) => {
	const lot = Object.values(of.lots).find(({ thingId }) => of.things[thingId]!.name === name)!;
	return adviseLot({ home: of, lot, thing: of.things[lot.thingId]!, today: TODAY }).map(
		({ code }) => code
	);
};
const isPlain = (of: Home, name: string) => {
	const lot = Object.values(of.lots).find(({ thingId }) => of.things[thingId]!.name === name)!;
	const advice = adviseLot({ home: of, lot, thing: of.things[lot.thingId]!, today: TODAY });
	return advisedVerdict(advice) === 'keep';
};

describe('where a thing stands is a concern', () => {
	it.each(['bleach', 'descaler', 'oven cleaner', 'ant poison', 'paracetamol', 'lamp oil'])(
		'%s within a toddler’s reach, with a catch too; locked it is none',
		(name) => {
			const low = home([['sink', `1 ${name}`]]);
			const guarded = (how: 'childCatch' | 'lockable') =>
				apply(low, (draft) => {
					for (const cabinet of Object.values(draft.cabinets)) cabinet[how] = true;
				});
			expect(codesOf(low, name)).toContain('child-reach');
			expect(isPlain(low, name)).toBe(false);
			expect(codesOf(guarded('childCatch'), name)).toContain('child-reach');
			expect(codesOf(guarded('lockable'), name)).not.toContain('child-reach');
		}
	);
	it('none of what could kill a small child is kept in one go', () => {
		const whole = sketchHome(DOG_AND_TODDLER);
		const low = new Set(
			Object.values(whole.lots).flatMap(({ thingId, nookId }) => {
				const place = nookId && placeOfNook(whole, nookId);
				return place && baseAboveFloorMm(place) < 1500 ? [thingId as string] : [];
			})
		);
		const bad = Object.values(whole.things).filter(
			({ id, hazards }) =>
				low.has(id) &&
				hazards.some((one) => ['bleach', 'acid', 'cleaner', 'medicine'].includes(one))
		);
		expect(bad.length).toBeGreaterThan(3);
		for (const { name } of bad) expect(isPlain(whole, name), name).toBe(false);
	});
	it('toilet bleach and tablets in a freezer drawer', () => {
		for (const name of ['toilet bleach', 'paracetamol']) {
			const from = home(
				[
					['base', `1 ${name}`],
					['fridge', '']
				],
				{ people: [] }
			);
			const at = Object.values(from.nooks).find(({ kind }) => kind === 'freezer-drawer')!;
			const moved = apply(from, (draft) => {
				for (const lot of Object.values(draft.lots)) lot.nookId = at.id;
			});
			expect(codesOf(from, name)).not.toContain('not-in-the-cold');
			expect(codesOf(moved, name)[0]).toBe('not-in-the-cold');
		}
	});
	it('bleach and acid in one cabinet: the acid moves', () => {
		const both = home([['sink', '1 bleach; 1 descaler']], { people: [] });
		expect(codesOf(both, 'descaler')).toContain('gas-apart');
		expect(codesOf(both, 'bleach')).not.toContain('gas-apart');
		const apart = home(
			[
				['sink', '1 bleach'],
				['base', '1 descaler']
			],
			{ people: [] }
		);
		expect(codesOf(apart, 'descaler')).not.toContain('gas-apart');
	});
	it('food under a sink, sprays by the heat, chocolate where a dog gets at it', () => {
		const wet = home([['sink', '1 rice; 1 sponges']], { people: [] });
		expect(codesOf(wet, 'rice')).toContain('spoils-in-damp');
		expect(isPlain(wet, 'sponges')).toBe(true);
		const hot = apply(home([['base', '1 lamp oil; 1 plates']], { people: [] }), (draft) => {
			for (const cabinet of Object.values(draft.cabinets)) cabinet.climate = ['heat'];
		});
		expect(codesOf(hot, 'lamp oil')).toContain('not-in-the-heat');
		expect(isPlain(hot, 'plates')).toBe(true);
		const dog = home([['open', '1 dark chocolate']], {
			people: [],
			pets: [{ name: 'Tuck', kind: 'dog' }]
		});
		expect(codesOf(dog, 'dark chocolate')).toContain('pet-reach');
	});
	it('what stands well is none', () => {
		const well = home([['wall', '4 mugs; 6 plates']]);
		for (const name of ['mugs', 'plates']) expect(isPlain(well, name)).toBe(true);
	});
});

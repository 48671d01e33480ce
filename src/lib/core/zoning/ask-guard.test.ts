import { describe, expect, it } from 'vitest';
import { DOG_AND_TODDLER, FAMILY } from '../fixtures/sketches';
import { sketchHome, type Sketch } from '../fixtures/sketch-home';
import { apply } from '../fixtures/tiny-home';
import { fitCatch, fitLock } from '../survey';
import { buildZoneModel } from './build';
import { guardsToAsk } from './ask-guard';

const sketch = (form: string, who: 'toddler' | 'adult'): Sketch => ({
	id: 'small',
	name: 'Small',
	people: [
		{ name: 'Ada', statureMm: 1700, ageBand: 'adult' },
		{ name: 'Bo', statureMm: 900, ageBand: who }
	],
	rooms: [
		{
			name: 'Kitchen',
			widthMm: 3000,
			depthMm: 2400,
			back: [
				{ form, goods: ['1 bleach; 1 multi-surface spray; 2 sponges'] },
				{ form: 'wall', goods: ['6 plates', '4 mugs', '1 vase'] }
			]
		}
	]
});
const askedIn = (home: ReturnType<typeof sketchHome>) =>
	guardsToAsk(buildZoneModel(home)).map(({ cabinetId, guard, groupIds }) => ({
		cabinet: home.cabinets[cabinetId]!.name,
		guard,
		groups: groupIds.map((id) => home.groups[id]!.name).sort()
	}));

describe('locks and catches to ask for before a plan', () => {
	it('are those of the doors behind which cleaners and knives would live', () => {
		const [first, ...more] = askedIn(sketchHome(DOG_AND_TODDLER));
		expect(first).toEqual({
			cabinet: 'Sink cabinet',
			guard: 'lock',
			groups: ['Bleach', 'Cleaning', 'Cleaning: drain cleaner', 'Descalers and acids']
		});
		expect(more).toContainEqual({ cabinet: 'Drawer stack', guard: 'catch', groups: ['Knives'] });
	});
	it('are none once they are fitted, and none for what the catch is not for', () => {
		let home = sketchHome(DOG_AND_TODDLER);
		for (let asked = guardsToAsk(buildZoneModel(home)); asked.length;) {
			const { cabinetId, guard } = asked[0]!;
			home = apply(home, guard === 'lock' ? fitLock(cabinetId) : fitCatch(cabinetId));
			const next = guardsToAsk(buildZoneModel(home));
			expect(next.map((one) => one.cabinetId)).not.toContain(cabinetId);
			asked = next;
		}
		const sponges = askedIn(sketchHome(sketch('sink', 'toddler'))).flatMap(({ groups }) => groups);
		expect(sponges.some((name) => /gear|waste/.test(name))).toBe(false);
	});
	it('ask for the lock still where only a catch was fitted: a catch is no lock', () => {
		const home = sketchHome(DOG_AND_TODDLER);
		const [first] = guardsToAsk(buildZoneModel(home));
		const caught = apply(home, fitCatch(first!.cabinetId));
		expect(guardsToAsk(buildZoneModel(caught))[0]).toMatchObject({
			cabinetId: first!.cabinetId,
			guard: 'lock'
		});
	});
	it('are none where no small child lives, and none on a shelf without a door', () => {
		expect(askedIn(sketchHome(FAMILY))).toEqual([]);
		expect(askedIn(sketchHome(sketch('sink', 'adult')))).toEqual([]);
		expect(askedIn(sketchHome(sketch('sink', 'toddler'))).map(({ cabinet }) => cabinet)).toEqual([
			'Sink cabinet'
		]);
		expect(askedIn(sketchHome(sketch('open', 'toddler')))).toEqual([]);
	});
});

import { describe, expect, it } from 'vitest';
import { DOG_AND_TODDLER, FAMILY } from '../fixtures/sketches';
import { sketchHome, type Sketch } from '../fixtures/sketch-home';
import { apply } from '../fixtures/tiny-home';
import { fitCatch } from '../survey';
import { buildZoneModel } from './build';
import { catchesToAsk } from './ask-catch';

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
	catchesToAsk(buildZoneModel(home)).map(({ cabinetId, groupIds }) => ({
		cabinet: home.cabinets[cabinetId]!.name,
		groups: groupIds.map((id) => home.groups[id]!.name).sort()
	}));

describe('catches to ask for before a plan', () => {
	it('are those of the doors behind which cleaners and knives would live', () => {
		const [first, ...more] = askedIn(sketchHome(DOG_AND_TODDLER));
		expect(first).toEqual({
			cabinet: 'Sink cabinet',
			groups: ['Bleach', 'Cleaning', 'Descalers and acids']
		});
		expect(more).toContainEqual({ cabinet: 'Drawer stack', groups: ['Knives'] });
	});
	it('are none once they are fitted, and none for what the catch is not for', () => {
		let home = sketchHome(DOG_AND_TODDLER);
		for (let asked = catchesToAsk(buildZoneModel(home)); asked.length;) {
			home = apply(home, fitCatch(asked[0]!.cabinetId));
			const next = catchesToAsk(buildZoneModel(home));
			expect(next.map(({ cabinetId }) => cabinetId)).not.toContain(asked[0]!.cabinetId);
			asked = next;
		}
		const sponges = askedIn(sketchHome(sketch('sink', 'toddler'))).flatMap(({ groups }) => groups);
		expect(sponges.some((name) => /gear|waste/.test(name))).toBe(false);
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

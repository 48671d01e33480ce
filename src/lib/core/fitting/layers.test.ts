import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import type { Thing } from '../model';
import { roomOf, type Good } from '../standing';
import { checkFit } from './check-fit';
import { holdOptions } from './options';
import { packWhole } from './pack-mix';
import { USUAL_KINDS } from './usual-kinds';
import { wantsOf } from './wants';

const demo = demoHome(NOW);
const { play } = demo.settings;
const chest = 'chest-low';
/** The bottom of the chest freezer is so high, and holds frozen vegetables alone: one open bag, one due soon, the rest later. */
const groupId = Object.values(demo.things).find(
	({ category }) => category === 'food.frozen-veg'
)!.groupId!;
const cold = apply(demo, (draft) => {
	draft.nooks[chest]!.inside.heightMm = 480;
	for (const lot of Object.values(draft.lots)) {
		if (draft.things[lot.thingId]?.groupId !== groupId) continue;
		lot.states = ['frozen'];
		lot.dates = {
			...lot.dates,
			openedOn: null,
			printed: { on: '2027-06-01', kind: 'best-before' }
		};
	}
	const lots = Object.values(draft.lots).filter(
		(lot) => draft.things[lot.thingId]?.groupId === groupId
	);
	const [one] = lots;
	const two = lots.find(({ thingId }) => thingId !== one!.thingId);
	one!.states = ['frozen', 'open'];
	two!.dates.printed = { on: '2026-03-20', kind: 'best-before' };
});
const home = planFor(cold, { [groupId]: chest });
const packing = roomOf(home, chest)!;
const want = wantsOf(home, chest)[0]!;

describe('baskets of a chest freezer', () => {
	const layered = holdOptions(want, USUAL_KINDS, packing, play, new Map()).filter(
		({ holders }) => holders.length === 1 && holders[0]!.layers > 1
	);
	it('stand on each other where there is height for two, and nothing looks out of them', () => {
		expect(layered.length).toBeGreaterThan(0);
		for (const { holders } of layered)
			for (const { kind, containers } of holders)
				for (const { heightMm } of containers) expect(heightMm).toBe(kind.heightMm);
		const low = { ...packing, room: { ...packing.room, heightMm: 300, passHeightMm: 300 } };
		for (const { holders } of holdOptions(want, USUAL_KINDS, low, play, new Map()))
			for (const { layers, kind } of holders)
				if (kind.role === 'basket' && kind.heightMm > 125) expect(layers).toBe(1);
		const shelf = { ...packing, inLayers: false };
		for (const { holders } of holdOptions(want, USUAL_KINDS, shelf, play, new Map()))
			for (const { layers, kind } of holders) if (kind.role === 'basket') expect(layers).toBe(1);
	});
	it('are piled with the reserves at the bottom, what is open or due first on top', () => {
		const dueOf = new Map(want.goods.map((good: Good) => [good.thing.id as string, good.due]));
		let piled = 0;
		for (const way of layered) {
			const packed = packWhole([way], packing);
			if (!packed) continue;
			expect(checkFit(home, chest, packed.placements).map(({ code }) => code)).not.toContain(
				'not-stackable'
			);
			const firstDue = (holds: readonly { thingId: string }[]) =>
				holds.map(({ thingId }) => dueOf.get(thingId)!).sort()[0]!;
			for (const upper of packed.placements)
				for (const lower of packed.placements) {
					const isOn = upper.xMm === lower.xMm && upper.yMm === lower.yMm && upper.zMm > lower.zMm;
					if (!isOn) continue;
					piled++;
					expect(firstDue(upper.holds) <= firstDue(lower.holds)).toBe(true);
				}
		}
		expect(piled).toBeGreaterThan(0);
	});
	it('know what is open and what is due first', () => {
		const dues = want.goods.map(({ due }) => due).sort();
		expect(dues[0]).toBe('');
		expect(dues).toContain('2026-03-20');
		const open = want.goods.find(({ due }) => due === '')!;
		const lots = Object.values(home.lots).filter(({ thingId }) => thingId === open.thing.id);
		expect(lots.some(({ states }) => states.includes('open'))).toBe(true);
		expect((open.thing as Thing).category).toMatch(/^food\.frozen/);
	});
});

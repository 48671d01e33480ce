import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, counter, NOW, withLines } from '../core/fixtures/tiny-home';
import { thawPlaces } from '../core/rotation';
import type { ThermometerResult } from '../core/devices';
import { ColdDesk } from './cold-desk.svelte';
import { DeskStore } from './desk-store';

const kitchen = withLines(bareKitchen(), ['1 chicken thighs use by 10/03/26', '1 jam']);
const fridge = thawPlaces(kitchen)[0]!;
const home = apply(kitchen, (draft) => {
	for (const lot of Object.values(draft.lots)) lot.nookId = fridge.id;
});
function desk(answer: (kind: string) => ThermometerResult) {
	const store = new DeskStore(home);
	const cold = new ColdDesk({
		store: store.get,
		newId: counter('c'),
		now: () => NOW,
		thermometer: (_, kind) => ({ readSince: () => Promise.resolve(answer(kind)) }),
		said: () => {}
	});
	return { store, cold };
}
const hour = (h: number) => `2026-03-02T0${h}:00:00.000Z`;
const warm: ThermometerResult = {
	ok: true,
	readings: [4, 9, 12, 12, 4].map((c, h) => ({ at: hour(h), c }))
};
const fine: ThermometerResult = { ok: true, readings: [{ at: hour(1), c: -19 }] };

describe('thermometers', () => {
	it('note a warm spell once, say what is to be thrown out, and throw it out', async () => {
		const { store, cold } = desk((kind) => (kind === 'fridge' ? warm : fine));
		await cold.read();
		expect(cold.warm).toMatchObject([{ kind: 'fridge', hours: 3 }]);
		expect(Object.values(store.home.warmSpells)).toHaveLength(1);
		cold.throwOut(cold.warm[0]!);
		const left = Object.values(store.home.lots).filter(({ count }) => count > 0);
		expect(left.map(({ thingId }) => store.home.things[thingId]!.name)).toEqual(['jam']);
		expect(Object.values(store.home.useEvents)).toMatchObject([{ kind: 'discard', why: 'warm' }]);
		const steps = store.labels.length;
		cold.throwOut(cold.warm[0]!);
		await cold.read();
		expect(store.labels).toHaveLength(steps);
		// Read again it is said again, with what is left.
		expect(cold.warm[0]!.after.map(({ thing }) => thing.name)).toEqual(['jam']);
	});
	it('tell the fridge and the freezer of one cabinet apart, though the current went at the same time', async () => {
		const thawing: ThermometerResult = {
			ok: true,
			readings: [-19, -9, -5, -6, -18].map((c, h) => ({ at: hour(h), c }))
		};
		const { store, cold } = desk((kind) => (kind === 'fridge' ? warm : thawing));
		await cold.read();
		expect(
			Object.values(store.home.warmSpells)
				.map(({ kind }) => kind)
				.sort()
		).toEqual(['freezer', 'fridge']);
		const lost = Object.values(store.home.lots).map(({ lostDays }) => lostDays);
		expect(lost.every((days) => days > 0)).toBe(true);
	});
	it('go on with a spell that was not over yet, and take only what it took since', async () => {
		let readings = [4, 9, 12].map((c, h) => ({ at: hour(h), c }));
		const { store, cold } = desk((kind) => (kind === 'fridge' ? { ok: true, readings } : fine));
		await cold.read();
		const first = Object.values(store.home.lots)[0]!.lostDays;
		readings = [...readings, { at: hour(9), c: 4 }];
		await cold.read();
		expect(Object.values(store.home.warmSpells)).toMatchObject([{ to: hour(9) }]);
		expect(Object.values(store.home.lots)[0]!.lostDays).toBeGreaterThanOrEqual(first);
	});
	it('say when one is silent, and note nothing', async () => {
		const { store, cold } = desk(() => ({
			ok: false,
			issue: { code: 'device-silent', device: 'The thermometer of Fridge', waitedMs: 4000 }
		}));
		await cold.read();
		// One for the fridge and one for the freezer of the same cabinet, said once.
		expect(cold.silent).toHaveLength(1);
		expect(cold.silent[0]).toMatch(/thermometer of Fridge has not answered/);
		expect(store.labels).toEqual([]);
		expect(cold.readAt).toBe(NOW);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, bareKitchen, counter, formOf, NOW } from '../fixtures/tiny-home';
import { makeHome, type Home, type Nook } from '../model';
import { addCabinet, addRoom, checkSurvey, setInside, takeReading, takeSides } from '.';
import { overlapMm, stackedIn } from './restack';

const made = (form: string): { home: Home; cabinetId: string; nooks: Nook[] } => {
	const ids = { room: 'r', back: 'b', front: 'f' };
	const home = apply(
		makeHome({ id: 'h', name: 'H', now: NOW }),
		addRoom({ name: 'Kitchen', widthMm: 4000, depthMm: 3000, ids }),
		addCabinet('b', formOf(form), counter('c'))
	);
	const cabinetId = Object.keys(home.cabinets)[0]!;
	return { home, cabinetId, nooks: inOrder(home, cabinetId) };
};
const inOrder = (home: Home, cabinetId: string) =>
	stackedIn(home, cabinetId).sort((a, b) => a.at.zMm - b.at.zMm);
const overlaps = (home: Home) =>
	Object.keys(home.cabinets).flatMap((id) => {
		const own = stackedIn(home, id);
		return own.flatMap((a, i) => own.slice(0, i).filter((b) => overlapMm(a, b) > 0));
	});
const codes = (home: Home) => checkSurvey(home).map(({ code }) => code);

describe('places that were measured', () => {
	it.each(['base', 'drawers', 'wall', 'tall', 'fridge'])(
		'are never drawn over each other: %s',
		(form) => {
			const { home, cabinetId, nooks } = made(form);
			expect(overlaps(home)).toEqual([]);
			const [low] = nooks;
			const higher = apply(home, takeReading(low!.id, 'heightMm', low!.inside.heightMm! + 60));
			expect(overlaps(higher)).toEqual([]);
			expect(inOrder(higher, cabinetId).map(({ id }) => id)).toEqual(nooks.map(({ id }) => id));
			expect(codes(higher)).not.toContain('shelves-too-tall');
		}
	);
	it('lie in order and in their cabinet whatever is measured, or that is said', () =>
		fc.assert(
			fc.property(
				fc.constantFrom('base', 'drawers', 'wall', 'tall', 'fridge', 'chest'),
				fc.array(
					fc.record({
						at: fc.nat(8),
						side: fc.constantFrom('widthMm' as const, 'heightMm' as const),
						mm: fc.integer({ min: 40, max: 900 })
					}),
					{ maxLength: 6 }
				),
				(form, readings) => {
					const { home, cabinetId, nooks } = made(form);
					if (!nooks.length) return;
					const order = nooks.map(({ id }) => id);
					const after = readings.reduce(
						(now, { at, side, mm }) => apply(now, setInside(order[at % order.length]!, side, mm)),
						home
					);
					expect(inOrder(after, cabinetId).map(({ id }) => id)).toEqual(order);
					expect(overlaps(after)).toEqual([]);
					const { heightMm } = after.cabinets[cabinetId]!;
					const top = Math.max(
						...inOrder(after, cabinetId).map(({ at, inside }) => at.zMm + inside.heightMm!)
					);
					if (top > heightMm + 10) expect(codes(after)).toContain('shelves-too-tall');
				}
			),
			{ seed: 3211, numRuns: 150 }
		));
	it('that nobody measured give way to those that were', () => {
		const { home, cabinetId, nooks } = made('base');
		const [low, high] = nooks;
		const after = apply(home, takeReading(low!.id, 'heightMm', 450));
		const now = inOrder(after, cabinetId);
		expect(now[0]!.inside.heightMm).toBe(450);
		expect(now[1]!.inside.heightMm).toBeLessThan(high!.inside.heightMm!);
		// Both measured, neither gives way, and the check says that they cannot both be.
		const both = apply(
			apply(home, takeReading(high!.id, 'heightMm', 400)),
			takeReading(low!.id, 'heightMm', 450)
		);
		expect(inOrder(both, cabinetId).map(({ inside }) => inside.heightMm)).toEqual([450, 400]);
		expect(codes(both)).toContain('shelves-too-tall');
	});
	it('stay where they are when nothing overlaps', () => {
		for (const home of [demoHome(NOW), bareKitchen()]) {
			const [nook] = Object.values(home.nooks).filter(({ inside }) => inside.widthMm);
			const after = apply(home, takeSides(nook!.id, { depthMm: nook!.inside.depthMm! }));
			for (const { id, at } of Object.values(home.nooks)) expect(after.nooks[id]!.at).toEqual(at);
		}
		expect(codes(demoHome(NOW))).not.toContain('places-overlap');
	});
});

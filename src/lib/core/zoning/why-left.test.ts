import { describe, expect, it } from 'vitest';
import { demoHome } from '$lib/data/demo';
import { NOW } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { buildZoneModel } from './build';
import { layoutOf } from './explain';
import { rulesAgainst } from './rules-against';
import { whyLeft } from './why-left';

const demo = demoHome(NOW);
const partOf = (model: ReturnType<typeof buildZoneModel>, groupId: string) =>
	model.parts.findIndex(({ figures }) => figures.groupId === groupId);
const without = (home: Home, kinds: string): Home => ({
	...home,
	nooks: Object.fromEntries(
		Object.entries(home.nooks).filter(([, nook]) => !nook.kind.startsWith(kinds))
	)
});

describe('why a group has no place', () => {
	it('names the rule that takes every nook away, and that none is left', () => {
		const home = without(without(demo, 'freezer'), 'chest');
		const model = buildZoneModel(home);
		const frozen = model.parts.findIndex(({ figures }) => figures.needs.has('frozen'));
		const why = whyLeft(model, layoutOf(model, []), frozen);
		expect(why.rules[0]!.code).toBe('needs-frozen');
		expect(why.allowed).toBe(0);
		expect(why.change).toEqual({ code: 'no-nook' });
	});
	it('counts every nook once, as allowed or under a rule', () => {
		const model = buildZoneModel(demo);
		const layout = layoutOf(model, []);
		for (let g = 0; g < model.parts.length; g++) {
			const { rules, allowed } = whyLeft(model, layout, g);
			expect(rules.reduce((sum, { nooks }) => sum + nooks, allowed)).toBe(model.places.length);
		}
	});
	it('with all allowed nooks full, says what is short, by how much, and who holds it', () => {
		const model = buildZoneModel(demo);
		const g = partOf(model, 'baking');
		const layout = layoutOf(model, []);
		expect(whyLeft(model, layout, g).change.code).toBe('has-room');
		const { N, K, demand } = model.problem;
		// Every nook is left with half of the litres that it wants.
		for (let n = 0; n < N; n++) layout.free[n * K] = demand[g * K]! / 2;
		const { change } = whyLeft(model, layout, g);
		expect(change).toMatchObject({ code: 'needs-room', short: 'litres', heldBy: [] });
		expect(change.code === 'needs-room' && change.by).toBeCloseTo(demand[g * K]! / 2, 6);
	});
});

describe('rules against a group', () => {
	const model = buildZoneModel(demo);
	const { N } = model.problem;
	it('count each nook that they take once, and say which thing decides', () => {
		const g = partOf(model, 'appliances');
		const [first] = rulesAgainst(model, g);
		const low = model.spaces.filter(
			(space, n) => space.ok && space.passes.heightMm < 390 && model.cells[g * N + n]!.hard
		);
		expect(first!.code).toBe('too-tall');
		expect(demo.things[first!.thingId!]!.name).toBe('hand blender');
		expect(first!.nooks).toBeLessThanOrEqual(low.length);
		expect(first!.nooks).toBeGreaterThan(N / 2);
	});
	it('blame a thing only where without it the rule takes fewer places', () => {
		const fewer = ['appliances', 'boards', 'pots'].map((groupId) => {
			const g = partOf(model, groupId);
			const rule = rulesAgainst(model, g).find(({ thingId }) => thingId);
			const { [rule!.thingId as keyof typeof demo.things]: gone, ...things } = demo.things;
			const lots = Object.fromEntries(
				Object.entries(demo.lots).filter(([, lot]) => lot.thingId !== gone!.id)
			);
			const less = buildZoneModel({ ...demo, things, lots });
			const after = rulesAgainst(less, partOf(less, groupId)).find(
				({ code }) => code === rule!.code
			);
			return rule!.nooks - (after?.nooks ?? 0);
		});
		// Another thing may be as large or as heavy; none can be more so.
		expect(Math.min(...fewer)).toBeGreaterThanOrEqual(0);
		expect(fewer[1]).toBeGreaterThan(0);
	});
	it('blame nothing for a figure set by hand', () => {
		const home = structuredClone(demo);
		home.groups['appliances' as keyof typeof home.groups]!.overrides.tallestMm = 400;
		const tall = buildZoneModel(home);
		const rule = rulesAgainst(tall, partOf(tall, 'appliances')).find((r) => r.code === 'too-tall');
		expect(rule).toMatchObject({ thingId: null });
	});
});

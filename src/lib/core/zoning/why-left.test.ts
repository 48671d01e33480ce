import { describe, expect, it } from 'vitest';
import { demoHome } from '$lib/data/demo';
import { NOW } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { goesIn } from '../standing';
import { buildZoneModel } from './build';
import { layoutOf } from './explain';
import { rulesAgainst } from './rules-against';
import { roomlessMl, whyLeft } from './why-left';

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
		for (let n = 0; n < N; n++) layout.free[n * K] = demand[(g * N + n) * K]! / 2;
		const { change } = whyLeft(model, layout, g);
		expect(change).toMatchObject({ code: 'needs-room', short: 'litres', heldBy: [] });
		expect(change.code === 'needs-room' && change.by).toBeCloseTo(demand[g * N * K]! / 2, 6);
	});
	it('sums up what finds no room, without what no place may take at all', () => {
		const home = without(without(demo, 'freezer'), 'chest');
		const model = buildZoneModel(home);
		const layout = layoutOf(model, []);
		// Nothing is placed, and every place is free: what there is goes in somewhere.
		expect(roomlessMl(model, layout)).toBe(0);
		layout.free.fill(0);
		const { N, cost } = model.problem;
		const allowed = model.parts.filter((_, g) =>
			model.places.some((_, n) => Number.isFinite(cost[g * N + n]!))
		);
		expect(allowed.length).toBeLessThan(model.parts.length);
		const litres = allowed.reduce((sum, { figures, share }) => sum + figures.volumeMl * share, 0);
		expect(roomlessMl(model, layout)).toBeCloseTo(litres, 3);
	});
});

describe('rules against a group', () => {
	const model = buildZoneModel(demo);
	const { N } = model.problem;
	it('count each nook that they take once, and say which thing alone is too large for some', () => {
		for (const groupId of ['appliances', 'boards', 'pots', 'tools']) {
			const g = partOf(model, groupId);
			const { held } = model.parts[g]!.figures;
			const rules = rulesAgainst(model, g);
			const taken = rules.reduce((sum, { nooks }) => sum + nooks, 0);
			const cells = model.cells.slice(g * N, (g + 1) * N);
			expect(taken).toBe(cells.filter(({ hard }) => hard).length);
			for (const { code, thingId } of rules) {
				if (!thingId || (code !== 'too-tall' && code !== 'too-wide')) continue;
				const alone = model.places.filter((_, n) => {
					const clear = model.clears[n];
					if (!clear || cells[n]!.hard !== code) return false;
					const out = held.filter((thing) => goesIn(thing, clear) !== 'goes');
					return out.length === 1 && out[0]!.id === thingId;
				});
				expect(alone.length).toBeGreaterThan(0);
			}
		}
	});
	it('blame the heaviest for its weight', () => {
		const g = model.parts.findIndex((part) =>
			rulesAgainst(model, model.parts.indexOf(part)).some(({ code }) => code === 'heavy-high')
		);
		const rule = rulesAgainst(model, g).find(({ code }) => code === 'heavy-high')!;
		const { held, heaviestG } = model.parts[g]!.figures;
		expect(held.find(({ id }) => id === rule.thingId)!.massG).toBe(heaviestG);
	});
	it('blame nothing for a figure set by hand', () => {
		const home = structuredClone(demo);
		home.groups['appliances' as keyof typeof home.groups]!.overrides.tallestMm = 400;
		const tall = buildZoneModel(home);
		const rule = rulesAgainst(tall, partOf(tall, 'appliances')).find((r) => r.code === 'too-tall');
		expect(rule).toMatchObject({ thingId: null });
	});
});

import { describe, expect, it } from 'vitest';
import { planFor } from '../fixtures/plan-for';
import { apply, bareKitchen, tinyHome, withLines } from '../fixtures/tiny-home';
import type { ContainerKind, Home } from '../model';
import { addUsualKinds, fitNook, jarMl, plainKind, whyNoJar } from '.';

const kitchen = bareKitchen();
const shelf = Object.values(kitchen.nooks).find(({ kind }) => kind === 'shelf')!.id as string;
const LINES = ['1 plain flour 1kg', '1 caster sugar 1kg', '1 red lentils 500g', '1 rice 1kg'];
const home = (lines: readonly string[] = LINES, kinds?: readonly ContainerKind[]): Home => {
	const filled = apply(withLines(kitchen, lines, shelf), addUsualKinds(), (draft) => {
		draft.groups['g' as never] = {
			...Object.values(tinyHome().groups)[0]!,
			id: 'g',
			name: 'Dry goods',
			boxes: 'decant',
			holder: null
		} as never;
		for (const thing of Object.values(draft.things)) thing.groupId = 'g' as never;
		if (kinds) {
			for (const id of Object.keys(draft.containerKinds)) delete draft.containerKinds[id];
			for (const kind of kinds) draft.containerKinds[kind.id] = { ...kind };
		}
		Object.assign(draft.nooks[shelf]!.inside, { widthMm: 900, depthMm: 400, heightMm: 320 });
		draft.nooks[shelf]!.opening = null;
	});
	return planFor(filled, { g: shelf });
};
const best = (of: Home) => {
	const found = fitNook(of, shelf);
	if (!('arrangements' in found)) throw new Error(found.status);
	return found.arrangements;
};
const roleOf = (of: Home, kindId: string) => of.containerKinds[kindId]!.role;
const idOf = (of: Home, name: string) =>
	Object.values(of.things).find((thing) => thing.name === name)!.id;
const jar = (ml: number, more: Partial<ContainerKind> = {}): ContainerKind => ({
	...plainKind(`jar-${ml}`),
	name: `jar ${ml}`,
	role: 'jar',
	lid: true,
	airtight: true,
	outerTop: { widthMm: 100, depthMm: 100 },
	outerBase: { widthMm: 100, depthMm: 100 },
	inner: { widthMm: 90, depthMm: 90, heightMm: Math.round(ml / 8.1) },
	heightMm: Math.round(ml / 8.1) + 10,
	owned: 6,
	...more
});

describe('jars that were asked for', () => {
	it('are there for each thing that pours, whatever a bin would cost', () => {
		const asked = home();
		for (const { placements } of best(asked)) {
			const inJars = placements
				.filter(({ kindId }) => roleOf(asked, kindId) === 'jar')
				.flatMap(({ holds }) => holds.map(({ thingId }) => asked.things[thingId]!.name));
			expect(inJars.sort()).toEqual(['caster sugar', 'plain flour', 'red lentils', 'rice']);
		}
	});
	it('are of one kind for two sugars, where one kind takes both', () => {
		const sugars = home(['1 caster sugar 1kg', '1 brown sugar 1kg'], [jar(1400), jar(1600)]);
		const [first] = best(sugars);
		expect(new Set(first!.placements.map(({ kindId }) => kindId)).size).toBe(1);
		expect(first!.placements).toHaveLength(2);
	});
	it('go by litres: a pack wider than the jar is no reason', () => {
		const narrow = home(
			['1 rice 1kg'],
			[jar(1500, { inner: { widthMm: 60, depthMm: 90, heightMm: 280 }, heightMm: 285 })]
		);
		expect(best(narrow)[0]!.placements).toHaveLength(1);
	});
	it('say why not, in litres, kilograms and millimetres', () => {
		const of = (kinds: readonly ContainerKind[], line = '1 rice 1kg') => {
			const made = home([line], kinds);
			return whyNoJar(made, shelf, idOf(made, 'rice'));
		};
		expect(of([])).toEqual({ why: 'none-known' });
		expect(of([jar(700)])).toMatchObject({ why: 'pack-larger', kindId: 'jar-700' });
		expect(
			of([jar(2400, { inner: { widthMm: 200, depthMm: 200, heightMm: 240 }, heightMm: 250 })])
		).toMatchObject({
			why: 'pack-smaller'
		});
		const tall = of([jar(3200)]);
		expect(tall).toMatchObject({ why: 'place', over: { side: 'height' } });
		const found = of([jar(700)]);
		if (found?.why !== 'pack-larger') throw new Error('another reason');
		expect(found.needsMl).toBeCloseTo(1000 / 0.85, 0);
		expect(found.holdsMl).toBeCloseTo(jarMl(jar(700)), 6);
		expect(of([jar(1500)])).toEqual({ why: 'no-room' });
	});
});

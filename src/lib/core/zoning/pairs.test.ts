import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { NOW } from '../fixtures/tiny-home';
import { allGroupFigures } from '../grouping';
import { pairsOf } from './pairs';

const demo = demoHome(NOW);
const parts = allGroupFigures(demo).map((figures) => ({ figures, portion: 1 }));
const pairs = pairsOf(demo, parts);
const indexOf = (name: RegExp) =>
	parts.findIndex(({ figures }) => name.test(demo.groups[figures.groupId]!.name));
const togetherOf = (one: RegExp, two: RegExp): number => {
	const [a, b] = [indexOf(one), indexOf(two)].sort((x, y) => x - y);
	expect(a).toBeGreaterThanOrEqual(0);
	return pairs.find((pair) => pair.a === a && pair.b === b)?.together ?? 0;
};

describe('groups in one place', () => {
	it('cost where they are onions, potatoes and fruit, any two of them, and not with dry food', () => {
		const produce = [/^Onions/, /^Potatoes/, /^Fruit/];
		for (const one of produce)
			for (const two of produce)
				if (one !== two) expect(togetherOf(one, two), `${one} ${two}`).toBeGreaterThan(20);
		for (const one of produce) expect(togetherOf(one, /^Grains/)).toBe(0);
	});
	it('are listed once, the first before the second, none without a cost', () => {
		const keys = pairs.map(({ a, b }) => `${a}|${b}`);
		expect(new Set(keys).size).toBe(keys.length);
		for (const { a, b, near, together } of pairs) {
			expect(a).toBeLessThan(b);
			expect(near + together).toBeGreaterThan(0);
		}
	});
});

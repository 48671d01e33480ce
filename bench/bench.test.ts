import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	objectiveOf,
	sidesOf,
	solveAssignment,
	solveBySides,
	violations
} from '../src/lib/core/solvers/assignment';
import { benchAssignment, readInstance, SideThread } from './assignment';
import { benchCategories, namedCases } from './categories';
import { median } from './measure';

const FILES = ['assign-20x40-1', 'assign-pairs-20x40-1'].map(
	(name) => `bench/instances/${name}.json`
);

let side: SideThread;
beforeAll(async () => void (side = await SideThread.start()));
afterAll(() => side.end());

describe('the assignment bench', () => {
	it.each(FILES)('%s: a whole plan, its true objective, and a bound below it', async (file) => {
		const instance = JSON.parse(readFileSync(file, 'utf8'));
		const problem = readInstance(instance);
		const line = (await benchAssignment(file, 40, side)) as {
			objective: number;
			bound: number;
			assignment: number[];
			status: string;
		};
		const assignment = Int32Array.from(line.assignment);
		expect(violations(problem, assignment)).toEqual([]);
		expect(line.objective).toBeCloseTo(objectiveOf(problem, assignment), 6);
		expect(line.bound).toBeLessThanOrEqual(line.objective);
		// The file's own planted plan keeps every rule too, so the reading of the file is right.
		const planted = Int32Array.from(instance.planted as number[]);
		expect(violations(problem, planted)).toEqual([]);
		expect(line.bound).toBeLessThanOrEqual(objectiveOf(problem, planted));
	});
});

it('gives the same plan from two sides in two threads as in one', async () => {
	const problem = readInstance(JSON.parse(readFileSync(FILES[1]!, 'utf8')));
	const options = { seed: 3, moves: 20_000, sides: 2 };
	const far: number[] = [];
	const apart = await solveBySides(problem, options, (task) => {
		far.push(task.seed);
		return side.run(problem, task);
	});
	expect(far).toHaveLength(1);
	expect(apart).toEqual(solveAssignment(problem, options));
	expect(sidesOf(problem)).toBe(1);
	expect(sidesOf({ ...problem, G: 91 })).toBe(2);
	expect(sidesOf({ ...problem, G: 91, pairs: [] })).toBe(1);
});

it('files at least 94 of 100 generic names in their category, and none that can hurt surely elsewhere', () => {
	expect(new Set(namedCases().map(({ name }) => name)).size).toBeGreaterThanOrEqual(400);
	for (const list of benchCategories())
		expect(list.rightPercent, list.bench).toBeGreaterThanOrEqual(94);
});

it('takes the median of its runs', () => {
	let runs = 0;
	expect(median(3, () => ++runs).value).toBe(4);
});

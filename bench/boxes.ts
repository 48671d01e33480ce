import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { solveBoxes, type Box, type BoxesProblem } from '../src/lib/core/solvers/boxes';
import { round } from './measure';

const side = z.number().int().positive();
const Instance = z.object({
	width: side,
	depth: side,
	height: side,
	/** Least share of the bottom of a box that stands on something. */
	support: z.number().min(0).max(1).default(0.75),
	levelMm: z.number().int().min(0).default(3),
	items: z.array(
		z.object({
			id: z.string(),
			w: side,
			d: side,
			h: side,
			turning: z.enum(['none', 'flat', 'any']).default('any')
		})
	)
});
export type BoxesFile = z.input<typeof Instance>;

const STEPS_PER_MS = 60_000;
const IN_HAND = 0.94;

/** Packs one file of boxes within a budget, a ceiling in ms. */
export function benchBoxes(file: string, budgetMs: number): object {
	const { items, ...room } = Instance.parse(JSON.parse(readFileSync(file, 'utf8')));
	const from = performance.now();
	const problem: BoxesProblem = { ...room, boxes: items };
	const best = solveBoxes(problem, {
		steps: STEPS_PER_MS * budgetMs,
		isOver: () => performance.now() - from > budgetMs * IN_HAND
	});
	return {
		file,
		status: best.status,
		placed: best.placed.map(({ box, ...at }) => ({ id: items[box]!.id, ...at })),
		volume: best.volume,
		share: Math.round((1e4 * best.volume) / best.bound) / 1e4,
		bound: best.bound,
		ms: round(performance.now() - from)
	};
}

const LEAST_MM = 40;
export interface CutOptions {
	readonly count: number;
	readonly random: () => number;
	/** Each side is made shorter by up to so many mm, so that no two boxes share one; all of them still go in. */
	readonly looseMm?: number;
	readonly support?: number;
}
/** Makes a room cut into boxes, so that all of them go in: a problem whose answer is known. */
export function cutRoom({ count, random, looseMm = 0, support = 0.75 }: CutOptions): BoxesFile {
	const [width, depth, height] = [600, 450, 400];
	type Part = Box & { readonly w: number; readonly d: number; readonly h: number };
	const parts: Part[] = [{ w: width, d: depth, h: height, turning: 'any' }];
	for (let guard = 0; parts.length < count && guard < 10_000; guard++) {
		const sized = parts.map((part, i) => [part.w * part.d * part.h * (0.6 + 0.8 * random()), i]);
		const i = sized.sort((a, b) => b[0]! - a[0]!)[0]![1]!;
		const part = parts[i]!;
		// The longest side is cut most often.
		const sides = (['w', 'd', 'h'] as const).filter((key) => part[key] >= 2 * LEAST_MM);
		if (!sides.length) continue;
		const key = sides.sort((a, b) => part[b] * (0.5 + random()) - part[a] * (0.5 + random()))[0]!;
		const at = Math.round(LEAST_MM + (part[key] - 2 * LEAST_MM) * (0.2 + 0.6 * random()));
		parts.splice(i, 1, { ...part, [key]: at }, { ...part, [key]: part[key] - at });
	}
	const items = parts.map(({ w, d, h }, i) => {
		const turned = [w, d, h]
			.map((side) => side - Math.floor(random() * (looseMm + 1)))
			.sort(() => random() - 0.5);
		return {
			id: `b${i + 1}`,
			w: turned[0]!,
			d: turned[1]!,
			h: turned[2]!,
			turning: 'any' as const
		};
	});
	return { width, depth, height, support, items: items.sort(() => random() - 0.5) };
}

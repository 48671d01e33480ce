import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { cutRoom } from '../src/lib/core/fixtures/cut-room';
import { solveBoxes, type BoxesProblem, type BoxesResult } from '../src/lib/core/solvers/boxes';
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
const STEPS_PER_MS = 60_000;
const IN_HAND = 0.94;

function timed(problem: BoxesProblem, budgetMs: number): { best: BoxesResult; ms: number } {
	const from = performance.now();
	const best = solveBoxes(problem, {
		steps: STEPS_PER_MS * budgetMs,
		isOver: () => performance.now() - from > budgetMs * IN_HAND
	});
	return { best, ms: round(performance.now() - from) };
}
const shareOf = ({ volume, bound }: BoxesResult) => Math.round((1e4 * volume) / bound) / 1e4;

/** Packs one file of boxes within a budget, a ceiling in ms. */
export function benchBoxes(file: string, budgetMs: number): object {
	const { items, ...room } = Instance.parse(JSON.parse(readFileSync(file, 'utf8')));
	const { best, ms } = timed({ ...room, boxes: items }, budgetMs);
	return {
		file,
		status: best.status,
		placed: best.placed.map(({ box, ...at }) => ({ id: items[box]!.id, ...at })),
		volume: best.volume,
		share: shareOf(best),
		bound: best.bound,
		ms
	};
}

const SEEDS = 10;
/** Rooms cut into boxes of which all go in, as they were cut and with sides that differ a little: the share that goes in. */
export function benchCutRooms(budgetMs: number): object[] {
	return [0, 4, 12].flatMap((looseMm) =>
		[20, 50].map((count) => {
			const runs = Array.from({ length: SEEDS }, (_, i) => {
				return timed(cutRoom({ count, seed: i + 1, looseMm }), budgetMs);
			});
			const middle = (values: readonly number[]) =>
				[...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
			const shares = runs.map(({ best }) => shareOf(best));
			return {
				bench: `${count} boxes in a box, sides shorter by up to ${looseMm} mm`,
				seeds: SEEDS,
				share: middle(shares),
				least: Math.min(...shares),
				ms: middle(runs.map(({ ms }) => ms))
			};
		})
	);
}

/** A room cut into boxes as a problem file. */
export function cutRoomFile(count: number, seed: number, looseMm: number): object {
	const { boxes, ...room } = cutRoom({ count, seed, looseMm });
	return {
		kind: 'boxes',
		seed,
		...room,
		items: boxes.map((box, i) => ({ id: `b${i + 1}`, ...box }))
	};
}

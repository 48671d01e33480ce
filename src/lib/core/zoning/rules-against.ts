import { SUMMED, type GroupFigures, type SummedFigure } from '../grouping';
import type { ZoneModel } from './build';
import type { HardCode } from './hard-rules';

/** How many nooks one hard rule takes from a group, and the thing that decides it where one thing does. */
export interface RuleAgainst {
	readonly code: HardCode;
	readonly nooks: number;
	readonly thingId: string | null;
}

/** Rules that the largest or heaviest thing of a group decides. */
const DECIDED_BY: Partial<Record<HardCode, SummedFigure>> = {
	'too-tall': 'tallestMm',
	'too-wide': 'longestMm',
	'heavy-high': 'heaviestG',
	'heavy-low': 'heaviestG'
};

/** The thing whose size or weight is the group's; null when the figure was set by hand. Ties by id. */
function decidingThing(figures: GroupFigures, code: HardCode): string | null {
	const key = DECIDED_BY[code];
	if (!key || figures.overridden.has(key)) return null;
	const most = figures.things
		.filter(
			(thing) => SUMMED[key].of({ thing, lots: [], pieces: 1, spare: false }) === figures[key]
		)
		.sort((a, b) => (a.id < b.id ? -1 : 1))[0];
	// What is long need not be what is wide: then no one thing decides.
	const { widthMm = 0, depthMm = 0 } = most?.piece ?? {};
	if (code === 'too-wide' && Math.min(widthMm, depthMm) < figures.widestMm) return null;
	return most?.id ?? null;
}

/**
 * Counts the nooks that each hard rule takes from part `g`, the most first; ties by code.
 * @example rulesAgainst(model, blender)[0] // { code: 'too-tall', nooks: 63, thingId: 'hand-blender' }
 */
export function rulesAgainst(model: ZoneModel, g: number): RuleAgainst[] {
	const { N } = model.problem;
	const counts = new Map<HardCode, number>();
	for (let n = 0; n < N; n++) {
		const hard = model.cells[g * N + n]!.hard;
		if (hard) counts.set(hard, (counts.get(hard) ?? 0) + 1);
	}
	return [...counts]
		.map(([code, nooks]) => ({
			code,
			nooks,
			thingId: decidingThing(model.parts[g]!.figures, code)
		}))
		.sort((a, b) => b.nooks - a.nooks || (a.code < b.code ? -1 : 1));
}

import type { GroupFigures } from '../grouping';
import { goesIn } from '../standing';
import type { ZoneModel } from './build';
import { isSizedByHand, type HardCode } from './hard-rules';

/** How many nooks one hard rule takes from a group, and the thing that decides it where one thing does. */
export interface RuleAgainst {
	readonly code: HardCode;
	readonly nooks: number;
	readonly thingId: string | null;
}

/** The heaviest thing of a group, where its weight is not set by hand and no other weighs as much. Ties by id. */
function heaviest({ held, heaviestG, overridden }: GroupFigures): string | null {
	if (overridden.has('heaviestG')) return null;
	const [most] = held
		.filter(({ massG }) => massG === heaviestG)
		.sort((a, b) => (a.id < b.id ? -1 : 1));
	return most?.id ?? null;
}

/** The thing that alone keeps its group out of most of some nooks by its size; null: no one thing does. Ties by id. */
function tooLarge(
	figures: GroupFigures,
	{ clears }: ZoneModel,
	nooks: readonly number[]
): string | null {
	if (isSizedByHand(figures)) return null;
	const alone = new Map<string, number>();
	for (const n of nooks) {
		const clear = clears[n];
		if (!clear) continue;
		const out = figures.held.filter((thing) => goesIn(thing, clear) !== 'goes');
		if (out.length === 1) alone.set(out[0]!.id, (alone.get(out[0]!.id) ?? 0) + 1);
	}
	return [...alone].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? null;
}

/**
 * Counts the nooks that each hard rule takes from part `g`, the most first; ties by code.
 * @example rulesAgainst(model, blender)[0] // { code: 'too-tall', nooks: 63, thingId: 'hand-blender' }
 */
export function rulesAgainst(model: ZoneModel, g: number): RuleAgainst[] {
	const { N } = model.problem;
	const { figures } = model.parts[g]!;
	const counts = new Map<HardCode, number[]>();
	for (let n = 0; n < N; n++) {
		const hard = model.cells[g * N + n]!.hard;
		if (hard) counts.set(hard, [...(counts.get(hard) ?? []), n]);
	}
	const decides = (code: HardCode, nooks: readonly number[]) => {
		if (code === 'too-tall' || code === 'too-wide') return tooLarge(figures, model, nooks);
		return code === 'heavy-high' || code === 'heavy-low' || code === 'over-limit'
			? heaviest(figures)
			: null;
	};
	return [...counts]
		.map(([code, nooks]) => ({ code, nooks: nooks.length, thingId: decides(code, nooks) }))
		.sort((a, b) => b.nooks - a.nooks || (a.code < b.code ? -1 : 1));
}

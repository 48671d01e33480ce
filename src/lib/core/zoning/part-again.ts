import { searchAssignment, type AssignmentProblem } from '../solvers/assignment';
import { mostParts, splitEffort, type PartDraft } from './parts';

/** What of a model is looked at here. */
interface Parted {
	readonly problem: AssignmentProblem;
	readonly parts: readonly Pick<PartDraft, 'figures' | 'share' | 'thingIds'>[];
}

/** A good plan to begin with, and a look at what would come of it with one group parted otherwise. */
const FIRST = { seed: 1, moves: 60_000, restarts: 2 };
const LOOK = { seed: 1, moves: 20_000, restarts: 1 };
/** A group whose places cost so much more than the best ones for it might do better in more of them, m a week. */
const REGRET = 40;
/** What parting it has to bring, beyond what it costs to look in one place more, m a week. */
const GAIN = 30;
/** Most groups that are tried, and most parts × nooks that are written anew by it: a large house waits no longer for it. */
const TRIES = 24;
const MOST_CELLS = 90_000;

interface Look {
	readonly assignment: Int32Array;
	/** Something has no place. */
	readonly isShort: boolean;
	/** Effort of a quick plan, with what it costs to look for groups in several places. */
	readonly effort: number;
	/**
	 * Groups that may do better in more places: by what each would save in the best places for its parts, were nothing else
	 * there; where something has no place, then those that stand where it could, the largest first.
	 */
	readonly candidates: readonly string[];
}

/** Groups that stand where something without a place could, by the litres they take there, most first. */
function inTheWay({ problem, parts }: Parted, assignment: Int32Array): string[] {
	const { N } = problem;
	const wanted = new Set<number>();
	parts.forEach((_, g) => {
		if (assignment[g]! >= 0) return;
		for (let n = 0; n < N; n++) if (problem.cost[g * N + n]! < Infinity) wanted.add(n);
	});
	const litres = new Map<string, number>();
	parts.forEach(({ figures: { groupId, volumeMl }, share }, g) => {
		if (wanted.has(assignment[g]!))
			litres.set(groupId, (litres.get(groupId) ?? 0) + volumeMl * share);
	});
	return [...litres]
		.sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))
		.map(([groupId]) => groupId);
}

function lookAt({ problem, parts }: Parted, start?: Int32Array): Look {
	const { N } = problem;
	const { assignment, objective } = searchAssignment(problem, start ? { ...LOOK, start } : FIRST);
	const regrets = new Map<string, number>();
	const own = new Map<string, number[]>();
	parts.forEach(({ figures }, g) => {
		const row = problem.cost.subarray(g * N, (g + 1) * N);
		const n = assignment[g]!;
		const cost = n < 0 ? problem.overflow[g]! : row[n]!;
		const regret = cost - row.reduce((least, each) => Math.min(least, each), Infinity);
		regrets.set(figures.groupId, (regrets.get(figures.groupId) ?? 0) + regret);
		own.set(figures.groupId, [...(own.get(figures.groupId) ?? []), g]);
	});
	let effort = objective;
	for (const of of own.values()) effort += splitEffort(parts[of[0]!]!.figures, of.length);
	const ill = [...regrets]
		.filter(([, regret]) => regret > REGRET)
		.sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))
		.map(([groupId]) => groupId);
	return {
		effort,
		assignment,
		isShort: assignment.some((n) => n < 0),
		candidates: [...new Set([...ill, ...inTheWay({ problem, parts }, assignment)])]
	};
}

/** The places of one model in another: what is parted otherwise there waits for a place. */
function carried(from: Parted, assignment: Int32Array, to: Parted): Int32Array {
	const placeOf = new Map(
		from.parts.map((part, g) => [
			`${part.figures.groupId}:${part.thingIds?.join() ?? part.share}`,
			g
		])
	);
	return Int32Array.from(to.parts, ({ figures, thingIds, share }) => {
		const g = placeOf.get(`${figures.groupId}:${thingIds?.join() ?? share}`);
		return g === undefined ? -1 : assignment[g]!;
	});
}

/**
 * Parts groups that stand badly as they are into one part more, as long as a quick plan gains by it more than it costs
 * to look in one place more: dishes that go whole only onto a far shelf stand well in two drawers. Deterministic.
 * @param modelOf Builds the model again with at least so many parts of some groups.
 */
export function partAgain<Model extends Parted>(
	start: Model,
	modelOf: (atLeast: ReadonlyMap<string, number>) => Model
): { model: Model; counts: ReadonlyMap<string, number> } {
	let model = start;
	let counts: ReadonlyMap<string, number> = new Map();
	const { G, N } = start.problem;
	const tries = G ? Math.min(TRIES, Math.floor(MOST_CELLS / (G * N))) : 0;
	if (tries < 2) return { model, counts };
	// Looks on from its first plan, as every trial does: else a trial would be praised for the search alone.
	let look = lookAt(model, lookAt(model).assignment);
	const tried = new Set<string>();
	/** Parts a group into so many, and stays with it when that brings more than `gain`. */
	const attempt = (groupId: string, count: number, gain: number): boolean => {
		const changed = new Map(counts).set(groupId, count);
		const other = modelOf(changed);
		const there = lookAt(other, carried(model, look.assignment, other));
		if (there.effort >= look.effort - gain) return false;
		[model, counts, look] = [other, changed, there];
		return true;
	};
	for (let i = 0; i < tries; i++) {
		const groupId = look.candidates.find((each) => !tried.has(each));
		if (groupId === undefined) break;
		tried.add(groupId);
		const own = model.parts.filter(({ figures }) => figures.groupId === groupId);
		const pieces = own.reduce((sum, { figures, share }) => sum + figures.pieces * share, 0);
		if (own.length >= mostParts({ pieces })) continue;
		// What was of no use before may be now.
		// Where something has no place, what makes room only together with others is worth it as soon as it costs nothing.
		if (attempt(groupId, own.length + 1, look.isShort ? 0 : GAIN)) tried.clear();
	}
	// What was parted early may be of no use any more.
	for (const [groupId, count] of [...counts]) attempt(groupId, count - 1, 0);
	return { model, counts };
}

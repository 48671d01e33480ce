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
const REGRET = 20;
/** What parting it otherwise has to bring, with what it costs to look in more places, m a week. */
const GAIN = 30;
/** Most looks, and most parts × nooks that are written anew by them: a large house waits no longer for it. */
const TRIES = 60;
const MOST_CELLS = 100_000;
/** How the parts of a group that is tried change, in turn. */
const STEPS = [1, 2, -1];
/** So many groups are parted at once where none by itself makes room. */
const AT_ONCE = [2, 4, 8];

interface Look {
	readonly assignment: Int32Array;
	/** Something has no place. */
	readonly isShort: boolean;
	/** Effort of a quick plan, with what it costs to look for groups in several places. */
	readonly effort: number;
	/**
	 * Groups that may do better in other places: by what each would save in the best places for its parts, were nothing else
	 * there; then those that stand where one of these or something without a place could, by what they stand in the way of.
	 */
	readonly candidates: readonly string[];
	/** Groups that stand where something without a place could. */
	readonly blocking: readonly string[];
}

/** The groups of some figures, the largest first. */
const byMost = (of: ReadonlyMap<string, number>): string[] =>
	[...of].sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1)).map(([groupId]) => groupId);
const add = (to: Map<string, number>, key: string, more: number) =>
	to.set(key, (to.get(key) ?? 0) + more);

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
		if (wanted.has(assignment[g]!)) add(litres, groupId, volumeMl * share);
	});
	return byMost(litres);
}

/** Groups that stand where a part would cost less by more than `REGRET`, by what that comes to over all such parts. */
function envied({ problem, parts }: Parted, assignment: Int32Array): string[] {
	const { N } = problem;
	const wanted = new Float64Array(N);
	parts.forEach((_, g) => {
		const n = assignment[g]!;
		if (n < 0) return;
		for (let m = 0; m < N; m++) {
			const saved = problem.cost[g * N + n]! - problem.cost[g * N + m]!;
			if (saved > REGRET) wanted[m]! += saved;
		}
	});
	const found = new Map<string, number>();
	parts.forEach(({ figures: { groupId } }, g) => {
		const n = assignment[g]!;
		if (n >= 0 && wanted[n]! > 0) add(found, groupId, wanted[n]!);
	});
	return byMost(found);
}

function lookAt({ problem, parts }: Parted, start?: Int32Array): Look {
	const { N } = problem;
	const { assignment, objective } = searchAssignment(problem, start ? { ...LOOK, start } : FIRST);
	const regrets = new Map<string, number>();
	const own = new Map<string, number>();
	let effort = objective;
	parts.forEach(({ figures }, g) => {
		const row = problem.cost.subarray(g * N, (g + 1) * N);
		const n = assignment[g]!;
		const cost = n < 0 ? problem.overflow[g]! : row[n]!;
		add(
			regrets,
			figures.groupId,
			cost - row.reduce((least, each) => Math.min(least, each), Infinity)
		);
		add(own, figures.groupId, 1);
	});
	for (const [groupId, count] of own)
		effort += splitEffort(parts.find(({ figures }) => figures.groupId === groupId)!.figures, count);
	const ill = byMost(new Map([...regrets].filter(([, regret]) => regret > REGRET)));
	const model = { problem, parts };
	const blocking = inTheWay(model, assignment);
	return {
		effort,
		assignment,
		isShort: assignment.some((n) => n < 0),
		candidates: [...new Set([...ill, ...blocking, ...envied(model, assignment)])],
		blocking
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
 * Parts groups that stand badly as they are, and those that stand in their way, into one part more, two more or one fewer
 * (several at once where something has no place), as long as a quick plan gains by it more than it costs to look in more
 * places: dishes that go whole only onto a far shelf stand well in two drawers. Deterministic.
 * @param modelOf Builds the model again with so many parts of some groups.
 * @returns The model, into how many parts groups go that are parted otherwise, and the effort of a quick plan; Infinity: not looked at.
 */
export function partAgain<Model extends Parted>(
	start: Model,
	modelOf: (counts: ReadonlyMap<string, number>) => Model
): { model: Model; counts: ReadonlyMap<string, number>; effort: number } {
	let model = start;
	let counts: ReadonlyMap<string, number> = new Map();
	const { G, N } = start.problem;
	let tries = G ? Math.min(TRIES, Math.floor(MOST_CELLS / (G * N))) : 0;
	if (tries < 2) return { model, counts, effort: Infinity };
	// Looks on from its first plan, as every trial does: else a trial would be praised for the search alone.
	let look = lookAt(model, lookAt(model).assignment);
	/** Groups by the step that was tried. */
	const tried = new Set<string>();
	/** Parts groups into so many, and stays with it when that brings more than `gain`. */
	const attempt = (some: ReadonlyMap<string, number>, gain: number): boolean => {
		const changed = new Map([...counts, ...some]);
		const other = modelOf(changed);
		tries--;
		const there = lookAt(other, carried(model, look.assignment, other));
		if (there.effort >= look.effort - gain) return false;
		[model, counts, look] = [other, changed, there];
		return true;
	};
	const partsOf = (groupId: string) =>
		model.parts.filter(({ figures }) => figures.groupId === groupId);
	const stepOf = (groupId: string, step: number, isNew = true): number | null => {
		const own = partsOf(groupId);
		const pieces = own.reduce((sum, { figures, share }) => sum + figures.pieces * share, 0);
		const count = own.length + step;
		return count >= 1 &&
			count <= mostParts({ pieces }) &&
			!(isNew && tried.has(`${groupId}:${step}`))
			? count
			: null;
	};
	/** Where something has no place and no group parted by itself makes room, several at once may. */
	const together = (): boolean =>
		look.isShort &&
		AT_ONCE.some((most) => {
			const some = look.blocking
				.filter((groupId) => stepOf(groupId, 1, false) !== null)
				.slice(0, most);
			if (tries < 1 || some.length < most) return false;
			return attempt(new Map(some.map((groupId) => [groupId, stepOf(groupId, 1, false)!])), 0);
		});
	let wasTogether = false;
	while (tries > 0) {
		const next = STEPS.flatMap((step) =>
			look.candidates.map((groupId) => ({ groupId, step }))
		).find(({ groupId, step }) => stepOf(groupId, step) !== null);
		if (next?.step !== 1 && !wasTogether) {
			wasTogether = true;
			if (together()) tried.clear();
			continue;
		}
		if (!next) break;
		const { groupId, step } = next;
		const count = stepOf(groupId, step)!;
		tried.add(`${groupId}:${step}`);
		// Where something has no place, what makes room only together with others is worth it as soon as it costs nothing.
		// What was of no use before may be now.
		if (attempt(new Map([[groupId, count]]), look.isShort ? 0 : GAIN)) {
			tried.clear();
			wasTogether = false;
		}
	}
	// What was parted early may be of no use any more.
	for (const groupId of [...counts.keys()]) {
		const count = partsOf(groupId).length - 1;
		if (count > 0) attempt(new Map([[groupId, count]]), 0);
	}
	return { model, counts, effort: look.effort };
}

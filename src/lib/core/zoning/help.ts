import { applyEdit, usesPerWeek, pieceVolumeMl, type Edit, type Home, type Thing } from '../model';
import { piecesIn } from '../grouping';
import { acceptHidden, findHidden, fitCatch, fitLock, raiseShelf } from '../survey';
import { objectiveOf, solveAssignment, violations } from '../solvers/assignment';
import { guardsToAsk } from './ask-guard';
import { buildZoneModel, zoneModelOf, type ZoneModel } from './build';
import { guardFor, liftAt, takesGuard } from './lifts';
import { writeAssignment, readAssignment, type PlaceResult } from './solve';

/** A change to the home, or to what is in it, that may help its plan. */
export type Help =
	| { readonly code: 'catch' | 'lock'; readonly cabinetId: string }
	| {
			readonly code: 'shelf';
			readonly nookId: string;
			readonly pegs: number;
			readonly byMm: number;
	  }
	| { readonly code: 'hidden'; readonly key: string }
	| { readonly code: 'let-go'; readonly thingId: string };

/** What a change brings, computed by solving with it. */
export interface Helped {
	readonly help: Help;
	/** Effort a week less than without it, m; what has no place counts for none. */
	readonly savedM: number;
	/** Groups that find a place only with it. */
	readonly placed: readonly string[];
	/** Rough cost, minor units; null: none, or not known. */
	readonly costMinor: number | null;
}

/** A catch and a lock from a shop, minor units; working estimates. */
const GUARD_MINOR = { catch: 600, lock: 1500 } as const;
/** So many of each kind are tried: the likeliest. */
const TRIED = { guard: 4, shelf: 4, hidden: 5, 'let-go': 5 } as const;
/** What is used less than this a week and takes more than this may be let go, ml. */
const LET_GO = { usesPerWeek: 0.3, ml: 6000 };

const ASKED = 1000;

const heldMl = (home: Home): Map<string, number> => {
	const sums = new Map<string, number>();
	for (const lot of Object.values(home.lots)) {
		const thing = home.things[lot.thingId];
		if (thing && lot.count > 0)
			sums.set(thing.id, (sums.get(thing.id) ?? 0) + pieceVolumeMl(thing) * piecesIn(lot));
	}
	return sums;
};

/** Lists the changes worth trying, the likeliest of each kind, in a fixed order. */
export function likelyHelps(home: Home, overflow: readonly string[] = []): Help[] {
	const model = zoneModelOf(home);
	const { G, N } = model.problem;
	const guards = new Map<string, number>();
	// What is asked for before a plan is tried before all else.
	for (const { guard, cabinetId } of guardsToAsk(model)) guards.set(`${guard}/${cabinetId}`, ASKED);
	const shelves = new Map<string, Extract<Help, { code: 'shelf' }> & { weight: number }>();
	for (let g = 0; g < G; g++) {
		const { figures } = model.parts[g]!;
		const isLeft = overflow.includes(figures.groupId);
		for (let n = 0; n < N; n++) {
			const { hard } = model.cells[g * N + n]!;
			const place = model.places[n]!;
			const guard = guardFor(hard);
			if (guard && takesGuard(place)) {
				const key = `${guard}/${place.cabinet.id}`;
				guards.set(key, (guards.get(key) ?? 0) + figures.tripsPerWeek + (isLeft ? 50 : 0));
			}
			if (hard !== 'too-tall') continue;
			const lift = liftAt(model, g, n);
			if (lift?.code !== 'raise-shelf') continue;
			const key = `${lift.nookId}/${lift.pegs}`;
			const known = shelves.get(key)?.weight ?? 0;
			const { nookId, pegs, byMm } = lift;
			const weight = known + (isLeft ? 50 : 1) / pegs;
			shelves.set(key, { code: 'shelf', nookId, pegs, byMm, weight });
		}
	}
	const most = <T>(list: readonly T[], of: (one: T) => number, key: (one: T) => string) =>
		[...list].sort((a, b) => of(b) - of(a) || (key(a) < key(b) ? -1 : 1));
	const ml = heldMl(home);
	const rare = Object.values(home.things).filter(
		(thing) => usesPerWeek(thing) < LET_GO.usesPerWeek && (ml.get(thing.id) ?? 0) >= LET_GO.ml
	);
	return [
		...most(
			[...guards],
			([, weight]) => weight,
			([key]) => key
		)
			.slice(0, TRIED.guard)
			.map(([key]): Help => {
				const [code, cabinetId] = key.split('/') as ['catch' | 'lock', string];
				return { code, cabinetId };
			}),
		...most(
			[...shelves.values()],
			({ weight }) => weight,
			({ nookId }) => nookId
		)
			.slice(0, TRIED.shelf)
			.map(({ nookId, pegs, byMm }): Help => ({ code: 'shelf', nookId, pegs, byMm })),
		...findHidden(home)
			.filter(({ allowed }) => allowed)
			.slice(0, TRIED.hidden)
			.map(({ key }): Help => ({ code: 'hidden', key })),
		...most(
			rare,
			({ id }) => ml.get(id) ?? 0,
			({ id }) => id
		)
			.slice(0, TRIED['let-go'])
			.map(({ id }: Thing): Help => ({ code: 'let-go', thingId: id }))
	];
}

/** Makes the edit that a help asks for; null: the home has changed and it is none any more. */
export function helpEdit(home: Home, help: Help, newId: () => string): Edit | null {
	switch (help.code) {
		case 'catch':
			return home.cabinets[help.cabinetId] ? fitCatch(help.cabinetId) : null;
		case 'lock':
			return home.cabinets[help.cabinetId] ? fitLock(help.cabinetId) : null;
		case 'shelf':
			return home.nooks[help.nookId] ? raiseShelf(help.nookId, help.pegs) : null;
		case 'hidden': {
			const place = findHidden(home).find(({ key }) => key === help.key);
			return place ? acceptHidden(place, place.loadG, newId) : null;
		}
		case 'let-go':
			return (draft) => {
				for (const [id, lot] of Object.entries(draft.lots))
					if (lot.thingId === help.thingId) delete draft.lots[id];
			};
	}
}

const costOf = (home: Home, help: Help): number | null => {
	if (help.code === 'catch' || help.code === 'lock') return GUARD_MINOR[help.code];
	if (help.code === 'hidden')
		return findHidden(home).find(({ key }) => key === help.key)?.costMinor ?? null;
	return null;
};

export interface HelpOptions {
	readonly seed: number;
	/** Moves tried for each change. */
	readonly moves: number;
}
export const DEFAULT_HELP: HelpOptions = { seed: 1, moves: 60_000 };

/** What a plan costs where things stand, without the toll on what has no place. */
function effortOf(
	model: ZoneModel,
	{ seed, moves }: HelpOptions,
	start: PlaceResult['assignments']
) {
	const { problem } = model;
	const from = writeAssignment(model, start);
	const usable = violations(problem, from).length ? undefined : from;
	const { assignment } = solveAssignment(problem, { seed, moves }, usable);
	const left = readAssignment(model, assignment).overflow;
	const toll = assignment.reduce((sum, n, g) => sum + (n < 0 ? problem.overflow[g]! : 0), 0);
	return {
		effort: objectiveOf(problem, assignment) - toll,
		toll,
		left,
		assignments: readAssignment(model, assignment).assignments
	};
}

/**
 * Computes what each of some changes would bring, by solving with it from the plan at hand: effort a week saved, and
 * what finds a place only with it. `onFound` hears of each as it is known; a true answer ends the work. Sorted by what
 * it places, then by what it saves; what brings nothing is left out. Deterministic for the home, the seed and the moves.
 */
export function whatHelps(
	home: Home,
	plan: Pick<PlaceResult, 'assignments'>,
	helps: readonly Help[],
	options: HelpOptions = DEFAULT_HELP,
	onFound?: (found: readonly Helped[], doneShare: number) => boolean | void
): Helped[] {
	// From the best that the same work finds without any change, so that no change is praised for the search.
	const model = buildZoneModel(home);
	const now = effortOf(model, options, plan.assignments);
	const found: Helped[] = [];
	for (const [i, help] of helps.entries()) {
		let next = 0;
		const edit = helpEdit(home, help, () => `help-${++next}`);
		if (!edit) continue;
		// Parted alike, so that it is not praised for another parting either.
		const changed = buildZoneModel(applyEdit(home, edit).home, model);
		const then = effortOf(changed, options, now.assignments);
		const placed = now.left.filter((id) => !then.left.includes(id));
		// A plan that places more walks more: then what it places is what it brings.
		const savedM = placed.length ? 0 : Math.max(0, now.effort + now.toll - then.effort - then.toll);
		if (placed.length || savedM >= LEAST_SAVED_M)
			found.push({ help, savedM, placed, costMinor: costOf(home, help) });
		found.sort((a, b) => b.placed.length - a.placed.length || b.savedM - a.savedM);
		if (onFound?.([...found], (i + 1) / helps.length)) break;
	}
	return found;
}
/** Less than this a week is nothing that anybody would fit a catch for, m. */
const LEAST_SAVED_M = 3;

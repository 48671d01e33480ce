import { activePlan, applyEdit, type Assignment, type Edit, type Home, type Nook } from '../model';
import { solveShelves } from '../solvers/shelves';
import { brokenRules, buildZoneModel, layoutOf, placesOfLots } from '../zoning';
import { standFree } from './loose';
import { roomOf, type Packing } from './room';
import { goodsOf } from './wants';

/** Shelves over each other in one cabinet that can be set to other holes. */
export interface ShelfColumn {
	/** From below. The first stands on the cabinet's floor. */
	readonly nooks: readonly Nook[];
	readonly pitchMm: number;
	readonly thicknessMm: number;
	/** Height of the lowest hole above the cabinet's floor, mm, and of all there is. */
	readonly firstHoleMm: number;
	readonly heightMm: number;
	/** Hole of each shelf but the first place, from below. */
	readonly holes: readonly number[];
}

/** What stands in one place of the plan, as the shelves see it. */
interface Unit {
	readonly assignment: Assignment;
	readonly clearMm: number;
	readonly runMm: number;
	readonly value: number;
}

export interface ShelfMove {
	readonly nookId: string;
	/** Holes up; below zero: down. */
	readonly holes: number;
	readonly byMm: number;
}
export interface ShelfSetting {
	/** Clear height of each place afterwards, mm, from below, and its foot above the first. */
	readonly levels: readonly {
		readonly nookId: string;
		readonly heightMm: number;
		readonly footMm: number;
	}[];
	readonly moves: readonly ShelfMove[];
	/** Where what stands in these places goes. */
	readonly assignments: readonly Assignment[];
	/** Groups that have their room now and did not before. */
	readonly gains: readonly string[];
	/** Groups that do not stand whole in one of these places even so. */
	readonly out: readonly string[];
	/** Groups that a hard rule keeps from where they would stand; such a setting is not to be taken. */
	readonly against: readonly string[];
	/** No other setting holds more. */
	readonly isProven: boolean;
}

/** Fingers' room over what stands on a shelf, mm. */
const FINGERS_MM = 30;
/** A level lower than this is no place, mm. */
const LEAST_MM = 100;

/** Finds the shelves that can be set together with one place; null where none can, or a height is not measured. */
export function shelfColumn(home: Home, nookId: string): ShelfColumn | null {
	const nook = home.nooks[nookId];
	const shelves = nook && home.cabinets[nook.cabinetId]?.shelves;
	if (!shelves || shelves.pitchMm <= 0 || nook.kind !== 'shelf') return null;
	const nooks = Object.values(home.nooks)
		.filter(
			(other) =>
				other.cabinetId === nook.cabinetId &&
				other.kind === 'shelf' &&
				other.at.xMm === nook.at.xMm &&
				other.inside.widthMm === nook.inside.widthMm
		)
		.sort((a, b) => a.at.zMm - b.at.zMm);
	const movable = nooks.slice(1);
	const isMeasured = nooks.every(
		({ inside }) => inside.heightMm && inside.widthMm && inside.depthMm
	);
	if (!movable.length || !isMeasured || !movable.every(({ adjustable }) => adjustable)) return null;
	if (nooks.some(({ obstructions }) => obstructions.length)) return null;
	const foot = nooks[0]!.at.zMm;
	const { pitchMm, thicknessMm } = shelves;
	// The holes are where the boards are: what was measured decides, not the drawing.
	const firstZ = movable[0]!.at.zMm - foot;
	const lowest = Math.max(thicknessMm, Math.min(shelves.firstHoleMm, firstZ));
	const firstHoleMm = firstZ - Math.floor((firstZ - lowest) / pitchMm) * pitchMm;
	const top = nooks.at(-1)!;
	return {
		nooks,
		pitchMm,
		thicknessMm,
		firstHoleMm,
		heightMm: top.at.zMm - foot + top.inside.heightMm!,
		holes: movable.map(({ at }) => Math.round((at.zMm - foot - firstHoleMm) / pitchMm))
	};
}

/** What one assignment needs on a shelf as deep as these, under no board at all. */
function unitOf(
	home: Home,
	assignment: Assignment,
	all: readonly Assignment[],
	packing: Packing
): Unit | null {
	const goods = goodsOf(
		placesOfLots(home, assignment.groupId, all).filter(({ nookId }) => nookId === assignment.nookId)
	);
	if (!goods.length) return null;
	const { lanes, tooLarge } = standFree(goods, packing);
	if (tooLarge.length) return null;
	const litres = goods.reduce((sum, { volumeMl }) => sum + volumeMl, 0) / 1000;
	const uses = Math.max(...goods.map(({ usesPerWeek }) => usesPerWeek));
	return {
		assignment,
		clearMm: Math.max(...lanes.map(({ heightMm }) => heightMm)) + FINGERS_MM,
		runMm: lanes.reduce((sum, { w }) => sum + w, 0),
		value: Math.round(10 + litres + uses)
	};
}

/** Units that stand whole in their place at these heights, by place in their order. */
function standing(units: readonly Unit[], column: ShelfColumn): Set<Unit> {
	const left = new Map(column.nooks.map((nook) => [nook.id as string, nook.inside.widthMm!]));
	const height = new Map(column.nooks.map((nook) => [nook.id as string, nook.inside.heightMm!]));
	const found = new Set<Unit>();
	for (const unit of [...units].sort((a, b) => b.value - a.value)) {
		const { nookId } = unit.assignment;
		if (unit.clearMm > height.get(nookId)! || unit.runMm > left.get(nookId)!) continue;
		left.set(nookId, left.get(nookId)! - unit.runMm);
		found.add(unit);
	}
	return found;
}

/**
 * Sets the shelves of a cabinet for what the plan puts on them, so that as much as can stands whole on one shelf with
 * room for fingers above it. Exact; of equal settings the one with the fewest boards moved is not looked for. Null: no
 * shelf can be moved here, or it is as good as it gets.
 */
export function setShelvesFor(home: Home, nookId: string): ShelfSetting | null {
	const column = shelfColumn(home, nookId);
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	if (!column || !plan) return null;
	const depths = column.nooks.map(({ inside }) => inside.depthMm!);
	const shallow = column.nooks[depths.indexOf(Math.min(...depths))]!;
	const found = roomOf(home, shallow.id);
	if (!found) return null;
	const open = { ...found.room, heightMm: column.heightMm, passHeightMm: column.heightMm };
	const packing = { ...found, room: open };
	const ids = new Set(column.nooks.map(({ id }) => id as string));
	const here = plan.assignments.filter((assignment) => ids.has(assignment.nookId));
	const units = here.flatMap(
		(assignment) => unitOf(home, assignment, plan.assignments, packing) ?? []
	);
	if (!units.length) return null;
	const best = solveShelves({
		heightMm: column.heightMm,
		widthMm: Math.min(...column.nooks.map(({ inside }) => inside.widthMm!)),
		pitchMm: column.pitchMm,
		firstHoleMm: column.firstHoleMm,
		thicknessMm: column.thicknessMm,
		maxShelves: column.holes.length,
		allWithMm: LEAST_MM,
		groups: units
	});
	const before = standing(units, column);
	const worth = [...before].reduce((sum, { value }) => sum + value, 0);
	if (best.value <= worth || best.holes.length < column.holes.length) return null;
	const inside = new Set(best.levels.flat());
	const nookOf = new Map<Assignment, Nook>();
	best.levels.forEach((level, i) =>
		level.forEach((u) => nookOf.set(units[u]!.assignment, column.nooks[i]!))
	);
	const tops = [0, ...best.holes.map((hole) => column.firstHoleMm + hole * column.pitchMm)];
	const names = (some: readonly Unit[]) => [
		...new Set(some.map(({ assignment }) => assignment.groupId as string))
	];
	const setting = {
		levels: column.nooks.map(({ id }, i) => ({
			nookId: id,
			footMm: tops[i]!,
			heightMm:
				(i + 1 < tops.length ? tops[i + 1]! - column.thicknessMm : column.heightMm) - tops[i]!
		})),
		moves: column.nooks.slice(1).flatMap(({ id }, i) => {
			const holes = best.holes[i]! - column.holes[i]!;
			return holes ? [{ nookId: id, holes, byMm: holes * column.pitchMm }] : [];
		}),
		assignments: here.map((assignment) => ({
			...assignment,
			nookId: nookOf.get(assignment)?.id ?? assignment.nookId
		})),
		gains: names(units.filter((unit, u) => inside.has(u) && !before.has(unit))),
		out: names(units.filter((_, u) => !inside.has(u))),
		isProven: best.status === 'proven'
	};
	return { ...setting, against: brokenBy(home, setting) };
}

/** Groups that break a hard rule once shelves stand so, and do not break one now. */
function brokenBy(home: Home, setting: Pick<ShelfSetting, 'levels' | 'assignments'>): string[] {
	const broken = (of: Home) => {
		const model = buildZoneModel(of);
		const { assignment } = layoutOf(model, activePlan(of)?.assignments ?? []);
		return new Set(
			brokenRules(model, assignment)
				// What stands on each shelf was measured more closely here than by litres.
				.filter(({ code }) => code !== 'over-capacity')
				.map(({ groupId, nookId, code }) => `${groupId} ${nookId} ${code}`)
		);
	};
	const [before, after] = [broken(home), broken(applyEdit(home, setShelves(setting)).home)];
	const fresh = [...after].filter((each) => !before.has(each));
	return [...new Set(fresh.map((each) => each.split(' ')[0]!))];
}

/** Makes the edit that sets shelves so, with what stands on them; their sizes are to be checked with the tape. */
export function setShelves(setting: Pick<ShelfSetting, 'levels' | 'assignments'>): Edit {
	return (draft) => {
		const first = draft.nooks[setting.levels[0]?.nookId ?? ''];
		if (!first) return;
		const foot = first.at.zMm;
		for (const { nookId, footMm, heightMm } of setting.levels) {
			const nook = draft.nooks[nookId];
			if (!nook) continue;
			const more = heightMm - (nook.inside.heightMm ?? heightMm);
			nook.at.zMm = foot + footMm;
			nook.inside.heightMm = heightMm;
			if (nook.opening)
				nook.opening.heightMm = Math.max(1, Math.min(heightMm, nook.opening.heightMm + more));
			nook.readings.heightMm = [];
		}
		const plan = draft.activePlanId ? draft.zonePlans[draft.activePlanId] : undefined;
		if (!plan) return;
		const ids = new Set(setting.levels.map(({ nookId }) => nookId));
		plan.assignments = merged([
			...plan.assignments.filter(({ nookId }) => !ids.has(nookId)),
			...setting.assignments.filter(
				({ groupId, nookId }) => draft.groups[groupId] && draft.nooks[nookId]
			)
		]);
	};
}

/** Parts of one group in one place become one. */
function merged(assignments: readonly Assignment[]): Assignment[] {
	const found = new Map<string, Assignment>();
	for (const each of assignments) {
		const key = `${each.groupId} ${each.nookId} ${each.thingIds ? 'some' : 'all'}`;
		const known = found.get(key);
		found.set(
			key,
			known
				? {
						...known,
						share: Math.min(1, known.share + each.share),
						...(known.thingIds
							? { thingIds: [...new Set([...known.thingIds, ...(each.thingIds ?? [])])] }
							: {})
					}
				: each
		);
	}
	return [...found.values()];
}

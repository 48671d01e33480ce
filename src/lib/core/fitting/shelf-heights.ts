import { activePlan, applyEdit, type Assignment, type Edit, type Home, type Nook } from '../model';
import { solveShelves } from '../solvers/shelves';
import { brokenRules, layoutOf, placesOfLots, zoneModelOf } from '../zoning';
import { clearIn, goodsOf, type Packing, roomOf, standFree } from '../standing';

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
	const { lanes, tooLarge } = standFree(goods, clearIn(packing));
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

/** Units that stand whole side by side under so much height, what is worth most first. */
function standing(units: readonly Unit[], heightMm: number, widthMm: number): Unit[] {
	let left = widthMm;
	return [...units]
		.sort((a, b) => b.value - a.value)
		.filter(({ clearMm, runMm }) => {
			const stands = clearMm <= heightMm && runMm <= left;
			if (stands) left -= runMm;
			return stands;
		});
}
const worthOf = (units: readonly Unit[]) => units.reduce((sum, { value }) => sum + value, 0);

/** Holes of the shelves, and what stands on each level, from below. */
interface Setting {
	readonly holes: readonly number[];
	readonly levels: readonly (readonly Unit[])[];
	readonly isProven: boolean;
}
/** What a search for a setting is given. */
interface Task {
	readonly column: ShelfColumn;
	readonly widthMm: number;
	readonly units: readonly Unit[];
	/** Units of each level as planned, from below. */
	readonly own: readonly (readonly Unit[])[];
}

/** The setting that holds most, whatever level a group then stands on. */
function regrouped({ column, widthMm, units }: Task): Setting | null {
	const { heightMm, pitchMm, firstHoleMm, thicknessMm, holes } = column;
	const best = solveShelves({
		heightMm,
		widthMm,
		pitchMm,
		firstHoleMm,
		thicknessMm,
		maxShelves: holes.length,
		allWithMm: LEAST_MM,
		groups: units
	});
	if (best.holes.length < holes.length) return null;
	return {
		holes: best.holes,
		levels: best.levels.map((level) => level.map((u) => units[u]!)),
		isProven: best.status === 'proven'
	};
}

/**
 * The setting that holds most with every group on the level it is planned for, where nothing that has its height now
 * loses it: level by level from below, each hole with the best of what lies under it. Null: there is none.
 */
function staying({ column, widthMm, own }: Task): Setting | null {
	const { nooks, heightMm, pitchMm, firstHoleMm, thicknessMm } = column;
	const needs = nooks.map(({ inside }, i) =>
		Math.max(
			LEAST_MM,
			...own[i]!.map(({ clearMm }) =>
				clearMm - FINGERS_MM <= inside.heightMm! ? Math.min(clearMm, inside.heightMm!) : 0
			)
		)
	);
	const topOf = (hole: number) => firstHoleMm + hole * pitchMm;
	const count = Math.floor((heightMm - 1 - firstHoleMm) / pitchMm) + 1;
	interface Best {
		readonly worth: number;
		readonly holes: readonly number[];
	}
	/** By the hole of the shelf that ends the level, the best of the levels up to it. */
	let reached = new Map<number, Best>([[-1, { worth: 0, holes: [] }]]);
	for (let level = 0; level < nooks.length; level++) {
		const isTop = level === nooks.length - 1;
		const next = new Map<number, Best>();
		for (const [below, { worth, holes }] of reached) {
			const foot = below < 0 ? 0 : topOf(below);
			const ends = isTop
				? [count]
				: Array.from({ length: count - below - 1 }, (_, k) => below + 1 + k);
			for (const hole of ends) {
				const gap = (isTop ? heightMm : topOf(hole) - thicknessMm) - foot;
				if (gap < needs[level]!) continue;
				const all = worth + worthOf(standing(own[level]!, gap, widthMm));
				if (all <= (next.get(hole)?.worth ?? -1)) continue;
				next.set(hole, { worth: all, holes: isTop ? holes : [...holes, hole] });
			}
		}
		reached = next;
	}
	const best = reached.get(count);
	if (!best) return null;
	const feet = [0, ...best.holes.map(topOf)];
	return {
		holes: best.holes,
		levels: own.map((units, i) => {
			const end = i < best.holes.length ? feet[i + 1]! - thicknessMm : heightMm;
			return standing(units, end - feet[i]!, widthMm);
		}),
		isProven: false
	};
}

/**
 * Sets the shelves of a cabinet for what the plan puts on them, so that as much as can stands whole on one shelf with
 * room for fingers above it: exactly, with groups on other levels where no hard rule is against it; else with every group
 * on its own level. Of equal settings the one with the fewest boards moved is not looked for. Null: no shelf can be moved
 * here, or it is as good as it gets.
 */
export function setShelvesFor(home: Home, nookId: string): ShelfSetting | null {
	const column = shelfColumn(home, nookId);
	const plan = activePlan(home);
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
	const widthMm = Math.min(...column.nooks.map(({ inside }) => inside.widthMm!));
	const own = column.nooks.map(({ id }) => units.filter((unit) => unit.assignment.nookId === id));
	const task: Task = { column, widthMm, units, own };
	const before = own.flatMap((some, i) =>
		standing(some, column.nooks[i]!.inside.heightMm!, widthMm)
	);
	const better = (setting: Setting | null): ShelfSetting | null =>
		setting && worthOf(setting.levels.flat()) > worthOf(before)
			? settingOf(home, task, here, new Set(before), setting)
			: null;
	const free = better(regrouped(task));
	if (!free?.against.length) return free;
	const kept = better(staying(task));
	return kept && !kept.against.length ? kept : free;
}

/** Says what a setting moves and brings. */
function settingOf(
	home: Home,
	{ column, units }: Task,
	here: readonly Assignment[],
	before: ReadonlySet<Unit>,
	{ holes, levels, isProven }: Setting
): ShelfSetting {
	const inside = new Set(levels.flat());
	const nookOf = new Map<Assignment, Nook>();
	levels.forEach((level, i) =>
		level.forEach(({ assignment }) => nookOf.set(assignment, column.nooks[i]!))
	);
	const tops = [0, ...holes.map((hole) => column.firstHoleMm + hole * column.pitchMm)];
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
			const by = holes[i]! - column.holes[i]!;
			return by ? [{ nookId: id, holes: by, byMm: by * column.pitchMm }] : [];
		}),
		assignments: here.map((assignment) => ({
			...assignment,
			nookId: nookOf.get(assignment)?.id ?? assignment.nookId
		})),
		gains: names(units.filter((unit) => inside.has(unit) && !before.has(unit))),
		out: names(units.filter((unit) => !inside.has(unit))),
		isProven
	};
	return { ...setting, against: brokenBy(home, setting) };
}

/** Groups that break a hard rule once shelves stand so, and do not break one now. */
function brokenBy(home: Home, setting: Pick<ShelfSetting, 'levels' | 'assignments'>): string[] {
	const broken = (of: Home) => {
		const model = zoneModelOf(of);
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

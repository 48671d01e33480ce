import { partLot, piecesIn } from '../grouping';
import { LotId, NookId, pieceVolumeMl, type Edit, type Home, type ZonePlan } from '../model';
import { baseAboveFloorMm, nooksInOrder, placeOfNook, usableSpace } from '../survey';
import { guardLacking, guardOf, hasToddler, isDeadly } from './child-dangers';
import { placesOfLots } from './lot-places';

/** So much of a lot: all of it, or a part that becomes a lot of its own. */
export interface Load {
	readonly lotId: string;
	readonly thingId: string;
	/** In the lot's unit. */
	readonly count: number;
	/** Id of the lot that the part becomes; null: the whole lot goes. */
	readonly partId: string | null;
}

/** What is carried in one go: all of one group that stands in one nook and belongs in another. */
export interface Bundle {
	readonly groupId: string;
	/** null: it lies on the table. */
	readonly from: string | null;
	readonly to: string;
	readonly loads: readonly Load[];
	readonly volumeMl: number;
}
export interface MoveStep extends Bundle {
	/** `lift`: only onto the table, since its place is not free yet. */
	readonly kind: 'carry' | 'lift';
	/** What lies on the table when the step is done, ml. */
	readonly tableMl: number;
}
export interface MoveOrder {
	readonly steps: readonly MoveStep[];
	/** The most that lies on the table at any time, ml. */
	readonly mostOnTableMl: number;
	readonly volumeMl: number;
}

/** What to do about a small child when something is carried to its place. */
export type MoveCaution = 'needs-lock' | 'needs-catch' | 'lock-at-once' | 'high-only';

/**
 * Says whether what a step carries is dangerous to a small child of the home: the place that it goes to lacks a lock or a
 * catch, has the lock and is to be locked at once, or is out of reach by its height alone. Null: no small child, or nothing that hurts one.
 */
export function moveCaution(home: Home, step: Bundle): MoveCaution | null {
	if (!hasToddler(home)) return null;
	const place = placeOfNook(home, step.to);
	const things = step.loads.flatMap(({ thingId }) => home.things[thingId] ?? []);
	if (!place) return null;
	const figures = { hazards: new Set(things.flatMap(({ hazards }) => hazards)), things };
	const lacking = guardLacking(figures, place);
	if (lacking) return `needs-${lacking}`;
	if (!isDeadly(figures)) return null;
	return guardOf(place) === 'lock' ? 'lock-at-once' : guardOf(place) ? null : 'high-only';
}

/** Names new lots after the one that they are parted from: its id with the first number that is free. */
function namer(home: Home): (lotId: string) => string {
	const taken = new Set(Object.keys(home.lots));
	return (lotId) => {
		for (let n = 2; ; n++) {
			const id = `${lotId.slice(0, 56)}-${n}`;
			if (taken.has(id)) continue;
			taken.add(id);
			return id;
		}
	};
}

/** Finds what does not stand where the plan has it, by where it comes from and goes. */
function bundlesOf(home: Home, plan: Pick<ZonePlan, 'assignments'>): Bundle[] {
	const nameFor = namer(home);
	const found = new Map<string, { -readonly [K in keyof Bundle]: Bundle[K] } & { loads: Load[] }>();
	for (const groupId of new Set(plan.assignments.map((assignment) => assignment.groupId as string)))
		for (const { lot, nookId, count, volumeMl } of placesOfLots(home, groupId, plan.assignments)) {
			if (lot.nookId === nookId) continue;
			const partId = count < lot.count ? nameFor(lot.id) : null;
			const key = `${groupId}/${lot.nookId ?? ''}/${nookId}`;
			const loads: Load[] = [];
			const bundle = found.get(key) ?? {
				groupId,
				from: lot.nookId,
				to: nookId,
				loads,
				volumeMl: 0
			};
			bundle.loads.push({ lotId: lot.id, thingId: lot.thingId, count, partId });
			bundle.volumeMl += volumeMl;
			found.set(key, bundle);
		}
	return [...found.values()];
}

/**
 * Puts the moves of a plan into an order that keeps the table nearly empty: whatever can go straight to its place goes;
 * when nothing can, the smallest lot of things that lets another move happen is lifted onto the table, and goes to its
 * place as soon as there is room. A nook takes what it holds by volume, or what the plan puts there when that is more.
 * Deterministic; ties in walking order. Carrying out all steps leaves every thing where the plan has it.
 */
export function moveOrder(home: Home, plan: Pick<ZonePlan, 'assignments'>): MoveOrder {
	const rank = new Map(nooksInOrder(home).map(({ nook }, i) => [nook.id as string, i]));
	const at = (id: string | null) => (id === null ? -1 : (rank.get(id) ?? rank.size));
	const waiting = bundlesOf(home, plan).sort(
		(a, b) => at(a.from) - at(b.from) || at(a.to) - at(b.to) || (a.groupId < b.groupId ? -1 : 1)
	);
	const load = new Map<string, number>();
	for (const lot of Object.values(home.lots)) {
		const thing = home.things[lot.thingId];
		if (lot.nookId && thing && lot.count > 0)
			load.set(lot.nookId, (load.get(lot.nookId) ?? 0) + pieceVolumeMl(thing) * piecesIn(lot));
	}
	const final = new Map(load);
	const shift = (map: Map<string, number>, id: string | null, ml: number) =>
		id && map.set(id, (map.get(id) ?? 0) + ml);
	for (const bundle of waiting) {
		shift(final, bundle.from, -bundle.volumeMl);
		shift(final, bundle.to, bundle.volumeMl);
	}
	const holds = new Map(
		nooksInOrder(home).map((place) => {
			const space = usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
			const own = space.ok ? space.usableMl * home.settings.play.fillShare : 0;
			return [place.nook.id as string, Math.max(own, final.get(place.nook.id) ?? 0)];
		})
	);
	const hasRoom = ({ to, volumeMl }: Bundle, freed = 0) =>
		(load.get(to) ?? 0) + volumeMl - freed <= (holds.get(to) ?? 0) + 1e-6;

	const steps: MoveStep[] = [];
	const lifted = new Set(waiting.filter(({ from }) => from === null));
	let tableMl = [...lifted].reduce((sum, { volumeMl }) => sum + volumeMl, 0);
	let mostOnTableMl = tableMl;
	/** What is left of each lot under its own id. */
	const left = new Map<string, number>();
	/** The last part of a lot to go is the lot itself. */
	const settle = (load: Load): Load => {
		const { lotId, count, partId } = load;
		const rest = (left.get(lotId) ?? home.lots[lotId]?.count ?? count) - count;
		left.set(lotId, rest);
		return { ...load, partId: rest > 1e-9 ? partId : null };
	};
	const take = (index: number, kind: MoveStep['kind']) => {
		const [next] = waiting.splice(index, 1) as [Bundle];
		const bundle = { ...next, loads: next.loads.map(settle) };
		shift(load, bundle.from, -bundle.volumeMl);
		if (kind === 'lift') tableMl += bundle.volumeMl;
		else {
			shift(load, bundle.to, bundle.volumeMl);
			if (bundle.from === null && lifted.has(next)) tableMl -= bundle.volumeMl;
		}
		mostOnTableMl = Math.max(mostOnTableMl, tableMl);
		steps.push({ ...bundle, kind, tableMl });
		if (kind === 'lift') {
			const onTable = {
				...bundle,
				from: null,
				loads: bundle.loads.map((load): Load => {
					const lotId = load.partId ?? load.lotId;
					left.set(lotId, load.count);
					return { ...load, lotId, partId: null };
				})
			};
			lifted.add(onTable);
			waiting.unshift(onTable);
		}
	};
	while (waiting.length) {
		// From the table first; then what frees a nook that others wait for; then in walking order.
		const wanted = new Map<string, number>();
		for (const bundle of waiting)
			if (!hasRoom(bundle)) wanted.set(bundle.to, (wanted.get(bundle.to) ?? 0) + 1);
		let best = -1;
		let most = -1;
		waiting.forEach((bundle, i) => {
			if (!hasRoom(bundle)) return;
			const gain = bundle.from === null ? Infinity : (wanted.get(bundle.from) ?? 0);
			if (gain > most) [best, most] = [i, gain];
		});
		if (best >= 0) {
			take(best, 'carry');
			continue;
		}
		let lift = -1;
		let helps = false;
		waiting.forEach((bundle, i) => {
			if (bundle.from === null) return;
			const frees = waiting.some(
				(other) => other !== bundle && other.to === bundle.from && hasRoom(other, bundle.volumeMl)
			);
			const better =
				lift < 0 ||
				(frees && !helps) ||
				(frees === helps && bundle.volumeMl < waiting[lift]!.volumeMl - 1e-9);
			if (better) [lift, helps] = [i, frees];
		});
		// Only what lies on the table is left, and no place has room: the plan was made by hand. It is put there anyway.
		if (lift < 0) take(0, 'carry');
		else take(lift, 'lift');
	}
	return {
		steps,
		mostOnTableMl,
		volumeMl: steps.reduce((sum, step) => sum + (step.kind === 'carry' ? step.volumeMl : 0), 0)
	};
}

/** Makes the edit that carries out one step: its loads stand in their new nook, or lie on the table. */
export function doMove({ kind, to, loads }: Pick<MoveStep, 'kind' | 'to' | 'loads'>): Edit {
	return (draft) => {
		for (const { lotId, count, partId } of loads) {
			const lot = draft.lots[lotId];
			if (!lot) continue;
			const moved =
				partId && count < lot.count ? partLot(draft.lots, lot, count, LotId.parse(partId)) : lot;
			moved.nookId = kind === 'lift' ? null : NookId.parse(to);
		}
	};
}

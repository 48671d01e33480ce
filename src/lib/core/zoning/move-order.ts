import { groupOfLots } from '../grouping';
import { NookId, pieceVolumeMl, type Edit, type Home, type ZonePlan } from '../model';
import { baseAboveFloorMm, nooksInOrder, usableSpace } from '../survey';

/** What is carried in one go: all of one group that stands in one nook and belongs in another. */
export interface Bundle {
	readonly groupId: string;
	/** null: it lies on the table. */
	readonly from: string | null;
	readonly to: string;
	readonly lotIds: readonly string[];
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

interface Share {
	readonly nookId: string;
	wantMl: number;
}

/** Finds, lot by lot, what does not stand where the plan has it; a split group fills its nooks by their shares. */
function bundlesOf(home: Home, plan: Pick<ZonePlan, 'assignments'>): Bundle[] {
	const lotsOf = new Map<string, { id: string; nookId: string | null; ml: number }[]>();
	for (const [lotId, groupId] of groupOfLots(home)) {
		const lot = home.lots[lotId]!;
		const thing = home.things[lot.thingId]!;
		const list = lotsOf.get(groupId) ?? [];
		list.push({ id: lot.id, nookId: lot.nookId, ml: pieceVolumeMl(thing) * lot.count });
		lotsOf.set(groupId, list);
	}
	const found = new Map<
		string,
		{ -readonly [K in keyof Bundle]: Bundle[K] } & { lotIds: string[] }
	>();
	for (const [groupId, lots] of lotsOf) {
		const places = plan.assignments.filter((assignment) => assignment.groupId === groupId);
		if (!places.length) continue;
		const sum = lots.reduce((total, { ml }) => total + ml, 0);
		const shares = places.map(({ nookId, share }): Share => ({
			nookId,
			wantMl: Math.max(share * sum, 1e-6)
		}));
		const order = [...lots].sort((a, b) => b.ml - a.ml || (a.id < b.id ? -1 : 1));
		// What stands in one of its nooks already stays there while there is want of it.
		const roaming = order.filter((lot) => {
			const here = shares.find(({ nookId }) => nookId === lot.nookId);
			if (!here || (shares.length > 1 && here.wantMl <= 0)) return true;
			here.wantMl -= lot.ml;
			return false;
		});
		for (const lot of roaming) {
			const to = shares.reduce((most, share) => (share.wantMl > most.wantMl ? share : most));
			to.wantMl -= lot.ml;
			if (to.nookId === lot.nookId) continue;
			const key = `${groupId}/${lot.nookId ?? ''}/${to.nookId}`;
			const bundle = found.get(key);
			if (bundle) {
				bundle.lotIds.push(lot.id);
				bundle.volumeMl += lot.ml;
			} else
				found.set(key, {
					groupId,
					from: lot.nookId,
					to: to.nookId,
					lotIds: [lot.id],
					volumeMl: lot.ml
				});
		}
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
			load.set(lot.nookId, (load.get(lot.nookId) ?? 0) + pieceVolumeMl(thing) * lot.count);
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
	const take = (index: number, kind: MoveStep['kind']) => {
		const [bundle] = waiting.splice(index, 1) as [Bundle];
		shift(load, bundle.from, -bundle.volumeMl);
		if (kind === 'lift') tableMl += bundle.volumeMl;
		else {
			shift(load, bundle.to, bundle.volumeMl);
			if (bundle.from === null && lifted.has(bundle)) tableMl -= bundle.volumeMl;
		}
		mostOnTableMl = Math.max(mostOnTableMl, tableMl);
		steps.push({ ...bundle, kind, tableMl });
		if (kind === 'lift') {
			const onTable = { ...bundle, from: null };
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

/** Makes the edit that carries out one step: its lots stand in their new nook, or lie on the table. */
export function doMove({ kind, to, lotIds }: Pick<MoveStep, 'kind' | 'to' | 'lotIds'>): Edit {
	return (draft) => {
		for (const id of lotIds) {
			const lot = draft.lots[id];
			if (lot) lot.nookId = kind === 'lift' ? null : NookId.parse(to);
		}
	};
}

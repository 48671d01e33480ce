import { piecesIn } from '../grouping';
import { FIT_MM, memoOn, rimsOff, stock, type Lot, type Thing } from '../model';

/** A vessel or a lid with the rim by which it is matched. */
export interface RimPiece {
	readonly key: string;
	readonly shape: 'round' | 'rect';
	readonly widthMm: number;
	readonly depthMm: number;
}
export interface SetPair {
	readonly vessel: string;
	readonly lid: string;
	/** Sum of the differences of both sides, mm. */
	readonly misfitMm: number;
}
export interface NearMiss {
	readonly vessel: string;
	readonly lid: string;
	/** The larger difference of a side, mm: just beyond what fits. */
	readonly offMm: number;
}
export interface SetMatch {
	readonly pairs: readonly SetPair[];
	readonly loneVessels: readonly string[];
	readonly loneLids: readonly string[];
	/** For each lone piece, the other halves that come nearest, the best first. */
	readonly nearMisses: readonly NearMiss[];
}

/** Up to so much it is a near miss, worth trying once, mm. */
const NEAR_MM = 12;
const NEAR_SHOWN = 3;

/**
 * Pays for one more pair by the cheapest augmenting path (Bellman and Ford over the residual arcs), until there is
 * none: the matching grows by one each time and stays the cheapest of its size, so the last is a largest one of least
 * total misfit. Exact; cost about pairs × arcs × pieces, a drawer of 60 boxes takes a few ms.
 */
function cheapestMatching(costs: readonly (readonly (number | null)[])[], lids: number): number[] {
	const vessels = costs.length;
	const lidOf = new Array<number>(vessels).fill(-1);
	const vesselOf = new Array<number>(lids).fill(-1);
	for (;;) {
		const due = new Array<number>(vessels).fill(Infinity);
		const lidDue = new Array<number>(lids).fill(Infinity);
		const from = new Array<number>(lids).fill(-1);
		lidOf.forEach((lid, v) => lid < 0 && (due[v] = 0));
		for (let round = 0, changed = true; changed && round <= vessels; round++) {
			changed = false;
			for (let v = 0; v < vessels; v++)
				for (let l = 0; l < lids; l++) {
					const cost = costs[v]![l];
					if (cost === null || cost === undefined || lidOf[v] === l) continue;
					const reach = due[v]! + cost;
					if (reach >= lidDue[l]! - 1e-9) continue;
					lidDue[l] = reach;
					from[l] = v;
					changed = true;
					const held = vesselOf[l]!;
					// Taking the lid away gives back what that pair had cost.
					if (held >= 0) due[held] = Math.min(due[held]!, reach - costs[held]![l]!);
				}
		}
		let best = -1;
		for (let l = 0; l < lids; l++)
			if (vesselOf[l]! < 0 && lidDue[l]! < (best < 0 ? Infinity : lidDue[best]!)) best = l;
		if (best < 0) return lidOf;
		for (let l = best; l >= 0;) {
			const v = from[l]!;
			const next = lidOf[v]!;
			lidOf[v] = l;
			vesselOf[l] = v;
			l = next;
		}
	}
}

/**
 * Matches vessels to lids by shape and size: as many pairs as can be made, and among those the least misfit in all.
 * A round rim fits within 2 mm, a rectangular one within 3 mm a side, turned by 90° if that is better. What is left
 * is listed with what comes near. Ties go to the order of the input.
 * @example matchSets([{ key: 'a', shape: 'round', widthMm: 120, depthMm: 120 }], [lid121]).pairs[0].misfitMm // 2
 */
export function matchSets(vessels: readonly RimPiece[], lids: readonly RimPiece[]): SetMatch {
	const offs = vessels.map((vessel) => lids.map((lid) => rimsOff(vessel, lid)));
	const costs = offs.map((row, v) =>
		row.map((off) =>
			off && Math.max(...off) <= FIT_MM[vessels[v]!.shape] ? off[0] + off[1] : null
		)
	);
	const lidOf = cheapestMatching(costs, lids.length);
	const taken = new Set(lidOf);
	const pairs = lidOf.flatMap((l, v) =>
		l < 0 ? [] : [{ vessel: vessels[v]!.key, lid: lids[l]!.key, misfitMm: costs[v]![l]! }]
	);
	const loneV = vessels.flatMap((_, v) => (lidOf[v]! < 0 ? [v] : []));
	const loneL = lids.flatMap((_, l) => (taken.has(l) ? [] : [l]));
	const nearMisses = loneV.flatMap((v) =>
		lids
			.map((lid, l) => ({ lid, off: offs[v]![l] }))
			.flatMap(({ lid, off }) => {
				const offMm = off ? Math.max(...off) : Infinity;
				return offMm <= NEAR_MM ? [{ vessel: vessels[v]!.key, lid: lid.key, offMm }] : [];
			})
			.sort((a, b) => a.offMm - b.offMm)
			.slice(0, NEAR_SHOWN)
	);
	return {
		pairs,
		loneVessels: loneV.map((v) => vessels[v]!.key),
		loneLids: loneL.map((l) => lids[l]!.key),
		nearMisses
	};
}

export interface RimLot {
	readonly thing: Thing;
	readonly lot: Lot;
}

interface RimPieces {
	readonly vessels: readonly RimPiece[];
	readonly lids: readonly RimPiece[];
	readonly lotOf: ReadonlyMap<string, RimLot>;
}
/** Every vessel and lid of a home, one entry a piece, keyed `lot/number`. */
export const rimPieces = memoOn(['lots', 'things'], (home): RimPieces => {
	const vessels: RimPiece[] = [];
	const lids: RimPiece[] = [];
	const lotOf = new Map<string, RimLot>();
	const rimmed = stock(home).filter((lot) => home.things[lot.thingId]?.rim);
	for (const lot of rimmed.sort((a, b) => (a.id < b.id ? -1 : 1))) {
		const thing = home.things[lot.thingId];
		if (!thing?.rim || lot.states.includes('broken')) continue;
		const { part, shape, widthMm, depthMm } = thing.rim;
		for (let i = 1; i <= piecesIn(lot); i++) {
			const key = `${lot.id}/${i}`;
			(part === 'lid' ? lids : vessels).push({ key, shape, widthMm, depthMm });
			lotOf.set(key, { thing, lot });
		}
	}
	return { vessels, lids, lotOf };
});

/** Matches all vessels and lids of a home. */
export const matchHome = memoOn(['lots', 'things'], (home): SetMatch => {
	const { vessels, lids } = rimPieces(home);
	return matchSets(vessels, lids);
});

/** Joins pairs of like vessels and like lids into one line each, in the order of the pairs. */
export function joinAlike(
	pairs: readonly SetPair[],
	kindOf: (key: string) => string
): { readonly pair: SetPair; readonly count: number }[] {
	const lines = new Map<string, { pair: SetPair; count: number }>();
	for (const pair of pairs) {
		const kind = `${kindOf(pair.vessel)}/${kindOf(pair.lid)}`;
		const line = lines.get(kind);
		if (line) line.count++;
		else lines.set(kind, { pair, count: 1 });
	}
	return [...lines.values()];
}

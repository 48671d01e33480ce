import {
	blankNook,
	CabinetId,
	NookId,
	type Cabinet,
	type Edit,
	type Home,
	type Nook
} from '../model';
import { nextOffsetMm } from './edits';

const USUAL_BOARD_MM = 18;
const boardOf = (cabinet: Cabinet) => cabinet.shelves?.thicknessMm ?? USUAL_BOARD_MM;
/** Less than this between two boards holds nothing, mm. */
const LEAST_HIGH_MM = 60;

const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Makes the edit that sets a copy of a cabinet with its empty nooks at the next free place of its run. */
export function duplicateCabinet(cabinetId: string, newId: () => string): Edit {
	return (draft) => {
		const from = draft.cabinets[cabinetId];
		if (!from) return;
		const id = CabinetId.parse(newId());
		const name = `${from.name}, copy`;
		draft.cabinets[id] = {
			...copyOf(from),
			id,
			name,
			offsetMm: nextOffsetMm(draft as Home, from.runId, from.baseMm)
		};
		for (const nook of Object.values(draft.nooks)) {
			if (nook.cabinetId !== cabinetId) continue;
			const nookId = NookId.parse(newId());
			// The picture and what was found there are of the old place.
			draft.nooks[nookId] = {
				...copyOf(nook),
				id: nookId,
				cabinetId: id,
				name: nook.name.startsWith(from.name)
					? name + nook.name.slice(from.name.length)
					: `${nook.name}, copy`,
				photoId: null,
				found: null,
				pictured: null
			};
		}
	};
}

const spoil = (draft: Home, nookId: string) => {
	for (const plan of Object.values(draft.fitPlans))
		if (plan.nookId === nookId) delete draft.fitPlans[plan.id];
};

/** A nook of the same kind beside or above another, with nothing known of it but its place and size. */
function sibling(draft: Home, from: Nook, id: string, part: Pick<Nook, 'name' | 'at' | 'inside'>) {
	const nookId = NookId.parse(id);
	draft.nooks[nookId] = {
		...copyOf(from),
		...blankNook(),
		climate: [...from.climate],
		tags: [...from.tags],
		id: nookId,
		...part
	};
}

/**
 * Makes the edit that divides a nook into `parts` equal ones side by side, with a board between each two. Its stock
 * stays in the first. A width that is not measured, or too small for it, changes nothing.
 */
export function divideNook(nookId: string, parts: number, newId: () => string): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		const cabinet = nook && draft.cabinets[nook.cabinetId];
		if (!nook?.inside.widthMm || !cabinet || parts < 2) return;
		const board = boardOf(cabinet);
		const each = Math.floor((nook.inside.widthMm - board * (parts - 1)) / parts);
		if (each < LEAST_HIGH_MM) return;
		for (let i = 1; i < parts; i++)
			sibling(draft as Home, nook, newId(), {
				name: `${nook.name}, part ${i + 1}`,
				at: { xMm: nook.at.xMm + i * (each + board), zMm: nook.at.zMm },
				inside: { ...nook.inside, widthMm: each }
			});
		nook.name = `${nook.name}, part 1`;
		nook.inside.widthMm = each;
		nook.readings.widthMm = [];
		nook.obstructions = nook.obstructions.filter((o) => o.xMm + o.widthMm <= each);
		spoil(draft as Home, nookId);
	};
}

/**
 * Finds where a shelf can go above the bottom of a nook: the first peg hole, counted from the cabinet's own, that
 * leaves `wantedMm` clear beneath the board; at any height where there are no pegs. Null when the rest above would
 * hold nothing. Gives the height of the board's underside above the nook's bottom, mm.
 * @example nextPegMm(shelf, cabinet32, 200) // 206: the peg at 288 less the shelf at 82
 */
export function nextPegMm(nook: Nook, cabinet: Cabinet, wantedMm: number): number | null {
	const high = nook.inside.heightMm;
	if (!high) return null;
	let under = wantedMm;
	if (cabinet.shelves) {
		const { pitchMm, firstHoleMm } = cabinet.shelves;
		const steps = Math.max(0, Math.ceil((nook.at.zMm + wantedMm - firstHoleMm) / (pitchMm || 32)));
		under = firstHoleMm + steps * (pitchMm || 32) - nook.at.zMm;
	}
	return under >= LEAST_HIGH_MM && high - under - boardOf(cabinet) >= LEAST_HIGH_MM ? under : null;
}

/** Makes the edit that adds a shelf in a nook on the next peg above `wantedMm`; what stands there stays below. */
export function addShelf(nookId: string, wantedMm: number, newId: () => string): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		const cabinet = nook && draft.cabinets[nook.cabinetId];
		const under = nook && cabinet ? nextPegMm(nook as Nook, cabinet as Cabinet, wantedMm) : null;
		if (!nook || !cabinet || under === null) return;
		const board = boardOf(cabinet as Cabinet);
		const above = nook.inside.heightMm! - under - board;
		sibling(draft as Home, nook as Nook, newId(), {
			name: `${nook.name}, upper`,
			at: { xMm: nook.at.xMm, zMm: nook.at.zMm + under + board },
			inside: { ...nook.inside, heightMm: above }
		});
		nook.inside.heightMm = under;
		nook.readings.heightMm = [];
		nook.obstructions = nook.obstructions
			.filter((o) => o.zMm < under)
			.map((o) => ({ ...o, heightMm: Math.min(o.heightMm, under - o.zMm) }));
		if (nook.opening) nook.opening.heightMm = Math.min(nook.opening.heightMm, under);
		spoil(draft as Home, nookId);
	};
}

/** Makes the edit that sets a shelf of a cabinet evenly: its shelves share the height between them. */
export function levelShelves(cabinetId: string): Edit {
	return (draft) => {
		const cabinet = draft.cabinets[cabinetId];
		if (!cabinet) return;
		const shelves = Object.values(draft.nooks)
			.filter((nook) => nook.cabinetId === cabinetId && nook.kind === 'shelf')
			.sort((a, b) => a.at.zMm - b.at.zMm);
		const columns = new Set(shelves.map((nook) => nook.at.xMm));
		if (shelves.length < 2 || columns.size > 1) return;
		const board = boardOf(cabinet as Cabinet);
		const from = shelves[0]!.at.zMm;
		const each = Math.floor((cabinet.heightMm - from - board * shelves.length) / shelves.length);
		if (each < LEAST_HIGH_MM) return;
		shelves.forEach((nook, i) => {
			nook.at.zMm = from + i * (each + board);
			nook.inside.heightMm = each;
			nook.readings.heightMm = [];
			spoil(draft as Home, nook.id);
		});
	};
}

/** Makes the edit that takes a nook away; what stood there lies on the table. */
export function removeNook(nookId: string): Edit {
	return (draft) => void delete draft.nooks[nookId];
}

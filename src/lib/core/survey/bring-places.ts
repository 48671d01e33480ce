import type { Cabinet, Edit, Home, Nook } from '../model';
import { addCabinet, addRoom } from './edits';
import { CABINET_FORMS_LIST, type CabinetForm } from './forms';
import { words, type PlaceRow, type SaidOfPlace } from './places-table';

/** A room that a table names and that is not here is as large as this, to be put right on the plan, mm. */
const NEW_ROOM = { widthMm: 3000, depthMm: 2400 };
const NEW_ROOM_NAME = 'Room';
const BOARD_MM = 18;

/** Within an edit, changes a place to what is said of it. */
function say(nook: Nook, said: SaidOfPlace): void {
	for (const side of ['widthMm', 'depthMm', 'heightMm'] as const) {
		const mm = said[side];
		if (mm === undefined || mm === nook.inside[side]) continue;
		nook.inside[side] = mm;
		nook.readings[side] = [mm];
	}
	if (said.openingWidthMm !== undefined || said.openingHeightMm !== undefined)
		nook.opening = {
			widthMm: said.openingWidthMm ?? nook.opening?.widthMm ?? nook.inside.widthMm ?? 0,
			heightMm: said.openingHeightMm ?? nook.opening?.heightMm ?? nook.inside.heightMm ?? 0
		};
	nook.at = { xMm: said.xMm ?? nook.at.xMm, zMm: said.zMm ?? nook.at.zMm };
	nook.kind = said.kind ?? nook.kind;
	nook.loadG = said.loadG ?? nook.loadG;
}

/** The form of a cabinet with the places of its rows, the first row at the top where no height is said. */
function shapeOf(rows: readonly PlaceRow[]): CabinetForm {
	const usual = CABINET_FORMS_LIST.find(({ form }) => form === rows[0]!.form)!;
	const kind = usual.nooks[0]!.kind;
	let upMm = BOARD_MM;
	const nooks = rows
		.map(({ name, said }) => ({ name, said }))
		.reverse()
		.map(({ name, said }) => {
			const at = { xMm: said.xMm ?? BOARD_MM, zMm: said.zMm ?? upMm };
			upMm = Math.max(upMm, at.zMm + (said.heightMm ?? 200) + BOARD_MM);
			const inside = {
				widthMm: said.widthMm ?? null,
				depthMm: said.depthMm ?? null,
				heightMm: said.heightMm ?? null
			};
			return { name, kind: said.kind ?? kind, at, inside, adjustable: kind === 'shelf' };
		})
		.reverse();
	const most = (of: (nook: (typeof nooks)[number]) => number) => Math.max(0, ...nooks.map(of));
	const widthMm = most(({ at, inside }) => (inside.widthMm ? at.xMm + inside.widthMm : 0));
	const depthMm = most(({ inside }) => inside.depthMm ?? 0);
	return {
		...usual,
		cabinet: {
			...usual.cabinet,
			widthMm: widthMm ? widthMm + BOARD_MM : usual.cabinet.widthMm,
			depthMm: depthMm ? depthMm + BOARD_MM : usual.cabinet.depthMm,
			heightMm: Math.max(upMm, rows.length > 1 ? 0 : usual.cabinet.heightMm)
		},
		nooks
	};
}

/**
 * Makes the edit that takes rows of a table in: places that are here get the sizes that are said; others are made, with
 * the cabinet and the room where those are new. Rows with something wrong must not be among them.
 */
export function bringPlaces(rows: readonly PlaceRow[], newId: () => string): Edit {
	return (draft) => {
		for (const { nookId, said } of rows) {
			const nook = nookId ? draft.nooks[nookId] : undefined;
			if (nook) say(nook, said);
		}
		const byCabinet = new Map<string, PlaceRow[]>();
		for (const row of rows.filter(({ nookId }) => !nookId)) {
			const key = JSON.stringify([row.room, row.wall, row.cabinet].map(words));
			byCabinet.set(key, [...(byCabinet.get(key) ?? []), row]);
		}
		for (const own of byCabinet.values()) {
			const there = cabinetOf(draft as Home, own[0]!);
			const runId = there?.runId ?? runFor(draft as Home, own[0]!, newId);
			const shape = shapeOf(own);
			const aboveMm = there ? topOf(draft as Home, there.id) : 0;
			const made: string[] = [];
			addCabinet(runId, there ? { ...shape, station: null } : shape, () => {
				made.push(newId());
				return made.at(-1)!;
			})(draft);
			const [cabinetId, ...nookIds] = made;
			own.forEach((row, i) => {
				const nook = draft.nooks[nookIds[i]!]!;
				nook.name = row.name;
				if (!there) return;
				nook.cabinetId = there.id;
				if (row.said.zMm === undefined) nook.at.zMm += aboveMm;
			});
			if (there) delete draft.cabinets[cabinetId!];
			else draft.cabinets[cabinetId!]!.name = own[0]!.cabinet;
			own.forEach((row, i) => say(draft.nooks[nookIds[i]!]!, row.said));
		}
	};
}

/** Where the highest place of a cabinet ends, mm above its underside. */
const topOf = (home: Home, cabinetId: string): number =>
	Math.max(
		0,
		...Object.values(home.nooks)
			.filter((nook) => nook.cabinetId === cabinetId)
			.map(({ at, inside }) => at.zMm + (inside.heightMm ?? 0))
	);

function cabinetOf(home: Home, { room, wall, cabinet }: PlaceRow): Cabinet | undefined {
	return Object.values(home.cabinets).find((each) => {
		const run = home.runs[each.runId];
		return (
			words(each.name) === words(cabinet) &&
			(!room || words(home.rooms[run?.roomId ?? '']?.name ?? '') === words(room)) &&
			(!wall || words(run?.name ?? '') === words(wall))
		);
	});
}

/** Within an edit, the wall that new cabinets of a row go to: the one it names, else the first of its room. */
function runFor(draft: Home, row: PlaceRow, newId: () => string): string {
	const name = row.room || Object.values(draft.rooms)[0]?.name || NEW_ROOM_NAME;
	const inRoom = () =>
		Object.values(draft.runs).filter(
			({ roomId }) => words(draft.rooms[roomId]?.name ?? '') === words(name)
		);
	if (!inRoom().length) {
		const ids = { room: newId(), back: newId(), front: newId() };
		addRoom({ name, ...NEW_ROOM, ids })(draft);
	}
	const runs = inRoom();
	return (runs.find((run) => words(run.name) === words(row.wall)) ?? runs[0]!).id;
}

import { z } from 'zod';
import rows from '../../../../data/templates.json';
import { CABINET_FORMS_LIST, type CabinetForm } from './forms';
import { addCabinet, addRoom, addStation, nextOffsetMm, pointBefore } from './edits';
import type { Edit, Home } from '../model';
import { HANGS_FROM_MM, runAxes } from './place';

const FORMS = CABINET_FORMS_LIST.map(({ form }) => form as string);
/** What stands between the cabinets and holds nothing: a hob over an oven. */
const COOKER = 'cooker';
/** Where the hob and the oven are marked, mm beside its middle: two dots on one spot are one that cannot be taken. */
const COOKED_AT = [
	['hob', -150],
	['oven', 150]
] as const;
const COOKER_MM = { widthMm: 600, depthMm: 600, beforeMm: 350 };

/** A usual room with its cabinets, to begin with: sizes are usual ones, and wait for the tape. */
export const TEMPLATES = z
	.array(
		z.strictObject({
			key: z.string(),
			name: z.string(),
			what: z.string(),
			widthMm: z.int().positive(),
			depthMm: z.int().positive(),
			/** Forms of cabinets, from the left along the far wall; a cooker leaves its width free. */
			cabinets: z.array(z.string().refine((form) => form === COOKER || FORMS.includes(form))).min(1)
		})
	)
	.parse(rows);

const formOf = (form: string): CabinetForm =>
	CABINET_FORMS_LIST.find((each) => each.form === form)!;

/** What a room of a template is called and measures, where that is said. */
export interface RoomOfTemplate {
	readonly name?: string;
	readonly widthMm?: number;
	readonly depthMm?: number;
}

/**
 * Makes the edit that adds a room of a template with its cabinets, along the far wall and on along the near one where that
 * is too short; what stands on neither is left out. Nothing for a key that is none.
 */
export function addUsualRoom(key: string, own: RoomOfTemplate, newId: () => string): Edit {
	const template = TEMPLATES.find((each) => each.key === key);
	return (draft) => {
		if (!template) return;
		const { cabinets } = template;
		const { name = template.name, widthMm = template.widthMm, depthMm = template.depthMm } = own;
		const same = Object.values(draft.rooms).filter((room) => room.name.startsWith(name)).length;
		const ids = { room: newId(), back: newId(), front: newId() };
		addRoom({ name: same ? `${name} ${same + 1}` : name, widthMm, depthMm, ids })(draft);
		/** Width that cookers take of each wall beyond what its cabinets do, from where on. */
		const gaps = new Map<string, number>();
		const endOf = (runId: string, baseMm: number) =>
			Math.max(
				nextOffsetMm(draft as Home, runId, baseMm),
				baseMm < HANGS_FROM_MM ? (gaps.get(runId) ?? 0) : 0
			);
		for (const form of cabinets) {
			const { widthMm: wide, baseMm } =
				form === COOKER ? { ...COOKER_MM, baseMm: 0 } : formOf(form).cabinet;
			const runId = [ids.back, ids.front].find((id) => endOf(id, baseMm) + wide <= widthMm);
			if (!runId) continue;
			const offsetMm = endOf(runId, baseMm);
			if (form === COOKER) {
				gaps.set(runId, offsetMm + wide);
				for (const [kind, aside] of COOKED_AT) {
					const s = offsetMm + wide / 2 + aside;
					const at = pointBefore(draft.runs[runId]!, s, COOKER_MM.depthMm + COOKER_MM.beforeMm);
					addStation(draft as Home, draft.rooms[ids.room]!.id, kind, newId, at);
				}
				continue;
			}
			const before = new Set([...Object.keys(draft.cabinets), ...Object.keys(draft.stations)]);
			addCabinet(runId, formOf(form), newId)(draft);
			const made = Object.values(draft.cabinets).find(({ id }) => !before.has(id))!;
			// Its station stands before it, wherever it goes.
			const by = offsetMm - made.offsetMm;
			made.offsetMm = offsetMm;
			const { along } = runAxes(draft.runs[runId]!);
			for (const station of Object.values(draft.stations))
				if (!before.has(station.id))
					station.at = {
						x: Math.round(station.at.x + along.x * by),
						y: Math.round(station.at.y + along.y * by)
					};
		}
	};
}

/** Makes the edit that adds a room as its template has it. */
export const addTemplate = (key: string, newId: () => string): Edit => addUsualRoom(key, {}, newId);

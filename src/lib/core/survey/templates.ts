import { z } from 'zod';
import rows from '../../../../data/templates.json';
import { CABINET_FORMS_LIST, type CabinetForm } from './forms';
import { addCabinet, addRoom } from './edits';
import type { Edit } from '../model';

const FORMS = CABINET_FORMS_LIST.map(({ form }) => form as string);
/** A usual room with its cabinets, to begin with: sizes are usual ones, and wait for the tape. */
export const TEMPLATES = z
	.array(
		z.strictObject({
			key: z.string(),
			name: z.string(),
			what: z.string(),
			widthMm: z.int().positive(),
			depthMm: z.int().positive(),
			/** Forms of cabinets, from the left along the far wall. */
			cabinets: z.array(z.string().refine((form) => FORMS.includes(form))).min(1)
		})
	)
	.parse(rows);

const formOf = (form: string): CabinetForm =>
	CABINET_FORMS_LIST.find((each) => each.form === form)!;

/** Makes the edit that adds a room of a template with its cabinets; nothing for a key that is none. */
export function addTemplate(key: string, newId: () => string): Edit {
	const template = TEMPLATES.find((each) => each.key === key);
	return (draft) => {
		if (!template) return;
		const { name, widthMm, depthMm, cabinets } = template;
		const same = Object.values(draft.rooms).filter((room) => room.name.startsWith(name)).length;
		const ids = { room: newId(), back: newId(), front: newId() };
		addRoom({ name: same ? `${name} ${same + 1}` : name, widthMm, depthMm, ids })(draft);
		for (const form of cabinets) addCabinet(ids.back, formOf(form), newId)(draft);
	};
}

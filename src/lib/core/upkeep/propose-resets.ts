import { blankReset, ResetId, type Cabinet, type Edit, type Reset } from '../model';
import { USUAL_DAYS } from './resets';

const KINDS_OF: Partial<Record<Cabinet['form'], Reset['kind'][]>> = {
	fridge: ['fridge'],
	chest: ['freezer-list', 'freezer-defrost'],
	sink: ['under-sink'],
	basin: ['under-sink'],
	mirror: ['medicines'],
	tall: ['pantry-dates']
};

/** Makes the edit that adds the usual resets for cabinets that have none yet. */
export function proposeResets(newId: () => string): Edit {
	return (draft) => {
		const have = new Set(
			Object.values(draft.resets).map((reset) => `${reset.cabinetId}/${reset.kind}`)
		);
		for (const cabinet of Object.values(draft.cabinets))
			for (const kind of KINDS_OF[cabinet.form] ?? []) {
				if (have.has(`${cabinet.id}/${kind}`)) continue;
				const id = ResetId.parse(newId());
				draft.resets[id] = {
					id,
					kind,
					cabinetId: cabinet.id,
					everyDays: USUAL_DAYS[kind],
					...blankReset()
				};
			}
	};
}

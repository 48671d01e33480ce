import { GroupId, MarkId, NookId, PartId, type Edit } from '../model';
import type { LabelText } from './propose';

const MOST_LETTERS = { text: 80, note: 120 };

/**
 * Makes the edit that sets the words of a container's label; without words it says what is proposed again. `id` is for
 * the mark, where there is none yet.
 */
export function nameLabel(
	label: Pick<LabelText, 'nookId' | 'placementId' | 'groupId' | 'note'>,
	words: string,
	id: string
): Edit {
	return (draft) => {
		const known = Object.values(draft.marks).find(
			(mark) => mark.nookId === label.nookId && mark.placementId === label.placementId
		);
		const markId = known?.id ?? MarkId.parse(id);
		if (!words) {
			delete draft.marks[markId];
			return;
		}
		draft.marks[markId] = {
			id: markId,
			nookId: NookId.parse(label.nookId),
			placementId: PartId.parse(label.placementId),
			groupId: GroupId.parse(label.groupId),
			text: words.slice(0, MOST_LETTERS.text),
			note: label.note.slice(0, MOST_LETTERS.note),
			bare: false,
			thingIds: []
		};
	};
}

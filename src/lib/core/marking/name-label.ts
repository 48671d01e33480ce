import {
	GroupId,
	MarkId,
	MOST_LETTERS,
	NookId,
	PartId,
	ThingId,
	type Edit,
	type Mark
} from '../model';
import type { LabelText } from './propose';

const MOST_NOTE = 120;
type OfLabel = Pick<LabelText, 'nookId' | 'placementId' | 'groupId' | 'note' | 'thingIds'>;

/** Within an edit, gives the mark of a label, making one where there is none. */
function markFor(draft: Parameters<Edit>[0], label: OfLabel, id: string): Mark {
	const known = Object.values(draft.marks).find(
		(mark) => mark.nookId === label.nookId && mark.placementId === label.placementId
	);
	if (known) return known as Mark;
	const markId = MarkId.parse(id);
	draft.marks[markId] = {
		id: markId,
		nookId: NookId.parse(label.nookId),
		placementId: label.placementId === null ? null : PartId.parse(label.placementId),
		groupId: label.groupId === null ? null : GroupId.parse(label.groupId),
		text: '',
		note: label.note.slice(0, MOST_NOTE),
		bare: false,
		thingIds: []
	};
	return draft.marks[markId] as Mark;
}

/**
 * Makes the edit that sets the words of a label; without words it says what is proposed again. What is in it now is
 * remembered with them. `id` is for the mark, where there is none yet. Words beyond 120 letters are refused before.
 */
export function nameLabel(label: OfLabel, words: string, id: string): Edit {
	return (draft) => {
		const mark = markFor(draft, label, id);
		if (!words && !mark.bare) {
			delete draft.marks[mark.id];
			return;
		}
		mark.text = words.slice(0, MOST_LETTERS);
		mark.thingIds = label.thingIds.map((thing) => ThingId.parse(thing));
	};
}

/** Makes the edit that notes what was printed on each label: its id and its words. */
export function notePrinted(labels: readonly (readonly [id: string, words: string])[]): Edit {
	return (draft) => {
		for (const [id, words] of labels) draft.printed[id] = words.slice(0, MOST_LETTERS);
	};
}

/** Makes the edit that leaves something without a label, for what is to come, or gives it one. */
export function leaveBare(label: OfLabel, bare: boolean, id: string): Edit {
	return (draft) => void (markFor(draft, label, id).bare = bare);
}

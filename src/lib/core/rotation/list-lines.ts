import { ListLineId, ThingId, type Edit, type ListLine } from '../model';

const WORDS = 200;
const blank = (id: string, today: string): ListLine => ({
	id: ListLineId.parse(id),
	thingId: null,
	name: '',
	count: 1,
	state: 'wanted',
	byHand: false,
	paidMinor: null,
	instead: '',
	on: today
});

/** Which line is meant: one by hand by its id, else the one of a thing. */
export interface LineOf {
	readonly lineId: string | null;
	readonly thingId: string | null;
	readonly name: string;
	readonly count: number;
}

/**
 * Makes the edit that says something of a line of the list. `newId` is for a line of which nothing was said before.
 * @example sayOfLine({ lineId: null, thingId, name, count: 2 }, { state: 'in-trolley' }, newId, today)
 */
export function sayOfLine(
	{ lineId, thingId, name, count }: LineOf,
	change: Partial<Pick<ListLine, 'state' | 'count' | 'paidMinor' | 'instead'>>,
	newId: string,
	today: string
): Edit {
	return (draft) => {
		const known =
			(lineId ? draft.listLines[lineId] : undefined) ??
			Object.values(draft.listLines).find((line) => !line.byHand && line.thingId === thingId);
		if (thingId && !draft.things[thingId]) return;
		const line = known ?? {
			...blank(newId, today),
			thingId: thingId === null ? null : ThingId.parse(thingId),
			name: name.slice(0, WORDS),
			count
		};
		if (!known) draft.listLines[line.id] = line as ListLine;
		Object.assign(draft.listLines[line.id]!, change, { on: today });
	};
}

/** Makes the edit that adds a line by hand; one that says the same already counts up. */
export function addLine(
	thingId: string | null,
	name: string,
	count: number,
	newId: string,
	today: string
): Edit {
	return (draft) => {
		const words = name.trim().slice(0, WORDS);
		if (!words || count <= 0 || (thingId && !draft.things[thingId])) return;
		const same = Object.values(draft.listLines).find(
			(line) =>
				line.byHand &&
				line.state === 'wanted' &&
				(thingId ? line.thingId === thingId : line.name.toLowerCase() === words.toLowerCase())
		);
		if (same) {
			same.count += count;
			return;
		}
		const line = { ...blank(newId, today), name: words, count, byHand: true };
		draft.listLines[line.id] = {
			...line,
			thingId: thingId === null ? null : ThingId.parse(thingId)
		};
	};
}

/** Makes the edit that takes what was said of lines, and lines by hand, off the list. */
export function dropLines(ids: readonly string[]): Edit {
	return (draft) => ids.forEach((id) => delete draft.listLines[id]);
}

/** Makes the edit that forgets what was said to be in the house before a day: the next shop asks again. */
export function forgetSaid(before: string): Edit {
	return (draft) => {
		for (const line of Object.values(draft.listLines))
			if (line.state === 'have' && !line.byHand && line.on < before)
				delete draft.listLines[line.id];
	};
}

import {
	activePlan,
	usesPerWeek,
	type Edit,
	type Home,
	type HomePart,
	type PracticeCard
} from '../model';
import { assignmentNow } from '../zoning';
import { mainNooks } from './routine-walk';

/** Where a group lives: what is to be known. */
export interface ToKnow {
	readonly groupId: string;
	readonly nookId: string;
	/** Uses a week: what is fetched often is asked first. */
	readonly uses: number;
}

/** Lists where each group lives: most of it by the plan in force, else as things stand; what is used most first. */
export function toKnow(home: Home): ToKnow[] {
	const uses = new Map<string, number>();
	for (const thing of Object.values(home.things))
		if (thing.groupId) uses.set(thing.groupId, (uses.get(thing.groupId) ?? 0) + usesPerWeek(thing));
	const most = mainNooks(activePlan(home)?.assignments ?? assignmentNow(home));
	return [...most]
		.flatMap(([groupId, nookId]): ToKnow[] =>
			// Spares behind the shelf are nobody's question.
			home.groups[groupId] && !home.groups[groupId].stockOf && home.nooks[nookId]
				? [{ groupId, nookId, uses: uses.get(groupId) ?? 0 }]
				: []
		)
		.sort((a, b) => b.uses - a.uses || (a.groupId < b.groupId ? -1 : 1));
}

/** The card of a person for a group, if it is for the place where the group lives now. */
export function cardFor(
	home: HomePart<'practiceCards'>,
	personId: string,
	{ groupId, nookId }: Pick<ToKnow, 'groupId' | 'nookId'>
): PracticeCard | null {
	const card = Object.values(home.practiceCards).find(
		(each) => each.personId === personId && each.groupId === groupId
	);
	return card?.nookId === nookId ? card : null;
}

/** Right so often in a row, and remembered for so many days: it is known. */
const KNOWN_STREAK = 3;
const KNOWN_DAYS = 5;
export const isKnown = (card: PracticeCard | null): boolean =>
	!!card && card.streak >= KNOWN_STREAK && card.stability >= KNOWN_DAYS;

/** New ones in a sitting: more are not kept. */
const MOST_NEW = 6;

/**
 * Lists what to ask a person now: what is due by its card, the longest overdue first; then what was never asked, or moved
 * since, a few of them. `now` is an ISO instant.
 */
export function dueFor(home: Home, personId: string, now: string): ToKnow[] {
	const all = toKnow(home).map((each) => ({ each, card: cardFor(home, personId, each) }));
	const due = all
		.filter(({ card }) => card && card.dueAt <= now)
		.sort((a, b) => (a.card!.dueAt < b.card!.dueAt ? -1 : 1));
	const fresh = all.filter(({ card }) => !card).slice(0, MOST_NEW);
	return [...due, ...fresh].map(({ each }) => each);
}

/** Those who should know where things live: whoever lives here and can be asked. */
export const learners = (home: HomePart<'people'>) =>
	Object.values(home.people).filter(({ ageBand, visits }) => ageBand !== 'toddler' && !visits);

/** How far a household is. */
export interface Knowing {
	readonly of: number;
	readonly byPerson: readonly { readonly personId: string; readonly known: number }[];
	/** Places of which everybody knows all that lives there: their notes may come down. */
	readonly downNookIds: readonly string[];
	/** Everybody knows everything. */
	readonly isAll: boolean;
}
export function knowing(home: Home): Knowing {
	const all = toKnow(home);
	const people = learners(home);
	const known = people.map(({ id }) => ({
		personId: id as string,
		groups: new Set(all.filter((each) => isKnown(cardFor(home, id, each))).map((e) => e.groupId))
	}));
	const byNook = new Map<string, string[]>();
	for (const { groupId, nookId } of all)
		byNook.set(nookId, [...(byNook.get(nookId) ?? []), groupId]);
	const downNookIds = people.length
		? [...byNook].flatMap(([nookId, groups]) =>
				known.every((person) => groups.every((id) => person.groups.has(id))) ? [nookId] : []
			)
		: [];
	return {
		of: all.length,
		byPerson: known.map(({ personId, groups }) => ({ personId, known: groups.size })),
		downNookIds,
		isAll: all.length > 0 && downNookIds.length === byNook.size
	};
}

/** Makes the edit that keeps a card; the one that the person had for that group goes. */
export function keepCard(card: PracticeCard): Edit {
	return (draft) => {
		for (const each of Object.values(draft.practiceCards))
			if (each.personId === card.personId && each.groupId === card.groupId && each.id !== card.id)
				delete draft.practiceCards[each.id];
		if (draft.people[card.personId] && draft.groups[card.groupId] && draft.nooks[card.nookId])
			draft.practiceCards[card.id] = card;
	};
}

import {
	addDays,
	lotsIn,
	memoOn,
	type Decision,
	type Edit,
	type Home,
	type HomePart,
	type Verdict
} from '../model';

/** Verdicts after which the goods are out of the home. */
export const LEAVING: ReadonlySet<Verdict> = new Set([
	'give',
	'return',
	'recycle',
	'discard',
	'hazardous'
]);

/**
 * Days until what is decided so is to be gone, or is asked again. What left goes out of the house the same day, or it
 * comes back; what needs somebody else gets a week or two.
 */
export const DUE_DAYS: Readonly<Partial<Record<Verdict, number>>> = {
	discard: 0,
	recycle: 1,
	give: 7,
	return: 14,
	hazardous: 14,
	hold: 90
};

/** Until when a decision of today is to be carried out; null where there is nothing to carry out. */
export function dueFor(verdict: Verdict, today: string): string | null {
	const days = DUE_DAYS[verdict];
	return days === undefined ? null : addDays(today, days);
}

export interface GoingOut {
	readonly decision: Decision;
	readonly name: string;
	readonly overdue: boolean;
}
export interface OutList {
	readonly verdict: Verdict;
	/** The soonest first; then by whom it goes to. */
	readonly items: readonly GoingOut[];
}
const ORDER: readonly Verdict[] = ['hazardous', 'return', 'give', 'recycle', 'discard', 'hold'];

/** Gathers what is decided to go and is not gone, and what is on hold, a list each; empty lists are left out. */
export const goingOut = memoOn(['decisions', 'things'], (home, today: string): OutList[] => {
	const waiting = Object.values(home.decisions).filter(
		(decision) => decision.dueOn !== null && decision.doneOn === null
	);
	return ORDER.map((verdict) => ({
		verdict,
		items: waiting
			.filter((decision) => decision.verdict === verdict)
			.sort(
				(a, b) =>
					(a.dueOn! < b.dueOn! ? -1 : a.dueOn! > b.dueOn! ? 1 : 0) ||
					a.to.localeCompare(b.to) ||
					(a.id < b.id ? -1 : 1)
			)
			.map((decision) => ({
				decision,
				name: home.things[decision.thingId]?.name ?? 'something',
				overdue: decision.dueOn! < today
			}))
	})).filter((list) => list.items.length > 0);
});

/** Makes the edit that ticks things off as out of the house, or back on with null. */
export function markGone(decisionIds: readonly string[], on: string | null): Edit {
	return (draft) => {
		for (const id of decisionIds) {
			const decision = draft.decisions[id];
			if (decision) decision.doneOn = on;
		}
	};
}

/** Makes the edit that says where something goes, or until when. */
export function changeLeaving(
	decisionId: string,
	change: Partial<Pick<Decision, 'to' | 'dueOn' | 'reason'>>
): Edit {
	return (draft) => {
		const decision = draft.decisions[decisionId];
		if (decision) Object.assign(decision, change);
	};
}

/** What lies out of its place: stock on the table, and what was decided to go today and is still here. */
export function onTheTable(
	home: HomePart<'lots' | 'things'>
): { readonly lotId: string; readonly name: string; readonly count: number }[] {
	return lotsIn(home, null)
		.map((lot) => ({
			lotId: lot.id,
			name: home.things[lot.thingId]?.name ?? 'something',
			count: lot.count
		}))
		.sort((a, b) => a.name.localeCompare(b.name));
}

/** Names of what is not to be bought again. */
export const doNotBuy = (home: Home): string[] =>
	Object.values(home.things)
		.filter((thing) => thing.avoid)
		.map((thing) => thing.name)
		.sort();

import { dayOf, decisionsOn, lotsIn, type Decision, type Home, type Lot } from '../model';
import { effectiveDate } from '../rotation';

const HOUR_MS = 3_600_000;

/**
 * Says when the visit of a place began on which its things count as decided, as an ISO instant: when its clock was last
 * started, or up to an hour before, since one often begins to decide before one thinks of the clock. Empty: nobody has
 * begun one, and every decision counts.
 */
export function visitStart(home: Pick<Home, 'sessions'>, nookId: string | null): string {
	const own = Object.values(home.sessions)
		.filter((session) => session.nookId === nookId)
		.sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1));
	const [last, before] = own;
	if (!last) return '';
	const early = new Date(Date.parse(last.startedAt) - HOUR_MS).toISOString();
	// A visit that ended within that hour was another.
	const bound = before?.endedAt ?? before?.startedAt ?? '';
	return bound > early ? last.startedAt : early;
}

/** Whether its date has passed since somebody decided on a lot: then it is another question. */
function isPastSince(
	{ at }: { readonly at: string },
	lot: Lot,
	home: Home,
	today: string
): boolean {
	const thing = home.things[lot.thingId];
	const date = thing && effectiveDate(lot, thing);
	return !!date && date.on < today && dayOf(at) <= date.on;
}

/** Whether what was put off is to be asked about again. */
const isDueAgain = ({ verdict, dueOn, doneOn }: Decision, today: string): boolean =>
	verdict === 'hold' && dueOn !== null && doneOn === null && dueOn <= today;

/**
 * Lists the lots of a place (null: on the table) that nobody has decided on since its visit began; a decision holds over
 * a reload, an import and another day, until somebody begins anew or the lot's date has passed. On the table a lot is not
 * decided on by being moved there. `today` is an ISO date.
 */
export function undecidedLots(
	home: Home,
	nookId: string | null,
	since: string,
	today: string
): string[] {
	const isDone = (lot: Lot) =>
		decisionsOn(home, lot.id).some(
			(decision) =>
				decision.at >= since &&
				(nookId !== null || decision.verdict !== 'move') &&
				!isPastSince(decision, lot, home, today) &&
				!isDueAgain(decision, today)
		);
	return lotsIn(home, nookId)
		.filter((lot) => !isDone(lot))
		.map(({ id }) => id as string);
}

import { changedRecords, replay } from '../model';
import { recordAt, type Touched } from './take-back';
import type { Timeline } from './timeline';

/**
 * Says what a step that is in force did, record by record, though more was done since. Null when it is not in force, or
 * too far back.
 */
export function touchedBy({ home, history, cursor }: Timeline, stepId: string): Touched[] | null {
	const step = history.find(({ id }) => id === stepId);
	if (!step || step.seq > cursor) return null;
	const later = history
		.filter(({ seq }) => seq > step.seq && seq <= cursor)
		.sort((a, b) => b.seq - a.seq);
	if (later.length !== cursor - step.seq) return null;
	const after = later.reduce((now, { inverse }) => replay(now, inverse), home);
	const before = replay(after, step.inverse);
	return changedRecords(step.patches).map((record) => ({
		...record,
		before: recordAt(before, record),
		after: recordAt(after, record)
	}));
}

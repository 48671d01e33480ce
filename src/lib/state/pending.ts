import type { StoreNotice } from '../core/commands/notices';
import {
	advance,
	holds,
	type Advanced,
	type Entry,
	type Timeline
} from '../core/commands/timeline';

/** What was done here and is not stored yet, with what it makes of the home before it. */
export interface Pending {
	readonly entry: Entry;
	readonly made: Extract<Advanced, { ok: true }>;
}

export interface Rebased {
	/** What is still pending, made on the newer home. */
	readonly kept: readonly Pending[];
	/** The home with all of it done. */
	readonly shown: Timeline;
	/** What could not be kept, or not as it was. */
	readonly notices: readonly StoreNotice[];
}

/**
 * Makes all that is pending again on a newer home, in its order. What was `written` already, by this tab unheard or by
 * another that took it up, is pending no more. Throws nothing: what does not fit any more is told.
 */
export function rebase(
	confirmed: Timeline,
	pending: readonly Pending[],
	written: ReadonlySet<string>
): Rebased {
	let shown = confirmed;
	const kept: Pending[] = [];
	const notices: StoreNotice[] = [];
	for (const { entry, made: before } of pending) {
		if (written.has(entry.id)) continue;
		const made = advance(shown, entry, true);
		if (!made.ok) {
			// The other tab did the very same: nothing is missing.
			if (made.lost.code === 'no-effect' && holds(shown.home, before.patches)) continue;
			notices.push({ code: 'lost', label: labelOf(entry, shown), lost: made.lost });
			continue;
		}
		if (made.mended.length > before.mended.length)
			notices.push({ code: 'mended', label: labelOf(entry, shown) });
		kept.push({ entry, made });
		shown = made.after;
	}
	return { kept, shown, notices };
}

/** Says what an entry is about, for a notice. */
export function labelOf(entry: Entry, now: Timeline): string {
	if (entry.kind === 'do') return entry.label;
	const step = now.history.find(({ id }) => id === entry.stepId);
	return `${entry.kind} ${step?.label ?? ''}`.trim();
}

import type { Trouble, TroubleCode } from '../core/commands/notices';
import { NoAnswer } from './database';

export type { Trouble, TroubleCode };

const CODE_OF: Readonly<Record<string, TroubleCode>> = {
	QuotaExceededError: 'full',
	VersionError: 'newer-layout',
	SecurityError: 'refused',
	InvalidStateError: 'closed',
	TransactionInactiveError: 'closed',
	AbortError: 'closed',
	NotFoundError: 'closed'
};

/** Reads what went wrong from what was thrown. */
export function troubleOf(error: unknown): Trouble {
	const said = error instanceof Error ? error.message : String(error);
	if (error instanceof NoAnswer) return { code: error.blocked ? 'blocked' : 'no-answer', said };
	const name = (error as { name?: unknown } | null)?.name;
	// A full disk shows as an aborted transaction in some browsers, with the cause in its words.
	if (/quota|no space|disk.*full|full.*disk/i.test(said)) return { code: 'full', said };
	if (typeof indexedDB === 'undefined') return { code: 'refused', said };
	return { code: (typeof name === 'string' && CODE_OF[name]) || 'unknown', said };
}

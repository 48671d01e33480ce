import { NoAnswer } from './database';

/** Why something could not be stored or read, as far as the browser says. */
export type TroubleCode =
	/** No space is left. */
	| 'full'
	/** A newer program has laid the store out anew. */
	| 'newer-layout'
	/** It did not answer; `blocked`: another tab holds it. */
	| 'no-answer'
	| 'blocked'
	/** Not allowed here: a private window, or storage switched off. */
	| 'refused'
	/** The connection was ended; the next try opens it again. */
	| 'closed'
	| 'unknown';
export interface Trouble {
	readonly code: TroubleCode;
	/** What the browser said. */
	readonly said: string;
}

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

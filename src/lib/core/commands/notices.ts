import type { Lost } from './timeline';

/** Why something could not be stored or read, as far as the browser says. */
export type TroubleCode =
	/** No space is left. */
	| 'full'
	/** A newer program has laid the store out anew. */
	| 'newer-layout'
	/** It did not answer; `blocked`: another tab holds it. */
	| 'no-answer'
	| 'blocked'
	/** Not allowed here: private mode, or storage switched off. */
	| 'refused'
	/** The connection was ended; the next try opens it again. */
	| 'closed'
	| 'unknown';
export interface Trouble {
	readonly code: TroubleCode;
	/** What the browser said. */
	readonly said: string;
}

/** What a person may have to know about storing. */
export type StoreNotice =
	/** A write failed; it is tried again. */
	| { readonly code: 'not-stored'; readonly trouble: Trouble }
	/** What was done could not be made on top of what another tab did meanwhile. */
	| { readonly code: 'lost'; readonly label: string; readonly lost: Lost }
	/** It was made, but something it spoke of was taken away by another tab. */
	| { readonly code: 'mended'; readonly label: string }
	/** The stored home is not there any more. */
	| { readonly code: 'gone'; readonly why: 'deleted' | 'not-found' };

import type { Exchange, FileIssue, Mend } from '../core/interchange';
import type { Home } from '../core/model';

/** A home that was read from a file. */
export interface Incoming {
	readonly home: Home;
	readonly photos: ReadonlyMap<string, Uint8Array>;
	readonly lostPhotos: number;
	/** What had to be mended to read it. */
	readonly mends: readonly Mend[];
	/** Which copy it is; left out: it was not made to come back. */
	readonly exchange?: Exchange | undefined;
}
export type Read =
	| ({ readonly ok: true } & Incoming)
	| {
			readonly ok: false;
			readonly issues: readonly FileIssue[];
			/** The file with its faults mended, to be taken or not. */
			readonly mended: Incoming | null;
	  };

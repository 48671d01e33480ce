import {
	applyEdit,
	fingerprint,
	replay,
	StillNeeded,
	type Home,
	type LinkFault,
	type Patch
} from '../model';
import { editOf, type Command } from '.';
import { HISTORY_LIMIT } from './history-limit';

/** One step of a home's history: what was done, forwards and back. */
export interface HistoryStep {
	/** The same in every tab and after every reload. */
	readonly id: string;
	/** Its place in the history, from 1. */
	readonly seq: number;
	readonly label: string;
	/** ISO instant. */
	readonly at: string;
	readonly patches: Patch[];
	readonly inverse: Patch[];
}

/** A home with its history: the steps up to `cursor` are in force, later ones can be done again. */
export interface Timeline {
	readonly home: Home;
	readonly history: readonly HistoryStep[];
	readonly cursor: number;
}

/** Something a person did: a change, or taking one step back or forth. `id` is unique among all tabs. */
export type Entry =
	| {
			readonly kind: 'do';
			readonly id: string;
			readonly label: string;
			readonly at: string;
			readonly commands: readonly Command[];
	  }
	| {
			readonly kind: 'undo' | 'redo';
			readonly id: string;
			readonly at: string;
			readonly stepId: string;
	  };

/** What an entry does to the stored history: a new step on top, or a move of the cursor. */
export type StepChange =
	| { readonly kind: 'new'; readonly step: HistoryStep }
	| { readonly kind: 'cursor'; readonly cursor: number };

/** Why an entry could not be made on a home. */
export type Lost =
	/** Nothing is different with it. */
	| { readonly code: 'no-effect' }
	/** The step is not the last one any more, so it alone cannot be taken back. */
	| { readonly code: 'not-last' }
	/** What it would take away is still needed. */
	| { readonly code: 'still-needed'; readonly fault: LinkFault }
	/** What it speaks of is not as it was. */
	| { readonly code: 'no-longer-fits'; readonly reason: string };

export type Advanced =
	| {
			readonly ok: true;
			readonly after: Timeline;
			readonly patches: readonly Patch[];
			readonly change: StepChange;
			readonly mended: readonly LinkFault[];
	  }
	| { readonly ok: false; readonly lost: Lost };

function doIt(now: Timeline, entry: Extract<Entry, { kind: 'do' }>): Advanced {
	const edits = entry.commands.map(editOf);
	const { home, patches, inverse, mended } = applyEdit(now.home, (draft) =>
		edits.forEach((edit) => edit(draft))
	);
	if (!patches.length) return { ok: false, lost: { code: 'no-effect' } };
	const { id, label, at } = entry;
	const step: HistoryStep = { id, seq: now.cursor + 1, label, at, patches, inverse };
	const change: StepChange = { kind: 'new', step };
	return { ok: true, after: withChange(now, home, change), patches, change, mended };
}

function moveCursor(now: Timeline, entry: Extract<Entry, { kind: 'undo' | 'redo' }>): Advanced {
	const back = entry.kind === 'undo';
	const seq = back ? now.cursor : now.cursor + 1;
	const step = now.history.find((one) => one.seq === seq);
	if (step?.id !== entry.stepId) return { ok: false, lost: { code: 'not-last' } };
	const patches = back ? step.inverse : step.patches;
	const change: StepChange = { kind: 'cursor', cursor: back ? seq - 1 : seq };
	const home = replay(now.home, patches);
	return { ok: true, after: withChange(now, home, change), patches, change, mended: [] };
}

/** The history after a change to it: a new step takes the place of all that could have been done again. */
export function withChange(now: Timeline, home: Home, change: StepChange): Timeline {
	if (change.kind === 'cursor') return { home, history: now.history, cursor: change.cursor };
	const { step } = change;
	return {
		home,
		history: [
			...now.history.filter(({ seq }) => seq < step.seq && seq > step.seq - HISTORY_LIMIT),
			step
		],
		cursor: step.seq
	};
}

/**
 * Makes an entry on a home with its history. An outcome that another tab may bring about is told, never thrown.
 * @throws what the change throws on a home that it was made for: a programmer's mistake. With `again`, when it is made
 * once more on a newer home, that too is told.
 */
export function advance(now: Timeline, entry: Entry, again = false): Advanced {
	try {
		return entry.kind === 'do' ? doIt(now, entry) : moveCursor(now, entry);
	} catch (error) {
		if (error instanceof StillNeeded)
			return { ok: false, lost: { code: 'still-needed', fault: error.fault } };
		if (!again) throw error;
		const reason = error instanceof Error ? error.message : String(error);
		return { ok: false, lost: { code: 'no-longer-fits', reason } };
	}
}

const isSame = (a: unknown, b: unknown): boolean =>
	fingerprint([a ?? null]) === fingerprint([b ?? null]);

/** Whether what patches bring about is so already, in a home that somebody else changed. */
export function holds(home: Home, patches: readonly Patch[]): boolean {
	return patches.every(({ op, path, value }) => {
		const found = path.reduce<unknown>(
			(node, name) => (node as Record<string | number, unknown> | null | undefined)?.[name],
			home
		);
		return op === 'remove' ? found === undefined : isSame(found, value);
	});
}

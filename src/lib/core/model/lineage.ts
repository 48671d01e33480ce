/** A collection as it was before an edit, and the ids of the records that the edit touched. */
export interface Line<Part extends object = object> {
	readonly from: Part;
	readonly ids: readonly string[];
}

/** Where each collection came from; earlier states are held weakly, so that none is kept alive by a later one. */
const lines = new WeakMap<
	object,
	{ readonly from: WeakRef<object>; readonly ids: readonly string[] }
>();

/** Notes that a collection came of another by a change to some of its records. */
export function noteLine(part: object, from: object, ids: readonly string[]): void {
	if (part !== from) lines.set(part, { from: new WeakRef(from), ids });
}

/** The state before the last edit of a collection; null: not known, or gone. */
export function lineOf<Part extends object>(part: Part): Line<Part> | null {
	const line = lines.get(part);
	const from = line?.from.deref() as Part | undefined;
	return line && from ? { from, ids: line.ids } : null;
}

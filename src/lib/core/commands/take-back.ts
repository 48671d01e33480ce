import {
	fingerprint,
	headOf,
	type ChangedRecord,
	type Edit,
	type Home,
	type Plain
} from '../model';

/** A record as it was before a step and as the step left it; null: it was not there. */
export interface Touched extends ChangedRecord {
	readonly before: Plain;
	readonly after: Plain;
}

type Fields = Record<string, Plain>;

const isSame = (a: Plain, b: Plain): boolean =>
	fingerprint([a ?? null]) === fingerprint([b ?? null]);
const isFields = (value: Plain): value is Fields =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** A record as plain data; null: it is not there. */
export function recordAt(home: Home, { collection, id }: ChangedRecord): Plain {
	const found = collection === 'head' ? headOf(home) : home[collection][id];
	return found === undefined ? null : (JSON.parse(JSON.stringify(found)) as Plain);
}

const KEPT_DIGITS = 1000;
/** What is newer than the step stays; a number loses what the step added to it; null: it cannot be taken back. */
function without(now: Plain, before: Plain, after: Plain): { readonly value: Plain } | null {
	if (isSame(now, after)) return { value: before };
	if (isSame(before, after)) return { value: now };
	if (typeof now === 'number' && typeof before === 'number' && typeof after === 'number') {
		const value = Math.round((now + before - after) * KEPT_DIGITS) / KEPT_DIGITS;
		return value < 0 && before >= 0 ? null : { value };
	}
	if (isFields(now) && isFields(before) && isFields(after)) {
		const merged: Fields = {};
		for (const key of new Set([...Object.keys(now), ...Object.keys(before)])) {
			const field = without(now[key], before[key], after[key]);
			if (!field) return null;
			if (field.value !== undefined) merged[key] = field.value;
		}
		return { value: merged };
	}
	// Said anew since: the newer word stands. A record that came with the step and was worked on since is kept.
	return before === null || after === null || now === null ? null : { value: now };
}

/**
 * Makes the edit that takes back one step whatever was done since: numbers by as much as the step changed them, other
 * fields where nobody has changed them since. All of it or nothing: where a record that came with the step was worked on
 * since, nothing changes.
 * @example takeBack(touchedBy(timeline, stepId)!) // two packs used after it stay used
 */
export function takeBack(touched: readonly Touched[]): Edit {
	return (draft) => {
		const found = touched.map((record) => ({
			record,
			back: without(recordAt(draft as Home, record), record.before, record.after)
		}));
		if (found.some(({ back }) => back === null)) return;
		for (const { record, back } of found) {
			const value = back!.value;
			if (record.collection === 'head') Object.assign(draft, value);
			else if (value === null || value === undefined) delete draft[record.collection][record.id];
			else (draft[record.collection] as Record<string, unknown>)[record.id] = value;
		}
	};
}

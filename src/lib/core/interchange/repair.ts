import {
	COLLECTION_NAMES,
	faultPath,
	headOf,
	HomeHead,
	linkFaults,
	makeHome,
	mendFaults,
	RECORD_SCHEMAS,
	type CollectionName,
	type Home
} from '../model';
import { produce } from 'immer';

/** One thing that was mended in a damaged home. */
export type Mend =
	/** A setting of the home could not be read; it has its usual value now. */
	| { readonly code: 'setting-reset'; readonly path: string; readonly reason: string }
	/** A record could not be read and is left out. */
	| { readonly code: 'record-left-out'; readonly path: string; readonly reason: string }
	/** A part of a record could not be read; the record does without it. */
	| { readonly code: 'part-left-out'; readonly path: string; readonly reason: string }
	/** It pointed to what is not there, and now points to nothing, or is gone itself. */
	| { readonly code: 'link-mended'; readonly path: string; readonly missing: string };

export interface Repaired {
	readonly home: Home;
	readonly mends: readonly Mend[];
}

type Raw = Record<string, unknown>;
const isRecord = (value: unknown): value is Raw =>
	typeof value === 'object' && value !== null && !Array.isArray(value);
const own = (raw: Raw, name: string): unknown => (Object.hasOwn(raw, name) ? raw[name] : undefined);

/** Leaves out the innermost list item that a path leads into; null when it leads into none. */
function withoutItem(record: unknown, path: readonly PropertyKey[]): unknown {
	const last = path.findLastIndex((name) => typeof name === 'number');
	if (last < 0) return null;
	const copy = structuredClone(record) as Raw;
	const list = path
		.slice(0, last)
		.reduce<unknown>((node, name) => (node as Raw)?.[name as string], copy);
	if (!Array.isArray(list)) return null;
	list.splice(path[last] as number, 1);
	return copy;
}

/** A record that is broken in more places than this is not worth having. */
const MOST_PARTS_OUT = 20;

function readRecord(name: CollectionName, key: string, raw: unknown, mends: Mend[]): unknown {
	const path = `${name}.${key}`;
	const partsOut: Mend[] = [];
	let value = raw;
	for (let i = 0; i <= MOST_PARTS_OUT; i++) {
		const parsed = RECORD_SCHEMAS[name].safeParse(value);
		if (parsed.success) {
			mends.push(...partsOut);
			return parsed.data;
		}
		const issue = parsed.error.issues[0]!;
		const less = withoutItem(value, issue.path);
		if (less === null) {
			mends.push({
				code: 'record-left-out',
				path: [path, ...issue.path.map(String)].join('.'),
				reason: issue.message
			});
			return null;
		}
		partsOut.push({
			code: 'part-left-out',
			path: [path, ...issue.path.map(String)].join('.'),
			reason: issue.message
		});
		value = less;
	}
	mends.push({ code: 'record-left-out', path, reason: 'too much of it cannot be read' });
	return null;
}

function readHead(raw: Raw, usual: HomeHead, mends: Mend[]): HomeHead {
	const head: Raw = {};
	for (const [name, schema] of Object.entries(HomeHead.shape)) {
		const parsed = schema.safeParse(own(raw, name));
		if (parsed.success) head[name] = parsed.data;
		else {
			head[name] = usual[name as keyof HomeHead];
			mends.push({ code: 'setting-reset', path: name, reason: parsed.error.issues[0]!.message });
		}
	}
	return head as HomeHead;
}

function readCollection(name: CollectionName, raw: unknown, mends: Mend[]): Raw {
	const records = Object.create(null) as Raw;
	for (const [key, value] of isRecord(raw) ? Object.entries(raw) : []) {
		const record = readRecord(name, key, value, mends) as { id: string } | null;
		if (!record) continue;
		// One that stands under another key than its id takes its own place, if nobody is there.
		if (record.id !== key) {
			const reason = `it stood under ${key} and says it is ${record.id}`;
			mends.push({ code: 'record-left-out', path: `${name}.${key}`, reason });
			if (isRecord(raw) && Object.hasOwn(raw, record.id)) continue;
			mends.pop();
			mends.push({ code: 'part-left-out', path: `${name}.${key}.id`, reason });
		}
		records[record.id] = record;
	}
	return records;
}

/**
 * Makes a home of what should be one and does not read as such: every record that can be read is kept, a link that leads
 * nowhere is mended by the table of links, and each such step is told. Null for what is no home at all.
 * @example repairHome({ ...home, nooks: {} })?.mends[0] // link-mended, at the first lot
 */
export function repairHome(
	raw: unknown,
	fallback: { readonly id: string; readonly now: string }
): Repaired | null {
	if (!isRecord(raw)) return null;
	const mends: Mend[] = [];
	const usual = headOf(makeHome({ ...fallback, name: 'A home without a name' }));
	const head = readHead(raw, usual, mends);
	const collections = Object.fromEntries(
		COLLECTION_NAMES.map((name) => [name, readCollection(name, own(raw, name), mends)])
	);
	let home = { ...head, ...collections } as Home;
	for (;;) {
		const faults = linkFaults(home);
		if (!faults.length) return { home, mends };
		for (const fault of faults)
			mends.push({ code: 'link-mended', path: faultPath(fault), missing: fault.missing });
		home = produce(home, (draft: Home) => mendFaults(draft, faults));
	}
}

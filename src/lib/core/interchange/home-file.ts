import { z } from 'zod';
import { faultPath, Home, HOME_VERSION, IdText, linkFaults } from '../model';
import { migrate } from './migrate';
import { repairHome, type Repaired } from './repair';

/** Who gave a file, and which states of the home its copy descends from: what merging goes by. */
export const Exchange = z.strictObject({
	id: IdText,
	/** Ids of the states that its writer had from others, the latest first. */
	after: z.array(IdText).max(20),
	by: z.string().max(80)
});
export type Exchange = z.infer<typeof Exchange>;

/** What a `*.keepnook.json` file holds. */
export const HomeFile = z.strictObject({
	format: z.literal('keepnook-home'),
	version: z.literal(HOME_VERSION),
	exchange: Exchange.optional(),
	home: Home
});
export type HomeFile = z.infer<typeof HomeFile>;

/** Larger files are refused before they are read: a home of 10,000 lots takes about 5 MB. */
export const MAX_FILE_BYTES = 25_000_000;
const SHOWN_ISSUES = 5;

export type FileIssue =
	| { readonly code: 'file-too-large'; readonly bytes: number; readonly limit: number }
	| { readonly code: 'file-not-json'; readonly reason: string }
	| { readonly code: 'file-wrong-type'; readonly found: string }
	| { readonly code: 'file-newer'; readonly version: number; readonly known: number }
	| { readonly code: 'file-bad-version'; readonly version: number }
	| { readonly code: 'file-bad-record'; readonly path: string; readonly reason: string }
	| { readonly code: 'file-broken-link'; readonly path: string; readonly missing: string }
	| { readonly code: 'zip-damaged'; readonly reason: string }
	| { readonly code: 'zip-without-home'; readonly wanted: string };
export type FileResult =
	| { readonly ok: true; readonly home: Home; readonly exchange?: Exchange }
	| { readonly ok: false; readonly issues: readonly FileIssue[] };

/** Writes a home as the text of a file; reading it back gives the same home. `exchange`: it is a copy to be merged later. */
export function writeHomeFile(home: Home, exchange?: Exchange): string {
	const head = { format: 'keepnook-home', version: HOME_VERSION };
	return JSON.stringify(exchange ? { ...head, exchange, home } : { ...head, home });
}

/** What every version of the file has. */
const FileHead = z.looseObject({
	format: z.string(),
	version: z.int(),
	home: z.unknown().optional(),
	exchange: z.unknown().optional()
});

/** Says in a word what a value is that should have been a home file. */
function typeOf(value: unknown): string {
	if (Array.isArray(value)) return 'a list';
	const format = (value as { format?: unknown } | null)?.format;
	return typeof format === 'string' ? format.slice(0, 40) : typeof value;
}

const one = (issue: FileIssue): FileResult => ({ ok: false, issues: [issue] });

function parseJson(text: string): { ok: true; value: unknown } | { ok: false; reason: string } {
	try {
		return { ok: true, value: JSON.parse(text) };
	} catch (error) {
		return { ok: false, reason: error instanceof Error ? error.message : String(error) };
	}
}

/** Parses an unknown value as a home: its shape, then that every link leads somewhere. */
export function parseHome(value: unknown): FileResult {
	const parsed = Home.safeParse(value);
	if (!parsed.success)
		return {
			ok: false,
			issues: parsed.error.issues.slice(0, SHOWN_ISSUES).map((issue) => ({
				code: 'file-bad-record',
				path: issue.path.join('.') || 'home',
				reason: issue.message
			}))
		};
	const faults = linkFaults(parsed.data).slice(0, SHOWN_ISSUES);
	if (faults.length)
		return {
			ok: false,
			issues: faults.map((fault) => ({
				code: 'file-broken-link',
				path: faultPath(fault),
				missing: fault.missing
			}))
		};
	return { ok: true, home: parsed.data };
}

/**
 * Reads the text of a home file. Older versions are carried up; a newer one, a cut file or a wrong type is said.
 * Nothing is written anywhere: the caller decides what to do with the home.
 * @example readHomeFile('{"format":').issues[0].code // 'file-not-json'
 */
export function readHomeFile(text: string): FileResult {
	if (text.length > MAX_FILE_BYTES)
		return one({ code: 'file-too-large', bytes: text.length, limit: MAX_FILE_BYTES });
	const json = parseJson(text);
	if (!json.ok) return one({ code: 'file-not-json', reason: json.reason });
	const head = FileHead.safeParse(json.value);
	if (!head.success || head.data.format !== 'keepnook-home')
		return one({ code: 'file-wrong-type', found: typeOf(json.value) });
	if (head.data.version > HOME_VERSION)
		return one({ code: 'file-newer', version: head.data.version, known: HOME_VERSION });
	if (head.data.version < 1) return one({ code: 'file-bad-version', version: head.data.version });
	const read = parseHome(carryUp(head.data.home, head.data.version));
	// What it says of copies only helps; without it the file is a home like any other.
	const exchange = Exchange.safeParse(head.data.exchange);
	return read.ok && exchange.success ? { ...read, exchange: exchange.data } : read;
}

/**
 * Carries what should be a home of an older version up to today's. What is no home at all is given back as it is, and
 * what breaks on the way as nothing: parsing then says what is wrong.
 */
export function carryUp(home: unknown, version: number): unknown {
	if (typeof home !== 'object' || home === null) return home;
	try {
		return migrate(home, version);
	} catch {
		return null;
	}
}

/** Gives the JSON Schema of a home file, made from the Zod schema. */
export function homeJsonSchema(): unknown {
	return z.toJSONSchema(HomeFile, { unrepresentable: 'any', io: 'input' });
}

/**
 * Makes a home of a file that was refused for what is in it; null where it is no home file, cut, too large or newer.
 * Nothing is written anywhere.
 */
export function repairHomeFile(
	text: string,
	fallback: { readonly id: string; readonly now: string }
): Repaired | null {
	if (text.length > MAX_FILE_BYTES) return null;
	const json = parseJson(text);
	const head = json.ok ? FileHead.safeParse(json.value) : null;
	if (!head?.success || head.data.format !== 'keepnook-home') return null;
	const { version, home } = head.data;
	if (version < 1 || version > HOME_VERSION) return null;
	return repairHome(carryUp(home, version), fallback);
}

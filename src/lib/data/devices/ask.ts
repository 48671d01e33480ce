import type { DeviceIssue } from '../../core/devices';

export type Asked =
	| { readonly ok: true; readonly status: number; readonly body: unknown }
	| { readonly ok: false; readonly issue: DeviceIssue };

/** A hand waits about so long before it presses again, ms. */
export const PATIENCE_MS = 4000;

/** Asks a device over its address and gives up after a while; nothing throws. */
export async function ask(
	device: string,
	path: string,
	patienceMs: number = PATIENCE_MS
): Promise<Asked> {
	let response: Response;
	const signal = AbortSignal.timeout(patienceMs);
	try {
		response = await fetch(path, { signal });
	} catch {
		return {
			ok: false,
			issue: signal.aborted
				? { code: 'device-silent', device, waitedMs: patienceMs }
				: { code: 'device-away', device }
		};
	}
	try {
		return { ok: true, status: response.status, body: await response.json() };
	} catch {
		return {
			ok: false,
			issue: signal.aborted
				? { code: 'device-silent', device, waitedMs: patienceMs }
				: { code: 'device-garbled', device }
		};
	}
}

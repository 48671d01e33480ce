import type { MessagePort } from 'node:worker_threads';
import { z } from 'zod';
import { carryUp, parseHome } from '../core/interchange';
import { HOME_VERSION } from '../core/model';
import { fileIssueText } from '../messages/files';
import { handleForecast } from '../workers/forecast.protocol';
import { handleFit } from '../workers/fit.protocol';
import { loadIntegerSolver } from '../workers/integer-solver';
import type { Handled, Issue } from '../workers/job.protocol';
import { handlePlace } from '../workers/place.protocol';
import { handleProve } from '../workers/prove.protocol';
import { GRACE_MS, MOST_MS, type ComputationName, type ComputeAnswer } from './compute-limits';
import { tooMuch } from './limits';

/** What the server computes, each as the worker of the same name does. */
const COMPUTATIONS: Readonly<
	Record<ComputationName, (payload: unknown) => Handled<unknown> | Promise<Handled<unknown>>>
> = {
	place: (payload: unknown) => handlePlace(payload),
	fit: (payload: unknown) => handleFit(payload),
	forecast: (payload: unknown) => handleForecast(payload),
	prove: (payload: unknown) => handleProve(payload, undefined, () => loadIntegerSolver())
};
export interface ComputeTask {
	readonly name: ComputationName;
	/** The body as it came, UTF-8. */
	readonly body: Uint8Array;
	/** Is told how long it may take as soon as that is known, ms. */
	readonly port?: MessagePort;
}
const Body = z.looseObject({
	/** Layout of the home; today's where it is not said. */
	version: z.int().min(1).max(HOME_VERSION).default(HOME_VERSION),
	home: z.unknown(),
	options: z
		.looseObject({ budgetMs: z.number().optional(), seconds: z.number().optional() })
		.default({})
});

const refuse = (code: string, message: string, issues: readonly Issue[] = []): ComputeAnswer => ({
	status: 400,
	text: JSON.stringify({ code, message, issues })
});

function parseJson(body: Uint8Array): { ok: true; value: unknown } | { ok: false } {
	try {
		return { ok: true, value: JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(body)) };
	} catch {
		return { ok: false };
	}
}

function tellLimit(
	port: MessagePort | undefined,
	{ budgetMs, seconds }: { budgetMs?: number; seconds?: number }
) {
	const asked = budgetMs ?? (seconds ? seconds * 1000 : undefined);
	if (asked !== undefined && asked > 0)
		port?.postMessage({ limitMs: Math.min(MOST_MS, asked + GRACE_MS) });
}

const NOT_UNDERSTOOD = 'The body was not understood. See the issues.';

/**
 * Reads a body, checks the home in it as a file's is checked (older layouts are carried up, links are followed), and
 * computes. What is wrong with the body is told with 400; nothing of it is kept.
 */
export async function compute({ name, body, port }: ComputeTask): Promise<ComputeAnswer> {
	port?.postMessage({ started: true });
	const json = parseJson(body);
	if (!json.ok) return refuse('not-json', 'The body is not JSON. Send { home, options }.');
	const read = Body.safeParse(json.value);
	if (!read.success)
		return refuse(
			'not-understood',
			NOT_UNDERSTOOD,
			read.error.issues.map(({ code, path, message }) => ({
				code,
				path: path.join('.'),
				reason: message
			}))
		);
	const { version, home, options } = read.data;
	tellLimit(port, options);
	const parsed = parseHome(carryUp(home, version));
	if (!parsed.ok)
		return refuse(
			'not-understood',
			NOT_UNDERSTOOD,
			parsed.issues.map((issue) => ({
				code: issue.code,
				path: 'path' in issue ? `home.${issue.path}` : 'home',
				reason: fileIssueText(issue)
			}))
		);
	const much = tooMuch(parsed.home);
	if (much.length) return refuse('too-much', 'The home is more than the server computes.', much);
	const handled: Handled<unknown> = await COMPUTATIONS[name]({ home: parsed.home, options });
	return handled.ok
		? { status: 200, text: JSON.stringify(handled.result) }
		: refuse('not-understood', NOT_UNDERSTOOD, handled.issues);
}

import { z } from 'zod';

/** What a page asks of a worker. One job at a time; a later one takes its place. */
export const JobRequest = z.object({ id: z.int(), payload: z.unknown() });
export type JobRequest = z.infer<typeof JobRequest>;

export const Issue = z.object({ code: z.string(), path: z.string(), reason: z.string() });
export type Issue = z.infer<typeof Issue>;

/** What a worker answers. Failures cross as data. */
export const JobReply = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('progress'), id: z.int(), progress: z.unknown() }),
	z.object({ kind: z.literal('done'), id: z.int(), result: z.unknown() }),
	z.object({ kind: z.literal('refused'), id: z.int(), issues: z.array(Issue) }),
	z.object({ kind: z.literal('failed'), id: z.int(), reason: z.string() })
]);
export type JobReply = z.infer<typeof JobReply>;

/** What running a job gives: the answer, or why the question was not understood. */
export type Handled<Result> =
	| { readonly ok: true; readonly result: Result }
	| { readonly ok: false; readonly issues: readonly Issue[] };
export type Handler<Result, Progress> = (
	payload: unknown,
	onProgress?: (progress: Progress) => void
) => Handled<Result> | Promise<Handled<Result>>;

/** Turns what zod found into issues that cross a worker or a route. */
export function issuesOf(error: z.ZodError): Issue[] {
	return error.issues
		.slice(0, 10)
		.map(({ code, path, message }) => ({ code, path: path.join('.'), reason: message }));
}

export type BodyResult =
	| { readonly ok: true; readonly bytes: Uint8Array }
	| { readonly ok: false; readonly code: 'too-large' | 'too-slow' | 'cut' };

export interface BodyLimits {
	readonly mostBytes: number;
	/** The whole body has to be there by then, ms. */
	readonly mostMs: number;
	/** Bodies that may come in at the same time; the oldest gives way. */
	readonly mostAtOnce: number;
}
export const BODY_LIMITS: BodyLimits = { mostBytes: 20_000_000, mostMs: 15_000, mostAtOnce: 32 };

/**
 * Reads bodies as they come in, apart from computing, so that a slow sender holds up nobody: what is not there in time
 * is given up, and where too many come in at once the one that has been at it longest is.
 */
export class BodyReader {
	readonly #limits: BodyLimits;
	/** Ways to give up what is coming in, the oldest first. */
	readonly #underway = new Set<() => void>();

	constructor(limits: BodyLimits = BODY_LIMITS) {
		this.#limits = limits;
	}

	async read(request: Request): Promise<BodyResult> {
		const { mostBytes, mostMs, mostAtOnce } = this.#limits;
		if (Number(request.headers.get('content-length') ?? 0) > mostBytes)
			return { ok: false, code: 'too-large' };
		const reader = request.body?.getReader();
		if (!reader) return { ok: true, bytes: new Uint8Array() };
		let giveUp = () => {};
		const tooSlow = new Promise<'too-slow'>((settle) => (giveUp = () => settle('too-slow')));
		const timer = setTimeout(giveUp, mostMs);
		if (this.#underway.size >= mostAtOnce) [...this.#underway][0]!();
		this.#underway.add(giveUp);
		const chunks: Uint8Array[] = [];
		let size = 0;
		try {
			for (;;) {
				const next = await Promise.race([reader.read(), tooSlow]);
				if (next === 'too-slow') return { ok: false, code: 'too-slow' };
				if (next.done) break;
				size += next.value.byteLength;
				if (size > mostBytes) return { ok: false, code: 'too-large' };
				chunks.push(next.value);
			}
		} catch {
			return { ok: false, code: 'cut' };
		} finally {
			clearTimeout(timer);
			this.#underway.delete(giveUp);
			// The rest is not wanted; without a body to cancel nothing happens.
			void reader.cancel().catch(() => undefined);
		}
		const bytes = new Uint8Array(size);
		let at = 0;
		for (const chunk of chunks) {
			bytes.set(chunk, at);
			at += chunk.byteLength;
		}
		return { ok: true, bytes };
	}
}

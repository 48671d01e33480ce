import { z } from 'zod';
import type { DistanceMeter, MeterReading } from '../../core/devices';
import { ask, PATIENCE_MS } from './ask';

const Answer = z.union([
	z.object({ mm: z.int().min(0).max(100_000) }),
	z.object({ error: z.enum(['out-of-range', 'weak-echo']) })
]);
const DEVICE = 'The laser measure';

function toReading(body: unknown): MeterReading {
	const answer = Answer.safeParse(body);
	if (!answer.success) return { ok: false, issue: { code: 'device-garbled', device: DEVICE } };
	return 'mm' in answer.data
		? { ok: true, mm: answer.data.mm }
		: { ok: false, issue: { code: answer.data.error } };
}

/**
 * Makes the stand-in for a laser measure that the server ships. It stands before no wall, so it is told how far away
 * the wall is thought to be; a real device would leave that out.
 */
export function standInMeter(aimMm: () => number): DistanceMeter {
	const address = () => `/api/v1/stand-ins/laser?aimMm=${Math.round(aimMm())}`;
	return {
		async measure() {
			const asked = await ask(DEVICE, address());
			return asked.ok ? toReading(asked.body) : asked;
		},
		listen(onReading) {
			const source = new EventSource(address());
			const silent = () => {
				source.close();
				onReading({
					ok: false,
					issue: { code: 'device-silent', device: DEVICE, waitedMs: PATIENCE_MS }
				});
			};
			let watch = setTimeout(silent, PATIENCE_MS);
			source.onmessage = (event: MessageEvent<string>) => {
				clearTimeout(watch);
				watch = setTimeout(silent, PATIENCE_MS);
				let body: unknown = null;
				try {
					body = JSON.parse(event.data);
				} catch {
					// Said as garbled below.
				}
				onReading(toReading(body));
			};
			return () => {
				clearTimeout(watch);
				source.close();
			};
		}
	};
}

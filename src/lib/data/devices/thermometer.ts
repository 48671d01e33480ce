import { z } from 'zod';
import type { Thermometer } from '../../core/devices';
import { ask } from './ask';

const Answer = z.object({
	readings: z.array(z.object({ at: z.iso.datetime(), c: z.number().min(-60).max(90) })).max(5000)
});

/** Makes the stand-in for a thermometer in a fridge or freezer that the server ships. */
export function standInThermometer(
	name: string,
	kind: 'fridge' | 'freezer',
	now: () => string
): Thermometer {
	return {
		async readSince(since) {
			const query = new URLSearchParams({ kind, name, since, until: now() });
			const asked = await ask(
				`The thermometer of ${name}`,
				`/api/v1/stand-ins/thermometer?${query.toString()}`
			);
			if (!asked.ok) return asked;
			const answer = Answer.safeParse(asked.body);
			return answer.success
				? { ok: true, readings: answer.data.readings }
				: { ok: false, issue: { code: 'device-garbled', device: `The thermometer of ${name}` } };
		}
	};
}

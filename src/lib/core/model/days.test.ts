import { afterEach, describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { takeDown } from '../rotation';
import { apply, tinyHome } from '../fixtures/tiny-home';
import { addDays, dayOf, daysBetween, instantOn } from '.';

const ZONE = process.env.TZ;
afterEach(() => {
	process.env.TZ = ZONE;
});
const at = (zone: string) => {
	process.env.TZ = zone;
};

describe('days', () => {
	it.each([
		['Pacific/Kiritimati', '2026-03-03'],
		['Asia/Tokyo', '2026-03-03'],
		['Europe/Berlin', '2026-03-02'],
		['Pacific/Pago_Pago', '2026-03-02']
	])('are those that people in %s live by', (zone, day) => {
		at(zone);
		expect(dayOf('2026-03-02T22:30:00.000Z')).toBe(day);
		const home = tinyHome();
		const lot = Object.values(home.lots)[0]!;
		const used = apply(
			home,
			takeDown({ lotId: lot.id, count: 1, eventId: 'e', now: '2026-03-02T22:30:00.000Z' })
		);
		expect(used.lots[lot.id]!.dates.lastUsedOn).toBe(day);
	});
	it.each(['Pacific/Kiritimati', 'Pacific/Pago_Pago', 'Europe/London', 'America/St_Johns'])(
		'of the demo are counted from its own day in %s',
		(zone) => {
			at(zone);
			const now = '2026-03-28T11:30:00.000Z';
			const home = demoHome(now);
			const session = Object.values(home.sessions)[0]!;
			const ago = daysBetween(dayOf(session.startedAt), dayOf(now));
			expect(session.id.endsWith(`-${ago}`)).toBe(true);
		}
	);
	it('hold over summer time, leap days and the year 2100', () => {
		for (const zone of ['Europe/Berlin', 'America/New_York', 'Pacific/Auckland']) {
			at(zone);
			for (const day of ['2026-03-29', '2026-10-25', '2028-02-29', '2100-02-28', '2100-03-01'])
				for (const minutes of [0, 150, 719, 1439]) {
					const instant = instantOn(day, minutes);
					expect(dayOf(instant), `${zone} ${day} ${minutes}`).toBe(day);
				}
		}
		expect(addDays('2100-02-28', 1)).toBe('2100-03-01');
		expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
	});
});

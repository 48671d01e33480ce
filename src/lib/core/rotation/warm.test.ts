import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readThermometer } from '../../server/stand-ins/thermometer';
import { apply, bareKitchen, NOW, withLines } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { effectiveDate } from './effective-date';
import { freezerPlaces, thawPlaces } from './places';
import { putIn } from './stock-moves';
import {
	afterOutage,
	coldKinds,
	hoursOf,
	lostDays,
	recordWarm,
	spellsOf,
	type Reading
} from './warm';

const at = (hour: number) => new Date(Date.UTC(2026, 2, 1, hour)).toISOString();
const readings = (...degrees: number[]): Reading[] => degrees.map((c, i) => ({ at: at(i), c }));

describe('warm spells', () => {
	it('are found between the readings that are cold enough', () => {
		expect(spellsOf(readings(4, 4, 8, 10, 4, 4, 6), 'fridge')).toEqual([
			{ from: at(2), to: at(4), meanC: 9, peakC: 10 },
			{ from: at(6), to: null, meanC: 6, peakC: 6 }
		]);
		expect(spellsOf(readings(-18, -16, -17), 'freezer')).toEqual([]);
		expect(spellsOf([], 'fridge')).toEqual([]);
	});
	it('take more life the warmer and the longer they are', () => {
		const spell = (hours: number, meanC: number) =>
			lostDays({ from: at(0), to: at(hours), meanC, peakC: meanC }, 'fridge', NOW);
		expect(spell(24, 15)).toBeCloseTo(2, 1);
		expect(spell(24, 5)).toBe(0);
		fc.assert(
			fc.property(
				fc.nat(200),
				fc.nat(100),
				fc.double({ min: 5, max: 30, noNaN: true }),
				(a, b, c) => {
					expect(spell(a + b, c)).toBeGreaterThanOrEqual(spell(a, c));
					expect(spell(a, c + 1)).toBeGreaterThanOrEqual(spell(a, c));
				}
			)
		);
		expect(hoursOf({ from: at(3), to: null, meanC: 9, peakC: 9 }, at(5))).toBe(2);
	});
});

const kitchen = withLines(bareKitchen(), [
	'1 chicken thighs use by 10/03/26',
	'1 jam',
	'2 peas frozen'
]);
const fridge = thawPlaces(kitchen)[0]!;
const home = apply(kitchen, (draft) => {
	for (const lot of Object.values(draft.lots)) {
		lot.nookId = lot.dates.frozenOn ? freezerPlaces(draft as Home)[0]!.id : fridge.id;
		if (lot.dates.frozenOn) lot.dates.frozenOn = '2026-02-01';
	}
});
const lotOf = (now: Home, name: string) =>
	Object.values(now.lots).find(({ thingId }) => now.things[thingId]!.name.startsWith(name))!;
const dateOf = (now: Home, name: string) => {
	const lot = lotOf(now, name);
	return effectiveDate(lot, now.things[lot.thingId]!)!.on;
};

describe('after a power cut', () => {
	const spell = { from: at(0), to: at(7), meanC: 9, peakC: 14 };
	it('what spoils goes after two hours in the warm, what keeps by itself stays', () => {
		const after = afterOutage(home, fridge.cabinetId, 'fridge', spell, NOW);
		const verdict = (name: string) => after.find(({ thing }) => thing.name === name)!.verdict;
		expect(verdict('chicken thighs')).toBe('discard');
		expect(verdict('jam')).toBe('good');
		const short = { ...spell, to: at(1) };
		expect(
			afterOutage(home, fridge.cabinetId, 'fridge', short, NOW).every(
				({ verdict: v }) => v === 'good'
			)
		).toBe(true);
	});
	it('a freezer that stayed cold inside is eaten soon, one that did not goes', () => {
		const of = (peakC: number, meanC: number) =>
			afterOutage(home, fridge.cabinetId, 'freezer', { ...spell, peakC, meanC }, NOW)[0]!.verdict;
		expect(of(-12, -14)).toBe('good');
		expect(of(-2, -8)).toBe('use-now');
	});
	it('is noted once, and shortens the life of what lay there and of nothing else', () => {
		const noted = apply(home, recordWarm(fridge.cabinetId, 'fridge', spell, 'w', NOW));
		expect(dateOf(noted, 'chicken') < dateOf(home, 'chicken')).toBe(true);
		expect(dateOf(noted, 'peas')).toBe(dateOf(home, 'peas'));
		const twice = apply(noted, recordWarm(fridge.cabinetId, 'fridge', spell, 'x', NOW));
		expect(Object.keys(twice.warmSpells)).toHaveLength(1);
		expect(lotOf(twice, 'chicken').lostDays).toBe(lotOf(noted, 'chicken').lostDays);
		expect(coldKinds(home, fridge.cabinetId)).toEqual(['fridge', 'freezer']);
	});
	it('does not touch what came in later', () => {
		const { thingId, nookId } = lotOf(home, 'chicken');
		const later = apply(
			home,
			putIn({ thingId, nookId, count: 2, states: ['open'], lotId: 'new', eventId: 'e', now: NOW }),
			recordWarm(fridge.cabinetId, 'fridge', spell, 'w', NOW)
		);
		expect(later.lots['new']!.lostDays).toBe(0);
		expect(lotOf(later, 'chicken').lostDays).toBeGreaterThan(0);
		const after = afterOutage(later, fridge.cabinetId, 'fridge', spell, NOW);
		expect(after.some(({ lot }) => lot.id === 'new')).toBe(false);
	});
	it('never makes a date later', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 60 }),
				fc.double({ min: 5, max: 30, noNaN: true }),
				(hours, meanC) => {
					const warm = { from: at(0), to: at(hours), meanC, peakC: meanC };
					const noted = apply(home, recordWarm(fridge.cabinetId, 'fridge', warm, 'w', NOW));
					expect(dateOf(noted, 'chicken') <= dateOf(home, 'chicken')).toBe(true);
				}
			)
		);
	});
});

describe('the stand-in for a thermometer', () => {
	it('reads cold, and now and then a power cut; the same for the same time', () => {
		const since = '2026-03-01T00:00:00.000Z';
		const until = '2026-03-15T00:00:00.000Z';
		const all = readThermometer('fridge', 'Fridge', since, until);
		expect(all).toEqual(readThermometer('fridge', 'Fridge', since, until));
		expect(all).toHaveLength(14 * 48 + 1);
		const spells = spellsOf(all, 'fridge');
		expect(spells.length).toBeGreaterThan(0);
		expect(spells.length).toBeLessThan(4);
		expect(readThermometer('freezer', 'F', 'no time', until)).toEqual([]);
		expect(readThermometer('freezer', 'F', until, since)).toEqual([]);
	});
});

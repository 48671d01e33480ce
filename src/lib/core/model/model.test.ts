import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import {
	addDays,
	applyEdit,
	calendarDate,
	CATEGORIES,
	categoryOf,
	UNKNOWN_KIND,
	changedRecords,
	daysBetween,
	fingerprint,
	headOf,
	Home,
	lastDayOfMonth,
	replay,
	type Edit
} from '.';
import { tinyHome } from '../fixtures/tiny-home';

describe('calendar days', () => {
	it('knows which days exist', () => {
		expect(calendarDate(2027, 2, 31)).toBeNull();
		expect(calendarDate(2028, 2, 29)).toBe('2028-02-29');
		expect(calendarDate(2027, 13, 1)).toBeNull();
		expect(lastDayOfMonth(2027, 4)).toBe('2027-04-30');
	});
	it('counts across summer time and years', () => {
		expect(addDays('2026-03-28', 2)).toBe('2026-03-30');
		expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1);
	});
	it('adds and counts back to the same day', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: -5000, max: 5000 }),
				(days) => daysBetween('2026-03-02', addDays('2026-03-02', days)) === days
			),
			{ seed: 21 }
		);
	});
});

describe('fingerprint', () => {
	it('does not depend on the order of keys but on every value', () => {
		expect(fingerprint({ a: 1, b: [1, 2] })).toBe(fingerprint({ b: [1, 2], a: 1 }));
		expect(fingerprint({ a: 1, b: [1, 2] })).not.toBe(fingerprint({ a: 1, b: [2, 1] }));
	});
});

describe('edits', () => {
	const rename: Edit = (draft) => void (draft.name = 'Mill');
	const drop: Edit = (draft) => void delete draft.lots[Object.keys(draft.lots)[0]!];
	const count: Edit = (draft) => void (Object.values(draft.lots)[0]!.count = 42);

	it('leave the home they start from as it was', () => {
		const home = tinyHome();
		const copy = structuredClone(home);
		applyEdit(home, count);
		expect(home).toEqual(copy);
	});
	it('can be taken back and done again, in any mix', () => {
		const home = tinyHome();
		fc.assert(
			fc.property(fc.array(fc.constantFrom(rename, drop, count), { maxLength: 6 }), (edits) => {
				const steps = [];
				let now = home;
				for (const edit of edits) {
					const step = applyEdit(now, edit);
					steps.push({ ...step, before: now });
					now = step.home;
				}
				for (const step of steps.reverse()) {
					expect(replay(step.before, step.patches)).toEqual(step.home);
					now = replay(now, step.inverse);
				}
				expect(now).toEqual(home);
			}),
			{ seed: 22, numRuns: 30 }
		);
	});
	it('name the records they touch, once each', () => {
		const { patches } = applyEdit(tinyHome(), (draft) => {
			draft.name = 'Mill';
			const lot = Object.values(draft.lots)[0]!;
			lot.count = 9;
			lot.states.push('open');
		});
		const touched = changedRecords(patches).map(({ collection }) => collection);
		expect(touched.sort()).toEqual(['head', 'lots']);
	});
	it('refuse a record that its schema does not know', () => {
		const bad: Edit = (draft) => void (Object.values(draft.lots)[0]!.count = -1);
		expect(() => applyEdit(tinyHome(), bad)).toThrow();
	});
	it('refuse to replace a whole collection, which could not be stored record by record', () => {
		const wipe: Edit = (draft) => void (draft.lots = {});
		expect(() => applyEdit(tinyHome(), wipe)).toThrow(/one by one/);
	});
});

describe('a home', () => {
	it('parses to itself', () => {
		const home = tinyHome();
		expect(Home.parse(home)).toEqual(home);
		expect(Object.keys(headOf(home))).not.toContain('lots');
	});
});

describe('categories', () => {
	it('have complete, sane rows', () => {
		expect(CATEGORIES.length).toBeGreaterThan(55);
		expect(new Set(CATEGORIES.map((row) => row.code)).size).toBe(CATEGORIES.length);
		for (const row of CATEGORIES) {
			expect(
				row.stations.reduce((sum, { share }) => sum + share, 0),
				row.code
			).toBeCloseTo(1);
			expect(row.piece.widthMm * row.piece.depthMm * row.piece.heightMm, row.code).toBeGreaterThan(
				0
			);
		}
	});
	it('count as of unknown kind where a later file brings one that is not known here', () =>
		expect(categoryOf('food.moon-cheese').code).toBe(UNKNOWN_KIND));
});

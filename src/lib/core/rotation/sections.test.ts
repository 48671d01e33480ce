import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TODAY, tinyHome } from '../fixtures/tiny-home';
import { addDays } from '../model';
import { picksOf, sectionOf, sectionsFrom, sectionsIn, sectionsOf } from '.';

const school = fc.constantFrom('month' as const, 'quarter' as const);
const day = fc.integer({ min: 0, max: 4000 }).map((days) => addDays('2024-01-01', days));

describe('sections of a shelf', () => {
	it('are a month or a quarter of a year', () => {
		expect(sectionOf('2027-02-11', 'month')).toEqual({
			key: '2027-02',
			from: '2027-02',
			to: '2027-02',
			dueOn: '2027-02-28'
		});
		expect(sectionOf('2027-12-31', 'quarter')).toMatchObject({
			key: '2027-Q4',
			from: '2027-10',
			to: '2027-12',
			dueOn: '2027-10-31'
		});
	});
	it('hold the day they are asked for, and are due no later than their end', () => {
		fc.assert(
			fc.property(day, school, (on, by) => {
				const section = sectionOf(on, by);
				expect(section.from <= on.slice(0, 7) && on.slice(0, 7) <= section.to).toBe(true);
				// Put in by its section, a thing is in that section again.
				expect(sectionOf(section.dueOn, by)).toEqual(section);
				expect(section.dueOn.slice(0, 7)).toBe(section.from);
			}),
			{ seed: 91 }
		);
	});
	it('follow each other without a gap', () => {
		fc.assert(
			fc.property(day, school, fc.integer({ min: 1, max: 20 }), (on, by, count) => {
				const all = sectionsFrom(on, by, count);
				expect(all[0]).toEqual(sectionOf(on, by));
				all.slice(1).forEach((section, i) => {
					const [year = 0, month = 0] = all[i]!.to.split('-').map(Number);
					const next =
						month === 12 ? `${year + 1}-01` : `${year}-${String(month + 1).padStart(2, '0')}`;
					expect(section.from).toBe(next);
				});
			}),
			{ seed: 92 }
		);
	});
	it('part a place without losing a lot, the nearest in front and what has no date last', () => {
		const picks = picksOf(tinyHome(), TODAY);
		for (const by of ['month', 'quarter'] as const) {
			const parts = sectionsOf(picks, by);
			expect(parts.flatMap((part) => part.picks.map(({ lot }) => lot.id)).sort()).toEqual(
				picks.map(({ lot }) => lot.id).sort()
			);
			const keys = parts.map(({ section }) => section?.key ?? '~');
			expect(keys).toEqual([...keys].sort());
			expect(keys.at(-1)).toBe('~');
		}
	});
	it('are listed of a place by what is printed', () => {
		const home = tinyHome();
		const [lot] = Object.values(home.lots).filter(({ dates }) => dates.printed);
		const nookId = Object.keys(home.nooks)[0]!;
		const there = {
			...home,
			lots: { ...home.lots, [lot!.id]: { ...lot!, nookId: nookId as never } }
		};
		expect(sectionsIn(there, nookId, 'month').map(({ key }) => key)).toEqual([
			lot!.dates.printed!.on.slice(0, 7)
		]);
	});
});

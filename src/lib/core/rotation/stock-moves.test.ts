import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, NOW, TODAY, withLines } from '../fixtures/tiny-home';
import { addDays, type Edit, type Home } from '../model';
import { freeze, freezeIssue, isColdPlace, moveStock, openPack, putIn, takeDown, thaw } from '.';
import { countIn } from './stock-moves';
import { freezerPlaces, thawPlaces } from './places';
import { effectiveDate } from './effective-date';

const home = withLines(bareKitchen(), ['6 penne', '4 chicken thighs use by 05/03/26', '2 milk']);
const [penne, chicken] = Object.values(home.lots);
const freezer = freezerPlaces(home)[0]!.id;
const fridge = thawPlaces(home)[0]!.id;
const of = (lotId: string, count: number, partId = 'part') => ({ lotId, count, partId, now: NOW });
const countOf = (now: Home, name: string) =>
	Object.values(now.lots)
		.filter(({ thingId }) => now.things[thingId]!.name === name)
		.reduce((sum, { count }) => sum + count, 0);

describe('freezing and thawing', () => {
	it('makes a thing apart of what is frozen at home, and brings it back when it thaws', () => {
		const frozen = apply(home, freeze(of(chicken!.id, 3), freezer, 'ice'));
		expect(countOf(frozen, 'chicken thighs')).toBe(1);
		expect(countOf(frozen, 'chicken thighs, frozen')).toBe(3);
		const lot = frozen.lots['part']!;
		expect(lot).toMatchObject({ nookId: freezer, states: ['frozen'] });
		// The cold holds the printed date.
		expect(effectiveDate(lot, frozen.things[lot.thingId]!)!.on > addDays(TODAY, 60)).toBe(true);
		const thawed = apply(frozen, thaw(of('part', 1, 'out'), fridge, 'unused'));
		expect(countOf(thawed, 'chicken thighs')).toBe(2);
		const out = thawed.lots['out']!;
		expect(out.nookId).toBe(fridge);
		const date = effectiveDate(out, thawed.things[out.thingId]!)!;
		expect(date.on <= addDays(TODAY, 2)).toBe(true);
		expect(freezeIssue(home, out, 1)).toBe('thawed-before');
		expect(apply(thawed, freeze(of('out', 1), freezer, 'x'))).toEqual(thawed);
	});
	it('says why something is not frozen', () => {
		expect(freezeIssue(home, chicken!, -1)).toBe('past');
		expect(freezeIssue(home, chicken!, 1)).toBeNull();
		const frozen = apply(home, freeze(of(chicken!.id, 4), freezer, 'ice'));
		expect(freezeIssue(frozen, frozen.lots[chicken!.id]!, null)).toBe('frozen');
	});
});

describe('opening, moving, putting in', () => {
	it('opens one and leaves the others closed; an open lot is not opened twice', () => {
		const open = apply(home, openPack(of(penne!.id, 1, 'open')));
		expect(open.lots[penne!.id]!).toMatchObject({ count: 5, states: [] });
		expect(open.lots['open']).toMatchObject({
			count: 1,
			states: ['open'],
			dates: { openedOn: TODAY }
		});
		expect(apply(open, openPack(of('open', 1, 'again')))).toEqual(open);
	});
	it('joins what is of one date in one place, and nothing else', () => {
		const put = (nookId: string | null, on: string | null, lotId: string): Edit =>
			putIn({
				thingId: penne!.thingId,
				nookId,
				count: 2,
				dates: { printed: on ? { on, kind: 'best-before' } : null },
				lotId,
				eventId: `e-${lotId}`,
				now: NOW
			});
		const all = apply(
			home,
			put(null, null, 'same'),
			put(fridge, null, 'other-place'),
			put(null, '2027-01-01', 'other-date'),
			put(null, '2027-01-01', 'joined')
		);
		expect(all.lots['same']).toBeUndefined();
		expect(all.lots[penne!.id]!.count).toBe(8);
		expect(all.lots['other-place']!.count).toBe(2);
		expect(all.lots['other-date']!.count).toBe(4);
		expect(all.useEvents['e-joined']).toMatchObject({ lotId: 'other-date', kind: 'add', count: 2 });
	});
	it('refuses nothing and less', () => {
		const none = {
			thingId: penne!.thingId,
			nookId: null,
			count: 0,
			lotId: 'l',
			eventId: 'e',
			now: NOW
		};
		expect(apply(home, putIn(none))).toEqual(home);
		expect(apply(home, putIn({ ...none, thingId: 'no', count: 1 }))).toEqual(home);
	});
});

describe('the cold', () => {
	it('is entered and left by freezing and thawing, also by a mere move', () => {
		const moved = apply(home, moveStock(of(chicken!.id, 1), freezer, 'ice'));
		expect(moved.lots['part']).toMatchObject({ states: ['frozen'], dates: { frozenOn: TODAY } });
		expect(countOf(moved, 'chicken thighs, frozen')).toBe(1);
		const out = apply(moved, moveStock(of('part', 1), fridge, 'x'));
		expect(out.lots['part']).toMatchObject({ states: ['thawed'], dates: { thawedOn: TODAY } });
		expect(apply(out, moveStock(of('part', 1), freezer, 'x'))).toEqual(out);
	});
	it('makes frozen goods of what is put straight into it, and joins what lies there', () => {
		const put = (lotId: string) =>
			putIn({
				thingId: chicken!.thingId,
				nookId: freezer,
				count: 2,
				lotId,
				eventId: `e-${lotId}`,
				now: NOW
			});
		const cold = apply(home, put('a'), put('b'));
		expect(countOf(cold, 'chicken thighs, frozen')).toBe(4);
		expect(countOf(cold, 'chicken thighs')).toBe(4);
		expect(cold.lots['b']).toBeUndefined();
	});
});

describe('counting in another unit', () => {
	it('keeps the amount, there and back, and what was logged before', () => {
		const used = apply(home, takeDown({ lotId: penne!.id, count: 2, eventId: 'e', now: NOW }));
		const grams = apply(used, countIn(penne!.id, 'g'));
		const { massG } = home.things[penne!.thingId]!;
		expect(grams.lots[penne!.id]).toMatchObject({ unit: 'g', count: 4 * massG });
		expect(grams.useEvents['e']).toMatchObject({ unit: 'pack', count: 2 });
		expect(apply(grams, countIn(penne!.id, 'pack')).lots[penne!.id]!.count).toBe(4);
	});
});

describe('whatever is done with it', () => {
	it('no stock comes from nowhere and none is lost', () => {
		const act = fc.record({
			what: fc.constantFrom('take', 'throw', 'open', 'freeze', 'thaw', 'move', 'put'),
			which: fc.nat(9),
			count: fc.integer({ min: 1, max: 4 })
		});
		fc.assert(
			fc.property(fc.array(act, { maxLength: 25 }), (acts) => {
				let now = home;
				acts.forEach(({ what, which, count }, i) => {
					const lots = Object.values(now.lots);
					const lot = lots[which % lots.length]!;
					const part = of(lot.id, count, `p${i}`);
					const edit = {
						take: () => takeDown({ lotId: lot.id, count, eventId: `e${i}`, now: NOW }),
						throw: () =>
							takeDown({
								lotId: lot.id,
								count,
								eventId: `e${i}`,
								now: NOW,
								kind: 'discard',
								why: 'spoiled'
							}),
						open: () => openPack(part),
						freeze: () => freeze(part, freezer, `t${i}`),
						thaw: () => thaw(part, fridge, `t${i}`),
						move: () =>
							moveStock(part, i % 3 === 0 ? freezer : i % 3 === 1 ? fridge : null, `t${i}`),
						put: () =>
							putIn({
								thingId: lot.thingId,
								nookId: lot.nookId,
								count,
								lotId: `n${i}`,
								eventId: `e${i}`,
								now: NOW
							})
					}[what]();
					now = apply(now, edit);
				});
				const sum = (home: Home) =>
					Object.values(home.lots).reduce((all, { count }) => all + count, 0);
				const logged = Object.values(now.useEvents).reduce(
					(all, { kind, count }) => all + (kind === 'add' ? count : -count),
					0
				);
				expect(sum(now)).toBeCloseTo(sum(home) + logged, 6);
				for (const { count, dates, nookId } of Object.values(now.lots)) {
					expect(count).toBeGreaterThanOrEqual(0);
					// Nothing that thawed lies in a freezer: it is not frozen again.
					if (dates.thawedOn) expect(isColdPlace(now, nookId)).toBe(false);
				}
			}),
			{ numRuns: 80 }
		);
	});
});

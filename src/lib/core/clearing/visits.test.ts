import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, TODAY, withLines } from '../fixtures/tiny-home';
import { readHomeFile, writeHomeFile } from '../interchange';
import type { Home, Verdict } from '../model';
import { decide, startSession, undecidedLots, visitStart } from '.';

const nookId = Object.keys(bareKitchen().nooks)[0]!;
const pile = withLines(bareKitchen(), ['penne bb 10/03/26', 'rice', '2 mugs'], nookId);
const lotIds = Object.keys(pile.lots);
let n = 0;
const decided = (home: Home, lotId: string, at: string, verdict: Verdict = 'keep') =>
	apply(
		home,
		decide({
			lotId,
			verdict,
			advice: null,
			wantAgain: false,
			toNookId: null,
			ids: { decision: `d${++n}`, event: `e${n}`, rest: `r${n}` },
			now: at
		})
	);
const all = (at: string) => lotIds.reduce((home, id) => decided(home, id, at), pile);
const open = (home: Home, today = TODAY) =>
	undecidedLots(home, nookId, visitStart(home, nookId), today);
const started = (home: Home, at: string) =>
	apply(home, startSession({ id: `s${++n}`, nookId: nookId as never, plannedMin: 30, now: at }));

describe('a visit', () => {
	it('asks once: not again after a reload, an import, or another day', () => {
		const home = all('2026-03-01T10:00:00.000Z');
		expect(open(pile)).toEqual(lotIds);
		expect(open(home)).toEqual([]);
		const read = readHomeFile(writeHomeFile(home));
		expect(read.ok && open(read.home)).toEqual([]);
		expect(open(home, '2026-03-09')).toEqual([]);
	});
	it('begins when somebody begins one', () => {
		const home = started(all('2026-03-01T10:00:00.000Z'), '2026-03-02T10:00:00.000Z');
		expect(open(home)).toEqual(lotIds);
		const some = decided(home, lotIds[0]!, '2026-03-02T10:05:00.000Z');
		expect(open(some)).toEqual(lotIds.slice(1));
	});
	it('keeps what was decided just before the clock was thought of', () => {
		const home = decided(pile, lotIds[0]!, '2026-03-02T09:50:00.000Z');
		expect(open(started(home, '2026-03-02T10:00:00.000Z'))).toEqual(lotIds.slice(1));
	});
	it('asks about a thing whose date has passed since, and what was put off to now', () => {
		const home = all('2026-03-01T10:00:00.000Z');
		expect(open(home, '2026-03-10')).toEqual([]);
		expect(open(home, '2026-03-11')).toEqual([lotIds[0]]);
		const held = decided(pile, lotIds[1]!, '2026-03-01T10:00:00.000Z', 'hold');
		const [decision] = Object.values(held.decisions);
		expect(open(held)).not.toContain(lotIds[1]);
		expect(decision!.dueOn).not.toBeNull();
		expect(open(held, decision!.dueOn!)).toContain(lotIds[1]);
	});
	it('says of each place when it began by itself', () => {
		const home = started(pile, '2026-03-02T10:00:00.000Z');
		expect(visitStart(home, nookId)).toBe('2026-03-02T09:00:00.000Z');
		expect(visitStart(home, 'elsewhere')).toBe('');
	});
});

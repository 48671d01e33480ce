import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, TODAY } from '../fixtures/tiny-home';
import { effectiveDate, useFirst } from '../rotation';
import { adviseLot, parseIntake, sinceAsked, takeIn, withSince, type Since } from '.';

const read = (text: string) => parseIntake(text, { order: 'dmy', today: TODAY }).line;
const booked = (text: string, since?: Since) => {
	const line = since ? withSince(read(text), since, TODAY) : read(text);
	return apply(
		bareKitchen(),
		takeIn({ line, nookId: null, thingId: 't', lotId: 'l', today: TODAY })
	);
};

describe('since when it is open', () => {
	it.each([
		['half a tin of chopped tomatoes', 'opened'],
		['1 open carton of cream', 'opened'],
		['milk half full', 'opened'],
		['1/2 tin sweetcorn', 'opened'],
		['sweetcorn 1/2 tin', 'opened'],
		['2 leftover stew', 'made'],
		['cooked rice', 'made'],
		['1 milk opened 01/03/26', null],
		['3 tins chopped tomatoes', null],
		['1 open bag of salt', null],
		['half a plate', null],
		['frozen leftover stew', null]
	] as const)('%s asks: %s', (text, asked) => expect(sinceAsked(read(text))).toBe(asked));

	it('once said, it reaches the use-first list by its own day', () => {
		for (const text of ['half a tin of chopped tomatoes', '1 open carton of cream']) {
			const home = booked(text, 'yesterday');
			const lot = home.lots['l']!;
			expect(lot.dates.openedOn).toBe('2026-03-01');
			expect(lot.states).toContain('open');
			expect(effectiveDate(lot, home.things['t']!)?.basis).toBe('opened');
			expect(useFirst(home, TODAY, 14).map(({ lot }) => lot.id)).toEqual(['l']);
		}
		expect(booked('leftover stew', 'days').lots['l']!.dates.madeOn).toBe('2026-02-27');
	});
	it('not said, it is used first all the same, and says so', () => {
		const home = booked('1 open carton of cream');
		const [lot, thing] = [home.lots['l']!, home.things['t']!];
		expect(useFirst(home, TODAY, 14)).toHaveLength(1);
		expect(adviseLot({ home, lot, thing, today: TODAY })[0]).toMatchObject({
			code: 'open-since',
			verdict: 'use-first'
		});
		expect(useFirst(booked('1 open bag of salt'), TODAY, 14)).toEqual([]);
	});
	it('changes nothing of a line that lacks no day', () => {
		const line = read('3 tins chopped tomatoes');
		expect(withSince(line, 'today', TODAY)).toBe(line);
	});
});

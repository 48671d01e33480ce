import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { adoptPlan } from '../zoning';
import { fitNook } from './fit';
import { looksOf, roomOfNook, suitsLook } from './looks';
import { fitFingerprint } from './owned';
import { plannedInRoom, priceLooks } from './price-looks';

const demo = demoHome(NOW);
const planned = apply(demo, adoptPlan(solvedOnce('demo', () => demo).plan));
const ROOM = 'bath';

describe('the looks of containers', () => {
	it('are those of the kinds, each once, and every place knows its room', () => {
		expect(looksOf(demo)).toEqual(['clear', 'white', 'woven']);
		for (const nookId of Object.keys(demo.nooks)) expect(roomOfNook(demo, nookId)).toBeDefined();
		expect(roomOfNook(demo, 'gone')).toBeUndefined();
		expect(plannedInRoom(planned, ROOM).length).toBeGreaterThan(3);
	});
	it('of a room are kept to: what stands there has it, or goes with any', () => {
		const white = apply(planned, (draft) => void (draft.rooms[ROOM]!.look = 'white'));
		let seen = 0;
		for (const nookId of plannedInRoom(white, ROOM)) {
			const result = fitNook(white, nookId);
			if (!('arrangements' in result)) continue;
			for (const { placements } of result.arrangements)
				for (const { kindId } of placements) {
					seen++;
					const { look } = white.containerKinds[kindId]!;
					expect(['', 'white']).toContain(look);
					expect(suitsLook({ look }, 'white')).toBe(true);
				}
		}
		expect(seen).toBeGreaterThan(0);
		expect(suitsLook({ look: 'clear' }, 'white')).toBe(false);
		expect(suitsLook({ look: 'clear' }, '')).toBe(true);
	});
	it('make what is kept out of date where they change, and only there', () => {
		const white = apply(planned, (draft) => void (draft.rooms[ROOM]!.look = 'white'));
		const own = plannedInRoom(planned, ROOM)[0]!;
		const other = Object.keys(planned.nooks).find((id) => roomOfNook(planned, id)!.id !== ROOM)!;
		expect(fitFingerprint(white, own)).not.toBe(fitFingerprint(planned, own));
		expect(fitFingerprint(white, other)).toBe(fitFingerprint(planned, other));
	});
	it('have prices: any look costs and lacks no more together than one of them', () => {
		let heard = 0;
		const prices = priceLooks(planned, ROOM, (done, of) => {
			expect(done).toBeLessThanOrEqual(of);
			heard++;
		});
		expect(prices.map(({ look }) => look).sort()).toEqual(['', 'clear', 'white', 'woven']);
		expect(prices[0]!.look).toBe('');
		const whole = (price: (typeof prices)[number]) => price.costMinor + price.lacks;
		// Both are found by a search, place by place: what is kinds apart is left out of it.
		for (const price of prices.slice(1))
			expect(whole(price)).toBeGreaterThan(whole(prices[0]!) * 0.95);
		expect(heard).toBe(4 * plannedInRoom(planned, ROOM).length);
		expect(priceLooks(planned, 'gone')).toEqual([]);
	});
});

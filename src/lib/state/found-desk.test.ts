import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { MeterReading } from '../core/devices';
import type { FoundSize, ShopLine } from '../core/fitting';
import { USUAL_KINDS } from '../core/fitting';
import { tinyHome } from '../core/fixtures/tiny-home';
import { FoundDesk } from './found-desk.svelte';
import type { ShopDesk } from './shop-desk.svelte';

const kind = USUAL_KINDS.find(({ id }) => id === 'bin-m')!;
const line: ShopLine = { kind, count: 1, priceMinor: kind.priceMinor, places: [] };
let look: ReturnType<typeof vi.fn>;
let answers: MeterReading[];
let aims: number[];
let desk: FoundDesk;
beforeEach(() => {
	look = vi.fn();
	answers = [];
	aims = [];
	const home = { ...tinyHome(), units: 'mm' as const };
	desk = new FoundDesk({
		shop: () => ({ home, look }) as unknown as ShopDesk,
		line: () => line,
		meter: (aim) => ({
			measure: async () => {
				aims.push(aim());
				return answers.shift()!;
			},
			listen: () => () => {}
		})
	});
});
const asked = () => look.mock.calls[0]?.[1] as FoundSize | undefined;

describe('another container in the shop', () => {
	it('is looked at by its size and its price; the price of the one wanted where none is said', () => {
		desk.size = '200 x 30 cm × 130mm';
		desk.look();
		expect(asked()).toEqual({
			widthMm: 200,
			depthMm: 300,
			heightMm: 130,
			priceMinor: kind.priceMinor
		});
		desk.price = '4,50';
		desk.look();
		expect(look.mock.calls[1]![1]).toMatchObject({ priceMinor: 450 });
	});
	it.each([
		['3 m', 'Type width'],
		['200 x 300', 'Type width'],
		['200 x 300 x 130 x 9', 'Type width'],
		['200 x 300 x 5', 'at least 10 mm'],
		['', 'Type width']
	])('of size “%s” is refused with the way out', (size, words) => {
		desk.size = size;
		desk.look();
		expect(desk.wrong).toContain(words);
		expect(look).not.toHaveBeenCalled();
	});
	it('of no price is refused, and its size stays', () => {
		desk.size = '200 x 300 x 130';
		desk.price = 'cheap';
		desk.look();
		expect(desk.wrong).toContain('cheap');
		expect(desk.size).toBe('200 x 300 x 130');
	});
	it('is read side by side, and looked at with the third; a fourth reading begins anew', async () => {
		answers = [198, 300, 131, 150].map((mm) => ({ ok: true, mm }));
		expect(desk.next).toBe('width');
		await desk.measure();
		expect(desk.next).toBe('depth');
		await desk.measure();
		expect(look).not.toHaveBeenCalled();
		await desk.measure();
		expect(asked()).toMatchObject({ widthMm: 198, depthMm: 300, heightMm: 131 });
		expect(aims).toEqual([kind.outerTop.widthMm, kind.outerTop.depthMm, kind.heightMm]);
		await desk.measure();
		expect(desk.size).toBe('150 mm');
	});
	it('is typed where the meter does not answer; what was read stays', async () => {
		answers = [
			{ ok: true, mm: 198 },
			{ ok: false, issue: { code: 'weak-echo' } }
		];
		await desk.measure();
		await desk.measure();
		expect(desk.wrong).toContain('No clear echo');
		expect(desk.size).toBe('198 mm');
		desk.size += ' x 300 x 130';
		desk.look();
		expect(asked()).toMatchObject({ widthMm: 198, depthMm: 300 });
	});
});

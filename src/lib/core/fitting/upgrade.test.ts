import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { roomOf, type Packing } from '../standing';
import { adoptPlan } from '../zoning';
import type { HoldOption } from './hold-option';
import { holdOptions } from './options';
import { ownedLeft } from './owned';
import { packWhole } from './pack-mix';
import { freeMixes, styleCost, STYLES } from './styles';
import { upgraded } from './upgrade';
import { wantsOf } from './wants';

const demo = demoHome(NOW);
const planned = apply(demo, adoptPlan(solvedOnce('demo', () => demo).plan));
const kinds = Object.values(planned.containerKinds);
const waysIn = (nookId: string, packing: Packing) =>
	wantsOf(planned, nookId).map((want) =>
		holdOptions(want, kinds, packing, planned.settings.play, ownedLeft(planned, nookId))
	);
const shelves = ['larder-2', 'larder-3', 'larder-4', 'larder-5', 'w2-low'];

describe('holders for as much as goes in', () => {
	it.each(shelves)('%s: all that stood free still goes in, and is held no worse', (nookId) => {
		const packing = roomOf(planned, nookId)!;
		const options = waysIn(nookId, packing);
		const free = freeMixes(options).find((mix) => packWhole(mix, packing, 1000));
		if (!options.length || !free) return expect(options.length).toBe(0);
		const style = STYLES.calm;
		const scoreOf = (mix: readonly HoldOption[]) =>
			mix.reduce((sum, option) => sum + styleCost(style, option), 0);
		const { mix, packed } = upgraded(free, packWhole(free, packing, 1000)!, {
			options,
			style,
			perKind: 0,
			pack: (one) => packWhole(one, packing),
			isAsGood: () => true,
			floorMm2: packing.room.widthMm * packing.room.depthMm
		});
		expect(packed.left).toEqual([]);
		expect(scoreOf(mix)).toBeLessThanOrEqual(scoreOf(free));
		expect(mix).toHaveLength(free.length);
		mix.forEach((option, i) => expect(options[i]).toContain(option));
		const held = packed.placements.flatMap(({ holds }) => holds);
		const stood = packed.standing.flatMap(({ holds }) => holds);
		const pieces = [...held, ...stood].reduce((sum, one) => sum + one.pieces, 0);
		const wanted = wantsOf(planned, nookId)
			.flatMap(({ goods }) => goods)
			.reduce((sum, good) => sum + good.pieces, 0);
		expect(pieces).toBeCloseTo(wanted, 6);
	});
	it('gives none where none goes in, and the best to each where there is room for all', () => {
		const packing = roomOf(planned, 'larder-3')!;
		const options = waysIn('larder-3', packing);
		const [free] = freeMixes(options);
		const style = STYLES.calm;
		const ask = (goesIn: boolean) =>
			upgraded(free!, 'free', {
				options,
				style,
				perKind: 0,
				pack: () => (goesIn ? 'held' : null),
				isAsGood: () => true,
				floorMm2: Infinity
			});
		expect(ask(false)).toEqual({ mix: free, packed: 'free' });
		const best = options.map((ways) => Math.min(...ways.map((way) => styleCost(style, way))));
		expect(ask(true).mix.map((way) => styleCost(style, way))).toEqual(best);
	});
	it('never takes more floor than there is', () => {
		const packing = roomOf(planned, 'larder-3')!;
		const options = waysIn('larder-3', packing);
		const [free] = freeMixes(options);
		const areaOf = (mix: readonly HoldOption[]) =>
			mix.reduce((sum, option) => sum + option.floorMm2, 0);
		fc.assert(
			fc.property(fc.double({ min: 1, max: 3, noNaN: true }), (times) => {
				const floorMm2 = areaOf(free!) * times;
				const { mix } = upgraded(free!, 0, {
					options,
					style: STYLES.roomy,
					perKind: 60,
					pack: () => 0,
					isAsGood: () => true,
					floorMm2
				});
				expect(areaOf(mix)).toBeLessThanOrEqual(floorMm2 + 1e-6);
			})
		);
	});
});

import { describe, expect, it } from 'vitest';
import { HIDDEN_KINDS, type HiddenKind, type Home } from '../model';
import { demoHome } from '../../data/demo';
import { apply, bareKitchen, counter, formOf, NOW, withLines } from '../fixtures/tiny-home';
import {
	acceptHidden,
	addCabinet,
	addObstacle,
	addObstruction,
	checkSurvey,
	findHidden,
	HIDDEN_ROWS,
	ratedLoadG,
	widestGap
} from '.';

const kitchen = bareKitchen();
const nookOf = (home: Home, form: string, n = 0) => {
	const cabinet = Object.values(home.cabinets).find((one) => one.form === form)!;
	return Object.values(home.nooks).filter((nook) => nook.cabinetId === cabinet.id)[n]!;
};
const found = (home: Home, kind: HiddenKind) =>
	findHidden(home).filter((place) => place.kind === kind);

describe('hidden storage', () => {
	it('has a row of data for every kind, with its source', () => {
		expect(HIDDEN_ROWS.map((row) => row.kind).sort()).toEqual([...HIDDEN_KINDS].sort());
		for (const row of HIDDEN_ROWS) {
			expect(row.source).not.toBe('');
			expect(row.costMinor).toBeGreaterThanOrEqual(0);
		}
	});
	it('is a second shelf only over things lower than half the height', () => {
		const base = nookOf(kitchen, 'base');
		const low = withLines(kitchen, ['penne'], base.id);
		const tall = apply(low, (draft) => void (Object.values(draft.things)[0]!.piece.heightMm = 200));
		const flat = apply(low, (draft) => void (Object.values(draft.things)[0]!.piece.heightMm = 100));
		expect(found(tall, 'second-shelf')).toEqual([]);
		const [place] = found(flat, 'second-shelf');
		const home = apply(flat, acceptHidden(place!, place!.loadG, counter('h')));
		expect(home.nooks['h-1']).toMatchObject({ found: 'second-shelf', loadG: 8000 });
		expect(home.nooks[base.id]!.inside.heightMm).toBeGreaterThanOrEqual(130);
		expect(checkSurvey(home)).toEqual(checkSurvey(flat));
	});
	it('is a basket that the board above can carry', () => {
		const lower = nookOf(kitchen, 'wall');
		const above = nookOf(kitchen, 'wall', 1);
		// 280 mm over things of 140 is too low for both; at 320 over 160 a basket of 120 goes in with a hand's air.
		const stocked = apply(withLines(kitchen, ['penne'], lower.id), (draft) => {
			Object.values(draft.things)[0]!.piece.heightMm = 140;
			draft.nooks[lower.id]!.inside.heightMm = 280;
			draft.nooks[above.id]!.at.zMm = lower.at.zMm + 280 + 18;
		});
		expect(found(stocked, 'under-shelf-basket')).toEqual([]);
		const roomy = apply(stocked, (draft) => {
			Object.values(draft.things)[0]!.piece.heightMm = 160;
			draft.nooks[lower.id]!.inside.heightMm = 320;
			draft.nooks[above.id]!.at.zMm = lower.at.zMm + 320 + 18;
		});
		expect(found(roomy, 'second-shelf')).toEqual([]);
		expect(found(roomy, 'under-shelf-basket')[0]).toMatchObject({ loadCheck: 'unknown-shelf' });
		const strong = apply(roomy, (draft) => void (draft.nooks[above.id]!.loadG = 2500));
		expect(found(strong, 'under-shelf-basket')[0]).toMatchObject({
			loadCheck: 'shelf-above',
			loadG: 2500
		});
		const full = apply(roomy, (draft) => void (draft.nooks[above.id]!.loadG = 900));
		expect(found(full, 'under-shelf-basket')).toEqual([]);
	});
	it('is a rack on a door with 60 mm of play, and flat hooks on one with less', () => {
		const base = nookOf(kitchen, 'base');
		expect(found(kitchen, 'door-rack')).toEqual([]);
		expect(
			found(kitchen, 'door-hooks').some((place) => place.where === 'Door of Base cabinet')
		).toBe(true);
		const roomy = apply(kitchen, (draft) => {
			for (const nook of Object.values(draft.nooks))
				if (nook.cabinetId === base.cabinetId) nook.inside.depthMm = 450;
		});
		const [rack] = found(roomy, 'door-rack');
		expect(rack).toMatchObject({ where: 'Door of Base cabinet', loadCheck: 'hinges' });
		const home = apply(roomy, acceptHidden(rack!, 2000, counter('h')));
		expect(home.nooks['h-1']).toMatchObject({ kind: 'door', loadG: 2000, inside: { depthMm: 90 } });
		expect(found(home, 'door-rack')).toEqual([]);
	});
	it('asks for the rating of what is stuck on, and halves it where it is damp', () => {
		expect(ratedLoadG(1000, 3, false)).toBe(3000);
		expect(ratedLoadG(1000, 3, true)).toBe(1500);
		const rented = apply(kitchen, (draft) => void (draft.rented = true));
		const none = apply(rented, (draft) => {
			for (const nook of Object.values(draft.nooks)) nook.fixings = 'none';
		});
		const hooks = (home: Home) => found(home, 'wall-hooks')[0]!;
		expect(hooks(kitchen)).toMatchObject({ needsHole: true, allowed: true, asksRating: false });
		expect(hooks(rented)).toMatchObject({ needsHole: false, allowed: true, asksRating: true });
		expect(hooks(none)).toMatchObject({ allowed: false });
	});
	it('is the top of what ends 200 mm under the ceiling, and never of a fridge', () => {
		const tops = found(kitchen, 'cabinet-top').map((place) => place.where);
		expect(tops).toEqual(['On top of Wall cabinet']);
		const low = apply(kitchen, (draft) => void (draft.rooms['kitchen']!.ceilingMm = 2350));
		expect(found(low, 'cabinet-top')).toEqual([]);
	});
	it('is a slide-out beside the pipes where 120 mm are free', () => {
		const sink = nookOf(kitchen, 'sink');
		const trap = {
			id: 'trap' as never,
			kind: 'trap',
			yMm: 200,
			zMm: 0,
			depthMm: 200,
			heightMm: 400
		} as const;
		const piped = apply(kitchen, addObstruction(sink.id, { ...trap, xMm: 300, widthMm: 150 }));
		expect(widestGap(piped.nooks[sink.id]!, 10)).toEqual({ fromMm: 460, widthMm: 304 });
		const [place] = found(piped, 'slide-out');
		const home = apply(piped, acceptHidden(place!, place!.loadG, counter('h')));
		expect(home.nooks['h-1']).toMatchObject({ kind: 'slide-out', inside: { widthMm: 294 } });
		expect(found(home, 'slide-out')).toEqual([]);
		const full = apply(kitchen, addObstruction(sink.id, { ...trap, xMm: 100, widthMm: 560 }));
		expect(found(full, 'slide-out')).toEqual([]);
	});
	it('turns a deep shelf into a carousel', () => {
		const base = nookOf(kitchen, 'base');
		const place = found(kitchen, 'turntable').find((one) => one.nookId === base.id)!;
		const home = apply(kitchen, acceptHidden(place, place.loadG, counter('h')));
		expect(home.nooks[base.id]!.kind).toBe('carousel');
		expect(found(home, 'turntable').some((one) => one.nookId === base.id)).toBe(false);
	});
	it('is a trolley in a gap of the floor, not before a door', () => {
		const gap = apply(kitchen, (draft) => {
			const fridge = Object.values(draft.cabinets).find((one) => one.form === 'fridge')!;
			fridge.offsetMm += 250;
		});
		const [place] = found(gap, 'trolley');
		expect(place).toMatchObject({ make: { widthMm: 230 } });
		const home = apply(gap, acceptHidden(place!, 15_000, counter('h')));
		expect(Object.values(home.nooks).filter((nook) => nook.found === 'trolley')).toHaveLength(3);
		expect(checkSurvey(home)).toEqual(checkSurvey(gap));
		const door = apply(gap, (draft) => {
			const { offsetMm } = Object.values(draft.cabinets).find((one) => one.form === 'fridge')!;
			draft.rooms['kitchen']!.doors = [
				{ id: 'd' as never, a: { x: offsetMm - 250, y: 0 }, b: { x: offsetMm, y: 0 } }
			];
		});
		expect(found(door, 'trolley')).toEqual([]);
	});
	it('is under a bed with 150 mm, and in a cupboard that holds nothing', () => {
		const stocked = withLines(kitchen, ['penne']);
		const bed = (clearBelowMm: number) =>
			apply(
				stocked,
				addObstacle(
					'kitchen',
					{
						kind: 'bed',
						name: 'Bed',
						widthMm: 1000,
						depthMm: 2000,
						clearBelowMm
					},
					'bed'
				)
			);
		expect(found(bed(140), 'under-bed')).toEqual([]);
		const [place] = found(bed(200), 'under-bed');
		const home = apply(bed(200), acceptHidden(place!, place!.loadG, counter('h')));
		expect(Object.values(home.nooks).at(-1)).toMatchObject({
			kind: 'under-bed',
			found: 'under-bed'
		});
		expect(found(home, 'under-bed')).toEqual([]);
		const hutch = apply(
			withLines(kitchen, ['penne'], nookOf(kitchen, 'base').id),
			addCabinet('front', { ...formOf('tall'), nooks: [] }, counter('x'))
		);
		expect(found(hutch, 'unused-cupboard')[0]).toMatchObject({ where: 'Tall cabinet' });
	});
	it('offers the most litres first, and everything it offers can be accepted', () => {
		const demo = demoHome(NOW);
		const places = findHidden(demo);
		expect(places.length).toBeGreaterThan(20);
		places
			.slice(1)
			.forEach((place, i) => expect(place.gainMl).toBeLessThanOrEqual(places[i]!.gainMl));
		expect(new Set(places.map((place) => place.key)).size).toBe(places.length);
		places.forEach((place) => {
			const home = apply(demo, acceptHidden(place, place.loadG, counter('h')));
			expect(home).not.toBe(demo);
			expect(checkSurvey(home).length).toBeLessThanOrEqual(checkSurvey(demo).length);
		});
	});
});

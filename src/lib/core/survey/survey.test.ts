import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { DEFAULT_SETTINGS, type Nook, type Obstruction } from '../model';
import { apply, bareKitchen, counter, formOf, withLines } from '../fixtures/tiny-home';
import {
	addCabinet,
	addObstruction,
	addRoom,
	bandAt,
	checkNook,
	checkSurvey,
	nooksInOrder,
	placeOfNook,
	reachHeights,
	reachOf,
	removeCabinet,
	setInside,
	setOpening,
	tapeList,
	unionMm3,
	usableSpace,
	walkingDistances
} from '.';

const nookOf = (extra: Partial<Nook> = {}): Nook => ({
	...Object.values(bareKitchen().nooks).find((nook) => nook.kind === 'undersink')!,
	inside: { widthMm: 600, depthMm: 300, heightMm: 350 },
	...extra
});
const pipe = (extra: Partial<Obstruction> = {}): Obstruction => ({
	id: 'pipe' as never,
	kind: 'pipe',
	xMm: 100,
	yMm: 100,
	zMm: 0,
	widthMm: 50,
	depthMm: 50,
	heightMm: 350,
	...extra
});
const usable = (nook: Nook, baseMm = 900) => {
	const space = usableSpace(nook, baseMm, DEFAULT_SETTINGS);
	if (!space.ok) throw new Error('expected a measured nook');
	return space;
};

describe('usable space', () => {
	it('is the inside when nothing is in the way', () => {
		expect(usable(nookOf())).toMatchObject({
			grossMl: 63_000,
			usableMl: 63_000,
			runMm: 600,
			frontRowShare: 1
		});
	});
	it('loses an obstruction with 10 mm round a pipe, and none round a post', () => {
		expect(usable(nookOf({ obstructions: [pipe()] })).obstructedMl).toBeCloseTo(
			(70 * 70 * 350) / 1000
		);
		expect(usable(nookOf({ obstructions: [pipe({ kind: 'post' })] })).obstructedMl).toBeCloseTo(
			(50 * 50 * 350) / 1000
		);
	});
	it('counts what two obstructions share only once', () => {
		const one = usable(nookOf({ obstructions: [pipe()] })).usableMl;
		expect(usable(nookOf({ obstructions: [pipe(), pipe()] })).usableMl).toBeCloseTo(one);
	});
	it('loses what lies above a low way in', () => {
		const space = usable(nookOf({ opening: { widthMm: 500, heightMm: 300 } }));
		expect(space.beyondOpeningMl).toBe(9000);
		expect(space.passes).toEqual({ widthMm: 500, heightMm: 300 });
	});
	it('names what is not measured instead of guessing', () => {
		const nook = nookOf({ inside: { widthMm: 600, depthMm: null, heightMm: 0 } });
		expect(usableSpace(nook, 900, DEFAULT_SETTINGS)).toEqual({
			ok: false,
			missing: ['depth', 'height']
		});
	});
	it('counts depth beyond 400 mm as back row on a low fixed shelf, not in a drawer', () => {
		const deep = { widthMm: 600, depthMm: 800, heightMm: 300 };
		expect(usable(nookOf({ kind: 'shelf', inside: deep }), 100).frontRowShare).toBe(0.5);
		expect(usable(nookOf({ kind: 'drawer', inside: deep }), 100).frontRowShare).toBe(1);
	});
	it('never grows with another obstruction and never leaves the range from nothing to all', () => {
		const mm = fc.integer({ min: 0, max: 700 });
		const box = fc.record({
			id: fc.constant('box' as never),
			kind: fc.constantFrom('pipe' as const, 'post' as const),
			xMm: mm,
			yMm: mm,
			zMm: mm,
			widthMm: mm,
			depthMm: mm,
			heightMm: mm
		});
		fc.assert(
			fc.property(fc.array(box, { maxLength: 4 }), box, (boxes, more) => {
				const before = usable(nookOf({ obstructions: boxes }));
				const after = usable(nookOf({ obstructions: [...boxes, more] }));
				expect(after.usableMl).toBeLessThanOrEqual(before.usableMl + 1e-6);
				expect(after.usableMl).toBeGreaterThanOrEqual(0);
				expect(after.usableMl + after.obstructedMl + after.beyondOpeningMl).toBeCloseTo(
					after.grossMl
				);
			}),
			{ seed: 31 }
		);
	});
	it('agrees with counting cells one by one', () => {
		const small = fc.integer({ min: 0, max: 6 });
		const box = fc.record({ x: small, y: small, z: small, w: small, d: small, h: small });
		fc.assert(
			fc.property(fc.array(box, { maxLength: 5 }), (boxes) => {
				let cells = 0;
				for (let x = 0; x < 12; x++)
					for (let y = 0; y < 12; y++)
						for (let z = 0; z < 12; z++)
							if (
								boxes.some(
									(b) =>
										x >= b.x &&
										x < b.x + b.w &&
										y >= b.y &&
										y < b.y + b.d &&
										z >= b.z &&
										z < b.z + b.h
								)
							)
								cells++;
				expect(unionMm3(boxes)).toBe(cells);
			}),
			{ seed: 32 }
		);
	});
});

describe('reach', () => {
	it('has the bands of the joints', () => {
		const body = reachHeights(1580);
		expect(body.eye).toBe(1479);
		expect([100, 600, 1000, 1400, 1700, 2000].map((height) => bandAt(height, 1580))).toEqual([
			'bend',
			'good',
			'easy',
			'good',
			'stretch',
			'stool'
		]);
	});
	const person = (statureMm: number, noClimb = false) =>
		({
			id: `p${statureMm}`,
			name: '',
			statureMm,
			ageBand: 'adult',
			visits: false,
			limits: { maxLiftG: null, noClimb, noAboveShoulder: false, seated: null },
			diets: [],
			allergies: []
		}) as never;
	const spot = (heightMm: number, depthMm = 300) => ({ heightMm, depthMm, pullOut: false });
	it('is decided by whoever finds it hardest', () => {
		expect(
			reachOf(spot(1700), [person(1900), person(1500)], DEFAULT_SETTINGS.effort)
		).toMatchObject({ band: 'stretch', factor: 2.2, personId: 'p1500' });
	});
	it('is out of the question on a stool for someone who may not climb', () => {
		expect(reachOf(spot(2200), [person(1580, true)], DEFAULT_SETTINGS.effort).factor).toBe(
			Infinity
		);
	});
	it('grows with depth on a shelf but not in a drawer', () => {
		const { effort } = DEFAULT_SETTINGS;
		expect(reachOf(spot(1000, 500), [], effort).factor).toBeCloseTo(1.8);
		expect(reachOf({ ...spot(1000, 500), pullOut: true }, [], effort).factor).toBe(1);
	});
});

describe('checks', () => {
	const home = bareKitchen();
	const cabinet = Object.values(home.cabinets).find((c) => c.form === 'sink')!;
	const codes = (extra: Partial<Nook>) =>
		checkNook(nookOf(extra), cabinet).map((issue) => issue.code);
	it('finds nothing wrong with the usual forms', () => expect(checkSurvey(home)).toEqual([]));
	it('says a missing and a zero side', () => {
		expect(codes({ inside: { widthMm: null, depthMm: 0, heightMm: 300 } })).toEqual([
			'size-missing',
			'size-zero'
		]);
	});
	it('recognises centimetres typed as millimetres and the other way round', () => {
		const slips = (widthMm: number) =>
			checkNook(nookOf({ inside: { widthMm, depthMm: 300, heightMm: 300 } }), cabinet).find(
				(issue) => issue.code === 'unit-slip'
			);
		expect(slips(76)).toMatchObject({ likelyMm: 760 });
		expect(slips(7640)).toMatchObject({ likelyMm: 764 });
		expect(slips(764)).toBeUndefined();
	});
	it('says what is larger than its cabinet, its way in, or its nook', () => {
		expect(codes({ inside: { widthMm: 900, depthMm: 300, heightMm: 300 } })).toContain(
			'larger-than-cabinet'
		);
		expect(codes({ opening: { widthMm: 620, heightMm: 300 } })).toContain('opening-larger');
		expect(codes({ opening: { widthMm: 605, heightMm: 300 } })).not.toContain('opening-larger');
		expect(codes({ obstructions: [pipe({ xMm: 580 })] })).toContain('obstruction-outside');
	});
	it('says when the shelves together are taller than their cabinet', () => {
		const base = Object.values(home.nooks).find(
			(nook) => home.cabinets[nook.cabinetId]!.form === 'base'
		)!;
		const tall = apply(home, setInside(base.id, 'heightMm', 680));
		expect(checkSurvey(tall).map((issue) => issue.code)).toEqual(['shelves-too-tall']);
	});
	it('lists what is missing in walking order', () => {
		const places = nooksInOrder(home);
		const last = places.at(-1)!.nook;
		const first = places[0]!.nook;
		const bare = apply(home, (draft) => {
			draft.nooks[last.id]!.inside.heightMm = null;
			draft.nooks[first.id]!.inside.depthMm = null;
		});
		expect(tapeList(bare).map(({ place, missing }) => [place.nook.id, missing])).toEqual([
			[first.id, ['depth']],
			[last.id, ['height']]
		]);
	});
});

describe('walking', () => {
	const twoRooms = () => {
		const newId = counter('w');
		const rooms = apply(
			bareKitchen(),
			addRoom({
				name: 'Larder',
				widthMm: 2000,
				depthMm: 2400,
				ids: { room: 'larder', back: 'lb', front: 'lf' }
			})
		);
		return apply(rooms, addCabinet('lb', formOf('tall'), newId));
	};
	const far = (home = twoRooms()) => {
		const walking = walkingDistances(home);
		const n = walking.nookIds.findIndex((id) => placeOfNook(home, id)!.room.id === 'larder');
		const sink = walking.stationIds.findIndex((id) => home.stations[id]!.kind === 'sink');
		return walking.stationToNookMm[sink * walking.nookIds.length + n]!;
	};
	it('goes through the doorway, not through the wall', () => {
		const home = twoRooms();
		const place = nooksInOrder(home).find(({ room }) => room.id === 'larder')!;
		const sink = Object.values(home.stations).find((station) => station.kind === 'sink')!;
		const straight = Math.hypot(place.run.from.x - sink.at.x, place.cabinet.depthMm - sink.at.y);
		expect(far()).toBeGreaterThan(straight);
		expect(far()).toBeLessThan(8000);
	});
	it('has no way into a room without a door', () => {
		const closed = apply(twoRooms(), (draft) => void (draft.rooms.larder!.doors = []));
		expect(far(closed)).toBe(Infinity);
	});
	it('is longer round an island than without it', () => {
		const without = far();
		const withIsland = apply(twoRooms(), (draft) => {
			// A body across the kitchen leaves only a gap at the near wall.
			const body = Object.values(draft.cabinets).find((c) => c.form === 'fridge')!;
			draft.cabinets['island'] = {
				...body,
				id: 'island' as never,
				offsetMm: 2900,
				widthMm: 300,
				depthMm: 1900
			};
		});
		expect(far(withIsland)).toBeGreaterThan(without + 500);
	});
	it('is the same both ways, zero to itself, and never shorter than the straight line between nooks', () => {
		const { nookIds, nookToNookMm } = walkingDistances(twoRooms());
		const N = nookIds.length;
		for (let a = 0; a < N; a++)
			for (let b = 0; b < N; b++) {
				expect(nookToNookMm[a * N + b]).toBeCloseTo(nookToNookMm[b * N + a]!, 3);
				if (a === b) expect(nookToNookMm[a * N + b]).toBe(0);
			}
	});
	it('does not depend on the order of the records', () => {
		const home = twoRooms();
		const turned = {
			...home,
			nooks: Object.fromEntries(Object.entries(home.nooks).reverse()),
			stations: Object.fromEntries(Object.entries(home.stations).reverse())
		};
		expect(walkingDistances(turned)).toEqual(walkingDistances(home));
	});
});

describe('survey edits', () => {
	it('put cabinets side by side and make the station that stands before them', () => {
		const home = bareKitchen();
		const floor = Object.values(home.cabinets)
			.filter((c) => c.baseMm < 1000)
			.sort((a, b) => a.offsetMm - b.offsetMm);
		floor
			.slice(1)
			.forEach((cabinet, i) =>
				expect(cabinet.offsetMm).toBeGreaterThanOrEqual(floor[i]!.offsetMm + floor[i]!.widthMm)
			);
		expect(
			Object.values(home.stations)
				.map((station) => station.kind)
				.sort()
		).toEqual(['fridge', 'sink', 'worktop']);
	});
	it('change, obstruct and open a nook', () => {
		const home = bareKitchen();
		const { id } = Object.values(home.nooks)[0]!;
		const changed = apply(
			home,
			setInside(id, 'widthMm', 700),
			addObstruction(id, pipe()),
			setOpening(id, { widthMm: 650, heightMm: 500 })
		);
		expect(changed.nooks[id]).toMatchObject({
			inside: { widthMm: 700 },
			opening: { widthMm: 650 },
			obstructions: [{ kind: 'pipe' }]
		});
	});
	it('take a cabinet away with its nooks and leave its stock on the table', () => {
		const home = bareKitchen();
		const nook = Object.values(home.nooks)[0]!;
		const stocked = withLines(home, ['1 mug'], nook.id);
		const gone = apply(stocked, removeCabinet(nook.cabinetId));
		expect(Object.values(gone.nooks).some((n) => n.cabinetId === nook.cabinetId)).toBe(false);
		expect(Object.values(gone.lots)).toMatchObject([{ nookId: null, count: 1 }]);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Home, Nook } from '../model';
import { apply, bareKitchen, counter, formOf, withLines } from '../fixtures/tiny-home';
import {
	addCabinet,
	addCorner,
	addObstacle,
	addRun,
	addShelf,
	changeObstacle,
	checkSurvey,
	setReadings,
	divideNook,
	duplicateCabinet,
	levelShelves,
	moveCabinet,
	moveCorner,
	moveStation,
	moveWall,
	nextPegMm,
	removeCabinet,
	removeNook,
	removeObstacle,
	removeRoom,
	removeRun,
	removeStation,
	resizeRoom,
	runAxes,
	snapCabinet,
	snapPoint,
	snapTo,
	spaceTotals,
	spreadMm,
	takeReading,
	workTriangle
} from '.';

const kitchen = bareKitchen();
const shelfOf = (home: Home, form: string): Nook => {
	const cabinet = Object.values(home.cabinets).find((one) => one.form === form)!;
	return Object.values(home.nooks).find((nook) => nook.cabinetId === cabinet.id)!;
};
const base = shelfOf(kitchen, 'base');
const at = (home: Home, id: string) => home.nooks[id]!;

describe('three readings', () => {
	it('keep the smallest, and tell how far out of square a place is', () => {
		const home = apply(
			kitchen,
			takeReading(base.id, 'widthMm', 562),
			takeReading(base.id, 'widthMm', 558),
			takeReading(base.id, 'widthMm', 565)
		);
		expect(at(home, base.id).inside.widthMm).toBe(558);
		expect(at(home, base.id).readings.widthMm).toEqual([562, 558, 565]);
		expect(spreadMm(at(home, base.id), 'widthMm')).toBe(7);
		const again = apply(home, takeReading(base.id, 'widthMm', 570, 1));
		expect(at(again, base.id).inside.widthMm).toBe(562);
		const fourth = apply(home, takeReading(base.id, 'widthMm', 550));
		expect(at(fourth, base.id).readings.widthMm).toEqual([562, 558, 550]);
		expect(at(apply(home, setReadings(base.id, 'widthMm', [])), base.id).inside.widthMm).toBeNull();
	});
});

describe('shelves and dividers', () => {
	it('go on the next peg that leaves room for what stands below', () => {
		const cabinet = kitchen.cabinets[base.cabinetId]!;
		fc.assert(
			fc.property(fc.integer({ min: 60, max: 340 }), (wanted) => {
				const under = nextPegMm(base, cabinet, wanted);
				if (under === null) return;
				const { pitchMm, firstHoleMm } = cabinet.shelves!;
				expect(under).toBeGreaterThanOrEqual(wanted);
				expect(under - wanted).toBeLessThan(Math.max(pitchMm, firstHoleMm));
				expect((base.at.zMm + under - firstHoleMm) % pitchMm).toBe(0);
			}),
			{ seed: 330 }
		);
		const home = apply(kitchen, addShelf(base.id, 120, counter('s')));
		const upper = at(home, 's-1');
		const lower = at(home, base.id);
		expect(lower.inside.heightMm! + 18 + upper.inside.heightMm!).toBe(base.inside.heightMm);
		expect(upper.at.zMm).toBe(lower.at.zMm + lower.inside.heightMm! + 18);
		expect(checkSurvey(home)).toEqual(checkSurvey(kitchen));
	});
	it('do not go where nothing would fit above them', () => {
		const high = base.inside.heightMm!;
		expect(nextPegMm(base, kitchen.cabinets[base.cabinetId]!, high - 40)).toBeNull();
		expect(apply(kitchen, addShelf(base.id, high, counter('s')))).toEqual(kitchen);
	});
	it('divide a place into equal parts that fill it', () =>
		fc.assert(
			fc.property(fc.integer({ min: 2, max: 5 }), (parts) => {
				const home = apply(kitchen, divideNook(base.id, parts, counter('p')));
				const all = [base.id, ...Array.from({ length: parts - 1 }, (_, i) => `p-${i + 1}`)].map(
					(id) => at(home, id)
				);
				const widths = new Set(all.map((nook) => nook.inside.widthMm));
				expect(widths.size).toBe(1);
				const sum = all.reduce((mm, nook) => mm + nook.inside.widthMm!, 0) + 18 * (parts - 1);
				expect(base.inside.widthMm! - sum).toBeGreaterThanOrEqual(0);
				expect(base.inside.widthMm! - sum).toBeLessThan(parts);
				all
					.slice(1)
					.forEach((nook, i) =>
						expect(nook.at.xMm).toBe(all[i]!.at.xMm + all[i]!.inside.widthMm! + 18)
					);
			}),
			{ seed: 331 }
		));
	it('are set evenly over a cabinet', () => {
		const odd = apply(kitchen, addShelf(base.id, 120, counter('s')));
		const home = apply(odd, levelShelves(base.cabinetId));
		const heights = Object.values(home.nooks)
			.filter((nook) => nook.cabinetId === base.cabinetId)
			.map((nook) => nook.inside.heightMm);
		expect(new Set(heights).size).toBe(1);
		expect(heights).toHaveLength(3);
	});
	it('keep stock safe when their place goes', () => {
		const stocked = withLines(kitchen, ['penne'], base.id);
		const home = apply(stocked, removeNook(base.id));
		expect(Object.values(home.lots)[0]!.nookId).toBeNull();
		expect(at(home, base.id)).toBeUndefined();
	});
});

describe('cabinets', () => {
	it('are copied beside the last, with empty places', () => {
		const home = apply(kitchen, duplicateCabinet(base.cabinetId, counter('c')));
		const copy = home.cabinets['c-1']!;
		expect(copy.name).toBe('Base cabinet, copy');
		expect(Object.values(home.nooks).filter((nook) => nook.cabinetId === 'c-1')).toHaveLength(2);
		const clash = Object.values(home.cabinets).some(
			(other) =>
				other.id !== 'c-1' &&
				other.baseMm < 1000 &&
				other.offsetMm < copy.offsetMm + copy.widthMm &&
				copy.offsetMm < other.offsetMm + other.widthMm
		);
		expect(clash).toBe(false);
	});
	it.each(['corner', 'carousel', 'under-bed', 'door-rack'])(
		'of the form %s can be added',
		(form) => {
			const home = apply(kitchen, addCabinet('front', formOf(form), counter('x')));
			expect(
				Object.values(home.nooks).filter((nook) => nook.cabinetId === 'x-1').length
			).toBeGreaterThan(0);
			expect(checkSurvey(home)).toEqual(checkSurvey(kitchen));
		}
	);
	it('come to rest against a neighbour or a wall, and nowhere else but on a step', () => {
		const [first, second] = Object.values(kitchen.cabinets)
			.filter((cabinet) => cabinet.baseMm < 1000)
			.sort((a, b) => a.offsetMm - b.offsetMm);
		const side = first!.offsetMm + first!.widthMm;
		expect(snapCabinet(kitchen, second!.id, side + 40)).toEqual({ mm: side, to: 'neighbour' });
		expect(snapCabinet(kitchen, first!.id, -25)).toEqual({ mm: 0, to: 'wall' });
		expect(snapCabinet(kitchen, first!.id, -500).mm).toBe(0);
		expect(snapTo(1234, [{ mm: 1400, to: 'wall' }])).toEqual({ mm: 1230, to: null });
		expect(apply(kitchen, moveCabinet(first!.id, 300)).cabinets[first!.id]!.offsetMm).toBe(300);
	});
});

describe('the plan', () => {
	it('keeps runs on their walls when a corner or a wall is moved', () => {
		const moved = apply(kitchen, moveCorner('kitchen', 'corner-2', { x: 4000, y: -100 }));
		expect(moved.runs['back']!.to).toEqual({ x: 4000, y: -100 });
		const wider = apply(kitchen, moveWall('kitchen', 'corner-2', { x: 500, y: 0 }));
		expect(runAxes(wider.runs['back']!).lengthMm).toBe(4100);
		expect(runAxes(wider.runs['front']!).lengthMm).toBe(4100);
	});
	it('takes exact numbers', () => {
		const home = apply(kitchen, resizeRoom('kitchen', 4200, 3000));
		expect(home.rooms['kitchen']!.outline).toEqual([
			{ id: 'corner-1', x: 0, y: 0 },
			{ id: 'corner-2', x: 4200, y: 0 },
			{ id: 'corner-3', x: 4200, y: 3000 },
			{ id: 'corner-4', x: 0, y: 3000 }
		]);
		expect(home.runs['front']!.from).toEqual({ x: 4200, y: 3000 });
	});
	it('has recesses, and runs that face the room along any wall', () => {
		const home = apply(
			kitchen,
			addCorner('kitchen', 'corner-1', 'new'),
			addRun('kitchen', 'r', 'Recess', 'corner-2')
		);
		expect(home.rooms['kitchen']!.outline).toHaveLength(5);
		const { along, towards } = runAxes(home.runs['r']!);
		expect([along, towards].every(({ x, y }) => Math.abs(Math.hypot(x, y) - 1) < 1e-9)).toBe(true);
		// The right wall is faced from the left.
		expect(towards.x).toBe(-1);
		expect(apply(home, removeRun('r')).runs['r']).toBeUndefined();
		expect(apply(home, removeRun('back')).runs['back']).toBeDefined();
	});
	it('has things to walk round, and draws points to the lines of rooms', () => {
		const home = apply(
			kitchen,
			addObstacle(
				'kitchen',
				{
					kind: 'table',
					name: 'Table',
					widthMm: 800,
					depthMm: 600,
					clearBelowMm: 700
				},
				'table'
			),
			changeObstacle('kitchen', 'table', { x: 500 })
		);
		expect(home.rooms['kitchen']!.obstacles[0]).toMatchObject({ x: 500, y: 900, name: 'Table' });
		expect(apply(home, removeObstacle('kitchen', 'table')).rooms['kitchen']!.obstacles).toEqual([]);
		expect(snapPoint(home, { x: 3570, y: 1003 }, () => false)).toEqual({ x: 3600, y: 1000 });
		expect(snapPoint(home, { x: 3570, y: 1003 }, () => true)).toEqual({ x: 3570, y: 1000 });
	});
	it('gives a room up only when nothing stands in it', () => {
		expect(apply(kitchen, removeRoom('kitchen'))).toEqual(kitchen);
		const empty = Object.keys(kitchen.cabinets).reduce(
			(home, id) => apply(home, removeCabinet(id)),
			kitchen
		);
		const gone = apply(empty, removeRoom('kitchen'));
		expect([gone.rooms, gone.runs, gone.stations]).toEqual([{}, {}, {}]);
	});
});

describe('the work triangle', () => {
	const station = (home: Home, kind: string) =>
		Object.values(home.stations).find((one) => one.kind === kind)!;
	const withHob = apply(kitchen, (draft) => {
		const sink = Object.values(draft.stations).find((one) => one.kind === 'sink')!;
		draft.stations['hob'] = {
			...sink,
			id: 'hob' as never,
			kind: 'hob',
			name: 'Hob',
			at: { x: 800, y: 2000 }
		};
	});
	it('names what is missing', () =>
		expect(workTriangle(kitchen)).toEqual({ ok: false, missing: ['hob'] }));
	it('has three sides as they are walked, and says which are out of bounds', () => {
		const found = workTriangle(withHob);
		if (!found.ok) throw new Error('no triangle');
		expect(found.sides).toHaveLength(3);
		expect(found.sumMm).toBe(found.sides.reduce((mm, side) => mm + side.mm, 0));
		const near = apply(withHob, moveStation('hob', { ...station(withHob, 'sink').at }));
		const short = workTriangle(near);
		expect(short.ok && short.issues.map((issue) => issue.code)).toContain('side-short');
		const strict = apply(withHob, (draft) => void (draft.settings.triangle.mostSumMm = 3000));
		const long = workTriangle(strict);
		expect(long.ok && long.issues.map((issue) => issue.code)).toContain('sum-long');
		expect(workTriangle(apply(withHob, removeStation('hob'))).ok).toBe(false);
	});
	it('is crossed by a way from the door to the table', () => {
		const crossed = apply(withHob, (draft) => {
			const sink = station(draft as Home, 'sink').at;
			draft.rooms['kitchen']!.doors = [
				{ id: 'd' as never, a: { x: 0, y: 1100 }, b: { x: 0, y: 1900 } }
			];
			draft.stations['table'] = {
				id: 'table' as never,
				kind: 'table',
				name: 'Table',
				roomId: 'kitchen' as never,
				at: { x: sink.x + 2000, y: 1500 }
			};
		});
		const found = workTriangle(crossed);
		expect(found.ok && found.issues.map((issue) => issue.code)).toContain('path-crosses');
	});
});

it('sums the space of a home by room, cabinet and climate without losing any', () => {
	const { whole, byRoom, byCabinet, byClimate } = spaceTotals(kitchen);
	const sum = (sums: Iterable<{ usableMl: number }>) =>
		[...sums].reduce((ml, one) => ml + one.usableMl, 0);
	expect(whole.nooks).toBe(Object.keys(kitchen.nooks).length);
	expect(sum(byRoom.values())).toBeCloseTo(whole.usableMl);
	expect(sum(byCabinet.values())).toBeCloseTo(whole.usableMl);
	const kept = ['room', 'chilled', 'frozen'].map((key) => byClimate.get(key)!);
	expect(sum(kept)).toBeCloseTo(whole.usableMl);
});

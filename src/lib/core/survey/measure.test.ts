import { describe, expect, it } from 'vitest';
import { apply, counter, tinyHome } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { changeCabinet } from './changes';
import { checkSurvey } from './checks';
import { addRoom } from './edits';
import { byAge } from './growth';
import {
	alikeIn,
	confirmSizes,
	copyMeasures,
	likeCabinets,
	measuredShare,
	sameSize,
	sidesFrom,
	takeSides
} from './measure';
import { duplicateCabinet } from './shape-edits';

const home = tinyHome();
const shelves = (of: Home) =>
	Object.values(of.cabinets).find(
		({ id }) =>
			Object.values(of.nooks).filter((nook) => nook.cabinetId === id && nook.kind === 'shelf')
				.length > 1
	)!;
const cabinet = shelves(home);
const nooks = Object.values(home.nooks).filter(
	(nook) => nook.cabinetId === cabinet.id && nook.kind === 'shelf'
);
const first = nooks[0]!;

describe('measuring', () => {
	it('pairs numbers in a row with the sides of a place', () => {
		expect(sidesFrom([564, 512, 276])).toEqual({ widthMm: 564, depthMm: 512, heightMm: 276 });
		expect(sidesFrom([512, 276], 'depthMm')).toEqual({ depthMm: 512, heightMm: 276 });
		expect(sidesFrom([])).toEqual({});
	});
	it('takes all sides of a place as one reading each', () => {
		const after = apply(home, takeSides(first.id, sidesFrom([500, 300, 200])));
		expect(after.nooks[first.id]).toMatchObject({
			inside: { widthMm: 500, depthMm: 300, heightMm: 200 },
			readings: { widthMm: [500], depthMm: [300], heightMm: [200] }
		});
	});
	it('gives like shelves the same size, and only what was read', () => {
		const read = apply(home, takeSides(first.id, { widthMm: 501 }));
		const after = apply(read, sameSize(first.id));
		expect(alikeIn(after, first.id).length).toBe(nooks.length - 1);
		for (const nook of alikeIn(after, first.id)) {
			expect(nook.readings.widthMm).toEqual([501]);
			expect(nook.readings.depthMm).toEqual(home.nooks[nook.id]!.readings.depthMm);
		}
	});
	it('counts an assumed size as not measured until it is confirmed', () => {
		const assumed = structuredClone(home);
		assumed.nooks[first.id]!.readings = { widthMm: [], depthMm: [], heightMm: [] };
		expect(measuredShare([assumed.nooks[first.id]!])).toMatchObject({ sides: 3, read: 0 });
		const after = apply(assumed, confirmSizes(first.id));
		expect(measuredShare([after.nooks[first.id]!])).toMatchObject({ sides: 3, read: 3 });
		expect(after.nooks[first.id]!.inside).toEqual(assumed.nooks[first.id]!.inside);
	});
	it('copies the measures of a like cabinet, inside and out', () => {
		const two = structuredClone(apply(home, duplicateCabinet(cabinet.id, counter('copy'))));
		const copy = Object.values(two.cabinets).find(({ id }) => !home.cabinets[id])!;
		for (const nook of Object.values(two.nooks))
			if (nook.cabinetId === copy.id)
				two.nooks[nook.id]!.readings = { widthMm: [], depthMm: [], heightMm: [] };
		const read = apply(two, takeSides(first.id, sidesFrom([444, 333, 222])));
		expect(likeCabinets(read, copy.id).map(({ id }) => id)).toEqual([cabinet.id]);
		const after = apply(read, copyMeasures(cabinet.id, copy.id));
		expect(
			Object.values(after.nooks).some(
				(nook) =>
					nook.cabinetId === copy.id &&
					nook.inside.widthMm === 444 &&
					nook.readings.heightMm[0] === 222
			)
		).toBe(true);
	});
});

describe('a cabinet that changes outside', () => {
	const bare = structuredClone(home);
	for (const nook of Object.values(bare.nooks))
		nook.readings = { widthMm: [], depthMm: [], heightMm: [] };
	it('takes along the sizes that nobody has read, and leaves those that were', () => {
		const read = apply(bare, takeSides(first.id, { widthMm: 500 }));
		const after = apply(read, changeCabinet(cabinet.id, { widthMm: cabinet.widthMm + 100 }));
		expect(after.nooks[first.id]!.inside.widthMm).toBe(500);
		const other = nooks[1]!;
		expect(after.nooks[other.id]!.inside.widthMm).toBe(bare.nooks[other.id]!.inside.widthMm! + 100);
	});
	it('stretches heights and the places of its shelves in proportion', () => {
		const after = apply(bare, changeCabinet(cabinet.id, { heightMm: cabinet.heightMm * 2 }));
		for (const nook of nooks) {
			expect(after.nooks[nook.id]!.inside.heightMm).toBe(nook.inside.heightMm! * 2);
			expect(after.nooks[nook.id]!.at.zMm).toBe(nook.at.zMm * 2);
		}
		expect(checkSurvey(after).some(({ code }) => code === 'shelves-too-tall')).toBe(false);
	});
	it('gives its places the new name, where they were called after it', () => {
		const named = structuredClone(home);
		named.nooks[first.id]!.name = `${cabinet.name}: shelf 1`;
		named.nooks[nooks[1]!.id]!.name = 'Treats';
		const after = apply(named, changeCabinet(cabinet.id, { name: 'Larder' }));
		expect(after.nooks[first.id]!.name).toBe('Larder: shelf 1');
		expect(after.nooks[nooks[1]!.id]!.name).toBe('Treats');
	});
});

describe('bodies along a wall', () => {
	const codes = (of: Home) => checkSurvey(of).map(({ code }) => code);
	it('that stand in one spot, beyond the wall, or are of no size are called out', () => {
		expect(codes(home)).not.toContain('cabinets-overlap');
		const two = apply(home, duplicateCabinet(cabinet.id, counter('copy')));
		const copy = Object.values(two.cabinets).find(({ id }) => !home.cabinets[id])!;
		const onto = apply(two, changeCabinet(copy.id, { offsetMm: cabinet.offsetMm + 50 }));
		expect(checkSurvey(onto)).toContainEqual(
			expect.objectContaining({ code: 'cabinets-overlap', cabinetId: expect.any(String) })
		);
		expect(codes(apply(home, changeCabinet(cabinet.id, { offsetMm: 90_000 })))).toContain(
			'beyond-wall'
		);
		expect(codes(apply(home, changeCabinet(cabinet.id, { widthMm: 6 })))).toContain('cabinet-size');
	});
});

describe('rooms and people', () => {
	it('a room has all four walls to choose from, each with the room to its right', () => {
		const ids = { room: 'r', back: 'b', front: 'f', left: 'l', right: 'w' };
		const after = apply(home, addRoom({ name: 'Larder', widthMm: 2000, depthMm: 3000, ids }));
		const length = (id: string) => {
			const { from, to } = after.runs[id]!;
			return Math.hypot(to.x - from.x, to.y - from.y);
		};
		expect(['b', 'w', 'f', 'l'].map(length)).toEqual([2000, 3000, 2000, 3000]);
		expect(after.runs['b']!.to).toEqual(after.runs['w']!.from);
		expect(after.runs['f']!.to).toEqual(after.runs['l']!.from);
	});
	it.each([
		[2, 'toddler', 870],
		[9, 'child', 1330],
		[15, 'teen', 1650],
		[40, 'adult', 1700],
		[80, 'older', 1700]
	])('%d years are %s of %d mm', (years, ageBand, statureMm) =>
		expect(byAge(years)).toEqual({ ageBand, statureMm })
	);
});

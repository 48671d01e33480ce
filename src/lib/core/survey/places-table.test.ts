import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, bareKitchen, counter, NOW, tinyHome } from '../fixtures/tiny-home';
import { toCsv } from '../interchange/reports';
import { makeHome, type Home } from '../model';
import { readTable } from '../tables';
import { bringPlaces } from './bring-places';
import { placeColumns, placeRows, readPlaces, type PlaceRow } from './places-table';
import { nooksInOrder } from './place';

const read = (home: Home, text: string): PlaceRow[] => {
	const result = readTable(text);
	if (!result.ok) throw new Error(result.code);
	return readPlaces(home, result.table, placeColumns(result.table));
};
const take = (home: Home, rows: readonly PlaceRow[]) =>
	apply(
		home,
		bringPlaces(
			rows.filter(({ isHere, issues }) => !isHere && !issues.length),
			counter('n')
		)
	);
const empty = () => makeHome({ id: 'e', name: 'Empty', now: NOW });
/** What a table says of each place, to be compared. */
const sizes = (home: Home) =>
	nooksInOrder(home)
		.map(({ nook, cabinet, room }) =>
			JSON.stringify([
				room.name,
				cabinet.name,
				nook.name,
				nook.kind,
				nook.inside,
				nook.opening,
				nook.at,
				nook.loadG
			])
		)
		.sort();

describe('places as a table', () => {
	it('go out and come in again without a change', () => {
		const odd = apply(tinyHome(), (draft) => {
			Object.values(draft.nooks)[0]!.name = '=1+1; "top", left';
		});
		for (const home of [tinyHome(), odd, demoHome(NOW)]) {
			const rows = read(home, toCsv(placeRows(home)));
			expect(rows).toHaveLength(nooksInOrder(home).length);
			expect(rows.filter(({ isHere }) => !isHere)).toEqual([]);
		}
	});
	it('fill an empty home as the other was: every room, cabinet, place and size', () => {
		for (const home of [tinyHome(), demoHome(NOW)])
			expect(sizes(take(empty(), read(empty(), toCsv(placeRows(home)))))).toEqual(sizes(home));
	});
	it('stack the places of a new cabinet from the first row at the top, and make it as large', () => {
		const text =
			'cabinet,place,width mm,depth mm,height mm\nTall one,A,500,300,200\nTall one,B,500,300,400\n';
		const home = take(empty(), read(empty(), text));
		const [a, b] = nooksInOrder(home);
		expect([a!.nook.name, b!.nook.name]).toEqual(['A', 'B']);
		expect(a!.nook.at.zMm).toBe(18 + 400 + 18);
		expect(a!.cabinet).toMatchObject({
			widthMm: 536,
			depthMm: 318,
			heightMm: 18 + 400 + 18 + 200 + 18
		});
	});
	it('a new place of a cabinet that is here goes above the others, and nothing else changes', () => {
		const home = tinyHome();
		const { nook, cabinet } = nooksInOrder(home)[0]!;
		const text = `cabinet,place,width mm,depth mm,height mm\n${cabinet.name},On top of it,400,300,150\n`;
		const next = take(home, read(home, text));
		expect(Object.keys(next.cabinets)).toEqual(Object.keys(home.cabinets));
		expect(next.nooks[nook.id]).toEqual(nook);
		const added = Object.values(next.nooks).find(({ name }) => name === 'On top of it')!;
		expect(added.cabinetId).toBe(cabinet.id);
		const own = Object.values(home.nooks).filter(({ cabinetId }) => cabinetId === cabinet.id);
		for (const { at, inside } of own)
			expect(added.at.zMm).toBeGreaterThanOrEqual(at.zMm + (inside.heightMm ?? 0));
	});
	it('a size that differs is changed, one that is not said stays', () => {
		const home = tinyHome();
		const { nook, cabinet } = nooksInOrder(home)[0]!;
		const next = take(
			home,
			read(home, `cabinet,place,width\n${cabinet.name},${nook.name},48.7 cm\n`)
		);
		expect(next.nooks[nook.id]!.inside).toEqual({ ...nook.inside, widthMm: 487 });
	});
	it('bare figures are in the unit of their head, else of the home', () => {
		const home = { ...empty(), units: 'in' } as Home;
		const [row] = read(home, 'cabinet;place;width cm;depth;height mm\nA;B;56,4;20 1/8;300\n');
		expect(row!.said).toEqual({ widthMm: 564, depthMm: 511, heightMm: 300 });
	});
	it('names what cannot be, row by row', () => {
		const home = bareKitchen();
		const codes = read(
			home,
			[
				'cabinet,place,width,kind,form,load',
				',Shelf,500,,,',
				'Unit,,500,,,',
				'Unit,A,broad,,,',
				'Unit,B,-3,,,',
				'Unit,C,0,,,',
				'Unit,D,500,hammock,,',
				'Unit,E,500,,spaceship,',
				'Unit,F,500,,,lots',
				'Unit,G,500,shelf,wall,12.5'
			].join('\n')
		).map(({ issues }) => issues.map(({ code }) => code).join());
		expect(codes).toEqual([
			'no-cabinet',
			'no-name',
			'bad-length',
			'bad-length',
			'bad-length',
			'bad-kind',
			'bad-form',
			'bad-load',
			''
		]);
	});
	it('whatever sizes come in go out as they came', () => {
		const mm = fc.integer({ min: 1, max: 3000 });
		fc.assert(
			fc.property(
				fc.uniqueArray(
					fc.record({ name: fc.stringMatching(/^[a-z]{1,6}$/), w: mm, d: mm, h: mm }),
					{
						minLength: 1,
						maxLength: 6,
						selector: ({ name }) => name
					}
				),
				(places) => {
					const text = toCsv([
						['cabinet', 'place', 'width', 'depth', 'height'],
						...places.map(({ name, w, d, h }) => ['Unit', name, w, d, h])
					]);
					const home = take(empty(), read(empty(), text));
					const got = nooksInOrder(home).map(({ nook }) => [
						nook.name,
						...Object.values(nook.inside)
					]);
					expect(got).toEqual(places.map(({ name, w, d, h }) => [name, w, d, h]));
					expect(read(home, text).every(({ isHere }) => isHere)).toBe(true);
				}
			),
			{ numRuns: 40 }
		);
	});
});

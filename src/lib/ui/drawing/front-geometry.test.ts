import { describe, expect, it } from 'vitest';
import { demoHome } from '$lib/data/demo';
import { bareKitchen, NOW } from '$lib/core/fixtures/tiny-home';
import { findHidden } from '$lib/core/survey';
import { wrapWords, fitWords, frontGeometry, hiddenTopMm, nookWords } from './front-geometry';

const demo = demoHome(NOW);

describe('the front view', () => {
	it('draws every nook of the home exactly once, to scale and above the floor', () => {
		const seen = new Map<string, number>();
		for (const run of Object.values(demo.runs)) {
			const view = frontGeometry(demo, run);
			for (const box of view.nooks) {
				seen.set(box.nook.id, (seen.get(box.nook.id) ?? 0) + 1);
				expect(box.y, box.nook.name).toBeGreaterThanOrEqual(0);
				expect(box.y + box.h, box.nook.name).toBeLessThanOrEqual(view.heightMm);
				const { widthMm, heightMm } = box.nook.inside;
				if (!box.nook.kind.endsWith('door') && widthMm) expect(box.w).toBe(Math.max(60, widthMm));
				if (heightMm) expect(box.h).toBe(Math.max(60, heightMm));
			}
		}
		expect([...seen.keys()].sort()).toEqual(Object.keys(demo.nooks).sort());
		expect([...seen.values()].every((count) => count === 1)).toBe(true);
	});
	it('lays door racks over their shelves and keeps words clear of them', () => {
		const view = frontGeometry(demo, demo.runs['north']!);
		const order = view.nooks.map((box) => box.nook.kind);
		expect(order.lastIndexOf('shelf')).toBeLessThan(order.indexOf('door'));
		const behind = view.nooks.find((box) => box.nook.id === 'n2-up')!;
		expect(behind.textW).toBeLessThan(behind.w);
	});
	it('has an empty wall where there is no cabinet', () => {
		expect(frontGeometry(bareKitchen(), bareKitchen().runs['front']!)).toMatchObject({
			cabinets: [],
			nooks: [],
			lengthMm: 3600
		});
	});
});

describe('words on the drawing', () => {
	it('are broken into as many lines as there is height for, or left out', () => {
		expect(wrapWords('heavy, high up', 1000, 100, 10)).toEqual(['heavy, high up']);
		expect(wrapWords('heavy, high up', 50, 100, 10)).toEqual(['heavy,', 'high up']);
		expect(wrapWords('heavy, high up', 50, 20, 10)).toEqual([]);
		expect(wrapWords('heavy, high up', 20, 100, 10)).toEqual([]);
	});
	it('are cut where they do not fit', () => {
		expect(fitWords('Larder shelf', 1000, 20)).toBe('Larder shelf');
		expect(fitWords('Larder shelf', 80, 20)).toBe('Larder');
		expect(fitWords('On top by the fridge', 110, 10)).toBe('On top by the fridge');
		expect(fitWords('On top by the fridge', 80, 10)).toBe('On top');
		expect(fitWords('Larder shelf', 10, 20)).toBe('');
	});
	it('prefer the part that tells a nook from its neighbours', () => {
		const view = frontGeometry(demo, demo.runs['north']!);
		const box = view.nooks.find((b) => b.nook.name === 'Over the sink, middle shelf')!;
		expect(nookWords(box, 2000, 20)).toBe('Over the sink, middle shelf');
		expect(nookWords(box, 160, 20)).toBe('Middle shelf');
	});
});

describe('what the finder would add', () => {
	it('reaches above the wall only where a place on top does', () => {
		const run = demo.runs['lamp-south']!;
		const tops = findHidden(demo).filter(({ kind }) => kind === 'cabinet-top');
		const over = hiddenTopMm(demo, run, tops);
		const rack = demo.cabinets['lamprack']!;
		expect(over).toBeGreaterThan(rack.baseMm + rack.heightMm);
		expect(hiddenTopMm(demo, run, [])).toBe(0);
	});
	it('draws a fridge’s racks over its shelves, at the hinge side', () => {
		const view = frontGeometry(demo, demo.runs['north']!);
		const racks = view.nooks.filter(({ nook }) => nook.kind === 'fridge-door');
		expect(racks.length).toBe(2);
		for (const { x, w, cabinet } of racks)
			expect(x + w).toBeLessThanOrEqual(cabinet.offsetMm + cabinet.widthMm);
	});
});

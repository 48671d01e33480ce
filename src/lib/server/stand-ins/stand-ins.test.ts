import { describe, expect, it } from 'vitest';
import { isInStore, parseCode } from '../../core/clearing';
import { kindOf } from '../../core/kinds';
import { parseQuantity } from '../../core/model';
import { LASER_RANGE_MM, readLaser } from './laser';
import { productOf, PRODUCTS, scan } from './products';

/** Numbers from 0 to 1 that are the same on every run. */
function seeded(seed: number): () => number {
	let state = seed;
	return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

describe('the stand-in for a laser measure', () => {
	const readings = (aimMm: number) => {
		const random = seeded(11);
		return Array.from({ length: 2000 }, () => readLaser(aimMm, random));
	};
	it('reads about what is there, with a little noise, and now and then nothing', () => {
		const all = readings(564);
		const good = all.flatMap((reading) => ('mm' in reading ? [reading.mm] : []));
		const mean = good.reduce((sum, mm) => sum + mm, 0) / good.length;
		expect(mean).toBeCloseTo(564, 0);
		expect(new Set(good).size).toBeGreaterThan(3);
		expect(Math.max(...good.map((mm) => Math.abs(mm - 564)))).toBeLessThanOrEqual(8);
		const missed = all.length - good.length;
		expect(missed / all.length).toBeGreaterThan(0.04);
		expect(missed / all.length).toBeLessThan(0.12);
	});
	it('has a range', () => {
		for (const aim of [LASER_RANGE_MM.least - 20, LASER_RANGE_MM.most + 50])
			expect(readings(aim).every((reading) => 'error' in reading)).toBe(true);
	});
});

describe('the stand-in for a product directory', () => {
	it('has a few hundred products, each with a number of its own in the in-store range and a size', () => {
		expect(PRODUCTS.length).toBeGreaterThan(250);
		expect(new Set(PRODUCTS.map((product) => product.code)).size).toBe(PRODUCTS.length);
		for (const { code, size } of PRODUCTS) {
			const read = parseCode(code);
			expect(read.ok && isInStore(read.facts.gtin!)).toBe(true);
			expect(parseQuantity(size).ok).toBe(true);
		}
	});
	it('is found by 13 and by 14 digits, and does not know others', () => {
		const product = PRODUCTS[3]!;
		expect(productOf(product.code)).toBe(product);
		expect(productOf(`0${product.code}`)).toBe(product);
		expect(productOf('2999999999993')).toBeNull();
	});
	it('names goods that fall into a category', () => {
		const lost = PRODUCTS.filter((product) => !kindOf(product.name).sure);
		expect(lost.map((product) => product.name)).toEqual([]);
	});
	it('is scanned as numbers, as fields and as addresses, with a misread now and then', () => {
		const random = seeded(5);
		const scans = Array.from({ length: 400 }, () => parseCode(scan(random, '2026-03-02')));
		const good = scans.flatMap((read) => (read.ok ? [read.facts] : []));
		expect(good.some((facts) => facts.bestBefore && facts.batch)).toBe(true);
		expect(good.every((facts) => productOf(facts.gtin!))).toBe(true);
		const bad = scans.filter((read) => !read.ok);
		expect(bad.length).toBeGreaterThan(10);
		expect(bad.every((read) => !read.ok && read.issue.code === 'code-check-digit')).toBe(true);
	});
});

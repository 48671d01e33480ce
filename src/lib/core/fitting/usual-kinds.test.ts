import { describe, expect, it } from 'vitest';
import { apply, bareKitchen } from '../fixtures/tiny-home';
import {
	addUsualKinds,
	copyOfKind,
	outerOf,
	plainKind,
	removeKind,
	saveKinds,
	setOwned,
	USUAL_KINDS
} from '.';

describe('usual kinds of container', () => {
	it('have ids of their own and sizes that can be', () => {
		expect(new Set(USUAL_KINDS.map((kind) => kind.id)).size).toBe(USUAL_KINDS.length);
		for (const kind of USUAL_KINDS) {
			const outer = outerOf(kind);
			expect(kind.inner.widthMm, kind.name).toBeLessThanOrEqual(outer.widthMm);
			expect(kind.inner.depthMm, kind.name).toBeLessThanOrEqual(
				Math.max(outer.depthMm, kind.role === 'rack' ? 320 : 0)
			);
			if (kind.lid) expect(kind.inner.heightMm, kind.name).toBeLessThan(kind.heightMm);
			if (kind.shape === 'round') expect(outer.widthMm, kind.name).toBe(outer.depthMm);
			expect(kind.priceMinor, kind.name).toBeGreaterThan(0);
			expect(kind.owned).toBe(0);
		}
	});
	it('are added without touching what the house has', () => {
		const home = apply(bareKitchen(), addUsualKinds());
		expect(Object.keys(home.containerKinds)).toHaveLength(USUAL_KINDS.length);
		const owned = apply(home, setOwned('bin-m', 3));
		expect(apply(owned, addUsualKinds()).containerKinds['bin-m']!.owned).toBe(3);
	});
	it('keep counts within reason', () => {
		const home = apply(bareKitchen(), addUsualKinds());
		expect(apply(home, setOwned('bin-m', -4)).containerKinds['bin-m']!.owned).toBe(0);
		expect(apply(home, setOwned('bin-m', 2.6)).containerKinds['bin-m']!.owned).toBe(3);
		expect(apply(home, setOwned('no-such-kind', 2))).toEqual(home);
	});
	it('are joined by kinds of one’s own, which may be changed and taken out again; unsound ones are not saved', () => {
		const wicker = {
			...plainKind('w'),
			name: 'Wicker',
			outerTop: { widthMm: 300, depthMm: 200 },
			outerBase: { widthMm: 280, depthMm: 180 },
			inner: { widthMm: 290, depthMm: 190, heightMm: 140 },
			heightMm: 150
		};
		const home = apply(bareKitchen(), saveKinds([wicker]));
		expect(home.containerKinds['w']).toEqual(wicker);
		for (const bad of [
			{ ...wicker, heightMm: 0 },
			{ ...wicker, name: ' ' },
			{ ...wicker, inner: { ...wicker.inner, widthMm: 310 } }
		])
			expect(apply(home, saveKinds([bad]))).toEqual(home);
		const copy = copyOfKind(wicker, 'w2');
		expect(copy).toMatchObject({ name: 'Wicker, copy', owned: 0, heightMm: 150 });
		expect(apply(home, removeKind('w')).containerKinds['w']).toBeUndefined();
	});
});

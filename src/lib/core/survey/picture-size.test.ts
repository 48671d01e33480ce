import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply, tinyHome } from '../fixtures/tiny-home';
import { takeSides } from './measure';
import { pictureSize, takePictured, type Corners, type PicturePoint } from './picture-size';

/** A camera that looks at a wall, written apart from what is tested: turned, tilted, and at some distance. */
function camera({
	yaw,
	pitch,
	farMm,
	focalPx
}: {
	yaw: number;
	pitch: number;
	farMm: number;
	focalPx: number;
}) {
	return (xMm: number, yMm: number): PicturePoint => {
		const x1 = xMm * Math.cos(yaw);
		const z1 = farMm + xMm * Math.sin(yaw);
		const y2 = yMm * Math.cos(pitch) - z1 * Math.sin(pitch) + farMm * Math.sin(pitch);
		const z2 = yMm * Math.sin(pitch) + z1 * Math.cos(pitch);
		return { x: 640 + (focalPx * x1) / z2, y: 400 + (focalPx * y2) / z2 };
	};
}
const rect = (
	look: (x: number, y: number) => PicturePoint,
	x: number,
	y: number,
	w: number,
	h: number
): Corners => [look(x, y), look(x + w, y), look(x + w, y + h), look(x, y + h)];
const square = camera({ yaw: 0, pitch: 0, farMm: 1200, focalPx: 900 });

describe('a size from a picture', () => {
	it('is right for any camera that sees the sheet and the opening in one plane', () =>
		fc.assert(
			fc.property(
				fc.record({
					yaw: fc.double({ min: -0.35, max: 0.35, noNaN: true }),
					pitch: fc.double({ min: -0.25, max: 0.25, noNaN: true }),
					farMm: fc.integer({ min: 700, max: 2000 }),
					focalPx: fc.integer({ min: 700, max: 1400 })
				}),
				fc.integer({ min: 250, max: 900 }),
				fc.integer({ min: 200, max: 700 }),
				fc.boolean(),
				(view, width, height, across) => {
					const look = camera(view);
					const size = pictureSize({
						sheet: 'a4',
						across,
						sheetCorners: rect(look, -100, -120, across ? 297 : 210, across ? 210 : 297),
						openingCorners: rect(look, -width / 2, -height / 2, width, height),
						tapPx: 2
					});
					if (!size.ok) return;
					expect(Math.abs(size.widthMm - width)).toBeLessThanOrEqual(1);
					expect(Math.abs(size.heightMm - height)).toBeLessThanOrEqual(1);
				}
			),
			{ seed: 51, numRuns: 300 }
		));
	it('says how far it may be off: more for a sheet that is small in the picture', () => {
		const of = (farMm: number) => {
			const look = camera({ yaw: 0, pitch: 0, farMm, focalPx: 900 });
			const size = pictureSize({
				sheet: 'letter',
				across: false,
				sheetCorners: rect(look, -100, -120, 216, 279),
				openingCorners: rect(look, -300, -200, 600, 400),
				tapPx: 2
			});
			return size.ok ? size.widthErrMm : NaN;
		};
		expect(of(800)).toBeGreaterThan(2);
		expect(of(1800)).toBeGreaterThan(of(800));
	});
	it('holds nearly all sizes from taps that are a little off within its error', () => {
		let inside = 0;
		const rounds = 300;
		const next = fc.sample(fc.double({ min: -2, max: 2, noNaN: true }), {
			seed: 5,
			numRuns: rounds * 16
		});
		for (let i = 0; i < rounds; i++) {
			const off = (corners: Corners, from: number): Corners =>
				corners.map(({ x, y }, k) => ({
					x: x + next[i * 16 + from + 2 * k]!,
					y: y + next[i * 16 + from + 2 * k + 1]!
				})) as unknown as Corners;
			const size = pictureSize({
				sheet: 'a4',
				across: false,
				sheetCorners: off(rect(square, -100, -120, 210, 297), 0),
				openingCorners: off(rect(square, -300, -200, 600, 400), 8),
				tapPx: 2
			});
			if (size.ok && Math.abs(size.widthMm - 600) <= size.widthErrMm + 1) inside++;
		}
		expect(inside / rounds).toBeGreaterThan(0.95);
	});
	it('refuses corners on a line, and a sheet that is hardly to be seen', () => {
		const line = [0, 100, 200, 300].map((x) => ({ x, y: 0 })) as unknown as Corners;
		const opening = rect(square, -300, -200, 600, 400);
		const base = { sheet: 'a4', across: false, openingCorners: opening, tapPx: 2 } as const;
		expect(pictureSize({ ...base, sheetCorners: line }).ok).toBe(false);
		const far = camera({ yaw: 0, pitch: 0, farMm: 9000, focalPx: 900 });
		expect(pictureSize({ ...base, sheetCorners: rect(far, 0, 0, 210, 297) })).toEqual({
			ok: false,
			code: 'sheet-too-small'
		});
	});
	it('is kept as an estimate, and never over what was read on a tape', () => {
		const home = structuredClone(tinyHome());
		const nook = Object.values(home.nooks)[0]!;
		nook.readings = { widthMm: [], depthMm: [], heightMm: [] };
		const read = apply(home, takeSides(nook.id, { heightMm: 300 }));
		const size = { ok: true, widthMm: 612, heightMm: 333, widthErrMm: 9, heightErrMm: 7 } as const;
		const after = apply(read, takePictured(nook.id, size));
		expect(after.nooks[nook.id]).toMatchObject({
			inside: { widthMm: 612, heightMm: 300 },
			pictured: { widthMm: 9, heightMm: null }
		});
		expect(
			apply(after, takeSides(nook.id, { widthMm: 600 })).nooks[nook.id]!.pictured!.widthMm
		).toBeNull();
	});
});

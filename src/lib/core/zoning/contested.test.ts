import { describe, expect, it } from 'vitest';
import { FAMILY } from '../fixtures/sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { buildZoneModel } from './build';
import { contestedPlaces } from './contested';
import { layoutOf } from './explain';
import { placeHome } from './solve';

describe('the most wanted places', () => {
	const home = sketchHome(FAMILY);
	const model = buildZoneModel(home);
	const layout = layoutOf(model, placeHome(home, { seed: 1, moves: 20_000 }, model).assignments);
	const wanted = contestedPlaces(model, layout);
	it('are full, and what wants them stands elsewhere and would save what is said', () => {
		expect(wanted.length).toBeGreaterThan(3);
		for (const { nookId, groupId, savedM } of wanted) {
			const n = model.places.findIndex(({ nook }) => nook.id === nookId);
			const g = [...layout.assignment.keys()].find(
				(part) =>
					model.parts[part]!.figures.groupId === groupId &&
					layout.assignment[part] !== n &&
					Math.abs(
						layout.costAt(part, layout.assignment[part]!) - layout.costAt(part, n) - savedM
					) < 1e-9
			)!;
			expect(g).toBeDefined();
			expect(layout.fits(g, n)).toBe(false);
		}
	});
	it('come the most wanted first', () => {
		const prices = wanted.map(({ perLitreM }) => perLitreM);
		expect(prices).toEqual([...prices].sort((a, b) => b - a));
	});
	it('are none where nothing is placed', () =>
		expect(contestedPlaces(model, layoutOf(model, []))).toEqual([]));
});

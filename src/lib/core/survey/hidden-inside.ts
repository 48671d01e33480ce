import { type Nook } from '../model';
import { rowOf } from './hidden-place';
import {
	isMeasured,
	sizeOf,
	litres,
	isDamp,
	SHELVES,
	inRoomAir,
	type Finder
} from './hidden-scene';
import { baseAboveFloorMm } from './place';
import { nextPegMm } from './shape-edits';
import { blockedBoxes, usableSpace } from './usable';

const BOARD_MM = 18;
const AIR_MM = 30;
const BASKET_MM = 120;
const SLIDE_LEAST_MM = 120;
const DEEP_MM = 450;
const BACK_ROW_MM = 400;

/** A second shelf where there is headroom of more than twice the tallest thing. */
export const secondShelf: Finder = ({ places, held }) =>
	places.flatMap(({ nook, cabinet }) => {
		const own = held.get(nook.id);
		if (!own || !SHELVES.has(nook.kind) || !isMeasured(nook)) return [];
		const { w, d, h } = sizeOf(nook);
		if (h <= 2 * own.tallestMm) return [];
		const clearMm = own.tallestMm + AIR_MM;
		const under = nextPegMm(nook, cabinet, clearMm);
		return under === null
			? []
			: [
					{
						where: nook.name,
						nookId: nook.id,
						gainMl: litres(w, d, h - under - BOARD_MM - AIR_MM),
						loadCheck: 'own-feet',
						make: { as: 'shelf', nookId: nook.id, clearMm }
					}
				];
	});

/** A basket under the shelf above, where a second shelf would be too much. */
export const underShelf: Finder = ({ places, held }) =>
	places.flatMap(({ nook, cabinet }) => {
		const own = held.get(nook.id);
		if (!own || !SHELVES.has(nook.kind) || !isMeasured(nook)) return [];
		const { w, d, h } = sizeOf(nook);
		if (h > 2 * own.tallestMm || h < own.tallestMm + AIR_MM + BASKET_MM) return [];
		const above = places.find(
			(other) =>
				other.cabinet.id === cabinet.id &&
				other.nook.at.xMm === nook.at.xMm &&
				other.nook.at.zMm > nook.at.zMm + h &&
				other.nook.at.zMm <= nook.at.zMm + h + 60
		);
		const row = rowOf('under-shelf-basket');
		const spare = above?.nook.loadG
			? above.nook.loadG - (held.get(above.nook.id)?.massG ?? 0)
			: null;
		// A board that is full already carries no basket.
		if (!above || (spare !== null && spare < 1000)) return [];
		const width = Math.min(w, 400);
		return [
			{
				where: nook.name,
				nookId: nook.id,
				gainMl: litres(width, d - 60, BASKET_MM),
				loadG: spare === null ? row.loadG : Math.min(row.loadG, spare),
				loadCheck: spare === null ? 'unknown-shelf' : 'shelf-above',
				make: {
					as: 'nook',
					cabinetId: cabinet.id,
					nook: {
						name: `Basket under ${above.nook.name}`,
						kind: 'under-shelf',
						at: { xMm: nook.at.xMm, zMm: nook.at.zMm + h - BASKET_MM },
						inside: { widthMm: width, depthMm: d - 60, heightMm: BASKET_MM }
					}
				}
			}
		];
	});

/** A turntable in a corner, or where a shelf is deeper than 450 mm: its back row comes to the front. */
export const turntable: Finder = ({ home, places }) =>
	places.flatMap((place) => {
		const { nook } = place;
		const { w, d } = sizeOf(nook);
		const deep = nook.kind === 'corner' || (nook.kind === 'shelf' && d > DEEP_MM);
		const space = usableSpace(nook, baseAboveFloorMm(place), home.settings);
		if (!deep || !space.ok || !inRoomAir(place)) return [];
		const across = Math.min(w, d, space.passes.widthMm);
		if (across < 250) return [];
		const back = nook.kind === 'corner' ? 0.5 : Math.max(0, 1 - BACK_ROW_MM / d);
		return [
			{
				where: nook.name,
				nookId: nook.id,
				// A disc in its square holds π/4 of it; what it brings forward is the back row's part of that.
				gainMl: (space.usableMl * back * Math.PI) / 4,
				loadCheck: 'own-feet',
				make: { as: 'carousel', nookId: nook.id }
			}
		];
	});

/** A slide-out beside the pipes: what is low and deep there comes out in two tiers. */
export const slideOut: Finder = ({ home, places, held }) =>
	places.flatMap((place) => {
		const { nook, cabinet } = place;
		const taken = places.some(
			(other) => other.cabinet.id === cabinet.id && other.nook.kind === 'slide-out'
		);
		if (nook.kind !== 'undersink' || !nook.obstructions.length || !isMeasured(nook) || taken)
			return [];
		const gap = widestGap(nook, home.settings.play.pipeMm);
		if (gap.widthMm < SLIDE_LEAST_MM) return [];
		const { d, h } = sizeOf(nook);
		const width = Math.min(gap.widthMm, nook.opening?.widthMm ?? gap.widthMm, 400) - 10;
		const low = Math.min(h / 2, held.get(nook.id)?.tallestMm ?? h / 2);
		return [
			{
				where: nook.name,
				nookId: nook.id,
				gainMl: litres(width, d - 20, h - low - 2 * AIR_MM),
				loadCheck: 'own-feet',
				damp: isDamp(place),
				make: {
					as: 'nook',
					cabinetId: cabinet.id,
					nook: {
						name: `${cabinet.name}: slide-out`,
						kind: 'slide-out',
						at: { xMm: nook.at.xMm + gap.fromMm + 5, zMm: nook.at.zMm + Math.round(low) + AIR_MM },
						inside: {
							widthMm: Math.round(width),
							depthMm: d - 20,
							heightMm: Math.round(h - low - 2 * AIR_MM)
						}
					}
				}
			}
		];
	});

/** The widest stretch of a nook's width that no obstruction stands in, mm from its left. */
export function widestGap(
	nook: Nook,
	pipeGapMm: number
): { readonly fromMm: number; readonly widthMm: number } {
	const width = nook.inside.widthMm ?? 0;
	let at = 0;
	let best = { fromMm: 0, widthMm: 0 };
	const spans = blockedBoxes(nook, pipeGapMm)
		.map(({ x, w }) => [x, x + w] as const)
		.sort((a, b) => a[0] - b[0]);
	for (const [from, to] of [...spans, [width, width] as const]) {
		if (from - at > best.widthMm) best = { fromMm: at, widthMm: from - at };
		at = Math.max(at, to);
	}
	return best;
}

import type { Run } from '$lib/core/model';
import type { HiddenPlace } from '$lib/core/survey';
import type { FrontGeometry } from './front-geometry';

export interface HiddenBox {
	readonly place: HiddenPlace;
	readonly x: number;
	readonly y: number;
	readonly w: number;
	readonly h: number;
}

/** How high a trolley stands in a gap, mm. */
const TROLLEY_MM = 800;

function boxOf(place: HiddenPlace, view: FrontGeometry, run: Run): Omit<HiddenBox, 'place'> | null {
	const { make } = place;
	switch (make.as) {
		case 'nook': {
			const cabinet = view.cabinets.find(({ id }) => id === make.cabinetId);
			if (!cabinet) return null;
			const { widthMm: w, heightMm: h } = make.nook.inside;
			const below = make.nook.kind === 'hooks' && make.nook.at.zMm === 0;
			const bottom = view.heightMm - cabinet.baseMm - make.nook.at.zMm;
			return { x: cabinet.x + make.nook.at.xMm, y: below ? bottom : bottom - h, w, h };
		}
		case 'shelf':
		case 'carousel': {
			const box = view.nooks.find(({ nook }) => nook.id === make.nookId);
			if (!box) return null;
			const h = make.as === 'shelf' ? Math.max(40, box.h - make.clearMm) : Math.min(60, box.h);
			return { x: box.x, y: make.as === 'shelf' ? box.y : box.y + box.h - h, w: box.w, h };
		}
		case 'trolley':
			return make.runId === run.id
				? { x: make.offsetMm, y: view.heightMm - TROLLEY_MM, w: make.widthMm, h: TROLLEY_MM }
				: null;
		case 'under-bed':
			return null;
	}
}

/** Where the found places of a run stand on its front view, mm; those of other runs are left out. */
export const hiddenBoxes = (
	places: readonly HiddenPlace[],
	view: FrontGeometry,
	run: Run
): HiddenBox[] =>
	places.flatMap((place) => {
		const box = boxOf(place, view, run);
		return box ? [{ place, ...box }] : [];
	});

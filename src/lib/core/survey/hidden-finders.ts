import type { HiddenKind } from '../model';
import { trolley, sidePanel, underBed, unusedCupboard } from './hidden-floor';
import { secondShelf, underShelf, turntable, slideOut } from './hidden-inside';
import { doorBack, wallHooks, cabinetTop } from './hidden-outside';
import type { Finder } from './hidden-scene';

/** One finder for each kind of hidden storage. */
export const FINDERS: Readonly<Record<HiddenKind, Finder>> = {
	'second-shelf': secondShelf,
	'under-shelf-basket': underShelf,
	'door-rack': doorBack('door-rack'),
	'door-hooks': doorBack('door-hooks'),
	'wall-hooks': wallHooks,
	'cabinet-top': cabinetTop,
	'slide-out': slideOut,
	turntable,
	trolley,
	'side-panel': sidePanel,
	'under-bed': underBed,
	'unused-cupboard': unusedCupboard
};

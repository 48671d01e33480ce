export {
	DEFAULT_FLOOR,
	overlaps,
	packFloor,
	standsBefore,
	type FloorItem,
	type FloorPlace,
	type Rect
} from './floor';
export { wantsOf, type Good, type Want } from './wants';
export { holdOptions, holdsPiece, outerOf, type HoldOption, type NookRoom } from './options';
export {
	fitFingerprint,
	fitNook,
	ownedLeft,
	roomOf,
	type Arrangement,
	type ArrangementName,
	type FitResult,
	type TooBig
} from './fit';
export { checkFit, rectOf, type FitViolation } from './check-fit';
export { keepArrangement } from './save';

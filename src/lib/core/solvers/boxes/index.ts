export {
	boundOf,
	faultsOf,
	goesIn,
	volumeOf,
	waysOf,
	type Box,
	type BoxesProblem,
	type BoxesResult,
	type PlacedBox,
	type Turning
} from './problem';
export { DEFAULT_BOXES, solveBoxes, type BoxesOptions } from './solve-boxes';

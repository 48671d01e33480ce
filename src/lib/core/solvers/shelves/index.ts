export {
	gapsOf,
	holesIn,
	shelfFaultsOf,
	type ShelfGroup,
	type ShelvesProblem,
	type ShelvesResult
} from './problem';
export { DEFAULT_SHELVES, solveShelves, type ShelvesOptions } from './solve-shelves';

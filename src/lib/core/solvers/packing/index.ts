export {
	decideStanding,
	type Decision,
	type StandingPiece,
	type StandingPlace,
	type StandingProblem
} from './decide';
export {
	boundOf,
	faultsOf,
	freeArea,
	overlaps,
	type PackingProblem,
	type PackingResult,
	type Piece,
	type PlacedPiece,
	type Rect
} from './problem';
export { DEFAULT_PACKING, solvePacking, type PackingOptions } from './solve-packing';
export {
	coveredLength,
	disorderOf,
	HIDES,
	type OrderPrices,
	type ShelfPiece,
	type ShelfProblem
} from './disorder';
export { packInOrder, type InOrder, type OrderOptions } from './in-order';

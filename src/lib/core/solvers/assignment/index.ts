export {
	CAPACITY_TOLERANCE,
	mixingOf,
	takenEverywhere,
	objectiveOf,
	violations,
	type Assignment as NookIndices,
	type AssignmentProblem,
	type Apart,
	type Mixing,
	type Pair,
	type Violation
} from './problem';
export { Layout } from './layout';
export {
	DEFAULT_SEARCH,
	descend,
	placeByRegret,
	searchAssignment,
	type SearchOptions,
	type SearchResult
} from './search';
export { branchAndBound, DEFAULT_BRANCH, type BranchOptions, type BranchResult } from './branch';
export {
	PROVEN,
	sidesOf,
	solveAssignment,
	solveBySides,
	type SearchTask,
	type SolveOptions,
	type SolveProgress,
	type SolveResult
} from './solve-assignment';
export { AssignmentProgram } from './integer-program';
export { DEFAULT_PROVE, proveAssignment, type ProveOptions, type ProveResult } from './prove';

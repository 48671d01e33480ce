export { adoptPlan, movePart, togglePin } from './edits';
export {
	CAPACITY_TOLERANCE,
	objectiveOf,
	violations,
	type Assignment as NookIndices,
	type AssignmentProblem,
	type Pair,
	type Violation
} from './problem';
export { Layout } from './layout';
export { DEFAULT_SEARCH, searchAssignment, type SearchOptions, type SearchResult } from './search';
export { branchAndBound, DEFAULT_BRANCH, type BranchOptions, type BranchResult } from './branch';
export { zoneFingerprint } from './zone-print';
export { HARD_CODES, type HardCode } from './hard-rules';
export { SOFT_CODES, type SoftCode, type SoftPenalty } from './soft-rules';
export { buildZoneModel, zoneModelOf, type Part, type ZoneModel } from './build';
export type { Cell, CostParts } from './cell';
export {
	byHandAssignment,
	DEFAULT_PLACE,
	placeHome,
	placeProgress,
	readAssignment,
	toZonePlan,
	writeAssignment,
	type PlaceOptions,
	type PlaceProgress,
	type PlaceResult,
	type PlaceStatus
} from './solve';
export {
	brokenRules,
	explainParts,
	freeSpaceOf,
	layoutOf,
	partsAt,
	pricesFor,
	totalsOf,
	type Alternative,
	type BrokenRule,
	type FreeSpace,
	type PlaceReason,
	type PlanTotals,
	type Price
} from './explain';
export {
	sidesOf,
	solveAssignment,
	solveBySides,
	type SearchTask,
	type SolveOptions,
	type SolveResult
} from './solve-assignment';
export {
	AssignmentProgram,
	type IntegerOutcome,
	type IntegerProgram,
	type IntegerSolver
} from './integer-program';
export { DEFAULT_PROVE, proveAssignment, type ProveOptions, type ProveResult } from './prove';
export { noteProof, provePlan, type PlanProof, type ProvePlanOptions } from './prove-plan';
export { BELONGS, spotsOf, standingOf, whyOutOfPlace, type Spot, type Standing } from './belongs';
export { REVIEW_CODES, reviewPlan, type Objection, type ReviewCode } from './review';
export { keepOneEmpty, roomToGrow } from './keep-empty';
export { assignmentNow } from './now';
export { placesOfLots, type LotShare } from './lot-places';
export { doMove, moveOrder, type MoveOrder, type MoveStep } from './move-order';
export {
	groupsElsewhere,
	schoolVariants,
	scorePlan,
	takeGroup,
	type PlanScore,
	type SchoolChange,
	type SchoolVariant
} from './compare';
export type { RuleAgainst } from './rules-against';
export { whyLeft, type SmallestChange, type WhyLeft } from './why-left';
export { ZONING_COMMANDS } from './commands';

export { adoptPlan, movePart, moveThing, togglePin } from './edits';
export { zoneFingerprint } from './zone-print';
export { HARD_CODES, type HardCode } from './hard-rules';
export { SOFT_CODES, type SoftCode, type SoftPenalty } from './soft-rules';
export { costOf } from './cell';
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
	brokenAt,
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
	type Price,
	type SizeOver,
	type Worse,
	worseThanToday
} from './explain';
export { noteProof, provePlan, type PlanProof, type ProvePlanOptions } from './prove-plan';
export { whyAstray } from './scene';
export { belongsOf, type PlaceKind } from './belongs';
export { familyIndex, familyName, FAMILY_COUNT } from './families';
export { REVIEW_CODES, reviewPlan, type Objection, type ReviewCode } from './review';
export { keepingCosts, type KeepingCost } from './keeping';
export { guardsToAsk, type GuardAsked } from './ask-guard';
export { contestedPlaces, type Contested } from './contested';
export { PET_KINDS, petCouldTake } from './pet-dangers';
export { guardLacking, guardOf, hasToddler, isDeadly } from './child-dangers';
export { hangsOverHeat } from './heat';
export { liftAt, smallestLift, takesGuard, type Lift } from './lifts';
export {
	DEFAULT_HELP,
	helpEdit,
	likelyHelps,
	whatHelps,
	type Help,
	type Helped,
	type HelpOptions
} from './help';
export { keepOneEmpty, roomToGrow } from './keep-empty';
export { assignmentNow } from './now';
export { lotsAt, type HomeState, type LotAt } from './where-lots';
export { placesOfLots, type LotShare } from './lot-places';
export {
	doMove,
	moveCaution,
	moveOrder,
	type MoveCaution,
	type MoveOrder,
	type MoveStep
} from './move-order';
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
export { roomlessMl, whyLeft, type SmallestChange, type WhyLeft } from './why-left';
export { ZONING_COMMANDS } from './commands';

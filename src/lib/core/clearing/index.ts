export { undecidedLots, visitStart } from './visits';
export { SINCE, sinceAsked, withSince, type Since } from './since-when';
export { parsePrintedDate, type DateOrder, type DateResult } from './parse-date';
export { parseDay, type DayContext } from './parse-day';
export {
	kindFor,
	parseIntake,
	type IntakeContext,
	type IntakeIssue,
	type IntakeLine,
	type IntakeResult
} from './parse-intake';
export { DATE_FIELDS, DATE_KINDS, type DateKind, type ReadDate } from './intake-dates';
export { type ReadField, type Reading } from './intake-rest';
export { formatIntake } from './format-intake';
export { findPlace, type PlaceResult } from './find-place';
export {
	checkDigit,
	isInStore,
	looksLikeCode,
	parseCode,
	type CodeFacts,
	type CodeIssue,
	type CodeResult
} from './parse-code';
export { changeLot, deleteLot, renameLot, tellKind, type LotChange } from './correct';
export { adviseLot, advisedVerdict } from './advice';
export type { Advice, AdviceCode, AdviceContext } from './advice-rules';
export { knownThing } from './other-sizes';
export { inStock } from './pack-counts';
export { splitItems } from './split-items';
export { takeIn, type TakeIn } from './take-in';
export {
	backPlace,
	decide,
	decisionOrder,
	pastByPlace,
	planTarget,
	VERDICT_KEYS,
	type Decide
} from './decide';
export {
	changeLeaving,
	doNotBuy,
	dueFor,
	goingOut,
	LEAVING,
	markGone,
	onTheTable,
	type GoingOut,
	type OutList
} from './leaving';
export { tally, tallyHome, type HomeTally, type PlaceTally, type TallyLine } from './tally';
export {
	estimateClear,
	estimatePlace,
	learnedRatio,
	type ClearEstimate,
	type LearnedRatio
} from './estimate';
export {
	endSession,
	halfDone,
	openSession,
	resumeSession,
	startSession,
	stopSession,
	tickStray,
	workedMinutes
} from './sessions';
export {
	freeStretches,
	planDay,
	type DayBlock,
	type DayInput,
	type DayPlace,
	type DayPlan,
	type Stretch
} from './plan-day';
export { straysFor, type Stray } from './strays';
export {
	matchHome,
	joinAlike,
	matchSets,
	rimPieces,
	type NearMiss,
	type RimPiece,
	type SetMatch,
	type SetPair
} from './match-sets';
export { capacityByCups, capacityByWater, capacityOf, freezeFill, type Shape } from './capacity';
export {
	cutAtBoundary,
	DEFAULT_BOUNDARY,
	type BoundaryCut,
	type BoundaryItem,
	type BoundaryLimits
} from './boundary';
export { applyCut, cutPlace, piecesOut, wantingOf, type PlaceCut, type Wanting } from './place-cut';
export { USUAL_THINGS, usualFor, type UsualThings } from './usual-things';
export { CLEARING_COMMANDS } from './commands';

export { firstDays } from './first-resets';
export { homeSummary, type HomeSummary } from './home-summary';
export { hoursByStage, materialsCost, type WorkStage } from './hours';
export { picturePair, picturePairs, type PicturePair } from './pictures';
export { partsToTake, TAKE_OVER, type TakenOver, type TakeOverPart } from './take-over';
export { adaptedDays, dueOf, resetsDue, type DueReset } from './resets';
export { looksAt, looksForAll, USUAL_DAYS, usualResets, type ResetDraft } from './usual-resets';
export {
	foundOf,
	isUnderWay,
	minutesOf,
	placesOf,
	resetsKept,
	type ResetFound
} from './reset-work';
export {
	addReset,
	beginReset,
	changeReset,
	finishReset,
	postponeResets,
	removeReset,
	skipReset,
	type ResetChange
} from './reset-edits';
export { resetWeeks, spreadResets, WEEK_MINUTES, type ResetWeek } from './reset-weeks';
export {
	cardFor,
	dueFor,
	isKnown,
	keepCard,
	knowing,
	learners,
	toKnow,
	type Knowing,
	type ToKnow
} from './practice';
export { reportElsewhere, wrongPlaces, type WrongPlace } from './misplaced';
export { monthsDone, workDone, type MonthDone } from './year';
export { inSeason, nextTurn, swapMoves, type SwapMoves } from './seasons';
export {
	crossings,
	MOTION,
	placeAt,
	playRoutine,
	playWeek,
	type Crossing,
	type Moment,
	type RoutinePlay,
	type WeekPlay
} from './play-routine';
export { walkRoutine, type RoutineStop, type RoutineWalk } from './routine-walk';
export {
	addRoutine,
	changeRoutine,
	moveStep,
	proposeRoutines,
	removeRoutine,
	type RoutineDraft,
	type RoutineStep
} from './routines';
export { nextSteps, stageProgress, type NextStep, type StageProgress } from './next-steps';
export { UPKEEP_COMMANDS } from './commands';

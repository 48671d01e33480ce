export { adaptedDays, doneReset, resetsDue, USUAL_DAYS, type DueReset } from './resets';
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
export { proposeResets } from './propose-resets';
export {
	nextSteps,
	stageProgress,
	STAGES,
	type NextStep,
	type Stage,
	type StageProgress
} from './next-steps';
export { UPKEEP_COMMANDS } from './commands';

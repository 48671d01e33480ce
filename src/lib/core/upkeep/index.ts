export { adaptedDays, doneReset, resetsDue, USUAL_DAYS, type DueReset } from './resets';
export { proposeResets } from './propose-resets';
export {
	nextSteps,
	stageProgress,
	STAGES,
	type NextStep,
	type Stage,
	type StageProgress
} from './next-steps';

import { idsFrom, withStem } from '../model';
import { proposeResets } from './propose-resets';
import { doneReset } from './resets';
import { addRoutine, changeRoutine, moveStep, removeRoutine } from './routines';

/** Every change that upkeep makes to a home. */
export const UPKEEP_COMMANDS = {
	addRoutine,
	changeRoutine,
	doneReset,
	moveStep,
	proposeResets: withStem(proposeResets, idsFrom),
	removeRoutine
} as const;

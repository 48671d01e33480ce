import { reportElsewhere } from './misplaced';
import { keepCard } from './practice';
import {
	addReset,
	beginReset,
	changeReset,
	finishReset,
	postponeResets,
	removeReset,
	skipReset
} from './reset-edits';
import { addRoutine, changeRoutine, moveStep, removeRoutine } from './routines';

/** Every change that upkeep makes to a home. */
export const UPKEEP_COMMANDS = {
	addRoutine,
	changeRoutine,
	addReset,
	beginReset,
	changeReset,
	finishReset,
	keepCard,
	postponeResets,
	removeReset,
	reportElsewhere,
	skipReset,
	moveStep,
	removeRoutine
} as const;

import { idsFrom, withStem } from '../model';
import { addMaterial, addWorkTime, removeMaterial, removeWorkTime } from './hours';
import { reportElsewhere } from './misplaced';
import { addPicture, removePicture } from './pictures';
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
import { takeOver } from './take-over';
import { addRoutine, changeRoutine, moveStep, removeRoutine } from './routines';

/** Every change that upkeep makes to a home. */
export const UPKEEP_COMMANDS = {
	addMaterial,
	addPicture,
	addRoutine,
	addWorkTime,
	changeRoutine,
	removeMaterial,
	removePicture,
	removeWorkTime,
	takeOver: withStem(takeOver, idsFrom),
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

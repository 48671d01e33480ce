import { addLine, dropLines, forgetSaid, sayOfLine } from './list-lines';
import { freeze, moveStock, openPack, putIn, thaw } from './stock-moves';
import { takeDown } from './take-down';

/** Every change that the rotation of stock makes to a home. */
export const ROTATION_COMMANDS = {
	addLine,
	dropLines,
	forgetSaid,
	freeze,
	moveStock,
	openPack,
	putIn,
	sayOfLine,
	takeDown,
	thaw
} as const;
